import fc from 'fast-check';
import { planPasses, rollDiameterMm } from './passes';

const frame = { throatIn: 18, deadIn: 5, widthIn: 144, rollInThroat: true, rollStartIn: 2.5 };

test('by hand: 64 by 80 with a roll of 4 mm', () => {
  const p = planPasses({ quilt: { widthIn: 64, lengthIn: 80 }, frame, rolledMm: 4 });
  expect(p).toMatchObject({ turned: true, passes: 7, alternative: { turned: false } });
  expect(p.depthsIn[0]).toBeCloseTo(10.5, 9);
  // D after 10.5 in: sqrt(63.5² + 4·4·266.7/π) = 73.4 mm = 2.890 in
  expect(p.depthsIn[1]).toBeCloseTo(13 - 2.89, 2);
});

test('the depths cover the quilt exactly, and shrink as the roll grows', () => {
  const inches = fc.integer({ min: 20, max: 110 });
  fc.assert(
    fc.property(inches, inches, fc.integer({ min: 1, max: 10 }), (widthIn, lengthIn, rolledMm) => {
      const p = planPasses({ quilt: { widthIn, lengthIn }, frame, rolledMm });
      const along = p.turned ? widthIn : lengthIn;
      expect(p.depthsIn.reduce((a, b) => a + b, 0)).toBeCloseTo(along, 6);
      const full = p.depthsIn.slice(0, -1);
      expect(full).toEqual([...full].sort((a, b) => b - a));
    }),
  );
});

test('a last pass shallower than three inches is spread over the others, and none is deeper than it reaches', () => {
  // 10.5 + 10.1 + … leaves 1.2 in for the last: all are made alike instead.
  const inches = fc.double({ min: 20, max: 110, noNaN: true });
  fc.assert(
    fc.property(inches, inches, fc.integer({ min: 1, max: 10 }), (widthIn, lengthIn, rolledMm) => {
      const p = planPasses({ quilt: { widthIn, lengthIn }, frame, rolledMm });
      if (p.passes > 1) expect(p.depthsIn.at(-1)).toBeGreaterThanOrEqual(2.9);
      let wound = 0;
      for (const d of p.depthsIn) {
        const roll = rollDiameterMm(63.5, rolledMm, wound * 25.4) / 25.4;
        expect(d).toBeLessThanOrEqual(13 - roll + 1e-6);
        wound += d;
      }
    }),
    { numRuns: 500 },
  );
  const again = planPasses({ quilt: { widthIn: 60, lengthIn: 60 }, frame, rolledMm: 4, sewnIn: [12, 40] });
  expect(again.depthsIn.slice(0, 2)).toEqual([12, 40]);
});

test('a quilt too wide one way goes the other; too wide both ways is refused in words', () => {
  const narrow = { ...frame, widthIn: 80 };
  const p = planPasses({ quilt: { widthIn: 60, lengthIn: 90 }, frame: narrow, rolledMm: 4 });
  expect(p).toMatchObject({ turned: false, alternative: null });
  expect(p.cautions.map((c) => c.code)).toContain('frame-too-narrow');
  expect(() => planPasses({ quilt: { widthIn: 90, lengthIn: 90 }, frame: narrow, rolledMm: 4 })).toThrow(
    /needs 98 in of frame/,
  );
});

test('a roll that fills the throat is said', () => {
  const small = { ...frame, throatIn: 9.5, deadIn: 5 };
  expect(() => planPasses({ quilt: { widthIn: 100, lengthIn: 120 }, frame: small, rolledMm: 12 })).toThrow(
    /fills the throat/,
  );
});

test('the roll grows by the spiral', () => {
  expect(rollDiameterMm(63.5, 4, 0)).toBe(63.5);
  expect(rollDiameterMm(63.5, 4, 2000)).toBeGreaterThan(rollDiameterMm(63.5, 4, 1000));
});

describe('both ways round', () => {
  const inches = fc.integer({ min: 20, max: 130 });
  const ask = (widthIn: number, lengthIn: number, part: object = {}) =>
    planPasses({ quilt: { widthIn, lengthIn }, frame, rolledMm: 4, ...part });

  test('the way taken never has more passes than the other', () => {
    fc.assert(
      fc.property(inches, inches, (w, l) => {
        const p = ask(w, l);
        if (p.alternative) expect(p.passes).toBeLessThanOrEqual(p.alternative.passes);
      }),
    );
  });
  test('a square quilt is not turned for nothing', () => {
    expect(ask(60, 60)).toMatchObject({ turned: false });
  });
  test('never turned, where the quilter says so, even if it costs passes', () => {
    expect(ask(64, 80).turned).toBe(true);
    expect(ask(64, 80, { turn: 'never' }).turned).toBe(false);
  });
  test('only turned does it fit: it is turned, and said', () => {
    const narrow = { ...frame, widthIn: 90 };
    const p = ask(100, 70, { frame: narrow });
    expect(p).toMatchObject({ turned: true, alternative: null });
    expect(p.cautions.find((c) => c.code === 'frame-too-narrow')?.text).toContain('It fits only turned');
    expect(() => ask(100, 70, { frame: narrow, turn: 'never' })).toThrow(/needs 108 in/);
  });
});

describe('what makes more passes', () => {
  const passes = (part: object) =>
    planPasses({ quilt: { widthIn: 60, lengthIn: 100 }, frame, rolledMm: 4, turn: 'never', ...part }).passes;
  test.each<[string, object, object]>([
    ['a thicker roll', { rolledMm: 2 }, { rolledMm: 10 }],
    ['a shallower throat', { frame: { ...frame, throatIn: 26 } }, { frame }],
    ['an overlap', { frame }, { frame: { ...frame, overlapIn: 3 } }],
    ['a roll inside the throat', { frame: { ...frame, rollInThroat: false } }, { frame }],
  ])('%s', (_, fewer, more) => expect(passes(more)).toBeGreaterThan(passes(fewer)));
  test('outside the throat every pass is as deep as the first', () => {
    const p = planPasses({
      quilt: { widthIn: 60, lengthIn: 100 },
      frame: { ...frame, rollInThroat: false },
      rolledMm: 12,
      turn: 'never',
    });
    for (const d of p.depthsIn.slice(0, -1)) expect(d).toBeCloseTo(13, 9);
  });
  test('a deep machine asks for rolling rather than leaning', () => {
    const deep = { ...frame, throatIn: 30 };
    const p = planPasses({ quilt: { widthIn: 60, lengthIn: 80 }, frame: deep, rolledMm: 4 });
    expect(p.cautions.find((c) => c.code === 'reach')?.text).toContain('Roll rather than lean');
  });
});
