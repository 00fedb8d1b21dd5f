import fc from 'fast-check';
import { averageHex } from './average';
import { deltaE, deltaEHex, labOf, leastDeltaE } from './delta-e';
import { rankColours } from './rank';

// Pairs of the published test data of Sharma, Wu and Dalal (2005).
test.each([
  [[50, 2.6772, -79.7751], [50, 0, -82.7485], 2.0425],
  [[50, -1.3802, -84.2814], [50, 0, -82.7485], 1.0],
  [[50, 2.5, 0], [50, 0, -2.5], 4.3065],
  [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
  [[2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514], 0.9082],
] as const)('CIEDE2000 of %j and %j', ([l, a, b], [m, c, d], want) => {
  expect(deltaE({ l, a, b }, { l: m, a: c, b: d })).toBeCloseTo(want, 4);
  expect(deltaE({ l: m, a: c, b: d }, { l, a, b })).toBeCloseTo(want, 4);
});

test('lightness alone never says more than the whole difference', () => {
  const lab = fc.record({
    l: fc.double({ min: 0, max: 100, noNaN: true }),
    a: fc.double({ min: -120, max: 120, noNaN: true }),
    b: fc.double({ min: -120, max: 120, noNaN: true }),
  });
  fc.assert(
    fc.property(lab, lab, (x, y) => {
      expect(leastDeltaE(x, y)).toBeLessThanOrEqual(deltaE(x, y) + 1e-9);
    }),
    { numRuns: 2000 },
  );
});

test('a colour against itself is 0, and white is L 100', () => {
  expect(deltaEHex('#336699', '#336699')).toBe(0);
  expect(labOf('#ffffff').l).toBeCloseTo(100, 4);
});

test('sink is judged on the worst fabric, show on the least', () => {
  const fabrics = [
    { hex: '#ffffff', share: 0.9 },
    { hex: '#101010', share: 0.1 },
  ];
  const threads = [
    { id: 'white', hex: '#ffffff' },
    { id: 'grey', hex: '#777777' },
  ];
  expect(rankColours({ fabrics, threads, aim: 'sink' })[0]!.id).toBe('grey');
  expect(rankColours({ fabrics, threads, aim: 'show' })[0]!.id).toBe('grey');
});

test('the average of pixels is taken in linear light, by how opaque they are', () => {
  expect(averageHex([10, 20, 30, 255, 10, 20, 30, 255])).toBe('#0a141e');
  expect(averageHex([0, 0, 0, 255, 255, 255, 255, 255])).toBe('#bcbcbc');
  expect(averageHex([255, 0, 0, 255, 0, 255, 0, 0])).toBe('#ff0000');
  expect(averageHex([])).toBe('#000000');
});
