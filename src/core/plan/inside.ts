import type { XY } from '../geometry/polygon';
import type { FootId } from '../tables/techniques';

/** A zone of a step, as far as its place among the others hangs on it. */
export interface InsideZone {
  id: string;
  /** Middle of its part in this pass, inches. */
  middle: XY;
  /** Edge, ditch, outline or long straight lines: they hold the layers. */
  holds: boolean;
  /** Sewn from the middle out: full or lofty areas, and grids. */
  middleOut: boolean;
  /** How far its middle lies from the quilt’s, inches. */
  fromMiddleIn: number;
  /** Zones it is shut in by: sewn after them, its fullness has nowhere to go. */
  shutInBy: readonly string[];
  foot: FootId;
  figure: boolean;
  straight: boolean;
  /** Lines per inch. */
  lineDensity: number;
  /** Its marks last hours, not days. */
  marksFade: boolean;
}

/** The zones of a step in the order they are sewn, and what that order costs. */
export interface InsideOrder {
  zones: string[];
  footChanges: number;
  /** Minutes that soft rules are broken by. */
  brokenMin: number;
}

/** Minutes a soft rule is worth when it is broken (judgements): 3 to 7 of the order inside a step. */
const BROKEN_MIN = { marksFade: 2, foot: 2, figure: 1.5, straight: 1, density: 1 } as const;
/** Inches of travel that are worth a minute. */
const TRAVEL_IN = 60;
/** To so many zones every order is tried (dynamic programming over subsets); beyond, the nearest next is improved. */
const EXACT_ZONES = 11;
const DENSER = 1.15;

/** Whether a must be sewn before b: holding lines before fills, nothing shut in, from the middle out. */
function mustPrecede(a: InsideZone, b: InsideZone): boolean {
  if (a.holds !== b.holds) return a.holds;
  if (a.shutInBy.includes(b.id)) return true;
  if (b.shutInBy.includes(a.id)) return false;
  return a.middleOut && b.middleOut && a.fromMiddleIn < b.fromMiddleIn - 1e-6;
}

/** What sewing b after a (at any distance) breaks, minutes: whatever should have come the other way round. */
const broken = (a: InsideZone, b: InsideZone): number =>
  (b.marksFade && !a.marksFade ? BROKEN_MIN.marksFade : 0) +
  (b.figure && !a.figure ? BROKEN_MIN.figure : 0) +
  (b.straight && !a.straight ? BROKEN_MIN.straight : 0) +
  (a.lineDensity > b.lineDensity * DENSER ? BROKEN_MIN.density : 0);

/** What going from a straight to b costs, minutes. */
const next = (a: InsideZone, b: InsideZone): number =>
  (a.foot === b.foot ? 0 : BROKEN_MIN.foot) +
  Math.hypot(a.middle[0] - b.middle[0], a.middle[1] - b.middle[1]) / TRAVEL_IN;

function costOf(zones: readonly InsideZone[]): number {
  let sum = 0;
  zones.forEach((b, i) => {
    if (i > 0) sum += next(zones[i - 1]!, b);
    for (const a of zones.slice(0, i)) sum += broken(a, b);
  });
  return sum;
}

const allowed = (zones: readonly InsideZone[]) =>
  zones.every((b, i) => zones.slice(i + 1).every((a) => !mustPrecede(a, b)));

function exact(zones: readonly InsideZone[]): InsideZone[] {
  const n = zones.length;
  const size = 1 << n;
  const cost = new Float64Array(size * n).fill(Infinity);
  const from = new Int8Array(size * n).fill(-1);
  const before = zones.map((b) =>
    zones.reduce((mask, a, i) => (a !== b && mustPrecede(a, b) ? mask | (1 << i) : mask), 0),
  );
  const brokenBy = zones.map((b) => zones.map((a) => (a === b ? 0 : broken(a, b))));
  zones.forEach((_, i) => {
    if (before[i] === 0) cost[(1 << i) * n + i] = 0;
  });
  for (let mask = 1; mask < size; mask++)
    for (let to = 0; to < n; to++) {
      if (mask & (1 << to) || (before[to]! & ~mask) !== 0) continue;
      let late = 0;
      for (let a = 0; a < n; a++) if (mask & (1 << a)) late += brokenBy[to]![a]!;
      for (let last = 0; last < n; last++) {
        const here = cost[mask * n + last]!;
        if (here === Infinity) continue;
        const total = here + late + next(zones[last]!, zones[to]!);
        const at = (mask | (1 << to)) * n + to;
        if (total < cost[at]! - 1e-12) {
          cost[at] = total;
          from[at] = last;
        }
      }
    }
  let mask = size - 1;
  let last = 0;
  for (let i = 1; i < n; i++) if (cost[mask * n + i]! < cost[mask * n + last]!) last = i;
  const out: InsideZone[] = [];
  while (last >= 0) {
    out.push(zones[last]!);
    const previous = from[mask * n + last]!;
    mask &= ~(1 << last);
    last = previous;
  }
  return out.reverse();
}

function nearestNext(zones: readonly InsideZone[]): InsideZone[] {
  const left = [...zones];
  const out: InsideZone[] = [];
  while (left.length > 0) {
    const free = left.filter((b) => !left.some((a) => a !== b && mustPrecede(a, b)));
    const from = out.at(-1);
    const price = (b: InsideZone) =>
      (from ? next(from, b) : 0) + left.reduce((sum, c) => sum + (c === b ? 0 : broken(b, c)), 0);
    // A ring of must-haves cannot arise from what is laid on a table; should one, the first is taken.
    const best = (free.length > 0 ? free : left).reduce((a, b) => (price(b) < price(a) ? b : a));
    out.push(best);
    left.splice(left.indexOf(best), 1);
  }
  let price = costOf(out);
  for (let round = 0; round < 40; round++) {
    let better = false;
    for (let i = 0; i < out.length; i++)
      for (let j = 0; j < out.length; j++) {
        if (i === j) continue;
        const tried = [...out];
        tried.splice(j, 0, ...tried.splice(i, 1));
        const cost = costOf(tried);
        if (cost < price - 1e-9 && allowed(tried)) {
          out.splice(0, out.length, ...tried);
          price = cost;
          better = true;
        }
      }
    if (!better) break;
  }
  return out;
}

/** How often the foot is changed while these zones are sewn in this order (changes, 0 or more). */
export const footChangesIn = (zones: readonly Pick<InsideZone, 'foot'>[]): number =>
  zones.reduce((n, z, i) => n + (i > 0 && zones[i - 1]!.foot !== z.foot ? 1 : 0), 0);

/**
 * The order inside a step: holding lines first, nothing shut in, from the middle out; and of what is left the order that
 * breaks least, in minutes: fading marks first, the same foot together, figures before ground, straight before curved,
 * dense last, the nearest next. Exact to eleven zones. @param byHand ids as the quilter laid them; zones it does not name follow.
 */
export function insideOrder(zones: readonly InsideZone[], byHand: readonly string[] = []): InsideOrder {
  const best = zones.length <= EXACT_ZONES ? exact(zones) : nearestNext(zones);
  const laid = byHand.flatMap((id) => zones.find((z) => z.id === id) ?? []);
  const out = laid.length > 0 ? [...laid, ...best.filter((z) => !laid.includes(z))] : best;
  return { zones: out.map((z) => z.id), footChanges: footChangesIn(out), brokenMin: costOf(out) };
}

/** What an order laid by hand goes against, in a sentence; nothing when it goes against nothing that must be. */
export function insideProblem(zones: readonly InsideZone[], letterOf: (id: string) => string): string | null {
  for (const [i, b] of zones.entries()) {
    const a = zones.slice(i + 1).find((x) => mustPrecede(x, b));
    if (!a) continue;
    const [first, then] = [letterOf(a.id), letterOf(b.id)];
    if (a.holds !== b.holds) return `${then} is filled before ${first} holds the layers.`;
    if (a.shutInBy.includes(b.id)) return `${first} is shut in by ${then}: sew ${first} first.`;
    return `${first} lies nearer the middle than ${then}: sew from the middle out.`;
  }
  return null;
}
