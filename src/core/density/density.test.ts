import fc from 'fast-check';
import { battings } from '../tables/battings';
import { techniques } from '../tables/techniques';
import { density, type DensityZone, EVENNESS_LIMIT, gapLimitIn, threadCover } from './density';
import { lineDensity, sewnLengthIn } from './line-density';

const fill = techniques.rows.filter((t) => t.density.kind === 'spacing');
const along = techniques.rows.filter((t) => t.density.kind === 'own-length');
const zone = (id: string, part: Partial<DensityZone> = {}): DensityZone => ({
  id,
  technique: 'meander-medium',
  spacingIn: 1,
  areaIn2: 400,
  ...part,
});
const ask = (zones: DensityZone[], part: object = {}) =>
  density({ battingId: 'cotton-80-20', zones, ...part });
const codes = (d: { cautions: { code: string }[] }) => d.cautions.map((c) => c.code);

describe('line to the square inch', () => {
  test.each(fill.map((t) => [t.id] as const))('%s: half the spacing is twice as dense', (id) => {
    const t = techniques.get(id);
    expect(lineDensity(t, 0.5, 100)).toBeCloseTo(2 * lineDensity(t, 1, 100), 9);
  });
  test.each(along.map((t) => [t.id] as const))('%s: its own length over the area', (id) => {
    const t = techniques.get(id);
    expect(lineDensity(t, 2, 400, 620)).toBeCloseTo(620 / 400, 9);
    expect(lineDensity(t, 2, 400)).toBeCloseTo(0.5, 9);
  });
  test('what is sewn twice is counted twice', () => {
    const t = techniques.get('pebbles');
    const request = { technique: 'pebbles', spacingIn: 0.5, areaIn2: 100 };
    expect(sewnLengthIn(request)).toBeCloseTo(lineDensity(t, 0.5, 100) * 100 * (1 + t.backtrack), 9);
    expect(t.backtrack).toBeGreaterThan(0);
  });
  test('twice the area is twice the line', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...fill.map((t) => t.id)),
        fc.double({ min: 0.1, max: 6, noNaN: true }),
        fc.double({ min: 1, max: 5000, noNaN: true }),
        (technique, spacingIn, areaIn2) => {
          const one = sewnLengthIn({ technique, spacingIn, areaIn2 });
          expect(sewnLengthIn({ technique, spacingIn, areaIn2: 2 * areaIn2 })).toBeCloseTo(2 * one, 6);
        },
      ),
    );
  });
});

describe('the batting’s rating', () => {
  test.each(battings.rows.map((b) => [b.id, b.maxGapIn] as const))(
    '%s allows a little less than %d in',
    (id, gap) => expect(gapLimitIn(id)).toBeCloseTo(0.95 * gap, 9),
  );
  test('the label’s own figure goes before its kind’s, and the studio sets the margin', () => {
    expect(gapLimitIn('wool', 10)).toBeCloseTo(9.5, 9);
    expect(gapLimitIn('wool', 10, 1)).toBe(10);
  });
  test('a gap at the limit is allowed, one over it is not, and the zone is named', () => {
    const limit = gapLimitIn('cotton-80-20');
    expect(ask([zone('A', { spacingIn: limit })]).ok).toBe(true);
    const over = ask([zone('A'), zone('B', { spacingIn: limit + 0.01, technique: 'ruler-lines' })]);
    expect(over.ok).toBe(false);
    expect(over.cautions.find((c) => c.code === 'batting-gap')?.text).toContain('Zone B');
  });
  test('an unknown batting counts as the strictest', () => {
    const strictest = Math.min(...battings.rows.map((b) => b.maxGapIn));
    expect(battings.get('unknown').maxGapIn).toBe(strictest);
  });
});

describe('zones against each other', () => {
  test('evenness is the densest over the most open, whatever their order', () => {
    const zones = [zone('A', { spacingIn: 0.5 }), zone('B', { spacingIn: 1 }), zone('C', { spacingIn: 1.5 })];
    expect(ask(zones).evenness).toBeCloseTo(3, 9);
    expect(ask([...zones].reverse()).evenness).toBeCloseTo(3, 9);
  });
  test('beyond the limit the two are named, and what will happen', () => {
    const out = ask([zone('A', { spacingIn: 0.3 }), zone('B', { spacingIn: 1.5 })]);
    expect(out.cautions.find((c) => c.code === 'uneven')?.text).toMatch(
      /Zone A is 5\.0 times as dense as zone B beside it; above 2\.5 the open one bubbles/,
    );
  });
  test('quick work may be less even', () => {
    const zones = [zone('A', { spacingIn: 0.3 }), zone('B', { spacingIn: 1.05 })];
    expect(codes(ask(zones))).toContain('uneven');
    expect(codes(ask(zones, { evenness: 4 }))).not.toContain('uneven');
    expect(EVENNESS_LIMIT).toBe(2.5);
  });
  test('one zone alone, or none, is even', () => {
    expect(ask([zone('A')]).evenness).toBe(1);
    expect(ask([])).toMatchObject({ evenness: 1, ok: true, cautions: [] });
  });
});

describe('how stiff it will be', () => {
  test('cover is the thread’s width times the line, backtracking counted', () => {
    expect(threadCover(4, 0, 0.254)).toBeCloseTo(0.04, 9);
    expect(threadCover(4, 0.5, 0.254)).toBeCloseTo(0.06, 9);
  });
  test('a dense fill in a thick thread is said to be stiff; without a thread nothing is claimed', () => {
    const dense = zone('A', { technique: 'micro-fill', spacingIn: 0.2, areaIn2: 20 });
    const packed = zone('A', { technique: 'micro-fill', spacingIn: 0.08, areaIn2: 20 });
    // Beyond six inches of line to the square inch no thread keeps it soft.
    expect(codes(ask([packed]))).toContain('stiff');
    expect(codes(ask([{ ...dense, topTex: 200, fibre: 'wool-blend' }]))).toContain('stiff');
    expect(codes(ask([dense]))).not.toContain('stiff');
  });
  test('thread painting is meant to be covered', () => {
    const painted = zone('A', { technique: 'thread-painting', spacingIn: 0.05, topTex: 40, fibre: 'cotton' });
    expect(codes(ask([painted]))).not.toContain('stiff');
  });
});

describe('neighbours', () => {
  const three = [
    zone('A', { spacingIn: 0.3, areaIn2: 400 }),
    zone('B', { spacingIn: 0.6, areaIn2: 400 }),
    zone('C', { spacingIn: 1.2, areaIn2: 400 }),
  ];
  const seams = [
    { a: 'A', b: 'B', seamIn: 20 },
    { a: 'B', b: 'C', seamIn: 20 },
  ];
  test('only zones that share a seam are held against each other', () => {
    expect(ask(three).evenness).toBeCloseTo(4, 9);
    const beside = density({ battingId: 'cotton-80-20', zones: three, neighbours: seams });
    expect(beside.evenness).toBeCloseTo(2, 9);
    expect(beside.ok).toBe(true);
  });
  test('a small accent condemns nothing', () => {
    const zones = [zone('A', { spacingIn: 0.1, areaIn2: 20 }), zone('B', { spacingIn: 1, areaIn2: 600 })];
    const told = density({ battingId: 'cotton-80-20', zones, neighbours: [{ a: 'A', b: 'B', seamIn: 12 }] });
    expect(told.evenness).toBe(1);
  });
  test('a seam of a zone that is not there is refused', () => {
    expect(() =>
      density({ battingId: 'cotton-80-20', zones: three, neighbours: [{ a: 'A', b: 'X', seamIn: 1 }] }),
    ).toThrow(/“X”/);
  });
});

describe('softness as a wish', () => {
  test('met, nothing is said; missed, the gap that would meet it is told, and it does', () => {
    const soft = ask([zone('A', { spacingIn: 1, softness: 'soft' })]);
    expect(codes(soft)).toContain('softness');
    const gap = Number(/([\d.]+) in spacing would do it/.exec(soft.cautions.at(-1)!.text)![1]);
    expect(codes(ask([zone('A', { spacingIn: gap + 0.01, softness: 'soft' })]))).not.toContain('softness');
    expect(codes(ask([zone('A', { spacingIn: 1 })]))).not.toContain('softness');
  });
  test('where the batting forbids the wider gap, it says how soft it can be', () => {
    const told = ask([zone('A', { spacingIn: 0.3, softness: 'soft' })], { battingMaxGapIn: 0.6 });
    expect(told.cautions.find((c) => c.code === 'softness')!.text).toMatch(
      /allows gaps of 0\.6 in, which leaves it usual/,
    );
  });
  test('too soft where firm is asked', () => {
    const told = ask([zone('A', { spacingIn: 2, softness: 'firm' })]);
    expect(told.cautions.find((c) => c.code === 'softness')!.text).toMatch(
      /softer than wished.*in spacing would do it/,
    );
  });
});
