import { type MultiPolygon } from '../geometry/polygon';
import { type Edge, type Seam, seamsOf } from '../geometry/neighbours';

export interface Neighbour {
  id: string;
  /** Length of seam between the two, inches. */
  seamIn: number;
  /** This zone's line density over the neighbour's: above 1 it is the denser of the two. */
  ratio: number;
  /** Within the evenness limit, either way round. */
  even: boolean;
  /** The seam itself, as straight pieces in inches. */
  edges: Edge[];
}

/**
 * How each zone's line density stands to those beside it: a zone much denser than its neighbour draws in and lets
 * the open one bubble, wherever the two share a seam. Densities above 0; limit at least 1.
 */
export function neighbourDensities(
  zones: readonly { id: string; geometry: MultiPolygon; lineDensity: number }[],
  limit: number,
  seams: readonly Seam[] = seamsOf(zones),
): ReadonlyMap<string, Neighbour[]> {
  const density = new Map(zones.map((z) => [z.id, z.lineDensity]));
  const found = new Map<string, Neighbour[]>(zones.map((z) => [z.id, []]));
  for (const { a, b, lengthIn, edges } of seams)
    for (const [here, there] of [
      [a, b],
      [b, a],
    ] as const) {
      const ratio = density.get(here)! / density.get(there)!;
      found.get(here)!.push({
        id: there,
        seamIn: lengthIn,
        ratio,
        even: Math.max(ratio, 1 / ratio) <= limit + 1e-9,
        edges,
      });
    }
  for (const list of found.values())
    list.sort((x, y) => Math.abs(Math.log(y.ratio)) - Math.abs(Math.log(x.ratio)));
  return found;
}
