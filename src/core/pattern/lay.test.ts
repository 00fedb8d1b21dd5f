import fc from 'fast-check';
import { clipLines, linesLength } from '../geometry/clip-lines';
import { contains, type MultiPolygon, rect, type XY } from '../geometry/polygon';
import { fittingScales, layPattern, linesSvg, type PatternLayout, rowsInPasses, secondLoading } from './lay';
import { yarnAlong } from './couching';
import { measurePattern, patternLines } from './pattern';

/** A wave of a sine, a stair, and a figure of two pieces that does not go on. */
const drawing = (w: number, h: number, d: string) =>
  `<svg width="${w}in" height="${h}in" viewBox="0 0 ${w} ${h}"><path fill="none" stroke="#000" d="${d}"/></svg>`;
const sine = Array.from({ length: 161 }, (_, i) => {
  const t = i / 160;
  return `${i === 0 ? 'M' : 'L'}${(8 * t).toFixed(4)} ${(1.5 - 1.5 * Math.sin(2 * Math.PI * t)).toFixed(4)}`;
}).join('');
const WAVE = drawing(8, 3, sine);
const DRAWINGS = [
  { svg: WAVE, widthIn: 8 },
  { svg: drawing(6, 3, 'M0 0H2V1.5H4V3H6V1.5H6V0'), widthIn: 6 },
  { svg: drawing(4, 4, 'M0 0L4 4M0 4L1 3'), widthIn: 4 },
];
const square: MultiPolygon = [[rect(0, 0, 40, 30)]];
const unitOf = (svg: string, widthIn: number) => {
  const { runs, heightIn, goesOn } = patternLines({ svg, widthIn });
  return {
    runs: runs.map((r) => r.map(([x, y]): XY => [x / widthIn, y / widthIn])),
    heightShare: heightIn / widthIn,
    goesOn,
  };
};
const wave = unitOf(WAVE, 8);
const layout = (part: Partial<PatternLayout> = {}): PatternLayout => ({
  widthIn: 8,
  rowGapIn: 0,
  offset: 0,
  mirrored: false,
  direction: 'across',
  ...part,
});

describe('lines cut at a shape', () => {
  const ring: MultiPolygon = [[rect(0, 0, 10, 10), rect(4, 4, 2, 2)]];
  test('a line through a ring is cut at its hole', () => {
    const inside = clipLines(
      [
        [
          [-5, 5],
          [15, 5],
        ],
      ],
      ring,
    );
    expect(inside).toEqual([
      [
        [0, 5],
        [4, 5],
      ],
      [
        [6, 5],
        [10, 5],
      ],
    ]);
    expect(linesLength(inside)).toBe(8);
  });
  test('nothing lies outside, and nothing inside is lost', () => {
    const point = fc.tuple(
      fc.double({ min: -3, max: 13, noNaN: true }),
      fc.double({ min: -3, max: 13, noNaN: true }),
    );
    fc.assert(
      fc.property(fc.array(point, { minLength: 2, maxLength: 12 }), (line) => {
        const inside = clipLines([line], ring);
        for (const run of inside)
          for (let i = 1; i < run.length; i++) {
            const middle: XY = [(run[i - 1]![0] + run[i]![0]) / 2, (run[i - 1]![1] + run[i]![1]) / 2];
            const long = Math.hypot(run[i]![0] - run[i - 1]![0], run[i]![1] - run[i - 1]![1]);
            if (long > 1e-6 && !contains(ring, middle)) throw new Error('outside');
          }
        // The same length by walking the line in small steps.
        let walked = 0;
        for (let i = 1; i < line.length; i++)
          for (let k = 0; k < 200; k++) {
            const t = (k + 0.5) / 200;
            const at: XY = [
              line[i - 1]![0] + (line[i]![0] - line[i - 1]![0]) * t,
              line[i - 1]![1] + (line[i]![1] - line[i - 1]![1]) * t,
            ];
            if (contains(ring, at))
              walked += Math.hypot(line[i]![0] - line[i - 1]![0], line[i]![1] - line[i - 1]![1]) / 200;
          }
        expect(Math.abs(walked - linesLength(inside))).toBeLessThan(0.6 * line.length);
      }),
      { numRuns: 500 },
    );
  });
});

describe('a pattern laid in a zone', () => {
  test('whole repeats and rows are told as whole, and a row is sewn without lifting', () => {
    const laid = layPattern(wave, square, layout());
    expect([laid.columns, laid.rows]).toEqual([5, 10]);
    expect(laid.cut).toEqual({ left: 0, right: 0, top: 0, bottom: 0 });
    expect(laid.starts).toBe(10);
    const one = measurePattern({ svg: WAVE, widthIn: 8 });
    expect(laid.lengthIn).toBeCloseTo(50 * one.lengthIn, 1);
  });
  test('what is cut off is told, the same at both ends', () => {
    const laid = layPattern(wave, square, layout({ widthIn: 7 }));
    expect(laid.columns).toBe(6);
    expect(laid.cut.left).toBeCloseTo(1 / 7, 6);
  });
  test('rows down the quilt are the same pattern turned', () => {
    const tall: MultiPolygon = [[rect(0, 0, 30, 40)]];
    const down = layPattern(wave, tall, layout({ direction: 'down' }));
    expect(down.lengthIn).toBeCloseTo(layPattern(wave, square, layout()).lengthIn, 6);
    expect(Math.max(...down.lines.flat().map(([x]) => x))).toBeLessThanOrEqual(30);
  });
  test('rows on one another and repeats without end are refused', () => {
    expect(() => layPattern(wave, square, layout({ rowGapIn: -4 }))).toThrow('rows');
    expect(() => layPattern(wave, square, layout({ widthIn: 0.05, rowGapIn: 0.1 }))).toThrow('weeks');
  });
  test('nothing is laid outside, whatever the layout', () => {
    const zone: MultiPolygon = [
      [
        [
          [0, 0],
          [20, 0],
          [20, 8],
          [9, 8],
          [9, 22],
          [0, 22],
        ],
      ],
    ];
    const units = DRAWINGS.map((p) => unitOf(p.svg, p.widthIn));
    fc.assert(
      fc.property(
        fc.constantFrom(...units),
        fc.double({ min: 2, max: 12, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.constantFrom(0, 0.25, 0.5),
        fc.boolean(),
        fc.constantFrom('across' as const, 'down' as const),
        (unit, widthIn, rowGapIn, offset, mirrored, direction) => {
          const laid = layPattern(unit, zone, {
            widthIn,
            rowGapIn,
            offset,
            mirrored,
            direction,
          });
          const outside = laid.lines
            .flat()
            .filter(([x, y]) => Math.min(x, y, 20 - x, 22 - y) < -1e-6 || (x > 9 + 1e-6 && y > 8 + 1e-6));
          expect(outside).toEqual([]);
          expect(laid.lengthIn).toBeGreaterThan(0);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('rows against passes', () => {
  test('so many whole rows a pass, the rest of its depth unused', () => {
    expect(rowsInPasses({ heightIn: 4, rowGapIn: 0, rows: 10 }, 13)).toEqual({
      rowsPerPass: 3,
      passes: 4,
      unusedIn: 1,
      tooDeepIn: 0,
    });
    expect(rowsInPasses({ heightIn: 6, rowGapIn: -1, rows: 5 }, 11).rowsPerPass).toBe(2);
  });
  test('a row deeper than a pass is told by how much', () => {
    expect(rowsInPasses({ heightIn: 14, rowGapIn: 0, rows: 2 }, 12)).toMatchObject({
      passes: 0,
      tooDeepIn: 2,
    });
  });
  test('a second loading has its passes and minutes', () => {
    const { passes, minutes } = secondLoading({ widthIn: 60, lengthIn: 80 }, 25, 12);
    expect(passes).toBe(3);
    expect(minutes).toBeCloseTo(12 + 1.8 + 4 + 10 + 4, 6);
  });
});

test('scales that come out whole: repeats across, rows down, none deeper than a pass', () => {
  const found = fittingScales(wave, { widthIn: 42, heightIn: 31 }, 8, 4);
  expect(found.length).toBeGreaterThan(0);
  for (const f of found) {
    expect(f.widthIn * f.columns).toBeCloseTo(42, 6);
    const heightIn = wave.heightShare * f.widthIn;
    expect(f.rows * heightIn + (f.rows - 1) * f.rowGapIn).toBeCloseTo(31, 6);
    expect(heightIn).toBeLessThanOrEqual(4);
  }
  expect(Math.abs(Math.log(found[0]!.widthIn / 8))).toBeLessThanOrEqual(
    Math.abs(Math.log(found.at(-1)!.widthIn / 8)),
  );
});

test('what is saved as SVG is read again as the same lines', () => {
  const laid = layPattern(wave, square, layout({ offset: 0.5, mirrored: true }));
  const svg = linesSvg(laid.lines, [0, 0], 40, 30);
  expect(measurePattern({ svg }).lengthIn / laid.lengthIn).toBeCloseTo(1, 3);
});

test.each(DRAWINGS.flatMap((d) => [1, 2.5, 8, 20].map((yarnMm) => ({ ...d, yarnMm }))))(
  'a yarn of $yarnMm mm follows the kept lines as it follows the drawing, $widthIn in wide',
  ({ svg, widthIn, yarnMm }) => {
    const told = measurePattern({ svg, widthIn, yarnMm });
    expect(yarnAlong(unitOf(svg, widthIn).runs, widthIn, told.minRadiusIn, yarnMm)).toEqual({
      fits: told.couching!.fit,
      codes: told.couching!.codes,
    });
  },
);
