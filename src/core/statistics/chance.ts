import { clamp } from '../units/clamp';

/** No chance is shown surer than this, nor less likely than its counterpart: the model itself may be wrong. */
export const MOST_SURE = 0.99;
const LEAST_SURE = 0.01;

/** A chance as it may be shown: 1 % at least, 99 % at most. */
export const shownChance = (p: number): number => clamp(p, LEAST_SURE, MOST_SURE);

/** A chance in tens, 1 to 9: never sure, never hopeless. @example inTen(0.87) // '9 in 10' */
export const inTen = (p: number): string => `${Math.max(1, Math.min(9, Math.round(p * 10)))} in 10`;
