import type { readPlan } from '@/actions/plan';
import { handSpeedOf } from '@/actions/plan';
import type { QuiltView } from '@/actions/quilt-view';
import { coneName } from '@/actions/zone-brief';
import { clipToBand } from '@/core/geometry/band';
import { areaOf, type MultiPolygon, type XY } from '@/core/geometry/polygon';
import { bandsOf, rolledMm } from '@/core/plan/bands';
import { stepId } from '@/core/plan/step-key';
import { rollPassByPass } from '@/core/stand/roll';
import type { StandStep, StandZone } from '@/core/stand/state';
import { endsLine } from '@/core/stitch/ends';
import { type Mode } from '@/core/stitch/machine';
import type { Eye, Point } from '@/core/tables/needles';
import { type FootId, techniques } from '@/core/tables/techniques';
import { bobbinCapacityM } from '@/core/usage/usage';
import { type WatchFor, watchFor } from '@/core/watch/watch-for';
import { cardFacts } from '@/ui/print/card-facts';
import { spotIn, zonePath } from '@/ui/quilt-map/outline';

/** A zone of a step as its card has it. */
export interface ShownZone extends StandZone {
  name: string;
  work: string;
  topId: string;
  foot: FootId;
  /** What the card asks for, where the step keeps another foot on. */
  cardFoot: FootId;
  mode: Mode;
  spi: number;
  handInPerS: number;
  maxInPerS: number;
  topGf: number;
  bobbinGf: number;
  /** When its tensions were tested, milliseconds; null before. */
  provenAt: number | null;
  needleNm: number;
  needleEye: Eye;
  needlePoint: Point;
  besideRuler: boolean;
  watch: WatchFor[];
  /** How its lines begin and end and where the needle stops, in a line. */
  ends: string;
  /** What is marked in it on the frame, with what; empty when nothing is. */
  marking: string;
  /** The way round its lines in this pass; nothing where they are not followed. */
  route: readonly { points: readonly XY[] }[];
}

/** A step with everything its screen says. */
export interface ShownStep extends StandStep {
  zones: readonly ShownZone[];
}

/** A thread the Stand may name. */
export interface ShownThread {
  id: string;
  name: string;
  hex: string | null;
  role: 'top' | 'bobbin' | 'both';
  /** Metres a bobbin of it holds. */
  capacityM: number;
  /** Bobbins of it on the tray. */
  wound: number;
}

/** A zone as the picture of a pass draws it. */
export interface DrawnZone {
  id: string;
  letter: string;
  name: string;
  d: string;
  hex: string;
  watch: string[];
}
/** A pass on the frame: its band, and where in it each zone’s letter stands. */
export interface DrawnPass {
  from: number;
  to: number;
  spots: Record<string, XY>;
}
export interface PassDrawing {
  widthIn: number;
  lengthIn: number;
  turned: boolean;
  zones: DrawnZone[];
  passes: DrawnPass[];
}

/** The steps of a quilt as the Stand shows them. */
export function shownSteps(
  view: QuiltView,
  read: Awaited<ReturnType<typeof readPlan>>,
  markings: ReadonlyMap<string, string> = new Map(),
): ShownStep[] {
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  const zones = new Map(view.zones.map((z) => [z.id, z]));
  const feet = new Map(read.inside.map((s) => [s.key, new Map(s.zones.map((z) => [z.id, z.foot]))]));
  return read.steps.map((s): ShownStep => ({
    pass: s.pass,
    thread: s.thread,
    stabilise: s.stabilise,
    minutes: s.minutes,
    zones: s.zones.flatMap(({ id, share }): ShownZone[] => {
      const zone = zones.get(id);
      const setup = view.setups.get(id);
      const planned = read.plan.zones.find((p) => p.id === id);
      if (!zone || !setup || !planned || !cones.has(setup.topId) || !cones.has(setup.bobbinId)) return [];
      const card = cardFacts(setup, zone, view.quilt, read.machine, cones);
      return [
        {
          id,
          letter: zone.letter,
          name: zone.name,
          work: card.work,
          stitches: planned.stitches * share,
          bobbinId: setup.bobbinId,
          bobbinM: planned.bobbinM * share,
          topId: setup.topId,
          chosenAt: setup.chosenAt.getTime(),
          provenAt: setup.provenAt?.getTime() ?? null,
          foot: feet.get(stepId(s))?.get(id) ?? setup.foot,
          cardFoot: setup.foot,
          mode: setup.mode,
          spi: setup.spi,
          handInPerS: handSpeedOf(setup, zone.technique),
          maxInPerS: setup.maxInPerS,
          topGf: setup.provenTopGf ?? setup.topGf,
          bobbinGf: setup.provenBobbinGf ?? setup.bobbinGf,
          needleNm: setup.needleNm,
          needleEye: setup.needleEye,
          needlePoint: setup.needlePoint,
          besideRuler: techniques.get(zone.technique).besideRuler,
          watch: watchFor(zone),
          ends: endsLine(planned.ends),
          marking: markings.get(id) ?? '',
          route: planned.way.routes.find((r) => r.pass === s.pass)?.paths ?? [],
        },
      ];
    }),
  }));
}

/** Threads nearest in size offered for a change at the machine, besides those on the quilt’s cards. */
const MOST_THREADS = 40;

/** The threads a change at the machine may name: those on the quilt’s cards first, then the rest of the shelf. */
export function shownThreads(
  view: QuiltView,
  read: Awaited<ReturnType<typeof readPlan>>,
  tray: ReadonlyMap<string, number>,
): ShownThread[] {
  const named = new Set([...view.setups.values()].flatMap((s) => [s.topId, s.bobbinId]));
  const rest = view.shelf.filter((c) => !named.has(c.id) && !c.archivedAt);
  return [...view.shelf.filter((c) => named.has(c.id)), ...rest.slice(0, MOST_THREADS)].map((c) => ({
    id: c.id,
    name: coneName(c),
    hex: c.hex,
    role: c.role,
    capacityM: bobbinCapacityM(read.request.bobbinMm, c),
    wound: tray.get(c.id) ?? 0,
  }));
}

/** Everything the picture of a pass is drawn from. */
export function passDrawing(view: QuiltView, read: Awaited<ReturnType<typeof readPlan>>): PassDrawing {
  const { quilt, zones } = view;
  const turned = read.plan.passes?.turned ?? false;
  const passes = bandsOf(read.plan.passes, quilt).map(([from, to]): DrawnPass => {
    const spots: Record<string, XY> = {};
    for (const z of zones) {
      const part = clipToBand(z.geometry, turned ? 0 : 1, from, to);
      if (areaOf(part) > 0.5) spots[z.id] = spotIn(part);
    }
    return { from, to, spots };
  });
  return {
    widthIn: quilt.widthIn,
    lengthIn: quilt.lengthIn,
    turned,
    passes,
    zones: zones.map((z) => ({
      id: z.id,
      letter: z.letter,
      name: z.name,
      d: zonePath(z.geometry as MultiPolygon),
      hex: z.fabrics[0]?.hex ?? '#8b8474',
      watch: watchFor(z).map((w) => w.label),
    })),
  };
}

/** Before which passes the rail is to be raised. */
export const raiseBefore = (view: QuiltView, read: Awaited<ReturnType<typeof readPlan>>): number[] =>
  read.plan.passes
    ? rollPassByPass(
        read.request.frame.rollStartIn,
        rolledMm(view.quilt.battingKind, view.quilt.backingKind),
        read.plan.passes.depthsIn,
      )
        .filter((r) => r.raise)
        .map((r) => r.pass)
    : [];
