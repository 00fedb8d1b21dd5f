import { type Calibration, type CalibrationPoint, fitCalibration } from '../calibration/monotone';
import type { CalibrationKind } from '../fields/lists';
import { attempt } from '../notes';
import { quarterTurns } from '../tension/turns';

/** What was measured on a machine, kind by kind. */
export interface MeasuredScale {
  kind: CalibrationKind;
  points: readonly CalibrationPoint[];
}

/** A machine's own scales: from what is wanted to where its dial or screw must stand. */
export type Scales = Partial<Record<CalibrationKind, Calibration>>;

/** Fits each scale; one whose measurements make no curve is left out, as if it had not been measured. */
export function scalesOf(measured: readonly MeasuredScale[]): Scales {
  const scales: Scales = {};
  for (const { kind, points } of measured) {
    const fit = attempt(() => fitCalibration(points));
    if (typeof fit !== 'string') scales[kind] = fit;
  }
  return scales;
}

const QUARTERS = ['', '¼', '½', '¾'] as const;

/** A number to the nearest quarter, as it is read on a dial: 4.27 is “4¼”. */
export function inQuarters(x: number): string {
  const quarters = Math.round(Math.abs(x) * 4);
  const sign = x < 0 && quarters > 0 ? '−' : '';
  return `${sign}${Math.floor(quarters / 4) || (quarters % 4 ? '' : '0')}${QUARTERS[quarters % 4]}`;
}

const PLACE: Record<CalibrationKind, (mark: number) => string> = {
  'top-dial': (m) => `mark ${inQuarters(m)}`,
  'bobbin-turns': (m) =>
    m < 0 ? `${inQuarters(-m)} turn${m < -1.125 ? 's' : ''} out` : `mark ${inQuarters(m)}`,
  'speed-dial': (m) => `dial ${inQuarters(m)}`,
  'idle-dial': (m) => `setting ${inQuarters(m)}`,
};

/**
 * Where a dial or screw must stand for a value (gf, or stitches a minute), in words; null where it was never measured.
 * Beyond the outermost measurements the curve is only carried on, and that is said.
 * @example placeOn(scales, 'top-dial', 104) // 'mark 4¼'
 */
export function placeOn(scales: Scales, kind: CalibrationKind, value: number): string | null {
  const scale = scales[kind];
  if (!scale) return null;
  const [least, most] = [scale.knots[0]!.value, scale.knots.at(-1)!.value];
  const beyond = value < least || value > most ? ', beyond what was measured' : '';
  return `${PLACE[kind](scale.markAt(value))}${beyond}`;
}

/**
 * How to get from one tension to another, gf: from mark to mark where the scale was measured, in quarter turns of 12 %
 * where not.
 */
export function wayBetween(
  scales: Scales,
  kind: 'top-dial' | 'bobbin-turns',
  from: number,
  to: number,
): string {
  const [a, b] = [placeOn(scales, kind, from), placeOn(scales, kind, to)];
  if (a && b) return a === b ? `at ${a}, a hair ${to > from ? 'tighter' : 'looser'}` : `from ${a} to ${b}`;
  return `about ${turnsInWords(quarterTurns(from, to))}`;
}

/** Quarter turns to the nearest half, at least one half, in words. */
function turnsInWords(turns: number): string {
  const half = Math.max(0.5, Math.round(Math.abs(turns) * 2) / 2);
  if (half === 1) return 'a quarter turn';
  if (half === 0.5) return 'half a quarter turn';
  return `${Math.floor(half) || ''}${half % 1 ? '½' : ''} quarter turns`;
}
