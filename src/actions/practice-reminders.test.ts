import { practiceIcs, remindersAsked } from './practice-reminders';

const asked = (query: string) => remindersAsked(new URLSearchParams(query));

test('reminders are laid every week on the days asked, from the next of them on, by the wall clock', () => {
  const monday = new Date(2026, 10, 30, 12);
  const ics = practiceIcs(asked('minutes=20&days=3,5&at=18:05')!, monday);
  expect(ics).toContain('DTSTART:20261202T180500');
  expect(ics).toContain('DTEND:20261202T182500');
  expect(ics).toMatch(/RRULE:FREQ=WEEKLY;BYDAY=WE,FR/);
  expect(ics).toContain('TRIGGER:-PT5M');
});

test.each([
  'minutes=15&days=1&at=18:00',
  'minutes=10&days=&at=25:00',
  'minutes=10&days=7&at=18:00',
  'minutes=10&days=1',
  '',
])('nothing is laid for “%s”', (query) => expect(asked(query)).toBeNull());
