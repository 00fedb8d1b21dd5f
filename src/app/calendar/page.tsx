import { ask } from '@/actions/queries';
import { CalendarBench } from '@/ui/calendar/CalendarBench';

export const metadata = { title: 'Calendar' };

export default async function CalendarPage() {
  const view = await ask.readCalendar(new Date());
  return (
    view && (
      <CalendarBench
        today={view.today}
        week={view.preferences.dayHours}
        machines={view.machines.map((m) => ({ id: m.id, name: m.name }))}
        jobs={view.jobs}
      />
    )
  );
}
