import { v7 as uuidv7 } from 'uuid';
import { LOG_KINDS } from '@/core/log/entry';
import { standState } from '@/core/stand/state';
import { readEntries } from '@/data/log';
import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { thisContext } from './context';
import { keepEntries, type LogAnswer } from './log';
import { readPlan } from './plan';
import { logStep } from './plan-commands';
import { readQuiltView } from './quilt-view';
import { isSewn } from '@/core/plan/begun';

let base: TestDatabase;
let quiltId: string;
const device = uuidv7();
beforeAll(async () => {
  base = await demoDatabase('log');
  const [q] = await base.sql<{ id: string }[]>`select id from quilt where name = 'Harbour Lights'`;
  quiltId = q!.id;
});
afterAll(() => base.end());

const entry = (kind: string, part: object = {}) => ({
  id: uuidv7(),
  at: new Date().toISOString(),
  kind,
  quiltId,
  ...part,
});
const keep = (...entries: unknown[]): Promise<LogAnswer> => keepEntries(thisContext(), device, entries);
/** Everything a step changes, as it stands. */
const traces = async () => {
  const [row] = await base.sql<Record<string, unknown>[]>`
    select (select count(*)::int from step_sewn where quilt_id = ${quiltId}) as steps,
           (select coalesce(sum(stitches), 0)::int from stitches_sewn s join zone z on z.id = s.zone_id where z.quilt_id = ${quiltId}) as stitches,
           (select round(sum(remaining_m)) from cone) as metres,
           (select round(sum(stitches)) from needle_fitted) as needle,
           (select round(sum(stitches)) from sewn_tally) as tally`;
  return row!;
};
const nextStep = async () => {
  const view = (await readQuiltView(base.sql, quiltId))!;
  const { steps } = await readPlan(base.sql, view);
  return steps.find((s) => !isSewn(s, view.quilt.sewn))!;
};

test('what is sent is kept once, however often it comes, and each is told', async () => {
  const all = [entry('note', { note: 'lint in the hook' }), entry('back-checked', { pass: 3 })];
  const answers = await Promise.all(Array.from({ length: 5 }, () => keep(...all)));
  for (const a of answers) expect(a).toMatchObject({ kept: all.map((e) => e.id), refused: [] });
  const stored = await readEntries(base.sql, quiltId);
  expect(stored.filter((e) => all.some((x) => x.id === e.id))).toHaveLength(2);
  expect(Math.abs(Date.parse(answers[0]!.now) - Date.now())).toBeLessThan(60_000);
});

test('one that is refused is told why and never holds up the others; their order stays', async () => {
  const before = (await readEntries(base.sql, quiltId)).length;
  const good = Array.from({ length: 6 }, (_, i) => entry('note', { note: `${i}` }));
  const bad = [
    entry('danced'),
    entry('note', { quiltId: uuidv7() }),
    entry('note', { at: 'yesterday' }),
    entry('width-measured', { widthIn: -4 }),
    entry('step-done', { pass: 190, thread: 'nothing' }),
    entry('fault', { symptoms: ['no such sign'] }),
    entry('undone', { undoes: uuidv7() }),
    { ...entry('note'), id: 'x' },
    null,
    7,
    [],
    entry('note', { note: '\ud800' }),
  ];
  const mixed = good.flatMap((g, i) => [g, bad[2 * i], bad[2 * i + 1]]);
  const { kept, refused } = await keep(...mixed);
  expect(kept).toEqual(good.map((g) => g.id));
  expect(refused).toHaveLength(bad.length);
  for (const r of refused) expect(r.reason.length).toBeGreaterThan(10);
  const stored = (await readEntries(base.sql, quiltId)).slice(before);
  expect(stored.map((e) => e.note)).toEqual(['0', '1', '2', '3', '4', '5']);
  expect(stored.every((e, i) => i === 0 || e.cursor > stored[i - 1]!.cursor)).toBe(true);
});

test('a step done counts once from two devices, and all it changed is taken back and put again', async () => {
  const before = await traces();
  const { pass, thread, stabilise } = await nextStep();
  const told = () => entry('step-done', { pass, thread, stabilise, minutes: 31 });
  const [one, two] = [told(), told()];
  await Promise.all([keep(one), keepEntries(thisContext(), uuidv7(), [two])]);
  const after = await traces();
  expect(after.steps).toBe((before.steps as number) + 1);
  expect(Number(after.stitches)).toBeGreaterThan(Number(before.stitches));
  expect(Number(after.metres)).toBeLessThan(Number(before.metres));
  const [row] = await base.sql<{ id: string; minutes: number }[]>`
    select id, minutes from step_sewn where quilt_id = ${quiltId} order by at desc limit 1`;
  expect(row!.minutes).toBe(31);
  // One of the two takes it back: it stays done, for the other still says so.
  const undone = entry('undone', { undoes: row!.id });
  expect((await keep(undone)).kept).toHaveLength(1);
  expect(await traces()).toEqual(after);
  const both = entry('undone', { undoes: row!.id === one.id ? two.id : one.id });
  await keep(both);
  expect(await traces()).toEqual(before);
  // Taking back twice changes nothing; taking the taking back puts it again.
  await keep(entry('undone', { undoes: row!.id }));
  expect(await traces()).toEqual(before);
  await keep(entry('undone', { undoes: both.id }));
  expect(await traces()).toEqual(after);
});

test('the desk writes to the same log, and the Stand’s state rebuilt from it is what is stored', async () => {
  const step = await nextStep();
  const { pass, thread, stabilise } = step;
  await logStep(thisContext(), { key: uuidv7(), quiltId, pass, thread, stabilise, minutes: 22 });
  const view = (await readQuiltView(base.sql, quiltId))!;
  const { steps } = await readPlan(base.sql, view);
  const begunWith = await base.sql<{ pass: number; coneId: string; stabilise: boolean }[]>`
    select pass, cone_id, stabilise from step_sewn where quilt_id = ${quiltId}
      and id not in (select id from log_entry)`;
  const state = standState(
    steps.map((s) => ({ ...s, zones: [] })),
    begunWith.map((s) => `${s.pass} ${s.coneId} ${s.stabilise ? 'stabilise' : 'fill'}`),
    await readEntries(base.sql, quiltId),
  );
  for (const s of steps)
    expect([
      s.pass,
      s.thread,
      state.done.has(`${s.pass} ${s.thread} ${s.stabilise ? 'stabilise' : 'fill'}`),
    ]).toEqual([s.pass, s.thread, isSewn(s, view.quilt.sewn)]);
});

test('a fault and a needle are kept where the rest of the studio sees them, and taken back', async () => {
  const fault = entry('fault', { symptoms: ['skipped'], pass: 2, xIn: 4, yIn: 5, severity: 2 });
  await keep(fault);
  expect(await base.sql`select symptom from fault_symptom where fault_id = ${fault.id}`).toHaveLength(1);
  await keep(entry('fault-mended', { faultId: fault.id }));
  expect(await base.sql`select status from fault where id = ${fault.id}`).toMatchObject([
    { status: 'mended' },
  ]);
  await keep(entry('undone', { undoes: fault.id }));
  expect(await base.sql`select 1 from fault where id = ${fault.id}`).toHaveLength(0);
  const [own] = await base.sql<{ id: string }[]>`select id from needle_fitted where removed_at is null`;
  const needle = entry('needle-changed', { nm: 110 });
  await keep(needle);
  expect(await base.sql`select nm from needle_fitted where removed_at is null`).toMatchObject([{ nm: 110 }]);
  await keep(entry('undone', { undoes: needle.id }));
  expect(await base.sql`select id from needle_fitted where removed_at is null`).toMatchObject([
    { id: own!.id },
  ]);
});

test('the log is only added to, and takes a clock that is a day wrong with the server’s own time beside it', async () => {
  const wrong = entry('note', { at: '2026-11-24T09:00:00+02:00', note: 'slow clock' });
  await keep(wrong);
  const stored = (await readEntries(base.sql, quiltId)).find((e) => e.id === wrong.id)!;
  expect(stored.at).toBe('2026-11-24T07:00:00.000Z');
  expect(Date.now() - stored.receivedAt.getTime()).toBeLessThan(60_000);
  await expect(base.sql`update log_entry set kind = 'note' where id = ${wrong.id}`).rejects.toThrow(
    /only added/,
  );
  await expect(base.sql`delete from log_entry where id = ${wrong.id}`).rejects.toThrow(/only added/);
});

test('every kind has a way in, and more fields than are known here are kept with it', async () => {
  const more = entry('note', { text: 'as another program writes it', rail: 3 });
  await keep(more);
  expect((await readEntries(base.sql, quiltId)).find((e) => e.id === more.id)).toMatchObject({
    text: 'as another program writes it',
    rail: 3,
  });
  const simple = LOG_KINDS.filter((k) => !['step-done', 'fault', 'fault-mended', 'undone'].includes(k));
  const { kept } = await keep(...simple.map((kind) => entry(kind, { pass: 1, widthIn: 60 })));
  expect(kept).toHaveLength(simple.length);
});

test('with several people every entry says who wrote it; alone nobody is named, and no device can say so itself', async () => {
  const [q] = await base.sql<{ id: string }[]>`select id from quilt where name = 'Slipway'`;
  const note = (part: object = {}) => ({
    id: uuidv7(),
    quiltId: q!.id,
    at: new Date().toISOString(),
    kind: 'note',
    note: 'x',
    ...part,
  });
  const mine = note({ who: 'somebody else' });
  await keepEntries(thisContext(), uuidv7(), [mine]);
  const of = async (id: string) => (await readEntries(base.sql, q!.id)).find((e) => e.id === id)!;
  expect((await of(mine.id)).who).toBeUndefined();
  const ines = uuidv7();
  await base.sql`insert into person (id, name, role) values (${ines}, 'Ines', 'hand')`;
  const hers = note();
  const as = { ...thisContext(), actor: { id: ines, name: 'Ines', role: 'hand' as const } };
  await keepEntries(as, uuidv7(), [hers]);
  expect([(await of(mine.id)).who, (await of(hers.id)).who]).toEqual(['The quilter', 'Ines']);
});
