import { act, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { LogEntry } from '@/core/stand/log';
import { type Outbox, watchOutbox, write } from './outbox';
import { StandBench } from './StandBench';
import type { ShownStep } from './stand-facts';

jest.mock('./outbox', () => ({
  write: jest.fn(() => Promise.resolve()),
  send: jest.fn(),
  forget: jest.fn(),
  watchOutbox: jest.fn(() => () => {}),
}));
jest.mock('./use-longarm', () => ({ useLongarm: () => ({ state: {}, start: jest.fn(), stop: jest.fn() }) }));
const written = jest.mocked(write);
const watched = jest.mocked(watchOutbox);

/** What the other device says. */
let live: { onmessage?: (m: { data: string }) => void } = {};
beforeEach(() => {
  written.mockClear();
  live = {};
  Object.assign(globalThis, {
    EventSource: function () {
      live = {};
      return Object.assign(live, { close: () => {} });
    },
  });
});

const step = (pass: number, thread: string, part: Partial<ShownStep> = {}): ShownStep => ({
  pass,
  thread,
  stabilise: false,
  minutes: 20,
  stitches: 4000,
  bobbinM: 30,
  topM: 33,
  letters: ['A'],
  zones: ['Border'],
  threadName: thread,
  hex: '#cdbf9f',
  bobbinName: 'Fog',
  bobbinId: 'fog',
  capacityM: 100,
  needle: 'Nm 100 / US 16',
  needleNm: 100,
  needleEye: 'standard',
  needlePoint: 'sharp',
  foot: 'Open-toe foot',
  work: 'swirls, 0.5 in apart',
  mode: 'Idling',
  spi: 11,
  handInPerS: 1.5,
  maxInPerS: 3,
  topGf: '100',
  bobbinGf: '20',
  topPlace: null,
  proven: true,
  besideRuler: false,
  idling: true,
  stitchesPerMin: 990,
  ...part,
});
const steps = [
  step(1, 'Sandbar'),
  step(1, 'Tar', { needle: 'Nm 110 / US 18', foot: 'Ruler foot' }),
  step(2, 'Sandbar'),
];
const stand = (entries: LogEntry[] = [], part: Partial<React.ComponentProps<typeof StandBench>> = {}) =>
  render(
    <StandBench
      quilt={{ id: 'q', name: 'Harbour Lights', widthIn: 64, lengthIn: 80, fixed: true }}
      steps={steps}
      sewnBefore={[]}
      entries={entries}
      cursor={0}
      signPictures={{}}
      signs={[
        { id: 'skipped', label: 'Skipped stitches' },
        { id: 'top_break', label: 'Top thread breaks' },
      ]}
      moreSigns={[{ id: 'oil_marks', label: 'Oil or dark marks' }]}
      raiseBefore={[2]}
      needle={{ nm: 100, stitches: 190_000, worn: 200_000, life: 250_000 }}
      map={<svg />}
      {...part}
    />,
  );
const press = (name: RegExp | string) => userEvent.click(screen.getByRole('button', { name }));
const last = () => written.mock.calls.at(-1)![0];
const entry = (kind: LogEntry['kind'], at: string, part: Partial<LogEntry> = {}): LogEntry => ({
  id: `${kind} ${at}`,
  quiltId: 'q',
  kind,
  at,
  ...part,
});
const told = (part: Partial<Outbox>) =>
  act(() => watched.mock.calls.at(-1)![0]({ waiting: [], refused: [], reached: true, known: true, ...part }));

test('the step, its setting, and only what changes after it', () => {
  stand();
  expect(screen.getByRole('heading', { name: 'Pass 1 · Sandbar' })).toBeVisible();
  expect(screen.getByText('1.5')).toBeVisible();
  expect(screen.getByText(/thread Tar; needle Nm 110 \/ US 18; foot: Ruler foot\./)).toBeVisible();
  expect(screen.getByText(/lasts as long as its thread is sewn/)).toBeVisible();
});

test('begin, pause, go on, done: each an entry, in the order tapped', async () => {
  stand();
  await press(/^Begin/);
  expect(last()).toMatchObject({ kind: 'step-begun', pass: 1, thread: 'Sandbar' });
  await press(/^Pause/);
  await press(/^Go on/);
  await press(/^Step done/);
  expect(written.mock.calls.map(([e]) => e.kind)).toEqual([
    'step-begun',
    'step-paused',
    'step-resumed',
    'step-done',
  ]);
  expect(screen.getByRole('heading', { name: 'Pass 1 · Tar' })).toBeVisible();
  await press('Undo');
  expect(last()).toMatchObject({ kind: 'undone', undoes: written.mock.calls.at(-2)![0].id });
  expect(screen.getByRole('heading', { name: 'Pass 1 · Sandbar' })).toBeVisible();
});

test('the keys do the same, but not while something is typed', async () => {
  stand();
  await userEvent.keyboard(' ');
  expect(last().kind).toBe('step-begun');
  await userEvent.keyboard('{Enter}');
  expect(last().kind).toBe('step-done');
  await press(/^Advance/);
  await userEvent.type(screen.getByLabelText('Width here, in'), '64.5b');
  expect(written.mock.calls).toHaveLength(2);
  expect(screen.getByRole('alert')).toHaveTextContent('A width in inches');
  await userEvent.type(screen.getByLabelText('Width here, in'), '{backspace}');
  await press(/^Go on with pass/);
  expect(written.mock.calls.slice(2).map(([e]) => [e.kind, e.widthIn])).toEqual([
    ['width-measured', 64.5],
    ['advanced', undefined],
  ]);
});

test('a fault in two taps', async () => {
  stand();
  await press(/^Fault/);
  await press('Something else');
  await press('Oil or dark marks');
  await press('Somewhere in this step');
  expect(last()).toMatchObject({ kind: 'fault', symptoms: ['oil_marks'], pass: 1, thread: 'Sandbar' });
});

test('what another device did is followed', () => {
  stand();
  const done = entry('step-done', '2026-11-26T09:00:00Z', { pass: 1, thread: 'Sandbar', stabilise: false });
  act(() => live.onmessage!({ data: JSON.stringify(done) }));
  expect(screen.getByRole('heading', { name: 'Pass 1 · Tar' })).toBeVisible();
});

test('what waits is counted, and what was refused is told with its reason', async () => {
  stand();
  told({ waiting: [entry('note', '2026-11-26T09:00:00Z')], reached: false });
  expect(screen.getByText('1 waits on this device')).toBeVisible();
  told({
    refused: [
      {
        id: 'x',
        reason: 'The plan of this quilt has no such step.',
        entry: entry('step-done', '2026-11-26T09:00:00Z'),
      },
    ],
  });
  expect(
    screen.getByText(/would not take “step done”: The plan of this quilt has no such step/),
  ).toBeVisible();
  await press('Seen');
});

test('at its moment: look at the back, raise the rail, the needle’s life, the width', () => {
  const ago = (min: number) => new Date(Date.now() - min * 60_000).toISOString();
  const widths = [60, 60.4, 60.8, 61.2].map((widthIn, i) =>
    entry('width-measured', ago(50 - i), { pass: i + 1, widthIn }),
  );
  stand([...widths, entry('step-begun', ago(12), { pass: 2, thread: 'Sandbar', stabilise: false })], {
    needle: { nm: 100, stitches: 240_000, worn: 245_000, life: 250_000 },
  });
  expect(screen.getByText('Stop, needle up: look at the back.')).toBeVisible();
  expect(screen.getByText('The roll has grown: raise the rail before pass 2.')).toBeVisible();
});

test('the list: each can be taken back; keys are given anew', async () => {
  stand([entry('bobbin-changed', '2026-11-26T09:00:00Z')]);
  await press('List, machine, tempo');
  const dialog = screen.getByRole('dialog', { name: 'What was written down' });
  expect(within(dialog).getByText('bobbin changed')).toBeVisible();
  await userEvent.click(within(dialog).getByRole('button', { name: 'Take back' }));
  expect(last()).toMatchObject({ kind: 'undone', undoes: 'bobbin-changed 2026-11-26T09:00:00Z' });
  await press('Keys and pedals');
  const keys = within(screen.getByRole('dialog', { name: 'Keys and pedals' }));
  await userEvent.click(keys.getByRole('button', { name: /^Step done/ }));
  await userEvent.keyboard('{PageDown}');
  expect(keys.getByRole('button', { name: /Step done\s*PageDown/ })).toBeVisible();
});

test('when all is done it says what comes', () => {
  stand([], { sewnBefore: ['1 Sandbar fill', '1 Tar fill', '2 Sandbar fill'] });
  expect(screen.getByText(/Every step is done/)).toBeVisible();
});

test('without fixed passes it leads to the plan', () => {
  stand([], { quilt: { id: 'q', name: 'x', widthIn: 1, lengthIn: 1, fixed: false } });
  expect(screen.getByRole('link', { name: 'To its plan' })).toHaveAttribute('href', '/quilts/q/quilt');
});
