-- What a person of the studio likes at the machine, and how she stands at it.
create table habit (
  person_id uuid primary key references person (id) on delete cascade,
  rest_every_min integer not null default 30 check (rest_every_min between 20 and 45),
  elbow_in double precision check (elbow_in between 25 and 60),
  reach_in double precision check (reach_in between 14 and 22),
  own_speeds boolean not null default false,
  version integer not null default 1
);
create index practice_run_by on practice_run (by_person, at) where taken_back_at is null;
