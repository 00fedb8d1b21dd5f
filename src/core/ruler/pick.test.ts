import fc from 'fast-check';
import { LAP_MM, markingStrip, PAPERS, sheetsOf } from './marking-strip';
import { depthOf, type OwnedRuler, pickRuler, radiusOf, waveRadiusIn } from './pick';

const ruler = (id: string, radiusIn: number | null, shape: OwnedRuler['shape'] = 'arc'): OwnedRuler => ({
  id,
  name: id,
  shape,
  radiusIn,
});

test('an arc by chord and depth finds the ruler whose line lies there, a foot’s offset from its edge', () => {
  // 6 in across and 1 in deep: R = 36/8 + 0.5 = 5
  const found = pickRuler(
    { chordIn: 6, depthIn: 1 },
    [ruler('five', 5), ruler('four-75', 4.75), ruler('s', null, 'straight')],
    0.25,
  );
  expect(found.wantedRadiusIn).toBeCloseTo(5, 9);
  expect(found.picks[0]).toMatchObject({ id: 'four-75', edge: 'convex', sewnRadiusIn: 5, pastIn: 0.25 });
  expect(found.picks[0]!.offIn).toBeCloseTo(0, 9);
  expect(found.picks.every((p) => p.id !== 's')).toBe(true);
});
test('the hollow edge of a nested set sews a smaller arc', () => {
  const [best] = pickRuler({ chordIn: 6, radiusIn: 4.75 }, [ruler('five', 5)], 0.25).picks;
  expect(best).toMatchObject({ edge: 'concave', sewnRadiusIn: 4.75 });
});
test.each([
  [{ chordIn: 12, radiusIn: 5 }, /spans 10 in at most/],
  [{ chordIn: 6, depthIn: 4 }, /half circle/],
  [{ chordIn: 6 }, /how deep the arc is/],
])('%j is said', (wanted, said) => expect(() => pickRuler(wanted, [], 0.25)).toThrow(said));

test('radius, chord and depth say the same of any arc', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 30, noNaN: true }),
      fc.double({ min: 0.02, max: 0.49, noNaN: true }),
      (c, s) => {
        const r = radiusOf(c, c * s);
        expect(depthOf(r, c)).toBeCloseTo(c * s, 6);
        expect(2 * r).toBeGreaterThanOrEqual(c - 1e-9);
      },
    ),
  );
  expect(waveRadiusIn(8, 2)).toBeCloseTo(radiusOf(4, 1), 9);
});

test('a strip has whole repeats, and its sheets cover it with a lap between', () => {
  expect(markingStrip({ lengthIn: 60, repeatIn: 8, depthIn: 1, cornerIn: 6 })).toMatchObject({
    repeats: 8,
    repeatIn: 7.5,
  });
  fc.assert(
    fc.property(
      fc.double({ min: 20, max: 4000, noNaN: true }),
      fc.constantFrom<'a4' | 'letter'>('a4', 'letter'),
      (mm, paper) => {
        const sheets = sheetsOf(mm, PAPERS[paper]);
        expect(sheets[0]!.fromMm).toBe(0);
        expect(sheets.at(-1)!.toMm).toBeCloseTo(mm, 6);
        sheets.slice(1).forEach((s, i) => expect(sheets[i]!.toMm - s.fromMm).toBeCloseTo(LAP_MM, 6));
        for (const s of sheets)
          expect(s.toMm - s.fromMm).toBeLessThanOrEqual(PAPERS[paper].widthMm - 20 + 1e-9);
      },
    ),
  );
});
