import fc from 'fast-check';
import { cutPanel } from './panel';

test('two tops side by side, and their binding from what is left below', () => {
  const cut = cutPanel(
    { widthIn: 44, lengthIn: 60 },
    [
      { id: 'a', widthIn: 20, lengthIn: 30 },
      { id: 'b', widthIn: 20, lengthIn: 30 },
    ],
    2.5,
  );
  expect(cut.tops!.placed).toHaveLength(2);
  expect(cut.strips.filter((s) => s.widthIn > 40)).toHaveLength(11);
  expect(cut.bindingIn).toBeGreaterThan(cut.neededIn);
});
test('a panel that is too small for them is told, not stretched', () => {
  const cut = cutPanel({ widthIn: 30, lengthIn: 30 }, [{ id: 'a', widthIn: 28, lengthIn: 40 }], 2.5);
  expect(cut.tops).toBeNull();
});
test('a strip without a width is refused', () => {
  expect(() => cutPanel({ widthIn: 30, lengthIn: 30 }, [], 0)).toThrow('width');
});
test('nothing lies over another, nothing beside the panel, and the squares add up', () => {
  const side = fc.integer({ min: 6, max: 40 });
  fc.assert(
    fc.property(
      fc.integer({ min: 20, max: 60 }),
      fc.integer({ min: 20, max: 140 }),
      fc.array(fc.tuple(side, side), { minLength: 1, maxLength: 4 }),
      fc.double({ min: 1.5, max: 4, noNaN: true }),
      (w, l, sides, strip) => {
        const tops = sides.map(([a, b], i) => ({ id: String(i), widthIn: a, lengthIn: b }));
        const cut = cutPanel({ widthIn: w, lengthIn: l }, tops, strip);
        if (!cut.tops) return;
        const { widthIn: pw, lengthIn: pl } = cut.laidIn;
        const boxes = [
          ...cut.tops.placed.map((q) => ({
            x: q.x,
            y: q.y,
            w: q.turned ? q.lengthIn : q.widthIn,
            l: q.turned ? q.widthIn : q.lengthIn,
          })),
          ...cut.strips.map((s) => ({ x: s.x, y: s.y, w: s.widthIn, l: s.lengthIn })),
        ];
        // Counted and asked once: there are thousands of pairs.
        const beside = boxes.filter((a) => Math.max(a.x + a.w - pw, a.y + a.l - pl) >= 1e-6);
        const over = boxes.filter((a, i) =>
          boxes
            .slice(i + 1)
            .some(
              (b) =>
                Math.min(a.x + a.w, b.x + b.w) - Math.max(a.x, b.x) >= 1e-6 &&
                Math.min(a.y + a.l, b.y + b.l) - Math.max(a.y, b.y) >= 1e-6,
            ),
        );
        expect([beside, over]).toEqual([[], []]);
        const sum = boxes.reduce((s, b) => s + b.w * b.l, 0);
        expect(sum + cut.wasteIn2).toBeCloseTo(w * l, 4);
      },
    ),
    { numRuns: 2000 },
  );
});
