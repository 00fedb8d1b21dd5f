import fc from 'fast-check';
import type { Frame } from '@/core/stand-in/longarm';
import { type LongarmOrder, type LongarmTold, runLongarm, sewnRuns } from './run-longarm';

/** Two rows far enough apart that the needle is lifted between them. */
const rows = (inches: number, apart = 8): [number, number][] =>
  [0, apart].flatMap((y) =>
    Array.from({ length: Math.round(inches * 10) }, (_, i): [number, number] => [i / 10, y]),
  );
const work = (part: Partial<LongarmOrder['work']> = {}): LongarmOrder['work'] => ({
  points: rows(4),
  machine: { maxSpm: 1800, idleMinSpm: 100, idleMaxSpm: 900 },
  mode: 'idling',
  spi: 10,
  idleSpm: 300,
  handInPerS: 2,
  limitInPerS: 4,
  ...part,
});
const sewn = (order: Partial<LongarmOrder> = {}): Frame[] => [
  ...sewnRuns({ work: work(), faults: [], seed: 3, ...order }),
];

describe('the readings of a step', () => {
  test('time and stitches only go on, over every run, for any hand and stitch', () => {
    const orders = fc.record({
      seed: fc.integer({ min: 1, max: 1e6 }),
      spi: fc.integer({ min: 6, max: 14 }),
      handInPerS: fc.double({ min: 0.5, max: 4, noNaN: true }),
      mode: fc.constantFrom('idling' as const, 'resting' as const),
    });
    fc.assert(
      fc.property(orders, ({ seed, ...part }) => {
        const frames = sewn({ seed, work: work({ points: rows(2), ...part }) });
        frames.slice(1).forEach((f, i) => {
          expect(f.t).toBeGreaterThan(frames[i]!.t);
          expect(f.n).toBeGreaterThanOrEqual(frames[i]!.n);
        });
      }),
      { numRuns: 40 },
    );
  });
  test('each run ends with the needle up, and seconds pass before the next', () => {
    const frames = sewn();
    const stops = frames.flatMap((f, i) => (f.event === 'stopped' ? [i] : []));
    expect(stops).toHaveLength(2);
    expect(stops.at(-1)).toBe(frames.length - 1);
    expect(frames[stops[0]!]).toMatchObject({ v: 0, rate: 0 });
    expect(frames[stops[0]! + 1]!.t - frames[stops[0]!]!.t).toBeGreaterThan(3000);
  });
  test('a regulated machine makes about as many stitches as the length asks', () => {
    // Eight inches at ten to the inch; it goes on idling where hands slow down.
    const stitches = sewn({ work: work({ mode: 'resting' }) }).at(-1)!.n;
    expect(stitches).toBeGreaterThan(70);
    expect(stitches).toBeLessThan(95);
  });
  test('a fault is told once, at its stitch, also where it falls into a later run', () => {
    const faults: LongarmOrder['faults'] = [
      { atStitch: 12, event: 'thread-break' },
      { atStitch: 60, event: 'bobbin-out' },
    ];
    const told = sewn({ faults }).filter((f) => f.event && f.event !== 'stopped');
    expect(told.map((f) => f.event)).toEqual(['thread-break', 'bobbin-out']);
    told.forEach((f, i) => expect(Math.abs(f.n - faults[i]!.atStitch)).toBeLessThan(6));
  });
  test('the same seed sews the same, another does not', () => {
    expect(sewn()).toEqual(sewn());
    expect(sewn({ seed: 4 })).not.toEqual(sewn());
  });
});

describe('over the link', () => {
  const head = { run: 'run-1', quiltId: 'q' };
  const order = (part: Partial<LongarmOrder> = {}): LongarmOrder => ({
    head,
    work: work({ points: rows(1) }),
    speed: 20,
    faults: [],
    seed: 3,
    ...part,
  });
  const [at, real] = [setTimeout, globalThis.fetch];
  beforeEach(() => {
    // Nobody waits for a second in a test.
    globalThis.setTimeout = ((act: () => void) => at(act, 0)) as unknown as typeof setTimeout;
  });
  afterEach(() => {
    globalThis.setTimeout = at;
    globalThis.fetch = real;
  });
  const run = async (part: Partial<LongarmOrder>, answers: (Partial<Response> | null)[]) => {
    const bodies: string[] = [];
    globalThis.fetch = ((_: string, { body }: { body: string }) => {
      bodies.push(body);
      const answer = answers[bodies.length - 1] ?? { ok: true, status: 200 };
      return answers[bodies.length - 1] === null
        ? Promise.reject(new TypeError('cut'))
        : Promise.resolve(answer);
    }) as unknown as typeof fetch;
    const told: LongarmTold[] = [];
    await runLongarm(order(part), (t) => told.push(t));
    return { bodies, told };
  };
  test('every batch goes under the same run, and all readings come to the page', async () => {
    const { bodies, told } = await run({}, []);
    for (const b of bodies) expect(JSON.parse(b.split('\n')[0]!)).toEqual(head);
    const sent = bodies.flatMap((b) => b.split('\n').slice(1)).map((l) => JSON.parse(l) as Frame);
    expect(sent).toEqual([...sewnRuns(order())]);
    expect(told.at(-1)).toEqual({ done: true });
    expect(told.flatMap((t) => ('frames' in t ? t.frames : []))).toEqual(sent);
  });
  test('a cut line and a computer that is away are tried again with the very same readings', async () => {
    const { bodies, told } = await run({}, [null, { ok: false, status: 503 }, { ok: true, status: 200 }]);
    expect(bodies[1]).toBe(bodies[0]);
    expect(bodies[2]).toBe(bodies[0]);
    expect(bodies[3]).not.toBe(bodies[0]);
    expect(told.at(-1)).toEqual({ done: true });
  });
  test('what the studio will never take is not sent for ever', async () => {
    const { bodies } = await run({}, [{ ok: false, status: 400 }]);
    expect(bodies[1]).not.toBe(bodies[0]);
  });
  test('where there is nothing to sew it says so, and sends nothing', async () => {
    const { bodies, told } = await run({ work: work({ points: [] }) }, []);
    expect(bodies).toEqual([]);
    expect(told).toEqual([{ failed: expect.stringMatching(/nothing to sew/) as string }]);
  });
});
