import { techniques } from '../tables/techniques';
import { clamp } from '../units/clamp';
import type { Motif } from './motif-table';
import { LEVELS, type MotifsRequest } from './request';
import { LOUD, wishedDensity } from './spacings';
import { levelOf, plainMinutes, type ZoneWork } from './work';
import type { QuiltFacts, ZoneFacts } from './zone-facts';

export const log2 = Math.log2;
/** Penalties by criterion, in the unit of a match. */
export type Parts = Record<string, number>;

const isNone = (m: Motif) => m.kind === 'none';
const hitsWord = (z: ZoneFacts, m: Motif) => z.words.some((w) => m.words.includes(w));
const isWished = (z: ZoneFacts, m: Motif) => z.zone.wish?.includes(m.id) ?? false;

/** Whether it follows the zone's own lines: a stripe, a plaid, or the shapes of a print. */
export const followsLines = (z: ZoneFacts, m: Motif): boolean => {
  const own = z.zone.lines;
  return (
    own !== undefined &&
    (own === 'shapes' ? m.id === 'follow-print' : m.follows.includes(own) || m.id === 'follow-print')
  );
};

/** How much it is seen here, 0–3. */
export const seenAs = (z: ZoneFacts, m: Motif): number =>
  m.presence * (1 - 0.15 * z.busy) * (followsLines(z, m) ? 0.5 : 1);

function fit(z: ZoneFacts, m: Motif, g: number | null): number {
  const missed = z.traits.filter((t) => !m.fits.includes(t)).length * 0.35;
  if (g === null) return missed;
  const small =
    z.shape === 'compact' && (m.kind === 'fill' || m.kind === 'figure') && z.openIn < 3 * g
      ? 0.3 * log2((3 * g) / z.openIn)
      : 0;
  const strip =
    z.shape === 'strip' &&
    ((m.way === 'radial' && z.narrowIn < 3 * m.k * g) ||
      (m.kind === 'figure' && m.way === 'all' && z.narrowIn < 2 * m.k * g))
      ? 0.2
      : 0;
  return missed + small + strip;
}

function role(z: ZoneFacts, m: Motif): number {
  if (z.accent) return 0;
  const base = m.home.includes(z.role) ? 0 : m.usual.includes(z.role) ? 0.15 : 0.5;
  const drawn = m.kind === 'figure' && z.role === 'motif' && !hitsWord(z, m) && !isWished(z, m) ? 0.25 : 0;
  return (base + drawn) * (hitsWord(z, m) ? 0.5 : 1);
}

function densityPart(request: MotifsRequest, z: ZoneFacts, m: Motif, w: ZoneWork): number {
  if (isNone(m) || z.accent) return 0;
  const off = log2((w.lambda * m.feel) / wishedDensity(z));
  const often = off > 0 && ['bed', 'baby'].includes(request.quilt.use) ? 1.2 : 1;
  return 0.5 * Math.max(0, Math.abs(off) - 0.35) * Math.min(1, z.openIn / 4) * often;
}

function bare(z: ZoneFacts, m: Motif, w: ZoneWork): number {
  if (!isNone(m)) return 0;
  const firm = z.softness === 'firm' || z.relief === 'flat';
  let factor = m.id === 'ditch' ? 0.75 : 1;
  if (z.visibility === 'sink') factor *= 0.8;
  if (z.visibility === 'show') factor *= 1.4;
  if (z.softness === 'soft') factor *= 0.5;
  if (firm || z.besideRaised) factor *= 2;
  if (z.role === 'motif') factor *= 0.6;
  if (z.relief === 'raised') factor *= 0.5;
  return 0.27 * Math.max(0, log2(w.openIn / 1.25)) * factor + (firm ? 0.4 : 0);
}

const WANTED = {
  ground: 1,
  sashing: 1.3,
  whole: 1.3,
  block: 1.6,
  border: 1.9,
  space: 1.9,
  motif: 0,
} as const;

function seen(z: ZoneFacts, m: Motif): number {
  const t = seenAs(z, m);
  if (z.visibility === 'show') return 0.35 * Math.max(0, 2.3 - t);
  if (z.visibility === 'sink') return 0.35 * Math.max(0, t - 1);
  if (z.busy >= 1.5 || z.pile || z.role === 'motif' || hitsWord(z, m)) return 0;
  if (isNone(m) && !z.accent) return 0;
  const wanted = z.accent ? 2 : WANTED[z.role];
  return (0.2 * Math.max(0, wanted - t) + 0.15 * Math.max(0, t - wanted - 1)) * (isNone(m) ? 0.5 : 1);
}

const print = (z: ZoneFacts, m: Motif): number =>
  z.busy >= 1.5 && !followsLines(z, m) ? 0.3 * Math.max(0, m.presence - 1.2) * (z.busy - 1) : 0;

function ownLines(z: ZoneFacts, m: Motif): number {
  const lines = z.zone.lines;
  if (!lines) return 0;
  if (lines === 'shapes') return m.id === 'follow-print' ? 0 : isNone(m) ? 0.1 : 0.25;
  if (m.id === 'ditch' || followsLines(z, m)) return m.id === 'follow-print' && lines === 'stripe' ? 0.5 : 0;
  return lines === 'stripe' && ['grid', 'ruler-arcs', 'web'].includes(m.id) ? 0.5 : 0.3;
}

function words(z: ZoneFacts, m: Motif): number {
  if (z.words.length === 0 || hitsWord(z, m)) return 0;
  return (isNone(m) || m.presence <= 1.2 ? 0.3 : 0.5) * (z.visibility === 'sink' ? 0.5 : 1);
}

const BY_LEVEL = { beginner: 2, steady: 1, practised: 0.4 } as const;

function hand(request: MotifsRequest, q: QuiltFacts, z: ZoneFacts, m: Motif): number {
  if (m.id === 'guided-pattern' || m.id === 'open') return 0;
  const t = techniques.get(m.id);
  const level = levelOf(request, m.id);
  const hidden = (z.busy >= 2 ? 0.6 : 1) * (q.plushBelow ? 0.85 : 1);
  const hard =
    0.55 * Math.max(0, m.skill - (LEVELS.indexOf(level) + 1)) * (z.visibility === 'show' ? 1.3 : 1);
  const slips =
    0.05 * (5 - t.forgiving) * BY_LEVEL[level] * (t.rulerMoves ? 0.5 : 1) * (z.keepsHoles >= 3 ? 2 : 1);
  return hidden * (hard + slips);
}

function fabric(q: QuiltFacts, z: ZoneFacts, m: Motif, w: ZoneWork): number {
  const t = techniques.get(m.id);
  const L = w.lambda;
  let p = 0;
  if (z.pile) {
    if (L > 2.5) p += 0.6;
    if (m.kind === 'fill' || m.kind === 'figure')
      p += m.presence >= 2 ? 0.3 : m.presence >= 1.5 && m.kind === 'fill' ? 0.2 : 0;
  }
  if (z.brushed && L > 3) p += 0.4;
  const slides = (m.straight && m.id !== 'open' ? 0.4 : 0) + (t.crosses ? 0.6 : 0);
  p += slides * ((z.creeps >= 2 ? 1 : 0) + (z.stretch >= 2 ? 1 : 0) + (q.plushBelow ? 0.5 : 0));
  if (z.stretch >= 2 && L > 2) p += 0.3;
  if (z.keepsHoles >= 3 && L > 6) p += 0.2;
  if (q.loftMm >= 7 && t.crosses) p += q.loftMm >= 12 ? 0.7 : 0.15;
  if (q.loftMm >= 12 && L > 1.5) p += 0.4;
  return p;
}

const GENTLE = ['echo', 'echo-irregular', 'overlapping-waves', 'follow-print'];

function features(q: QuiltFacts, z: ZoneFacts, m: Motif, w: ZoneWork): number {
  const has = (f: string) => z.features.includes(f);
  const L = w.lambda;
  const t = techniques.get(m.id);
  let p = 0;
  if (has('beads') && !(m.id === 'echo' || m.id === 'follow-print' || isNone(m))) p += 0.8;
  if (has('knots') && !GENTLE.includes(m.id) && !isNone(m))
    p += (m.straight ? 0.6 : 0.35) + (L > 1.2 ? 0.4 : 0);
  if (has('dense-embroidery') && !isNone(m)) p += 0.2;
  if (has('plastic-print') && L > 1.5) p += 0.3;
  if (has('bulky-seams')) p += (t.rulerMoves ? 0.5 : m.id === 'ditch' ? 0.2 : 0) + (L > 2.5 ? 0.3 : 0);
  if (has('full-area'))
    p += (m.straight ? 0.6 : 0) + (t.crosses ? 0.9 : 0) + (L > 0 && L < 1 ? 0.5 * log2(1 / L) : 0);
  if (has('open-seam-pressed') && m.id === 'ditch') p += 1;
  if ((m.id === 'web' || m.id === 'couching') && q.depthIn !== null && z.openIn > q.depthIn) p += 0.4;
  return p;
}

function cost(request: MotifsRequest, z: ZoneFacts, m: Motif, w: ZoneWork): number {
  const { minutes } = w;
  const alone =
    request.zones.length === 1 && request.quilt.hours !== undefined
      ? 0.7 * clamp(log2(Math.max(1e-9, minutes) / Math.max(1, request.quilt.hours * 60)), 0, 4)
      : 0;
  if (z.accent) return alone;
  const base = (0.1 * log2(Math.max(1, minutes / plainMinutes(z))) * minutes) / (minutes + 10);
  return base * (m.id === 'guided-pattern' ? 0.5 : 1) + alone;
}

const BADLY = { well: 0, fair: 0.35, badly: 1 } as const;
const SHARE = 1 / 14;

/** What this studio chose before in such a zone, and how it went; same role counts whole, others a quarter. */
function past(request: MotifsRequest, z: ZoneFacts, m: Motif): number {
  let [all, own, bad] = [0, 0, 0];
  for (const e of request.past ?? []) {
    const weight = e.role === z.role ? 1 : 0.25;
    all += weight;
    if (e.technique !== m.id) continue;
    own += weight;
    bad += weight * BADLY[e.went];
  }
  if (all === 0) return 0;
  const gain = clamp(-0.15 * log2((own + 8 * SHARE) / ((all + 8) * SHARE)), -0.45, 0.15);
  const liked = gain < 0 ? gain * (own > 0 ? 1 - bad / own : 1) : gain;
  return liked + (own > 0 ? 0.9 * Math.max(0, (bad + 0.2) / (own + 2) - 0.1) : 0);
}

/** Every criterion of one technique at one spacing in one zone; their sum is its score, least best. */
export function partsOf(
  request: MotifsRequest,
  q: QuiltFacts,
  z: ZoneFacts,
  m: Motif,
  g: number | null,
  w: ZoneWork,
): Parts {
  const parts: Parts = {};
  const put = (criterion: string, value: number) => {
    if (value > 1e-9 || value < -1e-9) parts[criterion] = value;
  };
  put('fit', fit(z, m, g));
  put('role', role(z, m));
  put('density', densityPart(request, z, m, w));
  put('bare', bare(z, m, w));
  put('seen', seen(z, m));
  put('print', print(z, m));
  put('lines', ownLines(z, m));
  put('words', words(z, m));
  put('wish', isWished(z, m) ? -1.2 : 0);
  put('hand', hand(request, q, z, m));
  put('fabric', fabric(q, z, m, w));
  put('features', features(q, z, m, w));
  put('cost', cost(request, z, m, w));
  put('past', past(request, z, m));
  return parts;
}

/** Cautions of one pick, by their codes. */
export function cautionCodes(
  request: MotifsRequest,
  q: QuiltFacts,
  z: ZoneFacts,
  m: Motif,
  w: ZoneWork,
): [string, string][] {
  const out: [string, string][] = [];
  const add = (code: string, text: string) => out.push([code, text]);
  if (print(z, m) > 0.2) add('lost-on-print', 'On a busy print it will hardly be seen.');
  if (z.keepsHoles >= 3 && m.id !== 'open')
    add('holes', 'Every hole stays in this fabric: nothing is unpicked without a trace.');
  if (z.features.includes('beads') && m.id !== 'open')
    add('beads', 'Keep the needle off the beads; wear eye protection.');
  if (z.features.includes('pocket-open') && m.id !== 'open')
    add('pocket-open', 'Quilt round the pocket, or it is sewn shut.');
  if (z.features.includes('open-seam-pressed') && m.id === 'ditch')
    add('seam-open', 'The seam is pressed open: quilt ¼ in beside it, never in the ditch.');
  if (z.busy >= LOUD && m.presence >= 2) add('loud-print', 'The print is loud: a simple fill does as well.');
  if ((m.id === 'web' || m.id === 'couching') && q.depthIn !== null && z.openIn > q.depthIn)
    add('across-passes', 'It goes across two passes: mark where it meets.');
  if (LEVELS.indexOf(levelOf(request, m.id)) + 1 < m.skill - 0.9)
    add('poor-hand', 'It asks more of the hand than it has yet: try it on a scrap, or where it shows least.');
  if (w.lambda > 6 && m.id !== 'thread-painting') add('stiff', 'So much line makes it stiff.');
  return out;
}
