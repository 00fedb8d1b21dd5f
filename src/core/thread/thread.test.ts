import fc from 'fast-check';
import { fibres } from '../tables/fibres';
import { CoreError } from '../notes';
import { describeThread } from './describe';
import { readLabel } from './read-label';
import { breakGf, diameterMm } from './thread';

test.each([
  ['Tex 27', 'polyester-filament', 27, 'tex'],
  ['T27', 'polyester-filament', 27, 'tex'],
  ['270 dtex', 'polyester-filament', 27, 'tex'],
  ['240 den', 'polyester-filament', 26.667, 'den'],
  ['120/2 den', 'polyester-filament', 26.667, 'den'],
  ['Nm 80/2', 'polyester-spun', 25, 'nm'],
  ['Ne 50/3', 'cotton', 35.43, 'ne'],
  ['50/3', 'cotton', 35.43, 'ne'],
  ['120/2', 'polyester-filament', 26.667, 'den'],
  ['40 wt', 'cotton', 25, 'wt'],
  ['No. 40', 'cotton', 25, 'wt'],
  ['Tkt 120', 'polyester-spun', 25, 'ticket'],
  ['100 % cotton, Ne 60/2', 'cotton', 19.683, 'ne'],
])('%s on %s is tex %d by %s', (label, fibre, tex, basis) => {
  const out = describeThread({ label, fibre });
  expect(out.tex).toBeCloseTo(tex, 2);
  expect(out.basis).toBe(basis);
});

test('weighing beats the label and a disagreement is said', () => {
  const out = describeThread({ label: '40 wt', fibre: 'polyester-filament', netG: 68, lengthM: 2000 });
  expect(out).toMatchObject({ tex: 34, basis: 'measured', uncertain: false });
  expect(out.reasons.map((r) => r.code)).toContain('sources-disagree');
});

test.each(['', 'forty-ish', '4', '40 40', '50/3 and a bit', '5e9 den', 'Tex 0', 'Tex -4', '🧵'])(
  '“%s” is an error that lists the forms, never a guess',
  (label) => {
    expect(() => readLabel(label, 'cotton')).toThrow(CoreError);
  },
);

test('any text is read or refused, and what is read lies in range', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 40 }), fc.constantFrom(...fibres.ids), (label, fibre) => {
      try {
        for (const r of readLabel(label, fibre)) {
          expect(r.tex).toBeGreaterThanOrEqual(1);
          expect(r.tex).toBeLessThanOrEqual(1000);
        }
      } catch (error) {
        expect(error).toBeInstanceOf(CoreError);
      }
    }),
  );
});

test('thicker thread of one fibre is stronger and wider', () => {
  const tex = fc.double({ min: 2, max: 200, noNaN: true });
  fc.assert(
    fc.property(tex, tex, fc.constantFrom(...fibres.ids), (a, b, fibre) => {
      fc.pre(a * 1.0001 < b);
      expect(diameterMm({ tex: a, fibre })).toBeLessThan(diameterMm({ tex: b, fibre }));
      expect(breakGf({ tex: a, fibre })).toBeLessThan(breakGf({ tex: b, fibre }));
    }),
  );
});

describe('what a label cannot mean', () => {
  test.each(['-40 wt', 'Tex -27', 'No. −40', '−120/2 den', '50/3, -27 tex'])(
    '“%s” is below nothing',
    (label) => {
      expect(() => readLabel(label, 'polyester-filament')).toThrow(/below nothing/);
    },
  );
  test.each([
    ['Tex-27', 27],
    ['D120', 120 / 9],
    ['d 120/2', 240 / 9],
    ['120-den', 120 / 9],
  ])('“%s” is tex %d', (label, tex) => {
    expect(readLabel(label, 'polyester-filament')[0]!.tex).toBeCloseTo(tex, 9);
  });
});
