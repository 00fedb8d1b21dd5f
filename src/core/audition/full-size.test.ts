import fc from 'fast-check';
import { linesLength } from '../geometry/clip-lines';
import { type MultiPolygon, rect, type XY } from '../geometry/polygon';
import { LAP_MM, PAPERS } from '../ruler/marking-strip';
import { fullSize } from './full-size';

test('marks of neighbouring sheets fall on one another, and nothing of a line is lost between them', () => {
  const size = fc.double({ min: 2, max: 60, noNaN: true });
  fc.assert(
    fc.property(size, size, fc.constantFrom('a4' as const, 'letter' as const), (w, h, paper) => {
      const shape: MultiPolygon = [[rect(3, 4, w, h)]];
      const line: XY[] = [
        [3, 4],
        [3 + w, 4 + h],
      ];
      const cut = fullSize(shape, [line], PAPERS[paper]);
      const places = cut.sheets.flatMap((s) =>
        s.marks.map(([x, y]) => [s.column * (cut.widthMm - LAP_MM) + x, s.row * (cut.heightMm - LAP_MM) + y]),
      );
      for (const s of cut.sheets)
        for (const other of cut.sheets)
          if (other.row === s.row && other.column === s.column + 1) {
            const right = s.column * (cut.widthMm - LAP_MM) + s.marks[2]![0];
            const left = other.column * (cut.widthMm - LAP_MM) + other.marks[0]![0];
            expect(right).toBeCloseTo(left, 9);
          }
      expect(places.length).toBe(4 * cut.sheets.length);
      const printed = cut.sheets.reduce((sum, s) => sum + linesLength(s.lines), 0);
      expect(printed).toBeGreaterThanOrEqual(Math.hypot(w, h) * 25.4 - 1e-6);
    }),
    { numRuns: 300 },
  );
});
