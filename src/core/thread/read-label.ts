import { CoreError, type Reason } from '../notes';
import { fibres } from '../tables/fibres';
import { IDLE_WORDS, LABEL_FORMS, type Basis } from './label-forms';

export interface Reading {
  basis: Basis;
  /** The words of the label it was read from. */
  from: string;
  tex: number;
}

/** Sources that differ by more than this share are pointed out. */
const DISAGREE = 0.15;
/** A weight number is used loosely by makers: ±25 %. */
export const WT_UNCERTAINTY = 0.25;
/** A minus that stands alone before its number; in “Tex-27” it is a dash. */
const BELOW_NOTHING = /(?:^|[\s(;,/|:])([-−–]\d[\d.,]*)/u;
const TEX_RANGE = [1, 1000] as const;

const formsUnderstood = () =>
  `Forms understood: ${LABEL_FORMS.map((f) => f.example).join(', ')}, or net grams and metres.`;

/**
 * Every size a label states, best evidence first (tex and dtex, denier, Ne and Nm, ticket, weight).
 * @throws CoreError `label-unreadable` when nothing, or not all of it, can be read; it lists the forms.
 * @example readLabel('Tex 27 / 40 wt', 'polyester-filament') // [{basis:'tex',tex:27}, {basis:'wt',tex:25}]
 */
export function readLabel(label: string, fibreId: string): Reading[] {
  const fibre = fibres.get(fibreId, 'fibre');
  const below = BELOW_NOTHING.exec(label.normalize('NFKC'));
  if (below)
    throw new CoreError(
      'label-unreadable',
      `“${below[1]}” is below nothing: a size has no minus before it. ${formsUnderstood()}`,
      'label',
    );
  const readings: Reading[] = [];
  let rest = label.normalize('NFKC');
  for (const form of LABEL_FORMS) {
    if (form.fits && !form.fits(fibre)) continue;
    const found = form.pattern.exec(rest);
    if (!found?.groups) continue;
    const n = Number(found.groups.n!.replace(',', '.'));
    const tex = form.toTex(n, Number(found.groups.plies ?? 1), fibre);
    if (!Number.isFinite(tex) || tex < TEX_RANGE[0] || tex > TEX_RANGE[1])
      throw new CoreError(
        'label-unreadable',
        `“${found[0].trim()}” would be tex ${Number.isFinite(tex) ? Number(tex.toPrecision(3)) : 'without end'}; threads lie between ${TEX_RANGE[0]} and ${TEX_RANGE[1]} tex.`,
        'label',
      );
    readings.push({ basis: form.basis, from: found[0].trim(), tex });
    rest = rest.replace(found[0], ' ; ');
  }
  const unread = rest
    .replace(IDLE_WORDS, ' ')
    .replace(/[\s;,/|()[\]=≈~·.-]+/gu, ' ')
    .trim();
  if (readings.length === 0 || unread)
    throw new CoreError(
      'label-unreadable',
      `${unread ? `“${unread}” cannot be read as a thread size.` : 'The label is empty.'} ${formsUnderstood()}`,
      'label',
    );
  return readings;
}

/** Grams and metres of a full cone to tex, 1000·g/m: it beats every label. */
export const measuredTex = (netG: number, lengthM: number): number => (1000 * netG) / lengthM;

/** A sentence when two sources differ by more than 15 %, else nothing. `readings` best first. */
export function disagreements(readings: readonly Reading[]): Reason[] {
  const best = readings[0];
  if (!best) return [];
  return readings
    .slice(1)
    .filter((other) => Math.abs(other.tex / best.tex - 1) > DISAGREE)
    .map((other) => ({
      code: 'sources-disagree',
      text: `${other.from} would be tex ${other.tex.toFixed(1)}, ${best.from} says tex ${best.tex.toFixed(1)}: ${best.from} is the better source and is used.`,
    }));
}
