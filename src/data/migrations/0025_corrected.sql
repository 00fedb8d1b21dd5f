-- Flaws that are mended, not diagnosed, may be noted like any sign.
insert into symptom (id) values ('missed_spot'), ('thread_ends'), ('tear'), ('caught'), ('left_in'), ('shadow')
  on conflict do nothing;

-- How a client is reached, and what she allows.
alter table client
  add column phone text not null default '' check (length(phone) <= 60),
  add column email text not null default '' check (length(email) <= 254),
  add column address text not null default '' check (length(address) <= 500),
  add column contact_by text check (contact_by in ('phone', 'email', 'post', 'shop')),
  add column photos_ok text check (photos_ok in ('no', 'private', 'public'));
create index client_name on client (lower(name));

-- Money is whole minor units of one currency.
alter table preferences add column currency text not null default 'EUR' check (currency ~ '^[A-Z]{3}$');

-- What is agreed with the client; a quilt that is withdrawn keeps its record.
alter table quilt
  add column deposit_minor integer check (deposit_minor between 0 and 100000000),
  add column deposit_on date,
  add column approval text not null default 'not-asked' check (approval in ('not-asked', 'asked', 'agreed', 'changed')),
  add column approved_on date,
  add column delivery text not null default 'collect' check (delivery in ('collect', 'ship')),
  add column ship_value_minor integer check (ship_value_minor between 0 and 100000000),
  add column tracking text not null default '' check (length(tracking) <= 120),
  add column withdrawn_on date,
  add column withdrawn_why text not null default '' check (length(withdrawn_why) <= 300),
  add constraint quilt_withdrawn check (withdrawn_on is null or (on_frame_since is null and handed_back_on is null));
drop index quilt_open;
create index quilt_open on quilt (due_on) where handed_back_on is null and withdrawn_on is null;

-- Every correction of a quilt after intake: what was, what is, what else moved with it; undone and put back at will.
create table quilt_change (
  id uuid primary key,
  quilt_id uuid not null references quilt on delete cascade,
  n integer not null check (n >= 1),
  changed jsonb not null check (jsonb_typeof(changed) = 'object'),
  moved jsonb not null default '{}' check (jsonb_typeof(moved) = 'object'),
  said text[] not null default '{}',
  at timestamptz not null default now(),
  undone_at timestamptz,
  by_person uuid not null default acting_person() references person (id),
  unique (quilt_id, n)
);

-- What was found on it when it arrived.
create table condition (
  id uuid primary key,
  quilt_id uuid not null references quilt on delete cascade,
  n integer not null check (n between 1 and 200),
  kind text not null check (kind in ('open-seam', 'stain', 'tear', 'weak-fabric', 'bleeding-dye', 'loose-threads',
    'wavy-border', 'full-block', 'not-square', 'metal-left', 'pet-hair', 'odour', 'seams-open', 'bulk', 'loose-applique',
    'backing-fault')),
  side text not null check (side in ('top', 'back')),
  place text not null default '' check (length(place) <= 120),
  x_in double precision check (x_in between 0 and 200),
  y_in double precision check (y_in between 0 and 200),
  size_in double precision check (size_in between 0 and 400),
  note text not null default '' check (length(note) <= 500),
  state text not null default 'found' check (state in ('found', 'told', 'agreed', 'declined', 'done')),
  photograph_id uuid references photograph,
  removed_at timestamptz,
  version integer not null default 1,
  unique (quilt_id, n)
);
create trigger condition_touched after insert or update or delete on condition for each row execute function part_of_quilt_touched();
alter table photograph drop constraint photograph_moment_check,
  add constraint photograph_moment_check check (moment in ('take-in', 'condition', 'test', 'fault', 'hand-back'));

-- What was chosen of backing and binding.
create table prepared (
  quilt_id uuid primary key references quilt on delete cascade,
  cloth_in double precision not null check (cloth_in between 10 and 200),
  margin_in double precision not null check (margin_in between 0 and 24),
  test_margin_in double precision not null check (test_margin_in between 0 and 40),
  shrink_pct double precision not null check (shrink_pct between 0 and 30),
  prewash boolean not null,
  stretch boolean not null,
  nap boolean not null,
  strip_in double precision not null check (strip_in between 0.5 and 12),
  layout text check (layout in ('whole', 'whole-turned', 'vertical-seams', 'horizontal-seams')),
  with_quilts uuid[] not null default '{}' check (cardinality(with_quilts) <= 30),
  version integer not null default 1
);
