import { changePoint } from './change-point';
import { changedWith } from './changed-with';
import { faultBook } from './diagnose';
import { likelySigns } from './likely-signs';
import { faultRates, ordered, recordOf } from './rates';
import { symptoms } from '../tables/symptoms';
import { seeded } from '../testing/fault-world';

const stretches = (rates: readonly number[], seed = 7) => {
  const random = seeded(seed);
  // Faults of a stretch of ten thousand stitches: few enough that ten chances are near a Poisson count.
  return rates.map((rate) => ({
    stitches: 10_000,
    faults: Array.from({ length: 10 }, () => random() < rate / 100).filter(Boolean).length,
  }));
};

describe('since when a rate is what it is', () => {
  test('a rate that rose is found where it rose, with its certainty', () => {
    const change = changePoint([...stretches(Array(30).fill(3)), ...stretches(Array(20).fill(30), 8)])!;
    expect(change.p).toBeGreaterThan(0.95);
    expect(Math.abs(change.at - 30)).toBeLessThanOrEqual(3);
    expect(change.from).toBeLessThanOrEqual(30);
    expect(change.to).toBeGreaterThanOrEqual(30);
    expect(change.after.low).toBeGreaterThan(change.before.high);
  });
  test('an even rate tells of no change: seldom more than two in three', () => {
    const sure = Array.from({ length: 40 }, (_, i) => changePoint(stretches(Array(50).fill(8), i + 1))!.p);
    expect(sure.filter((p) => p > 0.8).length).toBeLessThanOrEqual(4);
  });
  test('a stretch twice as long may have twice as many', () => {
    const twice = [
      ...Array(20).fill({ stitches: 10_000, faults: 1 }),
      ...Array(10).fill({ stitches: 20_000, faults: 2 }),
    ];
    expect(changePoint(twice)!.p).toBeLessThan(0.5);
  });
  test('nothing is told of little', () => {
    expect(changePoint([])).toBeNull();
    expect(changePoint(Array(3).fill({ stitches: 1e4, faults: 2 }))).toBeNull();
    expect(changePoint(Array(9).fill({ stitches: 1e4, faults: 0 }))).toBeNull();
  });
});

describe('the signs that are likeliest here', () => {
  const first = (setup: object, noted?: Map<string, number>) =>
    likelySigns(setup as Record<string, unknown>, faultBook(), noted);
  test('every sign once, chances of one whole', () => {
    const signs = first({});
    expect(new Set(signs.map((s) => s.id)).size).toBe(symptoms.ids.length);
    expect(signs.reduce((sum, s) => sum + s.p, 0)).toBeCloseTo(1, 9);
  });
  test('an old needle makes the dull pop of a blunt one likelier', () => {
    const p = (age: number) => first({ needleAgeStitches: age }).find((s) => s.id === 'noise_pop')!.p;
    expect(p(200_000)).toBeGreaterThan(p(1000));
  });
  test('what this studio notes most comes first', () => {
    expect(first({}, new Map([['oil_marks', 30]]))[0]!.id).toBe('oil_marks');
  });
});

describe('what changed with it', () => {
  const at = (thread: string, needle: string) => ({ stitches: 100, faults: 0, thread, needle });
  const log = [at('Fog', '90'), at('Fog', '90'), at('Fog', '100'), at('Sandbar', '100'), at('Sandbar', '90')];
  test('the value whose share of the stitches moved most comes first; what stayed is not named', () => {
    expect(changedWith(log, 3, ['thread', 'needle'])).toEqual([
      { thing: 'thread', value: 'Sandbar', before: 0, after: 1 },
    ]);
  });
  test('nothing before, nothing to tell', () => expect(changedWith(log, 0, ['thread'])).toEqual([]));
});

test('rates: what is surely more first, what nothing tells apart by name, what is surely less last', () => {
  const r = (label: string, per100k: number, differs: 'worse' | 'better' | 'unsure') => ({
    label,
    per100k,
    differs,
  });
  const all = [
    r('b', 5, 'unsure'),
    r('c', 1, 'better'),
    r('a', 9, 'unsure'),
    r('d', 20, 'worse'),
    r('e', 30, 'worse'),
  ];
  expect(ordered(all).map((x) => x.label)).toEqual(['e', 'd', 'a', 'b', 'c']);
});

test('a thread on one needle and fabric is drawn to the thread’s own rate, not to the studio’s', () => {
  const rates = faultRates({
    all: { faults: 20, stitches: 1_000_000 },
    tallies: [{ id: 'fog', faults: 12, stitches: 200_000 }],
    together: [
      { id: recordOf('fog', 90, 'batik'), of: 'fog', faults: 12, stitches: 50_000 },
      { id: recordOf('fog', 100, 'batik'), of: 'fog', faults: 0, stitches: 150_000 },
    ],
  });
  // (1 + 12) faults in 250 000 stitches: 5.2; then (2.6 + 12) in 100 000, and 2.6 in 200 000.
  expect(rates.get('fog')!.per100k).toBeCloseTo(5.2, 6);
  expect(rates.get('fog 90 batik')!.per100k).toBeCloseTo(14.6, 6);
  expect(rates.get('fog 100 batik')!.per100k).toBeCloseTo(1.3, 6);
  expect(rates.get('fog 90 batik')!.differs).toBe('worse');
});
