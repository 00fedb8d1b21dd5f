import { PERFORATION_REFUSE, PERFORATION_WARN, KEEPS_HOLES, perforation } from '../needle/perforation';
import type { Caution, Reason } from '../notes';
import { holeMemory } from '../sandwich/sandwich';
import { fabrics } from '../tables/fabrics';
import { type Technique, techniques } from '../tables/techniques';
import { clamp } from '../units/clamp';
import { spiToMm } from '../units/length';
import { curveFacts, type Curve, smoothRadiusIn, smoothSpi } from './curve';
import { ceilingInPerS, idleSpeedInPerS, type Mode, needleRateSpm, type StitchMachine } from './machine';

export type ModeRule = 'by-technique' | 'idling' | 'resting' | 'manual';

export interface RegulateRequest {
  technique: string;
  smallestRadiusIn?: number;
  /** Pebble diameter or line spacing, inches; pebbles take their radius from it. */
  spacingIn?: number;
  /** A stitch length held by the quilter; nothing but the machine's range overrules it. */
  spi?: number;
  /** The studio's floor. */
  floorSpi?: number;
  /** Stitches per inch fewer, for a thread that asks for it. */
  fewerSpi?: number;
  /** The thread’s thickness, mm: a stitch is at least nine times as long. */
  threadMm?: number;
  machine: StitchMachine;
  handInPerS?: number;
  needleNm?: number;
  top?: readonly string[];
  modeRule?: ModeRule;
}

export interface Regulation {
  spi: number;
  stitchMm: number;
  mode: Mode;
  /** Idle rate when idling, 0 in the other modes. */
  idleSpm: number;
  maxInPerS: number;
  /** Needle rate at the usual hand speed; in manual it is the rate to set. */
  spmAtHand: number;
  turnDeg: number;
  stitchesPerTurn: number | null;
  curve: Curve;
  reasons: Reason[];
  cautions: Caution[];
}

/**
 * Idle as a share of the needle rate at the usual hand speed, and the most of it: a pause of a third of a second must
 * not put more than two stitches into one hole (judgement). Low beside rulers, in tiny fills and over yarn.
 */
const IDLE = { share: 0.2, most: 400 };
const IDLE_LOW = { share: 0.12, most: 200 };
/** How many stitches per inch a curve may add to the base. */
const CURVE_RAISE = 2;
const UNPICK_SLOW_SPI = 14;

/** A stitch is at least so many thread thicknesses long. */
const THREADS_LONG = 9;
/** On a cloth that shines every facet is seen: its curves take so many stitches per inch more. */
const SHINE_RAISE = 1;

/**
 * The smallest curve of a technique in inches, null when it sews straight lines. A figure or fill drawn smaller than
 * usual is curved tighter by as much.
 */
export function radiusOf(t: Technique, smallestRadiusIn?: number, spacingIn?: number): number | null {
  if (smallestRadiusIn != null) return smallestRadiusIn;
  if (t.radiusIn === 'half-spacing') return (spacingIn ?? t.usualSpacingIn) / 2;
  if (t.radiusIn === null || t.density.kind !== 'spacing' || spacingIn === undefined) return t.radiusIn;
  return t.radiusIn * Math.min(1, spacingIn / t.usualSpacingIn);
}

interface Stitches {
  spi: number;
  /** What curve and studio would have had before the holes were counted; null when nothing was held back. */
  heldFrom: number | null;
  /** What the curve would have had of a thinner thread; null where the thread is not too thick for it. */
  thinnerWouldHave: number | null;
}

/** Most whole stitches per inch whose holes take at most this share of the line. */
const mostAt = (share: number, needleNm: number) => Math.floor((share * 25.4) / (needleNm / 100) + 1e-9);

function stitchesPerInch(request: RegulateRequest, t: Technique, radiusIn: number | null): Stitches {
  const { machine, needleNm, floorSpi = 0, fewerSpi = 0, threadMm } = request;
  const inRange = (spi: number) => clamp(spi, machine.minSpi, machine.maxSpi);
  if (request.spi != null) return { spi: inRange(request.spi), heldFrom: null, thinnerWouldHave: null };
  const base = t.baseSpi + (radiusIn !== null && shines(request.top) ? SHINE_RAISE : 0);
  const wanted = Math.max(
    base,
    floorSpi,
    radiusIn === null ? base : Math.min(smoothSpi(radiusIn), base + CURVE_RAISE),
  );
  const forCurve = inRange((wanted > base ? Math.ceil(wanted - 1e-9) : wanted) - fewerSpi);
  const most = threadMm == null ? Infinity : Math.floor(25.4 / (THREADS_LONG * threadMm) + 1e-9);
  const whole = inRange(Math.min(forCurve, most));
  const tooThick = radiusIn !== null && curveFacts(radiusIn, whole).curve === 'jagged' && whole < forCurve;
  const thinnerWouldHave = tooThick ? forCurve : null;
  if (needleNm == null || holeMemory(request.top ?? []) < KEEPS_HOLES)
    return { spi: whole, heldFrom: null, thinnerWouldHave };
  const spi = inRange(heldByHoles(whole, needleNm, radiusIn));
  return { spi, heldFrom: spi < whole ? whole : null, thinnerWouldHave };
}

const shines = (top: readonly string[] | undefined): boolean =>
  (top ?? []).some((id) => fabrics.get(id, 'top').looks?.shine === 'shiny');

/** On cloth that keeps holes: not above 0.50 of the line while the curve stays better than jagged, never above 0.60. */
function heldByHoles(whole: number, needleNm: number, radiusIn: number | null): number {
  const [warn, most] = [mostAt(PERFORATION_WARN, needleNm), mostAt(PERFORATION_REFUSE, needleNm)];
  if (whole <= warn) return whole;
  for (let spi = warn; spi < Math.min(whole, most); spi++)
    if (curveFacts(radiusIn, spi).curve !== 'jagged') return spi;
  return Math.min(whole, most);
}

function pickMode(rule: ModeRule, t: Technique, offered: readonly Mode[]): Mode {
  const byTechnique: Mode = t.mode === 'idling-low' ? 'idling' : t.mode;
  const wanted = rule === 'by-technique' ? byTechnique : rule;
  const order: Mode[] = [wanted, 'idling', 'resting', 'manual'];
  return order.find((m) => offered.includes(m)) ?? 'manual';
}

/**
 * Stitch length, mode, idle and speed limit for a technique on a machine.
 * spi = max(base, floor, min(s_smooth, base + 2)), capped by the machine, and on cloth that keeps holes by the share
 * of the line that is hole, when the needle is known. Speeds in in/s, rates in stitches/min.
 * @example regulate({ technique: 'swirls', machine }).spi // 13
 */
export function regulate(request: RegulateRequest): Regulation {
  const t = techniques.get(request.technique, 'technique');
  const { machine, modeRule = 'by-technique' } = request;
  const radiusIn = radiusOf(t, request.smallestRadiusIn, request.spacingIn);
  const stitches = stitchesPerInch(request, t, radiusIn);
  const { spi } = stitches;
  const facts = curveFacts(radiusIn, spi);
  const mode = pickMode(modeRule, t, machine.modes);
  const hand = request.handInPerS ?? t.handInPerS;
  const maxInPerS = ceilingInPerS(machine.maxSpm, spi);
  const spmAtHand = needleRateSpm(hand, spi);
  const idle = t.mode === 'idling-low' || t.besideRuler || t.couches ? IDLE_LOW : IDLE;
  const idleSpm =
    mode === 'idling'
      ? clamp(Math.min(idle.share * spmAtHand, idle.most), machine.idleMinSpm, machine.idleMaxSpm)
      : 0;
  const result: Regulation = {
    spi,
    stitchMm: spiToMm(spi),
    mode,
    idleSpm,
    maxInPerS,
    spmAtHand,
    turnDeg: facts.turnDeg,
    stitchesPerTurn: facts.stitchesPerTurn,
    curve: facts.curve,
    reasons: [],
    cautions: [],
  };
  remark(result, request, t, hand, radiusIn, stitches);
  return result;
}

function remark(
  out: Regulation,
  request: RegulateRequest,
  t: Technique,
  hand: number,
  radiusIn: number | null,
  { heldFrom, thinnerWouldHave }: Stitches,
) {
  const { reasons, cautions } = out;
  if (thinnerWouldHave !== null)
    cautions.push({
      code: 'thread-too-thick',
      severity: 'note',
      text: `Too thick for curves of ${fmt(radiusIn!)} in: its stitches are ${fmt(out.stitchMm)} mm at least, and the curve comes out in corners.`,
      act: 'Take a finer thread here, or draw the curves larger.',
    });
  if (request.spi != null && request.spi !== out.spi)
    cautions.push({
      code: 'spi-outside-machine',
      severity: 'warn',
      text: `This machine sews ${request.machine.minSpi} to ${request.machine.maxSpi} per inch: ${out.spi} is taken.`,
    });
  if (out.spi > t.baseSpi && request.spi == null && radiusIn !== null)
    reasons.push({
      code: 'curve-raises',
      text: `${out.spi} instead of ${t.baseSpi} per inch, for curves of radius ${fmt(radiusIn)} in.`,
    });
  if ((out.curve === 'faceted' || out.curve === 'jagged') && !t.pilesUp && thinnerWouldHave === null)
    reasons.push({
      code: 'facets-remain',
      text: `Curves of a radius under ${fmt(smoothRadiusIn(out.spi))} in come out ${out.curve} at ${fmt(out.spi)} per inch.`,
      act: smootherAct(radiusIn, request.machine.maxSpi),
    });
  const usual = stitchesPerInch({ ...request, spi: undefined }, t, radiusIn).spi;
  if (request.spi != null && out.spi > usual && curveFacts(radiusIn, usual).curve === out.curve)
    reasons.push({
      code: 'fewer-would-do',
      text: `${fmt(usual)} instead of ${fmt(out.spi)} stitches per inch: the ${radiusIn === null ? 'line holds as well' : `curve stays ${out.curve}`}, and it unpicks sooner.`,
    });
  remarkSpeed(out, hand);
  remarkHoles(out, request, heldFrom);
}

/** Hands against needle: outrun, idling in the usual speed, a rate set by hand, slow to unpick. */
function remarkSpeed(out: Regulation, hand: number) {
  const { reasons, cautions } = out;
  if (hand > out.maxInPerS)
    cautions.push({
      code: 'hand-outruns-needle',
      severity: 'warn',
      text: `At ${fmt(hand)} in/s the needle falls behind: stay under ${fmt(out.maxInPerS)} in/s.`,
    });
  if (out.mode === 'idling') {
    const below = idleSpeedInPerS(out.idleSpm, out.spi);
    if (below > 0.6 * hand)
      cautions.push({
        code: 'idle-shortens',
        severity: 'note',
        text: `Below ${fmt(below)} in/s the idle shortens the stitches, and your usual speed is near it.`,
      });
  }
  if (out.mode === 'manual')
    reasons.push({
      code: 'manual-ratio',
      text: `Set ${Math.round(out.spmAtHand)} stitches a minute and move ${fmt(hand)} in/s. Faster hands alone make longer stitches, a faster needle alone makes shorter ones.`,
    });
  if (out.spi > UNPICK_SLOW_SPI)
    reasons.push({
      code: 'slow-unpicking',
      text: `${fmt(out.spi)} per inch takes ${(out.spi / 11).toFixed(1)} times as long to unpick as 11.`,
    });
}

/** Holes in fabric that keeps them. */
function remarkHoles(out: Regulation, request: RegulateRequest, heldFrom: number | null) {
  const { cautions } = out;
  if (request.needleNm == null || holeMemory(request.top ?? []) < KEEPS_HOLES) return;
  const share = perforation(request.needleNm, out.spi);
  const percent = (x: number) => `${(x * 100).toFixed(0)} %`;
  if (heldFrom !== null)
    cautions.push({
      code: 'perforation',
      severity: share > PERFORATION_WARN ? 'warn' : 'note',
      text: `Held to ${fmt(out.spi)} per inch: at ${fmt(heldFrom)} the holes of Nm ${request.needleNm} would take ${percent(perforation(request.needleNm, heldFrom))} of the line in fabric that keeps them.`,
    });
  else if (share > PERFORATION_WARN)
    cautions.push({
      code: 'perforation',
      severity: 'warn',
      text: `Unpicking would leave a dotted line: holes take ${percent(share)} of it.`,
    });
}

/** Up to what stitch length the curves would come out smooth, where the machine sews it. */
function smootherAct(radiusIn: number | null, maxSpi: number): string | undefined {
  const smooth = radiusIn === null ? Infinity : Math.ceil(smoothSpi(radiusIn) - 1e-9);
  return smooth <= maxSpi
    ? `${smooth} per inch would smooth them.`
    : 'Draw the curves larger, or let the facets be.';
}

const fmt = (n: number) => String(Number(n.toFixed(n < 1 ? 2 : 1)));
