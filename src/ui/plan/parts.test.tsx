import { fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { rect } from '@/core/geometry/polygon';
import type { ZoneMarking } from '@/actions/marking';
import { markingFor } from '@/core/marking/marking';
import { shapeNumbers } from '@/core/motifs/zone-shape';
import { fitDay } from '@/core/plan/fit-day';
import type { FitAnswer, FitRequest } from '@/workers/fit-day.worker';
import { fill } from '@/ui/testing/fill';
import { aZone, lastSent } from '@/ui/testing/studio';
import { FewerThreads } from './FewerThreads';
import { FitDayPart } from './FitDayPart';
import { MarkingPart } from './MarkingPart';
import { RoutePart } from './RoutePart';

// The worker's answer, worked out here.
jest.mock('./use-fit-day', () => ({
  useFitDay: ({ motifs, zones, fixedMin, targetMin }: FitRequest): { answer: FitAnswer; problem: null } => {
    try {
      return { answer: { ok: true, day: fitDay(motifs, zones, fixedMin, targetMin) }, problem: null };
    } catch (error) {
      return { answer: { ok: false, message: (error as Error).message }, problem: null };
    }
  },
}));

const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
const square = (x: number, y: number, w: number, h: number) => [[rect(x, y, w, h)]];

describe('fit the day', () => {
  const zones = [
    aZone({ id: 'a', letter: 'A', name: 'Border', geometry: square(0, 0, 60, 8), version: 3 }),
    aZone({ id: 'b', letter: 'B', name: 'Centre', geometry: square(0, 8, 60, 52), version: 5 }),
  ];
  const show = (fewer: Parameters<typeof FitDayPart>[0]['fewer'] = []) =>
    render(
      <FitDayPart
        quiltId="quilt-1"
        motifs={{
          quilt: { widthIn: 60, lengthIn: 60, use: 'bed', battingId: 'cotton-80-20' },
          zones: zones.map((z, i) => ({
            id: z.id,
            role: i === 0 ? 'border' : 'ground',
            ...shapeNumbers(z.geometry),
            top: [{ fabric: 'quilting-cotton' }],
          })),
          neighbours: [{ a: 'a', b: 'b', seamIn: 60 }],
        }}
        zones={zones.map(({ id, letter, name, version }) => ({
          id,
          letter,
          name,
          version,
          technique: 'pebbles',
          spacingIn: 0.5,
          minutes: id === 'a' ? 90 : 400,
        }))}
        fixedMin={60}
        fewer={fewer}
      />,
    );
  const hours = async (text: string) => {
    const field = screen.getByLabelText('Hours there are');
    await userEvent.clear(field);
    await fill(field, text);
  };

  test('hours too few: the changes that make it fit, done in one press with the versions seen', async () => {
    show();
    await hours('6');
    const fit = screen.getByRole('region', { name: 'Makes it fit' });
    await userEvent.click(within(fit).getAllByRole('button', { name: /^Do (it|all of it)$/ })[0]!);
    const sent = lastSent(doors.quiltZones) as { zones: { zoneId: string; version: number }[] };
    for (const z of sent.zones) expect(z.version).toBe(z.zoneId === 'a' ? 3 : 5);
  });

  test('hours enough: nothing has to change, and what more would buy is offered', async () => {
    show();
    await hours('10');
    expect(screen.queryByRole('region', { name: 'Makes it fit' })).toBeNull();
    expect(document.body).toHaveTextContent('h are left');
  });

  test('hours shorter than loading alone, and no hours at all, are told', async () => {
    show();
    await hours('0.5');
    expect(screen.getByRole('alert')).toHaveTextContent('by themselves');
    await hours('much');
    expect(document.body).toHaveTextContent('Give hours');
  });

  test('one thread fewer: its cards are chosen anew, each with the version seen', async () => {
    render(
      <FewerThreads
        quiltId="quilt-1"
        fewer={[
          {
            dropId: 'pearl',
            intoId: 'fog',
            bobbinId: 'fine',
            zones: ['a', 'b'],
            gainMin: 7,
            harm: 0.2,
            why: 'its own colour is lost',
            drop: 'Heron Pearl',
            into: 'Heron Fog',
            cards: [
              { zoneId: 'a', topId: 'pearl', bobbinId: 'x', version: 2 },
              { zoneId: 'b', topId: 'pearl', bobbinId: 'x', version: 4 },
            ],
          },
        ]}
      />,
    );
    expect(screen.getByRole('listitem')).toHaveTextContent(
      'saves 7 min of changes and rolls · a little harm',
    );
    await press('Do it');
    expect(lastSent(doors.chooseWhole)).toMatchObject({
      quiltId: 'quilt-1',
      cards: [
        { zoneId: 'a', topId: 'fog', bobbinId: 'fine', seenVersion: 2 },
        { zoneId: 'b', topId: 'fog', bobbinId: 'fine', seenVersion: 4 },
      ],
    });
  });
});

describe('marking', () => {
  const zone = aZone({ id: 'a', letter: 'A', name: 'Border', technique: 'feathers' });
  const marking = (part: Partial<Parameters<typeof markingFor>[0]> = {}): ZoneMarking => ({
    zoneId: 'a',
    ...markingFor({
      technique: 'feathers',
      cloths: [{ id: 'f1', kind: 'quilting-cotton', name: 'Fog', hex: '#e8e6df', busyness: 0 }],
      batting: 'cotton-80-20',
      daysTillSewn: 2,
      mayBeWet: null,
      excluded: ['light'],
      tests: [],
      edgeIn: 80,
      spacingIn: 0.5,
      sewnIn: 600,
      areaIn2: 300,
      ...part,
    }),
  });

  test('each zone has its tool, when, how it comes off, and what to test first', async () => {
    render(<MarkingPart zones={[zone]} markings={[marking()]} frameOn="2026-12-03" />);
    const region = screen.getByRole('region', { name: 'Marking' });
    expect(region).toHaveTextContent('as each pass comes up');
    expect(region).toHaveTextContent('Test first on a scrap or the trim margin of Fog');
    expect(region).toHaveTextContent('3 December');
  });

  test('what a scrap said is kept for its fabric', async () => {
    render(<MarkingPart zones={[zone]} markings={[marking()]} frameOn={null} />);
    await press('A ghost is left');
    expect(lastSent(doors.tryMarker)).toMatchObject({
      fabricId: zone.fabrics[0]!.fabricId,
      marker: 'ceramic-pencil',
      outcome: 'ghost',
    });
  });

  test('a zone no tool suits says so; a quilt without marks too', () => {
    const none = marking({
      excluded: ['crease', 'air-pen', 'water-pen', 'heat-pen', 'light', 'soluble-film'],
    });
    const { rerender } = render(<MarkingPart zones={[zone]} markings={[none]} frameOn={null} />);
    expect(document.body).toHaveTextContent('No tool shows on every fabric here');
    rerender(<MarkingPart zones={[zone]} markings={[marking({ technique: 'ditch' })]} frameOn={null} />);
    expect(document.body).toHaveTextContent('Nothing of this quilt needs a mark');
  });
});

describe('the way round', () => {
  const route = {
    pass: 1,
    paths: [
      {
        points: [
          [0, 0],
          [10, 0],
          [10, 10],
          [0, 10],
          [0, 0],
        ] as [number, number][],
      },
      {
        points: [
          [20, 0],
          [30, 0],
        ] as [number, number][],
      },
    ],
    starts: 2,
    freeEnds: 1,
    sewnIn: 50,
    againIn: 0,
    exact: true,
  };
  const show = () =>
    render(
      <RoutePart
        quilt={{ name: 'Harbour Lights', widthIn: 60, lengthIn: 60 }}
        zones={[
          {
            id: 'a',
            letter: 'A',
            name: 'Blocks',
            work: 'ditch',
            shows: false,
            endMin: 0.5,
            endWay: 'tiny stitches',
            routes: [route, { ...route, pass: 2 }],
          },
        ]}
        map={{ widthIn: 60, lengthIn: 60, zones: [], width: 400, idPrefix: 'route' }}
      />,
    );

  test('starts, length, what is sewn again and the ends that cost nothing are told', () => {
    show();
    expect(document.body).toHaveTextContent('2 starts, 50 in to sew, nothing over again');
    expect(document.body).toHaveTextContent('1 end runs off the quilt’s edge');
    expect(screen.getAllByRole('listitem')[0]).toHaveTextContent('40 in');
  });

  test('begun at another end, and as it was', async () => {
    show();
    const from = () =>
      screen.getAllByRole('listitem').map((li) => li.textContent!.match(/from (.*?) to/u)![1]);
    const before = from();
    await userEvent.click(screen.getAllByRole('button', { name: 'Begin at its end' })[1]!);
    expect(from()).not.toEqual(before);
    await press('As it was');
    expect(from()).toEqual(before);
  });

  test('another pass begins as it is planned', async () => {
    show();
    await userEvent.click(screen.getAllByRole('button', { name: 'Begin at its end' })[1]!);
    await userEvent.click(screen.getByRole('radio', { name: '2' }));
    expect(screen.queryByRole('button', { name: 'As it was' })).toBeNull();
    fireEvent.click(document.body);
  });

  test('a quilt without lines says where to give it some', () => {
    render(
      <RoutePart
        quilt={{ name: 'x', widthIn: 60, lengthIn: 60 }}
        zones={[]}
        map={{ widthIn: 60, lengthIn: 60, zones: [], width: 400, idPrefix: 'route' }}
      />,
    );
    expect(document.body).toHaveTextContent('No lines to go round');
  });
});
