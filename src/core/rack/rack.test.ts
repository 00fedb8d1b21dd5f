import { addDays, format } from 'date-fns';
import fc from 'fast-check';
import { STEPS, type Step } from '../fields/lists';
import {
  isSettled,
  needsYourHand,
  progressOf,
  type PromiseOf,
  type Racked,
  type RackedQuilt,
  railsOf,
  statusOf,
  type ZoneState,
} from './rack';

const TODAY = new Date('2026-11-25T09:00:00');
const STATES: readonly ZoneState[] = ['to match', 'matched', 'testing', 'proven', 'left open'];
const steps = STEPS as readonly Step[];

const sewn = fc.record({
  pass: fc.integer({ min: 1, max: 4 }),
  thread: fc.constantFrom('fog', 'rust', null),
  stabilise: fc.boolean(),
});
const quilt: fc.Arbitrary<RackedQuilt> = fc.record({
  id: fc.uuid(),
  name: fc.constantFrom('Harbour Lights', 'Nine Buoys', 'Ferry Blanket'),
  dueOn: fc.integer({ min: -40, max: 60 }).map((d) => format(addDays(TODAY, d), 'yyyy-MM-dd')),
  step: fc.constantFrom(...steps),
  passes: fc.option(fc.integer({ min: 1, max: 6 })),
  sewn: fc.array(sewn, { maxLength: 6 }),
  onFrameSince: fc.option(fc.constant('2026-11-20')),
  waitsFor: fc.constantFrom('', 'Batting to come'),
});
const racked: fc.Arbitrary<Racked> = fc
  .record({
    quilt,
    states: fc.array(fc.constantFrom(...STATES), { maxLength: 5 }),
    fill: fc.constantFrom(0, 0.4, 1),
    hours: fc.double({ min: 0, max: 60, noNaN: true }),
    daysOver: fc.integer({ min: 0, max: 9 }),
  })
  .map(({ hours, states, ...r }) => ({
    ...r,
    states,
    zones: states.map((_, i) => ({ id: `${r.quilt.id}-${i}`, letter: 'ABCDE'[i]!, name: `zone ${i}` })),
    progress: { all: 0, sewn: 0 },
    hoursLeft: { value: hours, source: 'predicted' as const },
    status: 'On the rack',
  }));
const rack = fc.uniqueArray(racked, { maxLength: 14, selector: (r) => r.quilt.id });

test('every quilt hangs on one rail, in its order, and its hours are counted there', () => {
  fc.assert(
    fc.property(rack, (all) => {
      const rails = railsOf(all, { dayHours: [6, 6, 6, 6, 6, 0, 0] }, TODAY);
      expect(rails.map((r) => r.hoursAtFrame)).toEqual([30, 30, null]);
      const hung = rails.flatMap((r) => r.quilts);
      expect(new Set(hung)).toEqual(new Set(all));
      expect(hung).toHaveLength(all.length);
      for (const rail of rails) {
        expect(rail.quilts).toEqual(all.filter((r) => rail.quilts.includes(r)));
        const hours = rail.quilts.reduce((sum, q) => sum + q.hoursLeft.value, 0);
        expect(rail.hoursLeft.value).toBeCloseTo(hours, 6);
      }
      // What is promised sooner never hangs on a later rail.
      const last = (i: number) => rails[i]!.quilts.map((q) => q.quilt.dueOn).sort();
      for (const i of [0, 1])
        if (rails[i]!.quilts.length && rails[i + 1]!.quilts.length)
          expect(last(i).at(-1)! < last(i + 1)[0]!).toBe(true);
    }),
    { numRuns: 1000 },
  );
});

test('at most six lines need a hand; what is late comes first, what is to be matched last, each leads somewhere', () => {
  const order = ['flag', 'test', 'fault', 'cone', 'zone'];
  const cones = ['fog', 'rust'].map((id) => ({ id, line: 'Heron Poly', colour: id, remainingM: 100 }));
  const wanted = fc.dictionary(fc.constantFrom('fog', 'rust'), fc.integer({ min: 0, max: 300 }));
  fc.assert(
    fc.property(rack, wanted, fc.double({ min: 0, max: 1, noNaN: true }), (all, want, chance) => {
      const setups = new Map(
        all.flatMap((r) => r.zones).map((z) => [z.id, { topId: 'fog', bobbinId: 'rust', rounds: 2 }]),
      );
      const promises: PromiseOf[] = all.map(({ quilt: { id, name, dueOn } }) => ({ id, name, dueOn, chance, sureOn: '2027-01-08' })); // prettier-ignore
      const faults = all.map((r) => ({ quiltId: r.quilt.id, note: '' }));
      const lines = needsYourHand(all, setups, cones, new Map(Object.entries(want)), faults, promises);
      expect(lines.length).toBeLessThanOrEqual(6);
      const kinds = lines.map((l) => order.indexOf(l.kind));
      expect(kinds).toEqual([...kinds].sort((a, b) => a - b));
      for (const l of lines) expect(l.href).toMatch(/^\/(calendar|quilts\/|$)/);
      // A quilt that is over is told once, not also as a promise in danger.
      const over = all.filter((r) => r.daysOver > 0).length;
      const flags = lines.filter((l) => l.kind === 'flag').length;
      expect(flags).toBe(Math.min(6, over + (chance < 0.8 ? all.length - over : 0)));
      const short = Object.values(want).filter((m) => m > 100).length;
      expect(lines.filter((l) => l.kind === 'cone').length).toBeLessThanOrEqual(short);
    }),
    { numRuns: 1000 },
  );
});

test('whatever stands in its log, no quilt is more than sewn; one on its way home is whole', () => {
  const key = fc.record({ pass: fc.integer({ min: 1, max: 4 }), thread: fc.constantFrom('fog', 'rust'), stabilise: fc.boolean() }); // prettier-ignore
  fc.assert(
    fc.property(quilt, fc.array(key, { maxLength: 8 }), (q, planned) => {
      const progress = progressOf(q, planned);
      expect(progress.sewn).toBeGreaterThanOrEqual(0);
      expect(progress.sewn).toBeLessThanOrEqual(progress.all);
      if (q.step === 'hand-back') expect(progress.sewn).toBe(progress.all);
      else expect(progress.all).toBe(planned.length);
    }),
    { numRuns: 1000 },
  );
});

test('where it stands is always said: the frame before all, then what it waits for', () => {
  fc.assert(
    fc.property(racked, fc.integer({ min: 0, max: 30 }), ({ quilt: q, states }, days) => {
      const said = statusOf(q, states, days, progressOf(q, []));
      expect(said).not.toBe('');
      expect(said === 'On the frame now').toBe(q.onFrameSince !== null);
      if (q.onFrameSince === null && q.waitsFor) expect(said).toBe(q.waitsFor);
      if (said === 'All zones tested') expect(states.every(isSettled)).toBe(true);
      expect(said).not.toMatch(/undefined|NaN|\b1 (days|zones)\b/);
    }),
    { numRuns: 1000 },
  );
});
