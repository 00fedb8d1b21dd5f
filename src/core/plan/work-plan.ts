import { density, type Density } from '../density/density';
import { lineDensity } from '../density/line-density';
import { openIn } from '../density/spacing-for';
import { areaInBand } from '../geometry/band';
import { areaOf, boundsOf, edgeLength, type MultiPolygon } from '../geometry/polygon';
import { shiftMin, slowedBy, TABLE_SPEED, tableAdvice, type TableMachine } from '../machine/table';
import { type Caution, CoreError } from '../notes';
import type { Cell, OrderRequest } from '../order/cells';
import { planPasses, type Passes, type PassesRequest } from '../passes/passes';
import { type Sandwich, thicknessMm } from '../sandwich/sandwich';
import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import { type FootId, type Technique, techniques } from '../tables/techniques';
import type { Thread } from '../thread/thread';
import { ACT_MIN } from '../usage/sewing-time';
import type { HoursBelief } from '../hours/factors';
import { type Part, predictedMin, type Step } from '../hours/step';
import { type EndsAdvice, endsFor, type EndsRequest, type EndsSchool } from '../stitch/ends';
import { settingOutMin } from './setting-out';
import { zoneEnds } from './zone-ends';
import { lengthOfLines, type WayThrough, wayThrough } from './ways';
import { minutesRange } from '../hours/sum';
import type { Range } from '../statistics/log-normal';
import { Z80 } from '../statistics/normal';
import { bobbinCapacityM, type BobbinSize, usage } from '../usage/usage';

/** A zone with the set-up that stands for it, if any. */
export interface PlannedZone {
  id: string;
  letter: string;
  geometry: MultiPolygon;
  technique: string;
  spacingIn: number;
  lengthIn?: number;
  /** Starts of a pattern that is laid in it. */
  patternStarts?: number;
  sandwich: Sandwich;
  setup: {
    top: Thread & { id: string };
    bobbin: Thread & { id: string };
    spi: number;
    maxInPerS: number;
    /** The speed its card tells the hands to keep, and the foot it is sewn with. */
    handInPerS?: number;
    foot?: FootId;
    needleNm?: number;
  } | null;
  features?: readonly string[];
  /** How busy its fabrics are, 0–3, where it is known. */
  busyness?: number;
}

export interface WorkPlanRequest {
  quilt: { widthIn: number; lengthIn: number };
  zones: readonly PlannedZone[];
  battingId: string;
  battingMaxGapIn?: number;
  /** Share of the batting's rating that is used. */
  gapShare?: number;
  backing: string;
  frame: PassesRequest['frame'];
  marginIn: number;
  turn: 'auto' | 'never';
  bobbinMm: BobbinSize;
  evenness: number;
  ditchSchool: 'before-fills' | 'everywhere' | 'as-travel';
  ends: EndsSchool;
  /** Where the machine stops its needle, and whether it ties off by itself. */
  machineEnds?: EndsRequest['machine'];
  /** What the quilt is for: for a show, ends are buried. */
  use?: string;
  /** What the log says of the quilter's hours. */
  belief: HoursBelief;
  /** The passes as they were begun: they stand, whatever the machine is now. */
  begun?: { depthsIn: readonly number[]; turned: boolean };
  /** One foot to a group of zones, or the ruler foot for all where a ruler is used. */
  footSchool?: 'split' | 'ruler-foot';
  /** Zones inside a step as the quilter laid them, by the step. */
  zonesByHand?: Readonly<Record<string, readonly string[]>>;
  /** Minutes of basting a pass. */
  basteMin?: number;
  /** It is quilted on a table: no passes, and the quilt itself is moved. */
  table?: TableMachine;
}

export interface ZonePlan {
  id: string;
  areaIn2: number;
  sewnIn: number;
  /** What the model alone predicts for hands and stops. */
  work: Part;
  /** Minutes as the studio's log has them, middle and 80 % range. */
  minutes: Range;
  stitches: number;
  topM: number;
  bobbinM: number;
  /** Share of the zone in each pass, adding up to 1. */
  shares: number[];
  /** How it is got round, and how its lines begin and end. */
  way: WayThrough;
  ends: EndsAdvice;
}

export interface ThreadPlan {
  id: string;
  topM: number;
  bobbinM: number;
  bobbins: number;
  capacityM: number;
}

export interface RunOut {
  coneId: string;
  /** Which bobbin of that thread, from 1. */
  n: number;
  pass: number;
  /** Share of the pass, 0–1, and the spread of the place to either side. */
  share: number;
  spread: number;
}

export interface WorkPlan {
  passes: Passes | null;
  density: Density;
  zones: ZonePlan[];
  threads: ThreadPlan[];
  runOuts: RunOut[];
  /** What the order of work is chosen from. */
  order: Omit<OrderRequest, 'rollMin' | 'changeMin' | 'changeTroubleMin'>;
  cautions: Caution[];
}

/** Shares of a zone in a pass that are too small to be work of their own. */
export const SLIVER = 0.005;
const RULER_REACH_IN = 6;
/** Batting keeps about this much of its loft on the roll (judgement). */
const ROLLED_SHARE = 0.8;
/** Spread of thread used about the model, as a share (judgement). */
const USE_SPREAD = 0.12;
/** The same 8 times in 10. */
export const USE_SPREAD_80 = Z80 * USE_SPREAD;

/** Thickness of the quilt as it lies on the roll, mm. */
export const rolledMm = (battingId: string, backing: string): number =>
  fabrics.get('quilting-cotton').thicknessMm +
  fabrics.get(backing, 'backing').thicknessMm +
  ROLLED_SHARE * battings.get(battingId, 'battingId').loftMm;

/** Whether a technique holds the layers before anything is filled in. */
export function stabilises(t: Technique, school: WorkPlanRequest['ditchSchool']): boolean {
  switch (t.stabilises) {
    case 'always':
      return true;
    case 'ditch':
      return school !== 'as-travel';
    case 'outline':
      return school === 'everywhere';
    default:
      return false;
  }
}

/**
 * The whole plan of a quilt: passes, density against the batting, sewn length, thread, bobbins with their run-out
 * places, minutes with their range, and the cells whose order is then chosen. Zones without a set-up count in
 * density and minutes but take no thread.
 */
export function planWork(r: WorkPlanRequest): WorkPlan {
  const cautions: Caution[] = [];
  const passes = tryPasses(r, cautions);
  const bands = bandsOf(passes, r.quilt);
  const axis = passes?.turned ? 0 : 1;
  const zones = r.zones.map((z) => zonePlan(r, z, bands, axis));
  const threads = threadsOf(r, zones);
  return {
    passes,
    density: densityOf(r, zones),
    zones,
    threads,
    runOuts: runOutsOf(r, zones, bands.length, threads),
    order: {
      passes: Math.max(1, bands.length),
      rule: r.ditchSchool === 'everywhere' ? 'whole-first' : 'flat',
      ...cellsOf(r, zones, bands.length),
    },
    cautions,
  };
}

/** One zone: its length, minutes, thread and ends, and its share of each pass. */
function zonePlan(
  r: WorkPlanRequest,
  z: PlannedZone,
  bands: readonly [number, number][],
  axis: 0 | 1,
): ZonePlan {
  const t = techniques.get(z.technique);
  const areaIn2 = areaOf(z.geometry);
  const shares = bands.map(([from, to]) =>
    areaIn2 > 0 ? areaInBand(z.geometry, axis, from, to) / areaIn2 : 0,
  );
  const way = wayThrough(z, t, { quilt: r.quilt, bands, axis });
  const once = lineDensity(t, z.spacingIn, areaIn2, lengthOfLines(z, t, r.quilt)) * areaIn2;
  // Where the way round is known, what is sewn twice is known; else it is the technique's share.
  const sewnIn = once * (1 + (way.againShare ?? t.backtrack));
  const ends = endsOf(r, z);
  const work = workOf(r, z, t, sewnIn, way, ends);
  const used = usageOf(r, z, t, sewnIn, way.starts);
  return {
    id: z.id,
    areaIn2,
    sewnIn,
    work,
    minutes: minutesRange(spread(work, shares), r.belief),
    stitches: used ? used.stitches : 0,
    topM: used ? used.topM : 0,
    bobbinM: used ? used.bobbinM : 0,
    shares,
    way,
    ends,
  };
}

/** In how many quarters of the quilt a zone lies. */
function quarters(shape: MultiPolygon, { widthIn, lengthIn }: WorkPlanRequest['quilt']): number {
  const { x0, y0, x1, y1 } = boundsOf(shape);
  const crosses = (a: number, b: number, middle: number) => (a < middle && b > middle ? 2 : 1);
  return crosses(x0, x1, widthIn / 2) * crosses(y0, y1, lengthIn / 2);
}

/** Minutes of hands, stops and setting out that a zone asks for, before the studio's factors. */
function workOf(
  r: WorkPlanRequest,
  z: PlannedZone,
  t: Technique,
  sewnIn: number,
  way: ZonePlan['way'],
  ends: EndsAdvice,
): Part {
  const speed = handsInPerS(r, z, t);
  const lines = {
    pieces: z.geometry.length,
    edgeIn: edgeLength(z.geometry),
    spacingIn: z.spacingIn,
    sewnIn,
  };
  return {
    technique: t.id,
    handsMin: sewnIn / speed / 60,
    actsMin:
      (way.starts - way.freeEnds / 2) * ends.minutes +
      (t.rulerMoves ? (sewnIn / RULER_REACH_IN) * ACT_MIN.rulerMove : 0),
    setMin: t.leftOpen
      ? 0
      : settingOutMin(t, lines, way.starts) +
        (r.table ? shiftMin(areaOf(z.geometry), quarters(z.geometry, r.quilt)) : 0),
  };
}

/** What a zone takes of its threads; null without a set-up, or where nothing is sewn. */
const usageOf = (r: WorkPlanRequest, z: PlannedZone, t: Technique, sewnIn: number, starts: number) =>
  z.setup && !t.leftOpen
    ? usage({
        sewnLengthIn: sewnIn,
        spi: z.setup.spi,
        thicknessMm: thicknessMm(z.sandwich),
        starts,
        top: z.setup.top,
        bobbin: z.setup.bobbin,
        bobbinMm: r.bobbinMm,
      })
    : null;

const densityOf = (r: WorkPlanRequest, zones: readonly ZonePlan[]) =>
  density({
    battingId: r.battingId,
    battingMaxGapIn: r.battingMaxGapIn,
    gapShare: r.gapShare,
    evenness: r.evenness,
    zones: r.zones.map((z, i) => ({
      id: z.letter,
      technique: z.technique,
      spacingIn: z.spacingIn,
      areaIn2: Math.max(1e-6, zones[i]!.areaIn2),
      lengthIn: lengthOfLines(z, techniques.get(z.technique), r.quilt),
      topTex: z.setup?.top.tex,
      fibre: z.setup?.top.fibre,
      ...(techniques.get(z.technique).leftOpen ? { openIn: openIn(z.geometry) } : {}),
    })),
  });

/** How lines of a zone begin and end. */
const endsOf = (
  r: Pick<WorkPlanRequest, 'ends' | 'use' | 'quilt' | 'machineEnds'>,
  z: PlannedZone,
): EndsAdvice =>
  endsFor({
    ...zoneEnds(
      { ...z, fabrics: z.sandwich.top.map((f) => ({ fabric: f.fabric, busyness: z.busyness })) },
      { ...r.quilt, use: r.use ?? 'bed' },
      { school: r.ends, machine: r.machineEnds },
    ),
    thread: z.setup?.top ?? null,
    needleNm: z.setup?.needleNm ?? null,
  });

/** A zone's work as the steps it is sewn in: each pass has its share. */
const spread = (work: Part, shares: readonly number[]): Step[] =>
  shares
    .filter((x) => x >= SLIVER)
    .map((x) => ({
      parts: [
        {
          ...work,
          handsMin: work.handsMin * x,
          actsMin: work.actsMin * x,
          setMin: (work.setMin ?? 0) * x,
        },
      ],
    }));

/** On a table the whole quilt is one pass. */
function onTable(r: WorkPlanRequest, cautions: Caution[]): Passes {
  cautions.push(...tableAdvice(r.table!, movedQuilt(r)).cautions);
  return { turned: false, passes: 1, depthsIn: [r.quilt.lengthIn], alternative: null, cautions: [] };
}
const movedQuilt = ({ quilt, battingId, backing }: WorkPlanRequest) => ({ ...quilt, battingId, backing });

/** The speed of the hands, in/s: as the card says and the technique; slower where the quilt itself is moved, and slower still where it is heavy. */
function handsInPerS(r: WorkPlanRequest, z: PlannedZone, t: Technique): number {
  const card = Math.min(z.setup?.handInPerS ?? t.handInPerS, z.setup?.maxInPerS ?? Infinity);
  if (!r.table) return card;
  const { pullN } = tableAdvice(r.table, movedQuilt(r));
  // A card may have been chosen for a frame.
  return Math.min(card, t.handInPerS * TABLE_SPEED) * slowedBy(pullN);
}

function tryPasses(r: WorkPlanRequest, cautions: Caution[]): Passes | null {
  if (r.begun)
    return {
      turned: r.begun.turned,
      passes: r.begun.depthsIn.length,
      depthsIn: [...r.begun.depthsIn],
      alternative: null,
      cautions: [],
    };
  if (r.table) return onTable(r, cautions);
  try {
    const passes = planPasses({
      quilt: r.quilt,
      marginIn: r.marginIn,
      frame: r.frame,
      rolledMm: rolledMm(r.battingId, r.backing),
      turn: r.turn,
    });
    cautions.push(...passes.cautions);
    return passes;
  } catch (error) {
    // Only what the core refuses is advice; anything else is a bug and is thrown on.
    if (!(error instanceof CoreError)) throw error;
    cautions.push({ code: 'no-passes', severity: 'stop', text: error.message });
    return null;
  }
}

/** From and to of every pass along the roll, inches; the whole quilt as one where no passes can be planned. */
export function bandsOf(
  passes: Passes | null,
  quilt: { widthIn: number; lengthIn: number },
): [number, number][] {
  if (!passes) return [[0, quilt.lengthIn]];
  let at = 0;
  return passes.depthsIn.map((d) => [at, (at += d)]);
}

function threadsOf(r: WorkPlanRequest, zones: readonly ZonePlan[]): ThreadPlan[] {
  const byId = new Map<string, ThreadPlan>();
  r.zones.forEach((z, i) => {
    if (!z.setup) return;
    const add = (t: Thread & { id: string }, part: Partial<Pick<ThreadPlan, 'topM' | 'bobbinM'>>) => {
      const so = byId.get(t.id) ?? {
        id: t.id,
        topM: 0,
        bobbinM: 0,
        bobbins: 0,
        capacityM: bobbinCapacityM(r.bobbinMm, t),
      };
      byId.set(t.id, { ...so, topM: so.topM + (part.topM ?? 0), bobbinM: so.bobbinM + (part.bobbinM ?? 0) });
    };
    add(z.setup.top, { topM: zones[i]!.topM });
    add(z.setup.bobbin, { bobbinM: zones[i]!.bobbinM });
  });
  return [...byId.values()].map((t) => ({ ...t, bobbins: Math.ceil(t.bobbinM / t.capacityM - 1e-9) }));
}

/** Where each bobbin runs out when its thread is sewn pass by pass from the top, with the spread of the place. */
function runOutsOf(
  r: WorkPlanRequest,
  zones: readonly ZonePlan[],
  passes: number,
  threads: readonly ThreadPlan[],
): RunOut[] {
  return threads.flatMap((t) => {
    const perPass = Array.from({ length: passes }, (_, p) =>
      r.zones.reduce(
        (m, z, i) => (z.setup?.bobbin.id === t.id ? m + zones[i]!.bobbinM * (zones[i]!.shares[p] ?? 0) : m),
        0,
      ),
    );
    const out: RunOut[] = [];
    let used = 0;
    perPass.forEach((m, p) => {
      while (m > 0 && used + m >= (out.length + 1) * t.capacityM && out.length + 1 < t.bobbins) {
        const n = out.length + 1;
        const share = (n * t.capacityM - used) / m;
        out.push({
          coneId: t.id,
          n,
          pass: p + 1,
          share,
          spread: (USE_SPREAD * t.capacityM * Math.sqrt(n)) / m,
        });
      }
      used += m;
    });
    return out;
  });
}

function cellsOf(
  r: WorkPlanRequest,
  zones: readonly ZonePlan[],
  passes: number,
): { threads: string[]; cells: Cell[] } {
  const cells = new Map<string, Cell>();
  r.zones.forEach((z, i) => {
    if (!z.setup || techniques.get(z.technique).leftOpen) return;
    const stabilise = stabilises(techniques.get(z.technique), r.ditchSchool);
    for (let p = 0; p < passes; p++) {
      const share = zones[i]!.shares[p] ?? 0;
      if (share < SLIVER) continue;
      const key = `${p + 1} ${z.setup.top.id} ${stabilise}`;
      const so = cells.get(key);
      cells.set(key, {
        pass: p + 1,
        thread: z.setup.top.id,
        stabilise,
        minutes: (so?.minutes ?? 0) + predictedMin({ parts: [zones[i]!.work] }) * share,
      });
    }
  });
  const list = [...cells.values()].sort(
    (a, b) => a.pass - b.pass || Number(b.stabilise) - Number(a.stabilise),
  );
  return { cells: list, threads: [...new Set(list.map((c) => c.thread))] };
}
