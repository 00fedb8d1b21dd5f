import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import type { QuiltTask } from '@/actions/tasks';
import type { TodayView } from '@/actions/today';
import { lastSent } from '@/ui/testing/studio';
import { TodayScreen } from './TodayScreen';

const NOW = Date.parse('2026-11-30T09:00:00Z');
const task = (part: Partial<QuiltTask> = {}): QuiltTask => ({
  quiltId: 'q',
  task: 'trim',
  label: 'trimming',
  when: 'after',
  driesDays: 0,
  minutes: { low: 9, mid: 13, high: 18 },
  times: 0,
  state: 'open',
  runningSince: null,
  spentMin: 0,
  version: 3,
  ...part,
});
const view = (part: Partial<TodayView> = {}): TodayView => ({
  day: '2026-11-30',
  studio: 'Saltmarsh',
  lines: [
    {
      kind: 'care',
      title: 'Oil the hook: The Long Arm',
      detail: 'One drop.',
      minutes: 1,
      act: 'Done',
      href: '/workroom/care',
      care: { machineId: 'm', item: 'oil-race' },
    },
    {
      kind: 'sew',
      title: 'Sew Harbour Lights',
      detail: 'step 5',
      minutes: 200,
      act: 'Stand',
      href: '/quilts/q/stand',
    },
  ],
  more: 2,
  table: [{ quilt: { id: 'q', name: 'Slipway', client: 'Tam Okello' }, loads: null, tasks: [task()] }],
  tableHours: { waiting: 12, aWeek: 10 },
  ...part,
});

test('each line has its act: care is noted at once, the rest is a page', async () => {
  render(<TodayScreen view={view()} askedAt={NOW} />);
  const list = within(screen.getByRole('list', { name: 'To do today' }));
  expect(list.getAllByRole('listitem')).toHaveLength(2);
  expect(list.getByRole('link', { name: 'Stand: Sew Harbour Lights' })).toHaveAttribute(
    'href',
    '/quilts/q/stand',
  );
  await userEvent.click(list.getByRole('button', { name: /^Done: Oil the hook/ }));
  expect(lastSent(doors.doCare)).toMatchObject({ machineId: 'm', item: 'oil-race' });
  expect(screen.getByText('2 more can wait for another day.')).toBeVisible();
});

test('a task’s clock is started, and more at the table than a week has is told', async () => {
  render(<TodayScreen view={view()} askedAt={NOW} />);
  expect(screen.getByText(/12\.0 h at the table wait/)).toHaveClass('text-madder');
  await userEvent.click(screen.getByRole('button', { name: 'trimming: start the clock' }));
  expect(lastSent(doors.workTask)).toMatchObject({ quiltId: 'q', task: 'trim', act: 'start', version: 3 });
});

test('a running clock counts from when it was started', () => {
  const started = new Date(Date.now() - 12 * 60_000);
  const running = task({ state: 'running', runningSince: started, spentMin: 3 });
  render(
    <TodayScreen
      view={view({
        table: [{ quilt: { id: 'q', name: 'Slipway', client: '' }, loads: null, tasks: [running] }],
      })}
      askedAt={NOW}
    />,
  );
  expect(screen.getByText('15 min, going')).toBeVisible();
});

test('an empty day teaches', () => {
  render(<TodayScreen view={view({ lines: [], more: 0, table: [] })} askedAt={NOW} />);
  expect(screen.getByText(/Nothing waits today/)).toBeVisible();
});
