import { techniques } from '../tables/techniques';
import { type Refusal, refusalOf, type Relaxed } from './gates';
import { type Motif, MOTIFS } from './motif-table';
import { cautionCodes, type Parts, partsOf } from './penalties';
import type { MotifsRequest } from './request';
import { spacingsOf } from './spacings';
import { workOf, type ZoneWork } from './work';
import type { QuiltFacts, ZoneFacts } from './zone-facts';

/** One technique at one spacing in one zone, weighed. */
export interface Weighed {
  motif: Motif;
  spacingIn: number | null;
  work: ZoneWork;
  parts: Parts;
  score: number;
}

const sum = (parts: Parts): number => {
  let total = 0;
  for (const k in parts) total += parts[k]!;
  return total;
};

/** What one technique is worth in one zone: its parts (harm in minutes and points, less is better), their sum, and its work. @param spacingIn null where it has none. */
export const weigh = (
  request: MotifsRequest,
  q: QuiltFacts,
  z: ZoneFacts,
  motif: Motif,
  spacingIn: number | null,
): Weighed => {
  const work = workOf(request, z, motif, spacingIn);
  const parts = partsOf(request, q, z, motif, spacingIn, work);
  return { motif, spacingIn, work, parts, score: sum(parts) };
};

/** Everything that may be quilted in a zone, best first, each technique at each spacing worth trying; and what may not. */
export function weighZone(
  request: MotifsRequest,
  q: QuiltFacts,
  z: ZoneFacts,
  relaxed: Relaxed = null,
): { all: Weighed[]; refused: (Refusal & { technique: string })[] } {
  const refused: (Refusal & { technique: string })[] = [];
  const all = MOTIFS.rows.flatMap((motif) => {
    const why = refusalOf(request, q, z, motif, relaxed);
    const spacings = why ? [] : spacingsOf(request, q, z, motif, relaxed);
    if (why || spacings.length === 0) {
      refused.push({
        technique: motif.id,
        ...(why ?? { code: 'too-narrow', text: 'No spacing of it lies in this zone.' }),
      });
      return [];
    }
    return spacings.map((g) => weigh(request, q, z, motif, g));
  });
  all.sort(
    (a, b) => a.score - b.score || a.work.minutes - b.work.minutes || a.motif.id.localeCompare(b.motif.id),
  );
  return { all, refused };
}

/** The best spacing of each technique, best technique first. */
export function bestOfEach(all: readonly Weighed[]): Weighed[] {
  const named = new Set<string>();
  return all.filter((w) => !named.has(w.motif.id) && named.add(w.motif.id));
}

const RELAX: readonly [NonNullable<Relaxed>, string][] = [
  ['batting', 'another batting'],
  ['ruler', 'a ruler and its foot'],
  ['hand', 'a finer hand'],
  ['feature', 'without what lies in the zone'],
];

/** What one limit lifted would bring where nothing fits: the limit, and the technique it lets in. */
export function wouldFit(
  request: MotifsRequest,
  q: QuiltFacts,
  z: ZoneFacts,
): { limit: string; technique: string; text: string }[] {
  return RELAX.flatMap(([limit, words]) => {
    const best = weighZone(request, q, z, limit).all[0];
    return best && best.score <= 1
      ? [{ limit, technique: best.motif.id, text: `With ${words}: ${techniques.get(best.motif.id).label}.` }]
      : [];
  });
}

const CODE_WORDS: Readonly<Record<string, [good: string, bad: string]>> = {
  fit: ['it fits the shape', 'it does not fit the shape'],
  role: ['it is at home in such a zone', 'it is not usual in such a zone'],
  density: ['its line density is what is asked', 'it is denser or sparser than asked'],
  bare: ['', 'much is left open'],
  seen: ['it is seen as much as wished', 'it is seen more or less than wished'],
  print: ['', 'the print hides it'],
  lines: ['it follows the lines of the fabric', 'it does not follow the lines of the fabric'],
  words: ['it says what the quilt is about', 'it says nothing of the theme'],
  wish: ['it was wished for', ''],
  hand: ['it forgives', 'it asks much of the hand'],
  fabric: ['', 'the fabric or batting takes it badly'],
  features: ['', 'what lies in the zone is in its way'],
  cost: ['it is quick', 'it takes long'],
  near: ['', 'beside what is held it does not go well'],
  past: ['it went well here before', 'it went badly before, or others were chosen'],
};

/** Why this pick: its best and its dearest points, at most four. */
export function reasonsOf(w: Weighed, z: ZoneFacts): { code: string; text: string }[] {
  const bad = Object.entries(w.parts)
    .filter(([, v]) => v >= 0.15)
    .sort((a, b) => b[1] - a[1])
    .slice(0, 2)
    .map(([code]) => ({ code, text: CODE_WORDS[code]![1] }));
  const good = (['wish', 'words', 'lines', 'role', 'fit', 'seen', 'density'] as const)
    .filter((code) => {
      if (code === 'words') return z.words.length > 0 && (w.parts.words ?? 0) <= 0;
      if (code === 'lines') return z.zone.lines !== undefined && (w.parts.lines ?? 0) <= 0;
      if (code === 'wish') return (w.parts.wish ?? 0) < 0;
      if (code === 'density' && w.motif.kind === 'none') return false;
      return (w.parts[code] ?? 0) < 0.05;
    })
    .slice(0, 3)
    .map((code) => ({ code, text: CODE_WORDS[code]![0] }));
  const before = (w.parts.past ?? 0) < -0.1 ? [{ code: 'past', text: CODE_WORDS.past![0] }] : [];
  return [...before, ...good, ...bad].filter((r) => r.text !== '').slice(0, 4);
}

const WAY = { all: 'all ways', along: 'along it', radial: 'from the middle out' } as const;
const MARKS = {
  none: 'nothing to mark',
  ticks: 'mark ticks',
  spine: 'mark the spine',
  full: 'mark it whole',
} as const;

/** How it is gone about: its way, what comes first, what is marked. */
export function howOf(w: Weighed): string {
  const { motif } = w;
  if (motif.id === 'open') return 'nothing is sewn here';
  const t = techniques.get(motif.id);
  const first =
    t.stabilises || t.holds
      ? 'before the fills'
      : motif.kind === 'figure'
        ? 'before the ground round it'
        : 'after the lines that hold';
  return [WAY[motif.way], first, MARKS[t.marks]].join('; ');
}

/** The cautions that stand at a technique in a zone, by their ids. */
export const cautionsOf = (request: MotifsRequest, q: QuiltFacts, z: ZoneFacts, w: Weighed) =>
  cautionCodes(request, q, z, w.motif, w.work).map(([code, text]) => ({
    code,
    text,
    severity: 'note' as const,
  }));
