import fc from 'fast-check';
import { areaOf } from '../geometry/polygon';
import { CoreError } from '../notes';
import { PLAN_LABEL, planZones, type PlanKind } from './plan-kinds';

test('the zones of a plan cover the quilt exactly', () => {
  const inches = (min: number, max: number) => fc.integer({ min: min * 4, max: max * 4 }).map((n) => n / 4);
  fc.assert(
    fc.property(
      fc.constantFrom(...(Object.keys(PLAN_LABEL) as PlanKind[])),
      inches(20, 130),
      inches(20, 130),
      inches(1, 8),
      fc.integer({ min: 1, max: 8 }),
      fc.integer({ min: 1, max: 8 }),
      inches(0.25, 3),
      (kind, widthIn, lengthIn, borderIn, columns, rows, sashIn) => {
        try {
          const zones = planZones({ kind, widthIn, lengthIn, borderIn, columns, rows, sashIn });
          const total = zones.reduce((sum, z) => sum + areaOf(z.geometry), 0);
          expect(total).toBeCloseTo(widthIn * lengthIn, 6);
        } catch (error) {
          expect(error).toBeInstanceOf(CoreError);
        }
      },
    ),
  );
});

test.each([
  [{ kind: 'bordered', borderIn: 20 }, 'border-too-wide'],
  [{ kind: 'blocks', borderIn: 4, columns: 20, sashIn: 2 }, 'blocks-too-small'],
] as const)('%j leaves nothing and is refused', (part, code) => {
  expect(() => planZones({ widthIn: 40, lengthIn: 40, ...part })).toThrow(
    expect.objectContaining({ code }) as CoreError,
  );
});
