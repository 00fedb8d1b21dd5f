import { act, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import type { LogEntry } from '@/core/log/entry';
import { lastSent } from '@/ui/testing/studio';
import { type Outbox, watchOutbox, write } from './outbox';
import { StandScreen } from './StandScreen';
import type { ShownStep, ShownThread, ShownZone } from './stand-facts';

jest.mock('./outbox', () => ({
  write: jest.fn(() => Promise.resolve()),
  send: jest.fn(),
  forget: jest.fn(),
  watchOutbox: jest.fn(() => () => {}),
}));
jest.mock('./use-longarm', () => ({
  useLongarm: () => ({ state: { summary: { stitches: 0 }, path: [] }, start: jest.fn(), stop: jest.fn() }),
}));
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

const zone = (letter: string, part: Partial<ShownZone> = {}): ShownZone => ({
  id: `zone-${letter}`,
  letter,
  name: 'Border',
  work: 'swirls, 0.5 in spacing',
  stitches: 4000,
  bobbinId: 'fog',
  bobbinM: 30,
  topId: 'sand',
  chosenAt: 0,
  provenAt: 1,
  foot: 'open-toe',
  cardFoot: 'open-toe',
  mode: 'idling',
  spi: 12,
  handInPerS: 1.5,
  maxInPerS: 3,
  topGf: 100,
  bobbinGf: 20,
  needleNm: 100,
  needleEye: 'standard',
  needlePoint: 'sharp',
  besideRuler: false,
  watch: [],
  marking: '',
  ends: 'Start: here. End: there. Stop: needle down.',
  route: [],
  ...part,
});
const step = (pass: number, thread: string, zones: ShownZone[]): ShownStep => ({
  pass,
  thread,
  stabilise: false,
  minutes: 20,
  zones: zones.map((z) => ({ ...z, topId: thread })),
});
const ruler = {
  foot: 'ruler',
  cardFoot: 'ruler',
  spi: 11,
  handInPerS: 1.1,
  topGf: 104,
  name: 'Sashing',
} as const;
const steps = [
  step(1, 'sand', [
    zone('A'),
    zone('C', ruler),
    zone('B', {
      watch: [
        {
          code: 'pocket-open',
          label: 'pocket',
          text: 'Mark the pocket; stitch inside the flap, never across.',
        },
      ],
    }),
  ]),
  step(1, 'tar', [zone('A', { needleNm: 110 })]),
  step(2, 'sand', [zone('A')]),
];
const thread = (id: string, name: string, wound = 0): ShownThread => ({
  id,
  name,
  hex: '#cdbf9f',
  role: id === 'fog' ? 'bobbin' : 'top',
  capacityM: 100,
  wound,
});
const stand = (entries: LogEntry[] = [], part: Partial<React.ComponentProps<typeof StandScreen>> = {}) =>
  render(
    <StandScreen
      quilt={{
        id: 'q',
        name: 'Harbour Lights',
        fixed: true,
        quilted: false,
        onFrame: true,
        framed: null,
        watch: '',
      }}
      steps={steps}
      threads={[thread('sand', 'Sandbar'), thread('tar', 'Tar'), thread('fog', 'Fog', 2)]}
      drawing={{
        widthIn: 64,
        lengthIn: 80,
        turned: false,
        zones: ['A', 'B', 'C'].map((letter) => ({
          id: `zone-${letter}`,
          letter,
          name: letter,
          d: 'M0 0H64V80H0Z',
          hex: '#b4c6cf',
          watch: letter === 'B' ? ['pocket'] : [],
        })),
        passes: [
          { from: 0, to: 12, spots: { 'zone-A': [5, 5], 'zone-B': [20, 5], 'zone-C': [40, 5] } },
          { from: 12, to: 24, spots: { 'zone-A': [5, 18] } },
        ],
      }}
      measured={[]}
      school="both"
      feet={['open-toe', 'ruler', 'bowl']}
      pins={[]}
      sewnBefore={[]}
      entries={entries}
      cursor={0}
      signs={[
        { id: 'skipped', label: 'Skipped stitches' },
        { id: 'top_break', label: 'Top thread breaks' },
      ]}
      moreSigns={[{ id: 'oil_marks', label: 'Oil or dark marks' }]}
      raiseBefore={[2]}
      needle={{ nm: 100, eye: 'standard', coated: false, stitches: 190_000, worn: 200_000, life: 250_000 }}
      drawer={[
        { nm: 100, eye: 'standard', point: 'sharp', coated: true, stock: 3 },
        { nm: 110, eye: 'standard', point: 'sharp', coated: false, stock: 1 },
      ]}
      care={{ known: [], askedAt: 0 }}
      air={{ nowPct: null, testedPct: {} }}
      restEveryMin={30}
      map={{ widthIn: 60, lengthIn: 60, zones: [], width: 420, idPrefix: 'stand' }}
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

const zoneInHand = () => screen.getByText(/^zone \d of 3/).parentElement!.textContent;
const facts = () =>
  Object.fromEntries(
    screen.getAllByRole('term').map((t) => [t.textContent, t.nextElementSibling!.textContent]),
  );

test('where tensions are set by dial and eye, no grams stand large', () => {
  stand([], { school: 'dial' });
  expect(screen.queryByText(/tension, g$/)).toBeNull();
  expect(screen.getByText('Bobbin tension').closest('div')).toHaveTextContent(/drop test|turn|mark/);
});

test('zone by zone in its order, each with its own foot, stitch, speed and tension, and what to change first', async () => {
  stand();
  expect(screen.getByRole('heading', { name: 'Pass 1 · Sandbar' })).toBeVisible();
  expect(facts()).toMatchObject({
    Foot: 'Open-toe foot',
    'Stitches per inch': '12',
    'Sewing speed, in/s': '1.5',
  });
  expect(
    screen.getByText(/Ruler foot on; top tension 100 → 104 g; 12 → 11 spi; sewing speed 1\.5 → 1\.1/),
  ).toBeVisible();
  expect(screen.getAllByText('same for A, B').length).toBeGreaterThan(2);
  await press(/^Next zone C/);
  expect(last()).toMatchObject({ kind: 'zone-begun', zoneId: 'zone-C', pass: 1, thread: 'sand' });
  expect(zoneInHand()).toMatch(/^zone 2 of 3: C Sashing/);
  expect(facts()).toMatchObject({
    Foot: 'Ruler foot',
    'Stitches per inch': '11',
    'Sewing speed, in/s': '1.1',
    'Top tension, g': '104',
  });
  expect(screen.queryByText(/Mark the pocket/)).toBeNull();
  await userEvent.keyboard('z');
  expect(zoneInHand()).toMatch(/^zone 3 of 3: B/);
  // What was written at the counter comes up with its zone.
  expect(screen.getByText(/Mark the pocket; stitch inside the flap/)).toBeVisible();
  expect(screen.getByText(/top thread Tar; needle Nm 110 · US 18 · 4\.0\./)).toBeVisible();
  await userEvent.keyboard('u');
  expect(zoneInHand()).toMatch(/^zone 2 of 3/);
});

test('start, pause, go on, finish: each an entry, in the order tapped; undo takes back the newest', async () => {
  stand();
  await press(/^Start step/);
  expect(last()).toMatchObject({ kind: 'step-begun', pass: 1, thread: 'sand' });
  await press(/^Pause/);
  await press(/^Go on/);
  await press(/^Finish step/);
  expect(written.mock.calls.map(([e]) => e.kind)).toEqual([
    'step-begun',
    'step-paused',
    'step-resumed',
    'step-done',
  ]);
  expect(screen.getByRole('heading', { name: 'Pass 1 · Tar' })).toBeVisible();
  await press(/^Undo/);
  expect(last()).toMatchObject({ kind: 'undone', undoes: written.mock.calls.at(-2)![0].id });
  expect(screen.getByRole('heading', { name: 'Pass 1 · Sandbar' })).toBeVisible();
});

test('at the end of pass 1 it says “Advance to pass 2”, books the width there, and keeps saying so until it is done', async () => {
  stand([], { sewnBefore: ['1 sand fill'] });
  await press(/^Finish step/);
  const panel = within(screen.getByRole('dialog', { name: 'Advance to pass 2' }));
  expect(panel.getByText(/The roll has grown: set the rail higher/)).toBeVisible();
  await press('Back');
  expect(screen.getByText('Advance to pass 2: the roll has grown, raise the rail.')).toBeVisible();
  await press(/^Advance\s*A$/);
  await userEvent.type(screen.getByLabelText('Width at its start, in'), '64.5');
  await press('Pass 2 lies on the frame');
  expect(written.mock.calls.slice(-2).map(([e]) => [e.kind, e.pass, e.widthIn])).toEqual([
    ['width-measured', 2, 64.5],
    ['advanced', 2, undefined],
  ]);
  expect(screen.queryByText(/Advance to pass 2/)).toBeNull();
  // A step taken back lies a pass above: rolling back is the mirror of rolling on.
  await userEvent.keyboard('u');
  expect(screen.getByText(/Advance to pass 2/)).toBeVisible();
});

test('the keys do the same, but not while something is typed', async () => {
  stand();
  await userEvent.keyboard(' ');
  expect(last().kind).toBe('step-begun');
  await press(/^Advance/);
  await userEvent.type(screen.getByLabelText('Width at its start, in'), '64.5b');
  expect(written.mock.calls).toHaveLength(1);
  expect(screen.getByRole('alert')).toHaveTextContent('A width in inches');
});

test('a fault in two taps carries the zone in hand, its step, and the stitches sewn so far', async () => {
  const began = new Date(Date.now() - 10 * 60_000).toISOString();
  stand([entry('step-begun', began, { pass: 1, thread: 'sand', stabilise: false })]);
  await press(/^Fault/);
  await press('Something else');
  await press('Oil or dark marks');
  await press('Somewhere in this step');
  expect(last()).toMatchObject({
    kind: 'fault',
    symptoms: ['oil_marks'],
    pass: 1,
    thread: 'sand',
    zoneId: 'zone-A',
  });
  // Half of the twenty minutes, so about half of its twelve thousand stitches.
  expect(last().stitches).toBeGreaterThan(5900);
  expect(last().stitches).toBeLessThan(6300);
});

test('a bobbin comes off the tray; without one there it is asked, and one wound now comes off the cone', async () => {
  stand();
  await press(/^Bobbin changed/);
  await press(/^Bobbin changed/);
  expect(written.mock.calls.map(([e]) => [e.kind, e.thread, e.woundM])).toEqual([
    ['bobbin-changed', 'fog', undefined],
    ['bobbin-changed', 'fog', undefined],
  ]);
  await press(/^Bobbin changed/);
  expect(screen.getByRole('dialog', { name: 'No bobbin of Fog is on the tray' })).toBeVisible();
  await press('Wound one, it is in');
  expect(last()).toMatchObject({ kind: 'bobbin-changed', thread: 'fog', woundM: 100 });
});

test('a needle changed is shown at once, its life from nothing, coated as the drawer has it', async () => {
  stand([], {
    needle: { nm: 90, eye: 'standard', coated: false, stitches: 240_000, worn: 245_000, life: 250_000 },
  });
  expect(screen.getByText(/in the machine: Nm 90\. Change it/)).toBeVisible();
  expect(screen.getByText(/The needle is worn/)).toBeVisible();
  await press(/^Needle changed/);
  expect(last()).toMatchObject({ kind: 'needle-changed', nm: 100, coated: true });
  expect(screen.queryByText(/in the machine: Nm 90/)).toBeNull();
  expect(screen.queryByText(/The needle is worn/)).toBeNull();
});

test('another quilt on this frame is asked about before this one is begun', async () => {
  stand([], {
    quilt: {
      id: 'q',
      name: 'Slipway',
      fixed: true,
      quilted: false,
      onFrame: false,
      framed: { id: 'h', name: 'Harbour Lights' },
      watch: '',
    },
  });
  await press(/^Start step/);
  expect(written).not.toHaveBeenCalled();
  await press('Take Harbour Lights off');
  expect(lastSent(doors.putOnFrame)).toMatchObject({ quiltId: 'q', where: 'on', insteadOf: 'h' });
  // The step that was asked for begins: it is not asked for twice.
  await waitFor(() => expect(written).toHaveBeenCalledTimes(1));
});

test('what is set otherwise stands large, with what the card says, for every zone that shares it', () => {
  const at = '2026-11-26T09:00:00Z';
  stand(
    [entry('setting-changed', at, { setting: 'topGf', from: 100, to: 112, zones: ['zone-A', 'zone-B'] })],
    { steps: steps.map((s) => ({ ...s, zones: s.zones.map((z) => ({ ...z, provenAt: null })) })) },
  );
  expect(facts()['Top tension, g']).toBe('112');
  expect(screen.getByText('the card says 100')).toBeVisible();
  expect(screen.getByRole('button', { name: /^Undo.*top tension 100 g → top tension 112 g/ })).toBeVisible();
});

test('what another device did is followed', () => {
  stand();
  const done = entry('step-done', '2026-11-26T09:00:00Z', { pass: 1, thread: 'sand', stabilise: false });
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
    screen.getByText(/would not take “step finished”: The plan of this quilt has no such step/),
  ).toBeVisible();
  await press('Seen');
});

test('at its moment: check the back, the needle’s life, the width', () => {
  const ago = (min: number) => new Date(Date.now() - min * 60_000).toISOString();
  const widths = [60, 60.4, 60.8, 61.2].map((widthIn, i) =>
    entry('width-measured', ago(50 - i), { pass: i + 1, widthIn }),
  );
  stand([...widths, entry('step-begun', ago(12), { pass: 1, thread: 'sand', stabilise: false })], {
    needle: { nm: 100, eye: 'standard', coated: false, stitches: 240_000, worn: 245_000, life: 250_000 },
  });
  expect(screen.getByText('Stop, needle up: check the back.')).toBeVisible();
  expect(screen.getByText('The needle is worn: 98 % of its life.')).toBeVisible();
});

test('the list: each can be undone; keys are given anew', async () => {
  stand([entry('bobbin-changed', '2026-11-26T09:00:00Z')]);
  await press('More');
  const dialog = screen.getByRole('dialog', { name: 'What was written down' });
  expect(within(dialog).getByText('bobbin changed')).toBeVisible();
  await userEvent.click(within(dialog).getByRole('button', { name: 'Undo' }));
  expect(last()).toMatchObject({ kind: 'undone', undoes: 'bobbin-changed 2026-11-26T09:00:00Z' });
  await press('Keys and pedals');
  const keys = within(screen.getByRole('dialog', { name: 'Keys and pedals' }));
  await userEvent.click(keys.getByRole('button', { name: /^Finish step/ }));
  await userEvent.keyboard('{PageDown}');
  expect(keys.getByRole('button', { name: /Finish step\s*PageDown/ })).toBeVisible();
});

test('when all is done it says what comes', () => {
  stand([], { sewnBefore: ['1 sand fill', '1 tar fill', '2 sand fill'] });
  expect(screen.getByText(/Every step is sewn/)).toBeVisible();
  expect(screen.getByRole('link', { name: 'To hand back' })).toHaveAttribute('href', '/quilts/q/hand-back');
});

test('without fixed passes it leads to the plan', () => {
  stand([], {
    quilt: { id: 'q', name: 'x', fixed: false, quilted: false, onFrame: false, framed: null, watch: '' },
  });
  expect(screen.getByRole('link', { name: 'To its plan' })).toHaveAttribute('href', '/quilts/q/quilt');
});
