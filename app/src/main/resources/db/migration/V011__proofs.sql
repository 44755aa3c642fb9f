-- What photos are, limits of kits and sections, what may be over them, and sheets that were approved.
create table photo_tag (
  id integer primary key autoincrement,
  photo_id integer not null references photo (id) on delete cascade,
  tag text not null,
  tag_key text not null,
  unique (photo_id, tag_key)
);

create table limits (
  id integer primary key autoincrement,
  kit_id integer not null references kit (id) on delete cascade,
  section_id integer references section (id) on delete cascade,
  doc text not null
);
create unique index limits_of_kit on limits (kit_id) where section_id is null;
create unique index limits_of_section on limits (section_id) where section_id is not null;

create table accepted (
  id integer primary key autoincrement,
  effect_id integer not null references effect (id) on delete cascade,
  photo_id integer references photo (id) on delete cascade,
  measure text not null,
  reason text not null
);
create unique index accepted_everywhere on accepted (effect_id, measure) where photo_id is null;
create unique index accepted_on_photo on accepted (effect_id, photo_id, measure) where photo_id is not null;

-- Two effects that look alike and are both wanted; the one with the lower id first.
create table both_wanted (
  id integer primary key autoincrement,
  one_id integer not null references effect (id) on delete cascade,
  two_id integer not null references effect (id) on delete cascade,
  unique (one_id, two_id)
);

-- The sheet of a kit that the maker approved: a kept file with what was measured and seen.
create table approved (
  id integer primary key autoincrement,
  kit_id integer not null unique references kit (id) on delete cascade,
  at text not null,
  sha text not null,
  pictures text not null
);

-- What was measured before has no colours to compare by: it is measured again.
drop table reading;
create table reading (
  key text primary key,
  doc text not null,
  colours blob not null
) without rowid;

-- What photos are, as measured, by a name that changes with the photo and its regions.
create table photo_fact (
  key text primary key,
  doc text not null
) without rowid;
