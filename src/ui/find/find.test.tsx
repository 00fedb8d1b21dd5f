import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Found } from '@/data/types';
import { router } from '@/ui/testing/browser';
import { COMMANDS } from './commands';
import { FindButton } from './FindButton';
import { FindDialog } from './FindDialog';
import { fill } from '@/ui/testing/fill';

const rows: Found[] = [
  { kind: 'cone', id: 'cone-fog', name: 'Heron Poly 60 Fog', detail: 'tex 18', hex: '#b9c6c9' },
  { kind: 'quilt', id: 'quilt-1', name: 'Foggy Harbour', detail: 'Odile Marsh', hex: null },
  { kind: 'batting', id: 'b1', name: 'Fog wool', detail: 'wool', hex: null },
];
const answer = (found: Found[] | Error) =>
  Object.assign(globalThis, {
    fetch: jest.fn(() =>
      found instanceof Error
        ? Promise.reject(found)
        : Promise.resolve({ json: () => Promise.resolve(found) } as Response),
    ),
  });
const open = () => {
  const onClose = jest.fn();
  render(<FindDialog onClose={onClose} />);
  return onClose;
};
const type = (text: string) => fill(screen.getByRole('combobox'), text);

test('without letters the places are offered', () => {
  answer(rows);
  open();
  expect(screen.getAllByRole('option')).toHaveLength(COMMANDS.length);
  expect(fetch).not.toHaveBeenCalled();
});
test('letters find what is stored, each kind under its heading', async () => {
  answer(rows);
  open();
  await type('fog');
  expect(await screen.findByRole('option', { name: /Heron Poly 60 Fog/ })).toBeInTheDocument();
  expect(screen.getByText('Cones')).toBeInTheDocument();
  expect(screen.getByText('Quilts')).toBeInTheDocument();
  expect(jest.mocked(fetch).mock.calls.at(-1)![0]).toBe('/find?q=fog');
});
test.each([
  ['Heron', '/shelf?cone=cone-fog'],
  ['Foggy', '/quilts/quilt-1'],
  ['Fog wool', '/workroom/cloth?batting=b1'],
])('what begins with “%s” leads to %s', async (name, href) => {
  answer(rows);
  const onClose = open();
  await type('fog');
  await userEvent.click(await screen.findByRole('option', { name: new RegExp(name) }));
  expect(router.push).toHaveBeenCalledWith(href);
  expect(onClose).toHaveBeenCalled();
});
test('other words for a place find it too', async () => {
  answer([]);
  open();
  await type('settings');
  expect(screen.getByRole('option', { name: 'How we work' })).toBeInTheDocument();
});
test('letters that may mean something in an address are sent as letters', async () => {
  answer([]);
  open();
  fireEvent.change(screen.getByRole('combobox'), { target: { value: '50/2 & 100 %' } });
  await waitFor(() =>
    expect(jest.mocked(fetch).mock.calls.at(-1)![0]).toBe('/find?q=50%2F2%20%26%20100%20%25'),
  );
});
test('nothing found, and no answer, are each said', async () => {
  answer([]);
  open();
  await type('zzzz');
  expect(await screen.findByText('Nothing has these letters in its name.')).toBeInTheDocument();
  answer(new Error('gone'));
  await type('z');
  expect(await screen.findByText(/did not answer/)).toBeInTheDocument();
});
test('the arrows and Enter go where the mouse goes', async () => {
  answer([]);
  open();
  await type('bobbins');
  await userEvent.keyboard('{Enter}');
  expect(router.push).toHaveBeenCalledWith('/workroom/bobbins');
});
test('whatever came before, Enter takes the first that is shown', async () => {
  answer([rows[2]!]);
  open();
  await type('f');
  await screen.findByRole('option', { name: /Fog wool/ });
  answer(rows);
  await type('og');
  await screen.findByRole('option', { name: /Heron Poly 60 Fog/ });
  await userEvent.keyboard('{Enter}');
  expect(router.push).toHaveBeenCalledWith('/shelf?cone=cone-fog');
});
test('the arrows pick another', async () => {
  answer(rows);
  open();
  await type('fog');
  await screen.findByRole('option', { name: /Heron Poly 60 Fog/ });
  await userEvent.keyboard('{ArrowDown}{Enter}');
  expect(router.push).toHaveBeenCalledWith('/quilts/quilt-1');
});
test('Enter pressed before the answer came goes to the first that is found', async () => {
  let give: (r: Response) => void = () => {};
  Object.assign(globalThis, { fetch: jest.fn(() => new Promise<Response>((ok) => (give = ok))) });
  const onClose = open();
  fireEvent.change(screen.getByRole('combobox'), { target: { value: 'fog' } });
  await userEvent.keyboard('{Enter}');
  expect(router.push).not.toHaveBeenCalled();
  give({ json: () => Promise.resolve(rows) } as Response);
  await waitFor(() => expect(router.push).toHaveBeenCalledWith('/shelf?cone=cone-fog'));
  expect(onClose).toHaveBeenCalled();
});
test('what was found for the first letters is not taken for the whole word', async () => {
  answer(rows);
  open();
  fireEvent.change(screen.getByRole('combobox'), { target: { value: 'e' } });
  await screen.findByRole('option', { name: /Heron Poly 60 Fog/ });
  let give: (r: Response) => void = () => {};
  Object.assign(globalThis, { fetch: jest.fn(() => new Promise<Response>((ok) => (give = ok))) });
  fireEvent.change(screen.getByRole('combobox'), { target: { value: 'evenness' } });
  await userEvent.keyboard('{Enter}');
  expect(router.push).not.toHaveBeenCalled();
  give({ json: () => Promise.resolve([]) } as unknown as Response);
  await waitFor(() => expect(router.push).toHaveBeenCalledWith(expect.stringContaining('preferences')));
});
test('with the studio’s computer away, Enter still goes to the places', async () => {
  answer(new Error('gone'));
  open();
  fireEvent.change(screen.getByRole('combobox'), { target: { value: 'bobbins' } });
  await userEvent.keyboard('{Enter}');
  await waitFor(() => expect(router.push).toHaveBeenCalledWith('/workroom/bobbins'));
});
test('Ctrl K opens Find from anywhere', async () => {
  answer([]);
  render(<FindButton />);
  fireEvent.keyDown(window, { key: 'k', ctrlKey: true });
  const dialog = await screen.findByRole('dialog');
  expect(within(dialog).getByRole('combobox')).toBeInTheDocument();
});
