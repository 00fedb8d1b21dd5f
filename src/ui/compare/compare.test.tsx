import { fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { compareThreads, threadFacts } from '@/core/shelf/compare';
import { NEEDLE_SIZES } from '@/core/tables/needles';
import { aCone } from '@/ui/testing/studio';
import { CompareScreen } from './CompareScreen';

const named = (name: string, part: Parameters<typeof aCone>[0]) => ({
  ...aCone({ id: name, ...part }),
  name,
});
const fine = named('Fine poly', { tex: 18 });
const stout = named('Stout cotton', { tex: 60, fibre: 'cotton', sheen: null });
const show = (cones = [fine, stout]) => render(<CompareScreen cones={cones} />);
const row = (label: string) =>
  within(screen.getByRole('row', { name: new RegExp(`^${label} `) })).getAllByRole('cell');

test('each thread stands in its own column, measured every way it may be printed', () => {
  show();
  expect(screen.getAllByRole('columnheader').map((h) => h.textContent)).toEqual([
    'Fine poly',
    'Stout cotton',
  ]);
  const facts = [fine, stout].map((c) => threadFacts(c));
  expect(row('dtex').map((c) => c.textContent)).toEqual(facts.map((f) => f.dtex.toFixed(0)));
  expect(row('Breaks at').map((c) => c.textContent)).toEqual(facts.map((f) => `${Math.round(f.breakGf)} g`));
  // One tenth of a tex; nine times the tex in deniers.
  expect(row('dtex')[0]).toHaveTextContent('180');
  expect(row('denier')[0]).toHaveTextContent('162');
});

test('who is thicker and who is stronger is said by name', () => {
  show();
  const said = compareThreads([fine, stout]);
  const words = screen.getByText(/is the thickest/).textContent;
  expect(words).toContain(
    `${said.thickest.name} is the thickest, ${said.timesAsThick.toFixed(1)} times as thick`,
  );
  expect(words).toContain(`${said.strongest.name} is the strongest`);
  expect(/not the strongest/.test(words)).toBe(said.thickest.id !== said.strongest.id);
});

test('threads of one size are not set against each other', () => {
  show([fine, named('Fine too', { tex: 18 })]);
  expect(screen.getByText(/about equally thick/)).toBeInTheDocument();
});

test('the needle and its eye change what is drawn and what is said of each thread', async () => {
  show();
  const needle = screen.getByRole('slider');
  const at = (nm: number) => String(NEEDLE_SIZES.findIndex((s) => s.nm === nm));
  fireEvent.change(needle, { target: { value: at(70) } });
  expect(needle).toHaveAttribute('aria-valuetext', expect.stringMatching(/^Nm 70, US/));
  expect(row('In Nm 70')[1]).toHaveTextContent('rubs');
  const small = screen.getByRole('img', { name: /Nm 70 needle/ }).innerHTML;
  fireEvent.change(needle, { target: { value: at(110) } });
  expect(screen.getByRole('img', { name: /Nm 110 needle/ }).innerHTML).not.toBe(small);
  const standard = row('In Nm 110').map((c) => c.textContent);
  await userEvent.click(screen.getByRole('radio', { name: 'large eye' }));
  const large = row('In Nm 110').map((c) => c.textContent);
  const order = ['rubs', 'snug', 'clear', 'roomy'];
  large.forEach((word, i) => expect(order.indexOf(word)).toBeGreaterThanOrEqual(order.indexOf(standard[i]!)));
});
