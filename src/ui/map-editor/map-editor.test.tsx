import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { areaOf, rect } from '@/core/geometry/polygon';
import { router } from '@/ui/testing/browser';
import { lastSent, refuseNext } from '@/ui/testing/studio';
import type { DrawnZone } from './MapCanvas';
import { MapEditor } from './MapEditor';
import { fill } from '@/ui/testing/fill';

const quilt = { id: 'quilt-1', name: 'Salt Pans', widthIn: 40, lengthIn: 30, version: 5 };
const zones: DrawnZone[] = [
  { id: 'a', letter: 'A', name: 'Pans', geometry: [[rect(0, 0, 20, 30)]], hex: '#e6dcc6' },
  { id: 'b', letter: 'B', name: 'Banks', geometry: [[rect(20, 0, 20, 30)]], hex: '#b6ab92' },
];
const editor = (list = zones) => render(<MapEditor quilt={quilt} zones={list} />);
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
const keep = () => screen.getByRole('button', { name: 'Save the map' });
const names = () =>
  within(screen.getByRole('list', { name: 'Zones' }))
    .getAllByRole('textbox')
    .map((i) => (i as HTMLInputElement).value);
const pick = (letter: string) =>
  userEvent.click(screen.getByRole('checkbox', { name: `Pick zone ${letter}` }));

test('as it stands there is nothing to keep', () => {
  editor();
  expect(keep()).toBeDisabled();
  expect(screen.getByRole('status')).toHaveTextContent('Press a zone');
});
test('a hole in the map is said, and cannot be kept', () => {
  editor(zones.slice(0, 1));
  expect(screen.getByRole('status').textContent).toMatch(/600|cover|bare|in²/);
  expect(keep()).toBeDisabled();
});
test('two merge into one, undone and done again', async () => {
  editor();
  expect(screen.getByRole('button', { name: /^Merge/ })).toBeDisabled();
  await pick('A');
  await pick('B');
  await press('Merge 2');
  expect(names()).toEqual(['Pans']);
  await press('Undo');
  expect(names()).toEqual(['Pans', 'Banks']);
  await press('Redo');
  expect(names()).toEqual(['Pans']);
  await userEvent.click(keep());
  const sent = lastSent(doors.saveMap) as {
    zones: { id: string; geometry: never }[];
    version: number;
  };
  expect(sent.version).toBe(5);
  expect(sent.zones.map((z) => z.id)).toEqual(['a']);
  expect(areaOf(sent.zones[0]!.geometry)).toBeCloseTo(1200, 6);
  await waitFor(() => expect(router.push).toHaveBeenCalledWith('/quilts/quilt-1/take-in'));
});
test('Ctrl Z undoes, and with Shift does again', async () => {
  editor();
  await pick('A');
  await pick('B');
  await press('Merge 2');
  fireEvent.keyDown(window, { key: 'z', ctrlKey: true });
  expect(names()).toHaveLength(2);
  fireEvent.keyDown(window, { key: 'Z', ctrlKey: true, shiftKey: true });
  expect(names()).toHaveLength(1);
});
test('a shape repeats in columns and rows as one zone, laid over what is there', async () => {
  editor([
    { id: 'a', letter: 'A', name: 'Lantern', geometry: [[rect(2, 2, 4, 4)]] },
    { id: 'b', letter: 'B', name: 'Ground', geometry: [[rect(0, 0, 40, 30), rect(2, 2, 4, 4)]] },
  ]);
  await pick('A');
  await press('Repeat');
  const dialog = screen.getByRole('dialog', { name: 'Repeat Lantern' });
  const [across, down] = within(dialog).getAllByRole('textbox');
  await userEvent.clear(across!);
  await fill(across!, '0');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Repeat it' }));
  expect(await within(dialog).findByText('Give whole numbers from 1 to 40.')).toBeInTheDocument();
  await userEvent.clear(across!);
  await fill(across!, '4');
  await userEvent.clear(down!);
  await fill(down!, '2');
  await waitFor(() => expect(within(dialog).getByRole('button', { name: 'Repeat it' })).toBeEnabled());
  await userEvent.click(within(dialog).getByRole('button', { name: 'Repeat it' }));
  await waitFor(() => expect(screen.queryByRole('dialog')).not.toBeInTheDocument());
  expect(screen.getByText(/^128\.0 in²/)).toBeInTheDocument();
  expect(screen.getByText(/^1072\.0 in²/)).toBeInTheDocument();
  expect(keep()).toBeEnabled();
});
test('zones from an SVG file keep their work by their names', async () => {
  editor();
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 30"><rect width="10" height="30"><title>Pans</title></rect></svg>';
  const file = new File([svg], 'map.svg', { type: 'image/svg+xml' });
  Object.assign(file, { text: () => Promise.resolve(svg) });
  await userEvent.upload(screen.getByLabelText('From SVG'), file);
  expect(await screen.findByText('1 shapes are laid on the map.')).toBeInTheDocument();
  expect(names()).toEqual(expect.arrayContaining(['Pans', 'Banks']));
  expect(screen.getByText(/^300\.0 in²/)).toBeInTheDocument();
});
test('a file that is no map is said, and the map stays', async () => {
  editor();
  const file = new File(['hello'], 'letter.svg', { type: 'image/svg+xml' });
  Object.assign(file, { text: () => Promise.resolve('hello') });
  await userEvent.upload(screen.getByLabelText('From SVG'), file);
  expect(await screen.findByText('This file is not SVG.')).toBeInTheDocument();
  expect(names()).toEqual(['Pans', 'Banks']);
});
test('a second window is told, and the drawing stays', async () => {
  editor();
  await pick('A');
  await pick('B');
  await press('Merge 2');
  refuseNext(doors.saveMap, '', 'This quilt was changed in another window meanwhile.');
  await userEvent.click(keep());
  expect(await screen.findByText(/changed in another window/)).toBeInTheDocument();
  expect(names()).toEqual(['Pans']);
  expect(router.push).not.toHaveBeenCalled();
});
test('a shape drawn of two corners is not a shape', async () => {
  editor();
  await userEvent.click(screen.getByRole('radio', { name: 'Draw' }));
  expect(screen.getByRole('button', { name: 'Close the shape' })).toBeDisabled();
  fireEvent.keyDown(window, { key: 'Enter' });
  expect(await screen.findByText('A shape needs at least three corners.')).toBeInTheDocument();
});
