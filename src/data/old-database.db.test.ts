import { migrate, migrationFiles } from './migrate';
import { emptyDatabase, type TestDatabase } from './test-database';

/** A studio as the first versions kept it: rows of every kind, then brought up to date. */
let base: TestDatabase;
const id = (n: number) => `00000000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const [machine, cloth, batting, thread, below, client, quilt, zone, setup, round, fault, needle] = Array.from(
  { length: 12 },
  (_, i) => id(i + 10),
);

beforeAll(async () => {
  base = await emptyDatabase('old');
  const { sql } = base;
  await migrate(sql, '0004_match.sql');
  await sql.unsafe(`
    insert into studio (name, mode_rule) values ('Old Room', 'cruise');
    insert into machine (id, name, max_spm, idle_min_spm, idle_max_spm, min_spi, max_spi, modes, feet, bobbin_od_mm,
      bobbin_core_mm, bobbin_width_mm, throat_in, dead_in, frame_in)
      values ('${machine}', 'Old one', 2200, 0, 1800, 4, 18, '{cruise,precision,manual}', '{closed}', 25, 7.6, 10, 20, 5, 144);
    insert into fabric (id, kind, name) values ('${cloth}', 'quilting-cotton', 'Cotton');
    insert into batting (id, kind, name) values ('${batting}', 'cotton-80-20', 'Batt');
    insert into thread (id, line, colour, fibre, tex, tex_basis, role, remaining_m, remaining_source, needle_min_nm, needle_max_nm)
      values ('${thread}', 'Old Line', 'Fog', 'polyester-filament', 27, 'tex', 'both', 900, 'weighed', 73, 92),
             ('${below}', 'Old Line', 'Oat', 'polyester-filament', 27, 'tex', 'both', null, null, 90, 100);
    insert into needle_fitted (id, machine_id, nm, eye, point, stitches, life)
      values ('${needle}', '${machine}', 100, 'standard', 'sharp', 40000, 200000);
    insert into client (id, name) values ('${client}', 'Old Client');
    insert into quilt (id, client_id, name, width_in, length_in, use, batting_id, backing_id, machine_id, taken_in_on,
      due_on, step, passes, passes_sewn, depths_in)
      values ('${quilt}', '${client}', 'Old Quilt', 60, 60, 'bed', '${batting}', '${cloth}', '${machine}', '2025-01-01',
        '2025-03-01', 'quilt', 4, 3, '{15,15,15,15}');
    insert into zone (id, quilt_id, letter, name, geometry, technique, spacing_in, visibility)
      values ('${zone}', '${quilt}', 'A', 'All', '[[[[0,0],[60,0],[60,60],[0,60]]]]', 'swirls', 0.75, 'texture');
    insert into zone_fabric values ('${zone}', 0, '${cloth}', '#aabbcc', 1);
    insert into setup (id, zone_id, version, top_id, bobbin_id, needle_nm, needle_eye, needle_point, foot, spi, mode,
      idle_spm, max_in_per_s, top_gf, bobbin_gf, ratio, ratio_sd)
      values ('${setup}', '${zone}', 1, '${thread}', '${below}', 100, 'standard', 'sharp', 'closed', 11, 'precision', 0, 3, 100, 20, 5, 0.2);
    insert into test_round (id, setup_id, n, top_gf, bobbin_gf, away) values ('${round}', '${setup}', 1, 100, 20, 0);
    insert into proof (setup_id, round_id, top_gf, bobbin_gf, ln_ratio_mean, ln_ratio_sd)
      values ('${setup}', '${round}', 100, 20, 1.6, 0.1);
    insert into fault (id, quilt_id, zone_id, n) values ('${fault}', '${quilt}', '${zone}', 1);
    insert into pass_log (id, quilt_id, pass, minutes, predicted_min)
      values ('${id(90)}', '${quilt}', 1, 44, 40), ('${id(91)}', '${quilt}', 2, 50, 0.1);
    insert into stitches_sewn (zone_id, pass, top_id, bobbin_id, needle_nm, stitches)
      values ('${zone}', 1, '${thread}', '${below}', 100, 12000);
    insert into import_batch (id, kind, file_name, rows) values ('${id(95)}', 'threads', 'old.csv', 2)`);
  await migrate(sql);
});
afterAll(() => base.end());

test('every file was run, those behind the old state too', async () => {
  const rows = await base.sql<{ name: string }[]>`select name from migration order by name`;
  expect(rows.map((r) => r.name)).toEqual(migrationFiles());
});
test('modes carry their new names everywhere', async () => {
  const [row] = await base.sql`
    select (select mode_rule from preferences) as rule, (select modes from machine) as modes, (select mode from setup) as mode`;
  expect(row).toEqual({ rule: 'idling', modes: ['idling', 'resting', 'manual'], mode: 'resting' });
});
test('what was logged by the pass is all steps of that pass; a prediction of nothing teaches nothing', async () => {
  const steps = await base.sql`
    select pass, minutes, parts is not null as teaches, cone_id from step_sewn where quilt_id = ${quilt!} order by pass`;
  expect(steps).toEqual([
    { pass: 1, minutes: 44, teaches: true, coneId: null },
    { pass: 2, minutes: 50, teaches: false, coneId: null },
    { pass: 3, minutes: null, teaches: false, coneId: null },
  ]);
});
test('a quilt with fixed passes stands as it was begun, with the machine it was begun on', async () => {
  const [row] = await base.sql<{ begun: { machineId: string; frame: { throatIn: number } } }[]>`
    select begun from quilt where id = ${quilt!}`;
  expect(row!.begun.machineId).toBe(machine);
  expect(row!.begun.frame.throatIn).toBe(20);
});
test('stitches and faults of before count in the tally by what stood on the card', async () => {
  const tallies = await base.sql`select top_id, needle_nm, technique, stitches, faults from sewn_tally`;
  expect(tallies).toEqual([
    { topId: thread, needleNm: 100, technique: 'swirls', stitches: 12000, faults: 1 },
  ]);
});
test('a needle no maker makes leaves a cone’s label; one that is made stays', async () => {
  const cones =
    await base.sql`select colour, needle_min_nm, needle_max_nm, remaining_m from cone order by colour`;
  expect(cones).toEqual([
    { colour: 'Fog', needleMinNm: null, needleMaxNm: null, remainingM: 900 },
    { colour: 'Oat', needleMinNm: 90, needleMaxNm: 100, remainingM: null },
  ]);
});
test('worn stitches start at those sewn, proofs stand, and every entry has its person', async () => {
  const [row] = await base.sql`
    select (select worn from needle_fitted) as worn, (select count(*)::int from proof) as proofs,
           (select count(*)::int from fault where by_person is not null) as faults,
           (select kind from import_batch) as kind`;
  expect(row).toEqual({ worn: 40000, proofs: 1, faults: 1, kind: 'cones' });
});
