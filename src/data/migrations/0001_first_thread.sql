-- What the core's tables know by id; filled from them at every start, so that a foreign key can guard it.
create table fibre (id text primary key);
create table fabric_kind (id text primary key);
create table batting_kind (id text primary key);
create table feature (id text primary key);
create table technique (id text primary key);
create table symptom (id text primary key);

create table studio (
  id smallint primary key default 1 check (id = 1),
  name text not null check (length(btrim(name)) between 1 and 120),
  town text not null default '' check (length(town) <= 120),
  units text not null default 'inch' check (units in ('inch', 'metric', 'both')),
  hours_per_week double precision not null default 18 check (hours_per_week between 0 and 100),
  bobbin_school text not null default 'fine' check (bobbin_school in ('fine', 'same')),
  label_rule text not null default 'obey' check (label_rule in ('obey', 'weigh')),
  mode_rule text not null default 'by-technique'
    check (mode_rule in ('by-technique', 'cruise', 'precision', 'manual')),
  floor_spi double precision not null default 8 check (floor_spi between 3 and 20),
  version integer not null default 1
);

create table machine (
  id uuid primary key,
  name text not null unique check (length(btrim(name)) between 1 and 120),
  shank text not null default '' check (length(shank) <= 120),
  max_spm double precision not null check (max_spm between 100 and 10000),
  idle_min_spm double precision not null check (idle_min_spm >= 0),
  idle_max_spm double precision not null check (idle_max_spm >= idle_min_spm and idle_max_spm <= max_spm),
  min_spi double precision not null check (min_spi between 1 and 40),
  max_spi double precision not null check (max_spi >= min_spi and max_spi <= 40),
  modes text[] not null
    check (cardinality(modes) > 0 and modes <@ array['cruise', 'precision', 'manual']),
  feet text[] not null
    check (cardinality(feet) > 0 and feet <@ array['open-toe', 'ruler', 'bowl', 'couching', 'closed']),
  bobbin_od_mm double precision not null check (bobbin_od_mm between 5 and 60),
  bobbin_core_mm double precision not null check (bobbin_core_mm > 0 and bobbin_core_mm < bobbin_od_mm),
  bobbin_width_mm double precision not null check (bobbin_width_mm between 2 and 40),
  throat_in double precision not null check (throat_in between 4 and 60),
  dead_in double precision not null check (dead_in >= 0 and dead_in < throat_in),
  frame_in double precision not null check (frame_in between 10 and 300),
  roll_in_throat boolean not null default true,
  version integer not null default 1
);

create table fabric (
  id uuid primary key,
  kind text not null references fabric_kind (id),
  name text not null check (length(btrim(name)) between 1 and 120),
  hex text check (hex ~ '^#[0-9a-f]{6}$'),
  shipped boolean not null default false,
  unique (name)
);

create table batting (
  id uuid primary key,
  kind text not null references batting_kind (id),
  name text not null unique check (length(btrim(name)) between 1 and 120),
  shipped boolean not null default false
);

create table thread (
  id uuid primary key,
  line text not null check (length(btrim(line)) between 1 and 120),
  colour text not null check (length(btrim(colour)) between 1 and 120),
  hex text check (hex ~ '^#[0-9a-f]{6}$'),
  fibre text not null references fibre (id),
  label text not null default '' check (length(label) <= 200),
  tex double precision not null check (tex between 1 and 1000),
  tex_basis text not null check (tex_basis in ('measured', 'tex', 'den', 'ne', 'nm', 'ticket', 'wt')),
  role text not null check (role in ('top', 'bobbin', 'both')),
  remaining_m double precision check (remaining_m >= 0),
  remaining_source text check (remaining_source in ('weighed', 'logged', 'set')),
  needle_min_nm integer check (needle_min_nm between 40 and 200),
  needle_max_nm integer check (needle_max_nm between needle_min_nm and 200),
  archived_at timestamptz,
  version integer not null default 1,
  check ((remaining_m is null) = (remaining_source is null)),
  check ((needle_min_nm is null) = (needle_max_nm is null)),
  unique (line, colour)
);

create table needle (
  id uuid primary key,
  nm integer not null check (nm between 40 and 200),
  eye text not null check (eye in ('standard', 'large')),
  point text not null check (point in ('sharp', 'micro-sharp', 'light-ball')),
  stock integer not null default 0 check (stock between 0 and 10000),
  unique (nm, eye, point)
);

create table client (
  id uuid primary key,
  name text not null check (length(btrim(name)) between 1 and 120)
);

create table quilt (
  id uuid primary key,
  client_id uuid not null references client (id),
  name text not null check (length(btrim(name)) between 1 and 120),
  width_in double precision not null check (width_in between 4 and 200),
  length_in double precision not null check (length_in between 4 and 200),
  use text not null check (use in ('bed', 'baby', 'wall', 'show', 'garment', 'other')),
  batting_id uuid not null references batting (id),
  backing_id uuid not null references fabric (id),
  machine_id uuid not null references machine (id),
  taken_in_on date not null,
  due_on date not null,
  step text not null check (step in ('take-in', 'match', 'test', 'quilt', 'hand-back')),
  passes integer check (passes between 1 and 200),
  passes_sewn integer not null default 0 check (passes_sewn >= 0),
  on_frame_since date,
  waits_for text not null default '' check (length(waits_for) <= 200),
  check (due_on >= taken_in_on),
  check (passes_sewn <= coalesce(passes, 0))
);
create unique index one_quilt_on_a_frame on quilt (machine_id) where on_frame_since is not null;
create index quilt_due on quilt (due_on);

create table zone (
  id uuid primary key,
  quilt_id uuid not null references quilt (id),
  letter text not null check (letter ~ '^[A-Z]{1,2}$'),
  name text not null check (length(btrim(name)) between 1 and 120),
  -- GeoJSON MultiPolygon coordinates, inches from the quilt's top left corner
  geometry jsonb not null check (jsonb_typeof(geometry) = 'array' and jsonb_array_length(geometry) > 0),
  technique text not null references technique (id),
  spacing_in double precision not null check (spacing_in > 0 and spacing_in <= 200),
  smallest_radius_in double precision check (smallest_radius_in > 0),
  length_in double precision check (length_in > 0),
  visibility text not null check (visibility in ('sink', 'texture', 'show')),
  unique (quilt_id, letter),
  unique (id, quilt_id)
);

create table zone_fabric (
  zone_id uuid not null references zone (id) on delete cascade,
  position smallint not null check (position between 0 and 99),
  fabric_id uuid not null references fabric (id),
  hex text not null check (hex ~ '^#[0-9a-f]{6}$'),
  share double precision not null check (share > 0 and share <= 1),
  primary key (zone_id, position)
);

create table zone_feature (
  zone_id uuid not null references zone (id) on delete cascade,
  feature text not null references feature (id),
  primary key (zone_id, feature)
);

-- A set-up is never changed: choosing again adds the next version, so two windows cannot overwrite.
create table setup (
  id uuid primary key,
  zone_id uuid not null references zone (id),
  version integer not null check (version >= 1),
  top_id uuid not null references thread (id),
  bobbin_id uuid not null references thread (id),
  needle_nm integer not null check (needle_nm between 40 and 200),
  needle_eye text not null check (needle_eye in ('standard', 'large')),
  needle_point text not null check (needle_point in ('sharp', 'micro-sharp', 'light-ball')),
  foot text not null check (foot in ('open-toe', 'ruler', 'bowl', 'couching', 'closed')),
  spi double precision not null check (spi between 1 and 40),
  mode text not null check (mode in ('cruise', 'precision', 'manual')),
  idle_spm double precision not null check (idle_spm >= 0),
  max_in_per_s double precision not null check (max_in_per_s > 0 and max_in_per_s <= 60),
  top_gf double precision not null check (top_gf > 0 and top_gf <= 2000),
  bobbin_gf double precision not null check (bobbin_gf > 0 and bobbin_gf <= 500),
  ratio double precision not null check (ratio > 0),
  ratio_sd double precision not null check (ratio_sd > 0),
  chosen_at timestamptz not null default now(),
  unique (zone_id, version)
);

create table test_round (
  id uuid primary key,
  setup_id uuid not null references setup (id),
  n integer not null check (n >= 1),
  top_gf double precision not null check (top_gf > 0 and top_gf <= 2000),
  bobbin_gf double precision not null check (bobbin_gf > 0 and bobbin_gf <= 500),
  away smallint check (away between -3 and 3),
  toward smallint check (toward between -3 and 3),
  "left" smallint check ("left" between -3 and 3),
  "right" smallint check ("right" between -3 and 3),
  curve smallint check (curve between -3 and 3),
  point smallint check (point between -3 and 3),
  note text not null default '' check (length(note) <= 1000),
  sewn_at timestamptz not null default now(),
  check (num_nonnulls(away, toward, "left", "right", curve, point) > 0),
  unique (setup_id, n),
  unique (id, setup_id)
);

-- The end of a search: the tensions a test stitch has shown to balance.
create table proof (
  setup_id uuid primary key references setup (id),
  round_id uuid not null,
  top_gf double precision not null check (top_gf > 0),
  bobbin_gf double precision not null check (bobbin_gf > 0),
  ln_ratio_mean double precision not null,
  ln_ratio_sd double precision not null check (ln_ratio_sd > 0),
  proven_at timestamptz not null default now(),
  foreign key (round_id, setup_id) references test_round (id, setup_id)
);

create table fault (
  id uuid primary key,
  quilt_id uuid not null references quilt (id),
  zone_id uuid,
  n integer not null check (n >= 1),
  x_in double precision,
  y_in double precision,
  pass integer check (pass between 1 and 200),
  direction text check (direction in ('away', 'toward', 'left', 'right', 'curve', 'point')),
  note text not null default '' check (length(note) <= 2000),
  status text not null default 'open' check (status in ('open', 'mended', 'left')),
  noticed_at timestamptz not null default now(),
  version integer not null default 1,
  check ((x_in is null) = (y_in is null)),
  foreign key (zone_id, quilt_id) references zone (id, quilt_id),
  unique (quilt_id, n)
);

create table fault_symptom (
  fault_id uuid not null references fault (id) on delete cascade,
  symptom text not null references symptom (id),
  primary key (fault_id, symptom)
);

-- What an action answered, by the key its form was given: a double click or a resent form stores once.
create table receipt (
  key uuid primary key,
  action text not null,
  result jsonb not null,
  at timestamptz not null default now()
);
