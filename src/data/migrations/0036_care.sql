-- What the manual of a machine says of its care, in place of the usual figures.
create table care_limit (
  machine_id uuid not null references machine (id) on delete cascade,
  item text not null check (length(item) between 1 and 40),
  sealed boolean not null default false,
  limits jsonb not null default '{}' check (jsonb_typeof(limits) = 'object' and octet_length(limits::text) <= 400),
  primary key (machine_id, item)
);

-- What was done to a machine, by whoever did it: at the machine with a tap, or by a technician with what was found.
create table care_done (
  id uuid primary key,
  machine_id uuid not null references machine (id) on delete cascade,
  item text not null check (length(item) between 1 and 40),
  at timestamptz not null default now(),
  -- Told by an entry of the log; it goes when that is taken back.
  entry_id uuid unique references log_entry (id),
  technician text not null default '' check (length(technician) <= 120),
  found text not null default '' check (length(found) <= 2000),
  parts text not null default '' check (length(parts) <= 1000),
  touched text[] not null default '{}' check (touched <@ array['timing', 'hook', 'case', 'tension-unit']),
  gauge_before_gf double precision check (gauge_before_gf between 1 and 2000),
  gauge_after_gf double precision check (gauge_after_gf between 1 and 2000),
  counter_stitches double precision check (counter_stitches between 0 and 1e10),
  taken_back_at timestamptz,
  by_person uuid not null default acting_person() references person (id)
);
create index care_done_of on care_done (machine_id, item, at desc) where taken_back_at is null;
create index care_done_touched on care_done (machine_id, at desc) where taken_back_at is null and touched <> '{}';

-- Readings of a machine's own counter.
create table machine_counter (
  id uuid primary key,
  machine_id uuid not null references machine (id) on delete cascade,
  at timestamptz not null default now(),
  stitches double precision not null check (stitches between 0 and 1e10),
  by_person uuid not null default acting_person() references person (id)
);
create index machine_counter_of on machine_counter (machine_id, at);

-- Pictures of a service belong to it as those of a quilt belong to the quilt.
alter table photograph
  add column care_id uuid references care_done (id),
  drop constraint photograph_check,
  drop constraint photograph_moment_check,
  add constraint photograph_moment_check check (moment in ('take-in', 'condition', 'test', 'fault', 'hand-back', 'service')),
  add constraint photograph_of_something check (num_nonnulls(intake_id, quilt_id, care_id) > 0);
create index photograph_of_care on photograph (care_id) where care_id is not null;

-- A machine on a table: the quilt is moved. And sewing that no log tells of, hours a week; the pull that moves it.
alter table machine
  add column kind text not null default 'frame' check (kind in ('frame', 'table')),
  add column throat_height_in double precision not null default 5 check (throat_height_in between 2 and 20),
  add column regulated text not null default 'sensor' check (regulated in ('none', 'sensor', 'walking-foot')),
  add column drag_n double precision check (drag_n between 0 and 100),
  add column other_hours_week double precision not null default 0 check (other_hours_week between 0 and 100);

create index step_sewn_by_day on step_sewn (at);

-- Care and the air are told at the machine as everything else is.
alter table log_entry
  drop constraint log_entry_kind_check,
  add constraint log_entry_kind_check check (kind in ('step-begun', 'step-paused', 'step-resumed', 'step-done', 'zone-begun',
    'advanced', 'bobbin-changed', 'needle-changed', 'thread-changed', 'setting-changed', 'width-measured', 'back-checked',
    'fault', 'fault-mended', 'care-done', 'air-noted', 'note', 'undone'));

-- A test rests on the machine as it was: what a service touched of hook, case, timing or tension unit counts.
create or replace function rests_on(the_setup uuid) returns jsonb language sql stable as $$
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
    || coalesce((select jsonb_build_object('serviced', jsonb_build_object('id', c.id, 'name', array_to_string(c.touched, ', ')))
                 from care_done c where c.machine_id = m.id and c.taken_back_at is null and c.touched <> '{}'
                 order by c.at desc, c.id desc limit 1), '{}')
  from setup s join zone z on z.id = s.zone_id join quilt q on q.id = z.quilt_id
  join batting b on b.id = q.batting_id join fabric k on k.id = q.backing_id join machine m on m.id = q.machine_id
  join cone t on t.id = s.top_id join cone u on u.id = s.bobbin_id
  where s.id = the_setup $$;
drop index log_entry_effects;
create index log_entry_effects on log_entry (quilt_id, happened_at)
  where kind in ('step-done', 'bobbin-changed', 'needle-changed', 'thread-changed', 'setting-changed', 'fault', 'fault-mended',
    'care-done', 'air-noted', 'undone');

-- The air as it was noted at a machine, while its entry stands.
create table air_note (
  id uuid primary key references log_entry (id),
  machine_id uuid not null references machine (id) on delete cascade,
  at timestamptz not null,
  humidity_pct double precision check (humidity_pct between 1 and 100),
  static_felt boolean not null default false
);
create index air_note_of on air_note (machine_id, at desc);

-- A service changes what tests rest on and how sure the machine's own effect is: what is kept in mind of both is read anew.
create function care_changed() returns trigger language plpgsql as $$
begin
  insert into log_mark (log) values ('proof'), ('workroom') on conflict (log) do update set mark = gen_random_uuid();
  return null;
end $$;
create trigger care_changed after insert or update or delete on care_done for each statement execute function care_changed();
