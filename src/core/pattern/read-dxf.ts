import DxfParser from 'dxf-parser';
import type { XY } from '../geometry/polygon';
import { CoreError } from '../notes';
import { arc, type Drawing, endOf, type Piece, startOf, type Stroke } from './stroke';

interface Point {
  x: number;
  y: number;
  bulge?: number;
}
/** An entity as the parser gives it; which of the fields there are depends on its type. */
interface Entity {
  type: string;
  layer?: string;
  visible?: boolean;
  inPaperSpace?: boolean;
  /** Which way is up for it: seen from behind, its x goes the other way. */
  extrusionDirectionZ?: number;
  extrusionDirection?: { z: number };
  vertices?: Point[];
  shape?: boolean;
  center?: Point;
  radius?: number;
  startAngle?: number;
  endAngle?: number;
  majorAxisEndPoint?: Point;
  axisRatio?: number;
  controlPoints?: Point[];
  degreeOfSplineCurve?: number;
  knotValues?: number[];
  fitPoints?: Point[];
  closed?: boolean;
  name?: string;
  position?: Point;
  xScale?: number;
  yScale?: number;
  rotation?: number;
  columnCount?: number;
  rowCount?: number;
  columnSpacing?: number;
  rowSpacing?: number;
}
interface Layer {
  visible?: boolean;
  frozen?: boolean;
}
interface Block {
  entities?: Entity[];
  position?: Point;
}

/** Inches of a unit, by the number the file's header names it with. */
const UNIT_IN: Record<number, number> = { 1: 1, 2: 12, 4: 1 / 25.4, 5: 1 / 2.54, 6: 1000 / 25.4 };
const FULL = 2 * Math.PI;
/** Points a span of a free curve is drawn with. */
const PER_SPAN = 16;
const MOST_NESTED = 8;
/** Copies of a block put in as rows and columns. */
const MOST_COPIES = 10_000;

type Place = (p: XY) => XY;

/**
 * The lines of a DXF drawing in the order they stand in the file: lines, polylines with their bulges, arcs, circles,
 * ellipses, free curves, and blocks put in. Layers that are off or frozen and what lies on a sheet are left out; what else it holds (text, measures, hatching) is not sewn.
 * @throws CoreError `not-a-drawing` when it cannot be read or holds no line.
 */
export function readDxf(text: string): Drawing {
  let read: ReturnType<DxfParser['parseSync']>;
  try {
    read = new DxfParser().parseSync(text);
  } catch {
    throw new CoreError('not-a-drawing', 'This is no DXF that can be read.', 'dxf');
  }
  if (!read) throw new CoreError('not-a-drawing', 'This is no DXF that can be read.', 'dxf');
  const blocks = read.blocks as unknown as Record<string, Block>;
  const layers = (read.tables?.layer?.layers ?? {}) as unknown as Record<string, Layer>;
  const isDrawn = ({ visible, inPaperSpace, layer }: Entity) => {
    const on = layers[layer ?? ''];
    return visible !== false && !inPaperSpace && on?.visible !== false && !on?.frozen;
  };
  const collect = (entities: readonly Entity[], outer: Place, depth: number): Stroke[] =>
    entities.filter(isDrawn).flatMap((e) => {
      const fromBehind = (e.extrusionDirectionZ ?? e.extrusionDirection?.z ?? 1) < 0 && e.type !== 'LINE';
      const place: Place = fromBehind ? ([x, y]) => outer([-x, y]) : outer;
      const block = e.type === 'INSERT' && depth < MOST_NESTED ? blocks[e.name ?? ''] : undefined;
      if (block?.entities) {
        const inside = block.entities;
        return copiesOf(e).flatMap((at) => collect(inside, into(place, e, block, at), depth + 1));
      }
      const pieces = piecesOf(e).filter((p) => p.length === 4 || apartAtAll(p[0], p[1]));
      if (pieces.length === 0) return [];
      return [{ pieces: pieces.map((p) => p.map(place) as unknown as Piece), closed: isClosed(e, pieces) }];
    });
  // A drawing’s y goes up, a quilt’s down.
  const strokes = collect(read.entities as unknown as Entity[], ([x, y]) => [x, -y], 0);
  if (strokes.length === 0)
    throw new CoreError('not-a-drawing', 'This DXF holds no line that can be sewn.', 'dxf');
  return { strokes, unitIn: UNIT_IN[Number(read.header?.$INSUNITS)] ?? null };
}

const xy = (p: Point): XY => [p.x, p.y];
const apartAtAll = (a: XY, b: XY) => a[0] !== b[0] || a[1] !== b[1];

/** A block may be put in as rows and columns: how far each copy is moved, before it is turned. */
function copiesOf(e: Entity): XY[] {
  const [across, down] = [Math.max(1, e.columnCount ?? 1), Math.max(1, e.rowCount ?? 1)];
  if (across * down > MOST_COPIES)
    throw new CoreError('not-a-drawing', `This DXF repeats a block more than ${MOST_COPIES} times.`, 'dxf');
  return Array.from({ length: across * down }, (_, k): XY => [
    (k % across) * (e.columnSpacing ?? 0),
    Math.floor(k / across) * (e.rowSpacing ?? 0),
  ]);
}

/** Where a block put in comes to lie. */
function into(place: Place, e: Entity, block: Block, [dx, dy]: XY): Place {
  const [cos, sin] = [
    Math.cos(((e.rotation ?? 0) * Math.PI) / 180),
    Math.sin(((e.rotation ?? 0) * Math.PI) / 180),
  ];
  const base = block.position ?? { x: 0, y: 0 };
  return ([x, y]) => {
    const [u, v] = [(x - base.x) * (e.xScale ?? 1) + dx, (y - base.y) * (e.yScale ?? 1) + dy];
    return place([(e.position?.x ?? 0) + u * cos - v * sin, (e.position?.y ?? 0) + u * sin + v * cos]);
  };
}

function isClosed(e: Entity, pieces: readonly Piece[]): boolean {
  if (e.type === 'CIRCLE' || e.shape) return true;
  const [a, b] = [startOf(pieces[0]!), endOf(pieces.at(-1)!)];
  return pieces.length > 2 && Math.hypot(a[0] - b[0], a[1] - b[1]) < 1e-9;
}

function piecesOf(e: Entity): Piece[] {
  switch (e.type) {
    case 'LINE':
      return e.vertices?.length === 2 ? [[xy(e.vertices[0]!), xy(e.vertices[1]!)]] : [];
    case 'LWPOLYLINE':
    case 'POLYLINE': {
      const v = e.vertices ?? [];
      return v.flatMap((p, i) => {
        const q = v[i + 1] ?? (e.shape ? v[0] : undefined);
        return q ? bulged(xy(p), xy(q), p.bulge ?? 0) : [];
      });
    }
    case 'CIRCLE':
      return arc(xy(e.center!), [e.radius!, e.radius!], 0, FULL);
    case 'ARC': {
      const [from, to] = [e.startAngle!, e.endAngle!];
      return arc(xy(e.center!), [e.radius!, e.radius!], from, to > from ? to : to + FULL);
    }
    case 'ELLIPSE': {
      const major = e.majorAxisEndPoint!;
      const long = Math.hypot(major.x, major.y);
      const [from, to] = [e.startAngle ?? 0, e.endAngle ?? FULL];
      const turn = Math.atan2(major.y, major.x);
      return arc(xy(e.center!), [long, long * (e.axisRatio ?? 1)], from, to > from ? to : to + FULL, turn);
    }
    case 'SPLINE':
      return spline(e);
    default:
      return [];
  }
}

/** A side of a polyline: straight, or an arc whose bulge is the tangent of a quarter of its angle. */
function bulged(a: XY, b: XY, bulge: number): Piece[] {
  if (Math.abs(bulge) < 1e-9) return [[a, b]];
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  // The centre lies off the middle of the chord, to the left of a turn against the clock.
  const off = (1 - bulge * bulge) / (4 * bulge);
  const centre: XY = [(a[0] + b[0]) / 2 - dy * off, (a[1] + b[1]) / 2 + dx * off];
  const radius = Math.hypot(a[0] - centre[0], a[1] - centre[1]);
  const from = Math.atan2(a[1] - centre[1], a[0] - centre[0]);
  return arc(centre, [radius, radius], from, from + 4 * Math.atan(bulge));
}

/** A free curve as short lines through it (de Boor). */
function spline({
  controlPoints: c = [],
  degreeOfSplineCurve: degree = 3,
  knotValues: knots = [],
  fitPoints = [],
  closed = false,
}: Entity): Piece[] {
  if (c.length === 0) return through(fitPoints.map(xy), closed);
  if (c.length <= degree || knots.length < c.length + degree + 1) return [];
  const at = (t: number): XY => {
    let k = degree;
    while (k < c.length - 1 && t >= knots[k + 1]!) k++;
    const d = c.slice(k - degree, k + 1).map(xy);
    for (let r = 1; r <= degree; r++)
      for (let j = degree; j >= r; j--) {
        const [low, high] = [knots[j + k - degree]!, knots[j + 1 + k - r]!];
        const w = high > low ? (t - low) / (high - low) : 0;
        const [p, q] = [d[j - 1]!, d[j]!];
        d[j] = [p[0] + w * (q[0] - p[0]), p[1] + w * (q[1] - p[1])];
      }
    return d[degree]!;
  };
  const [from, to] = [knots[degree]!, knots[c.length]!];
  const n = PER_SPAN * Math.max(1, c.length - degree);
  const points = Array.from({ length: n + 1 }, (_, i) => at(from + ((to - from) * i) / n));
  return points.slice(1).map((p, i): Piece => [points[i]!, p]);
}

/** A curve given only by the points it runs through (Catmull and Rom, 1974). */
function through(p: readonly XY[], closed: boolean): Piece[] {
  const n = p.length;
  const at = (i: number) => p[closed ? (i + n) % n : Math.min(n - 1, Math.max(0, i))]!;
  const third = (a: XY, from: XY, to: XY, way: number): XY => [
    a[0] + (way * (to[0] - from[0])) / 6,
    a[1] + (way * (to[1] - from[1])) / 6,
  ];
  return Array.from({ length: Math.max(0, closed ? n : n - 1) }, (_, i): Piece => [
    at(i),
    third(at(i), at(i - 1), at(i + 1), 1),
    third(at(i + 1), at(i), at(i + 2), -1),
    at(i + 1),
  ]);
}
