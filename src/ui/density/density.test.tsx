import { render, screen } from '@testing-library/react';
import { neighbourDensities } from '@/core/density/neighbours';
import { rect } from '@/core/geometry/polygon';
import { type DenseZone, DensityMap, shadeOf } from './DensityMap';
import { NeighbourTable } from './NeighbourTable';

const parts = [
  {
    id: 'a',
    letter: 'A',
    name: 'Border',
    geometry: [[rect(0, 0, 20, 10)]],
    spacingIn: 1,
    lineDensity: 1,
    tooWide: true,
  },
  {
    id: 'b',
    letter: 'B',
    name: 'Fill',
    geometry: [[rect(0, 10, 20, 10)]],
    spacingIn: 1,
    lineDensity: 4,
    tooWide: false,
  },
  {
    id: 'c',
    letter: 'C',
    name: 'Far',
    geometry: [[rect(40, 40, 5, 5)]],
    spacingIn: 1,
    lineDensity: 2,
    tooWide: false,
  },
];
const near = neighbourDensities(parts, 2.5);
const zones: DenseZone[] = parts.map((p) => ({ ...p, neighbours: near.get(p.id)! }));
const map = () =>
  render(<DensityMap widthIn={60} lengthIn={60} zones={zones} chosenId="b" width={400} height={400} />);

test('denser is darker, by the logarithm', () => {
  const all = [1, 2, 4];
  const [open, middle, dense] = all.map((d) => shadeOf(d, all));
  expect(open).toBeLessThan(middle!);
  expect(middle! - open!).toBeCloseTo(dense! - middle!, 9);
});

test('zones of one density are all alike', () => {
  expect(shadeOf(2, [2, 2])).toBe(shadeOf(2, [2]));
});

test('every zone carries its letter and its inches of line, for eye and ear', () => {
  map();
  expect(screen.getByText('B 4.0')).toBeInTheDocument();
  expect(screen.getByRole('img')).toHaveAccessibleName(/A 1.0, B 4.0, C 2.0 inches of line/);
});

test('an uneven seam is drawn once, and a gap too wide is outlined', () => {
  const { container } = map();
  const madder = [...container.querySelectorAll('path[stroke="var(--madder)"]')];
  // One seam from (0,10) to (20,10), one outline of zone A.
  expect(madder).toHaveLength(2);
  expect(madder.some((p) => /M0 10L20 10|M20 10L0 10/.test(p.getAttribute('d')!))).toBe(true);
});

test('a zone against its neighbour, either way round', () => {
  const { rerender } = render(<NeighbourTable zone={zones[0]!} zones={zones} />);
  expect(screen.getByRole('row', { name: /B Fill/ })).toHaveTextContent('4.0 times as open: too uneven');
  expect(screen.getByRole('row', { name: /B Fill/ })).toHaveTextContent('20 in of seam');
  rerender(<NeighbourTable zone={zones[1]!} zones={zones} />);
  expect(screen.getByRole('row', { name: /A Border/ })).toHaveTextContent('4.0 times as dense: too uneven');
});

test('neighbours alike are told as alike', () => {
  const same = neighbourDensities(
    parts.map((p) => ({ ...p, lineDensity: 2 })),
    2.5,
  );
  const zone = { ...zones[0]!, lineDensity: 2, neighbours: same.get('a')! };
  render(<NeighbourTable zone={zone} zones={zones} />);
  expect(screen.getByRole('row', { name: /B Fill/ })).toHaveTextContent('the same density');
});

test('a zone that touches no other says so', () => {
  render(<NeighbourTable zone={zones[2]!} zones={zones} />);
  expect(screen.getByText('Far shares no seam with another zone.')).toBeInTheDocument();
});
