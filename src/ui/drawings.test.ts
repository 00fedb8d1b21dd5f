import { scalesOf } from '@/core/machine/scales';
import { box, circle } from './draw/mark';
import { chordPath, stitchedLine } from './match/stitched-line';
import { magnifier, PX_PER_MM } from './compare/magnifier';
import { needleGauge, eyeWord } from './needle-gauge/needle-gauge';
import { cuttingDiagram } from './prepare/cutting';
import { hatchTile } from './quilt-map/hatch';
import { spotIn, zonePath } from './quilt-map/outline';
import { sectionDrawing } from './section-drawing/section';
import { speedRuler } from './speed-ruler/speed-ruler';
import { spoolMarks } from './spool/spool';
import { tensionLadder } from './tension-ladder/ladder';
import { threadLine } from './threading-path/thread-line';
import { windingRadius } from './workroom/bobbin-gauge';
import { begin, redo, step, undo } from './map-editor/history';
import { instructionOf } from './test-strip/instruction';
import { contains, rect } from '@/core/geometry/polygon';
import { planBacking } from '@/core/backing/backing';

const sound = (marks: readonly { d: string }[]) =>
  marks.every((m) => m.d.length > 0 && !/NaN|undefined|Infinity/.test(m.d));

const section = {
  topMm: 0.3,
  backingMm: 0.3,
  battingMm: 0.77,
  loftMm: 3.2,
  topThreadMm: 0.2,
  bobbinThreadMm: 0.164,
  needleNm: 100,
  stitchMm: 2.3,
  knotDepth: 0.5,
};
const colours = { top: '#6e3b63', bobbin: '#e0b64f', cloth: '#9db3b8', backing: '#d8cfbb' };

test('the section carries a scale bar of one millimetre at its own scale', () => {
  const d = sectionDrawing(section, colours);
  expect(sound(d.marks)).toBe(true);
  expect(d.labels.some((l) => l.text === '1 mm')).toBe(true);
  const wide = sectionDrawing({ ...section, stitchMm: 6 }, colours);
  const bar = (x: typeof d) => Number(/h([\d.]+)M/.exec(x.marks.find((m) => m.d.includes('v10M'))!.d)![1]);
  expect(bar(wide)).toBeLessThan(bar(d));
});

test('thick fabric is drawn smaller, so that all of it stays on the page', () => {
  const thick = sectionDrawing({ ...section, topMm: 2.6, battingMm: 3, loftMm: 15 }, colours);
  const ys = thick.marks.flatMap((m) =>
    [...m.d.matchAll(/[ML] ?-?[\d.]+ (-?[\d.]+)/g)].map((x) => Number(x[1])),
  );
  expect(Math.max(...ys)).toBeLessThan(thick.height);
});

test('the deeper the knot, the further down the top thread is drawn', () => {
  const lowest = (knotDepth: number) =>
    Math.max(
      ...sectionDrawing({ ...section, knotDepth }, colours)
        .marks.filter((m) => m.stroke === colours.top)
        .flatMap((m) => [...m.d.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map((x) => Number(x[2]))),
    );
  const depths = [0, 0.25, 0.5, 0.75, 1].map(lowest);
  for (let i = 1; i < depths.length; i++) expect(depths[i]!).toBeGreaterThan(depths[i - 1]!);
});

test('the line is a chain of chords of one stitch, within its band', () => {
  const points = chordPath(10, 3, 2, 60);
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1]!, points[i]!];
    const chord = Math.hypot(b[0] - a[0], b[1] - a[1]);
    expect(chord).toBeLessThanOrEqual(2 + 1e-6);
    // Round a curve a chord is shorter than its arc; where the curve turns over, a little more.
    expect(chord).toBeGreaterThan(1.75);
  }
  const ys = points.map(([, y]) => y);
  expect(Math.max(...ys) - Math.min(...ys)).toBeLessThan(7);
  const line = {
    stitchMm: 2.3,
    radiusMm: null,
    topThreadMm: 0.2,
    bobbinThreadMm: 0.16,
    faces: { top: 0, back: 2 },
  } as const;
  // A longer stitch is fewer holes along the same line.
  const marks = (part: object) => stitchedLine({ ...line, ...part }, colours).marks;
  expect(sound(marks({}))).toBe(true);
  const length = (part: object) => marks(part).reduce((n, m) => n + m.d.length, 0);
  expect(length({ stitchMm: 5 })).toBeLessThan(length({ stitchMm: 1.5 }));
});

test('threads under the magnifier keep their proportions', () => {
  const at = (mm: number) =>
    magnifier([{ name: 'a', hex: '#112233', mm, ratio: 0.5 }], { nm: 100, eye: 'standard' }).marks.find(
      (m) => m.stroke === '#112233',
    )!.width!;
  expect(at(0.4)).toBeCloseTo(2 * at(0.2), 6);
  expect(at(0.2)).toBeCloseTo(0.2 * PX_PER_MM, 6);
});

test('gauge, ruler and ladder draw what they are given', () => {
  expect([0.3, 0.5, 0.6, 0.7].map(eyeWord)).toEqual(['roomy', 'clear', 'snug', 'rubs']);
  const gauge = (ratio: number) => {
    const d = needleGauge({ nm: 90, eye: 'large', threadMm: 0.3, ratio }, '#445566');
    expect(sound(d.marks)).toBe(true);
    return Number(/^M([\d.]+)/.exec(d.marks.find((m) => m.d.includes('l6 7.5'))!.d)![1]);
  };
  expect(gauge(0.6)).toBeGreaterThan(gauge(0.3));
  // Beyond the scale the mark stays at its end.
  expect(gauge(3)).toBe(gauge(0.8));
  const ruler = (handInPerS: number) => {
    const d = speedRuler({ idleInPerS: 0.4, handInPerS, limitInPerS: 2.8 });
    expect(sound(d.marks)).toBe(true);
    return Number(/^M([\d.]+)/.exec(d.marks.find((m) => m.d.includes('l7 8'))!.d)![1]);
  };
  // The scale is linear.
  expect(ruler(2) - ruler(1)).toBeCloseTo(ruler(1.5) - ruler(0.5), 3);
  const band = { low80: 80, high80: 140, low50: 95, high50: 120 };
  const ladder = tensionLadder({
    bands: [band, band],
    tests: [{ n: 1, topGf: 128, verdict: 2 }],
    nextGf: 110,
    done: false,
  });
  expect(sound(ladder.marks)).toBe(true);
  expect(ladder.labels.map((l) => l.text)).toEqual(expect.arrayContaining(['guess', 'test 1', 'next']));
});

test('a spool fills from its core by what is sewn', () => {
  const bands = [{ hex: '#aa0000', share: 1 }];
  const reach = (fill: number) =>
    Math.max(
      ...spoolMarks({ width: 90, height: 110, bands, fill })
        .filter((m) => m.fill === '#aa0000')
        .map((m) => Number(/h([\d.]+)v/.exec(m.d)?.[1] ?? 0)),
      0,
    );
  expect(reach(1)).toBeGreaterThan(reach(0.4));
  expect(reach(0)).toBe(0);
  expect(sound(spoolMarks({ width: 90, height: 110, bands, fill: 0.5, peg: true, away: true }))).toBe(true);
});

test('the threading path is solid up to the step and dashed after', () => {
  const { gaps, eyelets } = threadLine([0, 0], [100, 200, 300], 27, [400, 27], 1);
  expect(gaps.map((g) => g.solid)).toEqual([true, true, false, false]);
  expect(eyelets.map((e) => e.state)).toEqual(['done', 'here', 'ahead']);
});

test('a technique is hatched at its real spacing while it can be seen', () => {
  expect(hatchTile('grid', 1, 10)).toMatchObject({ w: 1, h: 1 });
  expect(hatchTile('grid', 0.1, 10)).toBeNull();
  expect(hatchTile('ditch', 5, 10)).toBeNull();
});

test('the spot of a zone lies inside it, in thin rings too', () => {
  const ring = [[rect(0, 0, 40, 40), rect(0.5, 0.5, 39, 39)]];
  expect(contains(ring, spotIn(ring))).toBe(true);
  expect(zonePath(ring).match(/Z/g)).toHaveLength(2);
});

test('cutting diagrams and small marks', () => {
  const backing = planBacking({ quilt: { widthIn: 64, lengthIn: 80 }, cloth: { widthIn: 44 } });
  for (const way of backing.ways)
    expect(
      sound(
        cuttingDiagram({
          way,
          clothIn: 44,
          selvageIn: 0.5,
          needed: backing.neededIn,
          quilt: { widthIn: 64, lengthIn: 80 },
        }).marks,
      ),
    ).toBe(true);
  expect(box(0, 0, 2, 3)).toBe('M0 0h2v3h-2Z');
  expect(circle(0, 0, 1)).toContain('a1 1 0 1 0 2 0');
});

test('half a bobbin is half its area, not half its radius', () => {
  expect(windingRadius(12.5, 3.8, 1)).toBe(12.5);
  expect(windingRadius(12.5, 3.8, 0)).toBe(3.8);
  expect(windingRadius(10, 0, 0.25)).toBe(5);
});

test('a drawing goes back and forth in its history', () => {
  const h = step(step(begin(1), 2), 3);
  expect(undo(h).now).toBe(2);
  expect(redo(undo(h)).now).toBe(3);
  expect(undo(undo(undo(h))).now).toBe(1);
  expect(redo(step(undo(h), 9)).now).toBe(9);
});

test('the instruction is one act in the quilter’s words', () => {
  const next = { change: 'loosen-top', topGf: 104, bobbinGf: 21, done: false } as const;
  expect(instructionOf(next, { topGf: 118, bobbinGf: 21 }, {})).toMatchObject({
    title: 'Loosen top tension',
    move: { from: 118, to: 104 },
    turn: 'about a quarter turn, until your dial is calibrated',
  });
  const dial = scalesOf([
    {
      kind: 'top-dial',
      points: [
        { mark: 2, value: 90 },
        { mark: 6, value: 130 },
      ],
    },
  ]);
  expect(instructionOf(next, { topGf: 118, bobbinGf: 21 }, dial).turn).toBe(
    'from mark 4¾ to mark 3½, by your calibration',
  );
  expect(
    instructionOf({ ...next, change: 'tighten-bobbin', bobbinGf: 25 }, { topGf: 104, bobbinGf: 21 }, {})
      .title,
  ).toBe('Tighten bobbin tension');
  expect(instructionOf({ ...next, done: true }, { topGf: 104, bobbinGf: 21 }, {}).title).toBe(
    'Balanced: leave it so',
  );
  expect(instructionOf(next, undefined, {}).title).toBe('Set the bobbin first, then the top');
  // Who goes by the gauge alone is told grams, and no turns.
  expect(instructionOf(next, { topGf: 118, bobbinGf: 21 }, dial, 'gauge')).toMatchObject({
    move: { from: 118, to: 104 },
    turn: '',
  });
  expect(instructionOf(next, undefined, dial, 'dial').turn).toContain('mark');
});
