import { boundsOf, type MultiPolygon } from '../geometry/polygon';
import type { EndsRequest } from '../stitch/ends';
import { techniques } from '../tables/techniques';

/** Nearer than this to the quilt's edge is at it, inches. */
const EDGE_IN = 0.1;

/** What of a zone and its quilt decides how its lines begin and end; thread and needle come from its card. */
export type ZoneEnds = Omit<EndsRequest, 'thread' | 'needleNm'>;

/** The same, read off the map. @param studio the studio's way and what its machine can do. */
export function zoneEnds(
  z: { geometry: MultiPolygon; technique: string; fabrics: EndsRequest['top'] },
  quilt: { widthIn: number; lengthIn: number; use: string },
  studio: Pick<EndsRequest, 'school' | 'machine'>,
): ZoneEnds {
  const { x0, y0, x1, y1 } = boundsOf(z.geometry);
  const t = techniques.get(z.technique, 'technique');
  return {
    technique: z.technique,
    use: quilt.use,
    top: z.fabrics,
    // A ditch ends inside unless it runs to the edge, which its route knows; what fills an area at the edge runs off it.
    meetsEdge:
      t.routed === null &&
      (x0 < EDGE_IN || y0 < EDGE_IN || x1 > quilt.widthIn - EDGE_IN || y1 > quilt.lengthIn - EDGE_IN),
    besideLater: t.stabilises !== null,
    ...studio,
  };
}
