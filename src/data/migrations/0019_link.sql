-- A run of a machine over its link: what it came to, and the path in pieces, simplified.
create table link_run (
  id uuid primary key,
  quilt_id uuid not null references quilt,
  pass integer check (pass between 1 and 200),
  cone_id uuid references cone,
  stabilise boolean not null default false,
  machine text not null default '' check (length(machine) <= 120),
  limit_in_per_s double precision not null check (limit_in_per_s > 0),
  summary jsonb not null,
  pieces integer not null default 0,
  began_at timestamptz not null default now(),
  updated_at timestamptz not null default now()
);
create index link_run_quilt on link_run (quilt_id, began_at);
create table link_piece (
  run_id uuid not null references link_run,
  n integer not null,
  points jsonb not null check (octet_length(points::text) <= 400000),
  primary key (run_id, n)
);
