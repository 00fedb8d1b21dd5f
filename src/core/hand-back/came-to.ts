import { type Part, predictedMin } from '../hours/step';

/** A quilt against its plan, as it stood on the day it went home. */
export interface CameTo {
  /** Minutes that were predicted for the timed steps as each was sewn, and what they took; null when none was timed. */
  predictedMin: number | null;
  minutes: number | null;
  timedSteps: number;
  steps: number;
  /** Metres of thread by the plan, and drawn from the cones by logged steps. */
  plannedM: number;
  usedM: number;
  stitches: number;
  faults: number;
  minutesLost: number;
}

export interface SewnStep {
  minutes: number | null;
  parts: readonly Omit<Part, 'technique'>[] | null;
  stitches: number;
}

/**
 * Hours, thread and faults against the plan. Steps without a time, or whose prediction was none, count as steps only.
 * @param plannedM metres by the plan, at or above 0. @param usedM metres drawn by logged steps.
 */
export function cameTo(
  sewn: readonly SewnStep[],
  plannedM: number,
  usedM: number,
  faults: { n: number; minutesLost: number },
): CameTo {
  const timed = sewn.filter((s) => s.minutes !== null && s.parts !== null && s.parts.length > 0);
  const sum = (of: (s: SewnStep) => number) => timed.reduce((total, s) => total + of(s), 0);
  return {
    predictedMin: timed.length > 0 ? sum((s) => predictedMin({ parts: s.parts! })) : null,
    minutes: timed.length > 0 ? sum((s) => s.minutes!) : null,
    timedSteps: timed.length,
    steps: sewn.length,
    plannedM,
    usedM,
    stitches: sewn.reduce((total, s) => total + s.stitches, 0),
    faults: faults.n,
    minutesLost: faults.minutesLost,
  };
}
