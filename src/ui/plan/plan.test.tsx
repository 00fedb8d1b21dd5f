import { rollPassByPass } from '@/core/stand/roll';
import { PassTable } from './PassTable';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { density } from '@/core/density/density';
import { learnHours, NOTHING_LOGGED } from '@/core/hours/factors';
import type { OrderRequest } from '@/core/order/cells';
import { planOrder } from '@/core/order/order';
import type { WorkPlan } from '@/core/plan/planned';
import { aZone, lastSent, refuseNext } from '@/ui/testing/studio';
import { DensityTable } from './DensityTable';
import { OrderList } from './OrderList';
import type { OrderStep } from './StepWords';
import { StepForm } from './StepForm';
import { useOrder } from './use-order';
import { ZoneWorkTable } from './ZoneWorkTable';
import { fill } from '@/ui/testing/fill';

jest.mock('./use-order', () => ({ useOrder: jest.fn() }));

const LOGGED = [{ minutes: 30, parts: [{ technique: 'swirls', handsMin: 25, actsMin: 2 }] }];
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

const next = {
  pass: 3,
  thread: 'fog',
  stabilise: false,
  words: 'pass 3, Heron Poly 60 Fog, zones A, B',
  minutes: 38.4,
};

describe('one next act at a time', () => {
  const form = (part: Partial<Parameters<typeof StepForm>[0]> = {}) =>
    render(
      <StepForm
        quiltId="quilt-1"
        version={4}
        turnRule="auto"
        planned={6}
        fixed={null}
        begun={false}
        moved={[]}
        next={next}
        onFrame={false}
        framed={null}
        quilted={false}
        home={false}
        {...part}
      />,
    );
  const buttons = () => screen.getAllByRole('button').map((b) => b.textContent);

  test('passes not locked in yet: lock them in, or load the quilt upright', async () => {
    form();
    expect(buttons()).toEqual(['Lock in these 6 passes', 'Load it upright']);
    await press('Lock in these 6 passes');
    expect(lastSent(doors.fixPlan)).toMatchObject({
      quiltId: 'quilt-1',
      version: 4,
      turnRule: 'auto',
    });
  });
  test('the other rule is asked for with the same act', async () => {
    form({ turnRule: 'never' });
    await press('Load it sideways where that saves passes');
    expect(lastSent(doors.fixPlan)).toMatchObject({ turnRule: 'auto' });
  });
  test('locked in: put it on the frame, and mind the rollers', async () => {
    form({ fixed: 6 });
    expect(buttons()).toEqual(['Put it on the frame']);
    expect(screen.getByText(/Fingers clear of rollers/)).toBeInTheDocument();
    await press('Put it on the frame');
    expect(lastSent(doors.putOnFrame)).toMatchObject({ where: 'on' });
  });
  test('a Workroom that moved on is said; the passes stand until the quilter says otherwise', async () => {
    form({ fixed: 5, moved: ['The throat was 20 in and is now 24 in.'] });
    expect(
      screen.getByText(/has moved on since this quilt was begun. The throat was 20 in/),
    ).toBeInTheDocument();
    await press('Lock the passes in anew');
    expect(lastSent(doors.fixPlan)).toMatchObject({ quiltId: 'quilt-1', version: 4 });
  });
  test('once begun only what is not sewn is planned anew', () => {
    form({ fixed: 5, begun: true, onFrame: true, moved: ['The throat was 20 in and is now 24 in.'] });
    expect(buttons()).toContain('Plan anew what is not sewn');
    expect(buttons()).not.toContain('Lock in these 6 passes');
  });
  test('on the frame: the next step is logged with its minutes', async () => {
    form({ fixed: 6, begun: true, onFrame: true });
    await fill(screen.getByLabelText(/^Minutes for pass 3, Heron/), '41');
    await press('Finish step');
    expect(lastSent(doors.logStep)).toMatchObject({
      quiltId: 'quilt-1',
      pass: 3,
      thread: 'fog',
      stabilise: false,
      minutes: 41,
    });
    expect(screen.getByText(/about 38/)).toBeInTheDocument();
  });
  test('minutes refused stand at their field', async () => {
    form({ fixed: 6, begun: true, onFrame: true });
    await fill(screen.getByLabelText(/^Minutes for pass 3/), '0');
    refuseNext(doors.logStep, 'minutes', 'The minutes must lie between 1 and 2000.');
    await press('Finish step');
    expect(await screen.findByText('The minutes must lie between 1 and 2000.')).toBeInTheDocument();
    expect(screen.getByLabelText(/^Minutes for pass 3/)).toHaveValue('0');
  });
  test('all sewn: the way home is next, and its record once it is home', () => {
    form({ fixed: 6, next: null, quilted: true });
    expect(screen.getByRole('link', { name: 'To hand back' })).toHaveAttribute(
      'href',
      '/quilts/quilt-1/hand-back',
    );
    form({ fixed: 6, next: null, quilted: true, home: true });
    expect(screen.getByRole('link', { name: /It is home/ })).toBeInTheDocument();
  });
  test('a frame that is taken is said', async () => {
    form({ fixed: 6 });
    refuseNext(doors.putOnFrame, '', 'Another quilt is on this frame. Take it off first.');
    await press('Put it on the frame');
    expect(await screen.findByText(/Another quilt is on this frame/)).toBeInTheDocument();
  });
  test('another quilt on the frame is asked about first', async () => {
    form({ fixed: 6, framed: { id: 'quilt-2', name: 'Slipway' } });
    await press('Put it on the frame');
    await press('Take Slipway off');
    expect(lastSent(doors.putOnFrame)).toMatchObject({ where: 'on', insteadOf: 'quilt-2' });
  });
  test('all sewn: nothing is asked', () => {
    form({ fixed: 6, next: null });
    expect(screen.queryByRole('button')).not.toBeInTheDocument();
  });
});

describe('the order of work', () => {
  const request: OrderRequest = {
    passes: 3,
    threads: ['fog', 'tar'],
    cells: [
      { pass: 1, thread: 'fog', stabilise: true, minutes: 20 },
      { pass: 1, thread: 'tar', minutes: 12 },
      { pass: 2, thread: 'fog', minutes: 18 },
      { pass: 2, thread: 'tar', minutes: 9 },
      { pass: 3, thread: 'fog', minutes: 15.4 },
    ],
    rollMin: 3,
    changeMin: 3,
  };
  const threads = { fog: { name: 'Heron Poly 60 Fog', hex: '#b9c6c9' }, tar: { name: 'Tar', hex: null } };
  const stepsOf = (cells: OrderRequest['cells']): OrderStep[] =>
    cells.map((c) => ({
      pass: c.pass,
      thread: c.thread,
      stabilise: c.stabilise ?? false,
      ownMin: c.minutes,
      zones: [{ id: `${c.pass} ${c.thread} a`, letter: 'A', name: 'Border', foot: 'Open-toe foot' }],
    }));
  const list = (part: Partial<Parameters<typeof OrderList>[0]> = {}) => {
    jest.mocked(useOrder).mockImplementation((r) => planOrder(r));
    return render(
      <OrderList
        quiltId="quilt-1"
        version={4}
        request={request}
        basteMin={2}
        actsFactor={1}
        steps={stepsOf(request.cells)}
        byHand={false}
        begun={false}
        threads={threads}
        sewn={['1 fog stabilise', '1 tar fill']}
        small={[]}
        insideProblems={{}}
        {...part}
      />,
    );
  };
  const steps = () => within(screen.getByRole('list', { name: 'Order of work' })).getAllByRole('listitem');

  test('says what it costs in minutes and in the hand, beside the other ways', () => {
    const { container } = list();
    // Five steps with the thread changed at each: two rolls and four changes.
    expect(container).toHaveTextContent(
      /Rolling and thread changes: 18 min .*, 4 changes of thread and tension\./,
    );
    const found = planOrder(request);
    expect(container).toHaveTextContent(
      `The order worked out saves ${18 - Math.round(found.minutes)} min and spares ${4 - found.changes} changes`,
    );
    expect(steps()).toHaveLength(5);
  });
  test('each step says its pass, thread, zones, a change, its minutes with what the order brings, and whether it is sewn', () => {
    list();
    expect(steps()[0]).toHaveTextContent('1pass 1Heron Poly 60 Fog, zone A, holds the layerssewn');
    // 18 minutes of its own, a roll, basting and a change of thread.
    expect(steps()[2]).toHaveTextContent('pass 2Heron Poly 60 Fog, zone A, change thread26 min');
  });
  test('an order laid by hand is priced, and reset', async () => {
    const { container } = list({ byHand: true });
    expect(container).toHaveTextContent('as you laid it');
    await press('Reset');
    expect(lastSent(doors.setOrder)).toMatchObject({ quiltId: 'quilt-1', version: 4, order: [] });
  });
  test('a fill before its pass is stabilised is said, and so is a band left between two sewn ones', () => {
    const [ditch, fill, ...rest] = stepsOf(request.cells);
    list({ byHand: true, steps: [fill!, ditch!, ...rest] });
    expect(
      screen.getByText('Step 1 fills before pass 1 is stabilised: its layers may creep.'),
    ).toBeInTheDocument();
    const last = rest.at(-1)!;
    list({ byHand: true, steps: [ditch!, fill!, last, ...rest.slice(0, -1)] });
    expect(screen.getByText(/^Step 3 is sewn past pass 2, in which nothing is sewn yet/)).toBeInTheDocument();
  });
  test('a step of a minute for one thread says what leaving it out would save', () => {
    list({
      small: [
        { at: 1, sewingMin: 1.2, savesMin: 7.2, savesChanges: 2, open: [{ letter: 'B', areaIn2: 14.2 }] },
      ],
    });
    expect(
      screen.getByText(
        /^Step 2 is 1.2 min for one thread alone. Leaving it out saves about 7 min and 2 changes/,
      ),
    ).toHaveTextContent('14 in² of B open');
  });
  test('two feet in one step are said, and its zones can be laid in another order', async () => {
    const [first, ...rest] = stepsOf(request.cells);
    const two = {
      ...first!,
      zones: [
        { id: 'zone-c', letter: 'C', name: 'Sashing', foot: 'Ruler foot' },
        { id: 'zone-a', letter: 'A', name: 'Border', foot: 'Open-toe foot' },
      ],
    };
    list({
      steps: [two, ...rest],
      sewn: [],
      insideProblems: { '1 fog stabilise': 'A is filled before C holds the layers.' },
    });
    expect(screen.getByText('two feet: Ruler foot, then Open-toe foot')).toBeInTheDocument();
    expect(screen.getByText('A is filled before C holds the layers.')).toBeInTheDocument();
    await press('Zones of step 1');
    await press('Reset');
    expect(lastSent(doors.setZoneOrder)).toMatchObject({
      pass: 1,
      thread: 'fog',
      stabilise: true,
      zones: [],
    });
  });
  test('nothing matched yet says what to do', () => {
    list({ request: { ...request, cells: [] } });
    expect(screen.getByText(/Match its zones/)).toBeInTheDocument();
  });
  test('while the worker looks, the order that stands is shown without a trade', () => {
    list();
    cleanup();
    jest.mocked(useOrder).mockReturnValue(null);
    const { container } = render(
      <OrderList
        quiltId="q"
        version={1}
        request={request}
        basteMin={2}
        actsFactor={1}
        steps={stepsOf(request.cells)}
        byHand={false}
        begun={false}
        threads={threads}
        sewn={[]}
        small={[]}
        insideProblems={{}}
      />,
    );
    expect(steps()).toHaveLength(5);
    expect(container).not.toHaveTextContent('saves');
  });
});

describe('the plan’s tables', () => {
  const zones = [aZone(), aZone({ id: 'zone-b', letter: 'B', name: 'Night ground' })];
  const plan = {
    density: density({
      battingId: 'cotton-80-20',
      zones: [
        { id: 'A', technique: 'ruler-lines', spacingIn: 0.3, areaIn2: 500 },
        { id: 'B', technique: 'ruler-lines', spacingIn: 7, areaIn2: 300 },
      ],
    }),
    zones: [
      {
        id: 'zone-a',
        areaIn2: 512.4,
        sewnIn: 4000,
        stitches: 44_000,
        minutes: { low: 50, mid: 62.4, high: 81 },
        topM: 120,
        bobbinM: 110,
      },
      {
        id: 'zone-b',
        areaIn2: 300,
        sewnIn: 40,
        stitches: 0,
        minutes: { low: 1, mid: 2, high: 3 },
        topM: 0,
        bobbinM: 0,
      },
    ],
  } as unknown as WorkPlan;

  test('density: too wide a gap and too much difference are said in words, not by colour alone', () => {
    const { container } = render(<DensityTable plan={plan} zones={zones} units="both" />);
    expect(container).toHaveTextContent(/Densest to most open 23\.3 : 1/);
    expect(screen.getByRole('row', { name: /B Night ground/ })).toHaveTextContent(
      /gaps 7 in · 17\.8 cm, too wide/,
    );
    expect(container).toHaveTextContent(/bubbles after washing/);
  });
  test('zone by zone: a zone without a set-up shows no stitches and claims no thread', () => {
    render(<ZoneWorkTable plan={plan} zones={zones} belief={NOTHING_LOGGED} />);
    const [, a, b] = screen.getAllByRole('row');
    expect(a).toHaveTextContent('512 in²');
    expect(a).toHaveTextContent('44,000');
    expect(a).toHaveTextContent(/\d+ to \d+ m/);
    expect(b!.textContent).not.toMatch(/\d m$/);
  });
  test.each([
    [true, 'learned'],
    [false, 'predicted'],
  ])('minutes learned from the log (%s) are said to be %s', (learned, word) => {
    const { container } = render(
      <ZoneWorkTable plan={plan} zones={zones} belief={learned ? learnHours(LOGGED) : NOTHING_LOGGED} />,
    );
    expect(container.textContent).toContain(`62 (${word})`);
  });
});

test('roll and reach: when to raise the rail, and what of a pass can be sewn', () => {
  const depths = Array<number>(8).fill(13);
  render(
    <PassTable
      passes={depths.map((depthIn, i) => ({ pass: i + 1, depthIn, besideRuler: i === 1 }))}
      rolls={rollPassByPass(2.5, 4, depths)}
    />,
  );
  const rows = screen.getAllByRole('row').slice(1);
  expect(rows).toHaveLength(8);
  expect(rows[0]).toHaveTextContent('11.5 in of its depth');
  expect(rows[1]).toHaveTextContent('8 in of its depth, with the ruler’s plate');
  expect(screen.getAllByText(/^raise it 0\.\d in before this pass$/).length).toBeGreaterThan(0);
});
