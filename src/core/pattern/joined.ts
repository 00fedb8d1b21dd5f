import type { XY } from '../geometry/polygon';
import { mmToIn } from '../units/length';
import { apart, endOf, reversed, startOf, type Stroke } from './stroke';

/** Runs that end and begin so close are sewn without lifting, inches. */
export const JOINED_IN = mmToIn(0.5);

const beginOf = (s: Stroke): XY => startOf(s.pieces[0]!);
const finishOf = (s: Stroke): XY => endOf(s.pieces.at(-1)!);
const isLoop = ({ pieces }: Stroke) =>
  pieces.length > 1 && apart(startOf(pieces[0]!), endOf(pieces.at(-1)!)) <= 1e-6;
const linked = (a: Stroke, b: Stroke): Stroke => {
  const whole = { pieces: [...a.pieces, ...b.pieces], closed: false };
  return { ...whole, closed: isLoop(whole) };
};

/**
 * Strokes that go on where another ends are one run, whichever way and in whatever order a file holds them; where more
 * than two ends meet, they stay as the file has them. Lengths in inches.
 */
export const joined = (strokes: readonly Stroke[]): Stroke[] => chained(inOrder(strokes));

/** Each stroke put to the one before it where their ends meet, by the nearest of them. */
function inOrder(strokes: readonly Stroke[]): Stroke[] {
  const out: Stroke[] = [];
  // Only what has not been put together yet may still be sewn the other way.
  let isFresh = true;
  for (const next of strokes) {
    const last = out.at(-1);
    const ways = last && !last.closed && !next.closed ? waysOf(last, next, isFresh) : [];
    const [gap, link] = ways.reduce((best, w) => (w[0] < best[0] ? w : best), [Infinity, () => next]);
    if (gap <= JOINED_IN) {
      out[out.length - 1] = link();
      isFresh = false;
    } else {
      out.push(next);
      isFresh = true;
    }
  }
  return out;
}

function waysOf(last: Stroke, next: Stroke, isFresh: boolean): [number, () => Stroke][] {
  const [a, b] = [beginOf(next), finishOf(next)];
  const [first, end] = [beginOf(last), finishOf(last)];
  return [
    [apart(end, a), () => linked(last, next)],
    [apart(end, b), () => linked(last, reversed(next))],
    ...(isFresh
      ? ([
          [apart(first, a), () => linked(reversed(last), next)],
          [apart(first, b), () => linked(reversed(last), reversed(next))],
        ] as [number, () => Stroke][])
      : []),
  ];
}

/** An end of a run: which run, and whether it is where it finishes. */
interface End {
  run: number;
  isFinish: boolean;
  at: XY;
}

/** Runs chained where just two ends meet, however far apart they stand in the file. */
function chained(runs: readonly Stroke[]): Stroke[] {
  const partner = partnersOf(runs);
  const taken = new Set<number>();
  const follow = (from: number, backwards: boolean): { first: number; run: Stroke } => {
    let run = backwards ? reversed(runs[from]!) : runs[from]!;
    let first = from;
    taken.add(from);
    let next = partner(from, !backwards);
    while (next && !taken.has(next.run)) {
      taken.add(next.run);
      first = Math.min(first, next.run);
      run = linked(run, next.isFinish ? reversed(runs[next.run]!) : runs[next.run]!);
      next = partner(next.run, !next.isFinish);
    }
    return { first, run };
  };
  const out: { first: number; run: Stroke }[] = [];
  // A chain begins at a free end, at the one whose run stands first in the file; what is left are rings.
  const begin = (i: number, backwards: boolean) => {
    if (!taken.has(i)) out.push(follow(i, backwards));
  };
  runs.forEach((_, i) => {
    if (!partner(i, false)) begin(i, false);
    else if (!partner(i, true)) begin(i, true);
  });
  runs.forEach((_, i) => begin(i, false));
  // Each chain comes where the first of it stands.
  return out.sort((a, b) => a.first - b.first).map(({ run }) => run);
}

/** For each end of an open run the one other end that meets it; nothing where none or several do. */
function partnersOf(runs: readonly Stroke[]): (run: number, isFinish: boolean) => End | undefined {
  const ends = runs.flatMap((s, run): End[] =>
    s.closed
      ? []
      : [
          { run, isFinish: false, at: beginOf(s) },
          { run, isFinish: true, at: finishOf(s) },
        ],
  );
  const cell = (n: number) => Math.floor(n / JOINED_IN);
  const cells = new Map<string, End[]>();
  for (const e of ends) {
    const key = `${cell(e.at[0])} ${cell(e.at[1])}`;
    cells.set(key, [...(cells.get(key) ?? []), e]);
  }
  const near = (e: End): End[] =>
    [-1, 0, 1].flatMap((dx) =>
      [-1, 0, 1].flatMap((dy) =>
        (cells.get(`${cell(e.at[0]) + dx} ${cell(e.at[1]) + dy}`) ?? []).filter(
          (o) => o !== e && apart(o.at, e.at) <= JOINED_IN,
        ),
      ),
    );
  const met = new Map(ends.map((e) => [`${e.run} ${e.isFinish}`, near(e)]));
  const only = (e: End): End | undefined => {
    const list = met.get(`${e.run} ${e.isFinish}`)!;
    return list.length === 1 && list[0]!.run !== e.run ? list[0] : undefined;
  };
  const byName = new Map(ends.map((e) => [`${e.run} ${e.isFinish}`, e]));
  return (run, isFinish) => {
    const e = byName.get(`${run} ${isFinish}`);
    const other = e && only(e);
    return other && only(other) === e ? other : undefined;
  };
}
