-- What was measured on proofs, by a name that changes with all that it depends on; it can be measured again.
create table reading (
  key text primary key,
  doc text not null
) without rowid;
