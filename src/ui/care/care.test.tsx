import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { CareLine, MachineCare } from '@/actions/care';
import { doors } from '@/actions/doors';
import type { ServiceEntry } from '@/data/types';
import { fill } from '@/ui/testing/fill';
import { lastSent, refuseNext } from '@/ui/testing/studio';
import { CareScreen } from './CareScreen';

const line = (part: Partial<CareLine> = {}): CareLine => ({
  id: 'oil-hook',
  label: 'Oil the hook',
  act: 'One drop in the race.',
  minutes: 1,
  technician: false,
  u: 1.2,
  word: 'due',
  words: 'once a day',
  lastAt: null,
  dueOn: null,
  ask: false,
  perHour: 0,
  perBobbin: 0,
  manual: null,
  ...part,
});
const machine: MachineCare = {
  machine: { id: 'm1', name: 'The Long Arm', kind: 'frame' },
  lines: [
    line({ id: 'timing', label: 'Timing', technician: true, u: 0.2, word: 'fine', words: '40 of 200 hours' }),
    line(),
  ],
  hoursSinceCleaning: null,
  hoursSinceOiling: null,
};
const done = (part: Partial<ServiceEntry> = {}): ServiceEntry => ({
  id: 'd1',
  machineId: 'm1',
  item: 'timing',
  at: new Date('2026-11-20T10:00:00Z'),
  technician: 'Una Thorne',
  found: 'hook late',
  parts: '',
  touched: ['timing'],
  gaugeBeforeGf: null,
  gaugeAfterGf: null,
  counterStitches: null,
  photographs: [],
  who: null,
  ...part,
});
const show = (log: ServiceEntry[] = []) => {
  render(<CareScreen machines={[machine]} log={log} today="2026-11-30" />);
  return screen.getByRole('region', { name: 'Care of The Long Arm' });
};

test('what is most due stands first, and is done in one press', async () => {
  const care = show();
  const rows = within(care).getAllByRole('row').slice(1);
  expect(rows[0]).toHaveTextContent('Oil the hook');
  expect(rows[0]).toHaveTextContent('due');
  await userEvent.click(within(rows[0]!).getByRole('button', { name: /done now$/ }));
  expect(lastSent(doors.doCare)).toMatchObject({ machineId: 'm1', item: 'oil-hook' });
});
test('what a technician does is never one press: a service is noted with what it touched', async () => {
  const care = show();
  const row = within(care).getAllByRole('row')[2]!;
  expect(within(row).queryByRole('button', { name: /done now$/ })).toBeNull();
  await userEvent.click(within(row).getByRole('button', { name: /note a service$/ }));
  const dialog = screen.getByRole('dialog');
  expect(within(dialog).getByLabelText('Done on')).toHaveValue('2026-11-30');
  await fill(within(dialog).getByLabelText(/By a technician/), 'Una Thorne');
  refuseNext(doors.doCare, 'counterStitches', 'The counter stood higher before. Read it again.');
  await fill(within(dialog).getByLabelText(/Machine’s counter/), '5');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Note it' }));
  expect(lastSent(doors.doCare)).toMatchObject({
    item: 'timing',
    technician: 'Una Thorne',
    touched: ['timing'],
    counterStitches: 5,
  });
  expect(await within(dialog).findByText(/The counter stood higher before/)).toBeInTheDocument();
  expect(within(dialog).getByLabelText(/By a technician/)).toHaveValue('Una Thorne');
});
test('the service log tells who did it, what was found, and who wrote it down where there are several', () => {
  show([done(), done({ id: 'd2', technician: '', who: 'Ines' })]);
  expect(screen.getByText(/, by Una Thorne/)).toBeInTheDocument();
  expect(screen.getAllByText('hook late', { exact: false })).toHaveLength(2);
  expect(screen.getByText(/noted by Ines/)).toBeInTheDocument();
});
test('without a machine it leads to one', () => {
  render(<CareScreen machines={[]} log={[]} today="2026-11-30" />);
  expect(screen.getByRole('link', { name: 'Add a machine' })).toHaveAttribute('href', '/workroom/machine');
});
