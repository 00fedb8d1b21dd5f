import fc from 'fast-check';
import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import { techniques } from '../tables/techniques';
import { distanceOf, nearest, unlikeWords, type Work } from './nearest';

const here: Work = {
  cloths: [{ fabric: 'quilting-cotton', share: 1 }],
  battingId: 'cotton-80-20',
  technique: 'swirls',
  spacingIn: 0.5,
  top: { tex: 27, fibre: 'polyester-filament' },
};
const work = fc.record({
  cloths: fc.array(
    fc.record({
      fabric: fc.constantFrom(...fabrics.ids),
      share: fc.double({ min: 0.05, max: 1, noNaN: true }),
    }),
    {
      minLength: 1,
      maxLength: 4,
    },
  ),
  battingId: fc.constantFrom(...battings.ids),
  technique: fc.constantFrom(...techniques.ids),
  spacingIn: fc.double({ min: 0.1, max: 6, noNaN: true }),
  top: fc.option(fc.constant({ tex: 18, fibre: 'cotton' }), { nil: undefined }),
});

test('nothing is nearer than itself, both ways round are as far, and never beyond 1', () => {
  fc.assert(
    fc.property(work, work, (a, b) => {
      expect(distanceOf(a, a).total).toBe(0);
      const d = distanceOf(a, b);
      expect(d.total).toBeCloseTo(distanceOf(b, a).total, 9);
      expect(d.total).toBeGreaterThanOrEqual(0);
      expect(d.total).toBeLessThanOrEqual(1);
    }),
  );
});

test('another spacing is nearer than another technique, a like fabric nearer than an unlike one', () => {
  const far = (part: Partial<Work>) => distanceOf(here, { ...here, ...part }).total;
  expect(far({ spacingIn: 0.75 })).toBeLessThan(far({ technique: 'ruler-lines' }));
  expect(far({ cloths: [{ fabric: 'batik', share: 1 }] })).toBeLessThan(
    far({ cloths: [{ fabric: 'denim', share: 1 }] }),
  );
  expect(far({ battingId: 'cotton-needled' })).toBeLessThan(far({ battingId: 'polyester-high' }));
  expect(far({ top: { tex: 25, fibre: 'polyester-filament' } })).toBeLessThan(
    far({ top: { tex: 60, fibre: 'cotton' } }),
  );
});

test('the nearest come first, of equals the newest; what differs is said', () => {
  const at = (day: number) => new Date(2026, 1, day);
  const past = [
    { ...here, battingId: 'wool', at: at(1), id: 'wool' },
    { ...here, at: at(2), id: 'old' },
    { ...here, at: at(9), id: 'new' },
  ];
  const found = nearest(here, past, 2);
  expect(found.map((f) => f.work.id)).toEqual(['new', 'old']);
  expect(unlikeWords(found[0]!.distance)).toBe('the same in everything compared');
  expect(unlikeWords(nearest(here, past, 3)[2]!.distance)).toMatch(/^batting /);
});
