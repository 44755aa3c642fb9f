-- Favourites, remembered states of fittings, and stored settings of single veils.

alter table effect add column favourite integer not null default 0;

create table pin (
  id integer primary key autoincrement,
  fitting_id integer not null references fitting (id) on delete cascade,
  name text not null,
  doc text not null
);
create index pin_of_fitting on pin (fitting_id, id);

create table swatch (
  id integer primary key autoincrement,
  mark text not null default '',
  name text not null collate nocase,
  doc text not null,
  unique (mark, name)
);
