import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { CalendarJob } from '@/actions/calendar';
import { doors } from '@/actions/doors';
import { dateOfDay, dayNumber } from '@/core/calendar/days';
import { lastSent, refuseNext } from '@/ui/testing/studio';
import { CalendarScreen } from './CalendarScreen';
import { fill } from '@/ui/testing/fill';

const today = dayNumber('2026-11-25');
const job = (part: Partial<CalendarJob> = {}): CalendarJob =>
  ({
    id: 'quilt-1',
    machineId: 'machine-1',
    hours: { low: 8, mid: 11.5, high: 16 },
    startDay: today + 1,
    endDay: today + 4,
    sureDay: today + 6,
    handDay: today + 5,
    table: { beforeHours: 1.5, afterHours: 2, driesDays: 0, before: { fromDay: today, readyDay: today } },
    dueDay: today + 9,
    chance: 0.93,
    overdue: false,
    onFrame: false,
    quilt: {
      id: 'quilt-1',
      name: 'Harbour Lights',
      client: 'Odile Marsh',
      dueOn: dateOfDay(today + 9),
      startsOn: null,
      version: 6,
      step: 'quilt',
    },
    ...part,
  }) as CalendarJob;
const show = (...jobs: CalendarJob[]) =>
  render(
    <CalendarScreen
      today={today}
      week={[6, 6, 6, 6, 6, 0, 0]}
      table={[2, 2, 2, 2, 2, 0, 0]}
      machines={[{ id: 'machine-1', name: 'The Long Arm' }]}
      jobs={jobs}
    />,
  );
const bar = () => screen.getByRole('button', { name: /^Harbour Lights: / });

test('each quilt says when it is done, when it is promised, and how likely that is', () => {
  show(job());
  const frame = screen.getByRole('region', { name: 'The Long Arm' });
  expect(frame).toHaveTextContent('due Fri 4 Dec: 93 % · 11.5 h');
  expect(bar()).toHaveAccessibleName('Harbour Lights: 26 Nov to 29 Nov; arrows move it, Enter opens');
  expect(screen.getByText(/30 hours at the frame a week, 10 at the table/)).toBeInTheDocument();
  const table = screen.getByRole('region', { name: 'At the table' });
  expect(table).toHaveTextContent('1.5 h before, 2.0 h after');
  expect(
    within(table).getByRole('img', { name: 'Harbour Lights, after the frame: 29 Nov to 30 Nov' }),
  ).toBeVisible();
});
test.each([
  [0.79, /1 promise is less sure than 8 in 10/],
  [0.81, null],
])('a chance of %d', (chance, words) => {
  const { container } = show(job({ chance }));
  if (words) expect(container).toHaveTextContent(words);
  else expect(container).not.toHaveTextContent(/less sure/);
});
test('what is overdue says since when', () => {
  show(job({ overdue: true, dueDay: today - 3 }));
  expect(screen.getByText('overdue since 22 Nov')).toBeInTheDocument();
});
test('the arrows move a quilt by a day, never before today', async () => {
  show(job({ startDay: today }));
  bar().focus();
  await userEvent.keyboard('{ArrowRight}');
  expect(lastSent(doors.setDays)).toMatchObject({
    quiltId: 'quilt-1',
    version: 6,
    startsOn: '2026-11-26',
  });
  await userEvent.keyboard('{ArrowLeft}');
  expect(lastSent(doors.setDays)).toMatchObject({ startsOn: '2026-11-25' });
});
test('opened, its dates can be changed; a promise left alone is not sent', async () => {
  show(job());
  bar().focus();
  await userEvent.keyboard('{Enter}');
  const dialog = screen.getByRole('dialog', { name: 'Harbour Lights' });
  expect(dialog).toHaveTextContent(
    'Likely off the frame Sun 29 Nov, 8 times in 10 by Tue 1 Dec; ready to hand over Mon 30 Nov.',
  );
  await fill(within(dialog).getByLabelText(/^May begin/), '2026-12-01');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Lay it so' }));
  expect(lastSent(doors.setDays)).toMatchObject({ startsOn: '2026-12-01', dueOn: null });
});
test('a promise that was moved is sent, and a refusal stands at it', async () => {
  show(job());
  bar().focus();
  await userEvent.keyboard('{Enter}');
  const dialog = screen.getByRole('dialog', { name: 'Harbour Lights' });
  const due = within(dialog).getByLabelText('Promised for');
  await userEvent.clear(due);
  await fill(due, '2026-11-01');
  refuseNext(doors.setDays, 'dueOn', 'A promise lies in the future.');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Lay it so' }));
  expect(lastSent(doors.setDays)).toMatchObject({ dueOn: '2026-11-01' });
  expect(await within(dialog).findByText('A promise lies in the future.')).toBeInTheDocument();
});
test('a move refused is said on the page', async () => {
  show(job());
  refuseNext(doors.setDays, '', 'This quilt was changed in another window meanwhile.');
  bar().focus();
  await userEvent.keyboard('{ArrowRight}');
  expect(await screen.findByText(/changed in another window/)).toBeInTheDocument();
});
test('files go out as iCalendar and CSV', () => {
  show(job());
  expect(screen.getByRole('link', { name: 'iCalendar file' })).toHaveAttribute('href', '/calendar/file');
  expect(screen.getByRole('link', { name: 'CSV' })).toHaveAttribute('href', '/calendar/file?as=csv');
});
test('nothing to lay: the way to a quilt is offered', () => {
  show();
  expect(screen.getByText('Nothing waits for the frame')).toBeInTheDocument();
  expect(screen.getByRole('link', { name: 'Take in a quilt' })).toHaveAttribute('href', '/take-in');
});
test('a promise years away does not stretch the page without end', () => {
  show(job({ dueDay: today + 2000, sureDay: today + 2000, endDay: today + 2000 }));
  const days = screen.getByRole('group', { name: 'Days of The Long Arm' });
  expect(parseFloat((days.firstElementChild as HTMLElement).style.width)).toBeLessThanOrEqual(121 * 40);
});
