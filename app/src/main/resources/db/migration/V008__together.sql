-- What is worn together with a kit or a release in its fittings: other kits, other releases.
create table together (
  id integer primary key autoincrement,
  wardrobe text not null,
  other text not null,
  unique (wardrobe, other)
);
