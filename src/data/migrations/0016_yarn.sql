-- Thread of several colours along its length: the colours, and how long each runs.
create function all_hex(text[]) returns boolean language sql immutable as
  $$ select coalesce(bool_and(x ~ '^#[0-9a-f]{6}$'), true) from unnest($1) x $$;
alter table cone
  add column hexes text[] not null default '{}'
    constraint cone_hexes check (cardinality(hexes) <= 12 and all_hex(hexes)),
  add column run_in double precision constraint cone_run check (run_in between 0.1 and 400);

-- Yarn that is couched onto a quilt.
create table yarn (
  id uuid primary key,
  name text not null constraint yarn_name check (length(name) between 1 and 120 and name !~ '[\r\n]'),
  hex text check (hex ~ '^#[0-9a-f]{6}$'),
  diameter_mm double precision not null constraint yarn_diameter check (diameter_mm between 0.2 and 20),
  skein_m double precision constraint yarn_skein check (skein_m between 0.5 and 10000),
  skeins double precision not null default 1 constraint yarn_skeins check (skeins between 0 and 1000),
  place text not null default '' check (length(place) <= 120),
  price double precision check (price between 0 and 100000),
  notes text not null default '' check (length(notes) <= 2000),
  archived_at timestamptz,
  version integer not null default 1
);
create unique index yarn_name_key on yarn (lower(name)) where archived_at is null;

-- What is wished of a zone: how soft it stays, how often each line is sewn over, which yarn is laid.
alter table zone
  add column softness text check (softness in ('soft', 'usual', 'firm')),
  add column retraced smallint constraint zone_retraced check (retraced between 1 and 9),
  add column yarn_id uuid references yarn;

-- The shelf is kept in mind by a mark that changes with every change of a cone.
insert into log_mark (log) values ('cone');
create trigger cone_changed after insert or update or delete on cone
  for each statement execute function log_changed();
