import { QUILTER, thisContext } from './context';
import { v7 as uuidv7 } from 'uuid';
import { readFaults } from '@/data/faults';
import { readSetup } from '@/data/setups';
import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { readRounds } from '@/data/tests';
import { readZones } from '@/data/zones';
import { loadDemo } from '@/demo/load';
import { logFault, setFaultStatus } from './faults';
import { readQuiltView } from './quilt-view';
import { readRackView } from './rack';
import { chooseSetup, readCardSources, setupsForZone } from './setups';
import { logTest, readSearch } from './tests';
import type { Result } from './result';
import { value } from './testing/answers';

const today = new Date('2026-11-25T09:00:00Z');
let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('actions');
});
afterAll(() => base.end());

const problems = (r: Result<unknown>) => (r.ok ? [] : r.problems);
const quiltNamed = async (name: string) =>
  (await base.sql<{ id: string }[]>`select id from quilt where name = ${name}`)[0]!.id;

/** An unmatched zone of a quilt, with the best pair of threads for it. */
async function openZone() {
  const [row] = await base.sql<{ quiltId: string; zoneId: string }[]>`
    select z.quilt_id, z.id as zone_id from zone z left join setup s on s.zone_id = z.id
    where s.id is null limit 1`;
  const found = setupsForZone((await readCardSources(base.sql, row!.quiltId, QUILTER.id))!, row!.zoneId, 4);
  return { ...row!, setups: found!.setups };
}

describe('the demo studio', () => {
  test('has what the studio is said to have, and loads once', async () => {
    const [n] = await base.sql`
      select (select count(*)::int from quilt) as quilts, (select count(*)::int from cone) as cones,
             (select count(*)::int from test_round) as rounds, (select count(*)::int from fault) as faults,
             (select count(*)::int from batting where not shipped) as battings`;
    expect(n).toMatchObject({ quilts: 11, cones: 24, faults: 28, battings: 6 });
    expect(n!.rounds).toBeGreaterThanOrEqual(40);
    expect(await loadDemo(base.sql, today)).toBe(false);
  });
  test('hangs on the Rack by the week, with something that needs a hand', async () => {
    const view = (await readRackView(base.sql, today))!;
    expect(view.rails.flatMap((r) => r.quilts)).toHaveLength(9);
    expect(view.onFrame?.quilt.name).toBeTruthy();
    expect(view.hand.length).toBeGreaterThan(0);
    expect(view.hand.length).toBeLessThanOrEqual(6);
  });
  test('every proof rests on a round of the same set-up', async () => {
    const rows = await base.sql`
      select 1 from proof p join test_round r on r.id = p.round_id where r.setup_id <> p.setup_id`;
    expect(rows).toHaveLength(0);
  });
});

describe('choosing a set-up', () => {
  test('a form sent twice stores one card', async () => {
    const { quiltId, zoneId, setups } = await openZone();
    const form = {
      key: uuidv7(),
      quiltId,
      zoneId,
      topId: setups[0]!.topId,
      bobbinId: setups[0]!.bobbinId,
      seenVersion: 0,
    };
    const both = await Promise.all([chooseSetup(thisContext(), form), chooseSetup(thisContext(), form)]);
    expect(value(both[0])).toEqual(value(both[1]));
    const rows = await base.sql`select 1 from setup where zone_id = ${zoneId}`;
    expect(rows).toHaveLength(1);
  });
  test('a second window is told and nothing is overwritten', async () => {
    const { quiltId, zoneId, setups } = await openZone();
    const form = (i: number) => ({
      key: uuidv7(),
      quiltId,
      zoneId,
      topId: setups[i]!.topId,
      bobbinId: setups[i]!.bobbinId,
      seenVersion: 0,
    });
    value(await chooseSetup(thisContext(), form(0)));
    const second = await chooseSetup(thisContext(), form(1));
    expect(second).toMatchObject({ ok: false, conflict: true });
    expect((await readSetup(base.sql, zoneId))!.topId).toBe(setups[0]!.topId);
  });
  test('what was sent is checked field by field', async () => {
    const bad = await chooseSetup(thisContext(), { key: 'x', quiltId: 'y', zoneId: 4, sneaky: 1 });
    expect(problems(bad).map((p) => p.path)).toEqual(
      expect.arrayContaining(['key', 'quiltId', 'zoneId', 'topId', 'bobbinId', 'seenVersion', 'sneaky']),
    );
    expect(problems(await chooseSetup(thisContext(), null))).toHaveLength(1);
  });
});

describe('a search from the first test to the proof', () => {
  test('ends proven, and a later unbalanced test takes the proof back', async () => {
    const { quiltId, zoneId, setups } = await openZone();
    const { setupId } = value(
      await chooseSetup(thisContext(), {
        key: uuidv7(),
        quiltId,
        zoneId,
        topId: setups[0]!.topId,
        bobbinId: setups[0]!.bobbinId,
        seenVersion: 0,
      }),
    );
    const form = (n: number, topGf: number, verdicts: object) => ({
      key: uuidv7(),
      quiltId,
      zoneId,
      setupId,
      n,
      topGf,
      bobbinGf: 20,
      verdicts,
      note: ' first ',
    });
    // Where the first guess says it balances, and far above it.
    const guess = Math.round((await readSetup(base.sql, zoneId))!.ratio * 20);
    expect(
      value(await logTest(thisContext(), form(1, Math.round(guess * 1.5), { away: 2, toward: 2 }))),
    ).toMatchObject({
      n: 1,
      done: false,
    });
    const setup = (await readSetup(base.sql, zoneId))!;
    const search = (await readSearch(base.sql, quiltId, zoneId, setup))!;
    // The top is loosened, or the bobbin tightened where the top has no room.
    expect(search.next.change).toMatch(/^(loosen-top|tighten-bobbin)$/);
    expect(search.bands).toHaveLength(2);
    const stale = await logTest(thisContext(), form(1, guess, { away: 0 }));
    expect(stale).toMatchObject({ ok: false, conflict: true });
    await logTest(thisContext(), form(2, guess, { away: 0, toward: 0, left: 0, right: 0 }));
    const last = value(
      await logTest(thisContext(), form(3, guess, { away: 0, toward: 0, left: 0, right: 0 })),
    );
    expect(last.done).toBe(true);
    expect(await readSetup(base.sql, zoneId)).toMatchObject({
      provenTopGf: guess,
      provenBobbinGf: 20,
      rounds: 3,
    });
    await logTest(thisContext(), form(4, guess * 2, { away: 3, toward: 3 }));
    expect((await readSetup(base.sql, zoneId))!.provenAt).toBeNull();
    expect(await readRounds(base.sql, setupId)).toHaveLength(4);
  });
  test('numbers that cannot be, and a test without a verdict, are refused at their field', async () => {
    const id = uuidv7();
    const form = {
      key: id,
      quiltId: id,
      zoneId: id,
      setupId: id,
      n: 1,
      topGf: 'tight',
      bobbinGf: -3,
      verdicts: { away: 9 },
      note: '',
    };
    const paths = problems(await logTest(thisContext(), form)).map((p) => p.path);
    expect(paths).toEqual(expect.arrayContaining(['topGf', 'bobbinGf', 'verdicts.away']));
    expect(
      problems(await logTest(thisContext(), { ...form, topGf: 100, bobbinGf: 20, verdicts: {} }))[0]!.path,
    ).toBe('verdicts');
  });
});

describe('noting a fault', () => {
  const fault = async (rest: object) => ({
    key: uuidv7(),
    quiltId: await quiltNamed('Harbour Lights'),
    symptoms: ['skipped'],
    note: 'over the seam',
    ...rest,
  });
  test('a place on the map names the zone', async () => {
    const quiltId = await quiltNamed('Harbour Lights');
    const { n } = value(
      await logFault(thisContext(), await fault({ xIn: 32, yIn: 1, pass: 1, direction: 'left' })),
    );
    const stored = (await readFaults(base.sql, quiltId)).find((f) => f.n === n)!;
    const zone = (await readZones(base.sql, quiltId)).find((z) => z.id === stored.zoneId);
    expect(zone?.letter).toBe('A');
    expect(stored).toMatchObject({ symptoms: ['skipped'], status: 'open', note: 'over the seam' });
  });
  test('sent twice it is stored once; ten at once get ten numbers', async () => {
    const quiltId = await quiltNamed('Harbour Lights');
    const before = (await readFaults(base.sql, quiltId)).length;
    const form = await fault({});
    expect(value(await logFault(thisContext(), form))).toEqual(value(await logFault(thisContext(), form)));
    await Promise.all(Array.from({ length: 10 }, async () => logFault(thisContext(), await fault({}))));
    const after = await readFaults(base.sql, quiltId);
    expect(after).toHaveLength(before + 11);
    expect(new Set(after.map((f) => f.n)).size).toBe(after.length);
  });
  test.each([
    ['nothing seen', { symptoms: [] }, 'symptoms'],
    ['a sign not in the list', { symptoms: ['gremlins'] }, 'symptoms'],
    ['a place beyond the quilt', { xIn: 500, yIn: 2 }, 'xIn'],
    ['half a place', { xIn: 5 }, 'xIn'],
    ['a pass the quilt has not', { pass: 150 }, 'pass'],
    ['half a pass', { pass: 1.5 }, 'pass'],
    ['a direction of no kind', { direction: 'sideways' }, 'direction'],
    ['a note beyond all measure', { note: 'a'.repeat(2001) }, 'note'],
  ])('%s is refused at its field', async (_, part, path) => {
    expect(problems(await logFault(thisContext(), await fault(part))).map((p) => p.path)).toContain(path);
  });
  test('two windows on one fault: the second is told', async () => {
    const quiltId = await quiltNamed('Harbour Lights');
    const f = (await readFaults(base.sql, quiltId)).find((x) => x.status === 'open')!;
    value(
      await setFaultStatus(thisContext(), {
        key: uuidv7(),
        faultId: f.id,
        version: f.version,
        status: 'mended',
      }),
    );
    expect(
      await setFaultStatus(thisContext(), {
        key: uuidv7(),
        faultId: f.id,
        version: f.version,
        status: 'left',
        word: 'not seen from a metre',
      }),
    ).toMatchObject({
      ok: false,
      conflict: true,
    });
  });
});

describe('the database guards itself', () => {
  test.each([
    [
      'a top tension below 0',
      `insert into test_round (id, setup_id, n, top_gf, bobbin_gf, away) select gen_random_uuid(), id, 99, -1, 20, 0 from setup limit 1`,
    ],
    [
      'a test without a verdict',
      `insert into test_round (id, setup_id, n, top_gf, bobbin_gf) select gen_random_uuid(), id, 99, 100, 20 from setup limit 1`,
    ],
    ['a zone of an unknown technique', `update zone set technique = 'embroider'`],
    ['a thread of no thickness', `update cone set tex = 0`],
    [
      'a fault in another quilt’s zone',
      `update fault set zone_id = (select id from zone z where z.quilt_id <> fault.quilt_id limit 1)`,
    ],
    ['a second quilt on the frame', `update quilt set on_frame_since = now()`],
    ['a quilt due before it came', `update quilt set due_on = taken_in_on - 1`],
  ])('%s cannot be stored', async (_, sql) => {
    await expect(base.sql.unsafe(sql)).rejects.toThrow();
  });
});

test('a quilt’s view carries the state of every zone', async () => {
  const view = (await readQuiltView(base.sql, await quiltNamed('Nine Buoys')))!;
  expect([...view.states.values()].every((s) => s === 'proven')).toBe(true);
  expect(await readQuiltView(base.sql, uuidv7())).toBeNull();
});
