import fc from 'fast-check';
import { battings } from '../tables/battings';
import { flexIndex } from '../needle/flex';
import {
  bastings,
  carriageAdvice,
  dragN,
  type MovedQuilt,
  shiftMin,
  slowedBy,
  tableAdvice,
  TABLE_NEEDLE_MM,
  throatFit,
} from './table';

const machine = { throatIn: 11, heightIn: 5, regulated: 'sensor' as const };
const quilt = (widthIn: number, lengthIn = widthIn, part: Partial<MovedQuilt> = {}): MovedQuilt => ({
  widthIn,
  lengthIn,
  battingId: 'cotton-80-20',
  backing: 'quilting-cotton',
  ...part,
});

test('the bundle by its formula, in a throat it is lower than', () => {
  const { bundleIn, clearIn } = throatFit(machine, quilt(40));
  const t = (0.3 + 0.3 + 0.4 * battings.get('cotton-80-20').loftMm) / 25.4;
  expect(bundleIn / (1.13 * Math.sqrt((20 * t) / 0.5))).toBeGreaterThan(0.85);
  expect(bundleIn / (1.13 * Math.sqrt((20 * t) / 0.5))).toBeLessThan(1.15);
  expect(clearIn).toBeCloseTo(11 - bundleIn, 9);
});

test('a crib quilt goes, a king’s does not, and bunched takes more room than rolled', () => {
  expect(throatFit(machine, quilt(40)).word).toBe('good');
  expect(throatFit({ throatIn: 7, heightIn: 4 }, quilt(108, 108, { battingId: 'wool' })).word).toBe(
    'too-much',
  );
  expect(throatFit(machine, quilt(60), 'bunched').clearIn).toBeLessThan(
    throatFit(machine, quilt(60)).clearIn,
  );
});

test('larger or loftier never leaves more clear, nor pulls less', () => {
  const inches = fc.double({ min: 20, max: 120, noNaN: true });
  fc.assert(
    fc.property(
      inches,
      fc.double({ min: 0, max: 40, noNaN: true }),
      fc.constantFrom(...battings.ids),
      (w, more, battingId) => {
        const [a, b] = [quilt(w, w, { battingId }), quilt(w + more, w + more, { battingId })];
        expect(throatFit(machine, b).clearIn).toBeLessThanOrEqual(throatFit(machine, a).clearIn + 1e-9);
        expect(dragN(b)).toBeGreaterThanOrEqual(dragN(a));
        expect(dragN(a, 'supported')).toBeLessThanOrEqual(dragN(a));
        expect(slowedBy(dragN(b))).toBeLessThanOrEqual(slowedBy(dragN(a)));
      },
    ),
  );
});

test('a heavy quilt asks for tables, plush below most of all; a measured pull comes before the reckoned', () => {
  const heavy = tableAdvice(machine, quilt(90, 100, { backing: 'plush' }));
  expect(heavy.cautions.map((c) => c.code)).toContain('heavy-pull');
  const measured = tableAdvice({ ...machine, dragN: 4 }, quilt(90, 100, { backing: 'plush' }));
  expect(measured.cautions.map((c) => c.code)).not.toContain('heavy-pull');
  expect([measured.measured, heavy.measured]).toEqual([true, false]);
});

test('basting: pins closer in what is lofty, each way with its minutes', () => {
  const of = (battingId: string) => bastings(quilt(48, 60, { battingId })).find((b) => b.id === 'pins')!;
  expect(of('cotton-80-20').takes).toBe('180 pins');
  expect(of('cotton-80-20').minutes).toBeCloseTo(32.4, 6);
  const lofty = battings.rows.find((b) => b.loftMm >= 6)!;
  expect(of(lofty.id).takes).toBe('320 pins');
  for (const b of bastings(quilt(48, 60))) expect(b.minutes).toBeGreaterThan(0);
});

test('shifts: nine inches square at a time, and a turn for every quarter', () => {
  expect(shiftMin(81)).toBeCloseTo(2.4, 9);
  expect(shiftMin(820, 4)).toBeCloseTo(11 * 0.4 + 8, 9);
});

test('the shorter needle of a table machine is stiffer: 80 bends as 96 would on a frame', () => {
  const at80 = flexIndex(80, 11, 1, TABLE_NEEDLE_MM);
  const between = [95, 97].map((nm) => flexIndex(nm, 11, 1));
  expect(at80).toBeLessThan(between[0]!);
  expect(at80).toBeGreaterThan(between[1]!);
});

test('a carriage that pulls too hard is told', () => {
  expect(carriageAdvice(4)).toBeNull();
  expect(carriageAdvice(7)).toContain('7 N');
});
