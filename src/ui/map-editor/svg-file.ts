import svgpath from 'svgpath';
import type { MapZone } from '@/core/geometry/edit';
import { checkMap, MOST } from '@/core/geometry/limits';
import { attempt } from '@/core/notes';
import { edgeLength, type MultiPolygon, type XY } from '@/core/geometry/polygon';
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
/** Straight pieces a curve is parted into. */
const CURVE_STEPS = 16;

/** The closed shapes of an SVG file as zones, scaled from its own size to the quilt's; or why it cannot be read. */
export function svgToZones(source: string, quilt: { widthIn: number; lengthIn: number }): MapZone[] | string {
  if (source.length > MOST_LETTERS) return 'This file is too large for a map.';
  const doc = new DOMParser().parseFromString(source, 'image/svg+xml');
  const root = doc.documentElement;
  if (doc.querySelector('parsererror') || root.tagName.toLowerCase() !== 'svg')
    return 'This file is not SVG.';
  const box = (root.getAttribute('viewBox') ?? '').split(/[\s,]+/).map(Number);
  const [vx, vy, vw, vh] =
    box.length === 4 && box.every(Number.isFinite)
      ? box
      : [0, 0, parseFloat(root.getAttribute('width') ?? ''), parseFloat(root.getAttribute('height') ?? '')];
  if (!vw || !vh || !Number.isFinite(vw) || !Number.isFinite(vh))
    return 'This file does not say how large it is (viewBox).';
  const fit = ([x, y]: XY): XY => [((x - vx!) / vw) * quilt.widthIn, ((y - vy!) / vh) * quilt.lengthIn];
  const zones: MapZone[] = [];
  const shapes = root.querySelectorAll('path, polygon, rect');
  if (shapes.length > MOST.zones)
    return `This file has ${shapes.length} shapes; a map takes ${MOST.zones} zones. Join those that are sewn alike.`;
  for (const el of shapes) {
    const d = pathOf(el);
    if (!d) continue;
    const geometry: MultiPolygon = ringsOf(d).map((ring) => [ring.map(fit)]);
    if (geometry.length === 0 || edgeLength(geometry) < 0.1) continue;
    const n = zones.length;
    const name = el.querySelector('title')?.textContent?.trim() || el.getAttribute('id') || `Zone ${n + 1}`;
    zones.push({ id: `new-svg-${n}`, letter: '', name: name.slice(0, 120), geometry });
  }
  if (zones.length === 0) return 'No closed shapes were found: paths, polygons or rectangles.';
  const refused = attempt(() => (checkMap(zones), null));
  return typeof refused === 'string' ? refused : zones;
}

function pathOf(el: Element): string | null {
  const n = (name: string) => Number(el.getAttribute(name) ?? 0);
  const own = el.getAttribute('transform') ?? '';
  const d =
    el.tagName === 'rect'
      ? `M${n('x')} ${n('y')}h${n('width')}v${n('height')}h${-n('width')}z`
      : el.tagName === 'polygon'
        ? `M${(el.getAttribute('points') ?? '').trim()}z`
        : el.getAttribute('d');
  return d ? svgpath(d).transform(own).abs().unarc().unshort().toString() : null;
}

/** The closed rings of a path, curves parted into straight pieces. */
function ringsOf(d: string): XY[][] {
  const rings: XY[][] = [];
  let ring: XY[] = [];
  let at: XY = [0, 0];
  const close = () => {
    if (ring.length >= 3) rings.push(ring);
    ring = [];
  };
  svgpath(d).iterate(([command, ...p]) => {
    const n = p as number[];
    const along = (f: (u: number) => XY) => {
      for (let i = 1; i <= CURVE_STEPS; i++) ring.push(f(i / CURVE_STEPS));
      at = ring.at(-1)!;
    };
    const from = at;
    switch (command) {
      case 'M':
        close();
        at = [n[0]!, n[1]!];
        ring.push(at);
        break;
      case 'L':
        at = [n[0]!, n[1]!];
        ring.push(at);
        break;
      case 'H':
        at = [n[0]!, at[1]];
        ring.push(at);
        break;
      case 'V':
        at = [at[0], n[0]!];
        ring.push(at);
        break;
      case 'C':
        along(
          (u) => [0, 1].map((k) => cubic(u, from[k as 0 | 1], n[k]!, n[k + 2]!, n[k + 4]!)) as unknown as XY,
        );
        break;
      case 'Q':
        along(
          (u) =>
            [0, 1].map(
              (k) => (1 - u) ** 2 * from[k as 0 | 1] + 2 * (1 - u) * u * n[k]! + u ** 2 * n[k + 2]!,
            ) as unknown as XY,
        );
        break;
      case 'Z':
      case 'z':
        close();
        break;
    }
  });
  close();
  return rings;
}

const cubic = (u: number, a: number, b: number, c: number, d: number) =>
  (1 - u) ** 3 * a + 3 * (1 - u) ** 2 * u * b + 3 * (1 - u) * u ** 2 * c + u ** 3 * d;
