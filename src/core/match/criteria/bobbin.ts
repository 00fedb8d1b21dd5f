import { deltaEHex } from '../../colour/delta-e';
import { sinkPenalty } from './colour';
import { clamp } from '../../units/clamp';
import { type BobbinContext, capital, type CriterionOf, over } from './criterion';

/** A bobbin thread thicker than the top pushes up: for each so many tex above it, and so much at most. */
const THICKER = { tex: 4, costs: 0.1, most: 0.4 } as const;

/**
 * The usual school has a fine filament below: a usual weight costs more than the most a bobbin's colour can cost, so
 * that a fine one comes before the same thread. Where none is owned all cost it alike.
 */
const FINE_BELOW = 0.35;
const [FINE_TEX, USUAL_TEX] = [12, 18] as const;

export const bobbinSize: CriterionOf<BobbinContext> = {
  id: 'bobbin-size',
  label: 'Bobbin size',
  weight: 1,
  cost({ top, bobbin, preferences }) {
    if (preferences.bobbin === 'same')
      return top.id === bobbin.id ? 0 : 0.8 + Math.abs(Math.log(bobbin.tex / top.tex));
    const ratio = bobbin.tex / top.tex;
    const coarse = FINE_BELOW * clamp((bobbin.tex - FINE_TEX) / (USUAL_TEX - FINE_TEX), 0, 1);
    const thicker = Math.min(THICKER.most, (Math.max(0, bobbin.tex - top.tex) / THICKER.tex) * THICKER.costs);
    return coarse + thicker + over(0.3, ratio, 0.5);
  },
  say({ top, bobbin, preferences }) {
    if (preferences.bobbin === 'same')
      return {
        reason:
          top.id === bobbin.id
            ? {
                code: 'same-below',
                text: 'The same thread below, as this studio prefers: a dot of it never shows.',
              }
            : {
                code: 'not-the-same',
                text: 'Not the thread above: this studio prefers the same thread below.',
              },
      };
    const ratio = bobbin.tex / top.tex;
    if (bobbin.tex - top.tex >= THICKER.tex)
      return {
        caution: {
          code: 'bobbin-thicker',
          severity: 'note',
          text: 'The bobbin thread is thicker than the top: it will push up.',
        },
      };
    if (top.id === bobbin.id)
      return {
        reason: { code: 'bobbin-same', text: 'The same thread below: a dot of it is never seen.' },
      };
    return {
      reason:
        ratio < 0.95
          ? { code: 'bobbin-finer', text: 'A finer bobbin thread: more on the bobbin, and it stays below.' }
          : {
              code: 'bobbin-as-thick',
              text: 'As thick as the top thread: less on a bobbin than a finer one.',
            },
    };
  },
};

const UNSUITED = 1.5;
const same = ({ top, bobbin, preferences }: BobbinContext) =>
  preferences.bobbin === 'same' && top.id === bobbin.id;
export const bobbinKind: CriterionOf<BobbinContext> = {
  id: 'bobbin-kind',
  label: 'Bobbin thread',
  weight: 1,
  cost(c) {
    if (!c.bobbinFibre.bobbin) return UNSUITED;
    return same(c) || c.bobbinFibre.surface === 'filament' ? 0 : 0.1 + 0.05 * c.bobbinFibre.lint;
  },
  leastUnderAny: ({ bobbinFibre: f, preferences }) =>
    !f.bobbin
      ? UNSUITED
      : preferences.bobbin === 'same' || f.surface === 'filament'
        ? 0
        : 0.1 + 0.05 * f.lint,
  say({ bobbinFibre }, penalty) {
    if (!bobbinFibre.bobbin)
      return {
        caution: {
          code: 'bobbin-unsuited',
          severity: 'warn',
          text: `${capital(bobbinFibre.label)} winds and feeds badly on a bobbin.`,
        },
      };
    return penalty > 0.04
      ? {
          reason: {
            code: 'bobbin-rough',
            text: `${capital(bobbinFibre.label)} feeds less smoothly from a bobbin than a filament.`,
          },
        }
      : {};
  },
};

/** Dots of the bobbin show at a hole here and there: never so much as the line that is seen. */
const DOTS_MOST = 0.3;
/** At this difference a dot costs half of the most it can. */
const DOTS_HALF = 15;
/** What a bobbin this far in colour from its top costs; grows with the difference, so that no two tie. */
export const colourPenalty = (deltaE: number): number => (DOTS_MOST * deltaE) / (deltaE + DOTS_HALF);

export const bobbinColour: CriterionOf<BobbinContext> = {
  id: 'bobbin-colour',
  label: 'Bobbin colour',
  weight: 1,
  byColour: true,
  cost: ({ top, bobbin }) =>
    !top.hex || !bobbin.hex
      ? top.id === bobbin.id
        ? 0
        : 0.2
      : colourPenalty(deltaEHex(top.hex, bobbin.hex)),
  leastApart: (_, deltaE) => colourPenalty(deltaE),
  say({ top, bobbin }) {
    if (!top.hex || !bobbin.hex) return {};
    const de = deltaEHex(top.hex, bobbin.hex);
    if (de > 15)
      return {
        caution: {
          code: 'bobbin-shows',
          severity: 'note',
          text: 'Far in colour from the top thread: a single dot of it would show.',
        },
      };
    return de > 5
      ? {
          reason: {
            code: 'bobbin-shade',
            text: 'A shade off the top thread: a dot of it would hardly show.',
          },
        }
      : {};
  },
};

/** The back is looked at less than the top: so much at most for the line below and the dots of the top together. */
const BACK_MOST = 0.3;
/** Of it, dots of the top thread on the back count a quarter, where the two threads differ. */
const DOTS = 0.25;
const DIFFERS = 5;
/** What a colour costs on the back, 0 to 1: half where it is plainly the wrong one. */
const onBack = (de: number): number => {
  const seen = sinkPenalty(de);
  return seen / (seen + 1);
};
/** The backing's colour: the line below is the bobbin thread's. */
export const backColour: CriterionOf<BobbinContext> = {
  id: 'back-colour',
  label: 'Colour on the back',
  weight: 1,
  byColour: true,
  cost({ top, bobbin, toBacking }) {
    if (!toBacking || !bobbin.hex) return 0;
    const dots = top.hex && deltaEHex(top.hex, bobbin.hex) > DIFFERS ? DOTS * onBack(toBacking(top.hex)) : 0;
    return BACK_MOST * ((1 - DOTS) * onBack(toBacking(bobbin.hex)) + dots);
  },
  leastUnderAny: ({ bobbin, toBacking }) =>
    toBacking && bobbin.hex ? BACK_MOST * (1 - DOTS) * onBack(toBacking(bobbin.hex)) : 0,
  leastApart: ({ top, toBacking }, deltaE) =>
    toBacking && top.hex && deltaE > DIFFERS ? BACK_MOST * DOTS * onBack(toBacking(top.hex)) : 0,
  say: (_, penalty) =>
    penalty > 0.12
      ? { reason: { code: 'back-shows', text: 'Shows on the back: its colour is far from the backing’s.' } }
      : {},
};

const CHANGES = 0.2;
const notReady = ({ bobbin, wound }: Pick<BobbinContext, 'bobbin' | 'wound'>) =>
  wound && wound.size > 0 && (wound.get(bobbin.id) ?? 0) === 0 ? CHANGES : 0;
/** Bobbins wound of a thread that suits are to hand. */
export const bobbinsReady: CriterionOf<BobbinContext> = {
  id: 'bobbins-ready',
  label: 'Bobbins wound',
  weight: 1,
  cost: notReady,
  leastUnderAny: notReady,
};
