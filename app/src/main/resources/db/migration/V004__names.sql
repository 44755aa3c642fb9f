-- Two names are the same where their keys are: written in one way (NFC), whatever the case of any
-- script. Filled in by V005, since SQL knows only the letters of ASCII.
alter table kit add column name_key text not null default '';
alter table section add column name_key text not null default '';
alter table effect add column name_key text not null default '';
alter table photo add column name_key text not null default '';
alter table collection add column name_key text not null default '';
alter table swatch add column name_key text not null default '';
