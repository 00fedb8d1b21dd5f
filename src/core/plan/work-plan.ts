import { density } from '../density/density';
import { lineDensity } from '../density/line-density';
import { openIn } from '../density/spacing-for';
import { areaInBand } from '../geometry/band';
import { areaOf, boundsOf, edgeLength, type MultiPolygon } from '../geometry/polygon';
import { type Part, predictedMin, type Step } from '../hours/step';
import { minutesRange } from '../hours/sum';
import { shiftMin, slowedBy, TABLE_SPEED, tableAdvice } from '../machine/table';
import type { Caution } from '../notes';
import type { Cell } from '../order/cells';
import { thicknessMm } from '../sandwich/sandwich';
import { type EndsAdvice, endsFor } from '../stitch/ends';
import { type Technique, techniques } from '../tables/techniques';
import { ACT_MIN } from '../usage/sewing-time';
import { usage } from '../usage/usage';
import { bandsOf, movedQuilt, passesOf } from './bands';
import { type PlannedZone, SLIVER, type WorkPlan, type WorkPlanRequest, type ZonePlan } from './planned';
import { settingOutMin } from './setting-out';
import { runOutsOf, threadsOf } from './thread-plan';
import { lengthOfLines, wayThrough } from './ways';
import { zoneEnds } from './zone-ends';

/** How far a ruler reaches before it is moved. */
const RULER_REACH_IN = 6;

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
  const passes = passesOf(r, cautions);
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

/** The speed of the hands, in/s: as the card says and the technique; slower where the quilt itself is moved, and slower still where it is heavy. */
function handsInPerS(r: WorkPlanRequest, z: PlannedZone, t: Technique): number {
  const card = Math.min(z.setup?.handInPerS ?? t.handInPerS, z.setup?.maxInPerS ?? Infinity);
  if (!r.table) return card;
  const { pullN } = tableAdvice(r.table, movedQuilt(r));
  // A card may have been chosen for a frame.
  return Math.min(card, t.handInPerS * TABLE_SPEED) * slowedBy(pullN);
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
