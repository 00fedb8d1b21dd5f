import { deltaEHex } from '../colour/delta-e';
import { fibres } from '../tables/fibres';
import { aMatch } from '../testing/a-shelf';
import { match } from './match';
import type { MatchRequest, MatchThread, MatchZone } from './request';

/**
 * A talk at the shelf: what lies on the table, and what would be taken down for it and what left standing. The shelf has
 * the right thread each time, and what tempts: tan that goes with nothing, hair-fine threads in the wrong colour, and a
 * clear one.
 */
const COLOURS = {
  teal: '#1f6f78',
  navy: '#1f2a44',
  cream: '#f1e7d0',
  grey: '#8b9096',
  charcoal: '#3b3e42',
  red: '#a3262f',
  rose: '#d88fa0',
  gold: '#c9962b',
  moss: '#5d6b3a',
  plum: '#5a3557',
  brown: '#6a4a32',
  white: '#fbfaf6',
} as const;
type Colour = keyof typeof COLOURS;

const thread = (id: string, tex: number, fibre: string, hex?: string): MatchThread => ({
  id,
  name: id,
  tex,
  fibre,
  hex,
  role: 'both',
  remainingM: 3000,
});
const SHELF: MatchThread[] = [
  ...Object.entries(COLOURS).map(([name, hex]) => thread(`usual ${name}`, 27, 'polyester-filament', hex)),
  ...(['grey', 'cream', 'charcoal', 'brown'] as const).map((c) =>
    thread(`hair ${c}`, 8, 'polyester-filament', COLOURS[c]),
  ),
  ...(['navy', 'white', 'red', 'moss', 'gold'] as const).map((c) =>
    thread(`stout ${c}`, 40, 'cotton', COLOURS[c]),
  ),
  thread('tan', 27, 'polyester-filament', '#b99c74'),
  thread('hair tan', 8, 'polyester-filament', '#b99c74'),
  thread('clear', 12, 'polyester-mono'),
];
const colourOf = (id: string) => SHELF.find((t) => t.id === id)!.hex;
const isClear = (id: string) => fibres.get(SHELF.find((t) => t.id === id)!.fibre).mono;

const taken = (zone: Partial<MatchZone>, part: Partial<MatchRequest> = {}) => {
  const { setups } = match(aMatch(zone, { threads: SHELF, limit: 3, ...part }));
  return setups[0]!;
};
const solid = (c: Colour, fabric = 'quilting-cotton') => [{ fabric, hex: COLOURS[c] }];

describe.each(Object.keys(COLOURS) as Colour[])('on a plain %s', (c) => {
  test.each<[string, Partial<MatchZone>]>([
    [
      'a meander on a bed quilt',
      { technique: 'meander-medium', spacingIn: 1, visibility: 'texture', use: 'bed' },
    ],
    ['feathers for a show', { technique: 'feathers', spacingIn: 0.75, visibility: 'texture', use: 'show' }],
    [
      'a fill that should sink',
      { technique: 'meander-small', spacingIn: 0.4, visibility: 'sink', use: 'bed' },
    ],
    ['ruler lines', { technique: 'ruler-lines', spacingIn: 1, visibility: 'texture', use: 'wall' }],
  ])('%s: its own colour, and neither clear nor a hair in another', (_, zone) => {
    const s = taken({ ...zone, top: solid(c) });
    expect([s.topId, isClear(s.topId)]).toEqual([s.topId, false]);
    expect([s.topId, deltaEHex(colourOf(s.topId)!, COLOURS[c]) < 6]).toEqual([s.topId, true]);
    // The bobbin is never the reason for a wrong colour above, and nobody is sent for what stands there.
    for (const n of [...s.cautions, ...s.reasons]) expect(n.act ?? '').not.toMatch(/nearer to/);
  });
});

test('along the ditch of a scrap quilt of many colours, clear or what is nearest to all of them', () => {
  const top = (['teal', 'gold', 'red', 'white', 'plum'] as const).map((c) => ({
    fabric: 'quilting-cotton',
    hex: COLOURS[c],
    share: 0.2,
  }));
  const { setups } = match(
    aMatch({ top, technique: 'ditch', visibility: 'sink', use: 'bed' }, { threads: SHELF, limit: 3 }),
  );
  expect(setups.some((s) => isClear(s.topId))).toBe(true);
});
test('under a clear thread the bobbin goes with the fabric, not with the backing', () => {
  const s = taken(
    { top: solid('teal'), technique: 'ditch', visibility: 'sink' },
    { hold: { topId: 'clear' }, backingHex: COLOURS.white },
  );
  expect([s.bobbinId, deltaEHex(colourOf(s.bobbinId) ?? '#000000', COLOURS.teal) < 6]).toEqual([
    s.bobbinId,
    true,
  ]);
});
test('of two wrong colours the one less wrong comes first, however far both are', () => {
  const far = [
    thread('a moss', 27, 'polyester-filament', COLOURS.moss),
    thread('b white', 27, 'polyester-filament', COLOURS.white),
  ];
  const bobbin = { ...thread('below', 14, 'polyester-filament', COLOURS.navy), role: 'bobbin' as const };
  const s = taken(
    { top: solid('navy'), technique: 'meander-medium', visibility: 'texture' },
    { threads: [...far.map((t) => ({ ...t, role: 'top' as const })), bobbin] },
  );
  expect(s.topId).toBe('a moss');
});
test('where the shelf has nothing near, a nearer thread is spoken of', () => {
  const s = taken(
    { top: solid('navy'), technique: 'meander-medium', visibility: 'sink' },
    { threads: [thread('white', 27, 'polyester-filament', COLOURS.white)] },
  );
  expect(s.cautions.some((c) => /nearer to/.test(c.act ?? ''))).toBe(true);
});
