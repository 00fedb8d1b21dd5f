import type { Shift } from './whole-quilt';
import { CRITERIA } from './criteria';

const degree = (points: number) =>
  points < 0.12 ? 'a hair' : points < 0.4 ? 'a little' : points < 1 ? 'clearly' : 'far';

/** “colour a little worse”: one shift of a criterion in words. */
export const shiftWords = ({ criterion, by }: Shift): string =>
  `${CRITERIA[criterion]!.label.toLowerCase()} ${degree(Math.abs(by))} ${by > 0 ? 'worse' : 'better'}`;

/** The two or three largest shifts as one phrase. */
export const shiftsInWords = (shifts: readonly Shift[], most = 3): string =>
  shifts.slice(0, most).map(shiftWords).join(', ');
