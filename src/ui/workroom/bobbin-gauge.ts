/**
 * Radius of the winding for a share of a full bobbin: thread fills area, so the square of the radius grows
 * evenly. All in one unit; share 0–1.
 * @example windingRadius(12.5, 3.8, 1) // 12.5
 */
export const windingRadius = (outer: number, core: number, share: number): number =>
  Math.sqrt(core ** 2 + Math.min(1, Math.max(0, share)) * (outer ** 2 - core ** 2));
