import type { MultiPolygon, XY } from '../geometry/polygon';
import { freeEndsOf, inBand, type Line, type LineKind, linesOf } from './lines';
import { route } from './route';

/** The way round a zone's lines in one pass. */
export interface PassRoute {
  /** From 1. */
  pass: number;
  /** Each without lifting, inches. */
  paths: { points: XY[] }[];
  starts: number;
  /** Ends that run off the quilt's edge and need no tie-off. */
  freeEnds: number;
  sewnIn: number;
  againIn: number;
  exact: boolean;
}

export interface ZoneRoutesRequest {
  geometry: MultiPolygon;
  kind: LineKind;
  /** How wide an arc is, inches; as wide as its edge where it is not said. */
  chordIn?: number;
  quilt: { widthIn: number; lengthIn: number };
  /** From and to of each pass, inches, and the axis they lie along (0: x, 1: y). */
  bands: readonly (readonly [number, number])[];
  axis: 0 | 1;
  /** What a start costs, inches of sewing. */
  startCostIn?: number;
}

const SAME_IN = 0.06;
const near = (a: XY, b: XY) => Math.hypot(a[0] - b[0], a[1] - b[1]) < SAME_IN;

/** Ends of paths that lie where an end is free. */
export const freeEndsIn = (paths: readonly { points: readonly XY[] }[], free: readonly XY[]): number =>
  paths.flatMap(({ points }) => [points[0]!, points.at(-1)!]).filter((end) => free.some((f) => near(f, end)))
    .length;

/** The way round some lines of one pass; null where none lies in it. */
export function passRoute(
  lines: readonly Line[],
  pass: number,
  quilt: ZoneRoutesRequest['quilt'],
  startCostIn?: number,
): PassRoute | null {
  if (lines.length === 0) return null;
  const free = freeEndsOf(lines, quilt);
  const { paths, starts, sewnIn, againIn, exact } = route({ edges: lines, startCostIn, freeEnds: free });
  return { pass, paths, starts, freeEnds: freeEndsIn(paths, free), sewnIn, againIn, exact };
}

/**
 * The way round a zone's lines without lifting, pass by pass: passes meet at the border of the band.
 * @example zoneRoutes({ geometry: [[rect(4, 4, 8, 8)]], kind: 'edges', quilt: { widthIn: 40, lengthIn: 40 }, bands: [[0, 40]], axis: 1 })[0].starts // 1
 */
export function zoneRoutes({
  geometry,
  kind,
  chordIn,
  quilt,
  bands,
  axis,
  startCostIn,
}: ZoneRoutesRequest): PassRoute[] {
  const lines = linesOf(geometry, kind, quilt, chordIn);
  return bands.flatMap(([from, to], i) => {
    const found = passRoute(inBand(lines, axis, from, to, i === bands.length - 1), i + 1, quilt, startCostIn);
    return found ? [found] : [];
  });
}

/** Length of a zone's lines, each once, inches. */
export const linesLengthIn = (lines: readonly Line[]): number =>
  lines.reduce((sum, { a, b }) => sum + Math.hypot(b[0] - a[0], b[1] - a[1]), 0);
