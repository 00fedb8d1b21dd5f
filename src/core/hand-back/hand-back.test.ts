import { cameOut } from './came-out';
import { cameTo } from './came-to';
import { inspection } from './inspection';
import { type MadeOf, washing } from './washing';

describe('the way of the eye', () => {
  test('no place of the quilt lies more than half a lane from it', () => {
    const way = inspection(64, 80, []);
    expect(way.lanes).toBe(8);
    const rows = [...new Set(way.path.map(([, y]) => y))];
    for (let y = 0; y <= 80; y++)
      expect(Math.min(...rows.map((r) => Math.abs(r - y)))).toBeLessThanOrEqual(5);
    expect(way.path[0]).toEqual([0, 5]);
    expect(way.lengthIn).toBeCloseTo(8 * 64 + 7 * 10, 6);
  });
  test('it goes by every marked place, in the order it is met; from behind mirrored', () => {
    const marked = [
      { n: 1, xIn: 50, yIn: 12 },
      { n: 2, xIn: 10, yIn: 14 },
      { n: 3, xIn: 30, yIn: 80 },
    ];
    // The second lane runs back.
    expect(inspection(64, 80, marked).met).toEqual([1, 2, 3]);
    const back = inspection(64, 80, marked, true);
    expect(back.met).toEqual([2, 1, 3]);
    expect(back.path).toContainEqual([14, 12]);
  });
  test('a runner is one lane', () => expect(inspection(60, 9, []).lanes).toBe(1));
});

describe('how it came out', () => {
  const even = { widthsIn: [60, 60, 60], lengthsIn: [80, 80, 80] };
  test('what quilting drew in, and whether it is square', () => {
    const out = cameOut({ widthsIn: [58.8, 58.8, 58.8], lengthsIn: [79, 79.2, 79.4] }, even);
    expect(out.drewInWidthPct).toBeCloseTo(2, 6);
    expect(out.drewInLengthPct).toBeCloseTo(1, 6);
    expect(out.square).toBe(true);
    expect(cameOut({ ...even, widthsIn: [59, 60, 60] }, null)).toMatchObject({
      square: false,
      drewInWidthPct: null,
    });
  });
});

describe('how to wash it', () => {
  const of = (part: Partial<MadeOf> = {}) =>
    washing({
      widthIn: 64,
      lengthIn: 80,
      tops: [{ kind: 'quilting-cotton', share: 1 }],
      backing: 'quilting-cotton',
      batting: 'cotton-needled',
      fibres: ['polyester-filament'],
      features: [],
      prewashed: false,
      use: 'bed',
      ...part,
    });
  test('its weight is that of its layers, heavier wet', () => {
    const w = of();
    // 3.30 m² of two cottons and 150 g/m² of batting.
    expect(w.dryKg).toBeGreaterThan(1.3);
    expect(w.dryKg).toBeLessThan(1.7);
    expect(w.wetKg).toBeGreaterThan(1.5 * w.dryKg);
    expect(of({ widthIn: 128 }).dryKg).toBeCloseTo(2 * w.dryKg, 6);
  });
  test('the gentlest of all that is in it wins', () => {
    expect(of()).toMatchObject({ degrees: 40, tumble: 'low' });
    expect(of({ backing: 'silk' }).tumble).toBe('no');
    const clear = of({ fibres: ['polyester-filament', 'nylon-mono'] });
    expect(clear.tumble).toBe('no');
    expect(clear.lines.join(' ')).toContain('Iron cool');
    expect(clear.cautions.map((c) => c.code)).toEqual(['monofilament-iron']);
  });
  test('a child’s quilt: loose ends and parts are told', () => {
    const codes = of({ use: 'baby', fibres: ['nylon-mono'], features: ['beads'] }).cautions.map(
      (c) => c.code,
    );
    expect(codes).toEqual(['monofilament-iron', 'monofilament-child', 'small-parts-child']);
  });
  test('what was washed before draws in by its batting only', () => {
    expect(of({ prewashed: true, backing: 'flannel' }).drawsInPct).toBe(3);
    expect(of({ backing: 'flannel' }).drawsInPct).toBe(7);
  });
});

test('against the plan: only timed steps with a prediction count for hours, all for stitches', () => {
  const parts = [{ handsMin: 20, actsMin: 10 }];
  const came = cameTo(
    [
      { minutes: 40, parts, stitches: 1000 },
      { minutes: null, parts, stitches: 500 },
      { minutes: 12, parts: null, stitches: 100 },
    ],
    300,
    280,
    { n: 2, minutesLost: 15 },
  );
  expect(came).toMatchObject({
    predictedMin: 30,
    minutes: 40,
    timedSteps: 1,
    steps: 3,
    stitches: 1600,
    faults: 2,
  });
  expect(cameTo([], 0, 0, { n: 0, minutesLost: 0 })).toMatchObject({ minutes: null, predictedMin: null });
});
