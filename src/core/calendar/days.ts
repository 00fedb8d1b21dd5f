import { format } from 'date-fns';

const MS_PER_DAY = 86_400_000;
/** Monday, 5 January 1970, as a UTC day number. */
const FIRST_MONDAY = 4;

/** Whole days since a Monday for a date written yyyy-mm-dd: no hours and no zones, so no daylight saving either. */
export const dayNumber = (date: string): number =>
  Math.round(Date.parse(`${date}T00:00:00Z`) / MS_PER_DAY) - FIRST_MONDAY;

/** The date of a day number, yyyy-mm-dd. */
export const dateOfDay = (day: number): string =>
  new Date((day + FIRST_MONDAY) * MS_PER_DAY).toISOString().slice(0, 10);

/** The day of an instant in the studio's own zone, yyyy-mm-dd. */
export const isoDay = (date: Date): string => format(date, 'yyyy-MM-dd');
