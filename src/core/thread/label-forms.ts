import { denToTex, dtexToTex, neToTex, nmToTex, ticketToTex, wtToTex } from '../units/count';
import type { BASES } from '../fields/lists';
import type { Fibre } from '../tables/fibres';

export type Basis = (typeof BASES)[number];

/** One way a label states a thread's size. A row is the whole truth about the form. */
export interface LabelForm {
  basis: Exclude<Basis, 'measured'>;
  /** As shown to a person whose label could not be read. */
  example: string;
  pattern: RegExp;
  /** n: the number; plies: 1 unless the label names them. */
  toTex(n: number, plies: number, fibre: Fibre): number;
  /** A form read only for some fibres. */
  fits?(fibre: Fibre): boolean;
}

// A number with a decimal point or comma, and plies behind a slash; neither may stop inside a number.
const N = String.raw`(?<n>\d+(?:[.,]\d+)?)(?![\d.,]*\d)`;
const PLIES = String.raw`(?:\s*\/\s*(?<plies>\d{1,2})(?![\d.,]))?`;
const NEED_PLIES = String.raw`\s*\/\s*(?<plies>\d{1,2})(?![\d.,])`;
const form = (source: string) => new RegExp(String.raw`(?<![\w.,])` + source + String.raw`(?![a-z])`, 'iu');

/** Best evidence first: tex and dtex, denier, Ne and Nm, ticket, weight. */
export const LABEL_FORMS: readonly LabelForm[] = [
  { basis: 'tex', example: 'Tex 27', pattern: form(String.raw`(?:tex|t)-?[\s.:]*${N}`), toTex: (n) => n },
  { basis: 'tex', example: '27 tex', pattern: form(String.raw`${N}\s*-?\s*tex`), toTex: (n) => n },
  {
    basis: 'tex',
    example: '270 dtex',
    pattern: form(String.raw`${N}${PLIES}\s*-?\s*(?:dtex|decitex)`),
    toTex: (n, plies) => dtexToTex(n) * plies,
  },
  {
    basis: 'tex',
    example: 'dtex 270',
    pattern: form(String.raw`(?:dtex|decitex)\s*${N}${PLIES}`),
    toTex: (n, plies) => dtexToTex(n) * plies,
  },
  {
    basis: 'den',
    example: '120/2 den',
    pattern: form(String.raw`${N}${PLIES}\s*-?\s*(?:den|denier|d)\b\.?`),
    toTex: (n, plies) => denToTex(n) * plies,
  },
  {
    basis: 'den',
    example: 'den 240 or D240',
    pattern: form(String.raw`(?:den|denier|d)\.?\s*${N}${PLIES}`),
    toTex: (n, plies) => denToTex(n) * plies,
  },
  {
    basis: 'ne',
    example: 'Ne 50/3',
    pattern: form(String.raw`nec?\.?\s*${N}${PLIES}`),
    toTex: (n, plies) => neToTex(n) * plies,
  },
  {
    basis: 'ne',
    example: '50/3 Ne',
    pattern: form(String.raw`${N}${PLIES}\s*nec?`),
    toTex: (n, plies) => neToTex(n) * plies,
  },
  {
    basis: 'nm',
    example: 'Nm 80/2',
    pattern: form(String.raw`nm\.?\s*${N}${PLIES}`),
    toTex: (n, plies) => nmToTex(n) * plies,
  },
  {
    basis: 'nm',
    example: '80/2 Nm',
    pattern: form(String.raw`${N}${PLIES}\s*nm`),
    toTex: (n, plies) => nmToTex(n) * plies,
  },
  {
    basis: 'ticket',
    example: 'Tkt 120',
    pattern: form(String.raw`(?:tkt|ticket)\.?\s*(?:no\.?\s*)?${N}`),
    toTex: ticketToTex,
  },
  {
    basis: 'wt',
    example: '40 wt',
    pattern: form(String.raw`${N}${PLIES}\s*-?\s*(?:wt|weight)\b\.?`),
    toTex: wtToTex,
  },
  {
    basis: 'wt',
    example: 'No. 40',
    pattern: form(String.raw`(?:no\.?|nr\.?|№|#|wt\.?|weight)\s*${N}`),
    toTex: wtToTex,
  },
  {
    basis: 'ne',
    example: '50/3 on cotton or spun thread',
    pattern: form(N + NEED_PLIES),
    toTex: (n, plies) => neToTex(n) * plies,
    fits: (f) => f.surface === 'spun',
  },
  {
    basis: 'den',
    example: '120/2 on filament',
    pattern: form(N + NEED_PLIES),
    toTex: (n, plies) => denToTex(n) * plies,
    fits: (f) => f.surface === 'filament',
  },
  {
    basis: 'wt',
    example: '0.1 mm on clear thread',
    pattern: form(String.raw`${N}\s*mm`),
    toTex: (n, _, fibre) => texOfDiameter(n, fibre),
    fits: (f) => f.mono,
  },
  {
    basis: 'wt',
    example: '0.004 in on clear thread',
    pattern: form(String.raw`${N}\s*(?:in\b|inch|")`),
    toTex: (n, _, fibre) => texOfDiameter(n * 25.4, fibre),
    fits: (f) => f.mono,
  },
  {
    basis: 'wt',
    example: '40 alone, or size 30',
    pattern: /^\s*(?:size\s*)?(?<n>(?:[89]|[1-9]\d|1[0-4]\d|150))\s*$/iu,
    toTex: wtToTex,
    fits: (f) => !f.mono,
  },
];

/** A clear strand by its thickness in mm: the diameter of the model, turned round. */
const texOfDiameter = (mm: number, { densityGCm3, packing }: Fibre): number =>
  (mm / 2) ** 2 * 1000 * Math.PI * densityGCm3 * packing;

/** Words a label carries that say nothing of its size. */
export const IDLE_WORDS =
  /\b100\s*%|\b(?:cotton|polyester|poly|rayon|silk|nylon|wool|metallic|spun|core|corespun|filament|trilobal|monofilament|mono|thread|mercerised|mercerized|long|staple|extra|egyptian|quilting|machine|[2-9]\s*-?\s*ply)\b/giu;
