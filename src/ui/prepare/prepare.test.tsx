import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { planBacking, planBinding } from '@/core/backing/backing';
import { packSmall } from '@/core/backing/pack';
import { cuttingDiagram, packedDiagram } from './cutting';
import { doors } from '@/actions/doors';
import { lastSent } from '@/ui/testing/studio';
import { PrepareScreen } from './PrepareScreen';
import { fill } from '@/ui/testing/fill';

const quilt = { id: 'q', name: 'Harbour Lights', widthIn: 64, lengthIn: 80 };
const start = {
  clothIn: 44,
  marginIn: 4,
  testMarginIn: 6,
  prewash: false,
  shrinkPct: 5,
  stretch: false,
  nap: false,
};
const battings = [
  { id: 'b1', name: 'Drumlin 80/20', kind: 'cotton-80-20', maxGapIn: 8 },
  { id: 'b2', name: 'Wold wool', kind: 'wool', maxGapIn: 4 },
];
const show = (part: Partial<Parameters<typeof PrepareScreen>[0]> = {}) =>
  render(
    <PrepareScreen
      quilt={quilt}
      units="inch"
      start={{
        stripIn: 2.5,
        battingHere: '',
        panel: '',
        joinedGapIn: null,
        backingHere: '',
        layout: null,
        withQuilts: [],
        ...start,
      }}
      version={0}
      backing="Driftwood dot"
      batting="Drumlin 80/20"
      battingShrinkPct={3}
      weight={{ dryKg: 2, wetKg: 3.4, dryingH: 9 }}
      frameIn={132}
      others={[]}
      battings={battings}
      map={{ ...quilt, zones: [], width: 260, idPrefix: 'joins' }}
      {...part}
    />,
  ).container;
const fillAt = async (label: string | RegExp, text: string) => {
  const field = screen.getByLabelText(label);
  await userEvent.clear(field);
  if (text) await fill(field, text);
};
const ways = (part: object = {}) =>
  planBacking({
    quilt,
    marginIn: 4,
    testMarginIn: 6,
    cloth: { widthIn: 44, selvageIn: 0.5, shrinkagePct: 0, stretch: false, nap: false, ...part },
  }).ways;

test('the ways to cut the backing stand with what each asks for', () => {
  show();
  const rows = within(screen.getByRole('table')).getAllByRole('row').slice(1);
  expect(rows).toHaveLength(ways().length);
  for (const [i, w] of ways().entries()) {
    expect(rows[i]).toHaveTextContent(w.buyYd.toFixed(2));
    expect(rows[i]).toHaveTextContent(String(w.panels));
  }
});
test('another way redraws the cutting', async () => {
  show();
  const before = screen.getByRole('img', { name: /^Cutting: / }).getAttribute('aria-label');
  await userEvent.click(screen.getAllByRole('radio')[1]!);
  expect(screen.getByRole('img', { name: /^Cutting: / }).getAttribute('aria-label')).not.toBe(before);
});
test('a wide fabric is taken in one piece', async () => {
  show();
  await fillAt(/^Driftwood dot, width/, '108');
  expect(screen.getByRole('img', { name: /^Cutting: in one piece/ })).toBeInTheDocument();
});
test('prewashed fabric is bought longer, by its shrinkage', async () => {
  show();
  const buy = () => within(screen.getByRole('table')).getAllByRole('row')[1]!.textContent;
  const before = buy();
  await userEvent.click(screen.getByRole('checkbox', { name: 'prewashed, or to be' }));
  expect(buy()).not.toBe(before);
  expect(buy()).toContain(ways({ shrinkagePct: 5 })[0]!.buyYd.toFixed(2));
});
test.each(['', 'wide', '0'])('a width of “%s” is said at its field, and the rest stands', async (text) => {
  show();
  await fillAt(/^Driftwood dot, width/, text);
  expect(screen.getByText('Give the width in inches.')).toBeInTheDocument();
  expect(screen.getByRole('region', { name: 'Binding' })).toBeInTheDocument();
});
test('binding: strips and how much fabric; a strip of nothing is said in words', async () => {
  show();
  const binding = planBinding(quilt, { widthIn: 44 }, 2.5);
  const region = screen.getByRole('region', { name: 'Binding' });
  expect(region).toHaveTextContent(`${binding.strips} strips`);
  await fillAt(/^Strips cut at/, '0');
  expect(region).not.toHaveTextContent(/\d+ strips/);
  expect(region).toHaveTextContent('Give the width of the strips in inches.');
});
test('batting is cut with the margin on every side, in the studio’s units', async () => {
  show({ units: 'metric' });
  const region = screen.getByRole('region', { name: 'Batting' });
  expect(region).toHaveTextContent('cut 182.9 cm by 223.5 cm');
  expect(region).toHaveTextContent('shrinks about 3 %');
});
test('several small quilts lie on one backing', async () => {
  const others = [
    { id: 'a', name: 'Buoy mat', widthIn: 14, lengthIn: 18 },
    { id: 'b', name: 'Tern mat', widthIn: 12, lengthIn: 12 },
  ];
  show({ quilt: { id: 'q', name: 'Gull mat', widthIn: 16, lengthIn: 16 }, others });
  expect(screen.queryByRole('img', { name: /quilts on one backing/ })).not.toBeInTheDocument();
  await userEvent.click(screen.getByRole('checkbox', { name: /Buoy mat/ }));
  await userEvent.click(screen.getByRole('checkbox', { name: /Tern mat/ }));
  expect(screen.getByRole('img', { name: /^3 quilts on one backing/ })).toBeInTheDocument();
  await userEvent.click(screen.getByRole('checkbox', { name: /Tern mat/ }));
  expect(screen.getByRole('img', { name: /^2 quilts on one backing/ })).toBeInTheDocument();
});
test('a quilt too wide for the fabric beside another is said in words', async () => {
  show({ others: [{ id: 'a', name: 'Long runner', widthIn: 60, lengthIn: 90 }] });
  await userEvent.click(screen.getByRole('checkbox', { name: /Long runner/ }));
  expect(screen.getByText(/One of them/)).toBeInTheDocument();
});
test('the packed drawing keeps every quilt on the fabric, and names it', () => {
  const smalls = [
    { id: 'a', widthIn: 14, lengthIn: 18 },
    { id: 'b', widthIn: 30, lengthIn: 12 },
    { id: 'c', widthIn: 20, lengthIn: 20 },
  ];
  const packed = packSmall(smalls, 43, 4);
  const drawing = packedDiagram({ widthIn: 43, ...packed, nameOf: (id) => `mat ${id}` });
  expect(drawing.labels.map((l) => l.text.replace(', turned', '')).sort()).toEqual([
    'mat a',
    'mat b',
    'mat c',
  ]);
  for (const l of drawing.labels) {
    expect(l.x).toBeLessThan(drawing.width);
    expect(l.y).toBeLessThan(drawing.height);
  }
});

test('whatever the quilt and the fabric, what is bought and the backing lie whole in the drawing, beside each other', () => {
  for (let widthIn = 12; widthIn <= 132; widthIn += 8)
    for (const lengthIn of [12, 40, 75, 140])
      for (const clothIn of [24, 44, 60, 90, 108, 120]) {
        const { ways, neededIn } = planBacking({
          quilt: { widthIn, lengthIn },
          marginIn: 4,
          testMarginIn: 6,
          cloth: { widthIn: clothIn, selvageIn: 0.5, shrinkagePct: 0, stretch: false, nap: false },
        });
        for (const way of ways) {
          const drawn = cuttingDiagram({
            way,
            clothIn,
            selvageIn: 0.5,
            needed: neededIn,
            quilt: { widthIn, lengthIn },
          });
          const boxes = drawn.marks.flatMap((m) => {
            const [, x, y, w, h] = /^M(\S+) (\S+)h(\S+?)v(\S+?)h/.exec(m.d) ?? [];
            return w === undefined ? [] : [{ x: Number(x), y: Number(y), w: Number(w), h: Number(h) }];
          });
          expect(boxes).toHaveLength(3);
          for (const b of boxes) {
            expect(b.x + b.w).toBeLessThanOrEqual(drawn.width);
            expect(b.y + b.h).toBeLessThanOrEqual(drawn.height);
          }
          const [bought, backing] = boxes;
          expect(bought!.x + bought!.w).toBeLessThan(backing!.x);
        }
      }
});

test('what was chosen before stands, and what is chosen now is kept by itself', async () => {
  show({
    start: {
      ...start,
      battingHere: '',
      panel: '',
      joinedGapIn: null,
      backingHere: '',
      clothIn: 108,
      stripIn: 2.25,
      layout: 'whole-turned',
      withQuilts: [],
    },
    version: 3,
  });
  expect(screen.getByRole('radio', { name: 'in one piece, turned' })).toBeChecked();
  expect(screen.getByLabelText(/Strips cut at/)).toHaveValue('2.25');
  await userEvent.click(screen.getByRole('radio', { name: 'in one piece' }));
  await fillAt(/Margin each side/, '10 cm');
  await waitFor(() => expect(doors.keepPrepared).toHaveBeenCalled(), { timeout: 4000 });
  await waitFor(
    () =>
      expect(lastSent(doors.keepPrepared)).toMatchObject({
        quiltId: quilt.id,
        clothIn: 108,
        marginIn: expect.closeTo(3.937, 3),
        layout: 'whole',
      }),
    { timeout: 4000 },
  );
});

test('what was typed and not kept when the page was left stands there again, and goes under its own key', async () => {
  const left = {
    ...start,
    marginIn: 6.5,
    stripIn: 2.25,
    battingHere: '',
    panel: '',
    joinedGapIn: null,
    backingHere: '',
    layout: 'whole-turned',
    withQuilts: [],
  };
  const sent = [{ key: 'key of the page that was left', version: 3, body: left }];
  const draft = `prepared ${quilt.id}`;
  localStorage.setItem(draft, JSON.stringify({ version: 3, body: left, sent }));
  show({ version: 3 });
  await waitFor(() => expect(screen.getByLabelText(/Strips cut at/)).toHaveValue('2.25'));
  expect(screen.getByLabelText(/Margin each side/)).toHaveValue('6.5');
  await waitFor(() =>
    expect(lastSent(doors.keepPrepared)).toMatchObject({ key: sent[0]!.key, version: 3, marginIn: 6.5 }),
  );
  await waitFor(() => expect(screen.getByRole('status')).toHaveTextContent('saved'));
  expect(localStorage.getItem(draft)).toBeNull();
});

test('what lies here from before what the studio’s computer has is not brought back', async () => {
  const draft = `prepared ${quilt.id}`;
  localStorage.setItem(draft, JSON.stringify({ version: 2, body: { ...start, stripIn: 3 } }));
  show({ version: 3 });
  await new Promise((r) => setTimeout(r, 50));
  expect(screen.getByLabelText(/Strips cut at/)).toHaveValue('2.5');
  localStorage.removeItem(draft);
});

test('what is typed is never called saved before it is', async () => {
  show();
  expect(screen.getByRole('status')).toHaveTextContent('saved');
  await fillAt(/Margin each side/, '5');
  expect(screen.getByRole('status')).toHaveTextContent('saving …');
  await waitFor(() => expect(screen.getByRole('status')).toHaveTextContent('saved'), { timeout: 4000 });
});

test('what is here is held against what is needed, per side', async () => {
  show();
  await fillAt(/Batting that is here/, '20 × 20; 200 × 200');
  expect(await screen.findByText(/is enough/)).toBeInTheDocument();
  await fillAt(/Batting that is here/, '20 × 20');
  expect(await screen.findByText(/Not enough: .* lacks .* across and .* along/)).toBeInTheDocument();
  await fillAt(/Batting that is here/, 'a bit');
  expect(await screen.findByText(/Write pieces as 72 × 90/)).toBeInTheDocument();
});

describe('what is here', () => {
  test('pieces that have to be joined: where, on the map too, and the strictest distance', async () => {
    const drawn = show();
    await fillAt(/Batting that is here/, '40 × 90 Wold wool; 40 × 90');
    const region = screen.getByRole('region', { name: 'What is here' });
    expect(region).toHaveTextContent('Join 40 in × 90 in and 40 in × 90 in');
    expect(region).toHaveTextContent('Quilt within 4 in');
    // 40 in less half an inch of trim, less the margin of 4 in.
    expect(drawn.querySelector('path[d="M35.5 0V80"]')).not.toBeNull();
  });
  test('a piece called what nobody knows is told', async () => {
    show();
    await fillAt(/Batting that is here/, '90 × 90 wibble');
    expect(screen.getByRole('region', { name: 'What is here' })).toHaveTextContent('“wibble”');
  });
});

test('a wish for little quilting names the battings that allow it', async () => {
  show();
  const region = screen.getByRole('region', { name: 'A batting for little quilting' });
  await fillAt(/Lines no closer than/, '6');
  expect(region).toHaveTextContent('Drumlin 80/20');
  expect(region).not.toHaveTextContent('Wold wool');
  await fillAt(/Lines no closer than/, '20');
  expect(region).toHaveTextContent('No batting here');
  await fillAt(/Lines no closer than/, 'far');
  expect(region).toHaveTextContent('Give a length');
});

test('a panel gives tops and binding, or says that it does not', async () => {
  show({ quilt: { id: 'q', name: 'Small one', widthIn: 20, lengthIn: 24 } });
  const region = screen.getByRole('region', { name: 'Out of one panel' });
  await fillAt(/A panel they are cut from/, '44 × 60');
  expect(region).toHaveTextContent('binding enough');
  await fillAt(/A panel they are cut from/, '18 × 20');
  expect(region).toHaveTextContent('does not come out of that panel');
  await fillAt(/A panel they are cut from/, 'wide');
  expect(region).toHaveTextContent('Write the panel as');
});
