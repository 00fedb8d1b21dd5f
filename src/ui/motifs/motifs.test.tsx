import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { rect } from '@/core/geometry/polygon';
import { motifs } from '@/core/motifs/motifs';
import { patternPicks } from '@/core/motifs/pattern-picks';
import type { MotifsRequest } from '@/core/motifs/request';
import { shapeNumbers } from '@/core/motifs/zone-shape';
import { aZone, lastSent } from '@/ui/testing/studio';
import { fill } from '@/ui/testing/fill';
import type { MotifsAsked, MotifsTold } from '@/workers/motifs.worker';
import { MotifsScreen } from './MotifsScreen';

// The worker's answer, worked out here.
let asked: MotifsRequest | null = null;
jest.mock('./use-motifs', () => ({
  useMotifs: ({ request, zoneId, patterns }: MotifsAsked): { answer: MotifsTold; problem: null } => {
    asked = request;
    return {
      answer: { ...motifs(request), patterned: patternPicks(request, zoneId, patterns) },
      problem: null,
    };
  },
}));

const square = (x: number, y: number, w: number, h: number) => [[rect(x, y, w, h)]];
const zones = [
  aZone({ id: 'zone-a', letter: 'A', name: 'Border', geometry: square(0, 0, 60, 8), version: 3 }),
  aZone({ id: 'zone-b', letter: 'B', name: 'Centre', geometry: square(0, 8, 60, 52), version: 5 }),
];
/** A pattern that suits a border, and one that leaves more open than any batting allows. */
const SWELL = {
  id: 'pattern-swell',
  name: 'Long swell',
  words: 'sea, calm',
  widthIn: 6,
  unit: {
    runs: [
      [
        [0, 0.2],
        [0.5, 0.4],
        [1, 0.2],
      ] as const,
    ],
    heightShare: 0.5,
    goesOn: true,
  },
  measured: { lengthIn: 24, minRadiusIn: 0.5, largestGapIn: 1 },
};
const GALE = {
  ...SWELL,
  id: 'pattern-gale',
  name: 'Open gale',
  unit: { ...SWELL.unit, heightShare: 0.05 },
  measured: { ...SWELL.measured, largestGapIn: 40 },
};
const show = () =>
  render(
    <MotifsScreen
      quilt={{ id: 'quilt-1', widthIn: 60, lengthIn: 60 }}
      zones={zones}
      zoneId="zone-a"
      base={{
        quilt: { widthIn: 60, lengthIn: 60, use: 'bed', battingId: 'cotton-80-20' },
        zones: zones.map((z, i) => ({
          id: z.id,
          role: i === 0 ? 'border' : 'ground',
          ...shapeNumbers(z.geometry),
          top: [{ fabric: 'quilting-cotton' }],
        })),
        neighbours: [{ a: 'zone-a', b: 'zone-b', seamIn: 60 }],
      }}
      patterns={[SWELL, GALE]}
    />,
  );

test('proposals stand side by side; one is used in one press, every zone with its version', async () => {
  show();
  const few = screen.getByRole('article', { name: 'Few motifs' });
  await userEvent.click(within(few).getByRole('button', { name: 'Use this' }));
  const sent = lastSent(doors.quiltZones) as { zones: { zoneId: string; version: number }[] };
  expect(sent.zones.map((z) => [z.zoneId, z.version])).toEqual([
    ['zone-a', 3],
    ['zone-b', 5],
  ]);
});
test('a zone held, the rest adapts', async () => {
  show();
  const [, second] = within(screen.getByRole('region', { name: 'Zone A, Border' })).getAllByRole('button', {
    name: /^Hold/,
  });
  const name = second!.getAttribute('aria-label')!.replace(/^Hold | here$/g, '');
  await userEvent.click(second!);
  const held = asked!.zones[0]!.hold!.technique;
  for (const card of screen.getAllByRole('article'))
    expect(within(card).getAllByRole('listitem')[0]).toHaveTextContent(name);
  expect(held).not.toBe('');
  await userEvent.click(screen.getByRole('button', { name: `Let ${name} go` }));
  expect(asked!.zones[0]!.hold).toBeUndefined();
});
test('hours, theme and hand are asked with it; what is not for a zone says why', async () => {
  show();
  await fill(screen.getByLabelText('Hours agreed'), '0,2');
  expect(asked!.quilt.hours).toBe(0.2);
  expect(screen.getByText(/more than the 0.2 h agreed/)).toBeInTheDocument();
  await fill(screen.getByLabelText('Theme'), 'sea, zeppelin');
  expect(screen.getByText(/“zeppelin” leads to no technique/)).toBeInTheDocument();
  await userEvent.click(screen.getByRole('radio', { name: 'beginner' }));
  expect(asked!.hand).toEqual({ usual: 'beginner' });
  await userEvent.click(screen.getByRole('button', { name: /what is not for this zone/ }));
  expect(screen.getByText(/There is no figure in it to go round/)).toBeInTheDocument();
});
test('what a zone is can be said otherwise', async () => {
  show();
  await userEvent.selectOptions(screen.getByLabelText('It is'), 'negative space');
  expect(lastSent(doors.setZoneRole)).toMatchObject({ zoneId: 'zone-a', role: 'space' });
});

test('a pattern of the studio stands among the picks; it is laid as wide as it was weighed', async () => {
  show();
  const picks = screen.getByRole('region', { name: 'Zone A, Border' });
  await userEvent.click(within(picks).getByRole('button', { name: 'Use Long swell' }));
  const { picks: weighed } = patternPicks(asked!, 'zone-a', [SWELL]);
  expect(lastSent(doors.quiltPattern)).toMatchObject({
    zoneId: 'zone-a',
    version: 3,
    patternId: 'pattern-swell',
    widthIn: weighed[0]!.widthIn,
  });
  expect(within(picks).queryByRole('button', { name: 'Use Open gale' })).toBeNull();
});
