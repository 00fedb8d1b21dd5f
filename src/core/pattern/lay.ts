import { clipLines, linesLength } from '../geometry/clip-lines';
import { boundsOf, type MultiPolygon, type XY } from '../geometry/polygon';
import { CoreError } from '../notes';
import { pathOf } from '../route/route-svg';

/** What a zone is quilted with that was laid in from a pattern. */
export const PATTERNED = 'guided-pattern';

/** A pattern as it is kept: one repeat, one wide; how high it is against that; and whether a row goes on. */
export interface PatternUnit {
  runs: readonly (readonly XY[])[];
  /** Height of a repeat, its width being 1. */
  heightShare: number;
  goesOn: boolean;
}

/** How a pattern is laid over a zone. */
export interface PatternLayout {
  /** Width of one repeat, inches. */
  widthIn: number;
  /** Between two rows; below 0 they nest, inches. */
  rowGapIn: number;
  /** Every other row begins so much of a repeat further on, 0–1. */
  offset: number;
  /** Every other row is its mirror image. */
  mirrored: boolean;
  /** Rows run across the quilt, or down it. */
  direction: 'across' | 'down';
}

/** A pattern laid: its lines inside the zone, and what of repeats and rows is whole. */
export interface LaidPattern {
  lines: XY[][];
  lengthIn: number;
  rows: number;
  columns: number;
  /** Of the repeats at each edge, the share that is cut off: 0 none. */
  cut: { left: number; right: number; top: number; bottom: number };
  starts: number;
}

/** More repeats than this are no quilting, but a mistake of the scale. */
const MOST_REPEATS = 20_000;
const whole = (share: number) => (share < 1e-6 || share > 1 - 1e-6 ? 0 : share);

/**
 * A pattern laid over a zone in rows, centred, cut at its outline.
 * @throws CoreError `size-impossible` at `widthIn` when a repeat has no size or more than 20 000 would lie in the zone.
 */
export function layPattern(unit: PatternUnit, zone: MultiPolygon, layout: PatternLayout): LaidPattern {
  const { widthIn, rowGapIn, offset, mirrored, direction } = layout;
  const down = direction === 'down';
  const turn = ([x, y]: XY): XY => [y, x];
  const shape = down ? zone.map((polygon) => polygon.map((ring) => ring.map(turn))) : zone;
  const { x0, y0, x1, y1 } = boundsOf(shape);
  const [across, deep] = [x1 - x0, y1 - y0];
  const heightIn = unit.heightShare * widthIn;
  const rowIn = heightIn + rowGapIn;
  if (!(widthIn > 0 && rowIn > 0.05))
    throw new CoreError(
      'size-impossible',
      'The rows lie on one another: give a larger width, or more between the rows.',
      rowIn > 0.05 ? 'widthIn' : 'rowGapIn',
    );
  const [columns, rows] = [across / widthIn, Math.max(1, (deep - heightIn) / rowIn + 1)];
  if (Math.ceil(columns) * Math.ceil(rows) > MOST_REPEATS)
    throw new CoreError(
      'size-impossible',
      'So small it would be sewn for weeks: give a larger width.',
      'widthIn',
    );
  const [nAcross, nDown] = [Math.ceil(columns - 1e-9), Math.ceil(rows - 1e-9)];
  // Centred: what is left over is cut evenly at both ends.
  const left = x0 - (nAcross * widthIn - across) / 2;
  const top = y0 - ((nDown - 1) * rowIn + heightIn - deep) / 2;
  const lines = Array.from({ length: nDown }, (_, row) => {
    const shift = row % 2 === 1 ? offset * widthIn : 0;
    const flip = mirrored && row % 2 === 1;
    return rowOf(
      unit,
      { left: left - (shift > 0 ? widthIn - shift : 0), top: top + row * rowIn },
      nAcross + (shift > 0 ? 1 : 0),
      widthIn,
      flip,
    );
  }).flat();
  const inside = clipLines(lines, shape);
  const own = down ? inside.map((l) => l.map(turn)) : inside;
  const perRow = unit.goesOn ? 1 : unit.runs.length * nAcross;
  return {
    lines: own,
    lengthIn: linesLength(own),
    rows: nDown,
    columns: nAcross,
    cut: {
      left: whole((nAcross * widthIn - across) / 2 / widthIn),
      right: whole((nAcross * widthIn - across) / 2 / widthIn),
      top: whole(((nDown - 1) * rowIn + heightIn - deep) / 2 / heightIn),
      bottom: whole(((nDown - 1) * rowIn + heightIn - deep) / 2 / heightIn),
    },
    starts: nDown * perRow,
  };
}

/** One row of repeats; where each ends where the next begins, one line. */
function rowOf(
  { runs, heightShare, goesOn }: PatternUnit,
  { left, top }: { left: number; top: number },
  columns: number,
  widthIn: number,
  flip: boolean,
): XY[][] {
  const at = (column: number) =>
    runs.map((run) =>
      run.map(([x, y]): XY => [left + (column + x) * widthIn, top + (flip ? heightShare - y : y) * widthIn]),
    );
  const repeats = Array.from({ length: columns }, (_, c) => at(c));
  if (!goesOn) return repeats.flat();
  // The last run of one goes on as the first of the next.
  const out: XY[][] = [];
  for (const repeat of repeats) {
    const last = out.at(-1);
    if (last) {
      last.push(...repeat[0]!.slice(1));
      out.push(...repeat.slice(1).map((r) => [...r]));
    } else out.push(...repeat.map((r) => [...r]));
  }
  return out;
}

/** Rows against passes: how many a pass takes, what is wasted of its depth, and what it takes where it is too deep. */
export interface PatternPasses {
  rowsPerPass: number;
  passes: number;
  /** Depth of a pass that no row fills, inches. */
  unusedIn: number;
  /** A row is deeper than a pass: it cannot be sewn this way round. */
  tooDeepIn: number;
}

/**
 * How many whole rows a pass takes. A guided row is sewn in one pass, so what is left of its depth is rolled on.
 * @param depthIn what the needle reaches in one pass, inches.
 */
export function rowsInPasses(
  { heightIn, rowGapIn, rows }: { heightIn: number; rowGapIn: number; rows: number },
  depthIn: number,
): PatternPasses {
  if (heightIn > depthIn + 1e-9)
    return { rowsPerPass: 0, passes: 0, unusedIn: depthIn, tooDeepIn: heightIn - depthIn };
  const rowsPerPass = Math.max(1, Math.floor((depthIn - heightIn) / (heightIn + rowGapIn) + 1 + 1e-9));
  return {
    rowsPerPass,
    passes: Math.ceil(rows / rowsPerPass),
    unusedIn: depthIn - (heightIn + (rowsPerPass - 1) * (heightIn + rowGapIn)),
    tooDeepIn: 0,
  };
}

/** A scale that suits a zone: whole repeats across, whole rows down, a row within a pass. */
export interface FittingScale {
  widthIn: number;
  rowGapIn: number;
  columns: number;
  rows: number;
}

/** Rows may be drawn apart or together by this share of their height to come out whole (judgement). */
const MOST_GAP_SHARE = 0.15;
const MOST_COLUMNS = 60;

/**
 * Scales at which repeats and rows come out whole, nearest to the usual width first; none deeper than a pass.
 * @param usualIn the width it is usually sewn at, inches. @param depthIn depth of a pass, inches; left out: any.
 */
export function fittingScales(
  { heightShare }: Pick<PatternUnit, 'heightShare'>,
  zone: { widthIn: number; heightIn: number },
  usualIn: number,
  depthIn = Infinity,
): FittingScale[] {
  const found: FittingScale[] = [];
  for (let columns = 1; columns <= MOST_COLUMNS; columns++) {
    const widthIn = zone.widthIn / columns;
    const heightIn = heightShare * widthIn;
    if (heightIn > depthIn || heightIn > zone.heightIn * (1 + 1e-9)) continue;
    const rows = Math.max(1, Math.round(zone.heightIn / heightIn));
    const rowGapIn = rows === 1 ? 0 : (zone.heightIn - rows * heightIn) / (rows - 1);
    if (Math.abs(rowGapIn) <= MOST_GAP_SHARE * heightIn) found.push({ widthIn, rowGapIn, columns, rows });
  }
  return found.sort(
    (a, b) => Math.abs(Math.log(a.widthIn / usualIn)) - Math.abs(Math.log(b.widthIn / usualIn)),
  );
}

/** Loading a second time, turned, for rows that run down the quilt. Minutes by the rule for loading and taking off. */
export interface SecondLoading {
  minutes: number;
  passes: number;
}
const TAKE_OFF_MIN = 10;
const ADVANCE_MIN = 2;

/**
 * What rows that run down the quilt cost on a frame: everything else is sewn first, then it is taken off, turned a quarter and
 * loaded again: `12 + 0.03·L + 0.05·W` min to load, 10 to take off, 2 an advance (judgements).
 * @param zoneIn extent of the zone across the quilt, where the turned quilt is rolled on, inches.
 */
export function secondLoading(
  quilt: { widthIn: number; lengthIn: number },
  zoneIn: number,
  depthIn: number,
): SecondLoading {
  const passes = Math.max(1, Math.ceil(zoneIn / depthIn - 1e-9));
  return {
    passes,
    minutes: 12 + 0.03 * quilt.widthIn + 0.05 * quilt.lengthIn + TAKE_OFF_MIN + ADVANCE_MIN * (passes - 1),
  };
}

/** How wide it lies open between repeats and rows: what one pattern leaves, and what lies between its rows (at most). */
export const openBetween = (largestGapIn: number, { rowGapIn }: Pick<PatternLayout, 'rowGapIn'>): number =>
  largestGapIn + Math.max(0, rowGapIn);

/** What is measured of a pattern at one width, at another: lengths, radii and gaps grow with it, counts stay. */
export const atWidth = <M extends { lengthIn: number; minRadiusIn: number | null; largestGapIn: number }>(
  measured: M & { widthIn: number },
  widthIn: number,
): Pick<M, 'lengthIn' | 'minRadiusIn' | 'largestGapIn'> => {
  const k = widthIn / measured.widthIn;
  return {
    lengthIn: measured.lengthIn * k,
    minRadiusIn: measured.minRadiusIn === null ? null : measured.minRadiusIn * k,
    largestGapIn: measured.largestGapIn * k,
  };
};

/**
 * Lines as an SVG drawing at their true size.
 * @param lines runs of points, inches. @param origin upper left corner of what is drawn, inches.
 */
export function linesSvg(
  lines: readonly (readonly XY[])[],
  [x0, y0]: XY,
  widthIn: number,
  heightIn: number,
): string {
  const n = (x: number) => Number(x.toFixed(4));
  const d = lines.map((run) => pathOf(run.map(([x, y]): XY => [x - x0, y - y0]))).join('');
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${n(widthIn)}in" height="${n(heightIn)}in" viewBox="0 0 ${n(widthIn)} ${n(heightIn)}"><path fill="none" stroke="#000" stroke-width="0.02" d="${d}"/></svg>`;
}
