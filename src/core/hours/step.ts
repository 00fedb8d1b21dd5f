/** The work of one technique in one step: minutes the model predicts, at the hands and at single acts. */
export interface Part {
  technique: string;
  handsMin: number;
  actsMin: number;
}

/** One step at the frame: one pass with one thread, and what is predicted for each part of it. */
export interface Step {
  parts: readonly Part[];
}

/** A step that was sewn, with the minutes it really took; minutes and predictions above 0. */
export interface LoggedStep extends Step {
  minutes: number;
}

export const predictedMin = (step: Step): number =>
  step.parts.reduce((sum, p) => sum + p.handsMin + p.actsMin, 0);
