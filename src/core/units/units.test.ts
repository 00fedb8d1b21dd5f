import fc from 'fast-check';
import * as count from './count';
import * as force from './force';
import * as length from './length';

const positive = fc.double({ min: 0.01, max: 10_000, noNaN: true });
const near = (a: number, b: number) => expect(Math.abs(a / b - 1)).toBeLessThan(1e-9);

test.each([
  [count.texToDtex, count.dtexToTex],
  [count.texToDen, count.denToTex],
  [count.texToNm, count.nmToTex],
  [count.texToNe, count.neToTex],
  [count.texToWt, count.wtToTex],
  [count.texToTicket, count.ticketToTex],
  [force.gfToCn, force.cnToGf],
  [length.inToMm, length.mmToIn],
  [length.spiToMm, length.mmToSpi],
])('a conversion and its way back give the number again', (there, back) => {
  fc.assert(fc.property(positive, (x) => near(back(there(x)), x)));
});

test('known values', () => {
  expect(count.neToTex(50) * 3).toBeCloseTo(35.43, 2);
  expect(count.denToTex(240)).toBeCloseTo(26.67, 2);
  expect(length.mToYd(0.9144)).toBeCloseTo(1, 12);
  expect(force.cnToGf(950)).toBeCloseTo(968.7, 1);
});
