import type { Caution, Reason } from '../notes';
import { tensionPosterior } from './posterior';
import type { Verdict } from './probit';
import type { Direction } from '../fields/lists';
import { BOBBIN_GF, NEAR_BREAK, TOP_GF } from './start';

export interface TensionTest {
  topGf: number;
  bobbinGf: number;
  verdicts: Partial<Record<Direction, Verdict>>;
}

export interface TensionNextRequest {
  start: { topGf: number; bobbinGf: number; ratio: number; sd: number };
  thicknessMm: number;
  breakGf: number;
  tests: readonly TensionTest[];
}

export type Change = 'loosen-top' | 'tighten-top' | 'loosen-bobbin' | 'tighten-bobbin' | 'keep';

export interface TensionNext {
  done: boolean;
  /** What to set for the next test, or what is proven when done. */
  topGf: number;
  bobbinGf: number;
  change: Change;
  /** 80 % band of the balance ratio. */
  ratioLow: number;
  ratioHigh: number;
  /** Chance that the present setting is balanced. */
  pBalanced: number;
  reasons: Reason[];
  cautions: Caution[];
}

const DONE_AT = 0.8;
const SPREAD_STEPS = 2;

const values = (test: TensionTest): Verdict[] => Object.values(test.verdicts).filter((v) => v !== undefined);
const balanced = (test: TensionTest | undefined) =>
  test !== undefined && values(test).length > 0 && values(test).every((v) => v === 0);
const spread = (test: TensionTest): number => {
  const v = values(test);
  return v.length < 2 ? 0 : Math.max(...v) - Math.min(...v);
};
const ratioOf = (t: { topGf: number; bobbinGf: number }) => t.topGf / t.bobbinGf;
const meanVerdict = (t: TensionTest) => values(t).reduce<number>((a, b) => a + b, 0) / values(t).length;

/** Two tests whose verdicts run against their tensions by two steps or more. */
const contradictory = (tests: readonly TensionTest[]): boolean =>
  tests.some((a, i) =>
    tests.slice(i + 1).some((b) => {
      if (values(a).length === 0 || values(b).length === 0) return false;
      const [looser, tighter] = ratioOf(a) <= ratioOf(b) ? [a, b] : [b, a];
      const against = meanVerdict(looser) - meanVerdict(tighter);
      return Math.abs(ratioOf(a) - ratioOf(b)) < 1e-9
        ? Math.abs(against) >= SPREAD_STEPS
        : against >= SPREAD_STEPS;
    }),
  );

/**
 * The next tension to set from the test stitches sewn so far. The top moves to bobbin · median of R*;
 * when that leaves [45 gf, 0.22 · breaking load] the bobbin moves instead. Done when the present
 * setting is balanced with a chance of 0.8 or more, or when two tests running were 0 in every
 * direction. Verdicts of one test two steps or more apart: tension is not the cause (`not-tension`).
 */
export function nextTension(request: TensionNextRequest): TensionNext {
  const { start, thicknessMm, breakGf, tests } = request;
  const observations = tests.map((t) => ({ topGf: t.topGf, bobbinGf: t.bobbinGf, verdicts: values(t) }));
  const posterior = tensionPosterior(start, thicknessMm, observations);
  const last = tests.at(-1);
  const now = last ?? start;
  const pBalanced = posterior.pBalanced(ratioOf(now));
  const reasons: Reason[] = [];
  const cautions: Caution[] = [];
  const result = (rest: Pick<TensionNext, 'done' | 'topGf' | 'bobbinGf' | 'change'>): TensionNext => ({
    ...rest,
    ratioLow: Math.exp(posterior.quantile(0.1)),
    ratioHigh: Math.exp(posterior.quantile(0.9)),
    pBalanced,
    reasons,
    cautions,
  });
  const keep = (done: boolean) => result({ done, topGf: now.topGf, bobbinGf: now.bobbinGf, change: 'keep' });

  if (contradictory(tests)) cautions.push(CONTRADICTORY);
  if (!last) return keep(false);
  if (spread(last) >= SPREAD_STEPS) {
    cautions.push(...notTension(spread(last)));
    return keep(false);
  }
  if (values(last).length > 0 && pBalanced >= DONE_AT) return keep(true);
  if (balanced(last) && balanced(tests.at(-2))) return keep(true);
  const moved = moveFrom(now, Math.exp(posterior.quantile(0.5)), breakGf);
  reasons.push(...moved.reasons);
  cautions.push(...moved.cautions);
  return result({ done: false, ...moved.set });
}

const CONTRADICTORY: Caution = {
  code: 'contradictory',
  severity: 'warn',
  text: 'Two tests contradict each other: more tension looked looser. Check the thread path and sew one of them again.',
};

const notTension = (steps: number): Caution[] => [
  {
    code: 'direction-spread',
    severity: 'warn',
    text: `The directions differ by ${steps} steps in one test.`,
  },
  {
    code: 'not-tension',
    severity: 'stop',
    text: 'Tension will not cure a fault that depends on direction: look for needle flex, a turned needle or a bouncing quilt first.',
  },
];

/** The setting that meets a ratio: the top moved, or the bobbin where the top would leave what it can take. */
function moveFrom(
  now: { topGf: number; bobbinGf: number },
  ratio: number,
  breakGf: number,
): { set: Pick<TensionNext, 'topGf' | 'bobbinGf' | 'change'>; reasons: Reason[]; cautions: Caution[] } {
  const [lowTop, highTop] = [TOP_GF[0], NEAR_BREAK * breakGf];
  const top = now.bobbinGf * ratio;
  if (top >= lowTop && top <= highTop)
    return {
      set: { topGf: top, bobbinGf: now.bobbinGf, change: direction(top, now.topGf, 'top') },
      reasons: [],
      cautions: [],
    };
  const bobbin = now.topGf / ratio;
  const outside = bobbin < BOBBIN_GF[0] || bobbin > BOBBIN_GF[1];
  return {
    set: { topGf: now.topGf, bobbinGf: bobbin, change: direction(bobbin, now.bobbinGf, 'bobbin') },
    reasons: [
      {
        code: 'bobbin-instead',
        text: `The top would have to go to ${Math.round(top)} g, ${top < lowTop ? `below the ${lowTop} g it needs to run evenly` : `above ${Math.round(highTop)} g, too near this thread’s breaking load`}: the bobbin is moved instead.`,
      },
    ],
    cautions: outside
      ? [
          {
            code: 'outside-range',
            severity: 'warn',
            text: `The bobbin would stand at ${Math.round(bobbin)} g, outside ${BOBBIN_GF[0]} to ${BOBBIN_GF[1]}. Another bobbin thread or needle would balance more easily.`,
          },
        ]
      : [],
  };
}

function direction(next: number, now: number, which: 'top' | 'bobbin'): Change {
  if (Math.abs(next / now - 1) < 1e-6) return 'keep';
  return next > now ? `tighten-${which}` : `loosen-${which}`;
}
