import { v7 as uuidv7 } from 'uuid';
import { match } from '@/core/match/match';
import { readMachine } from '@/data/machines';
import { readSetup } from '@/data/setups';
import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { thisContext } from './context';
import { readLearnedView } from './learned-view';
import { readMatchSources, zoneRequest } from './match-sources';
import { readQuiltView } from './quilt-view';
import { leaveOutSearch, readTensionLearning, withLearned } from './searches';
import { chooseSetup } from './setups';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('searches');
});
afterAll(() => base.end());

const harbour = async () => {
  const [row] = await base.sql<{ id: string }[]>`select id from quilt where name = 'Harbour Lights'`;
  const view = (await readQuiltView(base.sql, row!.id))!;
  return {
    view,
    machine: await readMachine(base.sql, view.quilt.machineId),
    sources: await readMatchSources(base.sql),
  };
};

test('what was learned reaches the next first guess, narrower than the models alone', async () => {
  const { view, machine, sources } = await harbour();
  expect(sources.tension.searches.length).toBeGreaterThan(5);
  const open = view.zones.find((z) => !view.setups.has(z.id))!;
  const plain = zoneRequest(view, open, machine, sources);
  const [alone] = match({ ...plain, limit: 1 }).setups;
  const [taught] = match({ ...withLearned(plain, sources.tension, view.quilt), limit: 1 }).setups;
  expect(taught!.ratioSd).toBeLessThan(alone!.ratioSd);
  expect(taught!.ratioModel).toBeCloseTo(alone!.ratio, 6);
  expect(taught!.ratio).not.toBeCloseTo(alone!.ratio, 3);
  const stored = await chooseSetup(thisContext(), {
    key: uuidv7(),
    quiltId: view.quilt.id,
    zoneId: open.id,
    topId: taught!.topId,
    bobbinId: taught!.bobbinId,
    seenVersion: 0,
  });
  expect(stored.ok).toBe(true);
  const card = (await readSetup(base.sql, open.id))!;
  expect(card.ratio).toBeCloseTo(taught!.ratio, 9);
  const [row] = await base.sql<{ ratioModel: number }[]>`select ratio_model from setup where id = ${card.id}`;
  expect(row!.ratioModel).toBeCloseTo(alone!.ratio, 9);
});

test('a search left out by the quilter is out of the fit until it is put back', async () => {
  // One that counts: what looks like another cause is out already.
  const first = (await readLearnedView(base.sql)).searches.find((s) => s.out === null);
  const act = (leftOut: string | null) =>
    leaveOutSearch(thisContext(), { key: uuidv7(), setupId: first!.setupId, leftOut });
  const before = await readTensionLearning(base.sql);
  expect((await act('dropped')).ok).toBe(true);
  const without = await readTensionLearning(base.sql);
  expect(without.mark).not.toBe(before.mark);
  const shown = (await readLearnedView(base.sql)).searches.find((s) => s.setupId === first!.setupId)!;
  expect(shown.out).toBe('by you');
  expect(without.learning.effects).not.toEqual(before.learning.effects);
  expect((await act('kept')).ok).toBe(true);
  expect((await readLearnedView(base.sql)).searches.find((s) => s.setupId === first!.setupId)).toMatchObject({
    out: null,
    kept: true,
  });
  expect(
    await leaveOutSearch(thisContext(), { key: uuidv7(), setupId: uuidv7(), leftOut: null }),
  ).toMatchObject({
    ok: false,
  });
});

test('the page names machine, threads, batting and hands by their own names', async () => {
  const view = await readLearnedView(base.sql);
  expect(view.tension.map((e) => e.name)).toContain('needle Nm 100');
  expect(view.tension.every((e) => e.name !== 'one that is gone' && e.rests > 0)).toBe(true);
  expect(view.hours.some((e) => e.name === 'your hands')).toBe(true);
  expect(view.searches.every((s) => s.offPct >= 0 && s.rounds > 0)).toBe(true);
});
