import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import { techniques } from '../tables/techniques';
import { diameterMm } from '../thread/thread';

/** What a zone was, as far as it decides how it sews. */
export interface Work {
  /** Fabric kinds with their shares. */
  cloths: readonly { fabric: string; share: number }[];
  battingId: string;
  technique: string;
  spacingIn: number;
  /** The top thread; left out while none is chosen, when it counts for nothing. */
  top?: { tex: number; fibre: string };
}

/** How far apart two pieces of work lie, part by part; 0 is the same, about 1 is unlike. */
export interface Distance {
  cloth: number;
  batting: number;
  technique: number;
  thread: number;
  total: number;
}

/** What each part weighs (judgement): cloth and technique decide most. */
const WEIGHT = { cloth: 0.35, batting: 0.2, technique: 0.25, thread: 0.2 } as const;
/** Two kinds, alike in every column that is compared, still are not the same. */
const OTHER_KIND = 0.15;
/** Thickness of cloth and loft of batting this far apart are quite unlike, on the logarithm. */
const UNLIKE_LN = 1.2;
/** Threads this far apart in diameter, on the logarithm. */
const UNLIKE_THREAD_LN = 0.7;

const apart = (a: number, b: number, scale: number) => Math.min(1, Math.abs(Math.log(a / b)) / scale);

function kindsApart(a: string, b: string): number {
  if (a === b) return 0;
  const [x, y] = [fabrics.get(a), fabrics.get(b)];
  const thick = apart(x.thicknessMm, y.thicknessMm, UNLIKE_LN);
  const firm = apart(x.firmness, y.firmness, UNLIKE_LN);
  return Math.min(1, OTHER_KIND + 0.5 * (thick + firm));
}

/** Each cloth against the one most like it on the other side, weighed by its share. */
function clothsApart(a: Work['cloths'], b: Work['cloths']): number {
  if (a.length === 0 || b.length === 0) return 1;
  const one = (from: Work['cloths'], to: Work['cloths']) => {
    const sum = from.reduce((s, c) => s + c.share, 0) || 1;
    return from.reduce(
      (s, c) => s + (c.share / sum) * Math.min(...to.map((t) => kindsApart(c.fabric, t.fabric))),
      0,
    );
  };
  return (one(a, b) + one(b, a)) / 2;
}

function techniquesApart(a: Work, b: Work): number {
  const [x, y] = [techniques.get(a.technique), techniques.get(b.technique)];
  const dense = apart(a.spacingIn, b.spacingIn, 1.6);
  if (x.id === y.id) return 0.4 * dense;
  const alike = (x.area === y.area ? 0.25 : 0) + (x.besideRuler === y.besideRuler ? 0.25 : 0);
  return Math.min(1, 0.8 - alike + 0.2 * dense);
}

/**
 * How far two pieces of work lie apart: over cloth, batting, technique with its spacing, and top thread.
 * @throws CoreError `unknown-id` for what is not in the tables.
 */
export function distanceOf(a: Work, b: Work): Distance {
  const [x, y] = [battings.get(a.battingId), battings.get(b.battingId)];
  const parts = {
    cloth: clothsApart(a.cloths, b.cloths),
    batting: x.id === y.id ? 0 : Math.min(1, OTHER_KIND + 0.7 * apart(x.loftMm, y.loftMm, UNLIKE_LN)),
    technique: techniquesApart(a, b),
    thread:
      a.top && b.top
        ? Math.min(
            1,
            (a.top.fibre === b.top.fibre ? 0 : OTHER_KIND * 2) +
              apart(diameterMm(a.top), diameterMm(b.top), UNLIKE_THREAD_LN),
          )
        : 0,
  };
  const weighed = (Object.keys(WEIGHT) as (keyof typeof WEIGHT)[]).filter(
    (k) => k !== 'thread' || (a.top && b.top),
  );
  const sum = weighed.reduce((s, k) => s + WEIGHT[k], 0);
  return { ...parts, total: weighed.reduce((s, k) => s + WEIGHT[k] * parts[k], 0) / sum };
}

/** What is unlike in two pieces of work, in words; “the same” when nothing is. */
export function unlikeWords(d: Distance): string {
  const named = (
    [
      ['cloth', 'cloth'],
      ['batting', 'batting'],
      ['technique', 'technique'],
      ['thread', 'thread'],
    ] as const
  )
    .filter(([k]) => d[k] > 0.02)
    .map(
      ([k, noun]) => `${noun} ${d[k] < 0.2 ? 'nearly alike' : d[k] < 0.5 ? 'differs' : 'is quite another'}`,
    );
  return named.length === 0 ? 'the same in everything compared' : named.join(', ');
}

/** The nearest pieces of past work first; those equally near, the newest first. */
export function nearest<T extends Work & { at: Date }>(
  here: Work,
  past: readonly T[],
  most: number,
): { work: T; distance: Distance }[] {
  return past
    .map((work) => ({ work, distance: distanceOf(here, work) }))
    .sort((a, b) => a.distance.total - b.distance.total || b.work.at.getTime() - a.work.at.getTime())
    .slice(0, most);
}
