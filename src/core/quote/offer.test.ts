import fc from 'fast-check';
import { TASKS } from '../tables/tasks';
import { cameToByKind, workByKind } from './kinds';
import { hoursWords, offerOf, type OfferRequest, zonePrice } from './offer';

const rates = {
  hourMinor: 4000,
  tableHourMinor: 2500,
  edgeMinor: 250,
  lightMinor: 300,
  customMinor: 600,
  denseMinor: 900,
  leastMinor: null,
  bobbinMinor: 150,
  rushPct: 25,
};
const asked = (part: Partial<OfferRequest> = {}): OfferRequest => ({
  work: [{ kind: 'custom', areaIn2: 2000, hours: { low: 6, mid: 7, high: 9 } }],
  frameHours: { low: 1, mid: 1.5, high: 2 },
  size: { widthIn: 50, lengthIn: 60, pieces: 200, backingSeams: 1, backingSeamIn: 60 },
  tasks: [],
  bobbins: 0,
  supplied: [],
  basis: 'hour',
  rates,
  isRush: false,
  taxPct: 0,
  ...part,
});

test('by the hour each kind of work has its range, and the frame its own line', () => {
  const o = offerOf(asked());
  expect(o.lines).toEqual([
    { label: 'Quilting, custom', low: 24000, mid: 28000, high: 36000 },
    { label: 'Loading, rolling, changing thread', low: 4000, mid: 6000, high: 8000 },
  ]);
  expect([o.low, o.mid, o.high]).toEqual([28000, 34000, 44000]);
});
test('by area the price is one sum: 2 000 square inches at 6.00 a hundred', () =>
  expect(offerOf(asked({ basis: 'area' })).lines).toEqual([
    { label: 'Quilting, custom', low: 12000, mid: 12000, high: 12000 },
  ]));
test('a rush is on the work, tax on everything, and the least is filled up to', () => {
  const o = offerOf(
    asked({
      basis: 'area',
      isRush: true,
      taxPct: 20,
      rates: { ...rates, leastMinor: 20000 },
      supplied: [{ label: 'Batting', amount: 2, unit: 'yd', priceMinor: 1000 }],
    }),
  );
  expect(o.lines.map((l) => [l.label, l.mid])).toEqual([
    ['Quilting, custom', 12000],
    ['Up to the least for a quilt', 8000],
    ['Rush, 25 %', 5000],
    ['Batting, 2 yd', 2000],
    ['Tax, 20 %', 5400],
  ]);
});
test.each([
  [
    'no price of an hour',
    asked({ rates: { ...rates, hourMinor: null } }),
    /An hour at the frame has no price/,
  ],
  [
    'no price of its kind',
    asked({ basis: 'area', rates: { ...rates, customMinor: null } }),
    /custom has no price/,
  ],
  [
    'no price of an hour at the table',
    asked({ basis: 'area', tasks: ['trim'], rates: { ...rates, hourMinor: null, tableHourMinor: null } }),
    /An hour at the table/,
  ],
  ['tax above a hundred', asked({ taxPct: 101 }), /Tax must lie between/],
])('%s is said', (_, request, said) => expect(() => offerOf(request)).toThrow(said));

test('whatever is asked, the lines add up to the cent, from low to high', () => {
  const hours = fc.tuple(fc.nat(900), fc.nat(900), fc.nat(900)).map((h) => {
    const [low, mid, high] = [...h].sort((a, b) => a - b).map((x) => x / 37);
    return { low: low!, mid: mid!, high: high! };
  });
  fc.assert(
    fc.property(
      hours,
      hours,
      fc.subarray([...TASKS.ids]),
      fc.array(fc.tuple(fc.double({ min: 0, max: 99, noNaN: true }), fc.nat(99_999)), { maxLength: 6 }),
      fc.constantFrom<'hour' | 'area'>('hour', 'area'),
      fc.boolean(),
      fc.integer({ min: 0, max: 100 }),
      fc.option(fc.nat(90_000)),
      (work, frameHours, tasks, supplied, basis, isRush, taxPct, leastMinor) => {
        const o = offerOf(
          asked({
            work: [{ kind: 'dense', areaIn2: work.high * 91.3, hours: work }],
            frameHours,
            tasks,
            basis,
            isRush,
            taxPct,
            bobbins: 7,
            rates: { ...rates, leastMinor },
            supplied: supplied.map(([amount, priceMinor]) => ({
              label: 'Thing',
              amount,
              unit: '',
              priceMinor,
            })),
          }),
        );
        for (const k of ['low', 'mid', 'high'] as const) {
          expect(o[k]).toBe(o.lines.reduce((s, l) => s + l[k], 0));
          expect(Number.isInteger(o[k])).toBe(true);
        }
        expect(o.low).toBeLessThanOrEqual(o.mid);
        expect(o.mid).toBeLessThanOrEqual(o.high);
      },
    ),
    { numRuns: 2000 },
  );
});

test('the hours of a quilt are shared out by the minutes of its zones', () => {
  const parts = workByKind(
    [
      { technique: 'feathers', areaIn2: 100, minutes: 30 },
      { technique: 'ditch', areaIn2: 50, minutes: 10 },
      { technique: 'swirls', areaIn2: 50, minutes: 20 },
    ],
    { low: 3, mid: 6, high: 9 },
  );
  expect(parts).toEqual([
    { kind: 'light', areaIn2: 50, hours: { low: 0.5, mid: 1, high: 1.5 } },
    { kind: 'custom', areaIn2: 150, hours: { low: 2.5, mid: 5, high: 7.5 } },
  ]);
});

test('what each kind took is told from the steps of quilts that had an offer', () => {
  const work = workByKind(
    [
      { technique: 'feathers', areaIn2: 100, minutes: 60 },
      { technique: 'ditch', areaIn2: 50, minutes: 60 },
    ],
    { low: 2, mid: 2, high: 2 },
  );
  const parts = [
    { technique: 'feathers', handsMin: 40, actsMin: 10, setMin: 10 },
    { technique: 'ditch', handsMin: 50, actsMin: 10 },
  ];
  const steps = [
    { quiltId: 'a', minutes: 180, parts },
    { quiltId: 'b', minutes: 999, parts },
  ];
  expect(cameToByKind([{ quiltId: 'a', work }], steps)).toEqual([
    { kind: 'light', quilts: 1, offeredMin: 60, tookMin: 90 },
    { kind: 'custom', quilts: 1, offeredMin: 60, tookMin: 90 },
  ]);
});

test('hours are said as a person says them', () => {
  expect(hoursWords({ low: 7.2, mid: 8, high: 8.9 })).toBe('7 to 9 hours');
  expect(hoursWords({ low: 0.7, mid: 1, high: 1.3 })).toBe('0.5 to 1.5 hours');
  expect(hoursWords({ low: 6, mid: 6, high: 6 })).toBe('6 hours');
});

describe('the price of one zone', () => {
  const zone = { technique: 'pebbles', areaIn2: 300, hours: { low: 2, mid: 3, high: 4 } };
  const charged = { ...rates, basis: 'hour' as const };
  test('by the hour it is its hours; by area its kind of work, whatever the hours', () => {
    expect(zonePrice({ ...charged, hourMinor: 4000 }, zone)).toEqual({
      low: 8000,
      mid: 12_000,
      high: 16_000,
    });
    expect(zonePrice({ ...charged, basis: 'area', denseMinor: 700 }, zone)).toEqual({
      low: 2100,
      mid: 2100,
      high: 2100,
    });
  });
  test('the least for a quilt is not asked of a zone', () =>
    expect(zonePrice({ ...charged, hourMinor: 4000, leastMinor: 1_000_000 }, zone).mid).toBe(12_000));
  test('without a price it says which is missing', () =>
    expect(() => zonePrice({ ...charged, basis: 'area', denseMinor: null }, zone)).toThrow(
      /has no price for its area/,
    ));
});
