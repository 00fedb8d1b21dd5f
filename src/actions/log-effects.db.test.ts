import type postgres from 'postgres';
import { v7 as uuidv7 } from 'uuid';
import { type LogEntry } from '@/core/log/entry';
import { stepId } from '@/core/plan/step-key';
import type { PlannedStep } from '@/core/plan/steps';
import { standState } from '@/core/stand/state';
import { seeded } from '@/core/statistics/random';
import { insertFault } from '@/data/faults';
import type { Sql } from '@/data/sql';
import type { TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { type Context, QUILTER } from './context';
import { keepEntries } from './log';
import { readPlan } from './plan';
import { readQuiltView } from './quilt-view';

/**
 * Thousands of made-up logs: steps done, taken back, put again, on two devices, with needles, bobbins, threads and faults
 * between them, arriving in any order. After each the studio's tables, the tablet's own list and a plain recount, written
 * here without any of the program's own code, must say the same.
 */
const CASES = Number(process.env.CASES ?? 60);
const NEEDLES = [90, 100, 110];
/** The entries of a log lie within so many milliseconds. */
const SPREAD_MS = 500;

let base: TestDatabase;
let world: World;
interface World {
  quiltId: string;
  steps: PlannedStep[];
  /** Metres of top thread a step takes for each of its zones, and its stitches there. */
  takes: Map<string, { zone: string; top: string; metres: number; stitches: number }[]>;
  cones: string[];
  bobbin: string;
  faultId: string;
  all: number;
  began: number;
}

beforeAll(async () => {
  base = await demoDatabase('log_effects');
  const [quilt] = await base.sql<{ id: string }[]>`select id from quilt where name = 'Long Gallery'`;
  const view = (await readQuiltView(base.sql, quilt!.id))!;
  const { steps, plan } = await readPlan(base.sql, view);
  const open = steps.filter((s) => !view.quilt.sewn.some((d) => d.pass === s.pass && d.thread === s.thread));
  const setup = [...view.setups.values()][0]!;
  await base.sql`update needle set stock = 50`;
  await base.sql`insert into bobbin_stock (id, cone_id, kind, metres_each, count) values (${uuidv7()}, ${setup.bobbinId}, 'wound', 77, 40)`;
  const faultId = uuidv7();
  await insertFault(base.sql, {
    id: faultId,
    quiltId: quilt!.id,
    zoneId: null,
    xIn: null,
    yIn: null,
    pass: 1,
    direction: null,
    note: '',
    symptoms: ['skipped'],
  });
  // A cone that is nearly empty runs out in the middle, and gets no more back than it had.
  await base.sql`update cone set remaining_m = 20, counted_m = 20 where id = ${open[0]!.thread}`;
  world = {
    quiltId: quilt!.id,
    steps: open.slice(0, 4),
    takes: new Map(
      open.map((s) => [
        stepId(s),
        s.zones.map((z) => {
          const planned = plan.zones.find((p) => p.id === z.id)!;
          return {
            zone: z.id,
            top: view.setups.get(z.id)!.topId,
            metres: planned.topM * z.share,
            stitches: planned.stitches * z.share,
          };
        }),
      ]),
    ),
    cones: view.shelf
      .filter((c) => c.role !== 'bobbin')
      .slice(0, 3)
      .map((c) => c.id),
    bobbin: setup.bobbinId,
    faultId,
    all: open.length,
    began: Date.now(),
  };
  // Nothing happens in the future: what is told so is moved to now, and its order with it.
  await new Promise((go) => setTimeout(go, SPREAD_MS));
});
afterAll(() => base.end());

/** The same actions within one transaction, which is undone at the end: a case leaves nothing behind. */
const within = (tx: postgres.TransactionSql): Context => ({
  sql: Object.assign((...a: Parameters<typeof tx>) => tx(...a), tx, {
    begin: (act: (sub: Sql) => Promise<unknown>) => tx.savepoint((sub) => act(sub)),
  }) as unknown as postgres.Sql,
  actor: QUILTER,
  now: new Date(),
});

interface Tables {
  steps: string[];
  stitches: number;
  tally: number;
  needle: string;
  drawer: number;
  bobbins: number;
  faults: number;
  mended: string;
  /** What was done to the machine and noted of its air, by entries. */
  care: number;
  air: number;
  cones: Record<string, number>;
  frame: string;
}

async function tablesOf(tx: Sql): Promise<Tables> {
  const [row] = await tx<
    (Omit<Tables, 'steps' | 'cones'> & { steps: string[] | null; cones: Record<string, number> })[]
  >`
    select (select array_agg(pass || ' ' || cone_id || ' ' || case when stabilise then 'stabilise' else 'fill' end)
            from step_sewn where quilt_id = ${world.quiltId} and applied is not null) as steps,
      (select round(sum(s.stitches)) from stitches_sewn s join zone z on z.id = s.zone_id where z.quilt_id = ${world.quiltId}) as stitches,
      (select round(sum(stitches)) from sewn_tally) as tally,
      (select nm || ' ' || round(stitches) from needle_fitted where removed_at is null) as needle,
      (select sum(stock)::int from needle) as drawer,
      (select sum(count)::int from bobbin_stock) as bobbins,
      (select count(*)::int from fault where quilt_id = ${world.quiltId}) as faults,
      (select status from fault where id = ${world.faultId}) as mended,
      (select count(*)::int from care_done where entry_id is not null) as care,
      (select count(*)::int from air_note) as air,
      (select jsonb_object_agg(id, round(remaining_m::numeric, 3)) from cone) as cones,
      (select step || ' ' || coalesce(on_frame_since::text, 'off') from quilt where id = ${world.quiltId}) as frame`;
  return { ...row!, steps: (row!.steps ?? []).sort() };
}

type Random = ReturnType<typeof seeded>;
const pick = <T>(random: Random, list: readonly T[]): T =>
  list[Math.min(list.length - 1, Math.floor(random.uniform() * list.length))]!;

/** A log as two tablets may write it, in the order it arrives. */
function madeUp(random: Random): { device: 0 | 1; entry: LogEntry }[] {
  const n = 2 + Math.floor(random.uniform() * 5);
  const out: { device: 0 | 1; entry: LogEntry }[] = [];
  for (let i = 0; i < n; i++) {
    const at = new Date(world.began + Math.floor(random.uniform() * SPREAD_MS)).toISOString();
    const make = (kind: LogEntry['kind'], part: Partial<LogEntry> = {}): LogEntry => ({
      id: uuidv7(),
      quiltId: world.quiltId,
      kind,
      at,
      ...part,
    });
    const step = pick(random, world.steps);
    const { pass, thread, stabilise } = step;
    const before = out.map((o) => o.entry);
    const dice = random.uniform();
    const entry =
      dice < 0.4 || before.length === 0
        ? make('step-done', { pass, thread, stabilise, minutes: 12 })
        : dice < 0.7
          ? make('undone', { undoes: pick(random, before).id })
          : dice < 0.78
            ? make('needle-changed', {
                nm: pick(random, NEEDLES),
                eye: 'standard',
                point: 'sharp',
                coated: false,
              })
            : dice < 0.84
              ? make('bobbin-changed', { thread: world.bobbin })
              : dice < 0.92
                ? make('thread-changed', {
                    setting: 'topId',
                    to: pick(random, world.cones),
                    zones: step.zones.map((z) => z.id),
                  })
                : dice < 0.95
                  ? make('fault', { symptoms: ['skipped'], pass, thread, stabilise })
                  : dice < 0.97
                    ? make('fault-mended', { faultId: world.faultId })
                    : dice < 0.985
                      ? make('care-done', { care: 'oil-race' })
                      : make('air-noted', { humidityPct: 30 });
    out.push({ device: random.uniform() < 0.5 ? 0 : 1, entry });
  }
  return out;
}

/** What must be there, counted plainly. */
function recount(before: Tables, log: readonly LogEntry[]): Tables {
  const stands = (e: LogEntry): boolean =>
    !log.some((u) => u.kind === 'undone' && u.undoes === e.id && stands(u));
  const real = log
    .filter((e) => e.kind !== 'undone' && stands(e))
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1));
  const keyOf = (e: LogEntry) => `${e.pass} ${e.thread} ${e.stabilise ? 'stabilise' : 'fill'}`;
  const first = new Map<string, LogEntry>();
  for (const e of real) if (e.kind === 'step-done' && !first.has(keyOf(e))) first.set(keyOf(e), e);
  const taken = new Map<string, number>();
  let stitches = 0;
  for (const [key, done] of first)
    for (const z of world.takes.get(key)!) {
      const change = real
        .slice(0, real.indexOf(done))
        .filter((e) => e.kind === 'thread-changed' && e.zones!.includes(z.zone))
        .at(-1);
      const cone = change ? String(change.to) : z.top;
      taken.set(cone, (taken.get(cone) ?? 0) + z.metres);
      stitches += z.stitches;
    }
  const needles = real.filter((e) => e.kind === 'needle-changed');
  const newest = needles.at(-1);
  const sewnOn = [...first].filter(([, e]) => !newest || Date.parse(e.at) >= Date.parse(newest.at));
  const onNeedle = sewnOn.reduce(
    (sum, [key]) => sum + world.takes.get(key)!.reduce((s, z) => s + z.stitches, 0),
    0,
  );
  const [nm, had] = before.needle.split(' ');
  return {
    ...before,
    steps: [...first.keys()].sort(),
    stitches: Number(before.stitches) + stitches,
    tally: Number(before.tally) + stitches,
    needle: newest ? `${newest.nm} ${Math.round(onNeedle)}` : `${nm} ${Math.round(Number(had) + onNeedle)}`,
    drawer: before.drawer - needles.length,
    bobbins: before.bobbins - real.filter((e) => e.kind === 'bobbin-changed').length,
    faults: before.faults + real.filter((e) => e.kind === 'fault').length,
    care: before.care + real.filter((e) => e.kind === 'care-done').length,
    air: before.air + real.filter((e) => e.kind === 'air-noted').length,
    mended: real.some((e) => e.kind === 'fault-mended') ? 'mended' : before.mended,
    cones: Object.fromEntries(
      Object.entries(before.cones).map(([id, m]) => [id, Math.max(0, m - (taken.get(id) ?? 0))]),
    ),
    // The last of its steps takes a quilt off the frame; any of them brings it to the machine.
    frame: first.size === 0 ? before.frame : `${first.size === world.all ? 'hand-back' : 'quilt'} off`,
  };
}

/** Alike to a stitch and a centimetre: what is added up in another order differs by less. */
function expectSame(is: Tables, must: Tables, log: readonly LogEntry[]) {
  const told = `${JSON.stringify(log, null, 1)}`;
  const near = (a: unknown, b: unknown, by: number) => Math.abs(Number(a) - Number(b)) <= by;
  const needle = (t: Tables) => t.needle.split(' ');
  const wrong = [
    JSON.stringify(is.steps) !== JSON.stringify(must.steps) &&
      `steps ${is.steps.join()} / ${must.steps.join()}`,
    !near(is.stitches, must.stitches, 2) && `stitches ${is.stitches} / ${must.stitches}`,
    !near(is.tally, must.tally, 2) && `tally ${is.tally} / ${must.tally}`,
    (needle(is)[0] !== needle(must)[0] || !near(needle(is)[1], needle(must)[1], 2)) &&
      `needle ${is.needle} / ${must.needle}`,
    ...(['drawer', 'bobbins', 'faults', 'mended', 'care', 'air', 'frame'] as const).map(
      (k) => is[k] !== must[k] && `${k} ${is[k]} / ${must[k]}`,
    ),
    ...Object.keys(must.cones).map(
      (id) => !near(is.cones[id], must.cones[id], 0.01) && `cone ${id} ${is.cones[id]} / ${must.cones[id]}`,
    ),
  ].filter(Boolean);
  if (wrong.length > 0) throw new Error(`${wrong.join('\n')}\n${told}`);
}

test(`of ${CASES} made-up logs tables, tablet and a plain recount say the same`, async () => {
  const random = seeded(20261130);
  const devices = [uuidv7(), uuidv7()];
  const before = await tablesOf(base.sql);
  let undoneDone = 0;
  for (let c = 0; c < CASES; c++) {
    const log = madeUp(random);
    const entries = log.map((l) => l.entry);
    await base.sql
      .begin(async (tx) => {
        const context = within(tx);
        for (const { device, entry } of log) {
          const { refused } = await keepEntries(context, devices[device]!, [entry], new Date().toISOString());
          expect(refused).toEqual([]);
        }
        expectSame(await tablesOf(tx), recount(before, entries), entries);
        const tablet = standState(
          world.steps.map((s) => ({ ...s, zones: [] })),
          [],
          entries,
        );
        expect([...tablet.done].sort()).toEqual(recount(before, entries).steps);
        if (c % 10 === 0) {
          // And taken back altogether, everything is as it was.
          const left = tablet.entries.map((e) => ({
            id: uuidv7(),
            quiltId: world.quiltId,
            kind: 'undone' as const,
            at: new Date().toISOString(),
            undoes: e.id,
          }));
          await keepEntries(context, devices[0]!, left, new Date().toISOString());
          expectSame(await tablesOf(tx), before, [...entries, ...left]);
          undoneDone++;
        }
        throw new Error('undo the case');
      })
      .catch((error: Error) => {
        if (error.message !== 'undo the case') throw error;
      });
  }
  expect(undoneDone).toBe(CASES / 10);
}, 600_000);
