import { format, parseISO } from 'date-fns';
import { dateOfDay } from '@/core/calendar/days';

export const DAY_PX = 40;
export const ROW_PX = 52;
/** Over the rows stand the days. */
export const HEAD_PX = 40;

/** A day of the calendar in words. */
export const show = (day: number, pattern: string): string => format(parseISO(dateOfDay(day)), pattern);
