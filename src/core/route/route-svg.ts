import type { XY } from '../geometry/polygon';
import type { PassRoute } from './zone-routes';

const round = (v: number) => Number(v.toFixed(3));
/** A polyline as a path's d. */
export const pathOf = (points: readonly XY[]): string =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${round(x)} ${round(y)}`).join('');

/** A place along a line and the way it goes there. */
export interface Arrow {
  at: XY;
  /** Degrees, 0 to the right, clockwise. */
  angle: number;
}

/** Arrows along a path, one every so many inches and one at least. */
export function arrowsOf(points: readonly XY[], everyIn: number): Arrow[] {
  const out: Arrow[] = [];
  let next = everyIn / 2;
  let gone = 0;
  const whole = points
    .slice(1)
    .reduce((s, b, i) => s + Math.hypot(b[0] - points[i]![0], b[1] - points[i]![1]), 0);
  if (whole < everyIn) next = whole / 2;
  points.slice(1).forEach((b, i) => {
    const a = points[i]!;
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    while (length > 0 && next <= gone + length) {
      const u = (next - gone) / length;
      out.push({
        at: [a[0] + u * (b[0] - a[0]), a[1] + u * (b[1] - a[1])],
        angle: (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI,
      });
      next += everyIn;
    }
    gone += length;
  });
  return out;
}

/** Routes as an SVG file at full size, one inch a unit; each pass a group, each path numbered. */
export function routeSvg(
  quilt: { name: string; widthIn: number; lengthIn: number },
  routes: readonly (PassRoute & { zone: string })[],
): string {
  const text = (s: string) =>
    s.replace(/[&<>"]/gu, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!);
  const groups = routes.map(
    (r) =>
      `<g id="pass-${r.pass}-${text(r.zone)}">${r.paths
        .map((p, i) => {
          const [x, y] = p.points[0]!;
          return `<path d="${pathOf(p.points)}"/><text x="${round(x)}" y="${round(y)}">${i + 1}</text>`;
        })
        .join('')}</g>`,
  );
  const { widthIn: w, lengthIn: l } = quilt;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}in" height="${l}in" viewBox="0 0 ${w} ${l}">`,
    `<title>${text(quilt.name)}: the way round its lines</title>`,
    `<rect width="${w}" height="${l}" fill="none" stroke="#999" stroke-width="0.05"/>`,
    `<g fill="none" stroke="#000" stroke-width="0.08" font-size="0.8">`,
    ...groups,
    `</g></svg>`,
  ].join('\n');
}
