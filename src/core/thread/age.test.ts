import fc from 'fast-check';
import { fibres } from '../tables/fibres';
import { ageStrength, type AgedThread, soundness, soundnessWords } from './age';
import { breakGf } from './thread';

const TODAY = Date.parse('2026-11-30');
const cone = (part: Partial<AgedThread> = {}): AgedThread => ({
  tex: 27,
  fibre: 'cotton',
  boughtOn: null,
  storage: 'dark',
  snapGf: null,
  ...part,
});

test('nothing known, nothing said', () => expect(soundness(cone(), TODAY)).toBeNull());

test('by its age: cotton ten years in the dark is sound, in a window it only bastes', () => {
  const old = { boughtOn: '2016-11-30' };
  expect(soundness(cone(old), TODAY)!.share).toBeCloseTo(Math.exp(-0.2), 3);
  expect(soundness(cone(old), TODAY)!.word).toBe('sound');
  expect(soundness(cone({ ...old, storage: 'window' }), TODAY)!.word).toBe('out');
  expect(soundness(cone({ boughtOn: '2021-11-30', storage: 'window' }), TODAY)!.word).toBe('basting');
});

test('pulled, its age no longer counts', () => {
  const strong = breakGf(cone());
  expect(soundness(cone({ boughtOn: '1990-01-01', snapGf: strong }), TODAY)!.word).toBe('sound');
  expect(soundness(cone({ boughtOn: '2026-01-01', snapGf: 0.7 * strong }), TODAY)!.word).toBe('basting');
  expect(soundnessWords(soundness(cone({ snapGf: 0.5 * strong }), TODAY)!)).toBe(
    '50 % of its strength as new, pulled: not to be sewn with',
  );
});

test('every fibre weakens with the years, faster in the light, and never grows', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...fibres.ids),
      fc.double({ min: 0, max: 60, noNaN: true }),
      fc.double({ min: 0, max: 20, noNaN: true }),
      (fibre, years, more) => {
        const a = ageStrength(fibre, years, 'dark');
        expect(a).toBeLessThanOrEqual(1);
        expect(ageStrength(fibre, years + more, 'dark')).toBeLessThanOrEqual(a);
        expect(ageStrength(fibre, years, 'window')).toBeLessThanOrEqual(a);
      },
    ),
  );
});
