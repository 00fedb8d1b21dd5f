import type { MapZone } from '@/core/geometry/edit';
import { checkMap, MOST } from '@/core/geometry/limits';
import { attempt } from '@/core/notes';
import { edgeLength, type MultiPolygon, type XY } from '@/core/geometry/polygon';
import { readShapes } from '@/core/pattern/read-svg';
import { trace } from '@/core/pattern/trace';
import { zonePath } from '@/ui/quilt-map/outline';

/** A map as an SVG file, one unit an inch; each zone a path with its name as title. */
export function mapToSvg(
  zones: readonly (MapZone & { hex?: string })[],
  quilt: { name: string; widthIn: number; lengthIn: number },
): string {
  const text = (s: string) => s.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);
  const paths = zones.map(
    (z) =>
      `  <path id="${text(z.letter)}" fill="${z.hex ?? '#d8cfbb'}" fill-rule="evenodd" stroke="#20262b" stroke-width="0.1" d="${zonePath(z.geometry)}"><title>${text(z.name)}</title></path>`,
  );
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${quilt.widthIn}in" height="${quilt.lengthIn}in" viewBox="0 0 ${quilt.widthIn} ${quilt.lengthIn}">\n  <title>${text(quilt.name)}</title>\n${paths.join('\n')}\n</svg>\n`;
}

const MOST_LETTERS = 2_000_000;
/** How far a straight piece may leave its curve, inches on the quilt: far less than a line of stitching. */
const CURVE_IN = 0.02;

/** The closed shapes of an SVG file as zones, scaled from its own size to the quilt's; or why it cannot be read. */
export function svgToZones(source: string, quilt: { widthIn: number; lengthIn: number }): MapZone[] | string {
  if (source.length > MOST_LETTERS) return 'This file is too large for a map.';
  const read = attempt(() => readShapes(source));
  if (typeof read === 'string') return read;
  const { shapes, view } = read;
  if (!view) return 'This file does not say how large it is (viewBox).';
  if (shapes.length > MOST.zones)
    return `This file has ${shapes.length} shapes; a map takes ${MOST.zones} zones. Join those that are sewn alike.`;
  const [vx, vy, vw, vh] = view;
  const fit = ([x, y]: XY): XY => [((x - vx) / vw) * quilt.widthIn, ((y - vy) / vh) * quilt.lengthIn];
  const tolerance = CURVE_IN * Math.min(vw / quilt.widthIn, vh / quilt.lengthIn);
  const zones: MapZone[] = [];
  for (const shape of shapes) {
    const geometry: MultiPolygon = shape.strokes
      .map((s) => openRing(trace(s, tolerance).points))
      .filter((ring) => ring.length >= 3)
      .map((ring) => [ring.map(fit)]);
    if (geometry.length === 0 || edgeLength(geometry) < 0.1) continue;
    const n = zones.length;
    const name = shape.name ?? `Zone ${n + 1}`;
    zones.push({ id: `new-svg-${n}`, letter: '', name: name.slice(0, 120), geometry });
  }
  if (zones.length === 0) return 'No closed shapes were found: paths, polygons, rectangles or circles.';
  const refused = attempt(() => (checkMap(zones), null));
  return typeof refused === 'string' ? refused : zones;
}

/** A ring closes itself: the first point does not stand at its end again. */
function openRing(points: readonly XY[]): XY[] {
  const [first, last] = [points[0]!, points.at(-1)!];
  const closed = points.length > 1 && Math.hypot(first[0] - last[0], first[1] - last[1]) < 1e-9;
  return closed ? points.slice(0, -1) : [...points];
}
