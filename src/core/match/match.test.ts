import fc from 'fast-check';
import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import { features } from '../tables/features';
import { techniques } from '../tables/techniques';
import { demoNeedles } from '@/demo/shelf';
import { CoreError } from '../notes';
import { aMatch } from '../testing/a-shelf';
import { match } from './match';
import { bobbinBook, type RankedBobbin } from './rank-bobbins';
import type { MatchRequest } from './request';
import { type TopChoice, weighZone } from './weigh-zone';

const request = aMatch();
const threads = [...request.threads];
const withZone = (zone: Partial<MatchRequest['zone']>): MatchRequest => aMatch(zone);

test('the answer does not depend on the order of the shelf or the drawer', () => {
  const expected = match(request).setups;
  fc.assert(
    fc.property(
      fc.shuffledSubarray(threads, { minLength: threads.length, maxLength: threads.length }),
      fc.shuffledSubarray([...demoNeedles], { minLength: demoNeedles.length, maxLength: demoNeedles.length }),
      (shelf, needles) => {
        expect(match({ ...request, threads: shelf, needles }).setups).toEqual(expected);
      },
    ),
    { numRuns: 10 },
  );
});

test('a zone of any kind is answered with sound numbers, or told what is missing', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...techniques.ids),
      fc.constantFrom(...fabrics.ids),
      fc.constantFrom(...battings.ids),
      fc.subarray([...features.ids], { maxLength: 3 }),
      fc.constantFrom('sink' as const, 'texture' as const, 'show' as const),
      (technique, fabric, battingId, zoneFeatures, visibility) => {
        const { setups, cautions } = match(
          withZone({
            technique,
            top: [{ fabric, hex: '#aa8866' }],
            battingId,
            features: zoneFeatures,
            visibility,
          }),
        );
        if (setups.length === 0) return expect(cautions[0]?.code).toBe('nothing-suits');
        const scores = setups.map((s) => s.score);
        expect(scores).toEqual([...scores].sort((a, b) => b - a));
        for (const s of setups) {
          expect(s.spi).toBeGreaterThanOrEqual(4);
          expect(s.spi).toBeLessThanOrEqual(18);
          expect(s.topGf / s.bobbinGf).toBeGreaterThan(2);
          expect(s.maxInPerS).toBeGreaterThan(0);
          expect(Object.values(s.parts).every((p) => Number.isFinite(p) && p >= 0)).toBe(true);
          expect(s.reasons.length).toBeGreaterThan(0);
        }
      },
    ),
    { numRuns: 150 },
  );
});

test('a wish to sink and a wish to show choose different threads', () => {
  const sink = match(request).setups[0]!;
  const show = match(withZone({ visibility: 'show' })).setups[0]!;
  expect(sink.topId).not.toBe(show.topId);
});

test('no monofilament is offered first for a baby', () => {
  const best = match(withZone({ use: 'baby' })).setups[0]!;
  expect(threads.find((t) => t.id === best.topId)!.fibre).not.toMatch(/mono/);
});

test.each([
  ['no top thread', { threads: threads.filter((t) => t.role === 'bobbin') }, /No top thread/],
  ['no bobbin thread', { threads: threads.filter((t) => t.role === 'top') }, /No bobbin thread/],
  ['no needle', { needles: [] }, /needle/i],
])('%s: an empty list that says what to buy', (_, part, words) => {
  const { setups, cautions } = match({ ...request, ...part });
  expect(setups).toEqual([]);
  expect(cautions[0]!.text).toMatch(words);
});

test('a zone without fabric is an error at the fabric', () => {
  expect(() => match(withZone({ top: [] }))).toThrow(CoreError);
});

test('raised work against a ruler is said', () => {
  const s = match(withZone({ technique: 'ruler-lines', features: ['raised-applique'] })).setups[0]!;
  expect(s.foot).toBe('bowl');
  expect(s.cautions.map((c) => c.code)).toContain('foot-conflict');
  expect(s.safety.map((c) => c.code)).toContain('ruler-thickness');
});

test('a short cone is said, with how much is wanted', () => {
  const shortShelf = threads.map((t) => ({ ...t, remainingM: 3 }));
  const s = match({ ...request, threads: shortShelf }).setups[0]!;
  expect(s.cautions.find((c) => c.code === 'stock-short')?.text).toMatch(/3 m left/);
});

test('what is held stays, and the rest adapts', () => {
  const free = match(request).setups[0]!;
  const held = match({ ...request, hold: { spi: 9, nm: 110, topId: 'Bosun Cotton 30 Amber' } }).setups;
  expect(held.length).toBeGreaterThan(0);
  for (const s of held) expect([s.spi, s.needle.nm, s.topId]).toEqual([9, 110, 'Bosun Cotton 30 Amber']);
  expect(held[0]!.stitchMm).toBeGreaterThan(free.stitchMm);
});

test('a thread held that no needle suits is said, not swapped', () => {
  const { setups, cautions } = match({ ...request, hold: { nm: 60, topId: 'Rope Cotton 12 Rust' } });
  expect(setups).toEqual([]);
  expect(cautions[0]!.code).toBe('nothing-suits');
});

describe('no pair is overlooked', () => {
  const shade = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
  test('the best is the best of every pair weighed one by one, and so are those behind it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ of: fc.nat(threads.length - 1), hex: fc.option(shade, { nil: undefined }) }), {
          minLength: 3,
          maxLength: 24,
        }),
        fc.constantFrom('sink' as const, 'texture' as const, 'show' as const),
        fc.constantFrom('fine' as const, 'same' as const),
        (picks, visibility, bobbin) => {
          const cones = picks.map(({ of, hex }, i) => ({ ...threads[of]!, id: `cone ${i}`, hex }));
          const asked = aMatch({ visibility }, { threads: cones, preferences: { bobbin }, limit: 4 });
          const zone = weighZone(asked);
          const everyBobbin = (top: TopChoice) => {
            const all: RankedBobbin[] = [];
            zone.bobbinsFor(top, (b) => all.push(b));
            return all;
          };
          const totals = zone.tops
            .map((top) => Math.min(...everyBobbin(top).map((b) => zone.pairOf(top, b).total), Infinity))
            .sort((a, b) => a - b);
          const { setups } = match(asked);
          const found = setups.map((s) => s.total);
          const expected = totals.filter(Number.isFinite).slice(0, 4);
          // With fewer tops than asked for, second pairs fill the list.
          for (const [i, total] of expected.slice(0, zone.tops.length < 4 ? 1 : 4).entries())
            expect(found[i]).toBeCloseTo(total, 6);
        },
      ),
      { numRuns: 60 },
    );
  });
  test('the floor of a bobbin is never above what it costs, and none that can win is left out', () => {
    fc.assert(
      fc.property(
        fc.array(shade, { minLength: 2, maxLength: 30 }),
        shade,
        fc.option(shade, { nil: undefined }),
        (hexes, own, backingHex) => {
          const cones = hexes.map((hex, i) => ({ ...threads[i % threads.length]!, id: `cone ${i}`, hex }));
          const book = bobbinBook({ threads: cones, backingHex });
          const top = { ...threads[0]!, hex: own };
          const ranked: RankedBobbin[] = [];
          book.bobbinsFor(
            top,
            (b) => ranked.push(b),
            () => Infinity,
          );
          expect(ranked.reduce((n, r) => n + r.equals.length, 0)).toBe(book.count);
          for (const b of ranked) {
            expect(b.floor).toBeLessThanOrEqual(book.costUnder(top, b) + 1e-9);
            expect(book.weighed(top, b.bobbin).total).toBeCloseTo(book.costUnder(top, b), 9);
          }
          // With less left, none is left out that could have cost less.
          const costs = ranked.map((b) => book.costUnder(top, b));
          const most = [...costs].sort((a, b) => a - b)[Math.floor(costs.length / 2)]!;
          const within: string[] = [];
          book.bobbinsFor(
            top,
            (b) => within.push(b.bobbin.id),
            () => most,
          );
          for (const [i, b] of ranked.entries())
            if (costs[i]! < most - 1e-6) expect(within).toContain(b.bobbin.id);
        },
      ),
    );
  });
});
