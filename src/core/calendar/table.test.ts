import fc from 'fast-check';
import { NOTHING_LOGGED } from '../hours/factors';
import { type Job, schedule } from './promise';
import { beforeFrame, daysAfter, NO_TABLE_WORK, type TableWork, tableWeek } from './table';

const frame = [6, 6, 6, 6, 6, 0, 0];
const week = tableWeek(frame, 2);
const work = (part: Partial<TableWork>): TableWork => ({ ...NO_TABLE_WORK, ...part });

test('the table is kept on the days the studio works', () => expect(week).toEqual([2, 2, 2, 2, 2, 0, 0]));
test('two hours a day: what comes first is ready first, and a weekend is none', () => {
  const [a, none, b, c] = beforeFrame(
    [work({ beforeHours: 2 }), NO_TABLE_WORK, work({ beforeHours: 5 }), work({ beforeHours: 4 })],
    week,
    0,
  );
  expect([a, none, b]).toEqual([{ fromDay: 0, readyDay: 0 }, null, { fromDay: 1, readyDay: 3 }]);
  expect(c).toEqual({ fromDay: 3, readyDay: 7 });
});
test('a studio that keeps no hours for the table is not held up by it', () => {
  const none = tableWeek(frame, 0);
  expect(beforeFrame([work({ beforeHours: 90 })], none, 4)).toEqual([{ fromDay: 4, readyDay: 4 }]);
  expect(daysAfter(work({ afterHours: 90, driesDays: 2 }), none)).toBe(2);
});
test.each([
  [0, 0, 0],
  [2, 0, 0],
  [2.1, 0, 1],
  [6, 2, 4],
])('%d h after the frame and %d days to dry: %d days more', (afterHours, driesDays, days) =>
  expect(daysAfter(work({ afterHours, driesDays }), week)).toBe(days),
);

const hours = fc.double({ min: 0, max: 12, noNaN: true });
test('whatever waits: nothing is ready before what goes on before it, all the hours fit in the days, more work is never sooner', () => {
  fc.assert(
    fc.property(fc.array(hours, { minLength: 1, maxLength: 30 }), fc.nat(20), (list, today) => {
      const laid = beforeFrame(
        list.map((beforeHours) => work({ beforeHours })),
        week,
        today,
      );
      let [last, sum] = [today, 0];
      laid.forEach((d, i) => {
        sum += list[i]!;
        if (!d) return;
        expect(d.fromDay).toBeGreaterThanOrEqual(last === today ? today : last);
        expect(d.readyDay).toBeGreaterThanOrEqual(d.fromDay);
        let kept = 0;
        for (let day = today; day <= d.readyDay; day++) kept += week[day % 7]!;
        expect(kept).toBeGreaterThanOrEqual(sum - 1e-6);
        last = d.fromDay;
      });
    }),
    { numRuns: 2000 },
  );
});
test('work after the frame makes a promise less sure, never surer, and the quilt is handed over so much later', () => {
  const job = (afterDays: number): Job => ({
    id: 'a',
    machineId: 'm',
    fromDay: 0,
    steps: Array.from({ length: 6 }, () => ({
      parts: [{ technique: 'swirls', handsMin: 90, actsMin: 0 }],
    })),
    dueDay: 4,
    afterDays,
  });
  const at = (days: number) => schedule([job(days)], frame, 0, NOTHING_LOGGED)[0]!;
  expect(at(0).chance).toBeGreaterThan(at(2).chance);
  expect(at(2).chance).toBeGreaterThanOrEqual(at(4).chance);
  expect(at(3).handDay - at(3).endDay).toBe(3);
  expect(at(3).endDay).toBe(at(0).endDay);
});
