import { DRILLS } from '@/core/practice/drills';
import { match } from '@/core/match/match';
import { readMachine, readMachines } from '@/data/machines';
import type { TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { QUILTER, thisContext } from './context';
import { keepHabit, levelsOf, readHabitOf, readHand } from './hand';
import { readOwnMatchSources, zoneRequest } from './match-sources';
import { keepPractice } from './practice';
import { readQuiltView } from './quilt-view';
import { key, paths, value } from './testing/answers';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('hand');
});
afterAll(() => base.end());

const habit = (part: object = {}) => ({
  key: key(),
  version: 0,
  restEveryMin: 25,
  elbowIn: 42,
  reachIn: 16,
  ownSpeeds: false,
  ...part,
});
const drill = async (id: string, msEach: number) => {
  const [machine] = await readMachines(base.sql);
  const path = DRILLS.get(id).line.map(([xIn, yIn], i) => ({ tMs: i * msEach, xIn, yIn }));
  return keepPractice(thisContext(), {
    key: key(),
    drill: id,
    machineId: machine!.id,
    mode: machine!.modes[0],
    spi: 10,
    path,
  });
};

test('what was sewn is told by technique, in hours that are no more than were sewn', async () => {
  const hand = await readHand(base.sql, QUILTER.id);
  expect(hand.length).toBeGreaterThan(2);
  const [all] = await base.sql<
    { hours: number }[]
  >`select sum(minutes) / 60 as hours from step_sewn where minutes is not null`;
  const told = hand.reduce((s, h) => s + h.hours, 0);
  expect(told).toBeGreaterThan(0);
  expect(told).toBeLessThanOrEqual(all!.hours);
  expect(await readHand(base.sql, '0198c000-0000-7000-8000-000000000000')).toEqual([]);
});

test('three even drills tell a speed and a level; Match takes the speed only when asked to', async () => {
  const technique = DRILLS.get('wave').technique;
  for (let i = 0; i < 3; i++) value(await drill('wave', 60));
  const hand = await readHand(base.sql, QUILTER.id);
  const own = hand.find((h) => h.technique === technique)!;
  expect(own.speed!.runs).toBe(3);
  expect(levelsOf(hand)[technique]).toBe(own.level);
  expect((await readOwnMatchSources(base.sql, QUILTER.id)).speeds).toEqual({});
  value(await keepHabit(thisContext(), habit({ ownSpeeds: true })));
  const { speeds } = await readOwnMatchSources(base.sql, QUILTER.id);
  expect(speeds![technique]).toBeCloseTo(own.speed!.inPerS, 9);
});

test('a slower hand is told a slower speed by Match', async () => {
  const [q] = await base.sql<{ id: string }[]>`select id from quilt where name = 'Harbour Lights'`;
  const view = (await readQuiltView(base.sql, q!.id))!;
  const machine = await readMachine(base.sql, view.quilt.machineId);
  const zone = view.zones[0]!;
  const sources = await readOwnMatchSources(base.sql, QUILTER.id);
  const speedOf = (speeds: Record<string, number>) =>
    match(zoneRequest(view, zone, machine, { ...sources, speeds })).setups[0]!.handInPerS;
  expect(speedOf({ [zone.technique]: 0.3 })).toBeLessThan(speedOf({}));
});

test('habits are kept, and a second window is told', async () => {
  expect((await readHabitOf(base.sql, QUILTER.id)).restEveryMin).toBe(25);
  expect(await keepHabit(thisContext(), habit())).toMatchObject({ ok: false, conflict: true });
  expect(paths(await keepHabit(thisContext(), habit({ restEveryMin: 90, version: 1 })))).toEqual([
    'restEveryMin',
  ]);
});
