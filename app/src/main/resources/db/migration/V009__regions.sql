-- What a photo of the test wall holds: named regions as one document, and what was painted of them.
create table regions (
  id integer primary key autoincrement,
  photo_id integer not null unique references photo (id) on delete cascade,
  doc text not null,
  rev integer not null default 1,
  token text not null default ''
);

create table region_stroke (
  id integer primary key autoincrement,
  regions_id integer not null references regions (id) on delete cascade,
  photo_id integer not null references photo (id) on delete cascade,
  veil text not null,
  place integer not null,
  doc text not null
);
create index stroke_of_region on region_stroke (regions_id, photo_id, veil, place, id);
