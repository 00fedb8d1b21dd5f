import type { Direction, FaultWay } from '@/core/fields/lists';
import type { TestRound } from '@/data/types';
import type { Verdict } from '@/core/tension/probit';

export const VERDICTS: readonly Verdict[] = [-3, -2, -1, 0, 1, 2, 3];

/** What each verdict looks like. */
export const VERDICT_LOOK: Record<Verdict, string> = {
  [-3]: 'Bobbin flat on the back, top looped round it',
  [-2]: 'Loops or clear dots of top thread on the back',
  [-1]: 'Hint of top thread on the back',
  0: 'Balanced: interlock inside',
  1: 'Hint of bobbin thread on top',
  2: 'Clear dots of bobbin thread on top',
  3: 'Top flat on the top, bobbin looped round it',
};

/** What each verdict says of the top tension. */
export const VERDICT_WORD: Record<Verdict, string> = {
  [-3]: 'much too loose',
  [-2]: 'too loose',
  [-1]: 'a little loose',
  0: 'balanced',
  1: 'a little tight',
  2: 'too tight',
  3: 'much too tight',
};

/** Which way to turn: tighten up, loosen down. */
export const VERDICT_SIGN: Record<Verdict, string> = {
  [-3]: '▲▲▲',
  [-2]: '▲▲',
  [-1]: '▲',
  0: '●',
  1: '▼',
  2: '▼▼',
  3: '▼▼▼',
};

export const verdictTone = (v: Verdict): 'good' | 'caution' | 'fault' =>
  v === 0 ? 'good' : Math.abs(v) === 1 ? 'caution' : 'fault';

export const TONE_TEXT = { good: 'text-verdigris', caution: 'text-weld-text', fault: 'text-madder' } as const;

export const DIRECTION_LABEL: Record<Direction, string> = {
  away: 'Away',
  toward: 'Toward you',
  left: 'To the left',
  right: 'To the right',
  curve: 'Curve',
  point: 'Point',
};
/** Where in the sewing a fault shows. */
export const FAULT_WAY_LABEL: Record<FaultWay, string> = {
  ...DIRECTION_LABEL,
  start: 'At a start',
  seam: 'Over a seam',
};

/** The verdict that stands for a whole test: the one furthest from balance, the tight one of a tie. */
export const worstVerdict = (verdicts: readonly Verdict[]): Verdict =>
  verdicts.reduce<Verdict>(
    (worst, v) =>
      Math.abs(v) > Math.abs(worst) || (Math.abs(v) === Math.abs(worst) && v > worst) ? v : worst,
    0,
  );

/** What was changed from one test to the next. */
export function changeSince(before: TestRound | undefined, now: TestRound): string {
  if (!before) return '';
  const parts = (
    [
      ['top', before.topGf, now.topGf],
      ['bobbin', before.bobbinGf, now.bobbinGf],
    ] as const
  )
    .filter(([, a, b]) => Math.abs(a - b) >= 0.05)
    .map(([part, a, b]) => `${part} ${b > a ? 'up' : 'down'} ${shownGf(Math.abs(b - a))} g`);
  return parts.length === 0 ? 'nothing changed' : parts.join(', ');
}

/** A tension as a gauge shows it. */
export const shownGf = (gf: number) => Number(gf.toFixed(1));
