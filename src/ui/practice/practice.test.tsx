import { fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import type { XY } from '@/core/geometry/polygon';
import { DRILLS } from '@/core/practice/drills';
import { judge } from '@/core/practice/judge';
import type { PracticeRun } from '@/data/types';
import { aMachine, lastSent } from '@/ui/testing/studio';
import { PracticeScreen } from './PracticeScreen';

// The field is drawn a hundred units to the inch, at one unit a pixel, from the corner.
beforeAll(() => {
  Object.assign(SVGElement.prototype, {
    getScreenCTM: () => ({ inverse: () => ({}) }),
    setPointerCapture: () => {},
  });
  Object.assign(globalThis, {
    DOMPoint: class {
      constructor(
        readonly x: number,
        readonly y: number,
      ) {}
      matrixTransform() {
        return { x: this.x, y: this.y };
      }
    },
  });
});

const machine = aMachine();
const pathOf = (line: readonly XY[], inPerS = 2) =>
  Array.from({ length: 121 }, (_, i) => {
    const [a, b] = [line[0]!, line.at(-1)!];
    const t = i / 120;
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
    return { tMs: (1000 * t * long) / inPerS, xIn: a[0] + (b[0] - a[0]) * t, yIn: a[1] + (b[1] - a[1]) * t };
  });
const aRun = (part: Partial<PracticeRun> = {}): PracticeRun => ({
  id: 'r1',
  drill: 'line',
  mode: 'idling',
  spi: 10,
  judged: judge('line', { machine, mode: 'idling', spi: 10, path: pathOf(DRILLS.get('line').line) }),
  path: [...DRILLS.get('line').line],
  at: new Date('2026-10-02T10:00:00Z'),
  ...part,
});
const show = (part: Partial<Parameters<typeof PracticeScreen>[0]> = {}) =>
  render(
    <PracticeScreen now={0} machine={machine} drillId="line" runs={[]} compared={null} sent={[]} {...part} />,
  );

/** Draws along a line on the field. */
function draw(line: readonly XY[]) {
  const field = screen.getByRole('img', { name: /draw along the line/ });
  const path = pathOf(line);
  const at = (p: { tMs: number; xIn: number; yIn: number }) => ({
    clientX: 100 * p.xIn,
    clientY: 100 * p.yIn,
    timeStamp: p.tMs,
    pointerId: 1,
  });
  const send = (type: 'pointerDown' | 'pointerMove' | 'pointerUp', p: (typeof path)[number]) => {
    const event = new MouseEvent(type.toLowerCase(), { bubbles: true, ...at(p) });
    Object.defineProperties(event, { timeStamp: { value: 1000 + p.tMs }, pointerId: { value: 1 } });
    fireEvent(field, event);
  };
  send('pointerDown', path[0]!);
  for (const p of path.slice(1, -1)) send('pointerMove', p);
  send('pointerUp', path.at(-1)!);
}

describe('a drill', () => {
  test('is judged when the hand lifts, with one thing to try and the stitches on both sides', () => {
    show();
    draw(DRILLS.get('line').line);
    const told = screen.getByRole('region', { name: 'What it came to' });
    expect(told).toHaveTextContent('From the line0.00 in');
    expect(told).toHaveTextContent('2.0 in/s');
    expect(told).toHaveTextContent('That is even');
    expect(within(told).getByRole('img', { name: /sewn, back/ })).toBeInTheDocument();
  });

  test('half a line is told as half, and “Again” clears the field', async () => {
    show();
    const [a, b] = DRILLS.get('line').line;
    draw([a!, [(a![0] + b![0]) / 2, a![1]]]);
    expect(screen.getByRole('region', { name: 'What it came to' })).toHaveTextContent('whole way');
    await userEvent.click(screen.getByRole('button', { name: 'Again' }));
    expect(screen.queryByRole('region', { name: 'What it came to' })).toBeNull();
  });

  test('is kept with its line, the mode and the machine', async () => {
    show();
    draw(DRILLS.get('line').line);
    await userEvent.click(screen.getByRole('button', { name: 'Keep this one' }));
    const sent = lastSent(doors.keepPractice) as { path: unknown[] };
    expect(sent).toMatchObject({ drill: 'line', machineId: machine.id, spi: 10 });
    expect(sent.path.length).toBeGreaterThan(50);
  });

  test('a touch that is no line is nothing', () => {
    show();
    const [a] = DRILLS.get('line').line;
    draw([a!, a!]);
    expect(document.body).toHaveTextContent('stands here at once');
  });
});

describe('so far', () => {
  test('each measure says whether it is better or cannot be told yet; first and latest stand side by side', () => {
    const runs = Array.from({ length: 9 }, (_, i) =>
      aRun({ id: `r${i}`, at: new Date(Date.UTC(2026, 9, 2 + i)) }),
    );
    show({ runs, compared: { first: runs[0]!, latest: runs[8]! } });
    const sofar = screen.getByRole('region', { name: 'Straight line so far' });
    expect(sofar).toHaveTextContent('9 times');
    expect(sofar).toHaveTextContent('cannot be told yet');
    expect(within(sofar).getByRole('img', { name: /^first, 2 Oct/ })).toBeInTheDocument();
  });
  test('the usual speed of a technique from three drills on', () => {
    show({ runs: [aRun(), aRun({ id: 'b' })] });
    expect(screen.queryByRole('region', { name: 'Your usual speed' })).toBeNull();
    show({ runs: [aRun(), aRun({ id: 'b' }), aRun({ id: 'c' })] });
    expect(screen.getByRole('region', { name: 'Your usual speed' })).toHaveTextContent('2.0 in/s');
  });
});

test('what the machine sent is judged as if it was drawn, begun where the drill begins', async () => {
  const line = pathOf(DRILLS.get('line').line);
  const frames = line.map(({ tMs, xIn, yIn }, i) => ({
    t: tMs + 500,
    x: xIn + 30,
    y: yIn + 12,
    v: i === 0 ? 0 : 2,
    rate: 1200,
    n: i,
  }));
  const still = { ...frames[0]!, t: 0, v: 0 };
  show({
    sent: [{ id: 's1', machine: 'stand-in longarm', beganAt: new Date(), frames: [still, ...frames] }],
  });
  await userEvent.click(screen.getByRole('button', { name: /Judge it: what came at/ }));
  await userEvent.click(await screen.findByRole('button', { name: 'Keep this one' }));
  const sent = lastSent(doors.keepPractice) as { path: { xIn: number; yIn: number }[] };
  expect(judge('line', { machine, mode: 'idling', spi: 10, path: sent.path as never }).offIn).toBeLessThan(
    0.1,
  );
});
test('a machine that stood still has sewn no drill, and the page says so', async () => {
  const frames = Array.from({ length: 30 }, (_, i) => ({ t: 50 * i, x: 3, y: 3, v: 0, rate: 0, n: 0 }));
  show({ sent: [{ id: 's1', machine: '', beganAt: new Date(), frames }] });
  await userEvent.click(screen.getByRole('button', { name: /Judge it: what came at/ }));
  expect(screen.getByRole('alert')).toHaveTextContent('Nothing was sewn');
});
