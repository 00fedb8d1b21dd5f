import fc from 'fast-check';
import { planZones } from '../plan/plan-kinds';
import {
  coverage,
  coverageProblem,
  cutZone,
  drawZone,
  mergeZones,
  type MapZone,
  moveCorner,
  moveEdge,
  repeatShape,
  snap,
} from './edit';
import { areaOf, rect } from './polygon';

const quilt = { widthIn: 40, lengthIn: 50 };
const zones: MapZone[] = planZones({
  kind: 'blocks',
  ...quilt,
  borderIn: 5,
  columns: 2,
  rows: 2,
  sashIn: 2,
}).map((z, i) => ({
  id: `z${i}`,
  letter: 'ABCD'[i]!,
  name: z.name,
  geometry: z.geometry,
}));
const sound = (list: readonly MapZone[]) => coverageProblem(coverage(list, quilt), quilt);

test('a plan covers its quilt, and what does not is said', () => {
  expect(sound(zones)).toBeNull();
  expect(sound(zones.slice(1))).toMatch(/belong to no zone/);
  expect(sound([...zones, { ...zones[2]!, id: 'x' }])).toMatch(/overlap/);
  expect(sound([...zones, { id: 'x', letter: 'X', name: 'X', geometry: [[rect(38, 0, 9, 9)]] }])).toMatch(
    /beyond/,
  );
});

test('an edge moved takes its neighbours along: no hole opens', () => {
  const moved = moveEdge(zones, [5, 5], [35, 5], [0, 1]);
  expect(sound(moved)).toBeNull();
  expect(areaOf(moved[0]!.geometry)).not.toBeCloseTo(areaOf(zones[0]!.geometry), 3);
});

test('a corner moved takes the corners on it along', () => {
  const two: MapZone[] = [
    { id: 'a', letter: 'A', name: 'A', geometry: [[rect(0, 0, 20, 50)]] },
    { id: 'b', letter: 'B', name: 'B', geometry: [[rect(20, 0, 20, 50)]] },
  ];
  const moved = moveCorner(two, [20, 0], [15, 0]);
  expect(sound(moved)).toBeNull();
  expect(areaOf(moved[0]!.geometry)).toBeCloseTo(17.5 * 50, 6);
});

test('a cut parts a zone, and merging gives it back', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 39 }), fc.integer({ min: 1, max: 39 }), (top, bottom) => {
      const whole = [[rect(0, 0, 40, 50)]];
      const [left, right] = cutZone(whole, [top, 0], [bottom, 50])!;
      expect(areaOf(left) + areaOf(right)).toBeCloseTo(2000, 3);
      const merged = mergeZones(
        [
          { id: 'a', letter: 'A', name: 'A', geometry: left },
          { id: 'b', letter: 'B', name: 'B', geometry: right },
        ],
        ['a', 'b'],
      );
      expect(merged).toHaveLength(1);
      expect(areaOf(merged[0]!.geometry)).toBeCloseTo(2000, 3);
    }),
    { numRuns: 30 },
  );
  expect(cutZone([[rect(0, 0, 10, 10)]], [20, 0], [20, 10])).toBeNull();
});

test('a zone drawn over others takes from them, is cut at the edge, and remembers where it lay', () => {
  const drawn = drawZone(zones, [[rect(30, 40, 20, 20)]], quilt, { id: 'new-1', letter: 'E', name: 'Patch' });
  expect(sound(drawn)).toBeNull();
  const patch = drawn.at(-1)!;
  expect(areaOf(patch.geometry)).toBeCloseTo(100, 6);
  expect(zones.map((z) => z.id)).toContain(patch.from);
  expect(() => drawZone(zones, [[rect(100, 0, 5, 5)]], quilt, patch)).toThrow(/Nothing of that shape/);
});

test('a shape repeated is one zone of many pieces', () => {
  const stars = repeatShape([[rect(8, 8, 4, 4)]], 2, 3, 12, 12);
  expect(stars).toHaveLength(6);
  const drawn = drawZone(zones, stars, quilt, { id: 'new-2', letter: 'E', name: 'Stars' });
  expect(areaOf(drawn.at(-1)!.geometry)).toBeCloseTo(96, 6);
  expect(sound(drawn)).toBeNull();
});

test('snapping goes to the nearest step', () => {
  expect([snap(3.13, 0.25), snap(3.12, 0.25), snap(7.6, 0.5)]).toEqual([3.25, 3, 7.5]);
});
