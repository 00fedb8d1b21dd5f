import { CoreError } from '../notes';
import type { Mode } from '../stitch/machine';
import { inToMm } from '../units/length';

export interface PathPoint {
  tMs: number;
  xIn: number;
  yIn: number;
}

export interface RegulatorRequest {
  machine: { maxSpm: number; idleMinSpm: number; idleMaxSpm: number };
  mode: Mode;
  spi: number;
  /** Idle rate; the machine's lowest when left out. */
  idleSpm?: number;
  /** Rate set by hand; needed in manual mode. */
  manualSpm?: number;
  /** Where the hands were, and when. */
  path: readonly PathPoint[];
}

export interface Regulated {
  stitches: number;
  spi: number;
  cvPct: number;
  longestMm: number;
  shortestMm: number;
  lengthIn: number;
  meanInPerS: number;
  maxInPerS: number;
  /** Share of stitches sewn at the cap or at the idle. */
  outsidePct: number;
  /** Share of stitches on curves with fewer than ten to the turn, or a chord that leaves the curve by more than 0.20 mm. */
  facetedPct: number;
}

/** A stitch as the stand-in machine made it. */
export interface MadeStitch {
  tMs: number;
  xIn: number;
  yIn: number;
  lengthMm: number;
  /** How far the path turned within it, rad. */
  turn: number;
  outside: boolean;
}

/** The regulator follows the carriage with this lag, s. */
export const LAG_S = 0.08;
const STEP_S = 0.001;
/** No hand moves a carriage faster, in/s. */
const FASTEST_IN_PER_S = 200;
/** A stitch that turns less lies on a straight line, rad. */
const CURVED = 0.02;
const [FEW_TO_THE_TURN, CHORD_MM] = [10, 0.2];

/** The path as pieces of steady speed. @throws CoreError `times-fall`, `too-fast`, `no-path`. */
function checked(path: readonly PathPoint[]): void {
  if (path.length < 2) throw new CoreError('no-path', 'A path needs two points at least.', 'path');
  for (let i = 1; i < path.length; i++) {
    const [a, b] = [path[i - 1]!, path[i]!];
    if (!(b.tMs > a.tMs))
      throw new CoreError('times-fall', 'Times along the path must rise.', `path.${i}.tMs`);
    const speed = Math.hypot(b.xIn - a.xIn, b.yIn - a.yIn) / ((b.tMs - a.tMs) / 1000);
    if (speed > FASTEST_IN_PER_S)
      throw new CoreError(
        'too-fast',
        `A jump at ${Math.round(speed)} in/s: no hand moves faster than ${FASTEST_IN_PER_S}.`,
        `path.${i}`,
      );
  }
}

/** Needle rate in stitches a second for the carriage speed the regulator has seen, and whether it is cap or idle. */
function rateOf(r: RegulatorRequest, speedInPerS: number): { perS: number; outside: boolean } {
  const cap = r.machine.maxSpm / 60;
  if (r.mode === 'manual') return { perS: Math.min(cap, r.manualSpm! / 60), outside: false };
  const wanted = speedInPerS * r.spi;
  if (wanted >= cap) return { perS: cap, outside: true };
  const idle = r.mode === 'idling' ? (r.idleSpm ?? r.machine.idleMinSpm) / 60 : 0;
  return wanted <= idle && idle > 0 ? { perS: idle, outside: true } : { perS: wanted, outside: false };
}

/**
 * The stand-in machine under a pair of hands: the regulator sees the carriage's speed through a first-order lag of
 * 0.08 s, the rate is capped, and while idling never falls below the idle. One entry for each stitch made.
 * @throws CoreError `manual-rate` when manual mode has no rate, and what a path is refused for.
 */
export function stitchesMade(r: RegulatorRequest): MadeStitch[] {
  checked(r.path);
  if (r.mode === 'manual' && !(r.manualSpm! > 0))
    throw new CoreError('manual-rate', 'In manual mode say at how many stitches a minute.', 'manualSpm');
  const made: MadeStitch[] = [];
  let seen = 0;
  let phase = 0;
  let last = r.path[0]!;
  let heading: number | null = null;
  let turn = 0;
  let [steps, outside] = [0, 0];
  for (let i = 1; i < r.path.length; i++) {
    const [a, b] = [r.path[i - 1]!, r.path[i]!];
    const dt = (b.tMs - a.tMs) / 1000;
    const [dx, dy] = [b.xIn - a.xIn, b.yIn - a.yIn];
    const distance = Math.hypot(dx, dy);
    if (distance > 0) {
      const way = Math.atan2(dy, dx);
      if (heading !== null) turn += Math.atan2(Math.sin(way - heading), Math.cos(way - heading));
      heading = way;
    }
    const n = Math.max(1, Math.ceil(dt / STEP_S));
    const h = dt / n;
    const keep = Math.exp(-h / LAG_S);
    for (let k = 1; k <= n; k++) {
      seen = distance / dt + (seen - distance / dt) * keep;
      const rate = rateOf(r, seen);
      phase += rate.perS * h;
      steps++;
      if (rate.outside) outside++;
      if (phase < 1) continue;
      const u = Math.max(0, Math.min(1, (k - (phase - 1) / (rate.perS * h)) / n));
      const [xIn, yIn] = [a.xIn + dx * u, a.yIn + dy * u];
      made.push({
        tMs: a.tMs + dt * 1000 * u,
        xIn,
        yIn,
        lengthMm: inToMm(Math.hypot(xIn - last.xIn, yIn - last.yIn)),
        // Trembling to and fro is no curve: turns of either sign undo each other.
        turn: Math.abs(turn),
        outside: outside * 2 > steps,
      });
      last = { tMs: a.tMs + dt * 1000 * u, xIn, yIn };
      phase -= 1;
      turn = 0;
      [steps, outside] = [0, 0];
    }
  }
  return made;
}

/** Whether a stitch on a curve shows as a facet. */
const facet = ({ turn, lengthMm }: MadeStitch) =>
  (2 * Math.PI) / turn < FEW_TO_THE_TURN || (lengthMm * turn) / 8 > CHORD_MM;

/** What the stitches of a path come to. */
export function regulated(r: RegulatorRequest): Regulated {
  const made = stitchesMade(r);
  const { path } = r;
  let lengthIn = 0;
  let maxInPerS = 0;
  for (let i = 1; i < path.length; i++) {
    const d = Math.hypot(path[i]!.xIn - path[i - 1]!.xIn, path[i]!.yIn - path[i - 1]!.yIn);
    lengthIn += d;
    maxInPerS = Math.max(maxInPerS, (d / (path[i]!.tMs - path[i - 1]!.tMs)) * 1000);
  }
  const lengths = made.map((s) => s.lengthMm);
  const mean = lengths.reduce((a, b) => a + b, 0) / (lengths.length || 1);
  const variance = lengths.reduce((sum, l) => sum + (l - mean) ** 2, 0) / (lengths.length || 1);
  const curved = made.filter((s) => s.turn > CURVED);
  const share = (n: number, of: number) => (of > 0 ? (100 * n) / of : 0);
  return {
    stitches: made.length,
    spi: lengthIn > 0 ? made.length / lengthIn : 0,
    cvPct: mean > 0 ? (100 * Math.sqrt(variance)) / mean : 0,
    longestMm: lengths.reduce((a, b) => Math.max(a, b), 0),
    shortestMm: lengths.length > 0 ? lengths.reduce((a, b) => Math.min(a, b), Infinity) : 0,
    lengthIn,
    meanInPerS: lengthIn / ((path.at(-1)!.tMs - path[0]!.tMs) / 1000),
    maxInPerS,
    outsidePct: share(made.filter((s) => s.outside).length, made.length),
    facetedPct: share(curved.filter(facet).length, curved.length),
  };
}
