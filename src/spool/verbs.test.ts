import { stitchPicture } from '@/core/testing/stitch-picture';
import Ajv from 'ajv';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { whatWouldHaveToBeTrue } from '@/core/match/what-if';
import { aMatch } from '@/core/testing/a-shelf';
import { answer, failed } from './answer';
import { VERBS } from './verbs';

const ajv = new Ajv({ strict: false, allErrors: true });
const folder = join(process.cwd(), 'tests/cases');
const asked = JSON.parse(JSON.stringify(aMatch({}, { limit: 3 }))) as ReturnType<typeof aMatch>;
const { zone, threads, machine, needles } = asked;
const preferences = { threads, machine, needles };
const top = threads.find((t) => t.role !== 'bobbin')!.id;
const whole = {
  ...preferences,
  zones: [
    { id: 'A', zone },
    { id: 'B', zone: { ...zone, technique: 'meander-small', visibility: 'texture' } },
  ],
};
const unknown = {
  request: { ...preferences, zone },
  clothIndex: 0,
  description: { gM2: 170, weave: 'brushed', stretch: 1, shine: 'matt' },
};

const swirls = { technique: 'swirls', handsMin: 40, actsMin: 5 };
const drawn = stitchPicture(
  {
    spi: 10,
    cv: 0.05,
    stitches: 12,
    mmPerPx: 0.1,
    skewDeg: 3,
    thread: 240,
    cloth: 110,
    threadMm: 0.4,
    hole: 40,
    blurPx: 0.6,
    noise: 2,
    weave: 2,
    falloff: 0,
    stray: 0,
  },
  1,
);
const photograph = {
  widthPx: drawn.picture.width,
  heightPx: drawn.picture.height,
  grayBase64: Buffer.from(drawn.picture.grey).toString('base64'),
  mmPerPx: drawn.mmPerPx,
  path: drawn.path,
};
const combination = { machineId: 'm', topId: 't', bobbinId: 'b', battingId: 'wool', needleNm: 100 };

/** Requests of each verb that are answered. */
const requests: [string, object][] = [
  ...readdirSync(folder).flatMap((file) =>
    (JSON.parse(readFileSync(join(folder, file), 'utf8')) as { request: object; expect: object }[])
      .filter((c) => !('error' in c.expect))
      .map((c): [string, object] => [file.replace('.json', ''), c.request]),
  ),
  ['match', asked],
  ['match', { ...asked, others: [{ zone: 'B', topId: top }], claimedM: { [top]: 40 } }],
  [
    'match',
    {
      ...asked,
      record: { tallies: [{ id: top, faults: 3, stitches: 90_000 }], all: { faults: 20, stitches: 1e6 } },
    },
  ],
  ['whole-quilt', whole],
  ['whole-quilt', { ...whole, zones: [], topPrice: 1 }],
  ['what-if', { ...preferences, zone, topId: top }],
  ['unknown-cloth', unknown],
  ['hours', { logged: [{ parts: [swirls], minutes: 50 }], next: [{ parts: [swirls] }, { parts: [swirls] }] }],
  ['hours', { logged: [], next: [] }],
  ['tension-learn', { searches: [{ ...combination, mean: 0.2, sd: 0.1 }], ask: [combination] }],
  [
    'diagnose',
    {
      seen: ['skipped'],
      setup: { spi: 11, feature: ['bulky seam'] },
      learned: [{ cause: 'needle_worn', seen: ['skipped'] }],
    },
  ],
  ['stitch-photo', photograph],
  ['route', { edges: [{ a: [0, 0], b: [4, 0] }], freeEnds: [[0, 0]], startCostIn: 6 }],
  [
    'regulator',
    {
      machine: { maxSpm: 2000, idleMinSpm: 100, idleMaxSpm: 900 },
      mode: 'idling',
      spi: 10,
      path: [
        { tMs: 0, xIn: 0, yIn: 0 },
        { tMs: 2000, xIn: 3, yIn: 0 },
      ],
    },
  ],
  [
    'motifs',
    {
      quilt: { widthIn: 60, lengthIn: 70, use: 'bed', battingId: 'cotton-80-20' },
      zones: [
        {
          id: 'A',
          role: 'border',
          areaIn2: 900,
          openIn: 6,
          narrowIn: 6,
          top: [{ fabric: 'quilting-cotton' }],
        },
        {
          id: 'B',
          role: 'ground',
          areaIn2: 2400,
          openIn: 40,
          top: [{ fabric: 'quilting-cotton', busyness: 2 }],
        },
      ],
      neighbours: [{ a: 'A', b: 'B', seamIn: 200 }],
    },
  ],
  [
    'quote',
    {
      parts: [{ kind: 'grid', areaIn2: 900 }],
      rates: { perIn2: { grid: 2 } },
      materials: [{ label: 'Batting', amount: 1, unit: 'piece', price: 2500 }],
      taxPct: 8,
    },
  ],
  [
    'pattern',
    {
      svg: '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 8 4"><path d="M0 2C2 -1 6 5 8 2"/></svg>',
      widthIn: 8,
      repeat: { columns: 3, rows: 2 },
      battingId: 'wool',
      yarnMm: 3,
    },
  ],
];

test.each(requests.map(([verb, request], i) => [verb, i, request] as const))(
  '%s, request %i: the answer is as its schema says',
  (verb, _, request) => {
    const response = answer(verb, request);
    expect(failed(response) ? response : null).toBeNull();
    const check = ajv.compile(VERBS[verb]!.response);
    check(JSON.parse(JSON.stringify(response)));
    expect(check.errors ?? []).toEqual([]);
  },
);

test('every verb is asked something here', () => {
  const spoken = new Set(requests.map(([v]) => v));
  // Tensions have no worked cases of their own; they are walked through below.
  const walked = ['tension-start', 'tension-next'];
  expect(Object.keys(VERBS).filter((v) => !spoken.has(v) && !walked.includes(v))).toEqual([]);
});

test('a search for tension from its start to its end, all through the command line', () => {
  const begun = answer('tension-start', {
    top: { tex: 27, fibre: 'polyester-filament' },
    bobbin: { tex: 18, fibre: 'polyester-filament' },
    needleNm: 100,
    sandwich: { top: ['quilting-cotton'], battingId: 'cotton-80-20', backing: 'quilting-cotton' },
  }) as { topGf: number; bobbinGf: number; ratio: number; sd: number };
  const { topGf, bobbinGf, ratio, sd } = begun;
  const tests: object[] = [];
  const ask = () =>
    answer('tension-next', {
      start: { topGf, bobbinGf, ratio, sd },
      thicknessMm: 1.4,
      breakGf: 1000,
      tests,
    }) as { done: boolean; topGf: number; bobbinGf: number; change: string };
  tests.push({ topGf, bobbinGf, verdicts: { away: 2, toward: 2 } });
  expect(ask()).toMatchObject({ done: false, change: 'loosen-top' });
  for (let i = 0; i < 4 && !ask().done; i++) {
    const next = ask();
    tests.push({
      topGf: next.topGf,
      bobbinGf: next.bobbinGf,
      verdicts: { away: 0, toward: 0, left: 0, right: 0 },
    });
  }
  expect(ask()).toMatchObject({ done: true, change: 'keep' });
});

test('the command line answers what the core answers', () => {
  expect(answer('what-if', { ...preferences, zone, topId: top })).toMatchObject(
    JSON.parse(JSON.stringify(whatWouldHaveToBeTrue({ ...preferences, zone }, top))) as object,
  );
});

describe('what is refused, and where', () => {
  const refusals: [string, string, object, string, string][] = [
    [
      'a misspelt field of a zone',
      'match',
      { ...asked, zone: { ...zone, spacing: 1 } },
      'unknown-field',
      'zone.spacing',
    ],
    [
      'a technique of no kind',
      'match',
      { ...asked, zone: { ...zone, technique: 'scribble' } },
      'unknown-id',
      'zone.technique',
    ],
    [
      'a colour in words',
      'match',
      { ...asked, zone: { ...zone, top: [{ fabric: 'linen', hex: 'teal' }] } },
      'bad-value',
      'zone.top[0].hex',
    ],
    [
      'a thread of no thickness',
      'match',
      { ...asked, threads: [{ ...threads[0], tex: 0 }] },
      'out-of-range',
      'threads[0].tex',
    ],
    [
      'a needle range backwards',
      'match',
      { ...asked, threads: [{ ...threads[0], labelNeedleNm: [110, 90] }] },
      'out-of-order',
      'threads[0].labelNeedleNm',
    ],
    [
      'a bobbin that is all core',
      'match',
      { ...asked, machine: { ...machine, bobbinMm: { od: 20, core: 20, width: 9 } } },
      'out-of-order',
      'machine.bobbinMm.core',
    ],
    [
      'an idle range backwards',
      'match',
      { ...asked, machine: { ...machine, idleMinSpm: 900, idleMaxSpm: 100 } },
      'out-of-order',
      'machine.idleMinSpm',
    ],
    [
      'half a bobbin',
      'match',
      { ...asked, wound: [{ id: 'a', bobbins: 1.5 }] },
      'wrong-type',
      'wound[0].bobbins',
    ],
    [
      'a zone without fabric',
      'match',
      { ...asked, zone: { ...zone, top: [] } },
      'zone-without-fabric',
      'zone.top',
    ],
    [
      'half a pair kept',
      'whole-quilt',
      { ...whole, zones: [{ id: 'A', zone, keep: { topId: top } }] },
      'missing-field',
      'zones[0].keep.bobbinId',
    ],
    ['a price below nothing', 'whole-quilt', { ...whole, topPrice: -1 }, 'out-of-range', 'topPrice'],
    ['a thread that is not there', 'what-if', { ...preferences, zone, topId: 'gone' }, 'unknown-id', 'topId'],
    [
      'a limit on what has none',
      'what-if',
      { ...preferences, zone, topId: top, limit: 3 },
      'unknown-field',
      'limit',
    ],
    [
      'a fabric that is not there',
      'unknown-cloth',
      { ...unknown, clothIndex: 7 },
      'no-such-cloth',
      'clothIndex',
    ],
    [
      'a weave of no kind',
      'unknown-cloth',
      { ...unknown, description: { ...unknown.description, weave: 'knotted' } },
      'unknown-id',
      'description.weave',
    ],
    [
      'a weight of nothing',
      'unknown-cloth',
      { ...unknown, description: { ...unknown.description, gM2: 0 } },
      'out-of-range',
      'description.gM2',
    ],
    [
      'a density of no spacing',
      'density',
      { battingId: 'wool', zones: [{ id: 'A', technique: 'grid', spacingIn: 0, areaIn2: 9 }] },
      'out-of-range',
      'zones[0].spacingIn',
    ],
    ['colours of no fabric', 'colour', { fabrics: [], threads: [], aim: 'sink' }, 'bad-value', 'fabrics'],
    ['a ruler of no edge', 'ruler', { offsetIn: 0.25, edge: { kind: 'wavy' } }, 'unknown-id', 'edge.kind'],
    [
      'a yarn of no thickness',
      'couching',
      { pathIn: 10, starts: 1, yarnMm: 0, skeinM: 5, footHoleMm: 2, minRadiusIn: 1, gapIn: 1 },
      'out-of-range',
      'yarnMm',
    ],
    ['a request that is no object', 'thread', [] as unknown as object, 'wrong-type', ''],
  ];
  test.each(refusals)('%s', (_, verb, request, code, path) => {
    const response = answer(verb, request);
    expect(response).toMatchObject({ error: { code, path } });
    if (failed(response)) expect(response.error.message).toMatch(/\w.*\.$/);
  });
  test('a verb of no kind names those there are', () => {
    expect(answer('sing', {})).toMatchObject({
      error: { code: 'unknown-verb', message: expect.stringContaining('whole-quilt') as string },
    });
  });
});

test('nothing suits: no error, an empty list, and what to buy', () => {
  expect(answer('match', { ...asked, threads: [] })).toMatchObject({
    setups: [],
    cautions: [{ code: 'nothing-suits' }],
  });
});
