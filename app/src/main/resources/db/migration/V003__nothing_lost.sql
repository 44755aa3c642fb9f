-- The triggers of undo stand on tables that change here; they are made anew at the start.
drop trigger if exists journal_kit_insert;
drop trigger if exists journal_kit_delete;
drop trigger if exists journal_kit_update_name;
drop trigger if exists journal_section_insert;
drop trigger if exists journal_section_delete;
drop trigger if exists journal_section_update_kit_id;
drop trigger if exists journal_effect_insert;
drop trigger if exists journal_effect_delete;
drop trigger if exists journal_effect_update_kit_id;
drop trigger if exists journal_effect_update_doc;
drop trigger if exists journal_photo_insert;
drop trigger if exists journal_photo_delete;
drop trigger if exists journal_photo_update_side;
drop trigger if exists journal_paint_insert;
drop trigger if exists journal_paint_delete;
drop trigger if exists journal_paint_update_doc;
drop trigger if exists journal_fitting_insert;
drop trigger if exists journal_fitting_delete;
drop trigger if exists journal_fitting_update_wardrobe;
drop trigger if exists journal_pin_insert;
drop trigger if exists journal_pin_delete;
drop trigger if exists journal_pin_update_fitting_id;
drop trigger if exists journal_swatch_insert;
drop trigger if exists journal_swatch_delete;
drop trigger if exists journal_swatch_update_mark;
drop trigger if exists journal_collection_insert;
drop trigger if exists journal_collection_delete;
drop trigger if exists journal_collection_update_name;
drop trigger if exists journal_collection_kit_insert;
drop trigger if exists journal_collection_kit_delete;
drop trigger if exists journal_collection_kit_update_position;

-- Strokes are rows, so that one more stroke costs one stroke. Places order them; a place may be
-- negative, where something was put before the first.
create table stroke (
  id integer primary key autoincrement,
  effect_id integer not null references effect (id) on delete cascade,
  photo_id integer not null references photo (id) on delete cascade,
  veil text not null,
  place integer not null,
  doc text not null
);
create index stroke_of_effect on stroke (effect_id, photo_id, veil, place, id);
create index stroke_on_photo on stroke (photo_id);

insert into stroke (effect_id, photo_id, veil, place, doc)
select p.effect_id, p.photo_id, v.key, s.key + 1, s.value
from paint p, json_each(p.doc) v, json_each(v.value) s
order by p.effect_id, p.photo_id, v.key, s.key;

create table fitting_stroke (
  id integer primary key autoincrement,
  fitting_id integer not null references fitting (id) on delete cascade,
  effect text not null,
  veil text not null,
  place integer not null,
  doc text not null
);
create index stroke_of_fitting on fitting_stroke (fitting_id, effect, veil, place, id);

insert into fitting_stroke (fitting_id, effect, veil, place, doc)
select f.id, json_extract(w.value, '$.effect'), v.key, s.key + 1, s.value
from fitting f, json_each(f.doc, '$.worn') w, json_each(w.value, '$.paint') v, json_each(v.value) s
order by f.id, w.key, v.key, s.key;

update fitting set doc = (
  select json_object('worn', json_group_array(json_remove(w.value, '$.paint')))
  from json_each(fitting.doc, '$.worn') w);

-- What was packed is for ever: nothing cascades into it, whatever becomes of its collection.
create table packed_release (
  id integer primary key autoincrement,
  collection_id integer not null,
  name text not null,
  version text not null,
  file_name text not null,
  sha text not null,
  bytes integer not null,
  packed_at text not null,
  unique (name, version)
);
insert into packed_release (id, collection_id, name, version, file_name, sha, bytes, packed_at)
select id, collection_id, name, version, file_name, sha, bytes, packed_at from packed;

-- A save may say which save of its own page it follows, for the moment when a page is left.
alter table effect add column token text not null default '';
alter table fitting add column token text not null default '';
alter table collection add column token text not null default '';

-- Which work runs, and what became of it.
create table job (
  id integer primary key autoincrement,
  kind text not null,
  subject text not null,
  title text not null,
  request text not null,
  state text not null,
  done integer not null default 0,
  total integer not null default 0,
  faults text not null default '[]',
  said text not null default '',
  file text not null default '',
  file_name text not null default '',
  made_at text not null,
  ended_at text
);
create index job_of on job (kind, subject, id);

-- Undo, as images of rows instead of statements, so that it outlives changes of the tables. What was
-- recorded before as statements is not carried over.
drop table edit_change;
drop table edit;

create table edit (
  id integer primary key autoincrement,
  label text not null,
  -- done, undone: can be done again; aside: taken back with work in it, kept until she says otherwise
  state text not null default 'done' check (state in ('done', 'undone', 'aside')),
  gesture text not null default '',
  holds integer not null default 0,
  bytes integer not null default 0,
  made_at text not null
);

create table edit_scope (
  scope text not null,
  edit_id integer not null references edit (id) on delete cascade,
  primary key (scope, edit_id)
) without rowid;
create index scope_of_edit on edit_scope (edit_id);

-- op says what happened: insert, update of a group of columns, delete; old is the row before, as JSON.
create table edit_change (
  seq integer primary key autoincrement,
  edit_id integer not null references edit (id) on delete cascade,
  op text not null,
  tbl text not null,
  row_key text not null,
  cols text not null default '',
  old text
);
create index change_of_edit on edit_change (edit_id, seq);
create index change_of_row on edit_change (tbl, row_key, seq);

drop table paint;
drop table packed;
