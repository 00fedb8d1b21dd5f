import fc from 'fast-check';
import { dateOfDay, dayNumber } from './days';
import { NOTHING_LOGGED } from '../hours/factors';
import { dayAfterHours, hoursBetween, type Job, schedule as lay, type WeekHours } from './promise';

const week = [4, 4, 4, 4, 4, 0, 0];
/** A quilt of so many hours at the hands, in ten steps. */
const hoursOf = (hours: number) =>
  Array.from({ length: 10 }, () => ({ parts: [{ technique: 'swirls', handsMin: hours * 6, actsMin: 0 }] }));
const schedule = (jobs: readonly Job[], w: WeekHours, today: number) => lay(jobs, w, today, NOTHING_LOGGED);
const job = (id: string, mid: number, dueDay: number, rest: Partial<Job> = {}): Job => ({
  id,
  machineId: 'm',
  fromDay: 0,
  steps: hoursOf(mid),
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
  const [a, b] = schedule([job('a', 7, 10), job('b', 7, 10)], week, 0);
  expect([a!.startDay, a!.endDay]).toEqual([0, 1]);
  expect([b!.startDay, b!.endDay]).toEqual([1, 3]);
  const [, c] = schedule([job('a', 7, 10), job('c', 8, 10, { machineId: 'n' })], week, 0);
  expect(c!.startDay).toBe(0);
});

test('four in five takes at least as long as the middle, and a far promise is surer', () => {
  const [near] = schedule([job('a', 20, 4)], week, 0);
  const [far] = schedule([job('a', 20, 11)], week, 0);
  expect(near!.sureDay).toBeGreaterThanOrEqual(near!.endDay);
  expect(near!.chance).toBeGreaterThan(0.4);
  expect(near!.chance).toBeLessThan(0.55);
  expect(far!.chance).toBeGreaterThan(0.9);
});

test('a promise in the past has no chance and is overdue; a frame without hours never ends', () => {
  const [late] = schedule([job('a', 4, 2)], week, 7);
  expect(late).toMatchObject({ chance: 0.01, overdue: true });
  expect(dayAfterHours(0, 1, [0, 0, 0, 0, 0, 0, 0])).toBeGreaterThan(1000);
});

test('days are counted over the change to summer time and back, from a Monday', () => {
  expect(dayNumber('2026-11-23') % 7).toBe(0);
  expect(dayNumber('2027-03-29') - dayNumber('2027-03-28')).toBe(1);
  expect(dayNumber('2026-10-26') - dayNumber('2026-10-25')).toBe(1);
  expect(dateOfDay(dayNumber('2028-02-29') + 1)).toBe('2028-03-01');
});

describe('any queue', () => {
  const jobs = fc.array(
    fc.record({
      machineId: fc.constantFrom('m', 'n'),
      mid: fc.double({ min: 0.5, max: 60, noNaN: true }),
      fromDay: fc.integer({ min: 0, max: 40 }),
      dueDay: fc.integer({ min: -10, max: 120 }),
    }),
    { minLength: 1, maxLength: 12 },
  );
  const laid = (list: { machineId: string; mid: number; fromDay: number; dueDay: number }[]) =>
    schedule(
      list.map(({ mid, dueDay, ...rest }, i) => job(String(i), mid, dueDay, rest)),
      week,
      0,
    );
  test('no quilt begins before its day, ends before it begins, or is surer than certain', () => {
    fc.assert(
      fc.property(jobs, (list) => {
        for (const s of laid(list)) {
          expect(s.startDay).toBeGreaterThanOrEqual(s.fromDay);
          expect(s.endDay).toBeGreaterThanOrEqual(s.startDay);
          expect(s.sureDay).toBeGreaterThanOrEqual(s.endDay);
          expect(s.chance).toBeGreaterThanOrEqual(0.01);
          expect(s.chance).toBeLessThanOrEqual(0.99);
          expect(s.overdue).toBe(s.dueDay < 0);
        }
      }),
    );
  });
  test('on one machine they follow each other', () => {
    fc.assert(
      fc.property(jobs, (list) => {
        const ends = new Map<string, number>();
        for (const s of laid(list)) {
          expect(s.startDay).toBeGreaterThanOrEqual(ends.get(s.machineId) ?? 0);
          ends.set(s.machineId, s.endDay);
        }
      }),
    );
  });
  test('a later promise is never less likely, and more hours never more', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 80, noNaN: true }),
        fc.integer({ min: 0, max: 60 }),
        (mid, dueDay) => {
          const chance = (m: number, due: number) => schedule([job('a', m, due)], week, 0)[0]!.chance;
          expect(chance(mid, dueDay + 1)).toBeGreaterThanOrEqual(chance(mid, dueDay) - 1e-9);
          expect(chance(mid * 1.2, dueDay)).toBeLessThanOrEqual(chance(mid, dueDay) + 1e-9);
        },
      ),
    );
  });
});

test('any date comes back from its day number', () => {
  fc.assert(
    fc.property(fc.integer({ min: -20_000, max: 60_000 }), (day) => {
      expect(dayNumber(dateOfDay(day))).toBe(day);
      expect(dateOfDay(day)).toMatch(/^\d{4}-\d{2}-\d{2}$/);
    }),
  );
});

test('the hand is common to a queue: the eighth of eight quilts is promised as a simulation has it', () => {
  // A generator of our own, so that the test is the same each time (Park and Miller 1988).
  let seed = 20261126;
  const uniform = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
  const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
  const jobs = Array.from({ length: 8 }, (_, i) => job(String(i), 10, 32));
  const stated = schedule(jobs, week, 0).at(-1)!.chance;
  const trials = 4000;
  let done = 0;
  for (let t = 0; t < trials; t++) {
    const f = 0.3 * normal() + 0.25 * normal();
    let hours = 0;
    for (let s = 0; s < 80; s++) hours += Math.exp(f + 0.25 * normal());
    let kept = 0;
    for (let w = 0; w < 5; w++) kept += (w < 4 ? 20 : 20) * (1 + 0.25 * normal());
    if (hours <= kept) done++;
  }
  expect(Math.abs(stated - done / trials)).toBeLessThan(0.03);
  // Added as if each quilt had a hand of its own, it would have claimed far more.
  expect(stated).toBeLessThan(0.85);
});
