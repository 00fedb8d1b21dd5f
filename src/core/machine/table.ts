import type { TableRegulation } from '../fields/lists';
import type { Caution } from '../notes';
import { safety } from '../cautions/cautions';
import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import { mmToIn } from '../units/length';

/** A machine on a table, under which the quilt is moved by hand. */
export interface TableMachine {
  throatIn: number;
  /** From the bed to the arm, inches. */
  heightIn: number;
  regulated: TableRegulation;
  /** The pull that moves this quilt, measured with a scale, newtons; null where it was not. */
  dragN?: number | null;
}

/** A quilt's layers as they are moved. */
export interface MovedQuilt {
  widthIn: number;
  lengthIn: number;
  battingId: string;
  backing: string;
}

/** How full a bundle is: rolled and clipped, or bunched (judgements). */
const PACKED = { rolled: 0.5, bunched: 0.35 } as const;
/** A batting keeps so much of its loft in the bundle. */
const BUNDLED_LOFT = 0.4;
const [GOOD_IN, TIGHT_IN] = [6, 4];

/** Thickness of the layers in a bundle, inches. */
const layersIn = ({ battingId, backing }: Pick<MovedQuilt, 'battingId' | 'backing'>): number =>
  mmToIn(
    fabrics.get('quilting-cotton').thicknessMm +
      fabrics.get(backing, 'backing').thicknessMm +
      BUNDLED_LOFT * battings.get(battingId, 'battingId').loftMm,
  );

/** What of a quilt has to lie in the throat, and what is left clear of it. */
export interface ThroatFit {
  /** Diameter of the bundle, inches, and what is clear beside it. */
  bundleIn: number;
  clearIn: number;
  word: 'good' | 'tight' | 'too-much';
}

/**
 * How a quilt fits the throat: half of it, rolled or bunched, is a bundle of `D = 1.13·√(S/2·t/φ)`, S the shorter side; clear
 * is the throat less that, and where the bundle is higher than the arm it is pressed wide: `throat − πD²/4h`. Inches.
 */
export function throatFit(
  machine: Pick<TableMachine, 'throatIn' | 'heightIn'>,
  quilt: MovedQuilt,
  packed: keyof typeof PACKED = 'rolled',
): ThroatFit {
  const side = Math.min(quilt.widthIn, quilt.lengthIn);
  const bundleIn = 1.13 * Math.sqrt(((side / 2) * layersIn(quilt)) / PACKED[packed]);
  const taken = bundleIn > machine.heightIn ? (Math.PI * bundleIn ** 2) / (4 * machine.heightIn) : bundleIn;
  const clearIn = machine.throatIn - taken;
  return {
    bundleIn,
    clearIn,
    word: clearIn >= GOOD_IN ? 'good' : clearIn >= TIGHT_IN ? 'tight' : 'too-much',
  };
}

const KG_M2 = { fabric: 0.14, battingBase: 0.06, battingPerMm: 0.02 };
const IN2_M2 = 0.00064516;

/** About what a quilt weighs, kg (judgement: two fabrics, a batting by its loft). */
export const massKg = ({ widthIn, lengthIn, battingId }: MovedQuilt): number =>
  widthIn *
  lengthIn *
  IN2_M2 *
  (2 * KG_M2.fabric + KG_M2.battingBase + KG_M2.battingPerMm * battings.get(battingId, 'battingId').loftMm);

const MU = { slick: 0.25, table: 0.35, pile: 0.7 } as const;
const PILE = ['plush', 'velvet', 'fleece'];
/** Share of the quilt that hangs: over the edge of a bare table, or on tables left and behind. */
const HANGS = { bare: 0.3, supported: 0 } as const;
const G = 9.81;
/** To here the hands move it lightly; above this it wants tables left and behind, newtons. */
export const [LIGHT_N, HEAVY_N] = [6, 12];

/** The pull that moves a quilt, `F = 9.81·m·(μ(1−s) + s)`, newtons. @param s how it is borne. */
export function dragN(quilt: MovedQuilt, s: keyof typeof HANGS = 'bare', slick = false): number {
  const mu = PILE.includes(quilt.backing) ? MU.pile : slick ? MU.slick : MU.table;
  return G * massKg(quilt) * (mu * (1 - HANGS[s]) + HANGS[s]);
}

/** Hands that move a quilt are slower than hands that move a carriage. */
export const TABLE_SPEED = 0.75;
/** A heavy one slows them further. @param pullN newtons. @returns a share of the speed, 0–1. */
export const slowedBy = (pullN: number): number => Math.min(1, Math.sqrt(LIGHT_N / Math.max(0.1, pullN)));

/** A walking foot takes curves from here on, and goes no faster than this. */
export const WALKING = { leastRadiusIn: 3, inPerS: 1.25 } as const;
/** The needle sticks out so far, mm: shorter than on a frame, so Nm 80 is as stiff as 96 there. */
export const TABLE_NEEDLE_MM = 25;

/** So much lies flat before the hands at once, inches square; a shift and a turn take so long, minutes. */
const REACH_IN2 = 81;
const [SHIFT_MIN, TURN_MIN] = [0.4, 2];

/** Minutes of shifting and turning the quilt for an area: so many times nine inches square, and a turn for each quarter it lies in. */
export const shiftMin = (areaIn2: number, quarters = 1): number =>
  Math.max(1, Math.ceil(areaIn2 / REACH_IN2 - 1e-9)) * SHIFT_MIN + quarters * TURN_MIN;

/** A way to hold the layers together on a table. */
export interface Basting {
  id: 'pins' | 'spray' | 'thread' | 'fusible';
  label: string;
  minutes: number;
  /** What it takes. */
  takes: string;
  /** What is to be known of it. */
  note: string;
  caution?: Caution;
}

const PIN_IN = 4;
const LOFTY_MM = 6;
const LOFTY_PIN_IN = 3;

/** The ways to baste a quilt on a table with their minutes: pins, spray, thread, or a fusible batting. The backing is taped flat first. */
export function bastings({ widthIn, lengthIn, battingId }: MovedQuilt): Basting[] {
  const area = widthIn * lengthIn;
  const every = battings.get(battingId, 'battingId').loftMm >= LOFTY_MM ? LOFTY_PIN_IN : PIN_IN;
  const pins = Math.ceil(area / every ** 2);
  return [
    {
      id: 'pins',
      label: `pins every ${every} in`,
      minutes: pins * 0.18,
      takes: `${pins} pins`,
      note: 'Take each out before the needle comes to it.',
    },
    {
      id: 'spray',
      label: 'basting spray',
      minutes: 6 + area / 300,
      takes: `${Math.ceil(area / 3500)} can${area > 3500 ? 's' : ''}`,
      note: 'Holds for days, not for weeks.',
      caution: safety('fumes-fibres'),
    },
    {
      id: 'thread',
      label: 'thread in rows 4 in apart',
      minutes: 0.03 * area,
      takes: `${Math.round((area / 4 / 39.37) * 1.3)} m of thread`,
      note: 'Nothing in the way of the foot; it stays as long as it is wanted.',
    },
    {
      id: 'fusible',
      label: 'fusible batting',
      minutes: 8 + area / 250,
      takes: 'a fusible batting in place of this one',
      note: 'The quilt is stiffer for it.',
      caution: safety('hot-iron'),
    },
  ];
}

/** Everything a table asks for before the first stitch. */
export interface TableAdvice {
  fit: ThroatFit;
  pullN: number;
  supportedN: number;
  measured: boolean;
  bastings: Basting[];
  cautions: Caution[];
}

/** What a quilt asks of a machine on a table: room, support, basting, speed. */
export function tableAdvice(machine: TableMachine, quilt: MovedQuilt): TableAdvice {
  const fit = throatFit(machine, quilt);
  const pullN = machine.dragN ?? dragN(quilt);
  const supportedN = dragN(quilt, 'supported');
  const cautions: Caution[] = [];
  if (fit.word === 'too-much')
    cautions.push({
      code: 'throat-too-small',
      severity: 'stop',
      text: `Rolled, half of this quilt leaves ${Math.max(0, fit.clearIn).toFixed(1)} in clear in the throat: quilt it in parts and join them, or take it to a frame.`,
    });
  else if (fit.word === 'tight')
    cautions.push({
      code: 'throat-tight',
      severity: 'warn',
      text: `${fit.clearIn.toFixed(1)} in stay clear beside the bundle: small figures and straight lines go; wide curves stop at the roll.`,
    });
  if (pullN > HEAVY_N)
    cautions.push({
      code: 'heavy-pull',
      severity: 'warn',
      text: `It pulls with about ${Math.round(pullN)} N: set tables to the left and behind, level with the bed${supportedN < pullN ? `; then about ${Math.round(supportedN)} N` : ''}.`,
    });
  cautions.push({
    code: 'arms',
    severity: 'note',
    text: 'Forearms level with the bed; arms guide, they carry no weight. Bulk stays left, needle down at every shift.',
  });
  return { fit, pullN, supportedN, measured: machine.dragN != null, bastings: bastings(quilt), cautions };
}

/** What the pull of a frame's carriage says: to 5 N it runs as it should. */
export const carriageAdvice = (pullN: number): string | null =>
  pullN > 5
    ? `The carriage pulls with ${pullN} N; 2 to 5 is usual. Wipe rails and wheels, look for a rubbing cable, then measure again.`
    : null;

/** Where to begin and how to go on: holding lines from the middle, then quarter by quarter outward. */
export const TABLE_ORDER = [
  'The lines that hold the layers first, from the middle out.',
  'Then quarter by quarter, from the middle to the edge; the bulk stays to the left.',
  'Needle down whenever the hands let go; shift, smooth, go on.',
  'Turn the quilt for the next quarter; borders last, without pulling at the edge.',
] as const;
