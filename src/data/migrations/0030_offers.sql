-- What the studio charges; one row.
create table rates (
  id boolean primary key default true check (id),
  basis text not null default 'hour' check (basis in ('hour', 'area')),
  hour_minor integer check (hour_minor between 0 and 10000000),
  table_hour_minor integer check (table_hour_minor between 0 and 10000000),
  edge_minor integer check (edge_minor between 0 and 10000000),
  light_minor integer check (light_minor between 0 and 10000000),
  custom_minor integer check (custom_minor between 0 and 10000000),
  dense_minor integer check (dense_minor between 0 and 10000000),
  least_minor integer check (least_minor between 0 and 10000000),
  bobbin_minor integer check (bobbin_minor between 0 and 10000000),
  rush_pct double precision not null default 0 check (rush_pct between 0 and 200),
  tax_pct double precision not null default 0 check (tax_pct between 0 and 100),
  version integer not null default 1
);
insert into rates default values;

-- What was offered for a quilt, as it was reckoned on its day; a newer one replaces it, and one at most stands agreed.
create table offer (
  id uuid primary key,
  quilt_id uuid not null references quilt (id),
  n integer not null check (n between 1 and 999),
  state text not null default 'offered' check (state in ('offered', 'agreed', 'changed', 'withdrawn')),
  basis text not null check (basis in ('hour', 'area')),
  tasks text[] not null default '{}' check (cardinality(tasks) <= 40),
  is_rush boolean not null default false,
  tax_pct double precision not null check (tax_pct between 0 and 100),
  valid_days integer not null check (valid_days between 1 and 365),
  note text not null default '' check (length(note) <= 1000),
  currency text not null check (currency ~ '^[A-Z]{3}$'),
  supplied jsonb not null default '[]' check (jsonb_typeof(supplied) = 'array' and octet_length(supplied::text) <= 20000),
  -- Lines in whole minor units and what they rest on.
  reckoned jsonb not null check (octet_length(reckoned::text) <= 40000),
  low_minor bigint not null check (low_minor >= 0),
  mid_minor bigint not null check (mid_minor >= low_minor),
  high_minor bigint not null check (high_minor >= mid_minor),
  made_on date not null default current_date,
  agreed_on date,
  made_at timestamptz not null default now(),
  version integer not null default 1,
  by_person uuid not null default acting_person() references person (id),
  unique (quilt_id, n),
  check ((state = 'agreed') <= (agreed_on is not null))
);
create unique index offer_standing on offer (quilt_id) where state in ('offered', 'agreed');
create index offer_of_quilt on offer (quilt_id, n desc);
