-- What was answered of a fault on its bench, and what it was found to be.
create table fault_evidence (
  fault_id uuid primary key references fault,
  absent text[] not null default '{}' check (cardinality(absent) <= 60),
  facts jsonb not null default '{}' check (octet_length(facts::text) <= 4000),
  done jsonb not null default '[]' check (octet_length(done::text) <= 8000),
  -- The cause that was confirmed: one of the tables, or one in the studio's own words.
  cause text check (length(cause) between 1 and 80),
  own_cause text not null default '' check (length(own_cause) <= 200),
  remedy text not null default '' check (length(remedy) <= 300),
  helped boolean,
  minutes_lost double precision check (minutes_lost between 0 and 2000),
  closed_at timestamptz,
  -- Left out of what the studio's causes are learned from.
  left_out boolean not null default false,
  version integer not null default 1,
  by_person uuid not null default acting_person() references person (id)
);
create index fault_evidence_closed on fault_evidence (closed_at) where closed_at is not null;
-- The book of all faults: newest first, and by sign.
create index fault_noticed on fault (noticed_at desc);
create index fault_symptom_sign on fault_symptom (symptom);
