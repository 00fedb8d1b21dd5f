import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import type { Machine, Yarn } from '@/data/types';
import { lastSent, refuseNext } from '@/ui/testing/studio';
import { YarnsScreen } from './YarnsScreen';
import { fill } from '@/ui/testing/fill';

const kelp: Yarn = {
  id: 'kelp',
  name: 'Kelp bouclé',
  hex: '#5d6b4f',
  diameterMm: 3.2,
  skeinM: 45,
  skeins: 2.5,
  place: 'basket',
  price: null,
  notes: '',
  version: 3,
};
const machine = { id: 'm', name: 'Long one', couchingHoleMm: 3 } as Machine;

test('how thick, how much is here, and whether the foot takes it', () => {
  render(
    <YarnsScreen
      yarns={[kelp, { ...kelp, id: 'thin', name: 'Twine', diameterMm: 1.6, skeinM: null, skeins: 1 }]}
      machines={[machine]}
    />,
  );
  const [, first, second] = screen.getAllByRole('row');
  expect(first).toHaveTextContent(
    /3\.2 mm.*8 turns per inch.*2\.5 skeins, 113 m.*too thick for Long one, whose hole is 3 mm/,
  );
  expect(second).toHaveTextContent(/1 skein.*runs through on Long one/);
});

test('the empty shelf teaches how a yarn is measured', () => {
  render(<YarnsScreen yarns={[]} machines={[]} />);
  expect(screen.getByText(/Wind it round a ruler/)).toBeVisible();
});

test('a thickness in turns is told in millimetres, and sent so', async () => {
  render(<YarnsScreen yarns={[kelp]} machines={[]} />);
  await userEvent.click(screen.getByRole('button', { name: 'Add a yarn' }));
  const dialog = await screen.findByRole('dialog');
  await fill(within(dialog).getByLabelText(/^Name/), 'Foam');
  const thick = within(dialog).getByLabelText(/^Thickness/);
  await userEvent.clear(thick);
  await fill(thick, '10 turns');
  expect(within(dialog).getByRole('status')).toHaveTextContent('10 turns is 2.54 mm.');
  refuseNext(doors.keepYarn, 'name', 'Another already has this name.');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Keep this yarn' }));
  expect(await within(dialog).findByText('Another already has this name.')).toBeVisible();
  expect(lastSent(doors.keepYarn)).toMatchObject({ name: 'Foam', diameterMm: 2.54, version: 0 });
});

test('one is changed with its version', async () => {
  render(<YarnsScreen yarns={[kelp]} machines={[]} />);
  await userEvent.click(screen.getByRole('button', { name: 'Change Kelp bouclé' }));
  const dialog = await screen.findByRole('dialog');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Keep this yarn' }));
  expect(lastSent(doors.keepYarn)).toMatchObject({ id: 'kelp', version: 3, skeins: 2.5 });
});
