-- Work before and after the frame, with a clock of its own: how long it took, and what was predicted for it.
create table task_time (
  id uuid primary key,
  quilt_id uuid not null references quilt (id) on delete cascade,
  task text not null check (length(task) between 1 and 40),
  state text not null default 'open' check (state in ('open', 'running', 'done', 'not-here')),
  -- Since when the clock runs, and minutes before that.
  running_since timestamptz,
  minutes double precision not null default 0 check (minutes between 0 and 6000),
  predicted_min double precision not null check (predicted_min > 0 and predicted_min <= 10000),
  done_at timestamptz,
  version integer not null default 1,
  by_person uuid not null default acting_person() references person (id),
  unique (quilt_id, task),
  check ((state = 'running') = (running_since is not null)),
  check ((state = 'done') = (done_at is not null))
);
create index task_time_learned on task_time (done_at desc) where state = 'done';

-- Hours at the table on a day, beside those at the frame.
alter table preferences add column table_hours double precision not null default 2 check (table_hours between 0 and 24);
