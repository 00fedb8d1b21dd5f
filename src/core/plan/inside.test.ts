import fc from 'fast-check';
import { type InsideZone, insideOrder, insideProblem } from './inside';

const zone = (id: string, part: Partial<InsideZone> = {}): InsideZone => ({
  id,
  middle: [0, 0],
  holds: false,
  middleOut: false,
  fromMiddleIn: 0,
  shutInBy: [],
  foot: 'open-toe',
  figure: false,
  straight: false,
  lineDensity: 2,
  marksFade: false,
  ...part,
});
const order = (...zones: InsideZone[]) => insideOrder(zones).zones.join('');

test('a ditch with the ruler foot comes before fills of the open toe, and feet stay together', () => {
  const a = zone('a');
  const b = zone('b', { foot: 'ruler', straight: true, lineDensity: 1 });
  const c = zone('c', { holds: true, foot: 'ruler' });
  const d = zone('d', { foot: 'ruler', straight: true, lineDensity: 1 });
  const found = insideOrder([a, b, c, d]);
  expect(found.zones[0]).toBe('c');
  expect(found.zones.at(-1)).toBe('a');
  expect(found.footChanges).toBe(1);
});
test('figures before the ground round them, straight before curved, dense last', () => {
  expect(order(zone('g'), zone('f', { figure: true }))).toBe('fg');
  expect(order(zone('c'), zone('s', { straight: true }))).toBe('sc');
  expect(order(zone('d', { lineDensity: 6 }), zone('o', { lineDensity: 1 }))).toBe('od');
});
test('nothing unsewn is shut in, and full areas go from the middle out', () => {
  expect(order(zone('o', { lineDensity: 1 }), zone('i', { shutInBy: ['o'], lineDensity: 4 }))).toBe('io');
  const full = (id: string, fromMiddleIn: number) => zone(id, { middleOut: true, fromMiddleIn });
  expect(order(full('x', 30), full('y', 3), full('z', 12))).toBe('yzx');
});
test('the nearest is next where nothing else speaks', () => {
  expect(
    order(zone('a', { middle: [0, 0] }), zone('b', { middle: [90, 0] }), zone('c', { middle: [40, 0] })),
  ).toMatch(/^(acb|bca)$/);
});
test('laid by hand it stays as it is laid, and says what it goes against', () => {
  const zones = [zone('fill'), zone('ditch', { holds: true }), zone('new')];
  expect(insideOrder(zones, ['fill', 'ditch']).zones).toEqual(['fill', 'ditch', 'new']);
  expect(insideProblem([zones[0]!, zones[1]!], (id) => id)).toBe(
    'fill is filled before ditch holds the layers.',
  );
  expect(insideProblem([zones[1]!, zones[0]!], (id) => id)).toBeNull();
});

test('every order has each zone once and breaks no hard rule: made-up steps of up to sixteen zones', () => {
  const some = fc.array(
    fc.record({
      middle: fc.tuple(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 0, max: 20 })),
      holds: fc.boolean(),
      middleOut: fc.boolean(),
      fromMiddleIn: fc.integer({ min: 0, max: 50 }),
      foot: fc.constantFrom<InsideZone['foot'][]>('open-toe', 'ruler', 'bowl'),
      figure: fc.boolean(),
      straight: fc.boolean(),
      lineDensity: fc.double({ min: 0.2, max: 8, noNaN: true }),
      marksFade: fc.boolean(),
    }),
    { minLength: 1, maxLength: 16 },
  );
  fc.assert(
    fc.property(some, (parts) => {
      const zones = parts.map((p, i) => zone(`z${i}`, p));
      const found = insideOrder(zones).zones.map((id) => zones.find((z) => z.id === id)!);
      expect(new Set(found).size).toBe(zones.length);
      found.forEach((b, i) => {
        for (const a of found.slice(i + 1)) {
          expect(a.holds && !b.holds).toBe(false);
          if (a.holds === b.holds && a.middleOut && b.middleOut)
            expect(a.fromMiddleIn).toBeGreaterThanOrEqual(b.fromMiddleIn - 1e-6);
        }
      });
    }),
    { numRuns: 120 },
  );
});
