-- Stitches sewn in each zone by each pass, with the threads and needle they were sewn with: what the studio's own
-- fault rates are reckoned from.
create table stitches_sewn (
  zone_id uuid not null references zone (id),
  pass integer not null check (pass between 1 and 200),
  top_id uuid not null references thread (id),
  bobbin_id uuid not null references thread (id),
  needle_nm integer not null check (needle_nm between 40 and 200),
  stitches double precision not null check (stitches > 0),
  at timestamptz not null default now(),
  primary key (zone_id, pass)
);
create index stitches_by_top on stitches_sewn (top_id);
create index fault_in_zone on fault (zone_id) where zone_id is not null;
