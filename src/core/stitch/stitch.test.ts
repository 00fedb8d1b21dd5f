import fc from 'fast-check';
import { techniques } from '../tables/techniques';
import { curveFacts, smoothRadiusIn, smoothSpi } from './curve';
import { regulate } from './regulate';

const machine = {
  maxSpm: 2000,
  idleMinSpm: 100,
  idleMaxSpm: 900,
  minSpi: 4,
  maxSpi: 18,
  modes: ['idling', 'resting', 'manual'] as const,
};

test('from the smooth radius on, a curve is smooth', () => {
  fc.assert(
    fc.property(fc.integer({ min: 4, max: 18 }), (spi) => {
      expect(curveFacts(smoothRadiusIn(spi) * 1.0001, spi).curve).toBe('smooth');
    }),
  );
});
test('the spi that makes a curve smooth does', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.05, max: 3, noNaN: true }), (r) => {
      expect(curveFacts(r, smoothSpi(r) * 1.0001).curve).toBe('smooth');
    }),
  );
});
test.each(techniques.ids)('%s stays within the machine and its base + 2', (technique) => {
  const out = regulate({ technique, machine });
  const { baseSpi } = techniques.get(technique);
  expect(out.spi).toBeGreaterThanOrEqual(Math.min(18, Math.max(4, baseSpi)));
  expect(out.spi).toBeLessThanOrEqual(Math.max(4, baseSpi + 2));
});
test('a machine without the wanted mode falls back to one it has', () => {
  expect(regulate({ technique: 'ditch', machine: { ...machine, modes: ['manual'] } }).mode).toBe('manual');
});
test('manual tells both halves of the ratio', () => {
  const out = regulate({ technique: 'thread-painting', machine });
  expect(out.reasons.find((r) => r.code === 'manual-ratio')?.text).toMatch(/stitches a minute/);
});
test('fabric that keeps holes caps the stitches per inch', () => {
  const free = regulate({ technique: 'micro-fill', machine, needleNm: 110 });
  const satin = regulate({ technique: 'micro-fill', machine, needleNm: 110, top: ['satin'] });
  expect(satin.spi).toBeLessThan(free.spi);
  expect(1.1 / (25.4 / satin.spi)).toBeLessThanOrEqual(0.6);
});
