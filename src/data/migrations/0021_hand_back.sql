-- A fault as it was met: how bad, on what set-up, its photograph, the word it was accepted with; or judged harmless.
alter table fault
  add column severity smallint check (severity between 0 and 3),
  add column known jsonb not null default '{}' check (octet_length(known::text) <= 4000),
  add column photograph_id uuid references photograph,
  add column word text not null default '' check (length(word) <= 300),
  drop constraint fault_status_check,
  add constraint fault_status_check check (status in ('open', 'mended', 'left', 'harmless')),
  drop constraint fault_direction_check,
  add constraint fault_direction_check
    check (direction in ('away', 'toward', 'left', 'right', 'curve', 'point', 'start', 'seam'));
create index fault_direction on fault (direction, status) where direction is not null;
create index fault_evidence_dear on fault_evidence (minutes_lost desc) where minutes_lost is not null;

-- What the studio's causes are learned from is kept in mind by a mark.
insert into log_mark (log) values ('fault_evidence');
create trigger fault_evidence_changed after insert or update or delete on fault_evidence
  for each statement execute function log_changed();

-- When a photograph was taken, in the life of a quilt.
alter table photograph
  add column moment text not null default 'take-in' check (moment in ('take-in', 'test', 'fault', 'hand-back'));

-- The tally by month, so that a trend is read and not counted anew.
drop function add_to_tally(uuid, uuid, integer, text, text, text, uuid, double precision, integer);
alter table sewn_tally add column month date;
delete from sewn_tally;
alter table sewn_tally alter column month set not null, drop constraint sewn_tally_pkey,
  add primary key (top_id, bobbin_id, needle_nm, technique, fabric_kind, batting_kind, machine_id, month);
create function add_to_tally(a uuid, b uuid, nm integer, t text, f text, w text, m uuid, at timestamptz,
                             s double precision, n integer)
returns void language sql as $$
  insert into sewn_tally (top_id, bobbin_id, needle_nm, technique, fabric_kind, batting_kind, machine_id, month, stitches, faults)
  select a, b, nm, t, f, w, m, date_trunc('month', at at time zone 'UTC')::date, s, n
  where num_nonnulls(a, b, nm, t, f, w, m) = 7
  on conflict (top_id, bobbin_id, needle_nm, technique, fabric_kind, batting_kind, machine_id, month)
  do update set stitches = greatest(0, sewn_tally.stitches + excluded.stitches),
                faults = greatest(0, sewn_tally.faults + excluded.faults)
$$;
create or replace function stitches_count() returns trigger language plpgsql as $$
begin
  if tg_op in ('UPDATE', 'DELETE') then
    perform add_to_tally(old.top_id, old.bobbin_id, old.needle_nm, old.technique, old.fabric_kind, old.batting_kind,
                         old.machine_id, old.at, -old.stitches, 0);
  end if;
  if tg_op in ('INSERT', 'UPDATE') then
    perform add_to_tally(new.top_id, new.bobbin_id, new.needle_nm, new.technique, new.fabric_kind, new.batting_kind,
                         new.machine_id, new.at, new.stitches, 0);
  end if;
  return null;
end $$;
-- What was judged harmless is no fault, and counts as none.
create or replace function fault_count() returns trigger language plpgsql as $$
begin
  if tg_op in ('UPDATE', 'DELETE') and old.status <> 'harmless' then
    perform add_to_tally(old.top_id, old.bobbin_id, old.needle_nm, old.technique, old.fabric_kind, old.batting_kind,
                         old.machine_id, old.noticed_at, 0, -1);
  end if;
  if tg_op in ('INSERT', 'UPDATE') and new.status <> 'harmless' then
    perform add_to_tally(new.top_id, new.bobbin_id, new.needle_nm, new.technique, new.fabric_kind, new.batting_kind,
                         new.machine_id, new.noticed_at, 0, 1);
  end if;
  return null;
end $$;
drop trigger fault_count on fault;
create trigger fault_count after insert or delete or update of top_id, bobbin_id, needle_nm, technique, fabric_kind,
  batting_kind, machine_id, noticed_at, status on fault for each row execute function fault_count();
insert into sewn_tally (top_id, bobbin_id, needle_nm, technique, fabric_kind, batting_kind, machine_id, month, stitches, faults)
select top_id, bobbin_id, needle_nm, technique, fabric_kind, batting_kind, machine_id,
       date_trunc('month', at at time zone 'UTC')::date, sum(s), sum(n)
from (select top_id, bobbin_id, needle_nm, technique, fabric_kind, batting_kind, machine_id, at, stitches as s, 0 as n
      from stitches_sewn
      union all
      select top_id, bobbin_id, needle_nm, technique, fabric_kind, batting_kind, machine_id, noticed_at, 0, 1 from fault) x
where num_nonnulls(top_id, bobbin_id, needle_nm, technique, fabric_kind, batting_kind, machine_id) = 7
group by 1, 2, 3, 4, 5, 6, 7, 8;
create index stitches_sewn_at on stitches_sewn (at desc);
create index step_sewn_lately on step_sewn (at desc);

-- A quilt taken off, trimmed, looked over, mended, washed, measured: what was done, and how it came out.
create table hand_back (
  quilt_id uuid primary key references quilt,
  off_frame_at timestamptz,
  trimmed_at timestamptz,
  top_seen_at timestamptz,
  back_seen_at timestamptz,
  washed_at timestamptz,
  widths_in double precision[] check (cardinality(widths_in) = 3 and 4 <= all (widths_in) and 200 >= all (widths_in)),
  lengths_in double precision[] check (cardinality(lengths_in) = 3 and 4 <= all (lengths_in) and 200 >= all (lengths_in)),
  word text not null default '' check (length(word) <= 2000),
  waived_by text not null default '' check (length(waived_by) <= 120),
  waived_why text not null default '' check (length(waived_why) <= 300),
  -- Hours, thread and faults against the plan, as they stood on the day it went home.
  came_to jsonb check (octet_length(came_to::text) <= 4000),
  version integer not null default 1,
  by_person uuid not null default acting_person() references person (id),
  check ((widths_in is null) = (lengths_in is null)),
  check ((waived_by = '') = (waived_why = ''))
);
create index quilt_home on quilt (handed_back_on desc) where handed_back_on is not null;

-- No quilt goes home with an open fault, unless someone waived it by name.
create function home_is_clear() returns trigger language plpgsql as $$
begin
  if new.handed_back_on is not null and old.handed_back_on is null
     and exists (select from fault where quilt_id = new.id and status = 'open')
     and not exists (select from hand_back where quilt_id = new.id and waived_by <> '') then
    raise exception 'The mend list is not clear.' using errcode = 'check_violation', constraint = 'mend_list_clear';
  end if;
  return new;
end $$;
create trigger home_is_clear before update of handed_back_on on quilt for each row execute function home_is_clear();
