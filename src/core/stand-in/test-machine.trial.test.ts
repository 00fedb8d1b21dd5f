import { seeded } from '../statistics/random';
import { nextTension, type TensionTest } from '../tension/next';
import { gaugeReadings, seedOf, sewTest, standIn, trulyBalanced } from './test-machine';

const FOUR = ['away', 'toward', 'left', 'right'] as const;
const start = { topGf: 100, bobbinGf: 20, ratio: 5, sd: 0.35 };

test('too tight a top pulls the bobbin up, too loose a one goes down', () => {
  const random = seeded(1);
  const machine = { lnRatio: Math.log(5), thicknessMm: 1.5 };
  const all = (topGf: number) => Object.values(sewTest(machine, { topGf, bobbinGf: 20 }, FOUR, random));
  expect(all(260).every((v) => v! >= 2)).toBe(true);
  expect(all(40).every((v) => v! <= -2)).toBe(true);
});

test('a search on stand-in machines ends balanced, in few rounds', () => {
  let rounds = 0;
  let right = 0;
  const MACHINES = 200;
  for (let m = 0; m < MACHINES; m++) {
    const random = seeded(m + 11);
    const machine = standIn(start, 1.5, random);
    const tests: TensionTest[] = [];
    let now = { topGf: start.topGf, bobbinGf: start.bobbinGf };
    for (let i = 0; i < 8; i++) {
      tests.push({ ...now, verdicts: sewTest(machine, now, FOUR, random) });
      const next = nextTension({ start, thicknessMm: 1.5, breakGf: 900, tests });
      if (next.done) break;
      now = { topGf: Math.round(next.topGf), bobbinGf: Math.round(next.bobbinGf) };
    }
    rounds += tests.length;
    right += trulyBalanced(machine, tests.at(-1)!) ? 1 : 0;
  }
  expect(rounds / MACHINES).toBeLessThanOrEqual(2.2);
  expect(right / MACHINES).toBeGreaterThanOrEqual(0.97);
});

test('a gauge reads about what is set, and never nothing', () => {
  const random = seeded(5);
  const all = Array.from({ length: 300 }, () => gaugeReadings(100, random)).flat();
  const mean = all.reduce((a, b) => a + b, 0) / all.length;
  expect(Math.abs(mean - 100)).toBeLessThan(1.5);
  expect(gaugeReadings(0.2, random).every((g) => g >= 1)).toBe(true);
});

test('the same text begins the same chance, another another', () => {
  expect(seedOf('setup-1')).toBe(seedOf('setup-1'));
  expect(seedOf('setup-1')).not.toBe(seedOf('setup-2'));
});
