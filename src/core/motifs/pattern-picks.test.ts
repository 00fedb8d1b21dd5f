import fc from 'fast-check';
import { ROLES } from './motif-table';
import { type OfferedPattern, patternPicks } from './pattern-picks';
import type { MotifsRequest, MotifZone } from './request';
import { quiltFacts, zoneFacts } from './zone-facts';

const quilt: MotifsRequest['quilt'] = { widthIn: 64, lengthIn: 80, use: 'bed', battingId: 'cotton-80-20' };
const zone: MotifZone = {
  id: 'A',
  role: 'ground',
  areaIn2: 1200,
  openIn: 30,
  top: [{ fabric: 'quilting-cotton' }],
};
const request = (part: Partial<MotifZone> = {}, rest: Partial<MotifsRequest> = {}): MotifsRequest => ({
  quilt,
  zones: [{ ...zone, ...part }],
  ...rest,
});
const pattern = (p: Partial<OfferedPattern> = {}, heightShare = 0.5): OfferedPattern => ({
  id: 'swell',
  name: 'Swell',
  words: 'sea',
  widthIn: 8,
  unit: { heightShare },
  measured: { lengthIn: 40, minRadiusIn: 0.5, largestGapIn: 1.5 },
  ...p,
});

const anyPattern = fc
  .record({
    widthIn: fc.double({ min: 1, max: 30, noNaN: true }),
    heightShare: fc.double({ min: 0.1, max: 2, noNaN: true }),
    windings: fc.double({ min: 1, max: 12, noNaN: true }),
    gap: fc.double({ min: 0.05, max: 0.9, noNaN: true }),
    radius: fc.option(fc.double({ min: 0.005, max: 2, noNaN: true })),
  })
  .map(({ widthIn, heightShare, windings, gap, radius }) =>
    pattern(
      {
        widthIn,
        measured: { lengthIn: widthIn * windings, minRadiusIn: radius, largestGapIn: widthIn * gap },
      },
      heightShare,
    ),
  );

test('whatever the pattern and the zone: what is offered holds the batting, fits the zone and one pass; else it says why', () => {
  fc.assert(
    fc.property(
      anyPattern,
      fc.constantFrom(...ROLES),
      fc.double({ min: 1, max: 40, noNaN: true }),
      fc.option(fc.integer({ min: 8, max: 30 })),
      (p, role, openIn, throatIn) => {
        const asked = request(
          { role, openIn, narrowIn: openIn },
          throatIn === null ? {} : { machine: { throatIn } },
        );
        const { picks, refused } = patternPicks(asked, 'A', [p]);
        expect(picks.length + refused.length).toBe(1);
        const q = quiltFacts(asked);
        const [z] = zoneFacts(asked);
        for (const { widthIn, rowIn, minutes } of picks) {
          expect(rowIn).toBeCloseTo(widthIn * p.unit.heightShare, 9);
          expect((p.measured.largestGapIn * widthIn) / p.widthIn).toBeLessThanOrEqual(q.gapLimitIn + 1e-6);
          expect(rowIn).toBeLessThanOrEqual(z!.narrowIn + 1e-6);
          if (q.depthIn !== null) expect(rowIn).toBeLessThanOrEqual(q.depthIn + 1e-6);
          expect(minutes.mid).toBeGreaterThan(0);
        }
        for (const { text } of refused) expect(text).toMatch(/^[A-Z].*\d.*\.$/);
      },
    ),
    { numRuns: 3000 },
  );
});
test('a pattern comes denser where it is to be firm than where it is to stay soft', () => {
  const width = (softness: 'soft' | 'firm') =>
    patternPicks(request({ softness }), 'A', [pattern()]).picks[0]!;
  expect(width('firm').widthIn).toBeLessThan(width('soft').widthIn);
  expect(width('firm').lineDensity).toBeGreaterThan(width('soft').lineDensity);
});
test('the theme prefers the pattern found by its word', () => {
  const sea = pattern();
  const leaves = pattern({ id: 'leaves', name: 'A leaf', words: 'leaves' });
  const asked = { ...request(), quilt: { ...quilt, themes: ['leaves'] } };
  expect(patternPicks(asked, 'A', [sea, leaves]).picks[0]!.patternId).toBe('leaves');
});
test('a hand that begins finds it harder to follow than a machine that is guided', () => {
  const tight = pattern({ measured: { lengthIn: 40, minRadiusIn: 0.1, largestGapIn: 1.5 } });
  const score = (guided: boolean) =>
    patternPicks(request({}, { machine: { guided }, hand: { usual: 'beginner' } }), 'A', [tight]).picks[0]!
      .score;
  expect(score(false)).toBeGreaterThan(score(true));
});
test('a zone that is not there has none', () => {
  expect(patternPicks(request(), 'B', [pattern()])).toEqual({ picks: [], refused: [] });
});
