import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { type CarefulQuestion, carefulMatch } from '@/core/cloth/careful-match';
import { attempt } from '@/core/notes';
import { aMatch, shelf } from '@/core/testing/a-shelf';
import { router } from '@/ui/testing/browser';
import { DescribeCloth, type UnknownCloth } from './DescribeCloth';

// The worker's answer, given at once.
jest.mock('./use-careful', () => ({
  useCareful: (q: CarefulQuestion) => attempt(() => carefulMatch(q)),
}));

const cloth: UnknownCloth = {
  zoneId: 'z',
  letter: 'B',
  version: 3,
  position: 0,
  name: 'Client’s own fabric',
  unknown: true,
};
const request = aMatch({ top: [{ fabric: 'unknown', hex: '#b6ab92' }] });
const names = Object.fromEntries(shelf.map((t) => [t.id, t.id]));
const describeIt = (part: Partial<UnknownCloth> = {}, more = request) =>
  render(<DescribeCloth quiltId="q" cloth={{ ...cloth, ...part }} request={more} names={names} />);
const nearest = () => within(screen.getAllByRole('list')[0]!).getAllByRole('listitem');

test('a description finds its nearest kinds, and says where they differ', async () => {
  describeIt();
  expect(nearest()[0]).toHaveTextContent('quilting cotton fits in everything');
  await userEvent.selectOptions(screen.getByLabelText('Weave'), 'satin');
  await userEvent.selectOptions(screen.getByLabelText('Shine'), 'shiny');
  expect(nearest()[0]).toHaveTextContent('satin');
  await userEvent.selectOptions(screen.getByLabelText('Weave'), 'knit');
  await userEvent.selectOptions(screen.getByLabelText('Shine'), 'matt');
  await userEvent.selectOptions(screen.getByLabelText('Stretch across'), '3');
  expect(nearest()[0]).toHaveTextContent('jersey knit');
});

test('weights in words set the grams', async () => {
  describeIt();
  await userEvent.click(screen.getByRole('button', { name: 'very heavy' }));
  expect(screen.getByLabelText(/^Weight/, { selector: 'input' })).toHaveValue('340');
  expect(screen.getByRole('button', { name: 'very heavy' })).toHaveAttribute('aria-pressed', 'true');
});

test.each([
  ['heavy stuff', 'Give the weight as a number.'],
  ['5', 'Weights of fabric run from 20 to 1000 g/m².'],
  ['', 'Give the weight as a number.'],
])('a weight of %p is refused at the field and stays as typed', (typed, words) => {
  describeIt();
  const field = screen.getByLabelText(/^Weight/, { selector: 'input' });
  fireEvent.change(field, { target: { value: typed } });
  expect(screen.getByRole('alert')).toHaveTextContent(words);
  expect(field).toHaveValue(typed);
});

test('the cautious set-up is on the shelf, and the test to sew first warns of the needle', () => {
  describeIt();
  const told = carefulMatch({
    request,
    clothIndex: 0,
    description: { gM2: 145, weave: 'plain', stretch: 0, shine: 'matt' },
  });
  expect(screen.getAllByText(told.setup!.topId)[0]).toBeInTheDocument();
  expect(screen.getByRole('heading', { name: /^Sew this first/ })).toHaveTextContent(
    told.test.what.toLowerCase(),
  );
  expect(screen.getByText(/Switch off and wait for the needle to stand still/)).toBeInTheDocument();
});

test('naming it sends kind, place, version and the description in words', async () => {
  const name = jest.mocked(doors.nameCloth);
  describeIt();
  await userEvent.click(within(nearest()[0]!).getByRole('button', { name: 'It is this' }));
  expect(name.mock.calls.at(-1)![0]).toMatchObject({
    quiltId: 'q',
    zoneId: 'z',
    version: 3,
    position: 0,
    kind: 'quilting-cotton',
    described: '145 g/m², plain: over one, under one, stretch: none, matt',
  });
  await waitFor(() => expect(router.refresh).toHaveBeenCalled());
});

test('a fabric that is known is only looked at', () => {
  describeIt({ unknown: false });
  expect(screen.queryByRole('button', { name: 'It is this' })).toBeNull();
});

test('a shelf that suits none of the kinds is said', () => {
  describeIt({}, { ...request, threads: [] });
  expect(screen.getByText(/No pair of threads on the shelf suits all of these kinds/)).toBeInTheDocument();
});
