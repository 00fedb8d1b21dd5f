import * as clip from 'polyclip-ts';
import { attempt, CoreError } from '../notes';
import { checkMap } from './limits';
import { areaOf, boundsOf, type MultiPolygon, type Polygon, rect, type Ring, type XY } from './polygon';

/** A zone as the map editor moves it. */
export interface MapZone {
  /** Stored zones keep their id; new ones begin with “new-”. */
  id: string;
  letter: string;
  name: string;
  geometry: MultiPolygon;
  /** The stored zone a new one was cut from: it begins with the same work and cloths. */
  from?: string;
}

type Closed = [number, number][][][];
/** The clipping package closes its rings by repeating the first point; ours do not. */
const close = (shape: MultiPolygon): Closed =>
  shape.map((p) => p.map((ring) => [...ring, ring[0]!].map(([x, y]) => [x, y] as [number, number])));
const open = (shape: Closed): MultiPolygon => shape.map((p) => p.map((ring) => tidy(ring.slice(0, -1))));

const HAIR_IN = 1e-6;
const same = (a: XY, b: XY) => Math.abs(a[0] - b[0]) < HAIR_IN && Math.abs(a[1] - b[1]) < HAIR_IN;
const round = (v: number) => Math.round(v * 1e4) / 1e4;
/** Points to a ten-thousandth of an inch, without doubles. */
const tidy = (ring: readonly XY[]): Ring => {
  const points = ring.map(([x, y]): XY => [round(x), round(y)]);
  return points.filter((p, i) => !same(p, points[(i + 1) % points.length]!));
};

/** To the nearest step, inches. */
export const snap = (value: number, stepIn: number): number => Math.round(value / stepIn) * stepIn;

/** Zones that do not move stay the very same objects, so that only those that do are drawn again. */
const mapPoints = (zones: readonly MapZone[], move: (p: XY) => XY): MapZone[] =>
  zones.map((z) => {
    let moved = false;
    const geometry = z.geometry.map((poly) =>
      poly.map((ring) =>
        ring.map((p) => {
          const to = move(p);
          moved ||= to !== p;
          return to;
        }),
      ),
    );
    return moved ? { ...z, geometry } : z;
  });

/** A corner and every corner of other zones that lies on it, moved together, so that no hole opens. */
export const moveCorner = (zones: readonly MapZone[], from: XY, to: XY): MapZone[] =>
  mapPoints(zones, (p) => (same(p, from) ? to : p));

/** Whether a point lies on the straight edge between two others. */
function onEdge([px, py]: XY, [ax, ay]: XY, [bx, by]: XY): boolean {
  const length = Math.hypot(bx - ax, by - ay);
  if (length === 0) return false;
  const off = Math.abs((bx - ax) * (py - ay) - (by - ay) * (px - ax)) / length;
  const along = ((px - ax) * (bx - ax) + (py - ay) * (by - ay)) / length;
  return off < 1e-4 && along > -1e-4 && along < length + 1e-4;
}

/** An edge, and everything of other zones that lies along it, moved by a distance. */
export const moveEdge = (zones: readonly MapZone[], a: XY, b: XY, by: XY): MapZone[] =>
  mapPoints(zones, (p) => (onEdge(p, a, b) ? [p[0] + by[0], p[1] + by[1]] : p));

/** What a straight cut through two points leaves on either side of a zone; null when it does not cut it. */
export function cutZone(
  shape: MultiPolygon,
  [ax, ay]: XY,
  [bx, by]: XY,
): [MultiPolygon, MultiPolygon] | null {
  const length = Math.hypot(bx - ax, by - ay);
  if (length < HAIR_IN) return null;
  const far = 1e4;
  const [ux, uy] = [(bx - ax) / length, (by - ay) / length];
  const side: Polygon = [
    [
      [ax - ux * far, ay - uy * far],
      [bx + ux * far, by + uy * far],
      [bx + ux * far - uy * far, by + uy * far + ux * far],
      [ax - ux * far - uy * far, ay - uy * far + ux * far],
    ],
  ];
  const left = open(clip.intersection(close(shape), close([side])));
  const right = open(clip.difference(close(shape), close([side])));
  return left.length > 0 && right.length > 0 && areaOf(left) > 0.01 && areaOf(right) > 0.01
    ? [left, right]
    : null;
}

/** Several zones as one, the first's name and letter kept. */
export function mergeZones(zones: readonly MapZone[], ids: readonly string[]): MapZone[] {
  const [first, ...rest] = zones.filter((z) => ids.includes(z.id));
  if (!first || rest.length === 0) return [...zones];
  const geometry = open(clip.union(close(first.geometry), ...rest.map((z) => close(z.geometry))));
  return zones
    .filter((z) => z === first || !ids.includes(z.id))
    .map((z) => (z === first ? { ...z, geometry } : z));
}

/**
 * A new zone drawn over the others: what lies beyond the quilt is cut off, and what lay under it is taken from the
 * zones there; zones that vanish leave the map.
 * @throws CoreError `no-area` when nothing of it lies on the quilt.
 */
export function drawZone(
  zones: readonly MapZone[],
  shape: MultiPolygon,
  quilt: { widthIn: number; lengthIn: number },
  fresh: Pick<MapZone, 'id' | 'letter' | 'name'>,
): MapZone[] {
  const inside = open(
    clip.intersection(clip.union(close(shape)), close([[rect(0, 0, quilt.widthIn, quilt.lengthIn)]])),
  );
  if (inside.length === 0 || areaOf(inside) < 0.01)
    throw new CoreError('no-area', 'Nothing of that shape lies on the quilt.', 'shape');
  let under: { id: string; area: number } | null = null;
  const left = zones.flatMap((z) => {
    if (apart(z.geometry, inside)) return [z];
    const geometry = open(clip.difference(close(z.geometry), close(inside)));
    const taken = areaOf(z.geometry) - areaOf(geometry);
    if (taken > (under?.area ?? 0)) under = { id: z.from ?? z.id, area: taken };
    return geometry.length === 0 || areaOf(geometry) < 0.01 ? [] : [{ ...z, geometry }];
  });
  return [...left, { ...fresh, geometry: inside, from: (under as { id: string } | null)?.id }];
}

/** A shape repeated in columns and rows at a pitch, as one zone. */
export const repeatShape = (
  shape: MultiPolygon,
  columns: number,
  rows: number,
  dx: number,
  dy: number,
): MultiPolygon =>
  Array.from({ length: columns * rows }, (_, i) => [i % columns, Math.floor(i / columns)] as const).flatMap(
    ([c, r]) => shape.map((p) => p.map((ring) => ring.map(([x, y]): XY => [x + c * dx, y + r * dy]))),
  );

function apart(a: MultiPolygon, b: MultiPolygon): boolean {
  const [p, q] = [boundsOf(a), boundsOf(b)];
  return p.x1 <= q.x0 || q.x1 <= p.x0 || p.y1 <= q.y0 || q.y1 <= p.y0;
}

export interface Coverage {
  /** Square inches that lie in two zones, in none, or beyond the quilt. */
  overlapIn2: number;
  holeIn2: number;
  beyondIn2: number;
}

/** Whether the zones cover the quilt once and only once. */
export function coverage(
  zones: readonly Pick<MapZone, 'geometry'>[],
  quilt: { widthIn: number; lengthIn: number },
): Coverage {
  const whole = quilt.widthIn * quilt.lengthIn;
  if (zones.length === 0) return { overlapIn2: 0, holeIn2: whole, beyondIn2: 0 };
  const [first, ...rest] = zones.map((z) => close(z.geometry));
  const union = clip.union(first!, ...rest);
  const all = areaOf(open(union));
  const inside = areaOf(open(clip.intersection(union, close([[rect(0, 0, quilt.widthIn, quilt.lengthIn)]]))));
  const sum = zones.reduce((s, z) => s + areaOf(z.geometry), 0);
  return {
    overlapIn2: Math.max(0, sum - all),
    holeIn2: Math.max(0, whole - inside),
    beyondIn2: Math.max(0, all - inside),
  };
}

/** What is wrong with a map, in words: more than a map takes, tangled, or not covering its quilt once; else null. */
export function mapProblem(
  zones: readonly Pick<MapZone, 'geometry'>[],
  quilt: { widthIn: number; lengthIn: number },
): string | null {
  const refused = attempt(() => (checkMap(zones), null));
  return typeof refused === 'string' ? refused : coverageProblem(coverage(zones, quilt), quilt);
}

/** What is said of a map that does not cover its quilt; null when it does, to a twentieth of a square inch and a thousandth of its area. */
export function coverageProblem(c: Coverage, quilt: { widthIn: number; lengthIn: number }): string | null {
  const allowed = Math.max(0.05, 0.0005 * quilt.widthIn * quilt.lengthIn);
  const in2 = (n: number) => `${n < 10 ? n.toFixed(1) : Math.round(n)} in²`;
  if (c.beyondIn2 > allowed) return `${in2(c.beyondIn2)} of the zones lie beyond the quilt’s edge.`;
  if (c.overlapIn2 > allowed) return `Zones overlap by ${in2(c.overlapIn2)}.`;
  if (c.holeIn2 > allowed) return `${in2(c.holeIn2)} of the quilt belong to no zone.`;
  return null;
}
