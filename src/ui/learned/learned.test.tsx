import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { LearnedView, ShownSearch } from '@/actions/learned-view';
import { doors } from '@/actions/doors';
import { lastSent } from '@/ui/testing/studio';
import { effectDots } from './effect-dots';
import { heldWords, LearnedScreen } from './LearnedScreen';

const search = (part: Partial<ShownSearch> = {}): ShownSearch => ({
  setupId: 's1',
  quiltId: 'q1',
  quilt: 'Harbour Lights',
  zoneId: 'z1',
  letter: 'A',
  provenAt: new Date('2026-11-20T10:00:00Z'),
  rounds: 2,
  offPct: 12.4,
  out: null,
  kept: false,
  ...part,
});
const view = (part: Partial<LearnedView> = {}): LearnedView => ({
  tension: [{ name: 'Old machine', mean: 0.2, sd: 0.05, rests: 4 }],
  held: { bands: 30, inside: 25 },
  widening: 1,
  searches: [search()],
  hours: [],
  steps: 0,
  ...part,
});

test('nothing learned yet says what will teach it', () => {
  render(<LearnedScreen {...view({ searches: [], tension: [] })} />);
  expect(screen.getByText('No search is finished yet')).toBeInTheDocument();
  expect(screen.getByText('No step is logged yet')).toBeInTheDocument();
});
test('effects, how the bands held, and every search with where it was sewn', () => {
  render(<LearnedScreen {...view()} />);
  expect(screen.getByRole('img', { name: 'Old machine times 1.22' })).toBeInTheDocument();
  expect(screen.getByText(/25 of the last 30 bands/)).toBeInTheDocument();
  expect(screen.getByRole('link', { name: 'Harbour Lights, zone A' })).toHaveAttribute(
    'href',
    '/quilts/q1/test?zone=z1',
  );
});
test.each([
  [search(), 'Leave out', 'dropped'],
  [search({ out: 'by you' }), 'Put back', 'kept'],
  [search({ out: 'another cause is likelier' }), 'Put back', 'kept'],
])('%j: “%s”', async (one, act, leftOut) => {
  render(<LearnedScreen {...view({ searches: [one] })} />);
  await userEvent.click(screen.getByRole('button', { name: `${act} Harbour Lights, zone A` }));
  expect(lastSent(doors.leaveOutSearch)).toMatchObject({ setupId: 's1', leftOut });
});
test('bands that hold too rarely or too often are said to be widened or narrowed', () => {
  expect(heldWords({ held: { bands: 50, inside: 30 }, widening: 1.4 })).toContain('widened by 1.4');
  expect(heldWords({ held: { bands: 50, inside: 49 }, widening: 0.8 })).toContain('narrowed to 0.8');
  expect(heldWords({ held: { bands: 0, inside: 0 }, widening: 1 })).toBe('');
});
test('a dot stands at its effect, its bar is as wide as its doubt', () => {
  const bar = (mean: number, sd: number) => {
    const d = effectDots([
      { name: 'a', mean, sd, rests: 1 },
      { name: 'wide', mean: 0, sd: 0.5, rests: 1 },
    ]);
    const [x0, x1] = [...d.marks.find((m) => m.width === 2.4)!.d.matchAll(/(-?[\d.]+) /g)].map((x) =>
      Number(x[1]),
    );
    return [x0!, x1!];
  };
  const [narrow, wide, right] = [bar(0, 0.05), bar(0, 0.2), bar(0.2, 0.05)];
  expect(wide[1]! - wide[0]!).toBeCloseTo(4 * (narrow[1]! - narrow[0]!), 0);
  expect(right[0]!).toBeGreaterThan(narrow[0]!);
});
