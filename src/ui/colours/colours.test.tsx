import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { rankColours } from '@/core/colour/rank';
import { shelf } from '@/core/testing/a-shelf';
import { diameterMm } from '@/core/thread/thread';
import { router } from '@/ui/testing/browser';
import { pack } from '@/ui/kit/pack';
import { ColoursScreen } from './ColoursScreen';
import type { ColourZone } from './use-colours';
import { laidThreads, LOUPE, LOUPE_PX_PER_MM, pictureUnderLoupe } from './loupe';
import { readInWorker } from './photo-reader';
import { fill } from '@/ui/testing/fill';

jest.mock('./photo-reader', () => ({ readInWorker: jest.fn() }));
const read = jest.mocked(readInWorker);

const cones = shelf
  .filter((t) => t.hex && t.role !== 'bobbin')
  .map((t) => ({ id: t.id, name: t.id, hex: t.hex!, mm: diameterMm(t) }));
const zone: ColourZone = {
  id: 'z',
  letter: 'E',
  name: 'Lanterns',
  version: 4,
  visibility: 'texture',
  cloths: [
    { name: 'Lamp yellow', hex: '#e3bc62', share: 0.6, busyness: null },
    { name: 'Ember', hex: '#c9804b', share: 0.4, busyness: null },
  ],
  stitchMm: 2.1,
};
const show = () =>
  render(
    <ColoursScreen
      quiltId="q"
      zone={zone}
      list={{ text: pack(cones), count: cones.length }}
      photographs={[]}
      acrossIn={64}
    />,
  );
const order = () =>
  screen
    .getAllByRole('checkbox')
    .map((c) => c.getAttribute('aria-label')!.replace(/^Lay | across the fabric$/g, ''));
const ranked = (hexes: readonly [string, number][], aim: 'sink' | 'show') =>
  rankColours({
    fabrics: hexes.map(([hex, share]) => ({ hex, share })),
    threads: cones.map((c) => ({ id: c.id, hex: c.hex, diameterMm: c.mm })),
    aim,
  })
    .slice(0, 10)
    .map((r) => r.id);

beforeAll(() => {
  Object.assign(globalThis, {
    createImageBitmap: () => Promise.resolve({ width: 8, height: 6, close() {} }),
    OffscreenCanvas: class {
      getContext() {
        return {
          drawImage() {},
          getImageData: () => ({ data: [51, 72, 90, 255] }),
        };
      }
    },
  });
});

describe('the glass', () => {
  test('a thread is as thick as it is, at one scale with the bar', () => {
    const d = laidThreads([{ hex: '#33485a', mm: 0.2, name: 'Night' }], 2.1);
    const line = d.marks.find((m) => m.stroke === '#33485a')!;
    expect(line.width).toBeCloseTo(0.2 * LOUPE_PX_PER_MM, 9);
    expect(d.marks.at(-1)!.d).toContain(`h${10 * LOUPE_PX_PER_MM}`);
  });
  test('stitches are as long as they are', () => {
    const [dark] = laidThreads([{ hex: '#33485a', mm: 0.2, name: 'Night' }], 2).marks;
    const [seen, dip] = dark!.dash!.split(' ').map(Number);
    expect(seen! + dip!).toBeCloseTo(2 * LOUPE_PX_PER_MM, 1);
  });
  test.each([0, 1, 4])('%i threads stay within the glass', (n) => {
    const d = laidThreads(
      Array.from({ length: n }, () => ({ hex: '#33485a', mm: 0.35, name: 'x' })),
      2,
    );
    for (const l of d.labels) expect(l.y).toBeLessThan(LOUPE.height);
    expect(d.marks.every((m) => !/NaN/.test(m.d))).toBe(true);
  });
  test('the mark lies in the middle, and an inch of the photograph is an inch', () => {
    const p = pictureUnderLoupe({ width: 400, height: 300 }, 10, { x: 0.25, y: 0.5 });
    expect(p.width).toBeCloseTo(10 * 25.4 * LOUPE_PX_PER_MM, 6);
    expect(p.height / p.width).toBeCloseTo(0.75, 9);
    expect(p.x + 0.25 * p.width).toBeCloseTo(LOUPE.width / 2, 6);
    expect(p.y + 0.5 * p.height).toBeCloseTo(LOUPE.height / 2, 6);
  });
});

test('the shelf stands in the core’s order, to sink and to show', async () => {
  show();
  expect(order()).toEqual(
    ranked(
      [
        ['#e3bc62', 0.6],
        ['#c9804b', 0.4],
      ],
      'sink',
    ),
  );
  await userEvent.click(screen.getByRole('radio', { name: 'to show' }));
  expect(order()).toEqual(
    ranked(
      [
        ['#e3bc62', 0.6],
        ['#c9804b', 0.4],
      ],
      'show',
    ),
  );
});

test('the fabric that decides is named', () => {
  show();
  const cells = screen
    .getAllByRole('row')
    .slice(1)
    .map((r) => within(r).getAllByRole('cell').at(-1)!.textContent);
  expect(cells.every((c) => c === 'Lamp yellow' || c === 'Ember')).toBe(true);
});

test('threads are laid across and taken off, four at the most', async () => {
  show();
  const boxes = screen.getAllByRole('checkbox');
  await userEvent.click(boxes[2]!);
  await userEvent.click(boxes[3]!);
  expect(boxes[4]).toBeDisabled();
  const glass = screen.getByRole('img', { name: /laid across the fabric/ });
  expect(glass.getAttribute('aria-label')!.split(', ')).toHaveLength(4);
  await userEvent.click(boxes[2]!);
  expect(boxes[4]).toBeEnabled();
});

test('without a photograph the fabrics lie under the glass by their shares', () => {
  const { container } = show();
  const rects = [...container.querySelectorAll('svg[role=img] rect')];
  expect(rects.map((r) => r.getAttribute('fill'))).toEqual(['#e3bc62', '#c9804b']);
  expect(Number(rects[0]!.getAttribute('width')) / LOUPE.width).toBeCloseTo(0.6, 6);
});

test('nothing is kept until a colour changes', () => {
  show();
  expect(screen.getByRole('button', { name: 'Keep these colours' })).toBeDisabled();
});

describe('a photograph', () => {
  const photo = {
    ok: true as const,
    value: {
      blob: new Blob(['x']),
      width: 800,
      height: 600,
      palette: [
        { hex: '#33485a', share: 0.7 },
        { hex: '#e9e2d2', share: 0.3 },
      ],
    },
  };
  const give = async () => {
    await userEvent.upload(
      screen.getByLabelText('Colours from a photograph'),
      new File(['x'], 'top.jpg', { type: 'image/jpeg' }),
    );
  };
  test('its colours are offered with their shares, and taken for the fabric picked', async () => {
    read.mockResolvedValueOnce(photo);
    const keep = jest.mocked(doors.recolour);
    show();
    await userEvent.click(screen.getByRole('radio', { name: /Ember/ }));
    await give();
    await userEvent.click(await screen.findByRole('button', { name: /Take #33485a, 70 per cent/ }));
    expect(order()).toEqual(
      ranked(
        [
          ['#e3bc62', 0.3],
          ['#33485a', 0.7],
        ],
        'sink',
      ),
    );
    // The shares of a zone always make a whole.
    expect(screen.getByText('30 % of the zone')).toBeInTheDocument();
    expect(screen.getByText('70 % of the zone')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Keep these colours' }));
    expect(keep.mock.calls.at(-1)![0]).toMatchObject({
      quiltId: 'q',
      zoneId: 'z',
      version: 4,
      colours: [
        { hex: '#e3bc62', share: expect.closeTo(0.3) as number },
        { hex: '#33485a', share: 0.7 },
      ],
    });
    await waitFor(() => expect(router.refresh).toHaveBeenCalled());
  });
  test('the mark moves with the arrow keys, and Enter takes the colour under it', async () => {
    read.mockResolvedValueOnce(photo);
    show();
    await give();
    const mark = await screen.findByRole('slider', { name: 'The mark' });
    await screen.findByRole('button', { name: 'Take the colour under the mark' });
    mark.focus();
    await userEvent.keyboard('{ArrowRight}{ArrowDown}');
    expect(mark).toHaveAttribute('aria-valuetext', '51 % across, 51 % down');
    await userEvent.keyboard('{Enter}');
    expect(screen.getByRole('button', { name: 'Keep these colours' })).toBeEnabled();
  });
  test('how much of the fabric it shows must be a sound length', async () => {
    read.mockResolvedValueOnce(photo);
    show();
    await give();
    const across = await screen.findByLabelText(/The photograph shows/);
    await userEvent.clear(across);
    await fill(across, 'a lot');
    expect(screen.getByRole('alert')).toHaveTextContent('Between 0.5 and 200 inches.');
    expect(across).toHaveValue('a lot');
  });
  test.each([
    [
      'what is wrong with it is said',
      { ok: false as const, message: 'This file is not a photograph. Pick a JPEG, PNG or WebP.' },
      /not a photograph/,
    ],
    ['a reader that fails is said', null, /The program made a mistake/],
  ])('%s', async (_, answer, words) => {
    if (answer) read.mockResolvedValueOnce(answer);
    else read.mockRejectedValueOnce(new Error('worker'));
    show();
    await give();
    expect(await screen.findByRole('alert')).toHaveTextContent(words);
  });
});

test('a shelf without colours is told what to do', () => {
  render(
    <ColoursScreen quiltId="q" zone={zone} list={{ text: '[]', count: 0 }} photographs={[]} acrossIn={64} />,
  );
  expect(screen.getByText(/No thread on the shelf has a colour yet/)).toBeInTheDocument();
});
