-- Patterns of the studio: one repeat as lines, one wide, with what was measured at its usual width.
create table pattern (
  id uuid primary key,
  name text not null check (length(name) between 1 and 120),
  words text not null default '' check (length(words) <= 300),
  width_in double precision not null check (width_in between 0.25 and 200),
  unit jsonb not null check (jsonb_typeof(unit) = 'object' and octet_length(unit::text) <= 4000000),
  measured jsonb not null check (jsonb_typeof(measured) = 'object' and octet_length(measured::text) <= 20000),
  archived_at timestamptz,
  version integer not null default 1,
  by_person uuid not null default acting_person() references person (id)
);
create unique index pattern_name_key on pattern (lower(name)) where archived_at is null;

-- The pattern of a zone, and how it is laid there.
alter table zone add column pattern jsonb check (jsonb_typeof(pattern) = 'object' and octet_length(pattern::text) <= 4000);
