import fc from 'fast-check';
import { changedSince, type Changes, changesOf, laidAs, scaled, type Values, valuesOf } from './correction';

test('only what differs is a change, nothing and null are the same', () => {
  expect(changesOf({ a: 1, b: null, c: [1, 2] }, { a: 1, b: undefined, c: [1, 3] })).toEqual({
    c: { from: [1, 2], to: [1, 3] },
  });
});

const value = fc.oneof(
  fc.integer({ min: 0, max: 3 }),
  fc.constant(null),
  fc.array(fc.nat(2), { maxLength: 2 }),
);
const form = fc.record({ name: value, size: value, batting: value });
type Act = { kind: 'correct'; to: Values } | { kind: 'undo' | 'redo'; at: number };
const act: fc.Arbitrary<Act> = fc.oneof(
  form.map((to) => ({ kind: 'correct' as const, to })),
  fc.record({ kind: fc.constantFrom('undo' as const, 'redo' as const), at: fc.nat(20) }),
);

test('whatever is corrected, undone and put back, in whatever order: nothing is overwritten that was changed since, and undoing all leads back to the first', () => {
  fc.assert(
    fc.property(form, fc.array(act, { maxLength: 20 }), (first, acts) => {
      let now: Record<string, unknown> = { ...first };
      const kept: { changes: Changes; undone: boolean }[] = [];
      for (const a of acts) {
        if (a.kind === 'correct') {
          const changes = changesOf(now, a.to);
          if (Object.keys(changes).length === 0) continue;
          kept.push({ changes, undone: false });
          now = { ...now, ...a.to };
          continue;
        }
        const one = kept[a.at % (kept.length || 1)];
        if (!one || one.undone !== (a.kind === 'redo')) continue;
        const clash = changedSince(one.changes, now, a.kind);
        const after = { ...now, ...valuesOf(one.changes, a.kind) };
        if (clash.length > 0) {
          expect(clash.every((k) => k in one.changes)).toBe(true);
          continue;
        }
        // Gone and gone back is as before.
        expect({ ...after, ...valuesOf(one.changes, a.kind === 'undo' ? 'redo' : 'undo') }).toEqual(now);
        now = after;
        one.undone = a.kind === 'undo';
      }
      // The newest that stands can always be undone, until all are.
      for (const one of [...kept].reverse()) {
        if (one.undone) continue;
        if (changedSince(one.changes, now, 'undo').length > 0) return;
        now = { ...now, ...valuesOf(one.changes, 'undo') };
      }
      if (acts.every((a) => a.kind !== 'redo')) expect(changesOf(first, now)).toEqual({});
    }),
    { numRuns: 3000 },
  );
});

test('corrections undone from the newest to the first always lead back', () => {
  fc.assert(
    fc.property(form, fc.array(form, { maxLength: 12 }), (first, forms) => {
      let now: Record<string, unknown> = { ...first };
      const kept = forms.map((to) => {
        const changes = changesOf(now, to);
        now = { ...now, ...to };
        return changes;
      });
      for (const changes of kept.reverse()) {
        expect(changedSince(changes, now, 'undo')).toEqual([]);
        now = { ...now, ...valuesOf(changes, 'undo') };
      }
      expect(changesOf(first, now)).toEqual({});
    }),
    { numRuns: 2000 },
  );
});

test('zones go with the size', () => {
  const zones = [
    {
      id: 'a',
      geometry: [
        [
          [
            [0, 0],
            [10, 0],
            [10, 20],
            [0, 20],
          ] as const,
        ],
      ],
      lengthIn: 30,
    },
    {
      id: 'b',
      geometry: [
        [
          [
            [10, 0],
            [40, 0],
            [40, 20],
            [10, 20],
          ] as const,
        ],
      ],
      lengthIn: null,
    },
  ];
  const larger = scaled(zones, 1.5, 2);
  expect(larger[1]!.geometry[0]![0]![2]).toEqual([60, 40]);
  expect(larger[0]!.lengthIn).toBe(52);
  expect(laidAs(zones, [...zones].reverse())).toBe(true);
  expect(laidAs(zones, larger)).toBe(false);
});
