-- Documents (effects, fittings, paint) are JSON that is always read whole; what is searched, ordered
-- or constrained has a column of its own. rev counts changes and guards against stale saves.

create table kit (
  id integer primary key autoincrement,
  name text not null collate nocase unique,
  purpose text not null default '',
  rev integer not null default 1
);

create table section (
  id integer primary key autoincrement,
  kit_id integer not null references kit (id) on delete cascade,
  number integer not null,
  name text not null collate nocase,
  rule text not null,
  unique (kit_id, name)
);

create table effect (
  id integer primary key autoincrement,
  kit_id integer not null references kit (id) on delete cascade,
  section_id integer not null references section (id) on delete cascade,
  position integer not null,
  name text not null collate nocase,
  variant_of integer,
  doc text not null,
  rev integer not null default 1,
  unique (kit_id, name)
);
create index effect_in_section on effect (section_id, position);

create table photo (
  id integer primary key autoincrement,
  side text not null check (side in ('wall', 'desk')),
  name text not null collate nocase,
  sha text not null,
  width integer not null,
  height integer not null,
  unique (side, name)
);

create table paint (
  effect_id integer not null references effect (id) on delete cascade,
  photo_id integer not null references photo (id) on delete cascade,
  doc text not null,
  primary key (effect_id, photo_id)
);

create table fitting (
  id integer primary key autoincrement,
  wardrobe text not null,
  photo_id integer not null references photo (id) on delete cascade,
  doc text not null,
  rev integer not null default 1,
  unique (wardrobe, photo_id)
);

create table collection (
  id integer primary key autoincrement,
  name text not null collate nocase unique,
  version text not null,
  licence text not null default '',
  notes text not null default '',
  rev integer not null default 1
);

create table collection_kit (
  collection_id integer not null references collection (id) on delete cascade,
  kit_id integer not null references kit (id) on delete cascade,
  position integer not null,
  primary key (collection_id, kit_id)
);

create table packed (
  id integer primary key autoincrement,
  collection_id integer not null references collection (id) on delete cascade,
  name text not null,
  version text not null,
  file_name text not null,
  sha text not null,
  bytes integer not null,
  packed_at text not null,
  unique (name, version)
);

create table desk_release (
  id integer primary key autoincrement,
  sha text not null unique,
  name text not null,
  version text not null,
  makers_mark text not null
);

create table preference (
  name text primary key,
  value text not null
);

-- Undo: every edit keeps the statements that take it back; triggers write them (see Journal).
create table edit (
  id integer primary key autoincrement,
  scope text not null,
  label text not null,
  undone integer not null default 0
);
create index edit_in_scope on edit (scope, undone, id);

create table edit_change (
  seq integer primary key autoincrement,
  edit_id integer not null references edit (id) on delete cascade,
  statement text not null
);
create index change_of_edit on edit_change (edit_id, seq);

create table current_edit (
  one integer primary key check (one = 1),
  edit_id integer
);
insert into current_edit (one, edit_id) values (1, null);
