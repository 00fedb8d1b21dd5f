import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Habit, HandIn } from '@/actions/hand';
import { doors } from '@/actions/doors';
import { HABIT } from '@/core/fields/habit';
import { usualValues } from '@/core/fields/stored';
import { fill } from '@/ui/testing/fill';
import { lastSent, refuseNext } from '@/ui/testing/studio';
import { HandScreen } from './HandScreen';

const habit = { ...usualValues(HABIT), elbowIn: null, reachIn: null, version: 2 } as unknown as Habit;
const aHand = (part: Partial<HandIn> = {}): HandIn => ({
  technique: 'swirls',
  label: 'swirls',
  hours: 0.75,
  steps: 4,
  drills: 1,
  level: null,
  speed: null,
  usualInPerS: 1.5,
  ...part,
});
const show = (part: Partial<Parameters<typeof HandScreen>[0]> = {}) =>
  render(<HandScreen hand={[aHand()]} habit={habit} depths={[]} hours={null} {...part} />);

test('until three drills the usual speed stands, as predicted; from then on her own, as learned', () => {
  const { rerender } = show();
  const list = screen.getByRole('region', { name: 'By technique' });
  expect(list).toHaveTextContent('45 min sewn in 4 steps, 1 drill');
  expect(list).toHaveTextContent('1.5 in/s');
  const speed = { inPerS: 1.84, sdLn: 0.12, runs: 3 };
  rerender(
    <HandScreen hand={[aHand({ speed, level: 'practised' })]} habit={habit} depths={[]} hours={null} />,
  );
  expect(list).toHaveTextContent('1.8 in/s');
  expect(list).toHaveTextContent('give or take 12 %');
  expect(within(list).getByText('practised')).toBeVisible();
});
test.each([
  [{ factor: 1.3, low: 1.1, high: 1.5, steps: 20 }, /30 % longer than the usual minutes, by 20 steps/],
  [{ factor: 0.8, low: 0.7, high: 0.9, steps: 9 }, /20 % less than the usual minutes/],
  [{ factor: 1.05, low: 0.9, high: 1.2, steps: 1 }, /about the usual minutes, by 1 step\./],
])('her hours against the usual: %j', (hours, words) => {
  show({ hours });
  expect(screen.getByText(words)).toBeInTheDocument();
});
test('a pass deeper than her reach is told', () => {
  show({ habit: { ...habit, reachIn: 14 }, depths: [{ name: 'The Long Arm', depthIn: 20 }] });
  expect(screen.getByRole('region', { name: 'Rests and heights' })).toHaveTextContent('The Long Arm');
});
test('a hand with nothing sewn is led to a drill', () => {
  show({ hand: [] });
  expect(screen.getByRole('link', { name: 'Practise a drill' })).toHaveAttribute('href', '/practice');
});
test('how she works is kept with its version; what is refused stands at its field and stays typed', async () => {
  show();
  const reach = screen.getByLabelText(/Reach without leaning/);
  await fill(reach, '19');
  refuseNext(doors.keepHabit, 'reachIn', 'Between 8 and 40 inches.');
  await userEvent.click(screen.getByRole('button', { name: 'Save' }));
  expect(lastSent(doors.keepHabit)).toMatchObject({ version: 2, reachIn: 19 });
  expect(await screen.findByText('Between 8 and 40 inches.')).toBeInTheDocument();
  expect(reach).toHaveValue('19');
});
