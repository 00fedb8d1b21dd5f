import { scaleBand, scaleLog } from 'd3-scale';
import { circle, type Drawing, type Label, line, type Mark, n } from '@/ui/draw/mark';
import type { Verdict } from '@/core/tension/probit';

export interface LadderNumbers {
  /** 80 % and 50 % bands of the top tension in gf: the guess, then after each test. */
  bands: readonly { low80: number; high80: number; low50: number; high50: number }[];
  /** Tests sewn: top tension and the verdict that stands for each. */
  tests: readonly { n: number; topGf: number; verdict: Verdict }[];
  /** Where to go, or what was proven. */
  nextGf: number;
  done: boolean;
}

const STEPS = [
  10, 15, 20, 25, 30, 40, 50, 60, 70, 80, 90, 100, 110, 120, 130, 140, 150, 160, 180, 200, 240, 280, 320, 400,
];
/** How many tests are shown; older ones leave the ladder. */
const SHOWN = 5;

/**
 * The search as a ladder on a log scale: the 80 % band, hatched 50 % inside it, narrowing at every test;
 * triangles point the way each test said to turn; a ring where to go next.
 */
export function tensionLadder(ladder: LadderNumbers, width = 352, height = 300): Drawing {
  const skip = Math.max(0, ladder.tests.length - SHOWN);
  const bands = ladder.bands.slice(skip);
  const tests = ladder.tests.slice(skip);
  const all = [...bands.flatMap((b) => [b.low80, b.high80]), ...tests.map((t) => t.topGf), ladder.nextGf];
  const [lo, hi] = [Math.min(...all) * 0.93, Math.max(...all) * 1.08];
  const [top, bottom, left, right] = [14, height - 26, 42, width - 8];
  const y = scaleLog([lo, hi], [bottom, top]);
  const columns = tests.length + 2;
  const across = scaleBand([...Array(columns).keys()], [left + 2, right - 2]);
  const cell = across.bandwidth();
  const x = (i: number) => across(i)! + cell / 2;
  const marks: Mark[] = [];
  const labels: Label[] = [{ x: left - 7, y: top - 2, anchor: 'end', text: 'g', colour: 'var(--ink2)' }];
  let drawn = Infinity;
  for (const gf of STEPS) {
    if (gf < lo || gf > hi) continue;
    marks.push({ d: line(left, y(gf), right, y(gf)), stroke: 'var(--hair)', width: 1.2 });
    if (drawn - y(gf) < 15 || y(gf) < top + 8) continue;
    labels.push({ x: left - 7, y: y(gf) + 4.5, anchor: 'end', text: String(gf), colour: 'var(--ink2)' });
    drawn = y(gf);
  }
  const outline = (low: 'low80' | 'low50', high: 'high80' | 'high50') => {
    const steps = [...bands, bands.at(-1)!].slice(0, columns);
    const upper = steps.map(
      (b, i) => `${n(left + 2 + cell * i)} ${n(y(b[high]))}L${n(left + 2 + cell * (i + 1))} ${n(y(b[high]))}`,
    );
    const lower = steps
      .map(
        (b, i) => `${n(left + 2 + cell * (i + 1))} ${n(y(b[low]))}L${n(left + 2 + cell * i)} ${n(y(b[low]))}`,
      )
      .reverse();
    return `M${upper.join('L')}L${lower.join('L')}Z`;
  };
  marks.push({
    d: outline('low80', 'high80'),
    fill: 'var(--verdigris-tint)',
    stroke: 'var(--verdigris)',
    width: 1.2,
    dash: '8 5',
  });
  marks.push(innerHatch(bands, y, left + 2, cell, columns), {
    d: outline('low50', 'high50'),
    stroke: 'var(--verdigris)',
    width: 1.2,
  });
  marks.push({
    d: line(left, top - 6, left, bottom + 6) + line(right, top - 6, right, bottom + 6),
    stroke: 'var(--walnut)',
    width: 3,
    cap: 'butt',
  });
  tests.forEach((t, i) => {
    const [tx, ty] = [x(i + 1), y(t.topGf)];
    const tight = t.verdict > 0;
    const d =
      t.verdict === 0
        ? circle(tx, ty, 7)
        : tight
          ? `M${n(tx - 9)} ${n(ty - 8)}h18L${n(tx)} ${n(ty + 9)}z`
          : `M${n(tx - 9)} ${n(ty + 8)}h18L${n(tx)} ${n(ty - 9)}z`;
    const fill =
      t.verdict === 0 ? 'var(--verdigris)' : Math.abs(t.verdict) === 1 ? 'var(--weld)' : 'var(--madder)';
    marks.push({ d, fill, stroke: 'var(--ink)', width: 1 });
    labels.push({
      x: tx,
      y: tight ? ty - 13 : ty + 24,
      anchor: 'middle',
      text: String(Number(t.topGf.toFixed(1))),
      size: 15,
      weight: 700,
    });
  });
  const [nx, ny] = [x(columns - 1), y(ladder.nextGf)];
  if (!ladder.done && tests.length > 0) {
    const from = [x(columns - 2) + 12, y(tests.at(-1)!.topGf)] as const;
    marks.push({
      d: `M${n(from[0])} ${n(from[1])}Q${n(nx)} ${n(from[1])} ${n(nx)} ${n(ny + (ny > from[1] ? -10 : 10))}`,
      stroke: 'var(--indigo)',
      width: 2.4,
    });
  }
  marks.push({
    d: circle(nx, ny, 8),
    fill: ladder.done ? 'var(--verdigris)' : 'var(--cloth)',
    stroke: ladder.done ? 'var(--ink)' : 'var(--indigo)',
    width: ladder.done ? 1 : 3,
  });
  labels.push({
    x: nx,
    y: !ladder.done && tests.length > 0 && ny < y(tests.at(-1)!.topGf) ? ny - 15 : ny + 27,
    anchor: 'middle',
    text: String(Math.round(ladder.nextGf)),
    size: 18,
    weight: 700,
    colour: ladder.done ? 'var(--verdigris)' : 'var(--indigo)',
  });
  ['guess', ...tests.map((t) => `test ${t.n}`), ladder.done ? 'proven' : 'next'].forEach((text, i) =>
    labels.push({
      x: x(i),
      y: bottom + 23,
      anchor: 'middle',
      text,
      size: 14,
      weight: i === columns - 1 ? 700 : 500,
      colour: i === columns - 1 ? 'var(--ink)' : 'var(--ink2)',
    }),
  );
  return { width, height, marks, labels };
}

/** Slanted lines inside the 50 % band, clipped cell by cell. */
function innerHatch(
  bands: LadderNumbers['bands'],
  y: (gf: number) => number,
  x0: number,
  cell: number,
  columns: number,
): Mark {
  let d = '';
  for (let i = 0; i < columns; i++) {
    const b = bands[Math.min(i, bands.length - 1)]!;
    const [yt, yb] = [y(b.high50), y(b.low50)];
    const h = yb - yt;
    for (let c = 6; c < cell + h; c += 8) {
      const from = Math.max(0, c - h);
      const to = Math.min(cell, c);
      if (to > from) d += line(x0 + i * cell + from, yt + (c - from), x0 + i * cell + to, yt + (c - to));
    }
  }
  return { d, stroke: 'var(--verdigris)', width: 1, opacity: 0.45 };
}
