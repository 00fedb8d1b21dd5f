import fc from 'fast-check';
import { heightAdvice, levelAdvice, reachAdvice } from './advice';
import { levelSeen } from './level';

const seen = (...errors: number[]) => errors.map((error) => ({ error }));

test('from fewer than three nothing is told', () => expect(levelSeen(seen(0.05, 0.05), 40)).toBeNull());
test('good and long enough: practised; good but new: beginner still', () => {
  expect(levelSeen(seen(0.1, 0.12, 0.14), 12)).toBe('practised');
  expect(levelSeen(seen(0.1, 0.12, 0.14), 4)).toBe('steady');
  expect(levelSeen(seen(0.1, 0.12, 0.14), 1)).toBe('beginner');
  expect(levelSeen(seen(0.4, 0.5, 0.6), 100)).toBe('beginner');
});
test('two bad days do not bring it down, three do, by one', () => {
  const good = [0.1, 0.1, 0.1, 0.1];
  expect(levelSeen(seen(...good, 0.5, 0.5), 20)).toBe('practised');
  expect(levelSeen(seen(...good, 0.5, 0.5, 0.5), 20)).toBe('steady');
});
test('smaller errors never make it lower', () => {
  const errors = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 3, maxLength: 12 });
  const rank = { beginner: 0, steady: 1, practised: 2 };
  fc.assert(
    fc.property(errors, fc.double({ min: 0, max: 50, noNaN: true }), (e, hours) => {
      const worse = levelSeen(seen(...e), hours)!;
      const better = levelSeen(seen(...e.map((x) => x / 4)), hours)!;
      expect(rank[better]).toBeGreaterThanOrEqual(rank[worse]);
    }),
  );
});
test('what it means is said for every level, heights and reach by numbers', () => {
  expect(levelAdvice('beginner').join(' ')).toContain('35 %');
  expect(levelAdvice('practised').join(' ')).toContain('0.1 in');
  expect(heightAdvice(42)[0]).toContain('38 to 40 in');
  expect(reachAdvice('Long', 15, 18)).toBeNull();
  expect(reachAdvice('Long', 20, 18)).toContain('20.0 in deep');
});
