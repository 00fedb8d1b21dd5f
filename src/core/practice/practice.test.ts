import { DRILLS, FIELD_IN } from './drills';
import { judge, trendOf, usualSpeed } from './judge';
import type { PathPoint } from '../machine/regulator';
import type { XY } from '../geometry/polygon';
import { seeded } from '../statistics/random';

const machine = { maxSpm: 2000, idleMinSpm: 100, idleMaxSpm: 600 };

/** Hands that follow a line at one speed, with a tremor of some thousandths. */
function hands(
  line: readonly XY[],
  inPerS: number,
  tremorIn = 0,
  rest: readonly XY[] = [],
  shift = 0,
): PathPoint[] {
  const random = seeded(7);
  const out: PathPoint[] = [];
  let t = 0;
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1]!, line[i]!];
    const d = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const n = Math.max(1, Math.ceil(d / 0.03));
    for (let k = 0; k < n; k++) {
      out.push({
        tMs: t,
        xIn: a[0] + ((b[0] - a[0]) * k) / n + tremorIn * (random.uniform() - 0.5),
        yIn: a[1] + ((b[1] - a[1]) * k) / n + tremorIn * (random.uniform() - 0.5) + shift,
      });
      t += (d / n / inPerS) * 1000 + 1e-6;
    }
    if (rest.some((r) => Math.hypot(r[0] - b[0], r[1] - b[1]) < 1e-9)) {
      out.push({ tMs: t, xIn: b[0], yIn: b[1] + shift });
      t += 400;
    }
  }
  const [x, y] = line.at(-1)!;
  out.push({ tMs: t + 5, xIn: x, yIn: y + shift });
  return out;
}
const run = (id: string, path: PathPoint[]) => judge(id, { machine, mode: 'idling', spi: 10, path });

describe('drills', () => {
  test.each(DRILLS.rows.map((d) => [d.id, d] as const))(
    '%s lies in its field and is done by whoever follows it',
    (id, d) => {
      for (const [x, y] of [...d.line, ...d.beside]) {
        expect(Math.min(x, y)).toBeGreaterThanOrEqual(0);
        expect(x).toBeLessThanOrEqual(FIELD_IN.widthIn);
        expect(y).toBeLessThanOrEqual(FIELD_IN.heightIn);
      }
      const j = run(id, hands(d.line, 2, 0, d.rests));
      expect(j.donePct).toBe(100);
      expect(j.offIn).toBeLessThan(0.01);
      expect(j.wobbleMil).toBeLessThan(12);
    },
  );

  test('off the line, trembling, half done: each is told and named', () => {
    const { line } = DRILLS.get('line');
    expect(run('line', hands(line, 2, 0, [], 0.23)).offIn).toBeCloseTo(0.23, 2);
    expect(run('line', hands(line, 2, 0, [], 0.23)).tryNext).toContain('ahead');
    const shaky = run('line', hands(line, 2, 0.12));
    expect(shaky.wobbleMil).toBeGreaterThan(2 * run('line', hands(line, 2)).wobbleMil! + 5);
    const [a, b] = [line[0]!, line[1]!];
    const half = run('line', hands([a, [(a[0] + b[0]) / 2, a[1]]], 2));
    expect(half.donePct).toBeLessThan(60);
    expect(half.tryNext).toContain('whole way');
  });

  test('points that are not rested in are counted', () => {
    const { line, rests } = DRILLS.get('points');
    expect(run('points', hands(line, 3, 0, rests)).rested).toEqual({ of: 7, in: 7 });
    const rushed = run('points', hands(line, 3));
    expect(rushed.rested!.in).toBe(0);
    expect(rushed.tryNext).toContain('Stop in every point');
  });

  test('hands faster than the needle are told so', () => {
    const fast = run('line', hands(DRILLS.get('line').line, 9));
    expect(fast.outsidePct).toBeGreaterThan(50);
  });

  test('an unknown drill is an error, not a guess', () => {
    expect(() => run('nothing', hands(DRILLS.get('line').line, 2))).toThrow('nothing');
  });
});

describe('trend', () => {
  const random = seeded(3);
  const noisy = (mean: number, n: number) =>
    Array.from({ length: n }, () => mean + 0.2 * (random.uniform() - 0.5));
  test('clearly better and clearly worse are certain; noise is not', () => {
    expect(trendOf([...noisy(1, 6), ...noisy(0.7, 6), ...noisy(0.4, 6)])!.word).toBe('better');
    expect(trendOf([...noisy(0.4, 6), ...noisy(0.7, 6), ...noisy(1, 6)])!.word).toBe('worse');
    expect(trendOf([0.5, 0.5, 0.5, 0.5, 0.5, 0.5])!.word).toBe('unsure');
    expect(trendOf([1, 2])).toBeNull();
  });
  test('of noise alone hardly one in twenty is called certain', () => {
    let called = 0;
    for (let k = 0; k < 400; k++) if (trendOf(noisy(1, 15))!.word !== 'unsure') called++;
    expect(called / 400).toBeLessThan(0.09);
  });
});

test('the usual speed rests on three runs at least', () => {
  expect(usualSpeed([2, 2.2])).toBeNull();
  const told = usualSpeed([2, 2.2, 1.8, 2])!;
  expect(told.inPerS).toBeCloseTo(2, 1);
  expect(told.sdLn).toBeGreaterThan(0);
});
