-- The stall, and what the desk keeps of it. Triggers of a recorded table go before it changes; they
-- are made anew at the start.
drop trigger if exists journal_desk_release_insert;
drop trigger if exists journal_desk_release_delete;
drop trigger if exists journal_desk_release_update_row;
-- Under which code it was fetched, by which key it is signed, and which release took its place; 0 for none.
alter table desk_release add column code text not null default '';
alter table desk_release add column signed_by text not null default '';
alter table desk_release add column replaced_by integer not null default 0;

create table desk_favourite (
  id integer primary key autoincrement,
  release_id integer not null references desk_release (id) on delete cascade,
  path text not null,
  unique (release_id, path)
);

-- What is out, by its code: a collection of the maker's, or a combination from a fitting (then 0).
create table stall_item (
  id integer primary key autoincrement,
  code text not null unique,
  collection_id integer not null default 0,
  name text not null
);
create unique index stall_of_collection on stall_item (collection_id) where collection_id > 0;

-- Versions of it. A file that was handed out is kept for ever; withdrawn is no longer handed out.
create table stall_version (
  id integer primary key autoincrement,
  item_id integer not null references stall_item (id),
  version text not null,
  sha text not null,
  price text not null default '',
  put_out_at text not null,
  withdrawn_at text not null default '',
  fetched integer not null default 0,
  unique (item_id, version)
);

-- Folders that are watched: what is laid there gets a look, given as the stack that is worn.
create table watched_folder (
  id integer primary key autoincrement,
  folder text not null unique,
  title text not null,
  request text not null,
  since text not null,
  rests integer not null default 0
);

-- What was found in them, so that each file is made once; said is empty where it went well.
create table watched_file (
  id integer primary key autoincrement,
  watched_id integer not null references watched_folder (id),
  name text not null,
  stamp text not null,
  result text not null default '',
  said text not null default '',
  made_at text not null,
  unique (watched_id, name, stamp)
);
create index watched_files on watched_file (watched_id, id);
