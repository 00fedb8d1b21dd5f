import fc from 'fast-check';
import { DRILLS } from './drills';
import { SESSION_MINUTES, sessionOf } from './session';

const NOW = Date.UTC(2026, 10, 30, 12);
const ago = (days: number) => new Date(NOW - days * 86_400_000);

test('a session fits its minutes with time to rest, no drill twice, whatever was drawn', () => {
  const run = fc.record({
    drill: fc.constantFrom(...DRILLS.ids),
    at: fc.integer({ min: 0, max: 400 }).map(ago),
  });
  fc.assert(
    fc.property(fc.constantFrom(...SESSION_MINUTES), fc.array(run, { maxLength: 60 }), (minutes, runs) => {
      const steps = sessionOf(minutes, runs, NOW);
      const sum = steps.reduce((s, x) => s + x.minutes, 0);
      expect(sum).toBeLessThanOrEqual(minutes);
      expect(sum).toBeGreaterThan(minutes * 0.5);
      expect(new Set(steps.map((s) => s.drill)).size).toBe(steps.length);
      expect(steps[0]!.why).toBe('to warm up');
    }),
  );
});

test('what was never drawn comes first, then what was not drawn for the longest', () => {
  const [warm, ...others] = DRILLS.ids;
  const runs = others.slice(1).map((drill, i) => ({ drill, at: ago(i + 1) }));
  const steps = sessionOf(10, runs, NOW);
  expect(steps[0]!.drill).toBe(warm);
  expect(steps[1]).toMatchObject({ drill: others[0], why: 'not drawn yet' });
  expect(steps[2]).toMatchObject({ drill: others.at(-1), why: `not for ${others.length - 1} days` });
});
