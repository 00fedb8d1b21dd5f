import { CoreError } from '../notes';
import { type Shine, SHINES, type Weave } from '../tables/cloth-looks';
import { type Fabric, fabrics } from '../tables/fabrics';

/** A cloth as it is described by hand and eye. */
export interface ClothDescription {
  /** Weight in g/m², 20–1000. */
  gM2: number;
  weave: Weave;
  /** 0 none – 3 stretchy. */
  stretch: number;
  shine: Shine;
}

export interface NearCloth {
  id: string;
  /** How unlike the description it is, 0 the same; beyond 1 hardly like it. */
  distance: number;
  /** Where it differs, in a few words; empty when it fits. */
  differs: string[];
}

/** Weights in words, for those without a scale: g/m² of a cloth that feels so. */
export const WEIGHT_WORDS = [
  { word: 'sheer', gM2: 70 },
  { word: 'light', gM2: 115 },
  { word: 'like quilting cotton', gM2: 145 },
  { word: 'medium', gM2: 190 },
  { word: 'heavy', gM2: 260 },
  { word: 'very heavy', gM2: 340 },
] as const;

// How much each sign counts (judgement): the weave tells most, shine least.
const COUNTS = { weave: 1, weight: 0.7, stretch: 0.8, shine: 0.5 };
/** Weaves that are easily taken for one another count half as unlike. */
const ALIKE: readonly (readonly [Weave, Weave])[] = [
  ['plain', 'dense'],
  ['plain', 'brushed'],
  ['plain', 'twill'],
  ['dense', 'twill'],
  ['dense', 'satin'],
  ['brushed', 'pile'],
  ['brushed', 'felted'],
  ['pile', 'felted'],
];
/** Kinds this much further off than the nearest are not offered, and never more than three. */
const NEARLY = 0.45;
const MOST = 3;

const weaveDistance = (a: Weave, b: Weave) =>
  a === b ? 0 : ALIKE.some(([x, y]) => (x === a && y === b) || (x === b && y === a)) ? 0.5 : 1;

/**
 * The known kinds of cloth nearest to a description, nearest first: one to three of them.
 * @throws CoreError `out-of-range` when the weight is not 20–1000 g/m² or the stretch not 0–3.
 * @example nearestCloths({ gM2: 140, weave: 'dense', stretch: 0, shine: 'matt' })[0]!.id // 'batik'
 */
export function nearestCloths(d: ClothDescription): NearCloth[] {
  if (!(d.gM2 >= 20 && d.gM2 <= 1000))
    throw new CoreError('out-of-range', 'Weights of fabric run from 20 to 1000 g/m².', 'gM2');
  if (!(d.stretch >= 0 && d.stretch <= 3))
    throw new CoreError('out-of-range', 'Stretch runs from 0, none, to 3.', 'stretch');
  const ranked = fabrics.rows
    .flatMap((cloth) => (cloth.looks ? [{ cloth, look: cloth.looks }] : []))
    .map(({ cloth, look }) => {
      const off = {
        weave: weaveDistance(d.weave, look.weave),
        weight: Math.abs(Math.log(d.gM2 / cloth.gM2)) / Math.log(3),
        stretch: Math.abs(d.stretch - cloth.stretch) / 3,
        shine: Math.abs(SHINES.indexOf(d.shine) - SHINES.indexOf(look.shine)) / (SHINES.length - 1),
      };
      const distance =
        COUNTS.weave * off.weave +
        COUNTS.weight * off.weight +
        COUNTS.stretch * off.stretch +
        COUNTS.shine * off.shine;
      return { id: cloth.id, distance, differs: differences(d, cloth, off) };
    })
    .sort((a, b) => a.distance - b.distance || (a.id < b.id ? -1 : 1));
  return ranked.filter((c) => c.distance <= ranked[0]!.distance + NEARLY).slice(0, MOST);
}

function differences(
  d: ClothDescription,
  cloth: Fabric,
  off: { weave: number; weight: number; stretch: number; shine: number },
): string[] {
  return [
    off.weave > 0 && 'another weave',
    off.weight > 0.15 && (cloth.gM2 > d.gM2 ? 'heavier' : 'lighter'),
    off.stretch > 0.2 && (cloth.stretch > d.stretch ? 'stretches more' : 'stretches less'),
    off.shine > 0.2 && 'another shine',
  ].filter((x): x is string => Boolean(x));
}
