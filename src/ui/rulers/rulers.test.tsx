import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { depthOf } from '@/core/ruler/pick';
import { aRuler } from '@/ui/testing/studio';
import { fill } from '@/ui/testing/fill';
import { MarkingStripSheets } from './MarkingStripSheets';
import { WhichRuler } from './WhichRuler';

const rulers = [
  aRuler({ id: 'r4', name: 'Small arc', radiusIn: 4 }),
  aRuler({ id: 'r8', name: 'Large arc', radiusIn: 8 }),
  aRuler({ id: 's', name: 'Straight', shape: 'straight', radiusIn: null }),
];
const set = async (label: string, text: string) => {
  const field = screen.getByLabelText(new RegExp(`^${label}`));
  await userEvent.clear(field);
  if (text) await fill(field, text);
};
const picks = () => within(screen.getByRole('list')).getAllByRole('listitem');

describe('which ruler sews it', () => {
  test('an arc by its width and depth: nearest in depth first, never a straight one', async () => {
    render(<WhichRuler rulers={rulers} offsetIn={0.25} />);
    await set('Arc across, in', '6');
    await set('How deep, in', depthOf(8.25, 6).toFixed(3));
    expect(picks()[0]).toHaveTextContent('Large arc');
    expect(picks()[0]).toHaveTextContent('as wanted');
    expect(picks()[0]).toHaveTextContent('0.25 in past the point');
    expect(screen.queryByText('Straight')).toBeNull();
  });

  test('scallops along a side come out whole; a wave is two arcs of half its length and depth', async () => {
    render(<WhichRuler rulers={rulers} offsetIn={0.25} />);
    await userEvent.click(screen.getByRole('radio', { name: 'scallops' }));
    await set('One scallop, in', '7');
    await set('Length of the side, in', '72');
    expect(document.body).toHaveTextContent('10 of 7.2 in fit the side');
    await userEvent.click(screen.getByRole('radio', { name: 'a wave' }));
    await set('One whole wave, in', '12');
    await set('Length of the side, in', '');
    await set('Crest to trough, in', '2');
    // Half a wave: 6 across, 1 deep, R = 36/8 + 1/2.
    expect(document.body).toHaveTextContent('6 in across, with a radius of 5 in');
  });

  test('what no ruler reaches and what is no length are said', async () => {
    render(<WhichRuler rulers={rulers} offsetIn={0.25} />);
    await set('Arc across, in', '30');
    expect(document.body).toHaveTextContent('None of your rulers reaches');
    await set('How deep, in', '20');
    expect(screen.getByRole('alert')).toHaveTextContent('half circle');
    await set('Arc across, in', 'wide');
    expect(document.body).toHaveTextContent('Give a length');
  });
});

test('a marking strip at full size has its check line on every sheet', () => {
  const { container } = render(<MarkingStripSheets />);
  const sheets = container.querySelectorAll('svg');
  expect(sheets.length).toBeGreaterThan(0);
  for (const s of sheets) expect(s.style.width).toMatch(/mm$/);
});
