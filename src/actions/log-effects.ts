import { stepEffect, type StepBasis } from '@/core/log/effect';
import { happenedMs } from '@/core/log/entry';
import { type DoneStep, foldLog, type Folded } from '@/core/log/fold';
import { NOTHING_LOGGED } from '@/core/hours/factors';
import { needleLife } from '@/core/needle/life';
import { isSewn } from '@/core/plan/begun';
import { stepId, type StepKey } from '@/core/plan/step-key';
import { frameActsMin, type PlannedStep } from '@/core/plan/steps';
import { wearFactor } from '@/core/sandwich/sandwich';
import type { Eye, Point } from '@/core/tables/needles';
import { fibres } from '@/core/tables/fibres';
import { techniques } from '@/core/tables/techniques';
import { airByEntry, readAirByLog, unairByEntry } from '@/data/air';
import { careByEntry, readCareByLog, uncareByEntry } from '@/data/care';
import { readTakenBobbins, takeBobbin, untakeBobbin } from '@/data/bobbins';
import { readConesOf, takeMetres, untakeMetres } from '@/data/cones';
import { insertStitches } from '@/data/fault-record';
import { bringFaultBack, mendByLog, readFaultsByLog, setFaultAside, unmendByLog } from '@/data/faults';
import { readBases, readEffective } from '@/data/log';
import { addStitches, fitByEntry, readFittedAt, readFittedByLog, unfitByEntry } from '@/data/needles';
import { markSewn, readQuilt } from '@/data/quilts';
import { readCards } from '@/data/setups';
import type { Sql } from '@/data/sql';
import { deleteStep, insertStep, readStepsOf, type StoredStep } from '@/data/steps';
import { readZones } from '@/data/zones';
import { handSpeedOf, type PlanView, readPlan } from './plan';

/** A needle's eye and point where an entry does not say, when nothing is known of the one before. */
const PLAIN = { eye: 'standard', point: 'sharp', coated: false } as const;

/** What a step rests on as the plan and the cards have it now. */
export function basisOf(
  view: PlanView,
  { plan, request }: Pick<Awaited<ReturnType<typeof readPlan>>, 'plan' | 'request'>,
  step: PlannedStep,
): StepBasis {
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  return {
    pass: step.pass,
    thread: step.thread,
    stabilise: step.stabilise,
    actsMin: frameActsMin(step),
    zones: step.zones.flatMap(({ id, letter, share }, i) => {
      const setup = view.setups.get(id);
      const planned = plan.zones.find((z) => z.id === id)!;
      const zone = request.zones.find((z) => z.id === id)!;
      if (!setup) return [];
      return {
        zoneId: id,
        letter,
        stitches: planned.stitches * share,
        topM: planned.topM * share,
        bobbinM: planned.bobbinM * share,
        topId: setup.topId,
        bobbinId: setup.bobbinId,
        needleNm: setup.needleNm,
        spi: setup.spi,
        handInPerS: handSpeedOf(setup, zone.technique),
        wearFactor: wearFactor(zone.sandwich) * fibres.get(cones.get(setup.topId)!.fibre).needleWear,
        part: step.work[i]!,
        chosenAt: setup.chosenAt.getTime(),
      };
    }),
  };
}

/** Steps a quilt is planned with now, and whether every zone has its card. */
export interface Planned {
  steps: readonly StepKey[];
  matched: boolean;
}

/** The plan of a quilt as far as its log asks for it. */
export async function readForLog(tx: Sql, quiltId: string) {
  const [quilt, zones, cards, shelf] = await Promise.all([
    readQuilt(tx, quiltId),
    readZones(tx, quiltId),
    readCards(tx, quiltId),
    readConesOf(tx, quiltId),
  ]);
  const view = { quilt: quilt!, zones, setups: new Map(cards.map((s) => [s.zoneId, s])), shelf };
  return { view, read: await readPlan(tx, view, NOTHING_LOGGED) };
}
export const plannedOf = ({ steps, request }: Awaited<ReturnType<typeof readPlan>>): Planned => ({
  steps,
  matched: request.zones.every((z) => z.setup || techniques.get(z.technique).leftOpen),
});

/**
 * Makes the studio's tables what the standing entries of a quilt come to, and nothing else: what an entry wrote goes when
 * it stands no more, what another still says stays, and what stands again is put as it was. One function for an entry
 * that comes, one that is taken back, and one that comes late.
 */
export async function followLog(
  tx: Sql,
  quiltId: string,
  machineId: string,
  planned?: Planned,
): Promise<void> {
  const folded = foldLog(await readEffective(tx, quiltId));
  await followFaults(tx, quiltId, folded);
  await followNeedles(tx, quiltId, machineId, folded);
  await followBobbins(tx, quiltId, folded);
  await followCare(tx, quiltId, machineId, folded);
  await followSteps(tx, quiltId, machineId, folded, planned);
}

async function followFaults(tx: Sql, quiltId: string, { faults, mended }: Folded): Promise<void> {
  const stands = new Set(faults.map((f) => f.id));
  for (const { id, there } of await readFaultsByLog(tx, quiltId)) {
    if (there && !stands.has(id)) await setFaultAside(tx, id);
    if (!there && stands.has(id)) await bringFaultBack(tx, id);
  }
  await unmendByLog(tx, quiltId, [...mended.keys()]);
  for (const [id, by] of mended)
    await mendByLog(
      tx,
      id,
      by.map((e) => e.id),
    );
}

async function followNeedles(
  tx: Sql,
  quiltId: string,
  machineId: string,
  { needles }: Folded,
): Promise<void> {
  const there = await readFittedByLog(tx, quiltId);
  const stands = needles.filter((e) => e.nm !== undefined);
  for (const f of there) if (!stands.some((e) => e.id === f.id)) await unfitByEntry(tx, f.id);
  for (const e of stands) {
    if (there.some((f) => f.id === e.id)) continue;
    const at = new Date(happenedMs(e));
    const before = await readFittedAt(tx, machineId, at);
    const kind = {
      nm: e.nm!,
      eye: (e.eye ?? before?.eye ?? PLAIN.eye) as Eye,
      point: (e.point ?? before?.point ?? PLAIN.point) as Point,
      coated: e.coated ?? before?.coated ?? PLAIN.coated,
    };
    await fitByEntry(tx, e.id, machineId, { ...kind, life: needleLife([], kind.coated), at });
  }
}

async function followBobbins(tx: Sql, quiltId: string, { bobbins }: Folded): Promise<void> {
  const there = await readTakenBobbins(tx, quiltId);
  const stands = bobbins.filter((e) => e.thread);
  for (const { entryId } of there)
    if (!stands.some((e) => e.id === entryId)) {
      await untakeBobbin(tx, entryId);
      await untakeMetres(tx, entryId);
    }
  for (const e of stands) {
    if (there.some((t) => t.entryId === e.id)) continue;
    // One wound just now goes straight into the case: it comes off the cone, not off the tray.
    if (e.woundM)
      await takeMetres(tx, {
        coneId: e.thread!,
        metres: e.woundM,
        why: 'winding',
        note: 'wound at the machine',
        entryId: e.id,
        at: new Date(happenedMs(e)),
      });
    await takeBobbin(tx, e.id, quiltId, e.woundM ? null : e.thread!);
  }
}

async function followCare(tx: Sql, quiltId: string, machineId: string, { care, air }: Folded): Promise<void> {
  const there = await readCareByLog(tx, quiltId);
  const stands = care.filter((e) => e.care);
  for (const { id } of there) if (!stands.some((e) => e.id === id)) await uncareByEntry(tx, id);
  for (const e of stands)
    if (!there.some((t) => t.id === e.id))
      await careByEntry(tx, e.id, machineId, String(e.care), new Date(happenedMs(e)));
  const noted = await readAirByLog(tx, quiltId);
  // Another program may note that the air was looked at and not say how it was: kept, and nothing follows.
  const told = air.filter((e) => e.humidityPct !== undefined || e.staticFelt !== undefined);
  for (const { id } of noted) if (!told.some((e) => e.id === id)) await unairByEntry(tx, id);
  for (const e of told)
    if (!noted.some((n) => n.id === e.id))
      await airByEntry(tx, machineId, {
        id: e.id,
        at: new Date(happenedMs(e)),
        humidityPct: e.humidityPct ?? null,
        staticFelt: e.staticFelt ?? false,
      });
}

const keyOf = (s: StoredStep) =>
  s.coneId === null ? null : stepId({ pass: s.pass, thread: s.coneId, stabilise: s.stabilise });

async function followSteps(
  tx: Sql,
  quiltId: string,
  machineId: string,
  { done }: Folded,
  planned?: Planned,
): Promise<void> {
  const [stored, bases] = await Promise.all([readStepsOf(tx, quiltId), readBases(tx, quiltId)]);
  // What was sewn before the log began, or came in with a saved studio, stands by itself.
  const byThemselves = new Set(stored.flatMap((s) => (s.ofLog ? [] : (keyOf(s) ?? []))));
  const wholePasses = new Set(stored.flatMap((s) => (s.coneId === null ? [s.pass] : [])));
  const wanted = new Map(
    [...done.values()].flatMap((d) => {
      const basis = bases.get(d.entry.id);
      if (!basis || byThemselves.has(d.key) || wholePasses.has(basis.pass)) return [];
      const effect = stepEffect(basis, d);
      return [[d.entry.id, { basis, effect, done: d, applied: JSON.stringify(effect) }] as const];
    }),
  );
  const gone = stored.filter((s) => s.ofLog && wanted.get(s.id)?.applied !== s.applied);
  for (const s of gone) {
    await untakeMetres(tx, s.id);
    await deleteStep(tx, s.id);
    if (s.needleFittedId) await addStitches(tx, s.needleFittedId, -s.stitches, -s.worn);
  }
  const there = new Set(stored.filter((s) => !gone.includes(s)).map((s) => s.id));
  const fresh = [...wanted].filter(([id]) => !there.has(id));
  for (const [id, w] of fresh) await writeStep(tx, quiltId, machineId, id, w);
  if (gone.length + fresh.length === 0) return;
  // What was taken back and not put again is open: no plan is needed to say so.
  const left = stored.length - gone.length;
  if (fresh.length === 0) return void (await markSewn(tx, quiltId, left > 0 ? 'some' : 'none'));
  const { steps, matched } = planned ?? plannedOf((await readForLog(tx, quiltId)).read);
  const sewn = [
    ...stored.filter((s) => !gone.includes(s)).map((s) => ({ ...s, thread: s.coneId })),
    ...fresh.map(([, { basis }]) => basis),
  ];
  await markSewn(tx, quiltId, matched && steps.every((s) => isSewn(s, sewn)) ? 'all' : 'some');
}

async function writeStep(
  tx: Sql,
  quiltId: string,
  machineId: string,
  id: string,
  w: { basis: StepBasis; effect: ReturnType<typeof stepEffect>; done: DoneStep; applied: string },
): Promise<void> {
  const at = new Date(happenedMs(w.done.entry));
  const needle = await readFittedAt(tx, machineId, at);
  const { basis, effect } = w;
  await insertStep(tx, {
    id,
    quiltId,
    pass: basis.pass,
    coneId: basis.thread,
    stabilise: basis.stabilise,
    minutes: effect.minutes,
    parts: effect.parts,
    stitches: effect.stitches,
    needleFittedId: needle?.id ?? null,
    worn: effect.worn,
    at,
    applied: w.applied,
  });
  await insertStitches(
    tx,
    effect.zones.filter((z) => z.stitches > 0).map((z) => ({ ...z, pass: basis.pass, at, stepId: id })),
  );
  if (needle) await addStitches(tx, needle.id, effect.stitches, effect.worn);
  for (const z of effect.zones)
    await takeMetres(tx, {
      coneId: z.topId,
      metres: z.topM,
      why: 'pass',
      note: `pass ${basis.pass}, zone ${z.letter}`,
      entryId: id,
      at,
    });
}
