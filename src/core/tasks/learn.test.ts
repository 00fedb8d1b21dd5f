import { TASKS } from '../tables/tasks';
import { learnTasks, taskMinutes, type TimedTask } from './learn';

const size = { widthIn: 60, lengthIn: 80, pieces: 300, backingSeams: 1, backingSeamIn: 80 };
const timed = (task: string, ratio: number, n: number): TimedTask[] =>
  Array.from({ length: n }, () => ({ task, predictedMin: 10, minutes: 10 * ratio }));

test('never timed, the usual minutes and their range', () => {
  const m = taskMinutes('clip-threads', size);
  expect(m.mid).toBeCloseTo(17, 9);
  expect([m.low / m.mid, m.high / m.mid]).toEqual([0.5, 2]);
});

test('twice as long again and again: the middle goes there, and the range closes', () => {
  const once = taskMinutes('trim', size, learnTasks(timed('trim', 2, 1)));
  const often = taskMinutes('trim', size, learnTasks(timed('trim', 2, 40)));
  const usual = taskMinutes('trim', size).mid;
  expect(once.mid).toBeGreaterThan(usual);
  expect(once.mid).toBeLessThan(often.mid);
  expect(often.mid / usual).toBeGreaterThan(1.9);
  expect(often.mid / usual).toBeLessThan(2);
  expect(often.high / often.low).toBeLessThan(once.high / once.low);
});

test('one time pulls by its own weight against the prior', () => {
  const f = learnTasks(timed('trim', Math.E, 1)).get('trim')!;
  const noise = f.timeSd ** 2;
  expect(f.mean).toBeCloseTo(0.09 / (0.09 + noise), 9);
});

test('slips of the finger and tasks nobody knows say nothing', () =>
  expect(
    learnTasks([
      { task: 'trim', minutes: 0.1, predictedMin: 10 },
      { task: 'juggle', minutes: 9, predictedMin: 10 },
    ]).size,
  ).toBe(0));

test('every task has minutes on any quilt', () => {
  for (const id of TASKS.ids) {
    const m = taskMinutes(id, size);
    expect(m.low).toBeLessThanOrEqual(m.mid);
    expect(m.high).toBeGreaterThanOrEqual(m.mid);
  }
});
