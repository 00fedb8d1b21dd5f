import { routedZones } from '@/ui/plan/routed-zones';
import { mapScale, QuiltMap } from '@/ui/quilt-map/QuiltMap';
import { RouteLayer } from '@/ui/quilt-map/RouteLayer';
import type { SheetFacts } from './sheet-facts';

/** The way round the lines of each zone, pass by pass. */
export function RouteSheet({ view, plan }: SheetFacts) {
  const { quilt, zones } = view;
  const routed = routedZones(zones, plan);
  if (routed.length === 0) return <p>No zone of this quilt has lines to go round.</p>;
  const { passes } = plan;
  const map = {
    widthIn: quilt.widthIn,
    lengthIn: quilt.lengthIn,
    zones,
    width: 560,
    maxHeight: 560,
    bands: passes && { depthsIn: passes.depthsIn, turned: passes.turned },
  };
  return routed.map((z) => (
    <section key={z.id} className="mb-4 break-inside-avoid">
      <h2 className="text-20">
        {z.letter} {z.name}, {z.work}
      </h2>
      <p>
        {z.routes
          .map(
            (r) =>
              `pass ${r.pass}: ${r.starts} ${r.starts === 1 ? 'start' : 'starts'}, ${Math.round(r.sewnIn)} in`,
          )
          .join('; ')}
        . Ends: {z.endWay}.
      </p>
      <QuiltMap {...map} idPrefix={`way-${z.letter}`} chosenId={z.id}>
        {z.routes.map((r) => (
          <RouteLayer key={r.pass} paths={r.paths} unit={1 / mapScale(map, 20)} />
        ))}
      </QuiltMap>
    </section>
  ));
}
