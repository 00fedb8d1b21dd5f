import { couched, MOST_SPOTS } from './couching';
import { gapLimitIn } from '../density/density';
import { linesLength } from '../geometry/clip-lines';
import type { XY } from '../geometry/polygon';
import { type Caution, CoreError } from '../notes';
import { MODES } from '../stitch/machine';
import { regulate } from '../stitch/regulate';
import { mmToIn } from '../units/length';
import { largestGap } from './largest-gap';
import { nearShare, spotsOf } from './nearness';
import { readDxf } from './read-dxf';
import { joined, JOINED_IN } from './joined';
import { readSvg } from './read-svg';
import { apart, type Drawing, endOf, type Piece, startOf, type Stroke } from './stroke';
import { trace, type Trace } from './trace';

export interface PatternRequest {
  svg?: string;
  dxf?: string;
  /** Width and height of one repeat as it is to be sewn, inches; one alone keeps the shape. */
  widthIn?: number;
  heightIn?: number;
  /** How often it is sewn beside itself. */
  repeat?: { columns: number; rows: number };
  battingId?: string;
  /** Thickness of a yarn to be couched along it. */
  yarnMm?: number;
}

export interface Pattern {
  /** Of all repeats together: length to sew, width, height, starts, points. */
  lengthIn: number;
  widthIn: number;
  heightIn: number;
  starts: number;
  /** Radius that nineteen twentieths of the curved length keep to; null when nothing curves. */
  minRadiusIn: number | null;
  points: number;
  sewnTwicePct: number;
  largestGapIn: number;
  spi: number;
  couching?: { fit: boolean; codes: string[] };
  cautions: Caution[];
}

/** Flattened well within a tenth of a millimetre, so that lengths are right to a few parts in ten thousand. */
const TOLERANCE_IN = mmToIn(0.02);
/** A corner is a point when its two sides enclose less than this. */
const POINT = Math.PI / 3;
/** What is flatter than this is straight. */
const STRAIGHT_IN = 1000;
const LEAST_SHARE = 0.05;
const TWICE_IN = mmToIn(1);
/** Two lines go the same way within this (judgement): crossings are not sewing twice. */
const SAME_WAY = Math.PI / 9;
const MOST_TILES = 3;
/** Stitches per inch are those of the technique and its curves; the machine's own range comes where it is known. */
const ANY_MACHINE = {
  maxSpm: 3000,
  idleMinSpm: 50,
  idleMaxSpm: 1000,
  minSpi: 4,
  maxSpi: 20,
  modes: [...MODES],
};

/**
 * What a drawn pattern asks of the machine at a chosen size: length, starts, its tightest curves, points, what is sewn
 * twice, the largest place left open when it is repeated, stitches per inch; whether it holds a batting, and whether a
 * yarn can be couched along it.
 * @throws CoreError `not-a-drawing`, `one-drawing` when none or two are given, `size-unknown`, `size-impossible`.
 */
export const measurePattern = (request: PatternRequest): Pattern => measured(request, false);

/** The same, its largest open place as it lies among its own repeats all round. @throws CoreError as `measurePattern`. */
export const measureAmongRepeats = (request: PatternRequest): Pattern => measured(request, true);

function measured(request: PatternRequest, allRound: boolean): Pattern {
  const { scaled, traces, widthIn, heightIn } = atSize(request);
  const { columns, rows } = request.repeat ?? { columns: 1, rows: 1 };
  const lengthIn = linesLength(traces.map((t) => t.points));
  const bends = traces.flatMap((t) => t.bends).filter((b) => b.radius < STRAIGHT_IN);
  const minRadiusIn = tightest(bends);

  const tiles: XY = [Math.min(columns, MOST_TILES), Math.min(rows, MOST_TILES)];
  const runs = tiled(traces, [widthIn, heightIn], tiles);
  const step = Math.max(mmToIn(0.5), (lengthIn * tiles[0] * tiles[1]) / MOST_SPOTS);
  const spots = spotsOf(runs, step);
  const largestGapIn = gapOf(traces, [widthIn, heightIn], [allRound || columns > 1, allRound || rows > 1]);

  const cautions: Caution[] = [];
  if (request.battingId && largestGapIn > gapLimitIn(request.battingId))
    cautions.push({
      code: 'batting-gap',
      severity: 'warn',
      text: `It leaves ${largestGapIn.toFixed(1)} in open; this batting holds ${gapLimitIn(request.battingId).toFixed(1)} in. Make it smaller, or set the repeats closer.`,
    });
  const { spi } = regulate({
    technique: 'guided-pattern',
    ...(minRadiusIn === null ? {} : { smallestRadiusIn: minRadiusIn }),
    machine: ANY_MACHINE,
  });
  return {
    lengthIn: lengthIn * columns * rows,
    widthIn: widthIn * columns,
    heightIn: heightIn * rows,
    starts: startsOf(scaled, widthIn, columns) * rows,
    minRadiusIn,
    points:
      traces.reduce((n, t) => n + t.corners.filter((turn) => turn > Math.PI - POINT).length, 0) *
      columns *
      rows,
    sewnTwicePct:
      100 * nearShare(spots, { within: TWICE_IN, angle: SAME_WAY, apart: 4 * TWICE_IN, earlier: true }),
    largestGapIn,
    spi,
    ...(request.yarnMm === undefined ? {} : { couching: couched(request.yarnMm, minRadiusIn, spots) }),
    cautions,
  };
}

/** One repeat as it is sewn, at its size. */
export interface PatternLines {
  /** Each without lifting, inches from the repeat's upper left corner. */
  runs: XY[][];
  widthIn: number;
  heightIn: number;
  /** A repeat ends where the next begins: a row is sewn without lifting. */
  goesOn: boolean;
}

/** The lines of one repeat at the size asked for. @throws CoreError as `measurePattern`. */
export function patternLines(request: PatternRequest): PatternLines {
  const { scaled, traces, widthIn, heightIn } = atSize(request);
  return {
    runs: traces.map((t) => t.points),
    widthIn,
    heightIn,
    goesOn: startsOf(scaled, widthIn, 2) < 2 * scaled.length,
  };
}

/** What is drawn, at the size asked for. */
function atSize(request: PatternRequest) {
  const { strokes, x0, y0, across, down, unitIn } = drawn(request);
  const [sx, sy] = scales(request, across, down, unitIn);
  const scaled = joined(
    strokes.map((s) => ({
      ...s,
      pieces: s.pieces.map((p) => p.map(([x, y]): XY => [(x - x0) * sx, (y - y0) * sy]) as unknown as Piece),
    })),
  );
  return {
    scaled,
    traces: scaled.map((s) => trace(s, TOLERANCE_IN)),
    widthIn: across * sx,
    heightIn: down * sy,
  };
}

/** The drawing's strokes, and where it lies in its own units. */
function drawn({ svg, dxf }: PatternRequest) {
  if ((svg === undefined) === (dxf === undefined))
    throw new CoreError('one-drawing', 'Give one drawing: svg or dxf.', svg === undefined ? 'svg' : 'dxf');
  const { strokes, unitIn }: Drawing = svg !== undefined ? readSvg(svg) : readDxf(dxf!);
  const rough = boundsOf(strokes.flatMap((s) => s.pieces.flat()));
  const reach = Math.max(rough.across, rough.down);
  if (!(reach > 0 && Number.isFinite(reach)))
    throw new CoreError('not-a-drawing', 'This drawing has no size.', svg !== undefined ? 'svg' : 'dxf');
  // Handles lie outside their curve: what counts is the curve itself.
  return { strokes, unitIn, ...boundsOf(strokes.flatMap((s) => trace(s, reach / 20_000).points)) };
}

function boundsOf(points: readonly XY[]) {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of points) {
    [x0, y0] = [Math.min(x0, x), Math.min(y0, y)];
    [x1, y1] = [Math.max(x1, x), Math.max(y1, y)];
  }
  return { x0, y0, across: x1 - x0, down: y1 - y0 };
}

/** Inches of a unit, across and down. */
function scales({ widthIn, heightIn }: PatternRequest, across: number, down: number, unitIn: number | null) {
  const flat = (given: number | undefined, span: number) => given !== undefined && span === 0;
  if (flat(widthIn, across) || flat(heightIn, down))
    throw new CoreError(
      'size-impossible',
      'This pattern is a line without that extent: give its other measure.',
      flat(widthIn, across) ? 'widthIn' : 'heightIn',
    );
  const sx = widthIn !== undefined ? widthIn / across : heightIn !== undefined ? heightIn / down : unitIn;
  const sy = heightIn !== undefined ? heightIn / down : sx;
  if (sx === null || sy === null)
    throw new CoreError(
      'size-unknown',
      'This drawing does not say how large it is: give widthIn, the width of one repeat in inches.',
      'widthIn',
    );
  return [sx, sy] as const;
}

/** The radius below which a twentieth of the curved length lies. */
function tightest(bends: Trace['bends']): number | null {
  const sorted = [...bends].sort((a, b) => a.radius - b.radius);
  const all = sorted.reduce((sum, b) => sum + b.length, 0);
  let so = 0;
  for (const b of sorted) {
    so += b.length;
    if (so >= LEAST_SHARE * all) return b.radius;
  }
  return null;
}

/** Starts of a row of repeats: one that ends where the next begins goes on. */
function startsOf(runs: readonly Stroke[], widthIn: number, columns: number): number {
  const [first, last] = [runs[0]!, runs.at(-1)!];
  const end = endOf(last.pieces.at(-1)!);
  const [x, y] = startOf(first.pieces[0]!);
  const goesOn = !last.closed && !first.closed && apart(end, [x + widthIn, y]) <= JOINED_IN;
  return runs.length * columns - (goesOn ? columns - 1 : 0);
}

/** The lines of so many repeats, across and down. */
const tiled = (traces: readonly Trace[], [w, h]: XY, [across, down]: XY): XY[][] =>
  Array.from({ length: across * down }, (_, k): XY => [(k % across) * w, Math.floor(k / across) * h]).flatMap(
    ([dx, dy]) => traces.map((t) => t.points.map(([x, y]): XY => [x + dx, y + dy])),
  );

/** The largest open place of one repeat, its neighbours beside it where it is repeated. */
function gapOf(traces: readonly Trace[], [w, h]: XY, [across, down]: readonly [boolean, boolean]): number {
  const [nx, ny] = [across ? 3 : 1, down ? 3 : 1];
  const runs = tiled(traces, [w, h], [nx, ny]);
  const field: XY = [nx * w, ny * h];
  const from: XY = [across ? w : 0, down ? h : 0];
  return largestGap(runs, field, { from, to: [from[0] + w, from[1] + h] });
}
