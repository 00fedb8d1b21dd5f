import { TASKS } from '@/core/tables/tasks';
import { MOST_LINES, TODAY_KINDS } from '@/core/today/day';
import type { TestDatabase } from '@/data/test-database';
import { DEMO_DAY, demoDatabase } from '@/demo/testing/demo-database';
import { type Context, QUILTER } from './context';
import { readOfferSources } from './offers';
import { readQuiltView } from './quilt-view';
import { readTasks, workTask } from './tasks';
import { readToday, todayIcs } from './today';
import { key, paths, value } from './testing/answers';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('today');
});
afterAll(() => base.end());
const at = (minutes = 0): Context => ({
  sql: base.sql,
  actor: QUILTER,
  now: new Date(DEMO_DAY.getTime() + minutes * 60_000),
});
const aQuilt = async (name: string) => {
  const [row] = await base.sql<{ id: string }[]>`select id from quilt where name = ${name}`;
  return (await readQuiltView(base.sql, row!.id))!;
};
const taskOf = async (name: string, task: string) =>
  (await readTasks(base.sql, [(await aQuilt(name)).quilt]))
    .get((await aQuilt(name)).quilt.id)!
    .find((t) => t.task === task)!;

test('the day has at most ten lines in order, each with an act and somewhere to go', async () => {
  const view = (await readToday(base.sql, DEMO_DAY))!;
  expect(view.lines.length).toBeGreaterThan(3);
  expect(view.lines.length).toBeLessThanOrEqual(MOST_LINES);
  const order = view.lines.map((l) => TODAY_KINDS.indexOf(l.kind));
  expect(order).toEqual([...order].sort((a, b) => a - b));
  for (const l of view.lines) {
    expect(l.act).not.toBe('');
    expect(l.href).toMatch(/^\/\w/);
  }
  expect(view.lines.filter((l) => l.kind === 'sew')).toHaveLength(1);
  expect(todayIcs(view).match(/BEGIN:VEVENT/g)).toHaveLength(view.lines.length);
});

test('hours at the table are held against what waits', async () => {
  const before = (await readToday(base.sql, DEMO_DAY))!.tableHours.aWeek;
  await base.sql`update preferences set table_hours = 6`;
  expect((await readToday(base.sql, DEMO_DAY))!.tableHours.aWeek).toBeCloseTo(3 * before, 9);
  await base.sql`update preferences set table_hours = 2`;
});

test('a clock runs, rests and ends; what it took is what it ran', async () => {
  const { quilt } = await aQuilt('Tide Table');
  const press = async (act: string, minutes: number) =>
    workTask(at(minutes), {
      key: key(),
      quiltId: quilt.id,
      task: 'look-over',
      act,
      version: (await taskOf('Tide Table', 'look-over')).version,
    });
  value(await press('start', 0));
  value(await press('pause', 7));
  value(await press('start', 30));
  value(await press('done', 41));
  expect(await taskOf('Tide Table', 'look-over')).toMatchObject({ state: 'done', spentMin: 18 });
  value(await press('reopen', 42));
  expect(await taskOf('Tide Table', 'look-over')).toMatchObject({ state: 'open', spentMin: 18 });
  value(await press('done', 42));
});

test('a clock forgotten overnight counts a day’s work at most; a stale press is told', async () => {
  const { quilt } = await aQuilt('Signal Flags');
  const form = { quiltId: quilt.id, task: 'look-over' };
  value(await workTask(at(), { key: key(), ...form, act: 'start', version: 0 }));
  expect(await workTask(at(5), { key: key(), ...form, act: 'done', version: 0 })).toMatchObject({
    ok: false,
    conflict: true,
  });
  const { minutes } = value(await workTask(at(3000), { key: key(), ...form, act: 'done', version: 1 }));
  expect(minutes).toBe(600);
  expect(paths(await workTask(at(), { key: key(), ...form, act: 'dance', version: 2 }))).toEqual(['act']);
  expect(paths(await workTask(at(), { key: key(), ...form, task: 'tea', act: 'start', version: 2 }))).toEqual(
    ['task'],
  );
});

test('what was timed is what is offered next', async () => {
  const view = await aQuilt('Salt Pans');
  await base.sql`delete from task_time`;
  const usual = (await taskOf('Salt Pans', 'pack')).minutes.mid;
  const before = await readOfferSources(base.sql, view);
  expect(before.taskFactors).toEqual([]);
  const { quilt } = view;
  value(
    await workTask(at(), {
      key: key(),
      quiltId: quilt.id,
      task: 'pack',
      act: 'done',
      version: 0,
      minutes: 40,
    }),
  );
  const after = await readOfferSources(base.sql, view);
  expect(new Map(after.taskFactors).get('pack')!.times).toBe(1);
  expect((await taskOf('Salt Pans', 'pack')).minutes.mid).toBeGreaterThan(usual);
  expect(TASKS.get('pack').minutes(after.size)).toBe(usual);
});
