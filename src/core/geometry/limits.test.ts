import { coverage, mapProblem } from './edit';
import { checkMap, crossings } from './limits';
import { seamsOf } from './neighbours';
import type { MultiPolygon, XY } from './polygon';
import { planZones } from '../plan/plan-kinds';

const code = (zones: { geometry: MultiPolygon }[]) => {
  try {
    checkMap(zones);
    return null;
  } catch (error) {
    return (error as { code: string }).code;
  }
};
/** A ring that jumps to and fro across itself. */
const star = (n: number): MultiPolygon => [
  [
    Array.from({ length: n }, (_, i): XY => {
      const turn = ((i * Math.floor(n / 2 - 1)) / n) * 2 * Math.PI;
      return [30 + 29 * Math.cos(turn), 30 + 29 * Math.sin(turn)];
    }),
  ],
];

test('a ring that crosses itself thousands of times is refused before anything is clipped', () => {
  expect(code([{ geometry: star(3001) }])).toBe('map-tangled');
  expect(mapProblem([{ geometry: star(3001) }], { widthIn: 60, lengthIn: 60 })).toMatch(/cross each other/);
});
test('crossings are counted exactly below the limit', () => {
  const bow: MultiPolygon = [
    [
      [
        [0, 0],
        [10, 10],
        [10, 0],
        [0, 10],
      ],
    ],
  ];
  expect(crossings([bow])).toBe(1);
  expect(crossings([bow, bow.map((p) => p.map((r) => r.map(([x, y]): XY => [x + 1, y])))])).toBeGreaterThan(
    2,
  );
  expect(crossings([])).toBe(0);
});
test('zones that share edges do not cross', () => {
  const zones = planZones({
    kind: 'blocks',
    widthIn: 80,
    lengthIn: 80,
    borderIn: 4,
    columns: 8,
    rows: 8,
    sashIn: 1,
  });
  expect(crossings(zones.map((z) => z.geometry))).toBe(0);
  expect(code(zones)).toBeNull();
});
test.each([
  ['zones', Array.from({ length: 151 }, () => ({ geometry: star(5) }))],
  ['shapes', [{ geometry: Array.from({ length: 6001 }, () => star(5)[0]!) }]],
  ['corners', [{ geometry: star(14_001) }]],
])('too many %s are refused', (_, zones) => expect(code(zones)).toBe('map-too-fine'));

test('sixteen hundred blocks are covered, and their seams found', () => {
  const zones = planZones({
    kind: 'blocks',
    widthIn: 120,
    lengthIn: 120,
    borderIn: 4,
    columns: 40,
    rows: 40,
    sashIn: 0.5,
  }).map((z, i) => ({ ...z, id: String(i) }));
  expect(code(zones)).toBeNull();
  const { holeIn2, overlapIn2 } = coverage(zones, { widthIn: 120, lengthIn: 120 });
  expect(holeIn2 + overlapIn2).toBeLessThan(0.1);
  const seams = seamsOf(zones);
  expect(seams.length).toBeGreaterThan(0);
  expect(seams.every((s) => s.lengthIn > 0)).toBe(true);
});
