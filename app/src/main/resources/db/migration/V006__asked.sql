-- Names of requests that changed something, the newest ones: what is asked again under the same
-- name, since its answer was lost, is not done twice.
create table asked (
  place integer primary key autoincrement,
  name text not null unique
);
