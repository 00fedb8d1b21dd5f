import { techniques } from '../tables/techniques';
import { clamp } from '../units/clamp';
import type { Refusal } from './gates';
import { type Motif, MOTIFS, themeWord } from './motif-table';
import { type Pick, pickOf } from './motifs';
import { PATTERNED } from '../pattern/lay';
import { type Parts, partsOf } from './penalties';
import type { Weighed } from './rank';
import { LEVELS, type MotifsRequest } from './request';
import { wishedDensity } from './spacings';
import { HAND, levelOf, workOf } from './work';
import { quiltFacts, type QuiltFacts, type ZoneFacts, zoneFacts } from './zone-facts';

/** A pattern that may be laid in a zone: its repeat as it was measured at its usual width. Inches. */
export interface OfferedPattern {
  id: string;
  name: string;
  /** Words it is found by. */
  words: string;
  widthIn: number;
  unit: { heightShare: number };
  measured: { lengthIn: number; minRadiusIn: number | null; largestGapIn: number };
}

/** A pattern as a zone would have it: at the width that suits it best. */
export interface PatternPick extends Pick {
  patternId: string;
  name: string;
  widthIn: number;
  rowIn: number;
}

export interface PatternPicks {
  picks: PatternPick[];
  refused: (Refusal & { patternId: string; name: string })[];
}

/** Widths tried round the one whose line density is asked for. */
const STEPS = [0.65, 0.8, 1, 1.25, 1.5];
/** A repeat is told to a quarter inch, a small one to an eighth. */
const onRuler = (w: number) => (w < 2 ? Math.round(w * 8) / 8 : Math.round(w * 4) / 4);
/** A curve tighter than this is a corner to any hand, inches. */
const LEAST_RADIUS_IN = 0.06;
const inch = (n: number) => `${Number(n.toFixed(2))} in`;

/** Line density of a pattern at its usual width, in/in². */
const densityOf = ({ widthIn, unit, measured }: OfferedPattern): number =>
  measured.lengthIn / (widthIn * widthIn * unit.heightShare);

/** The row of the table for patterns, with the words this one is found by. */
const motifOf = (p: OfferedPattern): Motif => ({
  ...MOTIFS.get(PATTERNED),
  words: p.words.split(/[,;\s]+/u).flatMap((w) => themeWord(w.toLowerCase()) ?? []),
});

/** The widths between which a pattern may be laid in a zone, or why there is none. */
function widthsOf(
  request: MotifsRequest,
  q: QuiltFacts,
  z: ZoneFacts,
  p: OfferedPattern,
): Refusal | number[] {
  const { heightShare } = p.unit;
  const { largestGapIn, minRadiusIn } = p.measured;
  const hand = HAND[levelOf(request, PATTERNED)];
  const least = Math.max(
    hand.leastIn / heightShare,
    minRadiusIn && minRadiusIn > 0.01 ? (LEAST_RADIUS_IN * p.widthIn) / minRadiusIn : 0,
  );
  const limits: (Refusal & { most: number })[] = [
    {
      most: largestGapIn > 0 ? (q.gapLimitIn * p.widthIn) / largestGapIn : Infinity,
      code: 'batting-gap',
      text: `As small as hands can sew it, it leaves more than ${inch(q.gapLimitIn)} open: more than this batting allows.`,
    },
    {
      most: z.narrowIn / heightShare,
      code: 'too-narrow',
      text: `The zone is ${inch(z.narrowIn)} wide; its smallest row is ${inch(least * heightShare)} high.`,
    },
    {
      most: q.depthIn === null ? Infinity : q.depthIn / heightShare,
      code: 'throat-short',
      text: `Its smallest row is deeper than a pass of ${inch(q.depthIn ?? 0)}.`,
    },
  ];
  const bound = limits.reduce((a, b) => (b.most < a.most ? b : a));
  if (bound.most < least - 1e-9) return { code: bound.code, text: bound.text };
  const wanted = (densityOf(p) * p.widthIn * MOTIFS.get(PATTERNED).feel) / wishedDensity(z);
  const tried = [
    ...STEPS.map((s) => wanted * s),
    p.widthIn,
    ...(z.shape === 'strip' ? [z.narrowIn / heightShare] : []),
  ];
  // Rounded inside its bounds: a width told is one that may be sewn.
  const told = tried.map((w) => {
    const r = onRuler(clamp(w, least, bound.most));
    return r > bound.most || r < least ? clamp(w, least, bound.most) : r;
  });
  return [...new Set(told)];
}

/** A given line asks less of a hand than one it makes up; one that turns tighter than this asks the most. */
const TIGHT_IN = 0.15;

/** What the table says of patterns is for a machine that is guided: where the hand follows, it is the hand's work and time. */
function byHand(request: MotifsRequest, p: OfferedPattern, widthIn: number, parts: Parts): Parts {
  if (request.machine?.guided) return parts;
  const radiusIn = ((p.measured.minRadiusIn ?? Infinity) * widthIn) / p.widthIn;
  const skill = radiusIn < TIGHT_IN ? 3 : 2;
  const level = LEVELS.indexOf(levelOf(request, PATTERNED)) + 1;
  return { ...parts, hand: 0.55 * Math.max(0, skill - level), cost: 2 * (parts.cost ?? 0) };
}

/** A pattern at a width in a zone, weighed as a technique is. */
function weighPattern(
  request: MotifsRequest,
  q: QuiltFacts,
  z: ZoneFacts,
  p: OfferedPattern,
  widthIn: number,
): Weighed {
  const motif = motifOf(p);
  const { density } = techniques.get(PATTERNED);
  const lambda = (densityOf(p) * p.widthIn) / widthIn;
  const g = (density.kind === 'spacing' ? density.k : 1) / lambda;
  const work = { ...workOf(request, z, motif, g), openIn: (p.measured.largestGapIn * widthIn) / p.widthIn };
  const parts = byHand(
    request,
    p,
    widthIn,
    partsOf(request, q, z, motif, p.unit.heightShare * widthIn, work),
  );
  return { motif, spacingIn: widthIn, work, parts, score: Object.values(parts).reduce((a, b) => a + b, 0) };
}

/**
 * Which patterns of the studio suit a zone, best first, each at the width that suits it best, weighed by the same criteria
 * as the techniques so that both stand in one list; and which do not, with why. A pattern is followed by hand or by
 * whatever the machine has: its widest gap holds the batting, a row lies within one pass and within the zone.
 * A zone that is not there has none.
 */
export function patternPicks(
  request: MotifsRequest,
  zoneId: string,
  patterns: readonly OfferedPattern[],
): PatternPicks {
  const q = quiltFacts(request);
  const z = zoneFacts(request).find((f) => f.zone.id === zoneId);
  const out: PatternPicks = { picks: [], refused: [] };
  if (!z) return out;
  for (const p of patterns) {
    const widths = widthsOf(request, q, z, p);
    if (!Array.isArray(widths)) {
      out.refused.push({ ...widths, patternId: p.id, name: p.name });
      continue;
    }
    const best = widths
      .map((w) => weighPattern(request, q, z, p, w))
      .reduce((a, b) => (b.score < a.score ? b : a));
    const widthIn = best.spacingIn!;
    out.picks.push({
      ...pickOf(request, q, z, best),
      patternId: p.id,
      name: p.name,
      widthIn,
      rowIn: p.unit.heightShare * widthIn,
    });
  }
  out.picks.sort(
    (a, b) => a.score - b.score || a.minutes.mid - b.minutes.mid || a.name.localeCompare(b.name),
  );
  return out;
}
