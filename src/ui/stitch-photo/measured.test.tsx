import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { type Found, Measured } from './Measured';

const found: Found = {
  stitches: 22,
  spi: 11,
  meanMm: 2.31,
  cvPct: 7.4,
  longestMm: 2.7,
  shortestMm: 1.9,
  boundariesMm: [],
  spots: [],
  trust: 'good',
  otherShare: 0.1,
} as never;
const rounds = [
  { id: 'round-1', n: 1 },
  { id: 'round-2', n: 2 },
];
const show = (more: Partial<Parameters<typeof Measured>[0]> = {}) => {
  const onKept = jest.fn();
  render(
    <Measured
      answer={found}
      told={found}
      corrected={false}
      rounds={rounds}
      roundId={null}
      onOther={() => {}}
      onKept={onKept}
      {...more}
    />,
  );
  return onKept;
};

test('the numbers stand with their units and how far to rely on them', () => {
  show();
  expect(screen.getByText('11.0')).toBeInTheDocument();
  expect(screen.getByText('22 on 2.0 in')).toBeInTheDocument();
  expect(screen.getByText(/To be relied on/)).toBeInTheDocument();
  expect(screen.getByText(/At 10 % of the holes/)).toBeInTheDocument();
});
test('it is kept with the last test unless another is named, and then it goes on', async () => {
  const onKept = show();
  await userEvent.selectOptions(screen.getByRole('combobox', { name: 'It is' }), 'test 1');
  await userEvent.click(screen.getByRole('button', { name: 'Keep it with the test' }));
  expect(doors.amendRound).toHaveBeenCalledWith(
    expect.objectContaining({
      roundId: 'round-1',
      measured: expect.objectContaining({
        spi: 11,
        cvPct: 7.4,
        stitches: 22,
        trust: 'good',
        corrected: false,
      }) as unknown,
    }),
  );
  expect(onKept).toHaveBeenCalled();
});
test('what wants a look is kept as such, and as good once it was corrected by hand', async () => {
  const answer: Found = { ...found, trust: 'look' };
  show({ answer });
  expect(screen.getByText(/Look at the marks/)).toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: 'Keep it with the test' }));
  expect(jest.mocked(doors.amendRound).mock.calls.at(-1)![0]).toMatchObject({
    roundId: 'round-2',
    measured: { trust: 'look' },
  });
});
test('what cannot be told gives no number and nothing to keep', () => {
  show({ answer: { ...found, trust: 'cannot', reason: 'Too few holes.' } as Found, told: null });
  expect(screen.getByText(/No number can be taken from this/)).toHaveTextContent('Too few holes.');
  expect(screen.queryByRole('button', { name: 'Keep it with the test' })).toBeNull();
});
test('without a test it says what to do first', () => {
  show({ rounds: [] });
  expect(screen.getByText(/Judge a test stitch first/)).toBeInTheDocument();
});

test('the other count is one press away', async () => {
  const onOther = jest.fn();
  const other = { ...(found as object), stitches: 24, spi: 22, spots: [] };
  show({ answer: { ...(found as object), trust: 'look', other } as never, onOther });
  await userEvent.click(screen.getByRole('button', { name: 'Count it so' }));
  expect(onOther).toHaveBeenCalledWith(other);
});
