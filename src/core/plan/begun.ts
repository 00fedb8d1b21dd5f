import type { FrameSize } from '../passes/passes';
import type { BobbinSize } from '../usage/usage';
import type { StepKey } from './step-key';

/** What a quilt was begun with: kept with it, so that a later change of the Workroom cannot move its passes. */
export interface BegunPlan {
  machineId: string;
  machine: string;
  frame: FrameSize;
  marginIn: number;
  bobbinMm: BobbinSize;
  /** When its passes were fixed, ISO. */
  at: string;
  /** The steps in the order of work, with the minutes predicted for each. */
  steps: (StepKey & { minutes: number })[];
}

/** What of a step tells whether it is sewn; without a thread its whole pass was. */
export interface SewnStep {
  pass: number;
  thread: string | null;
  stabilise: boolean;
}

/** Whether a step of the plan is among those the log says were sewn. */
export const isSewn = (step: StepKey, sewn: readonly SewnStep[]): boolean =>
  sewn.some(
    (s) =>
      s.pass === step.pass &&
      (s.thread === null || (s.thread === step.thread && s.stabilise === step.stabilise)),
  );

/** Share of the predicted minutes that is sewn, 0–1. */
export function sewnShare(
  steps: readonly (StepKey & { minutes: number })[],
  sewn: readonly SewnStep[],
): number {
  const all = steps.reduce((sum, s) => sum + s.minutes, 0);
  if (all === 0) return 0;
  return steps.reduce((sum, s) => sum + (isSewn(s, sewn) ? s.minutes : 0), 0) / all;
}

/** Passes in which nothing is left to sew. */
export const passesDone = (steps: readonly StepKey[], sewn: readonly SewnStep[]): number[] =>
  [
    ...new Set([...steps.map((s) => s.pass), ...sewn.filter((s) => s.thread === null).map((s) => s.pass)]),
  ].filter((pass) => steps.filter((s) => s.pass === pass).every((s) => isSewn(s, sewn)));

interface MachineNow {
  id: string;
  name: string;
  frame: FrameSize;
  marginIn: number;
}

const inches = (n: number) => `${Number(n.toFixed(2))} in`;

/** How the Workroom has moved on since a quilt was begun, in sentences; nothing when it has not. */
export function movedOn(begun: BegunPlan, now: MachineNow): string[] {
  const said: string[] = [];
  if (begun.machineId !== now.id)
    said.push(`It was begun on ${begun.machine}; it is now set to ${now.name}.`);
  const changed = (what: string, was: number, is: number) => {
    if (Math.abs(was - is) > 1e-6) said.push(`${what} was ${inches(was)} and is now ${inches(is)}.`);
  };
  changed('The throat', begun.frame.throatIn, now.frame.throatIn);
  changed('Its dead space', begun.frame.deadIn, now.frame.deadIn);
  changed('The frame', begun.frame.widthIn, now.frame.widthIn);
  changed('The empty roller', begun.frame.rollStartIn, now.frame.rollStartIn);
  changed('The margin', begun.marginIn, now.marginIn);
  if (begun.frame.rollInThroat !== now.frame.rollInThroat)
    said.push(
      now.frame.rollInThroat
        ? 'The roll lay outside the throat and now lies inside it.'
        : 'The roll lay inside the throat and now lies outside it.',
    );
  return said;
}
