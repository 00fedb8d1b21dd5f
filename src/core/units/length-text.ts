import { inToMm } from './length';

export type UnitsChoice = 'inch' | 'metric' | 'both';

const short = (n: number) => String(Number(n.toFixed(n < 10 ? 2 : 1)));

/** A length in inches as the studio reads it: inch first, metric first, or both. */
export function lengthText(inches: number, units: UnitsChoice): string {
  const mm = inToMm(inches);
  const inch = `${short(inches)} in`;
  const metric = mm < 100 ? `${short(mm)} mm` : `${short(mm / 10)} cm`;
  return units === 'inch' ? inch : units === 'metric' ? metric : `${inch} · ${metric}`;
}

/** The finest marks of a ruler, parts of an inch; so near, in inches, is on one. */
const MARKS = 16;
const ON_MARK_IN = 0.002;

/** A length in inches as it stands on a ruler: `11/16 in`, `2 1/2 in`; `0.4 in` where it lies on no mark. */
export function rulerText(inches: number): string {
  const parts = Math.round(inches * MARKS);
  if (parts === 0 || Math.abs(parts / MARKS - inches) > ON_MARK_IN) return `${short(inches)} in`;
  const [whole, rest] = [Math.floor(parts / MARKS), parts % MARKS];
  if (rest === 0) return `${whole} in`;
  let [over, under] = [rest, MARKS];
  while (over % 2 === 0) [over, under] = [over / 2, under / 2];
  return `${whole > 0 ? `${whole} ` : ''}${over}/${under} in`;
}
