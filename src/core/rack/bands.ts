import { areaOf, type MultiPolygon } from '../geometry/polygon';

/** Stands in where no colour is known. */
const UNDYED = '#e6e2d6';

/** A quilt's colours as bands on its spool, by metres of top thread; before matching, its own fabrics stand in. */
export function spoolBands(
  topM: ReadonlyMap<string, number>,
  cones: ReadonlyMap<string, { hex: string | null }>,
  zones: readonly { geometry: MultiPolygon; fabrics: readonly { hex: string | null }[] }[],
): { hex: string; share: number }[] {
  const metres = [...topM].map(([id, m]) => ({ hex: cones.get(id)?.hex ?? UNDYED, m }));
  const source =
    metres.length > 0
      ? metres
      : zones.flatMap((z) =>
          z.fabrics.slice(0, 1).map((f) => ({ hex: f.hex ?? UNDYED, m: areaOf(z.geometry) })),
        );
  const byHex = new Map<string, number>();
  for (const s of source) byHex.set(s.hex, (byHex.get(s.hex) ?? 0) + s.m);
  const sum = [...byHex.values()].reduce((a, b) => a + b, 0) || 1;
  return [...byHex]
    .map(([hex, m]) => ({ hex, share: m / sum }))
    .sort((a, b) => b.share - a.share)
    .slice(0, 5);
}
