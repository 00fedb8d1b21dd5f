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
