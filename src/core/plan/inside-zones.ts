import { lineDensity } from '../density/line-density';
import { boundsOf, contains, type MultiPolygon, type XY } from '../geometry/polygon';
import { battings } from '../tables/battings';
import { type FootId, techniques } from '../tables/techniques';
import type { InsideZone } from './inside';
import { bandsOf } from './bands';
import type { PlannedZone, WorkPlan, WorkPlanRequest } from './planned';

/** From this loft a batting is sewn from the middle out, mm (judgement). */
const LOFTY_MM = 6;

/** The foot a zone is sewn with: the one on its card, or the one its technique asks for. */
const footOf = (zone: PlannedZone): FootId => {
  const own = zone.setup?.foot ?? techniques.get(zone.technique).foot;
  return own === 'any' ? 'open-toe' : own;
};

/** The feet of a step's zones; where the studio keeps the ruler foot on, it serves those of an open toe beside it. */
function feetOf(zones: readonly PlannedZone[], school: WorkPlanRequest['footSchool']): FootId[] {
  const feet = zones.map(footOf);
  if (school !== 'ruler-foot' || !feet.includes('ruler')) return feet;
  return feet.map((f) => (f === 'open-toe' || f === 'closed' ? 'ruler' : f));
}

/** Whether every piece of one shape lies in a hole of the other. */
const shutIn = (inner: MultiPolygon, outer: MultiPolygon): boolean => {
  const holes = outer.flatMap(([, ...rings]) => rings.map((ring) => [[ring]] as MultiPolygon));
  return (
    holes.length > 0 &&
    inner.every(([ring]) => {
      const { x0, y0, x1, y1 } = boundsOf([[ring!]]);
      const middle: XY = [(x0 + x1) / 2, (y0 + y1) / 2];
      return holes.some((hole) => contains(hole, middle));
    })
  );
};

/** What of a step's zones decides their order inside it. @param at the pass, from 0. */
export function insideZones(
  plan: WorkPlan,
  request: Pick<WorkPlanRequest, 'zones' | 'quilt' | 'footSchool' | 'battingId' | 'table'>,
  places: readonly number[],
  at: number,
): InsideZone[] {
  const zones = places.map((i) => request.zones[i]!);
  const feet = feetOf(zones, request.footSchool);
  const [from, to] = bandsOf(plan.passes, request.quilt)[at]!;
  const turned = plan.passes?.turned ?? false;
  const centre: XY = [request.quilt.widthIn / 2, request.quilt.lengthIn / 2];
  const lofty = battings.get(request.battingId, 'battingId').loftMm >= LOFTY_MM;
  return zones.map((z, k): InsideZone => {
    const t = techniques.get(z.technique);
    const { x0, y0, x1, y1 } = boundsOf(z.geometry);
    const inBand = (low: number, high: number) => (Math.max(low, from) + Math.min(high, to)) / 2;
    const middle: XY = turned ? [inBand(x0, x1), (y0 + y1) / 2] : [(x0 + x1) / 2, inBand(y0, y1)];
    return {
      id: z.id,
      middle,
      holds: t.stabilises !== null || t.holds,
      // On a table everything is: what is pushed ahead has to find its way to the edge.
      middleOut:
        request.table !== undefined || t.crosses || lofty || (z.features ?? []).includes('full-area'),
      fromMiddleIn: Math.hypot(middle[0] - centre[0], middle[1] - centre[1]),
      shutInBy: zones.flatMap((o) => (o !== z && shutIn(z.geometry, o.geometry) ? [o.id] : [])),
      foot: feet[k]!,
      figure: t.figure,
      straight: t.radiusIn === null,
      lineDensity: lineDensity(t, z.spacingIn, Math.max(1e-6, plan.zones[places[k]!]!.areaIn2), z.lengthIn),
      marksFade: t.marks !== 'none' && t.marks !== 'full',
    };
  });
}
