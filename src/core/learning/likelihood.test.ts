import fc from 'fast-check';
import { likelihoodOf } from './likelihood';

test('what the test stitches said comes out again, whatever the first guess was', () => {
  const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  fc.assert(
    fc.property(num(3, 8), num(0.1, 0.6), num(-0.5, 0.5), num(0.03, 0.3), (ratio, ratioSd, said, sd) => {
      // The end of a search: its first guess and its test stitches, as Gaussians.
      const [p, q] = [1 / ratioSd ** 2, 1 / sd ** 2];
      const truth = Math.log(5) + said;
      const lnRatioMean = (p * Math.log(ratio) + q * truth) / (p + q);
      const back = likelihoodOf({
        lnRatioMean,
        lnRatioSd: Math.sqrt(1 / (p + q)),
        ratio,
        ratioSd,
        ratioModel: 5,
      })!;
      expect(back.mean).toBeCloseTo(said, 6);
      expect(back.sd).toBeCloseTo(sd, 6);
    }),
  );
});
test('a search that learned nothing teaches nothing', () => {
  expect(
    likelihoodOf({ lnRatioMean: 1.6, lnRatioSd: 0.35, ratio: 5, ratioSd: 0.35, ratioModel: null }),
  ).toBeNull();
  expect(
    likelihoodOf({ lnRatioMean: 1.6, lnRatioSd: 0.5, ratio: 5, ratioSd: 0.35, ratioModel: 5 }),
  ).toBeNull();
});
