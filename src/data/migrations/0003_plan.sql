-- From the counter to a dated promise: intake talks, measures, photographs, the plan as it is fixed, passes logged.

alter table studio
  add column day_hours double precision[] not null default array[4, 4, 4, 4, 2, 0, 0]::double precision[]
    check (cardinality(day_hours) = 7 and 0 <= all (day_hours) and 24 >= all (day_hours));

alter table quilt
  add column widths_in double precision[] check (cardinality(widths_in) = 3 and 0 < all (widths_in)),
  add column lengths_in double precision[] check (cardinality(lengths_in) = 3 and 0 < all (lengths_in)),
  add column wishes text not null default '' check (length(wishes) <= 2000),
  add column watch text not null default '' check (length(watch) <= 2000),
  add column care text not null default '' check (length(care) <= 500),
  add column turn_rule text not null default 'auto' check (turn_rule in ('auto', 'never')),
  add column turned boolean not null default false,
  add column depths_in double precision[] check (0 < all (depths_in)),
  add column order_by_hand jsonb check (jsonb_typeof(order_by_hand) = 'array'),
  -- What the client brought or is to be bought; null while it is not known.
  add column backing_cloth_in double precision check (backing_cloth_in between 10 and 200),
  add column prewash boolean not null default false,
  -- First day it may go on the frame; null: as soon as the frame is free.
  add column starts_on date,
  add column version integer not null default 1;

-- A talk at the counter, kept at every step; it becomes a quilt at its end.
create table intake (
  id uuid primary key,
  step smallint not null default 1 check (step between 1 and 5),
  data jsonb not null default '{}' check (jsonb_typeof(data) = 'object'),
  quilt_id uuid references quilt (id),
  version integer not null default 1,
  begun_at timestamptz not null default now(),
  updated_at timestamptz not null default now()
);
create index intake_open on intake (updated_at) where quilt_id is null;

create table photograph (
  id uuid primary key,
  intake_id uuid references intake (id),
  quilt_id uuid references quilt (id),
  mime text not null check (mime in ('image/jpeg', 'image/png', 'image/webp')),
  bytes bytea not null check (octet_length(bytes) between 1 and 8000000),
  taken_at timestamptz not null default now(),
  check (num_nonnulls(intake_id, quilt_id) > 0)
);
create index photograph_of on photograph (quilt_id);
create index photograph_at on photograph (intake_id);

create table pass_log (
  id uuid primary key,
  quilt_id uuid not null references quilt (id),
  pass integer not null check (pass between 1 and 200),
  minutes double precision not null check (minutes > 0 and minutes <= 2000),
  predicted_min double precision not null check (predicted_min > 0),
  at timestamptz not null default now(),
  unique (quilt_id, pass)
);

-- A zone that is merged away or drawn over keeps its cards and tests; it only leaves the map.
alter table zone
  add column retired_at timestamptz,
  drop constraint zone_quilt_id_letter_key;
create unique index zone_letter on zone (quilt_id, letter) where retired_at is null;
