import { inToMm, spiToMm } from '../units/length';

// Steel, and a free length that suits a needle in its clamp on a frame machine.
const YOUNG_N_MM2 = 206_000;
const FREE_LENGTH_MM = 32;
/** Groove and scarf leave about 0.6 of a solid rod's stiffness (judgement). */
const BLADE = 0.6;
/** Share of the stitch cycle the needle spends in the cloth (judgement). */
const IN_CLOTH = 0.42;
/** Sideways stiffness of quilting cotton, N/mm (judgement). */
const CLOTH_N_MM = 0.25;
/** Deflection that counts as 1, mm: about Nm 100 at 11 per inch in quilting cotton. */
const UNIT_MM = 0.3;

/** For the choice of a needle a stitch counts as this long at most: nobody changes a needle because the stitch is long. */
const FELT_MM = 2.3;

/** Bending stiffness of the blade in N/mm: cantilever 3·E·I/l³ (Euler–Bernoulli), I = 0.6·π·D⁴/64. @param freeMm l, mm. */
export function needleStiffness(nm: number, freeMm = FREE_LENGTH_MM): number {
  const d = nm / 100;
  return (3 * YOUNG_N_MM2 * BLADE * Math.PI * d ** 4) / 64 / freeMm ** 3;
}

/**
 * Flex index: how far the moving carriage bends the needle while it is in the cloth, in units of
 * 0.30 mm, of the real stitch.
 * @example flexIndex(100, 11, 1) // 1.00
 */
export const flexIndex = (nm: number, spi: number, firmness: number, freeMm?: number): number =>
  bend(nm, IN_CLOTH * spiToMm(spi), firmness, freeMm);

/** Flex index as it counts for the choice: up to 1.3 best, from 1.45 with a caution, to 1.6 usable, above 2 refused. */
export const feltFlexIndex = (nm: number, spi: number, firmness: number, freeMm?: number): number =>
  bend(nm, IN_CLOTH * Math.min(FELT_MM, spiToMm(spi)), firmness, freeMm);

/** Single basting stitches are quick ones of a needle at this rate, per minute: the hands' travel meanwhile bends it. */
const BASTE_SPM = 1500;

/** Flex index of a single basting stitch at a hand speed in in/s: the length of the stitch does not matter. */
export const basteFlexIndex = (nm: number, inPerS: number, firmness: number, freeMm?: number): number =>
  bend(nm, (inToMm(inPerS) * IN_CLOTH * 60) / BASTE_SPM, firmness, freeMm);

function bend(nm: number, travelMm: number, firmness: number, freeMm?: number): number {
  const cloth = CLOTH_N_MM * firmness;
  return (travelMm * (cloth / (cloth + needleStiffness(nm, freeMm)))) / UNIT_MM;
}

export const FLEX_BEST = 1.3;
/** From here on it is said. */
export const FLEX_SAID = 1.45;
export const FLEX_USABLE = 1.6;
export const FLEX_LAST_RESORT = 2;
