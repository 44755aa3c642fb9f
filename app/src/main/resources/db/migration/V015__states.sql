-- What a step that was taken back left of a row (a digest): it is done again only on that state, so
-- that what was done again before it is told from what was done since.
alter table edit_change add column stays text;

-- A job that was stopped is not taken up after a restart.
alter table job add column stopped integer not null default 0;

-- Makers whose releases are taken in though they are no longer signed: the photographer was asked.
create table unsigned_mark (
  mark_key text primary key,
  since text not null
);

-- Names and tags are found as they are written and as they are compared: “Straße” by “strasse” too.
drop view effect_words;
create view effect_words as
select e.id, iif(lower(e.name) = e.name_key, e.name, e.name || ' ' || e.name_key) as name,
  coalesce(e.doc ->> '$.note', '') as note,
  coalesce((select group_concat(coalesce(v.value ->> '$.name', ''), ' ') from json_each(e.doc, '$.veils') v where v.type = 'object'), '') as veils,
  coalesce((select group_concat(iif(lower(t.tag) = t.tag_key, t.tag, t.tag || ' ' || t.tag_key), ' ') from effect_tag t where t.effect_id = e.id), '') as tags
from (select id, name, name_key, iif(json_valid(doc), doc, '{}') as doc from effect) e;
update effect_text set (name, tags) = (select name, tags from effect_words w where w.id = effect_text.rowid);
