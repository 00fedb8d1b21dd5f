import fc from 'fast-check';
import type { Caution, Reason } from '../notes';
import { fibres } from '../tables/fibres';
import { aMatch, shelf } from '../testing/a-shelf';
import { match } from './match';
import type { MatchRequest, MatchThread, MatchZone } from './request';
import type { Setup } from './setup';
import { CRITERIA, type Criterion } from './criteria';

const one = (id: string, part: Partial<MatchThread> = {}): MatchThread => ({
  ...shelf.find((t) => t.id === id)!,
  name: id,
  ...part,
});
const poly40 = one('Heron Poly 40 Sandbar');
const poly60 = one('Heron Poly 60 Fog');
const cotton = one('Teal Cotton 50/3 Deep Teal');
const gossamer = one('Gossamer 100 Mist');
const mono = one('Clearwater Clear');
const metallic = one('Brasswork Old Gold');
const rayon = one('Drift Sea Glass');

/** The one set-up of a top thread over a bobbin thread. */
function pair(
  top: MatchThread,
  zone: Partial<MatchZone> = {},
  part: Partial<MatchRequest> = {},
  bobbin: MatchThread = gossamer,
): Setup {
  const threads = [
    { ...top, role: top.id === bobbin.id ? ('both' as const) : ('top' as const) },
    ...(top.id === bobbin.id ? [] : [{ ...bobbin, role: 'bobbin' as const }]),
  ];
  const { setups, cautions } = match(aMatch(zone, { ...part, threads }));
  if (!setups[0]) throw new Error(cautions.map((c) => c.text).join(' '));
  return setups[0];
}
/** The set-up of a top thread where another stands beside it. */
const among = (top: MatchThread, zone: Partial<MatchZone>): Setup =>
  match(aMatch(zone, { threads: [top, poly60, gossamer], limit: 9 })).setups.find((s) => s.topId === top.id)!;
const notes = (s: Setup): (Reason | Caution)[] => [...s.reasons, ...s.cautions];
const note = (s: Setup, code: string) => notes(s).find((n) => n.code === code);

describe('what each criterion says', () => {
  type Case = [string, () => Setup, Criterion, string, RegExp, boolean];
  const HAZE = [{ fabric: 'quilting-cotton', hex: '#b9c6c9', name: 'Haze blue' }];
  const cases: Case[] = [
    [
      'a thread of the fabric’s colour sinks',
      () => pair(poly60, { top: HAZE }),
      'visibility',
      'thread-sinks',
      /Sinks in/,
      false,
    ],
    [
      'clear thread on one colour is not what it is for',
      () => pair(mono, { top: HAZE, visibility: 'texture' }, {}, poly60),
      'clear-thread',
      'clear-on-few',
      /many colours/,
      true,
    ],
    [
      'what lies under a clear thread is seen through it',
      () => pair(mono, { top: HAZE }, {}, one('Heron Poly 60 Night')),
      'seen-through',
      'bobbin-seen-through',
      /seen through/,
      true,
    ],
    [
      'a far colour that should sink shows, and the fabric is named',
      () => pair(one('Heron Poly 40 Buoy Red'), { top: HAZE }),
      'visibility',
      'thread-shows',
      /where it should sink/,
      true,
    ],
    [
      'a near colour that should show hides',
      () => pair(poly60, { top: HAZE, visibility: 'show' }),
      'visibility',
      'thread-hides',
      /hardly be seen/,
      true,
    ],
    [
      'a far colour that should show stands out',
      () => pair(one('Heron Poly 40 Buoy Red'), { top: HAZE, visibility: 'show' }),
      'visibility',
      'thread-stands-out',
      /Stands out/,
      false,
    ],
    [
      'as texture a near colour reads',
      () => pair(poly60, { top: [{ fabric: 'quilting-cotton', hex: '#b4c2c6' }], visibility: 'texture' }),
      'visibility',
      'texture-reads',
      /the texture speaks/,
      false,
    ],
    [
      'a fabric without a colour is not guessed at',
      () => pair(poly60, { top: [{ fabric: 'quilting-cotton' }] }),
      'visibility',
      'colour-unknown',
      /not known/,
      true,
    ],
    ['a fine thread sits down', () => pair(gossamer), 'thickness', 'fine', /sits down in the fabric/, false],
    [
      'a thicker one stands up',
      () => pair(poly40),
      'thickness',
      'stands-up',
      /a finer thread would sit lower/,
      true,
    ],
    [
      'what is sewn twice in a thick thread builds up',
      () => pair({ ...one('Bosun Cotton 30 Amber'), tex: 62 }, { technique: 'pebbles', spacingIn: 0.5 }),
      'build-up',
      'thread-builds-up',
      /turns ropey/,
      true,
    ],
    [
      'a fine thread may be sewn over',
      () => pair(gossamer, { technique: 'pebbles', spacingIn: 0.5 }),
      'build-up',
      'backtrack-forgiven',
      /will not build up/,
      false,
    ],
    [
      'a surface covered with thread is stiff',
      () => pair(poly40, { technique: 'micro-fill', spacingIn: 0.07 }),
      'cover',
      'stiff',
      /will be stiff/,
      true,
    ],
    [
      'a plastic print rubs a soft thread',
      () => pair(rayon, { features: ['plastic-print'] }),
      'abrasion',
      'plastic-print',
      /\w/,
      true,
    ],
    [
      'a strong filament stands the rubbing',
      () => pair(poly40, { features: ['plastic-print'] }),
      'abrasion',
      'stands-rubbing',
      /stands the rubbing of the/,
      false,
    ],
    ['a metallic is fussy', () => pair(metallic), 'fuss', 'metallic-slow', /Twists and shreds/, true],
    ['a monofilament stretches', () => pair(mono), 'fuss', 'mono-stretches', /Stretches as it feeds/, true],
    ['rayon frays', () => pair(rayon), 'fuss', 'soft', /frays sooner/, true],
    [
      'cotton sheds',
      () => pair(cotton),
      'lint',
      fibres.get('cotton').lint >= 2 ? 'lint' : 'little-lint',
      /lint/,
      true,
    ],
    [
      'monofilament is not for a baby',
      () => among(mono, { use: 'baby' }),
      'child',
      'monofilament-child',
      /child’s quilt/,
      true,
    ],
    [
      'very fine thread wears where a quilt is tumbled',
      () => pair(gossamer, { technique: 'meander-medium', use: 'bed' }),
      'durability',
      'fine-wears',
      /washed and tumbled/,
      true,
    ],
    [
      'clear thread over a whole area of a bed quilt',
      () => pair(mono, { technique: 'meander-medium', use: 'bed' }),
      'durability',
      'mono-over-area',
      /works loose in the wash/,
      true,
    ],
    [
      'a needle no other zone takes is one more change',
      () => pair(poly40, {}, { others: [{ zone: 'B', topId: poly40.id, needleNm: 130 }] }),
      'needle-change',
      'needle-change',
      /one more needle change/,
      true,
    ],
    [
      'couching goes by the colour of its yarn',
      () => pair(poly60, { technique: 'couching' }, { yarn: { diameterMm: 2, hex: '#b9c6c9' } }),
      'yarn',
      'yarn-colour',
      /vanishes on it/,
      false,
    ],
    [
      'a line that shows on the back',
      () => pair(poly60, {}, { backingHex: '#101010' }),
      'back-colour',
      'back-shows',
      /far from the backing/,
      true,
    ],
    ['nylon softens under an iron', () => pair(mono), 'iron', 'monofilament-iron', /hot iron/, true],
    [
      'what washing harms is said of a quilt that will be washed',
      () => pair(fibres.get('rayon').washRisk > 0 ? rayon : metallic),
      'washing',
      'wash-care',
      /will be washed/,
      true,
    ],
    [
      'a thread no other zone uses is one change more',
      () => pair(poly40, {}, { others: [{ zone: 'B', topId: 'x' }] }),
      'thread-change',
      'thread-change',
      /a change in every sweep/,
      true,
    ],
    [
      'a thread two other zones use is none',
      () =>
        pair(
          poly40,
          {},
          {
            others: [
              { zone: 'B', topId: poly40.id },
              { zone: 'D', topId: poly40.id },
            ],
          },
        ),
      'thread-change',
      'no-thread-change',
      /Already chosen for zones B and D: no thread change/,
      false,
    ],
    [
      'a thread the studio’s own log is worse with',
      () =>
        pair(
          poly40,
          {},
          {
            record: {
              tallies: [{ id: poly40.id, faults: 40, stitches: 200_000 }],
              all: { faults: 60, stitches: 3_000_000 },
            },
          },
        ),
      'record',
      'own-faults',
      /worse than chance explains/,
      true,
    ],
    [
      'a thread the log is better with',
      () =>
        pair(
          poly40,
          {},
          {
            record: {
              tallies: [{ id: poly40.id, faults: 1, stitches: 1_500_000 }],
              all: { faults: 60, stitches: 3_000_000 },
            },
          },
        ),
      'record',
      'own-record',
      /better than chance explains/,
      false,
    ],
    [
      'a finer bobbin thread stays below',
      () => pair(poly40),
      'bobbin-size',
      'bobbin-finer',
      /stays below/,
      false,
    ],
    [
      'a thicker one pushes up',
      () => pair(gossamer, {}, {}, one('Teal Cotton 50/2 Sage')),
      'bobbin-size',
      'bobbin-thicker',
      /will push up/,
      true,
    ],
    [
      'cotton feeds less smoothly from a bobbin',
      () => pair(poly40, {}, {}, one('Teal Cotton 50/2 Sage')),
      'bobbin-kind',
      'bobbin-rough',
      /feeds less smoothly/,
      true,
    ],
    [
      'a dark bobbin under a light thread shows',
      () => pair(poly60, {}, {}, one('Gossamer 100 Ink')),
      'bobbin-colour',
      'bobbin-shows',
      /a single dot of it would show/,
      true,
    ],
    [
      'a short cone is said with both numbers',
      () => pair({ ...poly40, remainingM: 20 }),
      'stock',
      'stock-short',
      /20 m left, \d+ m wanted/,
      true,
    ],
    [
      'what other zones will take is counted off',
      () => pair({ ...poly40, remainingM: 400 }, {}, { claimedM: { [poly40.id]: 390 } }),
      'stock',
      'stock-short',
      /400 m left, 390 m of it for the other zones/,
      true,
    ],
    [
      'bobbins to wind are told as an act',
      () => pair(poly40, { areaIn2: 4000 }, { wound: [{ id: gossamer.id, bobbins: 1 }] }),
      'stock',
      'wind-bobbins',
      /one is wound/,
      false,
    ],
    [
      'bobbins ready are said too',
      () => pair(poly40, {}, { wound: [{ id: gossamer.id, bobbins: 30 }] }),
      'stock',
      'bobbins-ready',
      /wound and ready/,
      false,
    ],
  ];
  test.each(cases)('%s', (_, setup, criterion, code, words, costs) => {
    const s = setup();
    const said = note(s, code);
    expect([code, said?.text]).toEqual([code, expect.stringMatching(words) as string]);
    expect(said!.from).toBe(criterion);
    if (costs) expect(s.parts[criterion]).toBeGreaterThan(0);
    else expect(s.parts[criterion]).toBeLessThan(0.25);
  });
  test('every criterion that may speak is covered here', () => {
    const silent: Criterion[] = ['eye', 'flex', 'holes', 'needle', 'soluble', 'strength', 'bobbins-ready'];
    const spoken = new Set(cases.map((c) => c[2]));
    for (const id of Object.keys(CRITERIA) as Criterion[])
      expect([id, spoken.has(id) || silent.includes(id)]).toEqual([id, true]);
  });
});

describe('what is not there is not said', () => {
  test('a bed quilt needs no word on children, a wall quilt none on washing', () => {
    expect(note(pair(mono), 'monofilament-child')).toBeUndefined();
    expect(note(pair(rayon, { use: 'wall' }), 'wash-care')).toBeUndefined();
  });
  test('nylon on the wall meets no iron, but is still said', () => {
    const s = pair(mono, { use: 'wall' });
    expect(s.parts.iron).toBe(0);
    expect(note(s, 'monofilament-iron')).toBeDefined();
  });
  test('the only zone of a quilt has no thread changes to speak of', () => {
    expect(pair(poly40, {}, { others: [] }).parts['thread-change']).toBe(0);
  });
  test('a log of nothing says nothing', () => {
    const s = pair(poly40, {}, { record: { tallies: [], all: { faults: 0, stitches: 0 } } });
    expect(s.parts.record).toBe(0);
    expect(notes(s).filter((n) => n.from === 'record')).toEqual([]);
  });
  test('a cone not counted is not short', () => {
    expect(pair({ ...poly40, remainingM: undefined }).parts.stock).toBe(0);
  });
  test('a zone whose size is not known takes no metres', () => {
    const s = pair({ ...poly40, remainingM: 1 }, { areaIn2: undefined });
    expect(s.topM).toBeNull();
    expect(note(s, 'stock-short')).toBeUndefined();
  });
});

describe('the schools', () => {
  test('the same thread below, where the studio prefers so', () => {
    const preferences = { bobbin: 'same' as const };
    const same = pair(poly60, {}, { preferences }, poly60);
    const other = pair(poly60, {}, { preferences }, gossamer);
    expect(note(same, 'same-below')).toBeDefined();
    expect(note(other, 'not-the-same')).toBeDefined();
    expect(same.parts['bobbin-size']).toBeLessThan(other.parts['bobbin-size']!);
  });
  test('one cone for both is asked for both lengths', () => {
    const s = pair({ ...poly60, remainingM: 60 }, {}, { preferences: { bobbin: 'same' } }, poly60);
    const wanted = Number(/(\d+) m wanted/.exec(note(s, 'stock-short')!.text)![1]);
    expect(wanted).toBe(Math.round(s.topM! + s.bobbinM!));
  });
  test.each(['idling', 'resting', 'manual'] as const)('regulation %s everywhere', (modeRule) => {
    expect(pair(poly40, {}, { preferences: { modeRule } }).mode).toBe(modeRule);
  });
  test('a floor of stitches is kept to', () => {
    const technique = 'ruler-lines';
    const [low, high] = [0, 14].map(
      (floorSpi) => pair(poly40, { technique }, { preferences: { floorSpi } }).spi,
    );
    expect(high).toBe(14);
    expect(low).toBeLessThan(14);
  });
});

describe('sentences fit to be read aloud', () => {
  const zone = fc.record({
    technique: fc.constantFrom(
      'swirls',
      'pebbles',
      'ditch',
      'ruler-arcs',
      'meander-large',
      'micro-fill',
      'couching',
    ),
    visibility: fc.constantFrom('sink' as const, 'texture' as const, 'show' as const),
    use: fc.constantFrom('bed' as const, 'baby' as const, 'wall' as const),
    features: fc.subarray(['raised-applique', 'plastic-print', 'bulky-seams', 'beads']),
    areaIn2: fc.integer({ min: 20, max: 4000 }),
  });
  test('each begins with a capital or a number, ends with a stop, and none is said twice', () => {
    fc.assert(
      fc.property(zone, (z) => {
        for (const s of match(aMatch(z, { limit: 6 })).setups) {
          const texts = notes(s).map((n) => n.text);
          expect(new Set(texts).size).toBe(texts.length);
          for (const n of notes(s))
            for (const text of [n.text, ...(n.act ? [n.act] : [])]) {
              expect(text).toMatch(/^[A-Z0-9“].*[.!]$/s);
              expect(text).not.toMatch(/NaN|undefined|null|Infinity|  | \.| ,/);
            }
        }
      }),
      { numRuns: 40 },
    );
  });
  test('parts are the penalties that make the score, none below nothing', () => {
    fc.assert(
      fc.property(zone, (z) => {
        const { setups } = match(aMatch(z, { limit: 6 }));
        const total = (s: Setup) => Object.values(s.parts).reduce((a, b) => a + b, 0);
        for (const s of setups) for (const p of Object.values(s.parts)) expect(p).toBeGreaterThanOrEqual(0);
        for (const [i, s] of setups.slice(1).entries()) {
          expect(total(s)).toBeGreaterThanOrEqual(total(setups[i]!) - 1e-9);
          expect(s.score).toBeLessThanOrEqual(setups[i]!.score);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('thread that changes along its length', () => {
  const HAZE = [{ fabric: 'quilting-cotton', hex: '#b9c6c9', name: 'Haze blue' }];
  const plain = one('Heron Poly 60 Fog');
  const cost = (part: Partial<MatchThread>, zone: Partial<MatchZone> = {}) =>
    pair({ ...plain, ...part }, { top: HAZE, ...zone }).parts.visibility ?? 0;
  test('where it should sink, its worst colour counts', () => {
    expect(cost({ hexes: ['#b9c6c9', '#6e1020'] })).toBeCloseTo(cost({ hex: '#6e1020' }), 6);
  });
  test('where it should show, its least colour counts', () => {
    expect(cost({ hexes: ['#b9c6c9', '#6e1020'] }, { visibility: 'show' })).toBeGreaterThan(
      cost({ hex: '#6e1020' }, { visibility: 'show' }),
    );
  });
  test('colours that change within a stitch or two are seen as one between them', () => {
    const mixed = cost({ hexes: ['#b9c6c9', '#6e1020'], runIn: 0.1 });
    expect(mixed).toBeLessThan(cost({ hexes: ['#b9c6c9', '#6e1020'], runIn: 3 }));
    expect(mixed).toBeGreaterThan(cost({ hex: '#b9c6c9' }));
  });
  test('it says how many, and for how long', () => {
    const s = pair({ ...plain, hexes: ['#b9c6c9', '#6e1020'], runIn: 3 }, { top: HAZE });
    expect(
      notes(s)
        .map((n) => n.text)
        .join(' '),
    ).toMatch(/Of its 2 colours, each for 3 in,/);
  });
});
