import { deltaEHex } from '../colour/delta-e';
import type { Reason } from '../notes';
import type { TensionStart } from '../tension/start';
import type { Fibre } from '../tables/fibres';
import { breakGf } from '../thread/thread';
import type { Usage } from '../usage/usage';
import type { CriterionOf, Judgement } from './criteria';
import type { MatchPreferences, MatchThread } from './request';

/** What is known of two threads before any tension is reckoned. */
export interface BobbinContext {
  top: MatchThread;
  bobbin: MatchThread;
  bobbinFibre: Fibre;
  preferences: MatchPreferences;
}

/** What is known when a bobbin is weighed under a top thread. */
export interface PairContext {
  top: MatchThread;
  bobbin: MatchThread;
  tension: TensionStart;
  usage: Usage | null;
  /** Metres of each thread the quilt's other zones will take. */
  claimedM?: Readonly<Record<string, number>>;
}

const name = (t: MatchThread) => t.name ?? t.id;
const metres = (m: number) => `${Math.round(m)} m`;

function judgeSize({ top, bobbin, preferences }: BobbinContext): Judgement {
  if (preferences.bobbin === 'same')
    return top.id === bobbin.id
      ? {
          penalty: 0,
          reason: {
            code: 'same-below',
            text: 'The same thread below, as this studio prefers: a dot of it never shows.',
          },
        }
      : {
          penalty: 0.5 + Math.abs(Math.log(bobbin.tex / top.tex)),
          reason: {
            code: 'not-the-same',
            text: 'Not the thread above: this studio prefers the same thread below.',
          },
        };
  const ratio = bobbin.tex / top.tex;
  if (ratio > 1.02)
    return {
      penalty: 0.6 + (ratio - 1),
      caution: {
        code: 'bobbin-thicker',
        severity: 'note',
        text: 'The bobbin thread is thicker than the top: it will push up.',
      },
    };
  const penalty = ratio < 0.3 ? (0.3 - ratio) * 2 : Math.max(0, (ratio - 0.8) * 0.5);
  return {
    penalty,
    reason:
      ratio < 0.95
        ? { code: 'bobbin-finer', text: 'A finer bobbin thread: more on the bobbin, and it stays below.' }
        : { code: 'bobbin-as-thick', text: 'As thick as the top thread: less on a bobbin than a finer one.' },
  };
}

function judgeKind({ top, bobbin, bobbinFibre, preferences }: BobbinContext): Judgement {
  if (bobbinFibre.mono || bobbinFibre.id === 'metallic' || bobbinFibre.id === 'soluble')
    return {
      penalty: 3,
      caution: {
        code: 'bobbin-unsuited',
        severity: 'warn',
        text: `${bobbinFibre.label} winds and feeds badly on a bobbin.`,
      },
    };
  if (preferences.bobbin === 'same' && top.id === bobbin.id) return { penalty: 0 };
  if (bobbinFibre.surface === 'filament') return { penalty: 0 };
  return {
    penalty: 0.3 + 0.2 * bobbinFibre.lint,
    reason: {
      code: 'bobbin-rough',
      text: `${bobbinFibre.label[0]!.toUpperCase()}${bobbinFibre.label.slice(1)} feeds less smoothly from a bobbin than a filament.`,
    },
  };
}

/** What a bobbin this far in colour from its top costs; grows with the difference. */
export const colourPenalty = (deltaE: number): number =>
  deltaE > 15 ? Math.min(1.5, (deltaE - 15) / 20 + 0.3) : (deltaE / 15) * 0.3;

function judgeColour({ top, bobbin }: BobbinContext): Judgement {
  if (!top.hex || !bobbin.hex) return { penalty: top.id === bobbin.id ? 0 : 0.2 };
  const de = deltaEHex(top.hex, bobbin.hex);
  const penalty = colourPenalty(de);
  return de > 15
    ? {
        penalty,
        caution: {
          code: 'bobbin-shows',
          severity: 'note',
          text: 'Far in colour from the top thread: a single dot of it would show.',
        },
      }
    : {
        penalty,
        reason:
          de > 3
            ? { code: 'bobbin-shade', text: 'A shade off the top thread: a dot of it would hardly show.' }
            : undefined,
      };
}

function judgeStrength({ top, tension }: PairContext): Judgement {
  const share = tension.topGf / breakGf(top);
  return {
    penalty: Math.max(0, (share - 0.15) / 0.07),
    caution: tension.cautions[0],
    reason:
      share > 0.15 && tension.cautions.length === 0
        ? {
            code: 'works-hard',
            text: `The start tension takes ${Math.round(share * 100)} % of what this thread bears.`,
          }
        : undefined,
  };
}

function judgeStock({ top, bobbin, usage, claimedM = {} }: PairContext): Judgement {
  if (!usage) return { penalty: 0 };
  const same = top.id === bobbin.id;
  const wants = [
    { thread: top, m: usage.topM + (same ? usage.bobbinM : 0) },
    ...(same ? [] : [{ thread: bobbin, m: usage.bobbinM }]),
  ];
  const left = (t: MatchThread) => t.remainingM! - (claimedM[t.id] ?? 0);
  const short = wants.find((w) => w.thread.remainingM != null && left(w.thread) < w.m);
  if (!short) return { penalty: 0, reason: windMore(bobbin, usage) };
  const claimed = claimedM[short.thread.id] ?? 0;
  return {
    penalty: 1,
    caution: {
      code: 'stock-short',
      severity: 'warn',
      text: `${name(short.thread)}: ${metres(short.thread.remainingM!)} left${claimed > 0 ? `, ${metres(claimed)} of it for the other zones` : ''}, ${metres(short.m)} wanted.`,
      act: 'Have another cone ready.',
    },
  };
}

/** How many bobbins to wind before beginning, where the studio counts them. */
function windMore(bobbin: MatchThread, { bobbins }: Usage): Reason | undefined {
  const wound = bobbin.bobbinsWound;
  if (wound === undefined) return undefined;
  const more = bobbins - wound;
  const takes = `Takes about ${bobbins} ${bobbins === 1 ? 'bobbin' : 'bobbins'}`;
  return more > 0
    ? {
        code: 'wind-bobbins',
        text: `${takes}, ${wound === 0 ? 'none is' : wound === 1 ? 'one is' : `${wound} are`} wound.`,
        act: `Wind ${more} more.`,
      }
    : { code: 'bobbins-ready', text: `${takes}: wound and ready.` };
}

/** How a bobbin thread is weighed by the threads alone. */
export const BOBBIN_CRITERIA: readonly CriterionOf<BobbinContext>[] = [
  { id: 'bobbin-size', judge: judgeSize },
  { id: 'bobbin-kind', judge: judgeKind },
  { id: 'bobbin-colour', judge: judgeColour },
];

/** How a pair is weighed once its tension and metres are reckoned. */
export const PAIR_CRITERIA: readonly CriterionOf<PairContext>[] = [
  { id: 'strength', judge: judgeStrength },
  { id: 'stock', judge: judgeStock },
];
