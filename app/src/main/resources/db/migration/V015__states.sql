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
