/** Points in inches from the quilt's top left corner, x to the right and y down. */
export type XY = readonly [number, number];
/** A closed ring of points; the last is joined to the first. */
export type Ring = readonly XY[];
/** An outer ring and its holes. */
export type Polygon = readonly Ring[];
export type MultiPolygon = readonly Polygon[];

/** Area a ring encloses, in the square of its unit (shoelace formula). */
export const ringArea = (ring: Ring): number =>
  Math.abs(
    ring.reduce((sum, [x, y], i) => {
      const [nx, ny] = ring[(i + 1) % ring.length]!;
      return sum + x * ny - nx * y;
    }, 0),
  ) / 2;

/** Area of polygons less their holes. Polygons must not overlap. */
export const areaOf = (shape: MultiPolygon): number =>
  shape.reduce(
    (sum, [outer, ...holes]) =>
      sum + ringArea(outer ?? []) - holes.reduce((h, ring) => h + ringArea(ring), 0),
    0,
  );

/** Length of all edges, holes included. */
export const edgeLength = (shape: MultiPolygon): number =>
  shape.flat().reduce(
    (sum, ring) =>
      sum +
      ring.reduce((l, [x, y], i) => {
        const [nx, ny] = ring[(i + 1) % ring.length]!;
        return l + Math.hypot(nx - x, ny - y);
      }, 0),
    0,
  );

/** Whether a point lies inside (even-odd rule); points on an edge may go either way. */
export function contains(shape: MultiPolygon, [px, py]: XY): boolean {
  let inside = false;
  for (const polygon of shape)
    for (const ring of polygon) {
      if (ring.length === 0) continue;
      let from = ring[ring.length - 1]!;
      for (const to of ring) {
        const yi = to[1];
        const yj = from[1];
        if (yi > py !== yj > py && px < ((from[0] - to[0]) * (py - yi)) / (yj - yi) + to[0]) inside = !inside;
        from = to;
      }
    }
  return inside;
}

/** Distance from a point to a straight edge, in their unit. */
export function edgeDistance([px, py]: XY, [ax, ay]: XY, [bx, by]: XY): number {
  const [dx, dy] = [bx - ax, by - ay];
  const u = Math.max(0, Math.min(1, ((px - ax) * dx + (py - ay) * dy) / (dx * dx + dy * dy || 1)));
  const ex = px - ax - u * dx;
  const ey = py - ay - u * dy;
  return Math.sqrt(ex * ex + ey * ey);
}

/** The smallest upright rectangle round a shape. */
export function boundsOf(shape: MultiPolygon): { x0: number; y0: number; x1: number; y1: number } {
  const points = shape.flat(2);
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  return { x0: Math.min(...xs), y0: Math.min(...ys), x1: Math.max(...xs), y1: Math.max(...ys) };
}

/** A rectangle as a ring. */
export const rect = (x: number, y: number, w: number, h: number): Ring => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
];
