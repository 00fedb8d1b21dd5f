-- One word a thing: the article is a cone, the studio's own ways are its preferences.
alter table thread rename to cone;
alter table cone rename constraint thread_line_colour_key to cone_line_colour_key;
alter table cone_use rename column thread_id to cone_id;
alter table bobbin_stock rename column thread_id to cone_id;
alter index thread_import rename to cone_import;
alter index thread_find rename to cone_find;
alter index cone_use_thread rename to cone_use_cone;
alter table studio rename to preferences;
-- Hours a week are the sum of the days' hours, and stood twice.
alter table preferences drop column hours_per_week;
alter table import_batch drop constraint import_batch_kind_check;
update import_batch set kind = 'cones' where kind = 'threads';
alter table import_batch add constraint import_batch_kind_check
  check (kind in ('cones', 'battings', 'fabrics', 'needles'));
update import_mapping set kind = 'cones' where kind = 'threads';

-- Ranges are those of the fields in the core, held to them by a test.
update machine set idle_max_spm = least(idle_max_spm, 10000);
alter table machine
  add constraint machine_idle_min check (idle_min_spm between 0 and 10000),
  add constraint machine_idle_max check (idle_max_spm between 0 and 10000),
  add constraint machine_most_spi check (max_spi between 1 and 40),
  add constraint machine_bobbin check (bobbin_core_mm between 0.5 and 59),
  add constraint machine_dead check (dead_in between 0 and 59);
alter table cone
  add constraint cone_full_g check (full_g >= 0.1),
  add constraint cone_full_m check (full_m >= 1),
  add constraint cone_remaining_m check (remaining_m <= 1000000);
alter table batting
  add constraint batting_loft check (loft_mm >= 0.1),
  add constraint batting_gap check (max_gap_in >= 0.1);
alter table ruler
  add constraint ruler_thickness check (thickness_mm >= 0.1),
  add constraint ruler_radius check (radius_in >= 0.01);
-- A needle size is one that is made; a range read from a file may have held any number.
update cone set needle_min_nm = null, needle_max_nm = null
  where needle_min_nm not in (60, 65, 70, 75, 80, 90, 100, 110, 120, 125, 130, 140)
     or needle_max_nm not in (60, 65, 70, 75, 80, 90, 100, 110, 120, 125, 130, 140);
alter table cone
  add constraint cone_needle_min check (needle_min_nm in (60, 65, 70, 75, 80, 90, 100, 110, 120, 125, 130, 140)),
  add constraint cone_needle_max check (needle_max_nm in (60, 65, 70, 75, 80, 90, 100, 110, 120, 125, 130, 140));

alter table calibration drop constraint calibration_kind_check;
alter table calibration add constraint calibration_kind_check
  check (kind in ('speed-dial', 'idle-dial', 'top-dial', 'bobbin-turns'));

-- Who did it stands with every entry of the record. One person for now.
create table person (
  id uuid primary key,
  name text not null check (length(btrim(name)) between 1 and 120)
);
insert into person (id, name) values ('00000000-0000-7000-8000-000000000001', 'The quilter');

create function acting_person() returns uuid language sql stable as
$$ select coalesce(nullif(current_setting('tidy_spool.actor', true), ''), '00000000-0000-7000-8000-000000000001')::uuid $$;

alter table cone_use add column by_person uuid not null default acting_person() references person (id);
alter table setup add column by_person uuid not null default acting_person() references person (id);
alter table test_round add column by_person uuid not null default acting_person() references person (id);
alter table proof add column by_person uuid not null default acting_person() references person (id);
alter table fault add column by_person uuid not null default acting_person() references person (id);
alter table pass_log add column by_person uuid not null default acting_person() references person (id);
alter table needle_fitted add column by_person uuid not null default acting_person() references person (id);
alter table calibration add column by_person uuid not null default acting_person() references person (id);
alter table import_batch add column by_person uuid not null default acting_person() references person (id);
alter table photograph add column by_person uuid not null default acting_person() references person (id);
alter table receipt add column by_person uuid not null default acting_person() references person (id);
