import { CURES } from '@/core/fields/lists';
import { readCureCounts, readCures, readTrials } from '@/data/trials';
import { readPastWork } from '@/data/past';
import { readFaults } from '@/data/faults';
import { readSetups } from '@/data/setups';
import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { readRounds } from '@/data/tests';
import { amend, beginTrial, endTrial, tryCure } from './trials';
import { thisContext } from './context';
import { logTest } from './tests';
import { key, paths, value } from './testing/answers';

let base: TestDatabase;
let quiltId: string;
beforeAll(async () => {
  base = await demoDatabase('trials');
  const [q] = await base.sql<{ id: string }[]>`select id from quilt where name = 'Harbour Lights'`;
  quiltId = q!.id;
});
afterAll(() => base.end());

const NOWHERE = '00000000-0000-7000-8000-000000000000';
const setupOf = async (letter: string) => {
  const [z] = await base.sql<{ id: string }[]>`
    select id from zone where quilt_id = ${quiltId} and letter = ${letter}`;
  return (await readSetups(base.sql, quiltId)).find((s) => s.zoneId === z!.id)!;
};

describe('what a proof rests on', () => {
  test('it holds while nothing is changed, turns back with the batting, and comes again with it', async () => {
    const before = await setupOf('A');
    expect(before.provenAt).not.toBeNull();
    expect(before.restedOn).toMatchObject({ batting: { name: 'Drumlin 80/20' } });
    const [own] = await base.sql<{ battingId: string }[]>`select batting_id from quilt where id = ${quiltId}`;
    await base.sql`update quilt set batting_id = (select id from batting where name = 'Fleecewater Wool') where id = ${quiltId}`;
    const turned = await setupOf('A');
    expect(turned).toMatchObject({ provenAt: null, provenTopGf: null });
    expect(turned.turnedBack!.why).toEqual(['the batting is Fleecewater Wool now; it was Drumlin 80/20']);
    await base.sql`update quilt set batting_id = ${own!.battingId} where id = ${quiltId}`;
    expect((await setupOf('A')).provenAt).toEqual(before.provenAt);
  });
  test('another dye lot of the top thread turns it back; one more balanced test proves it anew', async () => {
    const before = await setupOf('B');
    await base.sql`update cone set batch = '4711' where id = ${before.topId}`;
    const turned = await setupOf('B');
    expect(turned.turnedBack!.why.join()).toMatch(/another dye lot of/);
    const rounds = await readRounds(base.sql, turned.id);
    value(
      await logTest(thisContext(), {
        key: key(),
        quiltId,
        zoneId: turned.zoneId,
        setupId: turned.id,
        n: rounds.length + 1,
        topGf: rounds.at(-1)!.topGf,
        bobbinGf: rounds.at(-1)!.bobbinGf,
        verdicts: { away: 0, toward: 0, left: 0, right: 0 },
        note: '',
        seen: ['skipped'],
      }),
    );
    const again = await setupOf('B');
    expect(again.turnedBack).toBeNull();
    expect(again.restedOn!.top.batch).toBe('4711');
    // What else was seen is in the fault log.
    const fault = (await readFaults(base.sql, quiltId)).at(-1)!;
    expect(fault).toMatchObject({ symptoms: ['skipped'], zoneId: turned.zoneId, direction: null });
    expect((await readRounds(base.sql, turned.id)).at(-1)!.seen).toEqual(['skipped']);
  });
});

test('a test is amended: note and measure stay with it; nonsense is refused at its field', async () => {
  const [round] = await readRounds(base.sql, (await setupOf('A')).id);
  const measured = {
    spi: 10.4,
    cvPct: 8,
    longestMm: 2.9,
    shortestMm: 2.1,
    stitches: 18,
    trust: 'good',
    corrected: false,
    otherShare: null,
  };
  value(await amend(thisContext(), { key: key(), roundId: round!.id, note: ' on the hem ', measured }));
  const [now] = await readRounds(base.sql, (await setupOf('A')).id);
  expect(now).toMatchObject({ note: 'on the hem', measured });
  value(await amend(thisContext(), { key: key(), roundId: round!.id, note: 'on the edge' }));
  expect((await readRounds(base.sql, (await setupOf('A')).id))[0]).toMatchObject({
    note: 'on the edge',
    measured,
  });
  const wrong = { key: key(), roundId: round!.id, measured: { ...measured, spi: 400 } };
  expect(paths(await amend(thisContext(), wrong))).toEqual(['measured.spi']);
  expect(paths(await amend(thisContext(), { key: key(), roundId: NOWHERE, note: 'x' }))).toEqual(['roundId']);
  expect(
    paths(await amend(thisContext(), { key: key(), roundId: round!.id, photographId: NOWHERE })),
  ).toEqual(['photographId']);
});

test('quick cures are counted over the studio', async () => {
  const { id } = await setupOf('C');
  for (const kind of CURES)
    value(await tryCure(thisContext(), { key: key(), setupId: id, kind, outcome: 'same' }));
  value(await tryCure(thisContext(), { key: key(), setupId: id, kind: 'net', outcome: 'better' }));
  expect(await readCures(base.sql, id)).toHaveLength(CURES.length + 1);
  expect((await readCureCounts(base.sql)).find((c) => c.kind === 'net')).toEqual({
    kind: 'net',
    tried: 2,
    better: 1,
  });
  expect(
    paths(await tryCure(thisContext(), { key: key(), setupId: NOWHERE, kind: 'net', outcome: 'same' })),
  ).toEqual(['setupId']);
});

test('threads tried on the margin: one is chosen, of those that were sewn, and two windows are told', async () => {
  const { zoneId } = await setupOf('A');
  const cones = await base.sql<{ id: string }[]>`select id from cone order by line, colour limit 3`;
  const coneIds = cones.slice(0, 2).map((c) => c.id);
  expect(paths(await beginTrial(thisContext(), { key: key(), zoneId, coneIds: [coneIds[0]] }))).toEqual([
    'coneIds',
  ]);
  const { id } = value(await beginTrial(thisContext(), { key: key(), zoneId, coneIds }));
  const end = { id, version: 1, note: '', chosenId: cones[2]!.id };
  expect(paths(await endTrial(thisContext(), { ...end, key: key() }))).toEqual(['chosenId']);
  value(await endTrial(thisContext(), { ...end, key: key(), chosenId: coneIds[1] }));
  expect(await endTrial(thisContext(), { ...end, key: key(), chosenId: coneIds[0] })).toMatchObject({
    ok: false,
  });
  expect(await readTrials(base.sql, zoneId)).toMatchObject([{ chosenId: coneIds[1], version: 2 }]);
});

test('past work is of other quilts, and found by client, quilt, thread or fabric', async () => {
  const all = await readPastWork(base.sql, quiltId, '', 400);
  expect(all.length).toBeGreaterThan(5);
  expect(all.some((p) => p.quiltId === quiltId)).toBe(false);
  expect(new Set(all.map((p) => p.zoneId)).size).toBe(all.length);
  for (const words of [all[0]!.client, all[0]!.quilt, all[0]!.topName, all[0]!.cloths[0]!.name])
    expect(
      (await readPastWork(base.sql, quiltId, words, 400)).some((p) => p.setupId === all[0]!.setupId),
    ).toBe(true);
  expect(await readPastWork(base.sql, quiltId, 'no such thing 100%', 400)).toEqual([]);
});
