import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fill } from '@/ui/testing/fill';
import { router } from '@/ui/testing/browser';
import { PasteDialog } from './PasteDialog';

const sent: unknown[] = [];
let answer: unknown = { ok: true, value: { stored: 2, left: 1, batchId: 'batch-1' } };
jest.mock('@/ui/kit/send-file', () => ({
  sendFile: () => (body: unknown) => {
    sent.push(body);
    return Promise.resolve(answer);
  },
}));

const LABELS = 'Poly 40 white 5000 m\nBell Buoy cotton 50/3 rust 1200 yd\ntex 5000';
/** Pastes the labels, and waits until the last line has been read to its end. */
const paste = async () => {
  await fill(screen.getByLabelText(/^Labels, one cone a line/), LABELS);
  await screen.findByText(/“tex 5000” would be/);
};
const open = () => {
  const onClose = jest.fn();
  render(<PasteDialog onClose={onClose} />);
  return onClose;
};
beforeEach(() => {
  sent.length = 0;
  answer = { ok: true, value: { stored: 2, left: 1, batchId: 'batch-1' } };
});

test('each line is read as it is typed, and what cannot be read is told', async () => {
  open();
  expect(screen.getByRole('button', { name: 'Add' })).toBeDisabled();
  await paste();
  const read = await screen.findByRole('list', { name: 'Understood as' });
  expect(within(read).getAllByRole('listitem')).toHaveLength(3);
  const [white, rust, wrong] = within(read).getAllByRole('listitem');
  expect(white).toHaveTextContent('= polyester filament, tex 25, White, 5000 m');
  expect(rust).toHaveTextContent('1097.3 m');
  expect(wrong).toHaveTextContent(/threads lie between/);
});
test('the good lines are added, the shelf is asked for anew, and the dialog closes', async () => {
  const onClose = open();
  await paste();
  await userEvent.click(screen.getByRole('button', { name: 'Add 2 cones' }));
  await waitFor(() => expect(onClose).toHaveBeenCalled());
  expect(router.refresh).toHaveBeenCalled();
  expect(sent[0]).toMatchObject({ kind: 'cones', take: 'good' });
  expect((sent[0] as { rows: string[][] }).rows).toHaveLength(2);
});
test('what the studio’s computer refuses is said, and nothing typed is lost', async () => {
  answer = { ok: false, problems: [{ path: '', message: 'The shelf is full.' }] };
  const onClose = open();
  const box = screen.getByLabelText(/^Labels, one cone a line/);
  await paste();
  await userEvent.click(screen.getByRole('button', { name: 'Add 2 cones' }));
  expect(await screen.findByText('The shelf is full.')).toBeInTheDocument();
  expect(box).toHaveValue(LABELS);
  expect(onClose).not.toHaveBeenCalled();
});
