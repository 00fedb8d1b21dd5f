import { progressOf } from '@/core/rack/rack';
import { readQuilt } from '@/data/quilts';
import type { TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { thisContext } from './context';
import { readPlan } from './plan';
import { logStep } from './plan-commands';
import { readQuiltView } from './quilt-view';
import { readRackView } from './rack';
import { key, value } from './testing/answers';
import { readSteps, readWaiting } from './waiting';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('waiting');
});
afterAll(() => base.end());

const idOf = async (name: string) =>
  (await base.sql<{ id: string }[]>`select id from quilt where name = ${name}`)[0]!.id;
const planned = async (id: string) => (await readPlan(base.sql, (await readQuiltView(base.sql, id))!)).steps;
const keys = (steps: readonly { pass: number; thread: string; stabilise: boolean }[]) =>
  steps.map(({ pass, thread, stabilise }) => ({ pass, thread, stabilise }));
const onRack = async (id: string) => {
  const view = (await readRackView(base.sql, new Date()))!;
  return view.rails.flatMap((r) => r.quilts).find((q) => q.quilt.id === id)!;
};

test('for every quilt that waits, Rack, path and plan count the same steps', async () => {
  const { waiting } = (await readWaiting(base.sql))!;
  expect(waiting.length).toBeGreaterThan(5);
  for (const { quilt, steps } of waiting) {
    const plan = await planned(quilt.id);
    expect([quilt.name, keys(steps)]).toEqual([quilt.name, keys(plan)]);
    expect([quilt.name, keys(await readSteps(base.sql, quilt.id))]).toEqual([quilt.name, keys(plan)]);
    expect([quilt.name, (await onRack(quilt.id)).progress]).toEqual([quilt.name, progressOf(quilt, plan)]);
  }
});
test('a step sewn is counted at once, everywhere', async () => {
  const id = await idOf('Harbour Lights');
  const before = (await onRack(id)).progress;
  const quilt = (await readQuilt(base.sql, id))!;
  const next = (await planned(id)).find(
    (s) => !quilt.sewn.some((d) => d.pass === s.pass && d.thread === s.thread && d.stabilise === s.stabilise),
  )!;
  const { pass, thread, stabilise } = next;
  value(await logStep(thisContext(), { key: key(), quiltId: id, pass, thread, stabilise, minutes: 12 }));
  expect((await onRack(id)).progress).toEqual({ all: before.all, sewn: before.sewn + 1 });
});
test('a plan is kept until something it rests on changes, and then worked out anew', async () => {
  const id = await idOf('Nine Buoys');
  const first = await readSteps(base.sql, id);
  expect(await readSteps(base.sql, id)).toBe(first);
  await base.sql`update zone set spacing_in = spacing_in + 0.05 where quilt_id = ${id}`;
  const changed = await readSteps(base.sql, id);
  expect(changed).not.toBe(first);
  expect(keys(changed)).toEqual(keys(await planned(id)));
  // What another quilt rests on leaves this one alone.
  const other = await idOf('Salt Pans');
  await base.sql`update zone set spacing_in = spacing_in + 0.05 where quilt_id = ${other}`;
  expect(await readSteps(base.sql, id)).toBe(changed);
});
test('a quilt that is gone home has no steps to count, and one that is not there none either', async () => {
  const [home] = await base.sql<
    { id: string }[]
  >`select id from quilt where handed_back_on is not null limit 1`;
  expect(await readSteps(base.sql, home!.id)).toEqual([]);
  expect(await readSteps(base.sql, '00000000-0000-7000-8000-0000000000ff')).toEqual([]);
});
