import { ask } from '@/actions/queries';
import { tableWeek } from '@/core/calendar/table';
import { CalendarScreen } from '@/ui/calendar/CalendarScreen';

export const metadata = { title: 'Calendar' };

export default async function CalendarPage() {
  const view = await ask.readCalendar(new Date());
  return (
    view && (
      <CalendarScreen
        today={view.today}
        week={view.preferences.dayHours}
        table={tableWeek(view.preferences.dayHours, view.preferences.tableHours)}
        machines={view.machines.map((m) => ({ id: m.id, name: m.name }))}
        jobs={view.jobs}
      />
    )
  );
}
