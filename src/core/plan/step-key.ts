/** What tells one step of a quilt from another: a pass, a thread, and whether it stabilises or fills. */
export interface StepKey {
  pass: number;
  thread: string;
  stabilise: boolean;
}

/** A step's key as one text. */
export const stepId = (s: StepKey): string => `${s.pass} ${s.thread} ${s.stabilise ? 'stabilise' : 'fill'}`;
