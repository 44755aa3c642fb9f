-- What an effect had on a photo that no longer wears it, for when it comes back; its strokes stay where they are.
create table laid_by (
  id integer primary key autoincrement,
  fitting_id integer not null references fitting (id) on delete cascade,
  effect text not null,
  doc text not null,
  unique (fitting_id, effect)
);
