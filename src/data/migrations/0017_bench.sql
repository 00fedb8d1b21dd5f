-- The batch of a cone, as printed; two batches of one colour differ.
alter table cone add column batch text not null default '' check (length(batch) <= 60);

-- What a test lies on: layers, machine, needle, threads. Kept with the proof, so that a later change is seen.
create function rests_on(the_setup uuid) returns jsonb language sql stable as $$
  select jsonb_build_object(
    'cloths', (select coalesce(jsonb_agg(distinct jsonb_build_object('id', f.kind, 'name', f.name)), '[]')
               from zone_fabric zf join fabric f on f.id = zf.fabric_id where zf.zone_id = z.id),
    'features', (select coalesce(jsonb_agg(zf.feature order by zf.feature), '[]') from zone_feature zf where zf.zone_id = z.id),
    'batting', jsonb_build_object('id', b.id, 'name', b.name),
    'backing', jsonb_build_object('id', k.kind, 'name', k.name),
    'machine', jsonb_build_object('id', m.id, 'name', m.name),
    'needle', concat_ws(' ', s.needle_nm, s.needle_eye, s.needle_point),
    'top', jsonb_build_object('id', t.id, 'name', t.line || ' ' || t.colour, 'tex', t.tex, 'fibre', t.fibre, 'batch', t.batch),
    'bobbin', jsonb_build_object('id', u.id, 'name', u.line || ' ' || u.colour, 'tex', u.tex, 'fibre', u.fibre, 'batch', u.batch))
  from setup s join zone z on z.id = s.zone_id join quilt q on q.id = z.quilt_id
  join batting b on b.id = q.batting_id join fabric k on k.id = q.backing_id join machine m on m.id = q.machine_id
  join cone t on t.id = s.top_id join cone u on u.id = s.bobbin_id
  where s.id = the_setup $$;
alter table proof add column rested_on jsonb;
update proof set rested_on = rests_on(setup_id);

-- What else was seen of a test, its photograph, and what was measured on it.
alter table test_round
  add column seen text[] not null default '{}' check (cardinality(seen) <= 10),
  add column photograph_id uuid references photograph,
  add column measured jsonb;

-- Quick cures tried where directions differ, with what came of each.
create table cure (
  id uuid primary key,
  setup_id uuid not null references setup,
  kind text not null check (kind in ('needle', 'net', 'path', 'tension')),
  outcome text not null check (outcome in ('better', 'same', 'worse')),
  at timestamptz not null default now(),
  by_person uuid not null default acting_person() references person (id)
);
create index cure_setup on cure (setup_id);

-- Threads tried against each other on the margin: sewn, photographed, one chosen.
create table colour_trial (
  id uuid primary key,
  zone_id uuid not null references zone,
  cone_ids uuid[] not null check (cardinality(cone_ids) between 2 and 4),
  chosen_id uuid references cone,
  photograph_id uuid references photograph,
  note text not null default '' check (length(note) <= 1000),
  at timestamptz not null default now(),
  version integer not null default 1,
  by_person uuid not null default acting_person() references person (id),
  check (chosen_id is null or chosen_id = any (cone_ids))
);
create index colour_trial_zone on colour_trial (zone_id);
create index setup_chosen on setup (chosen_at desc);
