import { dateOfDay, dayNumber } from './days';
import { dayAfterHours, hoursBetween, type Job, schedule } from './promise';

const week = [4, 4, 4, 4, 4, 0, 0];
const job = (id: string, mid: number, dueDay: number, rest: Partial<Job> = {}): Job => ({
  id,
  machineId: 'm',
  fromDay: 0,
  hours: { low: mid * 0.8, mid, high: mid * 1.25 },
  dueDay,
  ...rest,
});

test('hours fall on working days', () => {
  expect(dayAfterHours(0, 4, week)).toBe(0);
  expect(dayAfterHours(0, 20, week)).toBe(4);
  expect(dayAfterHours(0, 21, week)).toBe(7);
  expect(hoursBetween(0, 6, week)).toBe(20);
});

test('one after another on a machine, side by side on two', () => {
  const [a, b] = schedule([job('a', 8, 10), job('b', 8, 10)], week, 0);
  expect([a!.startDay, a!.endDay]).toEqual([0, 1]);
  expect([b!.startDay, b!.endDay]).toEqual([2, 3]);
  const [, c] = schedule([job('a', 8, 10), job('c', 8, 10, { machineId: 'n' })], week, 0);
  expect(c!.startDay).toBe(0);
});

test('four in five takes at least as long as the middle, and a far promise is surer', () => {
  const [near] = schedule([job('a', 20, 4)], week, 0);
  const [far] = schedule([job('a', 20, 11)], week, 0);
  expect(near!.sureDay).toBeGreaterThanOrEqual(near!.endDay);
  expect(near!.chance).toBeCloseTo(0.5, 6);
  expect(far!.chance).toBeGreaterThan(0.99);
});

test('a promise in the past has no chance and is overdue; a frame without hours never ends', () => {
  const [late] = schedule([job('a', 4, 2)], week, 7);
  expect(late).toMatchObject({ chance: 0, overdue: true });
  expect(dayAfterHours(0, 1, [0, 0, 0, 0, 0, 0, 0])).toBeGreaterThan(1000);
});

test('days are counted over the change to summer time and back, from a Monday', () => {
  expect(dayNumber('2026-11-23') % 7).toBe(0);
  expect(dayNumber('2027-03-29') - dayNumber('2027-03-28')).toBe(1);
  expect(dayNumber('2026-10-26') - dayNumber('2026-10-25')).toBe(1);
  expect(dateOfDay(dayNumber('2028-02-29') + 1)).toBe('2028-03-01');
});
