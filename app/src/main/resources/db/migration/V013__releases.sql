-- What of a chosen kit stays out of a collection, and what a collection shows of itself. Triggers of
-- recorded tables go before they change; they are made anew at the start.
drop trigger if exists journal_collection_insert;
drop trigger if exists journal_collection_delete;
drop trigger if exists journal_collection_update_row;
drop trigger if exists journal_collection_update_name;
alter table collection add column cover_photo integer not null default 0;
alter table collection add column cover_effect integer not null default 0;

create table collection_without (
  id integer primary key autoincrement,
  collection_id integer not null references collection (id) on delete cascade,
  section_id integer references section (id) on delete cascade,
  effect_id integer references effect (id) on delete cascade,
  check ((section_id is null) <> (effect_id is null)),
  unique (collection_id, section_id),
  unique (collection_id, effect_id)
);

-- What is told of a packed release without opening it.
alter table packed_release add column effects integer not null default 0;
alter table packed_release add column signed_by text not null default '';

-- Keys of makers that the desk has seen: with which release first, and when.
create table known_key (
  key text primary key,
  mark text not null,
  sha text not null,
  since text not null
);
