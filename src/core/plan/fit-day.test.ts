import fc from 'fast-check';
import type { MotifsRequest } from '../motifs/request';
import { fitDay, type FitZone } from './fit-day';

const request = (n: number): MotifsRequest => ({
  quilt: { widthIn: 60, lengthIn: 70, use: 'bed', battingId: 'cotton-80-20' },
  zones: Array.from({ length: n }, (_, i) => ({
    id: `z${i}`,
    role: i === 0 ? 'border' : i % 3 === 0 ? 'motif' : i % 2 ? 'block' : 'ground',
    areaIn2: 200 + 60 * (i % 5),
    openIn: 4 + (i % 4),
    pieces: 1 + (i % 6),
    traits: ['straight', 'corners'],
    top: [{ fabric: 'quilting-cotton', busyness: 1 }],
  })),
});
const zone = (i: number, part: Partial<FitZone> = {}): FitZone => ({
  id: `z${i}`,
  technique: ['swirls', 'meander-small', 'ruler-lines', 'pebbles'][i % 4]!,
  spacingIn: [0.5, 0.4, 0.5, 0.3][i % 4]!,
  minutes: 60 + 20 * (i % 3),
  ...part,
});

test('a day that is long enough asks for nothing; one that is not is filled by the least harm', () => {
  const zones = [0, 1, 2, 3, 4].map((i) => zone(i));
  const all = zones.reduce((s, z) => s + z.minutes, 60);
  expect(fitDay(request(5), zones, 60, all + 1).fit).toEqual([]);
  const day = fitDay(request(5), zones, 60, all - 90);
  expect(day.overMin).toBe(90);
  expect(day.fit!.reduce((s, c) => s + c.gainMin, 0)).toBeGreaterThanOrEqual(90);
  expect(new Set(day.fit!.map((c) => c.zone)).size).toBe(day.fit!.length);
});
test('a day shorter than loading alone is said', () =>
  expect(() => fitDay(request(2), [zone(0), zone(1)], 80, 70)).toThrow(/by themselves: give more/));
test('what is begun stays as it is', () => {
  const day = fitDay(request(3), [zone(0, { fixed: true }), zone(1), zone(2)], 60, 200);
  expect(day.changes.every((c) => c.zone !== 'z0')).toBe(true);
});
test('a little too long is mended by a little: no technique is given up for what a scale saves', () => {
  const day = fitDay(
    request(5),
    [0, 1, 2, 3, 4].map((i) => zone(i)),
    60,
    60 + 60 + 80 + 100 + 60 + 80 - 6,
  );
  expect(day.fit!.map((c) => c.kind)).toEqual(['scale']);
});
test('whatever the hours, changes save time, the fit is enough and holds nothing that is not needed', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 10 }),
      fc.integer({ min: 1, max: 400 }),
      fc.array(fc.integer({ min: 8, max: 300 }), { minLength: 10, maxLength: 10 }),
      (n, over, minutes) => {
        const zones = Array.from({ length: n }, (_, i) => zone(i, { minutes: minutes[i]! }));
        const all = zones.reduce((s, z) => s + z.minutes, 60);
        if (all - over <= 60) return;
        const day = fitDay(request(n), zones, 60, all - over);
        for (const c of day.changes) {
          expect(c.gainMin).toBeGreaterThan(0);
          expect(c.harm).toBeGreaterThan(0);
        }
        if (!day.fit) return;
        const saved = day.fit.reduce((s, c) => s + c.gainMin, 0);
        expect(saved).toBeGreaterThanOrEqual(over);
        for (const c of day.fit) expect(saved - c.gainMin).toBeLessThan(over);
      },
    ),
    { numRuns: 60 },
  );
});
