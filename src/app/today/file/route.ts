import { ask } from '@/actions/queries';
import { todayIcs } from '@/actions/today';

export const dynamic = 'force-dynamic';

/** The day as iCalendar. */
export async function GET() {
  const view = await ask.readToday(new Date());
  if (!view) return new Response('There is no studio yet.', { status: 404 });
  return new Response(todayIcs(view), {
    headers: {
      'Content-Type': 'text/calendar; charset=utf-8',
      'Content-Disposition': 'attachment; filename="today.ics"',
      'Cache-Control': 'no-store',
    },
  });
}
