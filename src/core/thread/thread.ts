import { cnToGf } from '../units/force';
import { fibres } from '../tables/fibres';

/** What every model needs of a thread: its linear density (g/km) and its fibre. */
export interface Thread {
  tex: number;
  fibre: string;
}

/**
 * Diameter in mm of a round, packed thread: d = 2·√(T / (π·ρ·φ)) / √1000, with T in tex, ρ in g/cm³
 * and φ the packing of the fibre kind. Error about ±8 %: packing varies with twist.
 * @example diameterMm({ tex: 25, fibre: 'polyester-filament' }) // 0.193
 */
export function diameterMm({ tex, fibre }: Thread): number {
  const { densityGCm3, packing } = fibres.get(fibre, 'fibre');
  return (2 * Math.sqrt(tex / (Math.PI * densityGCm3 * packing))) / Math.sqrt(1000);
}

/**
 * Breaking load in gf of a straight thread, tenacity · tex. The fibre's tenacity range is about ±12 %.
 * @example breakGf({ tex: 25, fibre: 'polyester-filament' }) // 969
 */
export const breakGf = ({ tex, fibre }: Thread): number =>
  cnToGf(fibres.get(fibre, 'fibre').tenacityCnTex * tex);

/** Strength in the loop of a stitch, gf: about 0.6 of the straight thread (judgement). */
export const loopStrengthGf = (thread: Thread): number => 0.6 * breakGf(thread);
