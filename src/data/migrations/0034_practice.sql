-- A drill as it was drawn: what it came to, and the line itself, thinned.
create table practice_run (
  id uuid primary key,
  drill text not null check (length(drill) between 1 and 40),
  mode text not null check (mode in ('idling', 'resting', 'manual')),
  spi double precision not null check (spi between 3 and 25),
  judged jsonb not null check (jsonb_typeof(judged) = 'object' and octet_length(judged::text) <= 4000),
  path jsonb not null check (jsonb_typeof(path) = 'array' and octet_length(path::text) <= 400000),
  at timestamptz not null default now(),
  taken_back_at timestamptz,
  by_person uuid not null default acting_person() references person (id)
);
create index practice_run_of_drill on practice_run (drill, at);
