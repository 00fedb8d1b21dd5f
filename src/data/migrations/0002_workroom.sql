-- What the studio owns, known exactly: cones with their ledger, bobbins, needles, cloths, rulers, machines, schools.

create table import_batch (
  id uuid primary key,
  kind text not null check (kind in ('threads', 'battings', 'fabrics', 'needles')),
  file_name text not null default '' check (length(file_name) <= 300),
  rows integer not null check (rows >= 0),
  at timestamptz not null default now(),
  undone_at timestamptz
);

alter table thread
  add column sheen text check (sheen in ('matt', 'satin', 'bright')),
  add column full_g double precision check (full_g > 0 and full_g <= 10000),
  add column full_m double precision check (full_m > 0 and full_m <= 1000000),
  add column tare_g double precision check (tare_g >= 0 and tare_g <= 10000),
  add column place text not null default '' check (length(place) <= 120),
  add column notes text not null default '' check (length(notes) <= 2000),
  add column price double precision check (price >= 0 and price <= 100000),
  add column remaining_at timestamptz,
  add column import_id uuid references import_batch (id);
create index thread_import on thread (import_id) where import_id is not null;

-- Every metre that left or came back to a cone, so that what is said to remain can be explained.
create table cone_use (
  id uuid primary key,
  thread_id uuid not null references thread (id),
  metres double precision not null check (metres between -1000000 and 1000000),
  why text not null check (why in ('winding', 'pass', 'weighed', 'set')),
  left_m double precision check (left_m >= 0),
  note text not null default '' check (length(note) <= 300),
  at timestamptz not null default now()
);
create index cone_use_thread on cone_use (thread_id, at);

create table bobbin_stock (
  id uuid primary key,
  thread_id uuid not null references thread (id),
  kind text not null check (kind in ('wound', 'prewound')),
  metres_each double precision not null check (metres_each > 0 and metres_each <= 2000),
  count integer not null check (count between 0 and 10000),
  version integer not null default 1,
  unique (thread_id, kind, metres_each)
);

alter table needle
  add column coated boolean not null default false,
  add column version integer not null default 1,
  add column import_id uuid references import_batch (id),
  drop constraint needle_nm_eye_point_key,
  add unique (nm, eye, point, coated);

-- The needle in a machine; a change closes the old row and opens a new one.
create table needle_fitted (
  id uuid primary key,
  machine_id uuid not null references machine (id),
  nm integer not null check (nm between 40 and 200),
  eye text not null check (eye in ('standard', 'large')),
  point text not null check (point in ('sharp', 'micro-sharp', 'light-ball')),
  coated boolean not null default false,
  stitches double precision not null default 0 check (stitches >= 0),
  life double precision not null check (life > 0),
  fitted_at timestamptz not null default now(),
  removed_at timestamptz
);
create unique index one_needle_in_a_machine on needle_fitted (machine_id) where removed_at is null;

alter table fabric
  add column notes text not null default '' check (length(notes) <= 2000),
  add column version integer not null default 1,
  add column archived_at timestamptz,
  add column import_id uuid references import_batch (id);

alter table batting
  add column loft_mm double precision check (loft_mm > 0 and loft_mm <= 60),
  add column max_gap_in double precision check (max_gap_in > 0 and max_gap_in <= 24),
  add column rating_text text not null default '' check (length(rating_text) <= 120),
  add column shrink_pct double precision check (shrink_pct between 0 and 30),
  add column notes text not null default '' check (length(notes) <= 2000),
  add column version integer not null default 1,
  add column archived_at timestamptz,
  add column import_id uuid references import_batch (id);

create table ruler (
  id uuid primary key,
  name text not null unique check (length(btrim(name)) between 1 and 120),
  shape text not null check (shape in ('straight', 'arc', 'circle', 'template')),
  thickness_mm double precision not null check (thickness_mm > 0 and thickness_mm <= 30),
  radius_in double precision check (radius_in > 0 and radius_in <= 200),
  notes text not null default '' check (length(notes) <= 2000),
  version integer not null default 1,
  archived_at timestamptz,
  check (shape in ('straight', 'template') or radius_in is not null)
);

alter table machine
  add column roll_start_in double precision not null default 2.5 check (roll_start_in between 0.5 and 12),
  add column ruler_foot_mm double precision not null default 6 check (ruler_foot_mm between 1 and 20),
  add column foot_offset_in double precision not null default 0.25 check (foot_offset_in between 0.05 and 1),
  add column couching_hole_mm double precision check (couching_hole_mm between 0.5 and 12),
  add column archived_at timestamptz;

create table calibration (
  id uuid primary key,
  machine_id uuid not null references machine (id),
  kind text not null check (kind in ('speed-dial', 'top-dial', 'bobbin-turns')),
  points jsonb not null check (jsonb_typeof(points) = 'array' and jsonb_array_length(points) between 2 and 40),
  at timestamptz not null default now(),
  version integer not null default 1,
  unique (machine_id, kind)
);

alter table studio
  add column needle_school text not null default 'per-thread' check (needle_school in ('per-thread', 'one')),
  add column one_needle_nm integer check (one_needle_nm between 40 and 200),
  add column spi_school text not null default 'by-curve' check (spi_school in ('by-curve', 'one')),
  add column one_spi double precision check (one_spi between 3 and 20),
  add column ditch_school text not null default 'before-fills' check (ditch_school in ('before-fills', 'everywhere', 'as-travel')),
  add column evenness double precision not null default 2.5 check (evenness between 1.2 and 20),
  add column motif_school text not null default 'by-size' check (motif_school in ('by-size', 'down', 'outline')),
  add column ends_school text not null default 'lock' check (ends_school in ('lock', 'bury')),
  add column rolling_school text not null default 'least-time' check (rolling_school in ('least-time', 'one-way', 'down-and-up')),
  add column tension_school text not null default 'both' check (tension_school in ('both', 'gauge', 'dial')),
  add column basting_school text not null default 'edges' check (basting_school in ('edges', 'edges-and-middle')),
  add column prewash_school text not null default 'ask' check (prewash_school in ('ask', 'always', 'never')),
  add column gap_share double precision not null default 0.95 check (gap_share between 0.5 and 1),
  add column low_m double precision not null default 300 check (low_m between 0 and 100000),
  add column needle_warn_share double precision not null default 0.9 check (needle_warn_share between 0.1 and 2),
  add column margin_in double precision not null default 4 check (margin_in between 0 and 20),
  add column test_margin_in double precision not null default 8 check (test_margin_in between 0 and 30),
  add constraint studio_one_needle check (needle_school <> 'one' or one_needle_nm is not null),
  add constraint studio_one_spi check (spi_school <> 'one' or one_spi is not null);

-- Which CSV column meant what, by the file's header, so that the next file of the kind is read the same way.
create table import_mapping (
  kind text not null,
  header text not null check (length(header) <= 4000),
  mapping jsonb not null,
  primary key (kind, header)
);

-- Find is type-ahead: letters anywhere in a name, answered from an index.
create index thread_find on thread (lower(line || ' ' || colour) text_pattern_ops);
create index quilt_find on quilt (lower(name) text_pattern_ops);

alter table zone add column version integer not null default 1;
