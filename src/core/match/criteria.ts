import { safety } from '../cautions/cautions';
import { colourSpread, visibility, visibilityWord } from '../colour/visibility';
import { threadCover } from '../density/density';
import type { Caution, Reason } from '../notes';
import { fabrics } from '../tables/fabrics';
import { features as featureTable } from '../tables/features';
import { type Fibre } from '../tables/fibres';
import type { Technique } from '../tables/techniques';
import type { FaultRate } from '../faults/rates';
import type { MatchRequest, MatchThread, MatchZone } from './request';
import type { Criterion } from './weights';
import type { PickedNeedle } from './pick-needle';

/** What is known when a top thread is weighed, before any bobbin. */
export interface TopContext {
  zone: MatchZone;
  technique: Technique;
  thread: MatchThread;
  fibre: Fibre;
  threadMm: number;
  lambda: number;
  needle: PickedNeedle;
  /** Top threads of the quilt's other zones. */
  others?: MatchRequest['others'];
  /** What the studio's own log says of threads, by id. */
  record?: ReadonlyMap<string, FaultRate>;
}

export interface Judgement {
  /** 0 ideal, about 1 clearly wrong. */
  penalty: number;
  reason?: Reason;
  caution?: Caution;
}

export interface CriterionOf<Context> {
  id: Criterion;
  judge(context: Context): Judgement;
}

const over = (value: number, limit: number, span: number) => Math.max(0, (value - limit) / span);
/** A thread this far from the cloth is one the shelf has no better than; another would have to be bought. */
const FAR_OFF = 18;
/** Penalties above this are worth a sentence. */
const SPOKEN = 0.04;
/** What every blade marks on plain cotton; only more than that is said. */
const MARKS = 0.35;
/** A clear monofilament takes the colour of the cloth; this is what is still seen of it. */
const CLEAR_DELTA_E = 4;

type ColouredFabric = MatchZone['top'][number] & { hex: string };
const coloured = (zone: MatchZone) => zone.top.filter((t): t is ColouredFabric => t.hex !== undefined);

const clothName = (c: ColouredFabric) => c.name ?? `${fabrics.get(c.fabric).label} ${c.hex}`;

function seenColour({ zone, thread, fibre, threadMm }: TopContext) {
  const cloths = coloured(zone);
  if (fibre.mono && !thread.hex)
    return { worst: CLEAR_DELTA_E / 2, least: CLEAR_DELTA_E / 2, on: null, worstCloth: '' };
  if (!thread.hex || cloths.length === 0) return null;
  const spread = colourSpread(thread.hex, cloths);
  return {
    worst: visibility(spread.worst, threadMm),
    least: visibility(spread.least, threadMm),
    on: cloths.length > 1 ? clothName(cloths[spread.worstIndex]!) : null,
    worstCloth: clothName(cloths[spread.worstIndex]!),
  };
}

function judgeVisibility(c: TopContext): Judgement {
  const seen = seenColour(c);
  if (!seen)
    return {
      penalty: 0.4,
      reason: {
        code: 'colour-unknown',
        text: 'Colour of thread or cloth is not known.',
        act: 'Lay the cone on the top and judge it there.',
      },
    };
  const { worst, least, on, worstCloth } = seen;
  const where = on ? ` on ${on}, the worst of its cloths` : '';
  const nearer = worst > FAR_OFF ? `A thread nearer to ${worstCloth} would do better.` : undefined;
  switch (c.zone.visibility) {
    case 'sink': {
      const word = visibilityWord(worst);
      const penalty = over(worst, 3, 12);
      return word === 'shows'
        ? {
            penalty,
            caution: {
              code: 'thread-shows',
              severity: 'note',
              text: `Shows${where}, where it should sink.`,
              act: nearer,
            },
          }
        : {
            penalty,
            reason: {
              code: 'thread-sinks',
              text:
                word === 'disappears'
                  ? 'Sinks in: nearly the colour of the cloth.'
                  : `Blends: texture more than colour${where}.`,
            },
          };
    }
    case 'texture':
      return worst > 15
        ? {
            penalty: over(worst, 15, 15),
            caution: {
              code: 'thread-shows',
              severity: 'note',
              text: `More colour than texture${where}.`,
              act: nearer,
            },
          }
        : {
            penalty: 0.2 * over(5 - worst, 0, 5),
            reason: {
              code: 'texture-reads',
              text: 'Close to the cloth: the texture speaks, not the thread.',
            },
          };
    case 'show': {
      const word = visibilityWord(least);
      const penalty = over(15, least, 15);
      return word === 'shows'
        ? { penalty, reason: { code: 'thread-stands-out', text: 'Stands out on every cloth of the zone.' } }
        : {
            penalty,
            caution: {
              code: 'thread-hides',
              severity: 'note',
              text: `Would hardly be seen${coloured(c.zone).length > 1 ? ' on one of the cloths' : ''}, where it should show.`,
            },
          };
    }
  }
}

function judgeThickness({ zone, threadMm }: TopContext): Judgement {
  const mm = threadMm.toFixed(2);
  const says = (code: string, text: string): Reason => ({ code, text });
  switch (zone.visibility) {
    case 'sink':
      return {
        penalty: over(threadMm, 0.16, 0.16),
        reason:
          threadMm <= 0.17
            ? says('fine', `Fine, ${mm} mm: sits down in the cloth.`)
            : says('stands-up', `${mm} mm: a finer thread would sit lower.`),
      };
    case 'show':
      return {
        penalty: over(0.24, threadMm, 0.12),
        reason:
          threadMm >= 0.22
            ? says('bold', `Bold, ${mm} mm: reads across a room.`)
            : says('slender', `${mm} mm: a bolder thread would be read from further off.`),
      };
    case 'texture': {
      const off = threadMm - 0.18;
      return {
        penalty: over(Math.abs(off), 0.04, 0.15),
        reason:
          Math.abs(off) <= 0.04
            ? undefined
            : says(
                off > 0 ? 'stands-up' : 'slender',
                `${mm} mm: ${off > 0 ? 'thicker' : 'finer'} than texture asks for.`,
              ),
      };
    }
  }
}

function judgeBuildUp({ technique: t, threadMm }: TopContext): Judgement {
  const penalty = t.backtrack * over(threadMm, 0.13, 0.1);
  const share = Math.round(t.backtrack * 100);
  if (penalty > 0.15)
    return {
      penalty,
      caution: {
        code: 'thread-builds-up',
        severity: 'note',
        text: `${share} % of ${t.label} is sewn over twice: at ${threadMm.toFixed(2)} mm the line turns ropey.`,
      },
    };
  return {
    penalty,
    reason:
      t.backtrack >= 0.15
        ? {
            code: 'backtrack-forgiven',
            text: `Fine enough to sew over: the ${share} % sewn twice will not build up.`,
          }
        : penalty > SPOKEN
          ? {
              code: 'sewn-twice',
              text: `${share} % is sewn twice; at ${threadMm.toFixed(2)} mm it hardly shows.`,
            }
          : undefined,
  };
}

const judgeCover = ({ technique: t, lambda, threadMm }: TopContext): Judgement => {
  if (t.id === 'thread-painting') return { penalty: 0 };
  const cover = threadCover(lambda, t.backtrack, threadMm);
  return cover > 0.1
    ? {
        penalty: over(cover, 0.1, 0.1),
        caution: {
          code: 'stiff',
          severity: 'note',
          text: `Thread covers ${Math.round(cover * 100)} % of the surface: this area will be stiff.`,
          act: 'Open the spacing, or take a finer thread.',
        },
      }
    : { penalty: 0 };
};

/** What of the needle's penalty has no criterion of its own: marks, the maker's note, the point in the drawer. */
function judgeNeedle({ needle }: TopContext): Judgement {
  const { eye, flex, holes } = needle.size.parts;
  const rest = Math.max(0, needle.size.penalty - eye - flex - holes);
  if (!needle.wantedPoint)
    return {
      penalty: rest,
      reason:
        rest > MARKS
          ? {
              code: 'blade-marks',
              text: `A blade of ${(needle.nm / 100).toFixed(2)} mm leaves a mark of its own; a thinner one less.`,
            }
          : undefined,
    };
  return {
    penalty: rest + 0.3,
    caution: {
      code: 'point-differs',
      severity: 'note',
      text: `The cloth asks for a ${needle.wantedPoint} point; the drawer has ${needle.point} in Nm ${needle.nm}.`,
      act: `Buy Nm ${needle.nm} ${needle.wantedPoint}.`,
    },
  };
}

function judgeAbrasion({ zone, fibre }: TopContext): Judgement {
  const rough = (zone.features ?? []).map((f) => featureTable.get(f)).filter((f) => f.abrasive);
  const first = rough[0];
  if (!first) return { penalty: 0 };
  const strong = fibre.tenacityCnTex >= 33 && !fibre.mono;
  return {
    penalty: strong ? 0 : over(33, fibre.tenacityCnTex, 15) + 0.2,
    caution: { code: first.id, severity: 'warn', text: first.advice },
    reason: strong
      ? {
          code: 'stands-rubbing',
          text: `${fibre.label[0]!.toUpperCase()}${fibre.label.slice(1)} stands the rubbing of the ${first.label}.`,
        }
      : undefined,
  };
}

const judgeFuss = ({ fibre }: TopContext): Judgement =>
  fibre.id === 'metallic'
    ? {
        penalty: 1,
        caution: {
          code: 'metallic-slow',
          severity: 'note',
          text: 'Twists and shreds easily.',
          act: 'Sew slowly and draw it off upright.',
        },
      }
    : fibre.mono
      ? {
          penalty: 0.6,
          caution: {
            code: 'mono-stretches',
            severity: 'note',
            text: 'Stretches as it feeds.',
            act: 'Low tension, and let it hang loose.',
          },
        }
      : fibre.id === 'rayon'
        ? { penalty: 0.25, reason: { code: 'soft', text: 'Softer than polyester: it frays sooner.' } }
        : { penalty: 0 };

function judgeChild({ zone, fibre }: TopContext): Judgement {
  return fibre.mono && zone.use === 'baby'
    ? { penalty: 1, caution: safety('monofilament-child', 'stop') }
    : { penalty: 0 };
}

const judgeIron = ({ zone, fibre }: TopContext): Judgement =>
  fibre.id === 'nylon-mono'
    ? {
        penalty: zone.use === 'wall' || zone.use === 'show' ? 0 : 1,
        caution: safety('monofilament-iron', 'note'),
      }
    : { penalty: 0 };

/** Quilts that will be washed again and again. */
const WASHED: readonly MatchZone['use'][] = ['bed', 'baby', 'garment'];

const judgeWashing = ({ zone, fibre }: TopContext): Judgement =>
  fibre.washRisk > 0 && WASHED.includes(zone.use)
    ? {
        penalty: fibre.washRisk,
        caution: {
          code: 'wash-care',
          severity: 'note',
          text: `This quilt will be washed. ${fibre.note}`,
          act: 'Write it on the care sheet.',
        },
      }
    : { penalty: 0 };

function judgeChange({ thread, others }: TopContext): Judgement {
  if (!others || others.length === 0) return { penalty: 0 };
  const same = others.filter((o) => o.topId === thread.id).map((o) => o.zone);
  return same.length > 0
    ? {
        penalty: 0,
        reason: {
          code: 'no-thread-change',
          text: `Already chosen for ${inWords(same.length === 1 ? 'zone' : 'zones', same)}: no thread change.`,
        },
      }
    : {
        penalty: 1,
        reason: { code: 'thread-change', text: 'One more thread on this quilt: a change in every sweep.' },
      };
}

const inWords = (noun: string, letters: readonly string[]) =>
  `${noun} ${letters.length > 1 ? `${letters.slice(0, -1).join(', ')} and ${letters.at(-1)}` : letters[0]}`;

function judgeRecord({ thread, record }: TopContext): Judgement {
  const rate = record?.get(thread.id);
  if (!rate) return { penalty: 0 };
  const per = `${rate.per100k.toFixed(1)} faults in 100 000 stitches with this thread, your studio’s mean is ${rate.mean.toFixed(1)}`;
  if (rate.differs === 'worse')
    return {
      penalty: Math.log(rate.per100k / rate.mean),
      caution: {
        code: 'own-faults',
        severity: 'note',
        text: `${per}: worse than chance explains.`,
        act: 'Test it longer, or take another.',
      },
    };
  return {
    penalty: 0,
    reason:
      rate.differs === 'better'
        ? { code: 'own-record', text: `${per}: better than chance explains.` }
        : undefined,
  };
}

const judgeLint = ({ fibre }: TopContext): Judgement => ({
  penalty: fibre.lint,
  caution:
    fibre.lint >= 2
      ? { code: 'lint', severity: 'note', text: 'Sheds lint.', act: 'Brush the hook at every bobbin.' }
      : undefined,
  reason: fibre.lint === 1 ? { code: 'little-lint', text: 'Sheds a little lint.' } : undefined,
});

const judgeSoluble = ({ fibre, technique }: TopContext): Judgement =>
  fibre.id === 'soluble' && technique.id !== 'baste'
    ? {
        penalty: 1,
        caution: { code: 'washes-out', severity: 'stop', text: 'Dissolves in the wash: for basting only.' },
      }
    : { penalty: 0 };

/** Each way a top thread is weighed for a zone. Adding a criterion is adding a row. */
export const TOP_CRITERIA: readonly CriterionOf<TopContext>[] = [
  { id: 'visibility', judge: judgeVisibility },
  { id: 'thickness', judge: judgeThickness },
  { id: 'build-up', judge: judgeBuildUp },
  { id: 'cover', judge: judgeCover },
  { id: 'abrasion', judge: judgeAbrasion },
  { id: 'eye', judge: ({ needle }) => ({ penalty: needle.size.parts.eye }) },
  { id: 'flex', judge: ({ needle }) => ({ penalty: needle.size.parts.flex }) },
  { id: 'holes', judge: ({ needle }) => ({ penalty: needle.size.parts.holes }) },
  { id: 'needle', judge: judgeNeedle },
  { id: 'fuss', judge: judgeFuss },
  { id: 'child', judge: judgeChild },
  { id: 'iron', judge: judgeIron },
  { id: 'washing', judge: judgeWashing },
  { id: 'soluble', judge: judgeSoluble },
  { id: 'thread-change', judge: judgeChange },
  { id: 'record', judge: judgeRecord },
  { id: 'lint', judge: judgeLint },
];
