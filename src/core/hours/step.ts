/** The work of one technique in one step: minutes the model predicts, at the hands and at single acts. */
export interface Part {
  technique: string;
  handsMin: number;
  actsMin: number;
  /** Minutes of thinking a figure out, marking it and moving to it; left out by what is older than they are. */
  setMin?: number;
}

/** One step at the frame: one pass with one thread, and what is predicted for each part of it. */
export interface Step {
  parts: readonly Part[];
}

/** A step that was sewn, with the minutes it really took; minutes and predictions above 0. */
export interface LoggedStep extends Step {
  minutes: number;
  /** Who sewed it. */
  by?: string;
}

/** Minutes the model predicts of a step, all in all. */
export const predictedMin = (step: { parts: readonly Omit<Part, 'technique'>[] }): number =>
  step.parts.reduce((sum, p) => sum + p.handsMin + p.actsMin + (p.setMin ?? 0), 0);
