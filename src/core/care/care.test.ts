import fc from 'fast-check';
import type { LogEntry } from '../log/entry';
import { airWords } from './air';
import { careAtStand, type CareKnown, stopNow } from './at-stand';
import {
  askNow,
  type CareCounts,
  dueInDays,
  dueOf,
  dueWords,
  lintOf,
  remindAt,
  stitchesByCounter,
} from './due';
import { CARE, STOPS } from './items';

const counts = (part: Partial<CareCounts> = {}): CareCounts => ({
  hours: 0,
  bobbins: 0,
  days: 0,
  stitches: 0,
  ...part,
});
const due = (id: string, c: CareCounts, more: Parameters<typeof dueOf>[2] = {}) =>
  dueOf(CARE.get(id), c, more);

describe('how due a thing is', () => {
  test('by whichever comes first', () => {
    expect(due('oil-points', counts({ hours: 10, days: 27 }))).toMatchObject({
      u: 0.9,
      by: 'days',
      word: 'soon',
    });
    expect(due('oil-points', counts({ hours: 41, days: 2 }))).toMatchObject({ by: 'hours', word: 'due' });
  });
  test('lint brings lint and oil nearer, and nothing else', () => {
    expect(due('oil-race', counts({ hours: 3 }), { lint: 2 }).u).toBeCloseTo(0.75, 9);
    expect(due('wheels-belts', counts({ hours: 50 }), { lint: 2 }).u).toBeCloseTo(0.5, 9);
    expect(lintOf(1, ['quilting-cotton', 'flannel'])).toBe(2);
    expect(lintOf(1, ['quilting-cotton'], true)).toBe(2);
    expect(lintOf(2, ['quilting-cotton'])).toBe(2);
  });
  test('the manual comes first, and a sealed thing is never due', () => {
    const manual = { sealed: false, limits: { hours: 100 } };
    expect(due('oil-race', counts({ hours: 50, bobbins: 1 }), { manual }).u).toBeCloseTo(0.5, 9);
    const sealed = due('oil-race', counts({ hours: 5000 }), {
      manual: { sealed: true, limits: {} },
      newDay: true,
    });
    expect([sealed.word, sealed.u]).toEqual(['none', 0]);
    expect(dueWords(sealed, counts())).toContain('sealed');
  });
  test('daily things by a new day, the needle by its wear', () => {
    expect(due('tension-check', counts(), { newDay: true })).toMatchObject({ word: 'due', by: 'day' });
    expect(due('tension-check', counts()).word).toBe('fine');
    expect(due('needle', counts(), { needleShare: 0.9 }).u).toBeCloseTo(1, 9);
    expect(dueWords(due('needle', counts(), { needleShare: 0.45 }), counts())).toBe('45 % of its life sewn');
  });
  test('more sewn is never less due', () => {
    const n = fc.double({ min: 0, max: 1e5, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...CARE.ids), n, n, n, n, n, (id, hours, bobbins, days, stitches, more) => {
        const a = due(id, { hours, bobbins, days, stitches }).u;
        const b = due(id, { hours: hours + more, bobbins, days: days + more, stitches: stitches + more }).u;
        expect(b).toBeGreaterThanOrEqual(a);
      }),
    );
  });
});

describe('when one is reminded', () => {
  const all = CARE.rows.map((item) => ({ ...due(item.id, counts()), u: 1.5, word: 'due' as const }));
  test('two at most, at its own stops, what takes long only on the empty frame', () => {
    for (const stop of STOPS) {
      const told = remindAt(stop, all);
      expect(told.length).toBeLessThanOrEqual(2);
      for (const d of told) {
        expect(d.item.at).toContain(stop);
        if (stop !== 'empty-frame') expect(d.item.minutes).toBeLessThanOrEqual(5);
      }
    }
  });
  test('at the last stop before it is due, not before', () => {
    const lint = due('lint-hook', counts({ hours: 2.4 }));
    expect(remindAt('bobbin-out', [lint], () => 0.3)).toEqual([]);
    expect(remindAt('bobbin-out', [lint], () => 0.5)).toHaveLength(1);
  });
  test('a technician is asked two weeks ahead, as the machine is used', () => {
    const c = counts({ stitches: 9_000_000, days: 100 });
    const timing = due('timing', c);
    const inDays = dueInDays(timing, c, counts({ stitches: 100_000, days: 1 }));
    expect(inDays).toBe(10);
    expect(askNow(timing, inDays)).toBe(true);
    expect(askNow(timing, 20)).toBe(false);
    expect(askNow(due('level', c), 3)).toBe(false);
  });
});

describe('the machine’s own counter', () => {
  const day = (n: number) => new Date(2026, 0, n);
  const readings = [
    { at: day(1), stitches: 1000 },
    { at: day(11), stitches: 11_000 },
  ];
  test('between readings by their line, after the last by the log', () => {
    expect(stitchesByCounter(readings, day(6), () => 500)).toBe(5500);
    expect(stitchesByCounter(readings, day(20), () => 77)).toBe(77);
  });
  test('without a reading before it, nothing is told', () =>
    expect(stitchesByCounter(readings, new Date(2025, 0, 1), () => 0)).toBeNull());
});

describe('at the Stand', () => {
  const MORNING = Date.parse('2026-11-30T00:00:00Z');
  const at = (h: number) => new Date(MORNING + h * 3_600_000).toISOString();
  const entry = (kind: LogEntry['kind'], h: number, part: Partial<LogEntry> = {}): LogEntry => ({
    id: `${kind}${h}`,
    quiltId: 'q',
    kind,
    at: at(h),
    ...part,
  });
  const known = (id: string, u: number): CareKnown => ({
    id,
    u,
    word: u >= 1 ? 'due' : 'fine',
    perHour: 0.25,
    perBobbin: 1,
  });
  const now = { running: false, askedAt: MORNING + 8 * 3_600_000, dayStart: MORNING };
  const ids = (k: readonly CareKnown[], e: readonly LogEntry[], part = {}) =>
    careAtStand(k, e, { ...now, ...part }).map((c) => c.id);

  test('stops are told by what was done last', () => {
    expect(stopNow([], false, MORNING)).toBe('day-start');
    expect(stopNow([entry('step-done', -3)], false, MORNING)).toBe('day-start');
    expect(stopNow([entry('bobbin-changed', 9)], false, MORNING)).toBe('bobbin-out');
    expect(stopNow([entry('step-done', 9), entry('note', 9.1)], false, MORNING)).toBe('pass-end');
    expect(stopNow([entry('step-paused', 9)], false, MORNING)).toBeNull();
    expect(stopNow([entry('bobbin-changed', 9)], true, MORNING)).toBeNull();
  });
  test('never in the middle of work; after a bobbin the lint; done, it is gone', () => {
    const k = [known('lint-hook', 0.1)];
    const work = [entry('step-begun', 9), entry('bobbin-changed', 9.5)];
    expect(ids(k, work, { running: true })).toEqual([]);
    expect(ids(k, work)).toEqual(['lint-hook']);
    expect(ids(k, [...work, entry('care-done', 9.6, { care: 'lint-hook' })])).toEqual([]);
  });
  test('what was never noted is no reminder at the machine', () =>
    expect(ids([{ ...known('oil-race', 2), word: 'unknown' }], [])).toEqual([]));
});

test('the air: dry, damp, and otherwise than at the test', () => {
  expect(airWords(45, undefined)).toBeNull();
  expect(airWords(25, undefined)).toMatch(/dry, 25 %/);
  expect(airWords(70, undefined)).toMatch(/damp/);
  expect(airWords(30, 52)).toBe(
    'The air is 22 points drier than at the test of this zone: sew a test again.',
  );
  expect(airWords(55, 45)).toBeNull();
});
