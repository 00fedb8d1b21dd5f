import { render, screen, within } from '@testing-library/react';
import type { RackQuilt } from '@/actions/rack';
import { type HandLine, needsYourHand, progressOf, type Rail, railsOf, statusOf } from '@/core/rack/rack';
import type { ChosenSetup, Fault, Quilt } from '@/data/types';
import { aCone, aQuilt, aZone } from '@/ui/testing/studio';
import { predicted } from '@/core/source/known';
import { HandList } from './HandList';
import { OnFrame } from './OnFrame';
import { RackRail } from './RackRail';

const today = new Date('2026-11-25T09:00:00');
const hung = (part: Partial<Quilt> = {}, rest: Partial<RackQuilt> = {}): RackQuilt => ({
  quilt: aQuilt(part),
  zones: [aZone()],
  states: ['matched'],
  bands: [{ hex: '#b9c6c9', share: 1 }],
  fill: 0.4,
  progress: { all: 6, sewn: 2 },
  passesSewn: [],
  hoursLeft: predicted(5.25),
  daysOver: 0,
  status: 'Match: 1 zone open',
  ...rest,
});
const wholePasses = (n: number): Quilt['sewn'] =>
  Array.from({ length: n }, (_, i) => ({ pass: i + 1, thread: null, stabilise: false }));
/** A step to each pass. */
const stepsOf = (n: number) =>
  Array.from({ length: n }, (_, i) => ({ pass: i + 1, thread: 'fog', stabilise: false }));
const rail = (part: Partial<Rail<RackQuilt>> = {}): Rail<RackQuilt> => ({
  title: 'This week',
  dates: '23 Nov to 29 Nov',
  quilts: [],
  hoursLeft: predicted(0),
  hoursAtFrame: 30,
  ...part,
});

describe('where a quilt stands', () => {
  test.each<[Partial<Quilt>, RackQuilt['states'], string]>([
    [{ step: 'take-in' }, [], 'Taken in 3 days ago'],
    [{ step: 'match' }, ['to match', 'to match', 'proven'], 'Match: 2 zones open'],
    [{ step: 'match' }, ['matched'], 'All zones matched'],
    [{ step: 'test' }, ['testing', 'proven'], 'Test: 1 zone to go'],
    [{ step: 'test' }, ['proven'], 'All zones tested'],
    [{ step: 'quilt', passes: 6, sewn: wholePasses(2) }, [], 'Step 3 of 6'],
    [{ step: 'quilt', passes: 6, sewn: wholePasses(6) }, [], 'Step 6 of 6'],
    [{ step: 'quilt', passes: null }, [], 'Passes to lock in'],
    [{ step: 'hand-back' }, [], 'Quilted, trim and inspect'],
    [{ step: 'match', waitsFor: 'Backing to come' }, ['to match'], 'Backing to come'],
    [{ step: 'quilt', onFrameSince: '2026-11-24' as never, waitsFor: 'x' }, [], 'On the frame now'],
  ])('%j with %j: “%s”', (part, states, words) => {
    const quilt = aQuilt(part);
    expect(statusOf(quilt, states, 3, progressOf(quilt, stepsOf(quilt.passes ?? 0)))).toBe(words);
  });
  test('taken in today', () =>
    expect(statusOf(aQuilt({ step: 'take-in' }), [], 0, { all: 0, sewn: 0 })).toBe('Taken in today'));
  test('passes that hold no step yet wait for their zones', () =>
    expect(statusOf(aQuilt({ step: 'quilt', passes: 4 }), ['to match'], 0, { all: 0, sewn: 0 })).toBe(
      'Zones to match',
    ));
  test('what is sewn counts whole, whatever its steps would be today', () =>
    expect(progressOf({ step: 'hand-back', sewn: wholePasses(3) }, stepsOf(5))).toEqual({ all: 5, sewn: 5 }));
});

describe('the rails', () => {
  const dayHours = [6, 6, 6, 6, 6, 0, 0];
  const on = (dueOn: string) =>
    railsOf([hung({ dueOn })], { dayHours }, today).findIndex((r) => r.quilts.length === 1);
  test.each([
    ['2026-10-01', 0],
    ['2026-11-25', 0],
    ['2026-11-29', 0],
    ['2026-11-30', 1],
    ['2026-12-06', 1],
    ['2026-12-07', 2],
    ['2028-01-01', 2],
  ])('due %s hangs on rail %d', (due, n) => expect(on(due)).toBe(n));
  test('hours add up; the last rail has no week to measure against', () => {
    const rails = railsOf([hung(), hung({ id: 'q2' })], { dayHours }, today);
    expect(rails[0]).toMatchObject({ hoursLeft: { value: 10.5 }, hoursAtFrame: 30 });
    expect(rails[2]!.hoursAtFrame).toBeNull();
  });
});

describe('what needs a hand', () => {
  const setup = (part: Partial<ChosenSetup>) =>
    ({ topId: 'cone-fog', bobbinId: 'cone-fog', rounds: 0, provenAt: null, ...part }) as ChosenSetup;
  const fault = { quiltId: 'quilt-1', note: 'Over the seam' } as Fault;
  const kinds = (lines: HandLine[]) => lines.map((l) => l.kind);

  test('overdue first, then tests, faults, thread, open zones', () => {
    const lines = needsYourHand(
      [
        hung(
          { step: 'hand-back' },
          {
            daysOver: 2,
            zones: [aZone(), aZone({ id: 'zone-b', letter: 'B' })],
            states: ['testing', 'to match'],
          },
        ),
      ],
      new Map([['zone-a', setup({ rounds: 2 })]]),
      [aCone({ remainingM: 50 })],
      new Map([['cone-fog', 300]]),
      [fault],
    );
    expect(kinds(lines)).toEqual(['flag', 'test', 'fault', 'cone', 'zone']);
    expect(lines[0]!.title).toBe('Harbour Lights is 2 days over');
    expect(lines[1]!.detail).toBe('Zone A, Harbour border: 2 tests sewn');
    expect(lines[3]).toMatchObject({
      detail: '50 m left, 300 m wanted by the quilts on the rack',
      href: '/quilts/quilt-1/match?zone=zone-a',
    });
  });
  test('a cone not counted is not said to be short', () => {
    const lines = needsYourHand([], new Map(), [aCone({ remainingM: null })], new Map([['cone-fog', 9]]), []);
    expect(lines).toEqual([]);
  });
  test('faults of a quilt that is still to be sewn can wait', () => {
    const lines = needsYourHand(
      [hung({ step: 'match' })],
      new Map([['zone-a', setup({ provenAt: new Date() })]]),
      [],
      new Map(),
      [fault],
    );
    expect(lines).toEqual([]);
  });
  test('never more than six', () => {
    const many = Array.from({ length: 20 }, (_, i) => hung({ id: `q${i}` }, { daysOver: 1 }));
    expect(needsYourHand(many, new Map(), [], new Map(), [])).toHaveLength(6);
  });
});

describe('a rail as it hangs', () => {
  test('each quilt says whose it is, when it is due and where it stands, and leads there', () => {
    render(<RackRail rail={rail({ quilts: [hung()] })} />);
    const link = screen.getByRole('link', { name: /^Harbour Lights/ });
    expect(link).toHaveAttribute('href', '/quilts/quilt-1/match');
    expect(link).toHaveTextContent('Odile Marshdue Fri 27 NovMatch: 1 zone open');
  });
  test.each([
    [1, '1 day over'],
    [3, '3 days over'],
  ])('%d over is said in words beside the flag', (daysOver, words) => {
    render(<RackRail rail={rail({ quilts: [hung({}, { daysOver })] })} />);
    expect(screen.getByText(words)).toBeInTheDocument();
  });
  test.each<[Partial<Rail<RackQuilt>>, string]>([
    [{ hoursLeft: predicted(12), hoursAtFrame: 30 }, 'of 30 h at the frame'],
    [{ hoursLeft: predicted(40), hoursAtFrame: 30 }, 'only 30 h at the frame'],
    [{ hoursLeft: predicted(12), hoursAtFrame: null }, 'no hours set'],
  ])('%j: “%s”', (part, words) => {
    render(<RackRail rail={rail(part)} />);
    expect(screen.getByText(words)).toBeInTheDocument();
  });
  test('an empty rail says what will hang there; a very full one counts the rest', () => {
    render(<RackRail rail={rail()} />);
    expect(screen.getByText(/No quilt is due/)).toBeInTheDocument();
    render(
      <RackRail
        rail={rail({ title: 'Later', quilts: Array.from({ length: 60 }, (_, i) => hung({ id: `q${i}` })) })}
      />,
    );
    const later = screen.getByRole('region', { name: 'Later' });
    expect(within(later).getAllByRole('link')).toHaveLength(24);
    expect(later).toHaveTextContent('and 36 more');
  });
});

test('the list of acts: each line has one, named for what it acts on', () => {
  render(
    <HandList
      lines={[{ kind: 'cone', title: 'Fog is short', detail: '50 m left', act: 'See why', href: '/x' }]}
    />,
  );
  expect(screen.getByRole('link', { name: 'See why: Fog is short' })).toHaveAttribute('href', '/x');
});
test('nothing waits', () => {
  render(<HandList lines={[]} />);
  expect(screen.getByText(/Nothing waits/)).toBeInTheDocument();
});
test('the quilt on the frame: its pass, what is left, and the way on', () => {
  render(
    <OnFrame
      framed={{
        ...hung({ passes: 6, sewn: wholePasses(2), depthsIn: [14, 14, 14, 14, 14, 10] }),
        faults: [],
      }}
    />,
  );
  expect(screen.getByText('Step 3')).toBeInTheDocument();
  expect(screen.getByText('5.3 h')).toBeInTheDocument();
  expect(screen.getByRole('link', { name: 'Go on with this quilt' })).toHaveAttribute(
    'href',
    '/quilts/quilt-1/quilt',
  );
});
