import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { drawWay, type WayAsked } from '@/core/audition/way';
import { RATES } from '@/core/fields/offer';
import { stored, usualValues } from '@/core/fields/stored';
import { rect } from '@/core/geometry/polygon';
import { shapeNumbers } from '@/core/motifs/zone-shape';
import { attempt } from '@/core/notes';
import { lastSent, refuseNext } from '@/ui/testing/studio';
import { AuditionScreen } from './AuditionScreen';
import { type AuditionFacts, patternedSide, usualSide } from './audition-facts';

// What the workers draw, drawn here.
jest.mock('./use-drawn', () => ({
  useDrawn: (asked: WayAsked) => ({ answer: attempt(() => drawWay(asked)), problem: null }),
}));
let together: readonly WayAsked[] = [];
jest.mock('./use-all-drawn', () => ({
  useAllDrawn: (asked: readonly WayAsked[]) => {
    together = asked;
    return asked.map((a) => ({ lines: drawWay(a).lines, dx: 0, dy: 0 }));
  },
}));

const shape = [[rect(0, 0, 12, 12)]];
const thread = { name: 'Heron Poly 40 Fog', hex: '#b9c6c9', mm: 0.2 };
const unit = {
  runs: [
    [
      [0, 0.2],
      [0.5, 0.4],
      [1, 0.2],
    ] as const,
  ],
  heightShare: 0.5,
  goesOn: true,
};
const pattern = { id: 'p1', name: 'Long swell', widthIn: 4, unit };
const facts = (part: Partial<AuditionFacts> = {}): AuditionFacts => ({
  patterns: [pattern],
  quilt: { id: 'quilt-1', name: 'Harbour Lights', widthIn: 24, lengthIn: 24 },
  zone: { id: 'zone-a', letter: 'A', name: 'Border', version: 3, geometry: shape, hex: '#6e3b63' },
  base: {
    quilt: { widthIn: 24, lengthIn: 24, use: 'bed', battingId: 'cotton-80-20' },
    zones: [{ id: 'zone-a', role: 'border', ...shapeNumbers(shape), top: [{ fabric: 'quilting-cotton' }] }],
  },
  photographs: [],
  thread,
  beside: [
    {
      id: 'zone-b',
      geometry: [[rect(12, 0, 12, 24)]],
      hex: '#2f2a26',
      way: usualSide('ruler-lines'),
      thread,
    },
    { id: 'zone-c', geometry: [[rect(0, 12, 12, 12)]], hex: null, way: null, thread },
  ],
  charged: {
    rates: {
      ...stored(RATES, {}),
      ...usualValues(RATES),
      hourMinor: 4000,
    } as AuditionFacts['charged']['rates'],
    currency: 'EUR',
  },
  sides: [usualSide('ruler-lines'), usualSide('grid')],
  kept: false,
  ...part,
});
const side = (name: 'A' | 'B') => screen.getByRole('region', { name: `Way ${name}` });

test('two ways stand side by side, each with its time, thread and price by what the studio charges', () => {
  const { unmount } = render(<AuditionScreen {...facts()} />);
  for (const name of ['A', 'B'] as const) {
    expect(within(side(name)).getByRole('img')).toBeVisible();
    expect(side(name)).toHaveTextContent(/Time\d+ to \d+ min/);
    expect(side(name)).toHaveTextContent(/Price by the hourabout/);
  }
  unmount();
  const { charged } = facts();
  const rates = {
    ...charged.rates,
    basis: 'area' as const,
    lightMinor: 900,
    customMinor: 900,
    edgeMinor: 900,
  };
  render(<AuditionScreen {...facts({ charged: { ...charged, rates } })} />);
  // 144 square inches at 9.00 a hundred, whatever the hours.
  expect(side('A')).toHaveTextContent(/Price by its areaabout .*12\.96/);
});
test('without a price it says where one is given, and nothing else is lost', () => {
  const { charged } = facts();
  render(
    <AuditionScreen {...facts({ charged: { ...charged, rates: { ...charged.rates, hourMinor: null } } })} />,
  );
  expect(side('A')).toHaveTextContent('no price yet: Workroom, Rates');
  expect(side('A')).toHaveTextContent(/Top thread\d+ m/);
});
test('chosen in one press, with the spacing its drawing measured', async () => {
  render(<AuditionScreen {...facts()} />);
  await userEvent.click(within(side('B')).getByRole('button', { name: 'Quilt A so' }));
  const { quiltId, zones } = lastSent(doors.quiltZones) as {
    quiltId: string;
    zones: Record<string, unknown>[];
  };
  expect(quiltId).toBe('quilt-1');
  expect(zones[0]).toMatchObject({ zoneId: 'zone-a', version: 3, technique: 'grid' });
  expect(zones[0]!.spacingIn).toBeGreaterThan(0);
});
test('a pattern of the studio is a way as well: laid at its width, quilted as a pattern', async () => {
  render(<AuditionScreen {...facts()} />);
  await userEvent.selectOptions(screen.getByLabelText('Technique, way A'), 'Long swell');
  expect(within(side('A')).getByText(/4 in/)).toBeInTheDocument();
  await userEvent.click(within(side('A')).getByRole('button', { name: 'Quilt A so' }));
  expect(lastSent(doors.quiltPattern)).toMatchObject({ zoneId: 'zone-a', patternId: 'p1', widthIn: 4 });
});
test('a pattern that is no longer kept is told, and another can be picked', () => {
  render(<AuditionScreen {...facts({ patterns: [], sides: [patternedSide(pattern), usualSide('grid')] })} />);
  expect(screen.getByRole('option', { name: 'a pattern no longer kept' })).toBeInTheDocument();
});
test('the whole quilt is drawn round it only when it is looked at; what is left open stays so', async () => {
  render(<AuditionScreen {...facts()} />);
  expect(together).toEqual([]);
  await userEvent.click(screen.getByRole('radio', { name: 'the whole quilt' }));
  expect(together.map((a) => a.technique)).toEqual(['ruler-lines']);
  await userEvent.click(screen.getByRole('radio', { name: 'this zone' }));
  expect(together).toEqual([]);
});
test('both are kept for the client with one press; what is refused is said', async () => {
  render(<AuditionScreen {...facts()} />);
  refuseNext(doors.keepAudition, 'zoneId', 'This zone was changed meanwhile.');
  await userEvent.click(screen.getByRole('button', { name: 'Show both to the client' }));
  expect(lastSent(doors.keepAudition)).toMatchObject({
    quiltId: 'quilt-1',
    zoneId: 'zone-a',
    sides: [{ technique: 'ruler-lines' }, { technique: 'grid' }],
  });
  expect(await screen.findByText('This zone was changed meanwhile.')).toBeInTheDocument();
});
