import { rollPassByPass } from '@/core/stand/roll';
import { PassTable } from './PassTable';
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import * as actions from '@/actions/server';
import { density } from '@/core/density/density';
import { learnHours, NOTHING_LOGGED } from '@/core/hours/factors';
import type { OrderRequest } from '@/core/order/cells';
import { planOrder } from '@/core/order/order';
import type { WorkPlan } from '@/core/plan/work-plan';
import { aZone, lastSent, refuseNext } from '@/ui/testing/studio';
import { DensityTable } from './DensityTable';
import { OrderList } from './OrderList';
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
        quilted={false}
        home={false}
        {...part}
      />,
    );
  const buttons = () => screen.getAllByRole('button').map((b) => b.textContent);

  test('passes not fixed yet: fix them, or never turn the quilt', async () => {
    form();
    expect(buttons()).toEqual(['Fix these 6 passes', 'Never turn it']);
    await press('Fix these 6 passes');
    expect(lastSent(actions.fixPlanAction)).toMatchObject({
      quiltId: 'quilt-1',
      version: 4,
      turnRule: 'auto',
    });
  });
  test('the other rule is asked for with the same act', async () => {
    form({ turnRule: 'never' });
    await press('Turn it where that saves passes');
    expect(lastSent(actions.fixPlanAction)).toMatchObject({ turnRule: 'auto' });
  });
  test('fixed: put it on the frame, and mind the rollers', async () => {
    form({ fixed: 6 });
    expect(buttons()).toEqual(['Put it on the frame']);
    expect(screen.getByText(/Fingers clear of rollers/)).toBeInTheDocument();
    await press('Put it on the frame');
    expect(lastSent(actions.putOnFrameAction)).toMatchObject({ where: 'on' });
  });
  test('a Workroom that moved on is said; the passes stand until the quilter says otherwise', async () => {
    form({ fixed: 5, moved: ['The throat was 20 in and is now 24 in.'] });
    expect(
      screen.getByText(/has moved on since this quilt was begun. The throat was 20 in/),
    ).toBeInTheDocument();
    await press('Fix the passes anew');
    expect(lastSent(actions.fixPlanAction)).toMatchObject({ quiltId: 'quilt-1', version: 4 });
  });
  test('once begun only what is not sewn is planned anew', () => {
    form({ fixed: 5, begun: true, onFrame: true, moved: ['The throat was 20 in and is now 24 in.'] });
    expect(buttons()).toContain('Plan anew what is not sewn');
    expect(buttons()).not.toContain('Fix these 6 passes');
  });
  test('on the frame: the next step is logged with its minutes', async () => {
    form({ fixed: 6, begun: true, onFrame: true });
    await fill(screen.getByLabelText(/^Minutes for pass 3, Heron/), '41');
    await press('This step is done');
    expect(lastSent(actions.logStepAction)).toMatchObject({
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
    refuseNext(actions.logStepAction, 'minutes', 'The minutes must lie between 1 and 2000.');
    await press('This step is done');
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
    refuseNext(actions.putOnFrameAction, '', 'Another quilt is on this frame. Take it off first.');
    await press('Put it on the frame');
    expect(await screen.findByText(/Another quilt is on this frame/)).toBeInTheDocument();
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
  const list = (part: Partial<Parameters<typeof OrderList>[0]> = {}) => {
    jest.mocked(useOrder).mockImplementation((r) => planOrder(r));
    return render(
      <OrderList
        quiltId="quilt-1"
        version={4}
        request={request}
        fixed={null}
        byHand={false}
        threads={threads}
        sewn={['1 fog stabilise', '1 tar fill']}
        {...part}
      />,
    );
  };
  const steps = () => within(screen.getByRole('list', { name: 'Order of work' })).getAllByRole('listitem');

  test('says what it costs beside the usual ways', () => {
    const { container } = list();
    const found = planOrder(request);
    expect(container).toHaveTextContent(`Rolls and thread changes: ${Math.round(found.minutes)} min`);
    expect(container).toHaveTextContent(`all colours per pass ${Math.round(found.byPass.minutes)}`);
    expect(steps()).toHaveLength(5);
  });
  test('each step says its pass, its thread, a change, and whether it is sewn', () => {
    list();
    expect(steps()[0]).toHaveTextContent('pass 1Heron Poly 60 Fog, to stabilisesewn');
    expect(steps().some((s) => s.textContent!.includes('change thread'))).toBe(true);
    expect(steps().some((s) => s.textContent!.includes('15 min'))).toBe(true);
  });
  test('an order laid by hand is priced against the one worked out, and can be let go', async () => {
    const byHand = [3, 2, 1].flatMap((pass) =>
      request.cells.filter((c) => c.pass === pass).map(({ thread }) => ({ pass, thread })),
    );
    const { container } = list({ fixed: byHand, byHand: true });
    expect(container).toHaveTextContent('as you laid it; worked out it would be');
    await press('Take the order worked out');
    expect(lastSent(actions.setOrderAction)).toMatchObject({ quiltId: 'quilt-1', version: 4, order: [] });
    await waitFor(() => expect(container).toHaveTextContent('all colours per pass'));
  });
  test('a pass filled before it is stabilised is said', () => {
    list({
      byHand: true,
      fixed: [
        { pass: 1, thread: 'tar' },
        { pass: 1, thread: 'fog' },
        ...request.cells.slice(2).map(({ pass, thread }) => ({ pass, thread })),
      ],
    });
    expect(screen.getByText(/its layers may creep/)).toBeInTheDocument();
  });
  test('an order of a plan that has moved since is not followed', () => {
    const { container } = list({ byHand: true, fixed: [{ pass: 9, thread: 'fog' }] });
    expect(container).not.toHaveTextContent('as you laid it');
    expect(steps()).toHaveLength(5);
  });
  test('nothing matched yet says what to do; the worker’s answer is waited for quietly', () => {
    list({ request: { ...request, cells: [] } });
    expect(screen.getByText(/Match its zones/)).toBeInTheDocument();
  });
  test('while the worker looks, a dot stands there', () => {
    jest.mocked(useOrder).mockReturnValueOnce(null);
    render(
      <OrderList
        quiltId="q"
        version={1}
        request={request}
        fixed={null}
        byHand={false}
        threads={threads}
        sewn={[]}
      />,
    );
    expect(screen.getByText('…')).toBeInTheDocument();
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
