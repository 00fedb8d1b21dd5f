import { ask } from '@/actions/queries';
import { calendarCsv, calendarIcs } from '@/actions/calendar';

export const dynamic = 'force-dynamic';

/** The calendar of the frame as iCalendar, or as CSV with ?as=csv. */
export async function GET(request: Request) {
  const view = await ask.readCalendar(new Date());
  if (!view) return new Response('There is no studio yet.', { status: 404 });
  const csv = new URL(request.url).searchParams.get('as') === 'csv';
  return new Response(csv ? `\ufeff${calendarCsv(view)}` : calendarIcs(view), {
    headers: {
      'Content-Type': csv ? 'text/csv; charset=utf-8' : 'text/calendar; charset=utf-8',
      'Content-Disposition': `attachment; filename="frame.${csv ? 'csv' : 'ics'}"`,
      'Cache-Control': 'no-store',
    },
  });
}
