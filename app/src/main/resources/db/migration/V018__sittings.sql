-- Photos of one occasion.
create table sitting (
  id integer primary key autoincrement,
  side text not null,
  name text not null,
  name_key text not null,
  unique (side, name_key)
);
create table in_sitting (
  id integer primary key autoincrement,
  photo_id integer not null unique references photo (id) on delete cascade,
  sitting_id integer not null references sitting (id) on delete cascade
);
-- Looks of which a photo has been saved as a file: a photo's newest, by what stands for the look.
create table saved_result (
  id integer primary key autoincrement,
  photo_id integer not null unique references photo (id) on delete cascade,
  stamp text not null
);
