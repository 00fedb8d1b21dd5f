import { practiceIcs, remindersAsked } from '@/actions/practice-reminders';

/** Reminders to practise as iCalendar: ?minutes=20&days=1,3,5&at=18:00. */
export function GET(request: Request) {
  const asked = remindersAsked(new URL(request.url).searchParams);
  if (!asked)
    return new Response('Say how many minutes (10, 20 or 30), on which days, and at what time.', {
      status: 400,
    });
  return new Response(practiceIcs(asked, new Date()), {
    headers: {
      'Content-Type': 'text/calendar; charset=utf-8',
      'Content-Disposition': 'attachment; filename="practice.ics"',
      'Cache-Control': 'no-store',
    },
  });
}
