import type { Direction } from '@/core/fields/lists';
import { windowWidth, verdictAt, NOISE_SD } from '@/core/tension/probit';
import { nextTension, type TensionTest } from '@/core/tension/next';
import type { Random } from '@/core/statistics/random';

/** One line away at first, then one across as well, and all four once it looks right. */
const LOOKS: readonly (readonly Direction[])[] = [
  ['away'],
  ['away', 'right'],
  ['away', 'toward', 'left', 'right'],
];
const MOST_ROUNDS = 6;

/**
 * Sews a search as a quilter would: the cloth balances at a ratio nobody knows, each direction is judged
 * with the model's own noise, and the next setting is what the core asks for, rounded as a gauge reads.
 */
export function simulateSearch(
  start: { topGf: number; bobbinGf: number; ratio: number; sd: number },
  thicknessMm: number,
  breakGf: number,
  random: Random,
  truth = Math.log(start.ratio) + start.sd * random.normal(),
): { tests: TensionTest[]; done: boolean } {
  const w = windowWidth(thicknessMm);
  const tests: TensionTest[] = [];
  let now = { topGf: Math.round(start.topGf), bobbinGf: Math.round(start.bobbinGf) };
  while (tests.length < MOST_ROUNDS) {
    const z = (Math.log(now.topGf / now.bobbinGf) - truth) / w;
    // One cloth and one thread path: directions differ by less than tests do.
    const common = NOISE_SD * 0.6 * random.normal();
    const verdicts = Object.fromEntries(
      LOOKS[Math.min(tests.length, 2)]!.map((d) => [
        d,
        verdictAt(z + common + NOISE_SD * 0.5 * random.normal()),
      ]),
    ) as TensionTest['verdicts'];
    tests.push({ ...now, verdicts });
    const next = nextTension({ start, thicknessMm, breakGf, tests });
    if (next.done) return { tests, done: true };
    if (next.cautions.some((c) => c.code === 'not-tension')) {
      tests.pop();
      continue;
    }
    now = { topGf: Math.round(next.topGf), bobbinGf: Math.round(next.bobbinGf) };
  }
  return { tests, done: false };
}
