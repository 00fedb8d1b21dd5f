-- With what lines are marked: tools used here, how marks may be taken off, and what scraps said.
alter table quilt add column marks_off text check (marks_off in ('water', 'dry'));
alter table preferences add column markers text[] not null
  default '{air-pen,water-pen,heat-pen,chalk,ceramic-pencil,wax,crease,tape}' check (cardinality(markers) <= 40);

create table marker_test (
  id uuid primary key,
  fabric_id uuid not null references fabric (id),
  marker text not null check (marker in
    ('air-pen', 'water-pen', 'heat-pen', 'chalk', 'ceramic-pencil', 'wax', 'crease', 'tape', 'soluble-film', 'light')),
  outcome text not null check (outcome in ('gone', 'ghost', 'stays')),
  at timestamptz not null default now(),
  by_person uuid not null default acting_person() references person (id)
);
create index marker_test_of_fabric on marker_test (fabric_id, at);


-- Battings joined are quilted within the strictest of their distances; a panel several pieces are cut from.
alter table prepared
  add column joined_gap_in double precision check (joined_gap_in > 0 and joined_gap_in <= 100),
  add column panel text not null default '' check (length(panel) <= 60);
