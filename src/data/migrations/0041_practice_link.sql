-- What a machine sent while a drill was sewn on it: no quilt is on it, and what is not kept within a day goes.
create table practice_sent (
  id uuid primary key,
  machine text not null default '' check (length(machine) <= 120),
  frames jsonb not null default '[]' check (jsonb_typeof(frames) = 'array' and jsonb_array_length(frames) <= 20000),
  began_at timestamptz not null default now(),
  by_person uuid not null default acting_person() references person (id)
);
create index practice_sent_began on practice_sent (began_at);
