import { Z80 } from '../statistics/normal';
import { nextTension, type TensionNext, type TensionTest } from './next';
import { tensionPosterior } from './posterior';
import type { Verdict } from './probit';

/** A test search as it stands. */
export interface Search<Round extends TensionTest = TensionTest> {
  rounds: Round[];
  next: TensionNext;
  /** What each round left of the 80 % and 50 % bands of the top tension, gf; first is the guess. */
  bands: { low80: number; high80: number; low50: number; high50: number }[];
  /** Chance that the next setting is balanced, 0–1. */
  chance: number;
  /** What it began from. */
  prior: { ratio: number; sd: number };
}

/** What a set-up was first guessed to balance at. */
export interface FirstGuess {
  topGf: number;
  bobbinGf: number;
  ratio: number;
  ratioSd: number;
}

/** The search as it stands: the rounds sewn, the next tension, and how the band narrowed. */
export function searchOf<Round extends TensionTest>(
  setup: FirstGuess,
  rounds: Round[],
  thicknessMm: number,
  breakGf: number,
): Search<Round> {
  const prior = { ratio: setup.ratio, sd: setup.ratioSd };
  const start = { topGf: setup.topGf, bobbinGf: setup.bobbinGf, ...prior };
  const next = nextTension({ start, thicknessMm, breakGf, tests: rounds });
  const seen = rounds.map((r) => ({ ...r, verdicts: Object.values(r.verdicts) as Verdict[] }));
  const after = Array.from({ length: rounds.length + 1 }, (_, i) =>
    tensionPosterior(prior, thicknessMm, seen.slice(0, i)),
  );
  const bands = after.map((posterior, i) => {
    const at = (p: number) => (rounds[i - 1]?.bobbinGf ?? setup.bobbinGf) * Math.exp(posterior.quantile(p));
    return { low80: at(0.1), high80: at(0.9), low50: at(0.25), high50: at(0.75) };
  });
  const chance = after.at(-1)!.pBalanced(next.topGf / next.bobbinGf);
  return { rounds, next, bands, chance, prior };
}

/** What a finished search has proved: the setting that balanced, and the balance ratio with its spread, on the logarithm. */
export function proofOf({ rounds, next }: Pick<Search, 'rounds' | 'next'>) {
  const ln = (r: number) => Math.log(r);
  return {
    topGf: rounds.at(-1)!.topGf,
    bobbinGf: rounds.at(-1)!.bobbinGf,
    lnRatioMean: (ln(next.ratioLow) + ln(next.ratioHigh)) / 2,
    lnRatioSd: Math.max(1e-4, (ln(next.ratioHigh) - ln(next.ratioLow)) / (2 * Z80)),
  };
}
