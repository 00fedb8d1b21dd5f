import { scalesOf } from '@/core/machine/scales';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { CardDialog } from '@/ui/match/CardDialog';
import { aCone, aMachine, aQuilt, aSetup, aZone } from '@/ui/testing/studio';
import { cardFacts } from './card-facts';
import { CARD_MM, settingCard } from './setting-card';

const setup = aSetup({
  needleEye: 'large',
  foot: 'ruler',
  spi: 11.5,
  maxInPerS: 2.84,
  topGf: 84.4,
  bobbinGf: 16.9,
});
const cones = new Map([
  ['cone-fog', aCone()],
  ['cone-mist', aCone({ id: 'cone-mist', line: 'Gossamer 100', colour: 'Mist', hex: null })],
]);
const facts = cardFacts(setup, aZone(), aQuilt(), aMachine(), cones);

test('a card says everything that is set, in words that are read at arm’s length', () => {
  expect(facts).toMatchObject({
    letter: 'A',
    top: { name: 'Heron Poly 60 Fog', hex: '#b9c6c9' },
    needle: 'Nm 100 · US 16 · 3.5',
    point: 'sharp point, large eye',
    foot: 'Ruler foot',
    mode: 'keeps sewing when you pause',
    spi: '11.5',
    topSaid: { big: '84', unit: 'g', beside: '' },
    bobbinSaid: { big: '17', unit: 'g', beside: '' },
    speed: '1.5 in/s, up to 2.8',
    proven: false,
  });
  const words = settingCard(facts).labels.map((l) => l.text);
  for (const said of [
    facts.top.name,
    facts.bobbin.name,
    facts.needle,
    facts.foot,
    facts.shank,
    '84',
    '17',
    '11.5',
  ])
    expect(words).toContain(said);
  expect(words).toContain('top, to be tested first');
});

test('what a test proved stands in place of the guess', () => {
  const proven = cardFacts(
    { ...setup, provenTopGf: 92, provenBobbinGf: 18, provenAt: new Date() },
    aZone(),
    aQuilt(),
    aMachine(),
    cones,
  );
  expect(proven).toMatchObject({ topSaid: { big: '92' }, bobbinSaid: { big: '18' }, proven: true });
  expect(settingCard(proven).labels.map((l) => l.text)).toContain('top, tested');
});

test('dial marks stand on it where the machine was measured', () => {
  const scales = scalesOf([
    {
      kind: 'top-dial',
      points: [
        { mark: 2, value: 40 },
        { mark: 6, value: 200 },
      ],
    },
  ]);
  const measured = cardFacts(
    { ...setup, provenTopGf: 90, provenBobbinGf: 18, provenAt: new Date() },
    aZone(),
    aQuilt(),
    aMachine(),
    cones,
    scales,
  );
  const words = settingCard(measured).labels.map((l) => l.text);
  expect(words).toContain('top, mark 3¼, tested');
  expect(words).toContain('bobbin, set this first');
});

test('a thread that left the shelf is said, and a clear one still has a swatch', () => {
  const gone = cardFacts(setup, aZone(), aQuilt(), aMachine(), new Map());
  expect(gone.top.name).toBe('top thread gone');
  expect(facts.bobbin.hex).toMatch(/^#/);
});

test('it has the shape of an eighth of a sheet', () => {
  const { width, height } = settingCard(facts);
  expect(width / height).toBeCloseTo(CARD_MM.width / CARD_MM.height, 9);
});

test.each([
  ['short', 'Dusk'],
  ['long', 'A very long zone name that somebody typed while in a talkative mood at the counter'],
])('a %s name stays on the card', (_, zone) => {
  const card = settingCard({ ...facts, zone, shank: zone.repeat(2), quilt: zone });
  for (const l of card.labels) {
    const wide = l.text.length * (l.size ?? 13) * 0.55;
    const [from, to] = l.anchor === 'end' ? [l.x - wide, l.x] : [l.x, l.x + wide];
    expect(from).toBeGreaterThan(-40);
    expect(to).toBeLessThan(card.width + 60);
  }
});

describe('the card’s dialog', () => {
  const open = (onClose = () => {}) =>
    render(<CardDialog facts={facts} sheetHref="/quilts/quilt-1/sheets/cards" onClose={onClose} />);
  const clicks: { download: string; href: string }[] = [];
  beforeEach(() => {
    clicks.length = 0;
    jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
      clicks.push({ download: this.download, href: this.href });
    });
  });
  afterEach(() => jest.restoreAllMocks());

  test('shows the card with a name for those who do not see it, and leads to the sheet', () => {
    open();
    expect(
      screen.getByRole('img', { name: /^Setting card of zone A, Harbour border: Heron Poly 60 Fog/ }),
    ).toBeInTheDocument();
    expect(screen.getByRole('link', { name: /Print all cards/ })).toHaveAttribute(
      'href',
      '/quilts/quilt-1/sheets/cards',
    );
  });
  test('saves an SVG under a plain name', async () => {
    open();
    await userEvent.click(screen.getByRole('button', { name: 'Save as SVG' }));
    await waitFor(() => expect(clicks).toHaveLength(1));
    expect(clicks[0]!.download).toBe('harbour-lights-a-setting-card.svg');
  });
  test('a picture that cannot be drawn is said, with what to do', async () => {
    open();
    Object.assign(HTMLImageElement.prototype, { decode: () => Promise.reject(new Error('no canvas')) });
    await userEvent.click(screen.getByRole('button', { name: 'Save as PNG' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Print it instead');
  });
  test('closes', async () => {
    const onClose = jest.fn();
    open(onClose);
    await userEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(onClose).toHaveBeenCalled();
  });
});

test('what to watch for and what was set otherwise at the machine stand on it', () => {
  const at = setup.chosenAt.getTime() + 60_000;
  const card = cardFacts(
    setup,
    aZone({ features: ['pocket-open'] }),
    aQuilt(),
    aMachine(),
    cones,
    {},
    {
      topGf: { value: 92, at },
      foot: { value: 'bowl', at },
      spi: { value: 9, at: at - 120_000 },
    },
  );
  expect(card.watch).toBe('Mark the pocket; stitch inside the flap, never across');
  // Set before this card was chosen, it holds no more.
  expect(card.otherwise).toMatch(/^At the machine: top \d+ → 92 g, bowl foot$/);
  expect(
    settingCard(card)
      .labels.map((l) => l.text)
      .at(-1),
  ).toMatch(/^At the machine: .* · Watch for: Mark/);
});

test('a studio without a gauge reads no grams first', () => {
  const card = cardFacts(setup, aZone(), aQuilt(), aMachine(), cones, {}, undefined, 'dial');
  expect(card.bobbinSaid).toMatchObject({ big: expect.stringMatching(/^drop test/), unit: '' });
  expect(settingCard(card).labels.map((l) => l.text)).toContain(card.topSaid.big);
});
