import fc from 'fast-check';
import { FAR, squaredDistances } from './distance-transform';

test('every point has the square of its distance to the nearest, as counted one by one', () => {
  const field = fc
    .record({ nx: fc.integer({ min: 1, max: 12 }), ny: fc.integer({ min: 1, max: 12 }) })
    .chain(({ nx, ny }) =>
      fc.record({
        nx: fc.constant(nx),
        ny: fc.constant(ny),
        // From none at all to every second point.
        set: fc.uniqueArray(fc.nat(nx * ny - 1), { maxLength: Math.ceil((nx * ny) / 2) }),
      }),
    );
  fc.assert(
    fc.property(field, ({ nx, ny, set }) => {
      const values = new Float64Array(nx * ny).fill(FAR);
      for (const k of set) values[k] = 0;
      squaredDistances(values, nx, ny);
      const counted = Array.from(values, (_, k) =>
        Math.min(
          FAR,
          ...set.map((p) => ((p % nx) - (k % nx)) ** 2 + (Math.floor(p / nx) - Math.floor(k / nx)) ** 2),
        ),
      );
      expect([...values]).toEqual(counted);
    }),
    { numRuns: 2000 },
  );
});
