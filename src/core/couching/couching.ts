import type { Caution } from '../notes';
import { inToM, mmToIn } from '../units/length';
import { trim } from '../units/trim';

export interface CouchingRequest {
  pathIn: number;
  starts: number;
  yarnMm: number;
  skeinM: number;
  footHoleMm: number;
  minRadiusIn: number;
  gapIn: number;
}

export interface Couching {
  yarnM: number;
  skeins: number;
  foot: 'couching' | 'ruler';
  ok: boolean;
  cautions: Caution[];
}

/** A hole is at least this much wider than the yarn. */
const HOLE_MARGIN = 1.1;
/** Curves and gaps keep so many yarn diameters. */
export const COUCHED_RADIUS = 2;
export const COUCHED_GAP = 2.5;
const TAKE_UP = 1.06;
const PER_START_M = 0.2;

/**
 * The foot a yarn is couched with: the one with the hole where the yarn runs through it, else the ruler foot, the yarn
 * guided by hand before it. One answer for the match, the whole quilt and the couching plan.
 * @param holeMm the hole of the couching foot; null where its size is not known, and then it is trusted; 0 for none.
 */
export const couchingFoot = (yarnMm: number | undefined, holeMm: number | null): 'couching' | 'ruler' =>
  holeMm === null || (holeMm > 0 && (yarnMm === undefined || holeMm >= HOLE_MARGIN * yarnMm))
    ? 'couching'
    : 'ruler';

/** Said where a yarn does not run through the foot’s hole. */
export const holeTooSmall = (yarnMm: number, holeMm: number): Caution => ({
  code: 'hole-too-small',
  severity: 'warn',
  text:
    holeMm > 0
      ? `A yarn of ${trim(yarnMm, 1)} mm wants a hole of ${trim(HOLE_MARGIN * yarnMm, 1)} mm; this foot has ${trim(holeMm, 1)} mm.`
      : `There is no foot with a hole for a yarn of ${trim(yarnMm, 1)} mm.`,
  act: 'Guide it by hand before the ruler foot, slowly, or take a thinner yarn.',
});

/**
 * Yarn for a couched path: path · 1.06 + 0.2 m per start; the foot's hole at least 1.1 × the yarn, else a ruler
 * foot; curves of at least 2 and gaps of at least 2.5 yarn diameters (judgements).
 */
export function planCouching(r: CouchingRequest): Couching {
  const cautions: Caution[] = [];
  const yarnIn = mmToIn(r.yarnMm);
  const foot = couchingFoot(r.yarnMm, r.footHoleMm);
  if (foot === 'ruler') cautions.push(holeTooSmall(r.yarnMm, r.footHoleMm));
  if (r.minRadiusIn < COUCHED_RADIUS * yarnIn)
    cautions.push({
      code: 'radius-tight',
      severity: 'warn',
      text: `Curves of ${trim(r.minRadiusIn, 2)} in are tighter than this yarn bends: ${(COUCHED_RADIUS * yarnIn).toFixed(2)} in at least.`,
    });
  if (r.gapIn < COUCHED_GAP * yarnIn)
    cautions.push({
      code: 'gap-tight',
      severity: 'warn',
      text: `Lines ${trim(r.gapIn, 2)} in apart run together: ${(COUCHED_GAP * yarnIn).toFixed(2)} in at least.`,
    });
  const yarnM = inToM(r.pathIn) * TAKE_UP + PER_START_M * r.starts;
  return {
    yarnM,
    skeins: Math.ceil(yarnM / r.skeinM - 1e-9),
    foot,
    ok: cautions.length === 0,
    cautions,
  };
}

/** Where yarn ends as blocks are couched one after the other. */
export interface SkeinEnds {
  /** Metres each block takes. */
  blocksM: number[];
  totalM: number;
  /** For each skein that ends on the way: the block it ends in, from 1, and how far through that block, 0 to 1. */
  ends: { skein: number; block: number; share: number }[];
  /** Metres still lacking after the last block; 0 when the skeins at hand suffice. */
  lackingM: number;
}

/**
 * In which block each skein ends, so that a block that cannot be finished is not begun with it.
 * @param paths the couched path of each block, inches, and its starts. @param skeinM metres of a skein, above 0.
 * @param skeins at hand; a begun one counts as its part, and is used first.
 */
export function skeinEnds(
  paths: readonly { pathIn: number; starts: number }[],
  skeinM: number,
  skeins: number,
): SkeinEnds {
  const blocksM = paths.map((p) => inToM(p.pathIn) * TAKE_UP + PER_START_M * p.starts);
  const totalM = blocksM.reduce((sum, m) => sum + m, 0);
  const begun = skeins % 1;
  const marks: number[] = [];
  for (let m = (begun || 1) * skeinM; m < totalM - 1e-9; m += skeinM) marks.push(m);
  let block = 0;
  let before = 0;
  const ends = marks.map((m, i) => {
    while (before + blocksM[block]! <= m) before += blocksM[block++]!;
    return { skein: i + 1, block: block + 1, share: (m - before) / blocksM[block]! };
  });
  return { blocksM, totalM, ends, lackingM: Math.max(0, totalM - skeins * skeinM) };
}
