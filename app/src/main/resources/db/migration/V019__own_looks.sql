-- Looks of a photographer's own, and what a maker says of handing them out. Triggers of a recorded table go
-- before it changes; they are made anew at the start.
drop trigger if exists journal_collection_insert;
drop trigger if exists journal_collection_delete;
drop trigger if exists journal_collection_update_row;
drop trigger if exists journal_collection_update_name;
alter table collection add column may_hand_out integer not null default 0;

-- What was worn when it was kept, without paint, by keys that name their wardrobe; the photo that shows it, 0 for
-- none; titles of what has left the desk since; and the code under which it was handed out last.
create table own_look (
  id integer primary key autoincrement,
  name text not null,
  name_key text not null unique,
  doc text not null,
  photo_id integer not null default 0,
  gone text not null default '{}',
  code text not null default ''
);
