-- The unit of work is the step: one pass with one thread, to stabilise or to fill. What a quilt was begun with stays
-- with it; a quilt handed back leaves Rack and calendar.
alter table quilt
  -- Machine, frame, margin, bobbin and steps as they were when its passes were fixed.
  add column begun jsonb check (jsonb_typeof(begun) = 'object'),
  add column handed_back_on date,
  add constraint quilt_handed_back check (handed_back_on is null or step = 'hand-back');
create index quilt_open on quilt (due_on) where handed_back_on is null;

create table step_sewn (
  id uuid primary key,
  quilt_id uuid not null references quilt (id),
  pass integer not null check (pass between 1 and 200),
  -- Nothing: every thread of that pass, from the time when passes were logged whole.
  cone_id uuid references cone (id),
  stabilise boolean not null default false,
  minutes double precision check (minutes > 0 and minutes <= 2000),
  -- What was predicted for each part of it; nothing: no honest prediction, so it teaches nothing.
  parts jsonb check (jsonb_typeof(parts) = 'array'),
  stitches double precision not null default 0 check (stitches >= 0),
  needle_fitted_id uuid references needle_fitted (id),
  left_out boolean not null default false,
  at timestamptz not null default now(),
  by_person uuid not null default acting_person() references person (id),
  unique nulls not distinct (quilt_id, pass, cone_id, stabilise)
);
create index step_sewn_at on step_sewn (at desc) where minutes is not null and parts is not null;

insert into step_sewn (id, quilt_id, pass, minutes, parts, at, by_person)
select p.id, p.quilt_id, p.pass, p.minutes,
       case when p.predicted_min > 0.5 then jsonb_build_array(
         jsonb_build_object('technique', 'whole-pass', 'handsMin', p.predicted_min, 'actsMin', 0)) end,
       p.at, p.by_person
from pass_log p;
insert into step_sewn (id, quilt_id, pass, at)
select gen_random_uuid(), q.id, n, q.taken_in_on
from quilt q cross join lateral generate_series(1, q.passes_sewn) n
on conflict do nothing;
drop table pass_log;

update quilt q set begun = jsonb_build_object(
  'machineId', m.id, 'machine', m.name, 'marginIn', 4,
  'frame', jsonb_build_object('throatIn', m.throat_in, 'deadIn', m.dead_in, 'widthIn', m.frame_in,
                              'rollInThroat', m.roll_in_throat, 'rollStartIn', m.roll_start_in),
  'bobbinMm', jsonb_build_object('od', m.bobbin_od_mm, 'core', m.bobbin_core_mm, 'width', m.bobbin_width_mm),
  'at', now(), 'steps', '[]'::jsonb)
from machine m where m.id = q.machine_id and q.depths_in is not null;
alter table quilt drop column passes_sewn;

-- What a fault and a sewn stretch rested on stays with them, and the tally of both is kept, never counted anew.
alter table fault
  add column top_id uuid references cone (id),
  add column bobbin_id uuid references cone (id),
  add column needle_nm integer,
  add column technique text references technique (id),
  add column fabric_kind text references fabric_kind (id),
  add column batting_kind text references batting_kind (id),
  add column machine_id uuid references machine (id);
alter table stitches_sewn
  add column technique text references technique (id),
  add column fabric_kind text references fabric_kind (id),
  add column batting_kind text references batting_kind (id),
  add column machine_id uuid references machine (id);

create table sewn_tally (
  top_id uuid not null references cone (id),
  bobbin_id uuid not null references cone (id),
  needle_nm integer not null,
  technique text not null references technique (id),
  fabric_kind text not null references fabric_kind (id),
  batting_kind text not null references batting_kind (id),
  machine_id uuid not null references machine (id),
  stitches double precision not null default 0,
  faults integer not null default 0,
  primary key (top_id, bobbin_id, needle_nm, technique, fabric_kind, batting_kind, machine_id)
);

create function add_to_tally(a uuid, b uuid, nm integer, t text, f text, w text, m uuid, s double precision, n integer)
returns void language sql as $$
  insert into sewn_tally (top_id, bobbin_id, needle_nm, technique, fabric_kind, batting_kind, machine_id, stitches, faults)
  select a, b, nm, t, f, w, m, s, n
  where num_nonnulls(a, b, nm, t, f, w, m) = 7
  on conflict (top_id, bobbin_id, needle_nm, technique, fabric_kind, batting_kind, machine_id)
  do update set stitches = greatest(0, sewn_tally.stitches + excluded.stitches),
                faults = greatest(0, sewn_tally.faults + excluded.faults)
$$;

-- The cloth a zone mostly is, its technique, the quilt's batting and machine.
create function facts_of_zone(zone uuid) returns table (technique text, fabric_kind text, batting_kind text, machine_id uuid)
language sql stable as $$
  select z.technique,
         (select f.kind from zone_fabric zf join fabric f on f.id = zf.fabric_id where zf.zone_id = z.id
          order by zf.share desc, zf.position limit 1),
         b.kind, q.machine_id
  from zone z join quilt q on q.id = z.quilt_id join batting b on b.id = q.batting_id where z.id = zone
$$;

create function stitches_fill() returns trigger language plpgsql as $$
begin
  select t.technique, t.fabric_kind, t.batting_kind, t.machine_id
  into new.technique, new.fabric_kind, new.batting_kind, new.machine_id from facts_of_zone(new.zone_id) t;
  return new;
end $$;
create function stitches_count() returns trigger language plpgsql as $$
begin
  if tg_op in ('UPDATE', 'DELETE') then
    perform add_to_tally(old.top_id, old.bobbin_id, old.needle_nm, old.technique, old.fabric_kind, old.batting_kind,
                         old.machine_id, -old.stitches, 0);
  end if;
  if tg_op in ('INSERT', 'UPDATE') then
    perform add_to_tally(new.top_id, new.bobbin_id, new.needle_nm, new.technique, new.fabric_kind, new.batting_kind,
                         new.machine_id, new.stitches, 0);
  end if;
  return null;
end $$;
create trigger stitches_fill before insert on stitches_sewn for each row execute function stitches_fill();
create trigger stitches_count after insert or update or delete on stitches_sewn
  for each row execute function stitches_count();

-- A fault is blamed on what stood on the card of its zone when it was noted.
create function fault_fill() returns trigger language plpgsql as $$
begin
  if new.zone_id is not null then
    select t.technique, t.fabric_kind, t.batting_kind, t.machine_id
    into new.technique, new.fabric_kind, new.batting_kind, new.machine_id from facts_of_zone(new.zone_id) t;
    select coalesce(new.top_id, s.top_id), coalesce(new.bobbin_id, s.bobbin_id), coalesce(new.needle_nm, s.needle_nm)
    into new.top_id, new.bobbin_id, new.needle_nm
    from setup s where s.zone_id = new.zone_id order by s.version desc limit 1;
  end if;
  return new;
end $$;
create function fault_count() returns trigger language plpgsql as $$
begin
  if tg_op in ('UPDATE', 'DELETE') then
    perform add_to_tally(old.top_id, old.bobbin_id, old.needle_nm, old.technique, old.fabric_kind, old.batting_kind,
                         old.machine_id, 0, -1);
  end if;
  if tg_op in ('INSERT', 'UPDATE') then
    perform add_to_tally(new.top_id, new.bobbin_id, new.needle_nm, new.technique, new.fabric_kind, new.batting_kind,
                         new.machine_id, 0, 1);
  end if;
  return null;
end $$;
create trigger fault_fill before insert on fault for each row execute function fault_fill();
create trigger fault_count after insert or delete or update of top_id, bobbin_id, needle_nm, technique, fabric_kind,
  batting_kind, machine_id on fault for each row execute function fault_count();

-- What was logged before gets the same facts.
update stitches_sewn s set (technique, fabric_kind, batting_kind, machine_id) =
  (select t.technique, t.fabric_kind, t.batting_kind, t.machine_id from facts_of_zone(s.zone_id) t);
update fault f set (technique, fabric_kind, batting_kind, machine_id) =
    (select t.technique, t.fabric_kind, t.batting_kind, t.machine_id from facts_of_zone(f.zone_id) t),
  (top_id, bobbin_id, needle_nm) =
    (select s.top_id, s.bobbin_id, s.needle_nm from setup s where s.zone_id = f.zone_id order by s.version desc limit 1)
where f.zone_id is not null;
create index fault_of_quilt on fault (quilt_id, noticed_at);
create index fault_open on fault (quilt_id) where status = 'open';
create index setup_of_zone on setup (zone_id, version desc);

-- Stitches by their wear: what a needle's life is reckoned from.
alter table needle_fitted add column worn double precision not null default 0 check (worn >= 0);
update needle_fitted set worn = stitches;
