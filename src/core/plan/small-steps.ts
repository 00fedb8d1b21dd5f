import type { Prices } from '../order/cells';
import { type PlannedStep } from './steps';
import type { WorkPlan } from './planned';

/** A step shorter than this is asked whether it is worth its thread, minutes. */
export const SMALL_MIN = 2;

/** A step that is hardly worth the change it costs. */
export interface SmallStep {
  /** Its place in the order. */
  at: number;
  sewingMin: number;
  /** Minutes and changes of thread that leaving it out saves. */
  savesMin: number;
  savesChanges: number;
  /** What would stay open, square inches, by zone. */
  open: { letter: string; areaIn2: number }[];
}

/**
 * Steps of under two minutes that stand alone with their thread, with what dropping each would save and leave open.
 * @param steps in the order of work.
 */
export function smallSteps(
  steps: readonly PlannedStep[],
  plan: Pick<WorkPlan, 'zones'>,
  { rollMin, changeMin }: Pick<Prices, 'rollMin' | 'changeMin'>,
): SmallStep[] {
  return steps.flatMap((s, at): SmallStep[] => {
    const [before, after] = [steps[at - 1], steps[at + 1]];
    const sewingMin = s.items.sewing + s.items.stops + s.items.setting;
    if (sewingMin >= SMALL_MIN || before?.thread === s.thread || after?.thread === s.thread) return [];
    const changes = (a: PlannedStep | undefined, b: PlannedStep | undefined) =>
      a && b && a.thread !== b.thread ? 1 : 0;
    const rolls = (a: PlannedStep | undefined, b: PlannedStep | undefined) =>
      Math.abs((a?.pass ?? 1) - (b?.pass ?? a?.pass ?? 1));
    const savesChanges = changes(before, s) + changes(s, after) - changes(before, after);
    const savesRolls = rolls(before, s) + rolls(s, after) - rolls(before, after);
    if (savesChanges === 0) return [];
    return [
      {
        at,
        sewingMin,
        savesMin: sewingMin + savesChanges * changeMin + savesRolls * rollMin,
        savesChanges,
        open: s.zones.map((z) => ({
          letter: z.letter,
          areaIn2: (plan.zones.find((p) => p.id === z.id)?.areaIn2 ?? 0) * z.share,
        })),
      },
    ];
  });
}
