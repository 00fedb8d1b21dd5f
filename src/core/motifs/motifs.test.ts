import fc from 'fast-check';
import { MOTIFS, ROLES, themeWord } from './motif-table';
import { motifs } from './motifs';
import { motifCost } from './proposals';
import type { MotifsRequest, MotifZone } from './request';

const quilt: MotifsRequest['quilt'] = { widthIn: 64, lengthIn: 80, use: 'bed', battingId: 'cotton-80-20' };
const zone = (part: Partial<MotifZone> & Pick<MotifZone, 'role'>): MotifZone => ({
  id: 'A',
  areaIn2: 1200,
  openIn: 30,
  top: [{ fabric: 'quilting-cotton' }],
  ...part,
});
const one = (part: Partial<MotifZone> & Pick<MotifZone, 'role'>, rest: Partial<MotifsRequest> = {}) =>
  motifs({ quilt, zones: [zone(part)], proposals: 0, ...rest }).zones[0]!;
const first = (
  part: Partial<MotifZone> & Pick<MotifZone, 'role'>,
  rest: Partial<MotifsRequest> = {},
  n = 3,
) =>
  one(part, rest)
    .picks.slice(0, n)
    .map((p) => p.technique);
const codeOf = (
  technique: string,
  part: Partial<MotifZone> & Pick<MotifZone, 'role'>,
  rest: Partial<MotifsRequest> = {},
) => one(part, rest).refused.find((r) => r.technique === technique)?.code;

describe('what a quilter would take', () => {
  test('a narrow sashing: the ditch or something that runs along it, nothing wide', () => {
    const picks = first({ role: 'sashing', areaIn2: 400, openIn: 2, narrowIn: 2 }, {}, 5);
    expect(picks).toContain('ditch');
    expect(picks).not.toContain('feathers');
    expect(codeOf('feathers', { role: 'sashing', areaIn2: 400, openIn: 1.2, narrowIn: 1.2 })).toBe(
      'too-narrow',
    );
  });
  test('a motif of a few inches is left open, outlined or echoed', () => {
    for (const t of first({ role: 'motif', areaIn2: 200, openIn: 3, pieces: 12 }))
      expect(['open', 'outline', 'echo']).toContain(t);
  });
  test('a busy print sinks a simple fill; nothing that shows is wasted on it', () => {
    const picks = first({ role: 'ground', top: [{ fabric: 'quilting-cotton', busyness: 3 }] });
    for (const t of picks) expect(MOTIFS.get(t).presence).toBeLessThanOrEqual(1.5);
    const feathers = one(
      { role: 'space', top: [{ fabric: 'quilting-cotton', busyness: 3 }] },
      { limit: 25 },
    ).picks.find((p) => p.technique === 'feathers');
    if (feathers) expect(feathers.cautions.map((c) => c.code)).toContain('lost-on-print');
  });
  test('to show in plain space: what is seen', () => {
    for (const t of first({ role: 'space', visibility: 'show' }, { hand: { usual: 'practised' } }, 2))
      expect(MOTIFS.get(t).presence).toBeGreaterThanOrEqual(2);
  });
  test('plush asks for an open fill: no pebbles, no grid, nothing dense', () => {
    const picks = one({ role: 'ground', top: [{ fabric: 'plush' }] }).picks;
    for (const p of picks.slice(0, 3)) expect(p.lineDensity).toBeLessThanOrEqual(2.5);
    expect(picks.slice(0, 3).map((p) => p.technique)).not.toContain('grid');
  });
  test('a full area is quilted down, never with straight lines or a grid', () => {
    const z = one({ role: 'block', features: ['full-area'], openIn: 12, areaIn2: 140 });
    for (const p of z.picks.slice(0, 3)) expect(MOTIFS.get(p.technique)).toMatchObject({ straight: false });
    expect(z.refused.find((r) => r.technique === 'ditch')?.code).toBe('full-area');
  });
  test('the sea brings waves, water and echoes; what nobody knows is said', () => {
    expect(themeWord('sea')).toBe('water');
    const picks = first({ role: 'border', openIn: 6, areaIn2: 1400, narrowIn: 6, themes: ['sea'] }, {}, 3);
    expect(picks.some((t) => MOTIFS.get(t).words.includes('water'))).toBe(true);
    expect(
      motifs({ quilt: { ...quilt, themes: ['zeppelin'] }, zones: [zone({ role: 'ground' })] }).cautions[0]!
        .code,
    ).toBe('theme-unknown');
  });
  test('a beginner is spared what asks a practised hand', () => {
    const rest = { hand: { usual: 'beginner' as const } };
    const picks = one({ role: 'space' }, rest).picks.slice(0, 3);
    for (const p of picks) {
      expect(MOTIFS.get(p.technique).skill).toBeLessThanOrEqual(2);
      if (p.spacingIn !== null) expect(p.spacingIn).toBeGreaterThanOrEqual(0.5);
    }
    expect(codeOf('micro-fill', { role: 'ground' }, rest)).toBe('hand-coarse');
  });
  test('a wish comes first', () => {
    expect(first({ role: 'ground', wish: ['leaves'] }, {}, 1)).toEqual(['leaves']);
    expect(codeOf('couching', { role: 'border' })).toBe('not-asked');
    expect(
      codeOf('couching', { role: 'border', wish: ['couching'], openIn: 8, areaIn2: 1200 }),
    ).toBeUndefined();
  });
  test('what went badly here before is not offered first again, what went well is', () => {
    const [liked] = first({ role: 'ground' }, {}, 1);
    const past = Array.from({ length: 6 }, () => ({
      role: 'ground' as const,
      technique: liked!,
      went: 'badly' as const,
    }));
    expect(first({ role: 'ground' }, { past }, 1)).not.toEqual([liked]);
    const loops = Array.from({ length: 12 }, () => ({
      role: 'ground' as const,
      technique: 'loops',
      went: 'well' as const,
    }));
    expect(first({ role: 'ground' }, { past: loops }, 1)).toEqual(['loops']);
  });
});

describe('refused with code and number', () => {
  test.each<[string, string, Partial<MotifZone> & Pick<MotifZone, 'role'>, Partial<MotifsRequest>]>([
    ['open', 'batting-gap', { role: 'motif', openIn: 7, areaIn2: 60 }, {}],
    ['ruler-lines', 'no-ruler', { role: 'border' }, { machine: { rulers: ['circle'] } }],
    ['ruler-arcs', 'no-ruler', { role: 'border' }, { machine: { feet: ['open-toe'] } }],
    ['grid', 'raised-ruler', { role: 'block', features: ['raised-applique'] }, {}],
    ['outline', 'no-figure', { role: 'ground' }, {}],
    ['ditch', 'no-seam', { role: 'whole' }, {}],
    ['follow-print', 'no-lines', { role: 'ground' }, {}],
    ['thread-painting', 'not-asked', { role: 'motif', openIn: 4, areaIn2: 30 }, {}],
    ['guided-pattern', 'not-guided', { role: 'whole' }, {}],
    [
      'guided-pattern',
      'throat-short',
      { role: 'whole' },
      { machine: { guided: true, rowIn: 16, throatIn: 18 } },
    ],
    ['open', 'school', { role: 'motif', openIn: 3, areaIn2: 20 }, { preferences: { motifs: 'down' } }],
  ])('%s: %s', (technique, code, part, rest) => {
    const r = one(part, rest).refused.find((x) => x.technique === technique);
    expect(r?.code).toBe(code);
    expect(r!.text).toMatch(/\.$/);
  });
  test('where nothing fits it is said what excludes what, and what one limit lifted would bring', () => {
    const z = one(
      {
        role: 'motif',
        openIn: 14,
        areaIn2: 160,
        features: ['raised-applique', 'beads', 'knots'],
        top: [{ fabric: 'satin' }],
      },
      { hand: { usual: 'beginner' }, quilt: { ...quilt, battingMaxGapIn: 0.3 } },
    );
    expect(z.cautions.map((c) => c.code)).toContain('nothing-fits');
    expect(z.wouldFit?.map((w) => w.limit)).toContain('batting');
  });
});

const zonesOf = (n: number): MotifZone[] =>
  Array.from({ length: n }, (_, i) => ({
    id: `Z${i}`,
    role: ROLES[i % 6]!,
    areaIn2: 80 + ((i * 97) % 400),
    openIn: 2 + ((i * 31) % 7),
    pieces: 1 + (i % 3),
    top: [{ fabric: 'quilting-cotton', busyness: i % 4 }],
  }));
const chain = (n: number) =>
  Array.from({ length: n - 1 }, (_, i) => ({ a: `Z${i}`, b: `Z${i + 1}`, seamIn: 10 + (i % 5) * 8 }));

describe('the whole quilt', () => {
  const zones = zonesOf(6);
  const ask = (rest: Partial<MotifsRequest> = {}) => motifs({ quilt, zones, neighbours: chain(6), ...rest });
  test('few motifs, even beside each other, everything in an order', () => {
    const [p] = ask().proposals;
    expect(p!.kind).toBe('few-motifs');
    expect(p!.motifs.length).toBeLessThanOrEqual(4);
    expect(p!.evenness).toBeLessThanOrEqual(2.5 + 1e-9);
    expect(p!.order.map((o) => o.zone).sort()).toEqual(
      p!.zones
        .filter((z) => z.technique !== 'open')
        .map((z) => z.id)
        .sort(),
    );
  });
  test('a held zone is never changed, and the rest adapts', () => {
    const held = zones.map((z, i) =>
      i === 2 ? { ...z, hold: { technique: 'pebbles', spacingIn: 0.5 } } : z,
    );
    for (const p of ask({ zones: held }).proposals)
      expect(p.zones[2]).toMatchObject({ technique: 'pebbles', spacingIn: 0.5 });
    const refused = zones.map((z, i) => (i === 1 ? { ...z, hold: { technique: 'outline' } } : z));
    expect(ask({ zones: refused }).zones[1]!.cautions.map((c) => c.code)).toContain('no-figure');
  });
  test('fewer hours, quicker work; none enough is said with by how much', () => {
    const free = ask().proposals[0]!;
    const tight = ask({ quilt: { ...quilt, hours: (free.minutes - 8) / 60 } });
    expect(tight.proposals[0]!.minutes).toBeLessThanOrEqual(free.minutes - 8 + 1e-6);
    const none = ask({ quilt: { ...quilt, hours: 0.1 } });
    expect(none.proposals[0]!.withinHours).toBe(false);
    expect(none.cautions.map((c) => c.code)).toContain('hours-over');
  });
  test('two motifs are free, each further dearer', () =>
    expect([0, 1, 2, 3, 4, 5].map((n) => Number(motifCost(n).toFixed(2)))).toEqual([0, 0, 0, 0.2, 0.5, 0.9]));
});

const anyZone = fc.record({
  role: fc.constantFrom(...ROLES),
  openIn: fc.double({ min: 0.5, max: 40, noNaN: true }),
  drawn: fc.double({ min: 0.8, max: 12, noNaN: true }),
  pieces: fc.integer({ min: 1, max: 20 }),
  busyness: fc.integer({ min: 0, max: 3 }),
  fabric: fc.constantFrom('quilting-cotton', 'plush', 'satin', 'flannel', 'batik', 'linen'),
  features: fc.subarray(['raised-applique', 'beads', 'knots', 'full-area', 'bulky-seams', 'plastic-print']),
});
test('whatever is asked: within the batting, the table and the hand; finite, ordered, the same twice', () => {
  fc.assert(
    fc.property(
      anyZone,
      fc.constantFrom('beginner' as const, 'steady' as const, 'practised' as const),
      fc.constantFrom('cotton-80-20', 'wool', 'cotton-unscrimmed', 'polyester-high'),
      (a, usual, battingId) => {
        const request: MotifsRequest = {
          quilt: { ...quilt, battingId },
          hand: { usual },
          proposals: 1,
          zones: [
            {
              id: 'A',
              role: a.role,
              openIn: a.openIn,
              pieces: a.pieces,
              areaIn2: a.drawn * a.pieces * a.openIn ** 2,
              top: [{ fabric: a.fabric, busyness: a.busyness }],
              features: a.features,
            },
          ],
        };
        const z = motifs(request).zones[0]!;
        const limit = z.facts.gapLimitIn as number;
        z.picks.forEach((p, i) => {
          expect(Number.isFinite(p.score)).toBe(true);
          expect(p.openIn).toBeLessThanOrEqual(limit * (p.technique === 'ruler-arcs' ? 2 : 1) + 0.07);
          expect(p.minutes.low).toBeLessThanOrEqual(p.minutes.high);
          if (i > 0) expect(p.score).toBeGreaterThanOrEqual(z.picks[i - 1]!.score);
          const m = MOTIFS.get(p.technique);
          if (m.g && p.spacingIn !== null) expect(p.spacingIn).toBeLessThanOrEqual(m.g[1] + 1e-9);
        });
        const named = [...z.picks.map((p) => p.technique), ...z.refused.map((r) => r.technique)];
        expect(new Set(named).size).toBe(named.length);
        expect(motifs(request).zones[0]).toEqual(z);
      },
    ),
    { numRuns: 300 },
  );
});

test.each<[string, MotifsRequest, string]>([
  [
    'a zone without a shape',
    { quilt, zones: [{ id: 'A', role: 'ground', top: [{ fabric: 'linen' }] }] },
    'no-shape',
  ],
  ['two zones of one name', { quilt, zones: [zone({ role: 'ground' }), zone({ role: 'block' })] }, 'doubled'],
  [
    'a circle larger than the area',
    { quilt, zones: [zone({ role: 'ground', areaIn2: 10, openIn: 20 })] },
    'out-of-order',
  ],
  [
    'a seam of nobody',
    { quilt, zones: [zone({ role: 'ground' })], neighbours: [{ a: 'A', b: 'Q', seamIn: 3 }] },
    'unknown-zone',
  ],
])('%s is said at its field', (_, request, code) => {
  expect(() => motifs(request)).toThrow(expect.objectContaining({ code }));
});
test('from its outline alone a zone is known: a square, a star', () => {
  const square = [
    [
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 10],
    ],
  ] as const;
  const z = motifs({
    quilt,
    zones: [{ id: 'A', role: 'block', outline: square, top: [{ fabric: 'linen' }] }],
  }).zones[0]!;
  expect(z.facts).toMatchObject({ areaIn2: 100, shape: 'compact', edgeIn: 40 });
  expect(z.facts.openIn).toBeCloseTo(10, 1);
  expect(z.facts.traits).toEqual(expect.arrayContaining(['corners', 'straight']));
  const star = [
    Array.from({ length: 10 }, (_, i) => {
      const r = i % 2 === 0 ? 10 : 3;
      return [r * Math.cos((i * Math.PI) / 5), r * Math.sin((i * Math.PI) / 5)] as const;
    }),
  ];
  const s = motifs({ quilt, zones: [{ id: 'A', role: 'motif', outline: star, top: [{ fabric: 'linen' }] }] })
    .zones[0]!;
  expect(s.facts.traits).toContain('points');
});
