import { v7 as uuidv7 } from 'uuid';
import { asHandsMove, framesOf, rowsOver } from '@/core/stand-in/longarm';
import { rect } from '@/core/geometry/polygon';
import { seeded } from '@/core/statistics/random';
import { readEntries } from '@/data/log';
import { readPath, readRuns, readRaw, readRun } from '@/data/link';
import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { thisContext } from './context';
import { MOST_LINES, stepWork, takeIn } from './link';
import { readPlan } from './plan';
import { readQuiltView } from './quilt-view';
import type { Result } from './result';

let base: TestDatabase;
let quiltId: string;
beforeAll(async () => {
  base = await demoDatabase('link');
  const [q] = await base.sql<{ id: string }[]>`select id from quilt where name = 'Harbour Lights'`;
  quiltId = q!.id;
});
afterAll(() => base.end());

const value = <T>(r: Result<T>): T => {
  if (!r.ok) throw new Error(r.problems.map((p) => p.message).join('; '));
  return r.value;
};
const frames = (faults: Parameters<typeof framesOf>[1] = []) => {
  const path = asHandsMove(rowsOver([[rect(4, 4, 12, 6)]], 1, 1, 0, 20), 1.5, seeded(2));
  const machine = { maxSpm: 2200, idleMinSpm: 100, idleMaxSpm: 900 };
  return [...framesOf({ machine, mode: 'resting', spi: 10, path }, faults)];
};
const lines = (head: object, list: readonly object[]) =>
  [head, ...list].map((l) => JSON.stringify(l)).join('\n');
const headOf = (run: string, part: object = {}) => ({
  run,
  quiltId,
  pass: 2,
  machine: 'a bridge',
  limitInPerS: 3,
  ...part,
});

test('a run in batches, some of them twice, comes to what it was, its path simplified', async () => {
  const run = uuidv7();
  const all = frames();
  const third = Math.floor(all.length / 3);
  const batches = [
    all.slice(0, third),
    all.slice(0, third),
    all.slice(third - 20, 2 * third),
    all.slice(2 * third - 5),
  ];
  let told = { stitches: 0, lengthIn: 0, strange: 0 };
  for (const b of batches) told = value(await takeIn(thisContext(), lines(headOf(run), b)));
  expect(told.stitches).toBe(all.at(-1)!.n);
  expect(told.stitches / told.lengthIn).toBeCloseTo(10, 0);
  const [kept] = (await readRuns(base.sql, quiltId)).filter((r) => r.id === run);
  expect(kept).toMatchObject({ pass: 2, machine: 'a bridge', limitInPerS: 3 });
  expect(kept!.summary.histogram.reduce((a, b) => a + b, 0)).toBeGreaterThan(0.9 * told.stitches);
  const points = (await readPath(base.sql, run)).flat();
  expect(points.length).toBeGreaterThan(4);
  expect(points.length).toBeLessThan(all.length / 5);
});

test('a thread break is a fault in the log by itself, at its place, once however often it is sent', async () => {
  const run = uuidv7();
  const all = frames([{ atStitch: 90, event: 'thread-break' }]);
  for (let i = 0; i < 3; i++) value(await takeIn(thisContext(), lines(headOf(run), all)));
  const noted = (await readEntries(base.sql, quiltId)).filter((e) => e.device === run);
  expect(noted).toHaveLength(1);
  expect(noted[0]).toMatchObject({ kind: 'fault', symptoms: ['top_break'], pass: 2 });
  const rows = await base.sql`select x_in, y_in from fault where id = ${noted[0]!.id}`;
  expect(rows).toHaveLength(1);
});

test('ten hours of readings are as quick to take in at the end as at the start, and no larger', async () => {
  const run = uuidv7();
  const hour = Array.from({ length: 400 }, (_, i) => i);
  const at = (k: number) => ({
    t: 50 + k * 50,
    x: k % 40,
    y: Math.floor(k / 40) % 60,
    v: 1.4,
    rate: 900,
    n: k,
  });
  for (let b = 0; b < 10; b++)
    value(
      await takeIn(
        thisContext(),
        lines(
          headOf(run),
          hour.map((i) => at(b * 400 + i)),
        ),
      ),
    );
  const [row] = await base.sql<{ bytes: number; pieces: number }[]>`
    select octet_length(summary::text) as bytes, pieces from link_run where id = ${run}`;
  expect(row!.pieces).toBe(10);
  expect(row!.bytes).toBeLessThan(1200);
});

test.each<[string, () => string, RegExp]>([
  ['nothing', () => '', /first line/],
  ['no JSON', () => 'hello', /first line/],
  ['no run', () => JSON.stringify({ quiltId }), /UUIDs/],
  ['a quilt that is not there', () => lines({ run: uuidv7(), quiltId: uuidv7() }, []), /not known/],
  ['too much at once', () => lines(headOf(uuidv7()), Array<object>(MOST_LINES + 1).fill({})), /At most/],
])('%s is refused in words', async (_, text, words) => {
  const r = await takeIn(thisContext(), text());
  expect(r).toMatchObject({ ok: false });
  expect(r.ok ? '' : r.problems[0]!.message).toMatch(words);
});

test('lines that are no readings are counted and left out; another quilt’s run is not written to', async () => {
  const run = uuidv7();
  const [good] = frames();
  const odd = [
    '{',
    'null',
    '7',
    '{"t":-1}',
    JSON.stringify({ ...good, x: 1e12 }),
    JSON.stringify({ ...good, event: 'danced' }),
  ];
  const text = [JSON.stringify(headOf(run)), JSON.stringify(good), ...odd].join('\n');
  expect(value(await takeIn(thisContext(), text))).toMatchObject({ strange: odd.length });
  const [other] = await base.sql<{ id: string }[]>`select id from quilt where id <> ${quiltId} limit 1`;
  expect(await takeIn(thisContext(), lines(headOf(run, { quiltId: other!.id }), []))).toMatchObject({
    ok: false,
  });
});

test('what the stand-in is to sew lies in the zones of the step, within its pass', async () => {
  const view = (await readQuiltView(base.sql, quiltId))!;
  const { steps, plan } = await readPlan(base.sql, view);
  for (const s of steps.slice(0, 4)) {
    const work = (await stepWork(thisContext().sql, quiltId, s))!;
    expect(work.points.length).toBeGreaterThan(10);
    const axis = plan.passes!.turned ? 0 : 1;
    const from = plan.passes!.depthsIn.slice(0, s.pass - 1).reduce((a, b) => a + b, 0);
    const to = from + plan.passes!.depthsIn[s.pass - 1]!;
    expect(work.points.every((p) => p[axis] >= from - 1e-6 && p[axis] <= to + 1e-6)).toBe(true);
  }
  expect(await stepWork(thisContext().sql, quiltId, { pass: 99, thread: 'x', stabilise: false })).toBeNull();
});

test('raw readings are kept only when asked for, and come out as they went in', async () => {
  const [plain, raw] = [uuidv7(), uuidv7()];
  const all = frames();
  value(await takeIn(thisContext(), lines(headOf(plain), all)));
  value(await takeIn(thisContext(), lines(headOf(raw, { raw: true }), all.slice(0, 3))));
  // The same piece again, and what follows it.
  value(await takeIn(thisContext(), lines(headOf(raw, { raw: true }), all)));
  expect((await readRun(base.sql, plain))!.raw).toBe(0);
  expect((await readRun(base.sql, raw))!.raw).toBe(all.length);
  let text = '';
  for await (const piece of readRaw(base.sql, raw)) text += piece;
  expect(
    text
      .trim()
      .split('\n')
      .map((l) => JSON.parse(l) as object),
  ).toEqual(all);
  expect(await readRun(base.sql, uuidv7())).toBeNull();
});
