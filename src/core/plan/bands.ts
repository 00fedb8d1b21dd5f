import { tableAdvice } from '../machine/table';
import { type Caution, CoreError } from '../notes';
import { type Passes, planPasses } from '../passes/passes';
import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import type { WorkPlanRequest } from './planned';

/** Batting keeps about this much of its loft on the roll (judgement). */
const ROLLED_SHARE = 0.8;
/** Thickness of the quilt as it lies on the roll, mm. */
export const rolledMm = (battingId: string, backing: string): number =>
  fabrics.get('quilting-cotton').thicknessMm +
  fabrics.get(backing, 'backing').thicknessMm +
  ROLLED_SHARE * battings.get(battingId, 'battingId').loftMm;

/** On a table the whole quilt is one pass. */
function onTable(r: WorkPlanRequest, cautions: Caution[]): Passes {
  cautions.push(...tableAdvice(r.table!, movedQuilt(r)).cautions);
  return { turned: false, passes: 1, depthsIn: [r.quilt.lengthIn], alternative: null, cautions: [] };
}

/** What is moved on a table. */
export const movedQuilt = ({ quilt, battingId, backing }: WorkPlanRequest) => ({
  ...quilt,
  battingId,
  backing,
});

/** The passes of the frame; those begun stand. Where none can be planned the reason is among the cautions. */
export function passesOf(r: WorkPlanRequest, cautions: Caution[]): Passes | null {
  if (r.begun)
    return {
      turned: r.begun.turned,
      passes: r.begun.depthsIn.length,
      depthsIn: [...r.begun.depthsIn],
      alternative: null,
      cautions: [],
    };
  if (r.table) return onTable(r, cautions);
  try {
    const passes = planPasses({
      quilt: r.quilt,
      marginIn: r.marginIn,
      frame: r.frame,
      rolledMm: rolledMm(r.battingId, r.backing),
      turn: r.turn,
    });
    cautions.push(...passes.cautions);
    return passes;
  } catch (error) {
    // Only what the core refuses is advice; anything else is a bug and is thrown on.
    if (!(error instanceof CoreError)) throw error;
    cautions.push({ code: 'no-passes', severity: 'stop', text: error.message });
    return null;
  }
}

/** From and to of every pass along the roll, inches; the whole quilt as one where no passes can be planned. */
export function bandsOf(
  passes: Passes | null,
  quilt: { widthIn: number; lengthIn: number },
): [number, number][] {
  if (!passes) return [[0, quilt.lengthIn]];
  let at = 0;
  return passes.depthsIn.map((d) => [at, (at += d)]);
}
