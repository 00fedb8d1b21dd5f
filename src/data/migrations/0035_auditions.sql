-- Where a quilt's corners lie in a photograph of it, as shares of the picture: from the top left round to the right.
alter table photograph add column corners jsonb
  check (jsonb_typeof(corners) = 'array' and jsonb_array_length(corners) = 4);

-- Two ways to quilt a zone that were laid side by side, and are shown to the client.
create table audition (
  zone_id uuid primary key references zone (id) on delete cascade,
  sides jsonb not null check (jsonb_typeof(sides) = 'array' and jsonb_array_length(sides) = 2
                              and octet_length(sides::text) <= 2000),
  kept_at timestamptz not null default now(),
  by_person uuid not null default acting_person() references person (id)
);
