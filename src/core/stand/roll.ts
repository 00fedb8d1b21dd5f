import { rollDiameterMm } from '../passes/passes';
import { inToMm, mmToIn } from '../units/length';

/** The quilt’s roll at a pass. */
export interface RollAt {
  pass: number;
  diameterIn: number;
  /** What the passes before it have added to its radius since the rail was last raised, inches. */
  grownIn: number;
  /** Raise the rail before this pass, so that the gap between roll and bed stays. */
  raise: boolean;
}

/** The roll may come nearer to the bed by so much before the rail wants raising, inches (judgement). */
const MAY_GROW_IN = 0.25;

/**
 * The take-up roll pass by pass: how thick it is, and before which passes the rail is to be raised.
 * @param startIn the bare rail with its leader, inches; @param thicknessMm of the rolled layers; @param depthsIn of the passes.
 */
export function rollPassByPass(startIn: number, thicknessMm: number, depthsIn: readonly number[]): RollAt[] {
  let wound = 0;
  let raisedAt = startIn / 2;
  return depthsIn.map((depth, i) => {
    const diameterIn = mmToIn(rollDiameterMm(inToMm(startIn), thicknessMm, inToMm(wound)));
    wound += depth;
    const grownIn = diameterIn / 2 - raisedAt;
    const raise = grownIn >= MAY_GROW_IN;
    if (raise) raisedAt = diameterIn / 2;
    return { pass: i + 1, diameterIn, grownIn, raise };
  });
}

/** What of a pass can really be sewn: its depth and width less what the foot, the plate and the clamps take. */
export interface Reach {
  topIn: number;
  bottomIn: number;
  sidesIn: number;
}
/** The foot cannot come nearer to a rail, a ruler’s plate not nearer still, and clamps hold the sides, inches (judgement). */
const TO_RAIL_IN = 0.75;
const PLATE_IN = 2.5;
const CLAMP_IN = 1.5;

/** Margins of a pass that cannot be sewn, inches. */
export const reachOf = (besideRuler: boolean): Reach => ({
  topIn: besideRuler ? PLATE_IN : TO_RAIL_IN,
  bottomIn: besideRuler ? PLATE_IN : TO_RAIL_IN,
  sidesIn: CLAMP_IN,
});
