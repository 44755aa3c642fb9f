-- Which side of the table whoever works here stands on: one row at most.
create table stands (
  one integer primary key check (one = 1),
  side text not null check (side in ('maker', 'desk'))
);
