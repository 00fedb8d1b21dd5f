import type { Part } from './step';

/** A part's minutes when the hands keep another speed than it was predicted for; both in in/s, above 0. */
export const handTime = (part: Part, predictedInPerS: number, keptInPerS: number): Part => ({
  ...part,
  handsMin: part.handsMin * (predictedInPerS / keptInPerS),
});
