import fc from 'fast-check';
import { StepClock } from './clock';

const MIN = 60_000;

test('a pause does not count, what is sewn before and after it does', () => {
  const clock = new StepClock();
  clock.begin(0);
  clock.pause(5 * MIN);
  clock.resume(7 * MIN);
  clock.pause(10 * MIN);
  expect(clock.sewnMs).toBe(8 * MIN);
  expect(clock.since).toBeNull();
});
test('the next step begins at nothing; the hands have not rested for it', () => {
  const clock = new StepClock();
  clock.begin(0);
  clock.begin(20 * MIN);
  clock.pause(25 * MIN);
  expect(clock.sewnMs).toBe(5 * MIN);
  expect(clock.sinceRestMs).toBe(25 * MIN);
});
test.each([
  [9, 20],
  [10, 5],
  [45, 5],
])('after %i minutes of standing %i count since the rest', (stood, counted) => {
  const clock = new StepClock();
  clock.begin(0);
  clock.pause(15 * MIN);
  clock.resume((15 + stood) * MIN);
  clock.pause((20 + stood) * MIN);
  expect(clock.sinceRestMs).toBe(counted * MIN);
});
test('paused twice or resumed twice, and clocks that go back: it never runs backwards, nor counts twice', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ what: fc.constantFrom('begin', 'pause', 'resume'), at: fc.nat(1_000_000) }), {
        maxLength: 30,
      }),
      (acts) => {
        const clock = new StepClock();
        let before = 0;
        for (const { what, at } of acts) {
          clock[what as 'begin' | 'pause' | 'resume'](at);
          if (what !== 'begin') expect(clock.sewnMs).toBeGreaterThanOrEqual(before);
          before = clock.sewnMs;
        }
        expect(clock.sewnMs).toBeLessThanOrEqual(1_000_000 * acts.length);
        expect(clock.sinceRestMs).toBeGreaterThanOrEqual(0);
      },
    ),
    { numRuns: 2000 },
  );
});
