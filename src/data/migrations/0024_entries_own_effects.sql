-- Whatever an entry of the log writes carries that entry's id; taken back, exactly these rows go and what stood before
-- stands again. The tables follow from the entries that stand: what an entry rested on is kept with it, so that it can be
-- put again as it was.

-- When it happened, by the studio's own clock: the device's time less what its clock is ahead.
alter table log_entry add column happened_at timestamptz;
alter table log_entry disable trigger only_added;
update log_entry set happened_at = least(at, received_at);
alter table log_entry enable trigger only_added;
alter table log_entry
  alter column happened_at set not null,
  drop constraint log_entry_kind_check,
  add constraint log_entry_kind_check check (kind in ('step-begun', 'step-paused', 'step-resumed', 'step-done', 'zone-begun',
    'advanced', 'bobbin-changed', 'needle-changed', 'thread-changed', 'setting-changed', 'width-measured', 'back-checked',
    'fault', 'fault-mended', 'note', 'undone'));
create function happened_as_told() returns trigger language plpgsql as $$
begin
  new.happened_at := coalesce(new.happened_at, least(new.at, now()));
  return new;
end $$;
create trigger happened_as_told before insert on log_entry for each row execute function happened_as_told();
create index log_entry_effects on log_entry (quilt_id, happened_at)
  where kind in ('step-done', 'bobbin-changed', 'needle-changed', 'thread-changed', 'setting-changed', 'fault', 'fault-mended', 'undone');

create table device_clock (
  device uuid primary key,
  ahead_ms double precision not null check (abs(ahead_ms) < 1e13)
);

-- What a step that was sewn rested on when it was told: kept, so that taken back and put again it is the same.
create table step_basis (
  entry_id uuid primary key references log_entry,
  quilt_id uuid not null references quilt,
  basis jsonb not null check (jsonb_typeof(basis) = 'object')
);
create index step_basis_quilt on step_basis (quilt_id);

-- The effect of a sewn step as it was written, to see whether it still is what the log says.
alter table step_sewn add column applied text;
alter table stitches_sewn
  add column id uuid not null default gen_random_uuid(),
  add column step_id uuid references step_sewn on delete cascade,
  drop constraint stitches_sewn_pkey,
  add primary key (id);
update stitches_sewn s set step_id = m.id
from (select s.id as stitches, (array_agg(w.id))[1] as id
      from stitches_sewn s join zone z on z.id = s.zone_id
      join step_sewn w on w.quilt_id = z.quilt_id and w.pass = s.pass and w.cone_id = s.top_id
      group by s.id having count(*) = 1) m
where m.stitches = s.id;
create unique index stitches_sewn_once on stitches_sewn (zone_id, pass, step_id) nulls not distinct;
create index stitches_sewn_step on stitches_sewn (step_id);

-- What is left on a cone: what was counted on it last, less what was taken since. Nothing is clamped on the way, so that
-- what is given back is never more than there was.
alter table cone_use rename column step_id to entry_id;
alter index cone_use_step rename to cone_use_entry;
alter table cone
  add column counted_m double precision check (counted_m >= 0),
  add column counted_at timestamptz,
  add column counted_source text check (counted_source in ('weighed', 'set', 'logged'));
create function cone_counted() returns trigger language plpgsql as $$
begin
  if new.remaining_m is not null and new.counted_m is null then
    new.counted_m := new.remaining_m;
    new.counted_at := coalesce(new.remaining_at, now());
    new.counted_source := new.remaining_source;
  end if;
  return new;
end $$;
with last as (
  select c.id, max(u.at) filter (where u.left_m is not null and u.why in ('weighed', 'set')) as at
  from cone c left join cone_use u on u.cone_id = c.id group by c.id)
update cone c set
  counted_m = greatest(0, c.remaining_m - coalesce((select sum(u.metres) from cone_use u
    where u.cone_id = c.id and u.why not in ('weighed', 'set') and (l.at is null or u.at > l.at)), 0)),
  counted_at = coalesce(l.at, '2000-01-01'),
  counted_source = c.remaining_source
from last l where l.id = c.id and c.remaining_m is not null;
create trigger cone_counted before insert or update on cone for each row execute function cone_counted();
create function recount_cone(the_cone uuid) returns void language sql as $$
  update cone c set
    remaining_m = greatest(0, c.counted_m + taken.m),
    remaining_at = greatest(c.counted_at, taken.at),
    remaining_source = case when taken.at is null then c.counted_source else 'logged' end,
    version = c.version + 1
  from (select coalesce(sum(u.metres), 0) as m, max(u.at) as at from cone_use u join cone k on k.id = u.cone_id
        where u.cone_id = the_cone and u.why not in ('weighed', 'set') and u.at > k.counted_at) taken
  where c.id = the_cone and c.counted_m is not null
$$;

-- A needle put in by an entry, and whether it came out of the drawer.
alter table needle_fitted
  add column entry_id uuid,
  add column from_drawer boolean not null default true;
update needle_fitted f set entry_id = id where exists (select from log_entry e where e.id = f.id);
create index needle_fitted_machine on needle_fitted (machine_id, fitted_at);

-- The bobbin an entry took off the tray; nothing where none was there.
create table bobbin_taken (
  entry_id uuid primary key references log_entry,
  quilt_id uuid not null references quilt,
  stock_id uuid references bobbin_stock
);
create index bobbin_taken_quilt on bobbin_taken (quilt_id);

-- How a fault stood before the log said it was mended; and a fault whose entry was taken back, with all that was told of it.
alter table fault add column before_mended jsonb;
create table fault_taken_back (
  entry_id uuid primary key references log_entry,
  fault jsonb not null,
  symptoms text[] not null,
  evidence jsonb
);

-- What the log moved of a quilt: the step it stood at before anything was sewn, and since when it had been on the frame it
-- left with its last step. Taken back, it stands there again.
alter table quilt
  add column moved_by_log jsonb not null default '{}' check (jsonb_typeof(moved_by_log) = 'object'),
  -- Inside a step the zones as the quilter laid them: by the step's pass, thread and kind, the zones' ids.
  add column zones_by_hand jsonb not null default '{}' check (jsonb_typeof(zones_by_hand) = 'object');

-- What a change of thread costs the hand besides its minutes; and what is done where one step would ask for two feet.
alter table preferences
  add column change_trouble_min double precision not null default 6 check (change_trouble_min between 0 and 60),
  add column foot_school text not null default 'split' check (foot_school in ('split', 'ruler-foot'));

-- A test stitch that confirms several zones is told of each; it teaches once, where it was sewn.
alter table test_round add column sewn_with uuid references test_round;
-- What the search that proved it began from, where that was not the card's own guess: it is taken out of what it teaches.
alter table proof
  add column prior_ratio double precision check (prior_ratio > 0),
  add column prior_sd double precision check (prior_sd > 0);

-- What is worked out of a waiting quilt is kept by its mark, which changes with everything it rests on: its own row, its
-- zones with their fabrics, its cards, tests and sewn steps; and, for all quilts, what of the Workroom they are planned with.
create table quilt_mark (
  quilt_id uuid primary key references quilt on delete cascade,
  mark uuid not null default gen_random_uuid()
);
insert into quilt_mark (quilt_id) select id from quilt;
create function mark_quilt(q uuid) returns void language sql as $$
  insert into quilt_mark (quilt_id) select id from quilt where id = q
  on conflict (quilt_id) do update set mark = gen_random_uuid()
$$;
create function quilt_touched() returns trigger language plpgsql as $$
begin
  perform mark_quilt(new.id);
  return null;
end $$;
create trigger quilt_touched after insert or update on quilt for each row execute function quilt_touched();
create function part_of_quilt_touched() returns trigger language plpgsql as $$
begin
  perform mark_quilt(case when tg_op = 'DELETE' then old.quilt_id else new.quilt_id end);
  return null;
end $$;
create trigger zone_touched after insert or update or delete on zone for each row execute function part_of_quilt_touched();
create trigger step_touched after insert or update or delete on step_sewn for each row execute function part_of_quilt_touched();
create function part_of_zone_touched() returns trigger language plpgsql as $$
begin
  perform mark_quilt(z.quilt_id) from zone z where z.id = case when tg_op = 'DELETE' then old.zone_id else new.zone_id end;
  return null;
end $$;
create trigger zone_fabric_touched after insert or update or delete on zone_fabric for each row execute function part_of_zone_touched();
create trigger zone_feature_touched after insert or update or delete on zone_feature for each row execute function part_of_zone_touched();
create trigger setup_touched after insert or update or delete on setup for each row execute function part_of_zone_touched();
create function part_of_setup_touched() returns trigger language plpgsql as $$
begin
  perform mark_quilt(z.quilt_id) from setup s join zone z on z.id = s.zone_id
  where s.id = case when tg_op = 'DELETE' then old.setup_id else new.setup_id end;
  return null;
end $$;
create trigger round_touched after insert or update or delete on test_round for each row execute function part_of_setup_touched();
create trigger proof_touched after insert or update or delete on proof for each row execute function part_of_setup_touched();

insert into log_mark (log) values ('workroom');
create function workroom_changed() returns trigger language plpgsql as $$
begin
  insert into log_mark (log) values ('workroom') on conflict (log) do update set mark = gen_random_uuid();
  return null;
end $$;
create trigger workroom_changed after insert or update or delete on preferences for each statement execute function workroom_changed();
create trigger workroom_changed after insert or update or delete on machine for each statement execute function workroom_changed();
create trigger workroom_changed after insert or update or delete on fabric for each statement execute function workroom_changed();
create trigger workroom_changed after insert or update or delete on batting for each statement execute function workroom_changed();
create trigger workroom_changed after insert or update or delete on yarn for each statement execute function workroom_changed();
create trigger workroom_changed after insert or delete or update of line, colour, hex, fibre, tex, batch on cone
  for each statement execute function workroom_changed();
create trigger workroom_changed after insert or update or delete on client for each statement execute function workroom_changed();
