-- The rack: on which photos of the wall a kit is shown, tags of effects, effects that follow others,
-- searches that are kept.
create table kit_photo (
  id integer primary key autoincrement,
  kit_id integer not null references kit (id) on delete cascade,
  photo_id integer not null references photo (id) on delete cascade,
  cover integer not null default 0,
  unique (kit_id, photo_id)
);

create table effect_tag (
  id integer primary key autoincrement,
  effect_id integer not null references effect (id) on delete cascade,
  tag text not null,
  tag_key text not null,
  unique (effect_id, tag_key)
);
create index effect_named on effect (name_key);
create index tagged on effect_tag (tag_key);

-- An effect of a lite kit has the veils of another; what goes with the other is the following alone.
create table effect_follows (
  id integer primary key autoincrement,
  effect_id integer not null unique references effect (id) on delete cascade,
  source_id integer not null references effect (id) on delete cascade
);
create index followed on effect_follows (source_id);

-- Signs that the maker puts on effects and sections for herself.
create table effect_mark (
  id integer primary key autoincrement,
  effect_id integer not null unique references effect (id) on delete cascade,
  mark text not null
);
create table section_mark (
  id integer primary key autoincrement,
  section_id integer not null unique references section (id) on delete cascade,
  mark text not null
);

-- Two sections of a kit whose effects are not worn together, the one with the lower id first.
create table section_against (
  id integer primary key autoincrement,
  one_id integer not null references section (id) on delete cascade,
  two_id integer not null references section (id) on delete cascade,
  asks integer not null default 0,
  unique (one_id, two_id)
);

create table saved_search (
  id integer primary key autoincrement,
  name text not null,
  name_key text not null unique,
  query text not null
);

-- How the maker left the page: not a change of the kit, and not taken back.
create table section_folded (
  id integer primary key autoincrement,
  section_id integer not null unique references section (id) on delete cascade
);

-- Words of effects, for search; kept in step by triggers, so that undo need not know of it.
create virtual table effect_text using fts5 (
  name, note, veils, tags, tokenize = "unicode61 remove_diacritics 2", prefix = '1 2 3'
);

create view effect_words as
select e.id, e.name, coalesce(e.doc ->> '$.note', '') as note,
  coalesce((select group_concat(coalesce(v.value ->> '$.name', ''), ' ') from json_each(e.doc, '$.veils') v where v.type = 'object'), '') as veils,
  coalesce((select group_concat(t.tag, ' ') from effect_tag t where t.effect_id = e.id), '') as tags
from (select id, name, iif(json_valid(doc), doc, '{}') as doc from effect) e;

insert into effect_text (rowid, name, note, veils, tags) select id, name, note, veils, tags from effect_words;

create trigger words_of_new_effect after insert on effect begin
  insert into effect_text (rowid, name, note, veils, tags)
  select id, name, note, veils, tags from effect_words where id = new.id;
end;

create trigger words_of_changed_effect after update of name, doc on effect begin
  update effect_text set (name, note, veils) = (select name, note, veils from effect_words where id = new.id)
  where rowid = new.id and (name, note, veils) is not (select name, note, veils from effect_words where id = new.id);
end;

create trigger words_of_gone_effect after delete on effect begin
  delete from effect_text where rowid = old.id;
end;

create trigger words_of_new_tag after insert on effect_tag begin
  update effect_text set tags = (select tags from effect_words where id = new.effect_id) where rowid = new.effect_id;
end;

create trigger words_of_gone_tag after delete on effect_tag begin
  update effect_text set tags = coalesce((select tags from effect_words where id = old.effect_id), '') where rowid = old.effect_id;
end;
