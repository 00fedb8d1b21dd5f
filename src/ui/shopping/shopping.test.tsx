import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ListedLine } from '@/actions/shopping';
import { doors } from '@/actions/doors';
import { lastSent } from '@/ui/testing/studio';
import { ShoppingList } from './ShoppingList';

const line = (part: Partial<ListedLine>): ListedLine => ({
  key: 'cone fog',
  act: 'buy',
  what: 'Heron Poly 60 Fog',
  amount: '1 cone of 5000 m',
  why: 'it runs out at Salt Pans',
  neededOn: '2026-12-08',
  orderOn: '2026-12-03',
  late: false,
  urgent: false,
  state: 'get',
  ...part,
});
const rows = () => screen.getAllByRole('listitem');

test('each line says what to do, by when and why; what is late says so', () => {
  render(
    <ShoppingList
      lines={[
        line({ late: true, urgent: true }),
        line({ key: 'wind', act: 'wind', what: 'Gossamer 100', orderOn: null }),
        line({ key: 'low', what: 'Oat', neededOn: null, orderOn: null }),
      ]}
    />,
  );
  expect(rows()[0]).toHaveTextContent('order now');
  expect(rows()[0]).toHaveTextContent('needed Tue 8 Dec');
  expect(rows()[1]).toHaveTextContent('by Tue 8 Dec');
  expect(rows()[2]).toHaveTextContent('runs low');
});
test('one tap says that it is ordered; what is here stands apart', async () => {
  render(<ShoppingList lines={[line({}), line({ key: 'cone oat', what: 'Oat', state: 'here' })]} />);
  await userEvent.click(within(rows()[0]!).getByRole('radio', { name: 'ordered' }));
  expect(lastSent(doors.markLine)).toMatchObject({ line: 'cone fog', state: 'ordered' });
  const apart = screen.getByRole('region', { name: 'Ordered or here' });
  await userEvent.click(within(apart).getByRole('radio', { name: 'to get' }));
  expect(lastSent(doors.markLine)).toMatchObject({ line: 'cone oat', state: null });
});
test('nothing lacking is said', () => {
  render(<ShoppingList lines={[]} />);
  expect(screen.getByText('Nothing is lacking for what waits.')).toBeInTheDocument();
});
