import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { router } from '@/ui/testing/browser';
import { aQuilt, aZone } from '@/ui/testing/studio';
import type { FaultQuilt } from '@/ui/faults/FaultDialog';
import { QuiltKeys } from './QuiltKeys';

const zones = ['a', 'b', 'c'].map((id) => aZone({ id: `zone-${id}`, letter: id.toUpperCase() }));
const hrefs = ['/q/take-in', '/q/match', null, '/q/quilt', '/q/hand-back'];
const show = (zoneId?: string) =>
  render(
    <>
      <input aria-label="Notes" />
      <QuiltKeys
        quilt={aQuilt() as unknown as FaultQuilt}
        zones={zones}
        zoneId={zoneId}
        page="match"
        stepHrefs={hrefs}
        faults={[]}
      />
    </>,
  );
const key = (name: string, more: object = {}, on: Element | Window = window) =>
  fireEvent.keyDown(on, { key: name, ...more });
const went = () => router.push.mock.calls.map(([to]) => to as string);

test('numbers lead to the steps; one that is not there yet leads nowhere', () => {
  show('zone-a');
  for (const n of ['1', '2', '3', '4', '5', '6', '0']) key(n);
  expect(went()).toEqual(hrefs.filter(Boolean));
});

test('brackets go round the zones both ways', () => {
  show('zone-a');
  key('[');
  key(']');
  expect(went()).toEqual(['/quilts/quilt-1/match?zone=zone-c', '/quilts/quilt-1/match?zone=zone-b']);
});

test('T leads to the test of this zone, or of the quilt where none is picked', () => {
  const { unmount } = show('zone-b');
  key('t');
  unmount();
  show();
  key('T');
  expect(went()).toEqual(['/quilts/quilt-1/test?zone=zone-b', '/quilts/quilt-1/test']);
});

test('letters rest while one types, with a modifier, and over a dialog', async () => {
  show('zone-a');
  key('2', {}, screen.getByLabelText('Notes'));
  key('2', { ctrlKey: true });
  key('2', { metaKey: true });
  key('2', { altKey: true });
  expect(went()).toEqual([]);
  key('?');
  expect(await screen.findByRole('dialog', { name: 'Keys' })).toBeInTheDocument();
  key('2');
  expect(went()).toEqual([]);
});

test('a key that means something here means nothing else to the browser; any other is left alone', () => {
  show('zone-a');
  // fireEvent says false where the event was taken.
  expect(key('2')).toBe(false);
  expect(key('x')).toBe(true);
  expect(key('3')).toBe(true);
});

test('F opens the note of a fault, of this zone', async () => {
  const asked = jest.fn((_url: string) => Promise.resolve({ ok: true, json: () => Promise.resolve([]) }));
  globalThis.fetch = asked as unknown as typeof fetch;
  show('zone-b');
  key('f');
  expect(await screen.findByRole('dialog')).toBeInTheDocument();
  await waitFor(() => expect(asked.mock.calls[0]![0]).toBe('/quilts/quilt-1/faults/start?zone=zone-b'));
});
