import { type Caution, CoreError } from '../notes';
import { inToMm, mmToIn } from '../units/length';

export interface FrameSize {
  throatIn: number;
  /** Rails, plates and foot, inches of the throat that cannot be used. */
  deadIn: number;
  widthIn: number;
  rollInThroat: boolean;
  rollStartIn: number;
  overlapIn?: number;
}

export interface PassesRequest {
  quilt: { widthIn: number; lengthIn: number };
  marginIn?: number;
  frame: FrameSize;
  /** Thickness of the quilt as it lies on the roll, mm. */
  rolledMm: number;
  turn?: 'auto' | 'never';
  /** Passes that are sewn already, inches each: they stand, and only the rest is planned. */
  sewnIn?: readonly number[];
}

export interface Passes {
  turned: boolean;
  passes: number;
  /** How far each pass reaches beyond the one before it, inches; the last is what is left. */
  depthsIn: number[];
  /** The other way round; null when the frame is too narrow for it. */
  alternative: { turned: boolean; passes: number } | null;
  cautions: Caution[];
}

/** Backing and batting beyond the quilt's edge on each side, inches, when the studio says nothing else. */
export const MARGIN_IN = 4;
/** A last pass shallower than this is spread over the others: hardly worth a roll, and hard to smooth, inches. */
export const SHALLOW_IN = 3;
/** A pass that reaches less than this is no pass. */
const LEAST_DEPTH_IN = 1;
/** Beyond this a person leans over the throat, inches (judgement). */
export const COMFORTABLE_REACH_IN = 22;

/** Roll diameter after winding ℓ mm of thickness t on a roller of D₀, D = √(D₀² + 4·t·ℓ/π); all mm. */
export const rollDiameterMm = (startMm: number, thicknessMm: number, woundMm: number): number =>
  Math.sqrt(startMm ** 2 + (4 * thicknessMm * woundMm) / Math.PI);

/** Depths of the passes that cover a length; null when the roll fills the throat before the end. */
function depths(
  lengthIn: number,
  frame: FrameSize,
  rolledMm: number,
  sewnIn: readonly number[] = [],
): number[] | null {
  const { throatIn, deadIn, rollInThroat, rollStartIn, overlapIn = 0 } = frame;
  const out: number[] = [...sewnIn];
  const reach: number[] = [...sewnIn];
  let covered = sum(sewnIn);
  while (covered < lengthIn - 1e-9) {
    const roll = rollInThroat ? mmToIn(rollDiameterMm(inToMm(rollStartIn), rolledMm, inToMm(covered))) : 0;
    const depth = throatIn - deadIn - roll - (out.length > 0 ? overlapIn : 0);
    if (depth < LEAST_DEPTH_IN) return null;
    out.push(Math.min(depth, lengthIn - covered));
    reach.push(depth);
    covered += depth;
  }
  const fresh = out.length - sewnIn.length;
  if (fresh < 2 || out.at(-1)! >= SHALLOW_IN) return out;
  return [...sewnIn, ...evenedOut(reach.slice(sewnIn.length), lengthIn - sum(sewnIn))];
}

const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);

/**
 * Passes no deeper than each can reach, as even as they can be, that together cover a length: all as deep as one
 * another, save those that cannot. The shallower a pass, the thinner the roll after it, so that none reaches less than before.
 */
function evenedOut(reach: readonly number[], lengthIn: number): number[] {
  let [low, high] = [0, Math.max(...reach)];
  for (let i = 0; i < 60; i++) {
    const cap = (low + high) / 2;
    if (sum(reach.map((r) => Math.min(r, cap))) < lengthIn) low = cap;
    else high = cap;
  }
  const even = reach.map((r) => Math.min(r, high));
  // What the halving leaves over, less than a hair, goes to the last.
  return [...even.slice(0, -1), lengthIn - sum(even.slice(0, -1))];
}

/**
 * Passes of a quilt on a frame, both ways round where the frame is wide enough; the way with fewer wins,
 * unturned when equal. Inches; rolledMm in mm.
 * @throws CoreError `frame-too-narrow` when the quilt with its margins fits neither way, `roll-fills-throat`
 * when the growing roll leaves no depth before the end.
 * @example planPasses({ quilt: { widthIn: 64, lengthIn: 80 }, frame, rolledMm: 4 }).passes // 7
 */
export function planPasses(request: PassesRequest): Passes {
  const { quilt, frame, rolledMm, turn = 'auto' } = request;
  const margin = request.marginIn ?? MARGIN_IN;
  const ways = [false, true].map((turned) => {
    const [across, along] = turned ? [quilt.lengthIn, quilt.widthIn] : [quilt.widthIn, quilt.lengthIn];
    const fits = across + 2 * margin <= frame.widthIn;
    return { turned, across, fits, depths: fits ? depths(along, frame, rolledMm, request.sewnIn) : null };
  });
  const cautions: Caution[] = [];
  const [straight, turned] = [ways[0]!, ways[1]!];
  const allowed = turn === 'never' ? [straight] : ways;
  const possible = allowed.filter((w) => w.depths !== null);
  if (possible.length === 0) {
    const fits = allowed.filter((w) => w.fits);
    if (fits.length > 0)
      throw new CoreError(
        'roll-fills-throat',
        `The roll fills the throat of ${frame.throatIn} in before the quilt is through: a thinner batting, or a deeper machine.`,
        'frame.throatIn',
      );
    throw new CoreError(
      'frame-too-narrow',
      `The quilt needs ${Math.min(...allowed.map((w) => w.across)) + 2 * margin} in of frame with its margins; this one has ${frame.widthIn}.`,
      'frame.widthIn',
    );
  }
  if (!straight.fits || (!turned.fits && turn === 'auto'))
    cautions.push({
      code: 'frame-too-narrow',
      severity: 'note',
      text: straight.fits
        ? `Turned, it would need ${turned.across + 2 * margin} in of frame; this one has ${frame.widthIn}.`
        : `It fits only turned: unturned it needs ${straight.across + 2 * margin} in of frame, and this one has ${frame.widthIn}.`,
    });
  if (allowed.some((w) => w.fits && w.depths === null))
    cautions.push({
      code: 'roll-fills-throat',
      severity: 'note',
      text: 'The other way round, the roll would fill the throat before the end.',
    });
  const best = possible.reduce((a, b) => (b.depths!.length < a.depths!.length ? b : a));
  const other = ways.find((w) => w !== best && w.depths !== null);
  if (frame.throatIn - frame.deadIn > COMFORTABLE_REACH_IN)
    cautions.push({ code: 'reach', severity: 'warn', text: 'Roll rather than lean across the throat.' });
  return {
    turned: best.turned,
    passes: best.depths!.length,
    depthsIn: best.depths!,
    alternative: other ? { turned: other.turned, passes: other.depths!.length } : null,
    cautions,
  };
}
