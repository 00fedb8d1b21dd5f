/**
 * How far down the interlock lies, 0 the top's surface – 1 the back's, for z = (ln R − ln R*)/w. Balanced
 * (z = 0) it lies half way; at the step from a hint to clear dots (|z| = 1.2) it reaches the cloth, and it
 * comes right through from |z| = 2.2 (judgement, matched to the verdict's steps).
 */
export const knotDepth = (z: number): number => Math.min(1, Math.max(0, 0.5 - 0.5 * Math.tanh(z / 1.6)));
