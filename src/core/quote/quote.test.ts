import fc from 'fast-check';
import { quote } from './quote';

test('by area where the kind has a rate, else by hours with their range', () => {
  const q = quote({
    parts: [
      { kind: 'meander', areaIn2: 1000.5, hours: { low: 1, mid: 2, high: 3 } },
      { kind: 'feathers', hours: { low: 1.5, mid: 2, high: 3 } },
    ],
    rates: { perHour: 4500, perIn2: { meander: 2 } },
    materials: [{ label: 'Heron Poly 40', amount: 420.5, unit: 'm', price: 1.2 }],
    taxPct: 8,
  });
  expect(q.lines.map((l) => l.mid)).toEqual([2001, 9000, 505, 920]);
  expect(q.lines[1]).toMatchObject({ low: 6750, high: 13500 });
});
test('a part without a price is said at its place', () => {
  expect(() =>
    quote({ parts: [{ kind: 'grid', areaIn2: 5 }], rates: { perHour: 1 }, materials: [] }),
  ).toThrow(/“grid” has no price/);
});
test('always whole cents that add up exactly, and low ≤ mid ≤ high', () => {
  const hours = fc.tuple(fc.nat(300), fc.nat(300), fc.nat(300)).map((h) => {
    const [low, mid, high] = [...h].sort((a, b) => a - b).map((x) => x / 7);
    return { low: low!, mid: mid!, high: high! };
  });
  fc.assert(
    fc.property(
      fc.array(hours, { maxLength: 8 }),
      fc.array(fc.double({ min: 0, max: 500, noNaN: true }), { maxLength: 5 }),
      fc.nat(25),
      (list, amounts, taxPct) => {
        const q = quote({
          parts: list.map((h) => ({ kind: 'work', hours: h })),
          rates: { perHour: 4321 },
          materials: amounts.map((amount) => ({ label: 'thread', amount, unit: 'm', price: 1.37 })),
          taxPct,
        });
        for (const at of ['low', 'mid', 'high'] as const) {
          expect(q[at]).toBe(q.lines.reduce((s, l) => s + l[at], 0));
          expect(Number.isInteger(q[at])).toBe(true);
        }
        expect(q.low).toBeLessThanOrEqual(q.mid);
        expect(q.mid).toBeLessThanOrEqual(q.high);
      },
    ),
  );
});
