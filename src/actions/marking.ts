import 'reflect-metadata';
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { v7 as uuidv7 } from 'uuid';
import { dateOfDay } from '@/core/calendar/days';
import { edgeLength } from '@/core/geometry/polygon';
import { MARK_OUTCOMES, markingFor, type MarkOutcome, type Marking } from '@/core/marking/marking';
import type { WorkPlan } from '@/core/plan/planned';
import { MARKERS } from '@/core/tables/markers';
import { insertMarkerTest, type MarkerTest, readMarkerTests } from '@/data/marker-tests';
import type { Sql } from '@/data/sql';
import type { Preferences } from '@/data/types';
import { readCalendar } from './calendar';
import type { Context } from './context';
import type { QuiltView } from './quilt-view';
import { done, type Result } from './result';
import { FormKey, Id, OneOf } from './rules';
import { save } from './save';

/** What a scrap said of a tool: gone, a ghost, or it stays. */
export class TryMarker {
  @FormKey() key!: string;
  @Id('Pick the fabric.') fabricId!: string;
  @OneOf(MARKERS.ids, 'Pick the tool from the list.') marker!: string;
  @OneOf(MARK_OUTCOMES, 'Say what was left of it: gone, a ghost, or it stays.') outcome!: MarkOutcome;
}

export const tryMarker = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<TryMarker, { id: string }>(
    context,
    'try-marker',
    TryMarker,
    input,
    async (tx, { fabricId, marker, outcome }) => {
      const id = uuidv7();
      await insertMarkerTest(tx, { id, fabricId, marker, outcome });
      return done({ id });
    },
    { marker_test_fabric_id_fkey: ['fabricId', 'This fabric is not known any more. Reload the page.'] },
  );

/** A zone with what marks it. */
export interface ZoneMarking extends Marking {
  zoneId: string;
}

/** With what each zone is marked, from what is known already. @param daysTillSewn until it stands on the frame. */
export const markingsOf = (
  { quilt, zones }: Pick<QuiltView, 'quilt' | 'zones'>,
  plan: Pick<WorkPlan, 'zones'>,
  { markers }: Pick<Preferences, 'markers'>,
  tests: readonly MarkerTest[],
  daysTillSewn: number,
): ZoneMarking[] =>
  zones.map((z) => {
    const planned = plan.zones.find((p) => p.id === z.id);
    return {
      zoneId: z.id,
      ...markingFor({
        technique: z.technique,
        cloths: z.fabrics
          .filter((f) => f.sewnOver)
          .map(({ fabricId: id, kind, name, hex, busyness }) => ({ id, kind, name, hex, busyness })),
        batting: quilt.battingKind,
        daysTillSewn,
        mayBeWet: quilt.marksOff === null ? null : quilt.marksOff === 'water',
        excluded: MARKERS.ids.filter((id) => !markers.includes(id)),
        tests,
        edgeIn: edgeLength(z.geometry),
        spacingIn: z.spacingIn,
        sewnIn: planned?.sewnIn ?? 0,
        areaIn2: planned?.areaIn2 ?? 0,
      }),
    };
  });

/** The same with what scraps said and the day it comes to the frame. */
export async function readMarking(
  sql: Sql,
  view: Pick<QuiltView, 'quilt' | 'zones'>,
  plan: Pick<WorkPlan, 'zones'>,
  preferences: Pick<Preferences, 'markers'>,
  today: Date,
): Promise<{ zones: ZoneMarking[]; frameOn: string | null }> {
  const { quilt, zones } = view;
  const isFramed = quilt.onFrameSince !== null;
  const [tests, calendar] = await Promise.all([
    readMarkerTests(
      sql,
      zones.flatMap((z) => z.fabrics.map((f) => f.fabricId)),
    ),
    isFramed ? null : readCalendar(sql, today),
  ]);
  const job = calendar?.jobs.find((j) => j.quilt.id === quilt.id);
  const frameOn = job ? dateOfDay(job.startDay) : null;
  const days = frameOn ? Math.max(0, differenceInCalendarDays(parseISO(frameOn), today)) : 0;
  return { zones: markingsOf(view, plan, preferences, tests, days), frameOn };
}
