import { boundsOf, type MultiPolygon } from '../geometry/polygon';
import { blockWay } from '../route/block-way';
import { linesOf } from '../route/lines';
import { linesLengthIn, type PassRoute, zoneRoutes } from '../route/zone-routes';
import type { Technique } from '../tables/techniques';

/**
 * How a zone is got round: where its lines can be followed, the route of each pass; else a start in a pass for each run of
 * pieces that touch one another, for the hand goes on through their seams.
 */
export interface WayThrough {
  routes: PassRoute[];
  starts: number;
  /** Ends at the quilt's own edge, which cost nothing. */
  freeEnds: number;
  /** Share of its lines that is sewn a second time on the way; null where no way is known. */
  againShare: number | null;
}

interface Laid {
  quilt: { widthIn: number; lengthIn: number };
  bands: readonly (readonly [number, number])[];
  axis: 0 | 1;
}
type Mapped = {
  geometry: MultiPolygon;
  lengthIn?: number;
  spacingIn?: number;
  /** Starts of a pattern that is laid in it, counted there. */
  patternStarts?: number;
};

/** Less of a piece in a pass is no work of its own, inches. */
const LEAST_IN = 0.25;

const ways = new WeakMap<MultiPolygon, Map<string, WayThrough>>();

/** The way through a zone. What was found for a shape is kept with it: a page asks for it more than once. */
export function wayThrough(z: Mapped, t: Pick<Technique, 'routed' | 'leftOpen'>, laid: Laid): WayThrough {
  const key = JSON.stringify([
    t.routed,
    t.leftOpen,
    t.routed === 'arcs' ? z.spacingIn : 0,
    z.patternStarts ?? null,
    laid,
  ]);
  const kept = ways.get(z.geometry) ?? new Map<string, WayThrough>();
  ways.set(z.geometry, kept);
  const found = kept.get(key) ?? lookFor(z, t, laid);
  kept.set(key, found);
  return found;
}

function lookFor(
  z: Mapped,
  t: Pick<Technique, 'routed' | 'leftOpen'>,
  { quilt, bands, axis }: Laid,
): WayThrough {
  if (t.leftOpen) return { routes: [], starts: 0, freeEnds: 0, againShare: null };
  if (z.patternStarts) return { routes: [], starts: z.patternStarts, freeEnds: 0, againShare: null };
  if (t.routed) {
    const routes = zoneRoutes({
      geometry: z.geometry,
      kind: t.routed,
      chordIn: z.spacingIn,
      quilt,
      bands,
      axis,
    });
    if (routes.length > 0) {
      const sum = (of: (r: PassRoute) => number) => routes.reduce((s, r) => s + of(r), 0);
      return {
        routes,
        starts: sum((r) => r.starts),
        freeEnds: sum((r) => r.freeEnds),
        againShare:
          sum((r) => r.againIn) /
          Math.max(
            1e-9,
            sum((r) => r.sewnIn - r.againIn),
          ),
      };
    }
  }
  const pieces = z.geometry.map((p) => boundsOf([p]));
  const { runs } = blockWay(z.geometry);
  const starts = bands.reduce(
    (n, [from, to]) =>
      n +
      runs.filter((run) =>
        run.some((i) => {
          const { x0, y0, x1, y1 } = pieces[i]!;
          const [low, high] = axis === 0 ? [x0, x1] : [y0, y1];
          return Math.min(high, to) - Math.max(low, from) > Math.min(LEAST_IN, (high - low) / 2);
        }),
      ).length,
    0,
  );
  return { routes: [], starts: Math.max(1, starts), freeEnds: 0, againShare: null };
}

/** Starts of a zone taken as one pass: what is known of it before its passes are. */
export const startsIn = (
  z: Mapped,
  t: Pick<Technique, 'routed' | 'leftOpen'>,
  quilt: Laid['quilt'],
): number => wayThrough(z, t, { quilt, bands: [[0, quilt.lengthIn]], axis: 1 }).starts;

const lengths = new WeakMap<MultiPolygon, number>();

/** The length of the lines of a technique that follows them: as it was given, else as the map draws them; nothing for others. */
export function lengthOfLines(
  z: Mapped,
  t: Pick<Technique, 'routed' | 'density'>,
  quilt: Laid['quilt'],
): number | undefined {
  if (z.lengthIn != null || t.routed !== 'edges' || t.density.kind !== 'own-length') return z.lengthIn;
  const known = lengths.get(z.geometry) ?? linesLengthIn(linesOf(z.geometry, 'edges', quilt));
  lengths.set(z.geometry, known);
  return known > 0 ? known : undefined;
}
