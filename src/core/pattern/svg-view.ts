/** Where a view stands that is smaller than what it shows: at its beginning, its middle or its end. */
const SHARE = { Min: 0, Mid: 0.5, Max: 1 } as const;
type Place = keyof typeof SHARE;

const numbers = (text: string | undefined) =>
  (text ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
const length = (text: string | undefined) => {
  const n = /%\s*$/.test(text ?? '') ? Number.NaN : Number.parseFloat(text ?? '');
  return Number.isFinite(n) ? n : null;
};

/**
 * What the view of an inner `svg` or of a `symbol` does to what is drawn in it: moved to its place, and scaled so that
 * its view box fits (SVG 2, §8.2 and §8.9). @param a its attributes. @returns a transform in SVG's words.
 */
export function viewTransform(a: Readonly<Record<string, string>>): string {
  const place = `translate(${length(a.x) ?? 0} ${length(a.y) ?? 0})`;
  const [x, y, w, h] = numbers(a.viewBox);
  if (!(w! > 0 && h! > 0)) return place;
  const [width, height] = [length(a.width) ?? w!, length(a.height) ?? h!];
  const [sx, sy] = [width / w!, height / h!];
  const how = a.preserveAspectRatio ?? '';
  if (/none/.test(how)) return `${place} scale(${sx} ${sy}) translate(${-x!} ${-y!})`;
  const s = /slice/.test(how) ? Math.max(sx, sy) : Math.min(sx, sy);
  const [, across = 'Mid', down = 'Mid'] = /x(Min|Mid|Max)Y(Min|Mid|Max)/.exec(how) ?? [];
  const rest = [(width - w! * s) * SHARE[across as Place], (height - h! * s) * SHARE[down as Place]];
  return `${place} translate(${rest[0]} ${rest[1]}) scale(${s}) translate(${-x!} ${-y!})`;
}
