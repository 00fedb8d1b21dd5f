import fc from 'fast-check';
import { given, stored, usualValues } from './stored';
import { CONE } from './cone';
import { ZONE } from './zone';

const anything = fc.oneof(
  fc.constant(null),
  fc.constant(undefined),
  fc.constant(''),
  fc.string(),
  fc.double(),
);

test('what is given holds the fields of the table and nothing else, none of them empty', () => {
  fc.assert(
    fc.property(
      fc.dictionary(fc.constantFrom(...ZONE.map((f) => f.id), 'other', '__proto__'), anything),
      (row) => {
        const out = given(ZONE, row as never) as Record<string, unknown>;
        for (const [k, v] of Object.entries(out)) {
          expect(ZONE.map((f) => f.id as string)).toContain(k);
          expect(v ?? null).not.toBeNull();
          expect(v).toBe((row as Record<string, unknown>)[k]);
        }
      },
    ),
    { numRuns: 1000 },
  );
});
test('a form stored twice is stored the same: every field of its table has a value, texts without blanks round them', () => {
  fc.assert(
    fc.property(fc.dictionary(fc.constantFrom(...CONE.map((f) => f.id)), fc.string()), (form) => {
      const numbers = CONE.filter((f) =>
        ['number', 'whole', 'money', 'metres', 'grams', 'hexes', 'yes'].includes(f.kind),
      );
      for (const f of numbers) delete (form as Record<string, unknown>)[f.id];
      const once = stored(CONE, form) as Record<string, unknown>;
      expect(Object.keys(once)).toEqual(CONE.map((f) => f.id));
      expect(stored(CONE, once)).toEqual(once);
      for (const f of CONE) if (f.kind === 'text') expect(once[f.id]).toBe(String(once[f.id]).trim());
    }),
    { numRuns: 1000 },
  );
});
test('a new one begins with what its table says is usual', () => {
  const usual = usualValues(ZONE);
  for (const f of ZONE) if ('usual' in f) expect(usual[f.id]).toBe(f.usual);
});
