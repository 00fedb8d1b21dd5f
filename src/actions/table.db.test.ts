import { v7 as uuidv7 } from 'uuid';
import { MACHINE, type MachineFields } from '@/core/fields/machine';
import { usualValues } from '@/core/fields/stored';
import { USUAL_MACHINES } from '@/core/machine/usual';
import { minutesOfSteps } from '@/core/hours/sum';
import { readMachine } from '@/data/machines';
import type { TestDatabase } from '@/data/test-database';
import { DEMO_DAY, demoDatabase } from '@/demo/testing/demo-database';
import { type Context, QUILTER } from './context';
import { keepEntries } from './log';
import { keepMachine, sewOn } from './machines';
import { machineForCore, readMatchSources, zoneRequest } from './match-sources';
import { match } from '@/core/match/match';
import { fixPlan, putOnFrame } from './plan-commands';
import { readPlan } from './plan';
import { readQuiltView } from './quilt-view';
import { readToday } from './today';
import { key, value } from './testing/answers';

let base: TestDatabase;
let tableId: string;
let quiltId: string;
const context = (): Context => ({ sql: base.sql, actor: QUILTER, now: DEMO_DAY });
beforeAll(async () => {
  base = await demoDatabase('table');
  const form = {
    ...usualValues(MACHINE),
    ...USUAL_MACHINES.get('table').values,
    name: 'Window table',
    shank: '',
  };
  tableId = value(
    await keepMachine(context(), { key: key(), version: 0, couchingHoleMm: null, dragN: null, ...form }),
  ).id;
  const [q] = await base.sql<{ id: string }[]>`
    select q.id from quilt q where q.name = 'Signal Flags'`;
  quiltId = q!.id;
});
afterAll(() => base.end());
const view = async () => (await readQuiltView(base.sql, quiltId))!;

test('moved to a table a quilt has no passes, and takes longer at the hands than on a frame', async () => {
  const onFrame = await readPlan(base.sql, await view());
  const before = minutesOfSteps(onFrame.left, onFrame.belief).mid;
  value(await sewOn(context(), { key: key(), quiltId, machineId: tableId }));
  const onTable = await readPlan(base.sql, await view());
  expect(onTable.plan.passes).toMatchObject({ passes: 1, turned: false });
  expect(new Set(onTable.steps.map((s) => s.pass))).toEqual(new Set([1]));
  expect(onTable.plan.cautions.map((c) => c.code)).toContain('arms');
  expect(onTable.steps.every((s) => s.items.advance === 0 && s.items.baste === 0)).toBe(true);
  const hands = (p: typeof onTable) => p.steps.reduce((sum, s) => sum + s.items.sewing, 0);
  expect(hands(onTable)).toBeGreaterThan(hands(onFrame));
  expect(before).toBeGreaterThan(0);
});

test('Match asks the hands for less speed, and a machine without a sensor for a set rate', async () => {
  const v = await view();
  const machine = await readMachine(base.sql, tableId);
  const sources = await readMatchSources(base.sql);
  const ask = (m: MachineFields) => {
    const r = zoneRequest(v, v.zones[0]!, { ...machine, ...m }, sources);
    return match(r).setups[0]!;
  };
  const moved = ask(machine);
  const framed = ask({ ...machine, kind: 'frame' });
  expect(moved.handInPerS).toBeLessThan(framed.handInPerS);
  expect(ask({ ...machine, regulated: 'none' }).mode).toBe('manual');
  expect(ask({ ...machine, regulated: 'walking-foot' }).handInPerS).toBeLessThanOrEqual(1.25);
  expect(machineForCore(machine).table).toEqual({ regulated: 'sensor' });
});

test('it is locked in, put on the table, sewn step by step through the log, and undone', async () => {
  const before = await view();
  value(await fixPlan(context(), { key: key(), quiltId, version: before.quilt.version, turnRule: 'auto' }));
  const kept = await view();
  expect(kept.quilt.depthsIn).toEqual([kept.quilt.lengthIn]);
  value(await putOnFrame(context(), { key: key(), quiltId, where: 'on' }));
  const { steps } = await readPlan(base.sql, await view());
  const device = uuidv7();
  const at = new Date().toISOString();
  const done = steps.map(({ pass, thread, stabilise }) => ({
    id: uuidv7(),
    quiltId,
    at,
    kind: 'step-done',
    pass,
    thread,
    stabilise,
    minutes: 20,
  }));
  expect((await keepEntries(context(), device, done)).refused).toEqual([]);
  expect((await view()).quilt.sewn).toHaveLength(steps.length);
  const undone = { id: uuidv7(), quiltId, at, kind: 'undone', undoes: done.at(-1)!.id };
  await keepEntries(context(), device, [undone]);
  expect((await view()).quilt.sewn).toHaveLength(steps.length - 1);
});

test('the day tells both machines apart', async () => {
  const today = (await readToday(base.sql, DEMO_DAY))!;
  expect(today.lines.some((l) => l.kind === 'care' && l.title.includes('Window table'))).toBe(true);
});
