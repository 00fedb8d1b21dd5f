import { contains, rect } from '../geometry/polygon';
import { bubbles } from './bubbles';
import { neighbourDensities } from './neighbours';

const parts = (open: number, dense: number, spacingIn = 2) => {
  const zones = [
    { id: 'open', geometry: [[rect(0, 0, 20, 10)]], lineDensity: open, spacingIn },
    { id: 'dense', geometry: [[rect(0, 10, 20, 10)]], lineDensity: dense, spacingIn: 0.3 },
  ];
  const near = neighbourDensities(zones, 2.5);
  return zones.map((z) => ({ ...z, neighbours: near.get(z.id)! }));
};

test('the open zone bubbles along the seam, inside itself, one to a gap', () => {
  const zones = parts(0.5, 4);
  const raised = bubbles(zones);
  expect(raised).toHaveLength(10);
  for (const b of raised) {
    expect(b.zone).toBe('open');
    expect(contains(zones[0]!.geometry, [b.x, b.y])).toBe(true);
    expect(b.y).toBeCloseTo(9, 6);
    expect(b.radiusIn).toBeLessThan(1);
  }
});

test('the further apart the densities, the larger; within the limit none', () => {
  const radius = (dense: number) => bubbles(parts(0.5, dense))[0]!.radiusIn;
  expect(radius(4)).toBeGreaterThan(radius(1.5));
  expect(bubbles(parts(0.5, 1.2))).toEqual([]);
});

test('a zone too narrow for a bubble has none drawn outside it', () => {
  const zones = [
    { id: 'strip', geometry: [[rect(0, 9.8, 20, 0.2)]], lineDensity: 0.4, spacingIn: 2 },
    { id: 'dense', geometry: [[rect(0, 10, 20, 10)]], lineDensity: 4, spacingIn: 0.3 },
  ];
  const near = neighbourDensities(zones, 2.5);
  const raised = bubbles(zones.map((z) => ({ ...z, neighbours: near.get(z.id)! })));
  expect(raised.filter((b) => !contains(zones[0]!.geometry, [b.x, b.y]))).toEqual([]);
});
