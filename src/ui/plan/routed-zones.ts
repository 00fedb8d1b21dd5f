import type { WorkPlan } from '@/core/plan/planned';
import { techniques } from '@/core/tables/techniques';
import type { Zone } from '@/data/types';
import type { RoutedZone } from './RoutePart';

/** The zones of a plan whose lines have a way round. */
export const routedZones = (zones: readonly Zone[], plan: Pick<WorkPlan, 'zones'>): RoutedZone[] =>
  zones.flatMap((z) => {
    const planned = plan.zones.find((p) => p.id === z.id);
    return planned && planned.way.routes.length > 0
      ? [
          {
            id: z.id,
            letter: z.letter,
            name: z.name,
            work: techniques.get(z.technique).label,
            shows: z.visibility === 'show',
            endMin: planned.ends.minutes,
            endWay: planned.ends.way.label,
            routes: planned.way.routes,
          },
        ]
      : [];
  });
