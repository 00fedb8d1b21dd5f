import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { moneyText } from '@/core/units/money';
import { offerOf } from '@/core/quote/offer';
import type { Rates } from '@/data/types';
import { fill } from '@/ui/testing/fill';
import { lastSent, refuseNext } from '@/ui/testing/studio';
import { OfferForm } from './OfferForm';
import { OfferState } from './OfferState';

const hours = (mid: number) => ({ low: 0.8 * mid, mid, high: 1.3 * mid });
const sources: Parameters<typeof OfferForm>[0]['sources'] = {
  work: [{ kind: 'custom', areaIn2: 3000, hours: hours(6) }],
  frameHours: hours(1.5),
  size: { widthIn: 60, lengthIn: 70, pieces: 0, backingSeams: 0, backingSeamIn: 0 },
  bobbins: 5,
};
const rates = {
  basis: 'hour',
  hourMinor: 4500,
  tableHourMinor: null,
  edgeMinor: null,
  lightMinor: null,
  customMinor: null,
  denseMinor: null,
  leastMinor: null,
  bobbinMinor: 250,
  rushPct: 20,
  taxPct: 19,
  version: 1,
} as Rates;
const show = (part: Partial<Parameters<typeof OfferForm>[0]> = {}) =>
  render(
    <OfferForm
      quilt={{ id: 'quilt-1', name: 'Harbour Lights', client: 'Ada Pellow' }}
      sources={sources}
      rates={rates}
      currency="EUR"
      before={null}
      {...part}
    />,
  );
const reckoned = (part: object = {}) =>
  offerOf({ ...sources, rates, basis: 'hour', tasks: [], isRush: false, taxPct: 19, supplied: [], ...part });

describe('an offer', () => {
  test('is reckoned while it is typed, to the cent, and sent with what was ticked', async () => {
    show();
    for (const box of screen.getAllByRole<HTMLInputElement>('checkbox'))
      if (box.checked) await userEvent.click(box);
    expect(document.body).toHaveTextContent(moneyText(reckoned().high, 'EUR'));
    await userEvent.click(screen.getByLabelText('It is a rush'));
    const rushed = reckoned({ isRush: true });
    expect(rushed.mid).toBeGreaterThan(reckoned().mid);
    expect(document.body).toHaveTextContent(moneyText(rushed.high, 'EUR'));
    await userEvent.click(screen.getByRole('button', { name: 'Make the offer' }));
    expect(lastSent(doors.makeOffer)).toMatchObject({
      quiltId: 'quilt-1',
      basis: 'hour',
      isRush: true,
      tasks: [],
      taxPct: 19,
    });
  });

  test('what is supplied is a line of its own, and its tax with it', async () => {
    show();
    await userEvent.click(screen.getByRole('button', { name: 'Add' }));
    await fill(screen.getByLabelText('What'), 'Batting');
    await fill(screen.getByLabelText('Price of one'), '30.00');
    expect(within(document.body).getAllByText(/Batting/).length).toBeGreaterThan(0);
    await userEvent.click(screen.getByRole('button', { name: 'Remove line 1' }));
    expect(screen.queryByLabelText('What')).toBeNull();
  });

  test('a kind without a price of its area cannot be charged by area: said, nothing sent', () => {
    show({ rates: { ...rates, basis: 'area' } });
    expect(screen.getAllByRole('alert')[0]).toHaveTextContent('no price for its area');
    expect(screen.getByRole('button', { name: 'Make the offer' })).toBeDisabled();
  });

  test('what the server refuses stands at its field, and what was typed stays', async () => {
    show();
    refuseNext(doors.makeOffer, 'taxPct', 'Tax must lie between 0 and 100.');
    await userEvent.click(screen.getByRole('button', { name: 'Make the offer' }));
    expect(await screen.findByText('Tax must lie between 0 and 100.')).toBeInTheDocument();
    expect(screen.getByLabelText(/^Tax/)).toHaveValue('19');
  });

  test('agreed, not agreed yet, withdrawn: each with the version it was seen in', async () => {
    const { rerender } = render(<OfferState id="o1" version={3} state="offered" />);
    await userEvent.click(screen.getByRole('button', { name: 'Client agreed' }));
    expect(lastSent(doors.setOffer)).toMatchObject({ id: 'o1', version: 3, state: 'agreed' });
    rerender(<OfferState id="o1" version={4} state="agreed" />);
    await userEvent.click(screen.getByRole('button', { name: 'Not agreed yet' }));
    expect(lastSent(doors.setOffer)).toMatchObject({ version: 4, state: 'offered' });
    await userEvent.click(screen.getByRole('button', { name: 'Withdraw' }));
    expect(lastSent(doors.setOffer)).toMatchObject({ version: 4, state: 'withdrawn' });
  });
});
