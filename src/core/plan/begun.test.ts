import fc from 'fast-check';
import { type BegunPlan, isSewn, movedOn, passesDone, sewnShare, type SewnStep } from './begun';

const step = fc.record({
  pass: fc.integer({ min: 1, max: 4 }),
  thread: fc.constantFrom('fog', 'rust', 'sand'),
  stabilise: fc.boolean(),
  minutes: fc.double({ min: 0.1, max: 300, noNaN: true }),
});
const sewn: fc.Arbitrary<SewnStep> = fc.record({
  pass: fc.integer({ min: 1, max: 4 }),
  thread: fc.constantFrom('fog', 'rust', 'sand', null),
  stabilise: fc.boolean(),
});
const steps = fc.uniqueArray(step, {
  maxLength: 12,
  selector: (s) => `${s.pass} ${s.thread} ${s.stabilise}`,
});
const log = fc.array(sewn, { maxLength: 12 });

describe('what is sewn of a plan', () => {
  test('is a share from nothing to all, and never less for one step more', () => {
    fc.assert(
      fc.property(steps, log, sewn, (s, l, more) => {
        const share = sewnShare(s, l);
        expect(share).toBeGreaterThanOrEqual(0);
        expect(share).toBeLessThanOrEqual(1 + 1e-9);
        expect(sewnShare(s, [...l, more])).toBeGreaterThanOrEqual(share - 1e-9);
      }),
      { numRuns: 2000 },
    );
  });
  test('does not depend on the order of the log, nor on a step told twice', () => {
    fc.assert(
      fc.property(steps, log, (s, l) => {
        const told = [...l].reverse().flatMap((x) => [x, x]);
        expect(sewnShare(s, told)).toBe(sewnShare(s, l));
        expect(new Set(passesDone(s, told))).toEqual(new Set(passesDone(s, l)));
      }),
      { numRuns: 2000 },
    );
  });
  test('a pass is done when every step of it is, and all passes done are the whole', () => {
    fc.assert(
      fc.property(steps, log, (s, l) => {
        const done = new Set(passesDone(s, l));
        for (const x of s) if (done.has(x.pass)) expect(isSewn(x, l)).toBe(true);
        const all = new Set(s.map((x) => x.pass));
        expect([...all].every((p) => done.has(p))).toBe(s.every((x) => isSewn(x, l)));
      }),
      { numRuns: 2000 },
    );
  });
  test('a whole pass told without a thread is every step of it, and of no other', () => {
    fc.assert(
      fc.property(steps, fc.integer({ min: 1, max: 4 }), (s, pass) => {
        const whole = [{ pass, thread: null, stabilise: false }];
        for (const x of s) expect(isSewn(x, whole)).toBe(x.pass === pass);
        expect(passesDone(s, whole)).toEqual(expect.arrayContaining([pass]));
      }),
    );
  });
  test('nothing planned is nothing sewn', () => {
    expect(sewnShare([], [{ pass: 1, thread: null, stabilise: false }])).toBe(0);
    expect(passesDone([], [])).toEqual([]);
  });
});

describe('how the Workroom has moved on', () => {
  const frame = { throatIn: 24, deadIn: 4, widthIn: 120, rollStartIn: 2.5, rollInThroat: true };
  const begun: BegunPlan = {
    machineId: 'm',
    machine: 'The long one',
    frame,
    marginIn: 4,
    bobbinMm: { diameterMm: 27, widthMm: 12, coreMm: 7 } as unknown as BegunPlan['bobbinMm'],
    at: '2026-11-20T10:00:00Z',
    steps: [],
  };
  const now = { id: 'm', name: 'The long one', frame, marginIn: 4 };
  test('nothing is said while nothing changed, nor of what no ruler could tell', () => {
    expect(movedOn(begun, now)).toEqual([]);
    expect(movedOn(begun, { ...now, marginIn: 4 + 1e-9 })).toEqual([]);
  });
  test('each change is one sentence, with the figures before and after', () => {
    const changes = fc.record({
      throatIn: fc.constantFrom(24, 26.25),
      deadIn: fc.constantFrom(4, 5),
      widthIn: fc.constantFrom(120, 144),
      rollStartIn: fc.constantFrom(2.5, 3),
      rollInThroat: fc.boolean(),
    });
    fc.assert(
      fc.property(changes, fc.constantFrom(4, 6), fc.constantFrom('m', 'other'), (f, marginIn, id) => {
        const said = movedOn(begun, { id, name: 'The new one', frame: f, marginIn });
        const moved = Object.entries(f).filter(([k, v]) => v !== frame[k as keyof typeof frame]).length;
        expect(said).toHaveLength(moved + Number(marginIn !== 4) + Number(id !== 'm'));
        if (f.throatIn !== 24) expect(said.join(' ')).toMatch(/24 in .* 26\.25 in/);
        if (id !== 'm') expect(said[0]).toContain('The new one');
      }),
    );
  });
});
