import { deltaEHex } from '../colour/delta-e';
import { aMatch } from '../testing/a-shelf';
import type { MatchRequest, MatchThread, MatchYarn, MatchZone } from './request';
import type { Setup } from './setup';
import { match } from './match';
import { matchWhole } from './whole-quilt';

/**
 * Eight quilts on one table, and thirty threads on the wall. For every zone: what a quilter of thirty years takes down,
 * what she would not have near it, and how she sets the machine. Read it aloud; each line is a sentence of hers.
 */
const HEX = {
  white: '#fbfaf6',
  cream: '#f1e7d0',
  sand: '#d9c7a0',
  tan: '#b99c74',
  brown: '#6a4a32',
  black: '#1b1b1d',
  charcoal: '#3b3e42',
  grey: '#8b9096',
  silver: '#c3c7cb',
  navy: '#1f2a44',
  denim: '#3c5577',
  sky: '#9cc3dc',
  teal: '#1f6f78',
  sea: '#5fa7a0',
  moss: '#5d6b3a',
  holly: '#1f5a34',
  red: '#a3262f',
  rose: '#d88fa0',
  pink: '#f0c3cc',
  gold: '#c9962b',
  plum: '#5a3557',
} as const;
type Colour = keyof typeof HEX;
const thread = (id: string, tex: number, fibre: string, more: Partial<MatchThread> = {}): MatchThread => ({
  id,
  name: id,
  tex,
  fibre,
  role: 'both',
  remainingM: 3000,
  ...more,
});
const forty = (Object.keys(HEX) as Colour[]).map((c) =>
  thread(`forty ${c}`, 27, 'polyester-filament', { hex: HEX[c], role: 'top' }),
);
const SHELF: MatchThread[] = [
  ...forty,
  ...(['white', 'cream', 'grey', 'navy', 'pink', 'brown'] as const).map((c) =>
    thread(`sixty ${c}`, 14, 'polyester-filament', { hex: HEX[c] }),
  ),
  thread('hair silver', 8, 'polyester-filament', { hex: HEX.silver }),
  thread('cotton cream', 36, 'cotton', { hex: HEX.cream, role: 'top' }),
  thread('rope gold', 80, 'cotton', { hex: HEX.gold, role: 'top' }),
  thread('metal gold', 36, 'metallic', { hex: HEX.gold, role: 'top' }),
  thread('tides', 27, 'polyester-filament', {
    hex: HEX.teal,
    hexes: [HEX.teal, HEX.sea, HEX.sky, HEX.navy],
    role: 'top',
  }),
  thread('festive', 27, 'polyester-filament', {
    hex: HEX.red,
    hexes: [HEX.red, HEX.holly, HEX.gold],
    role: 'top',
  }),
  thread('clear', 12, 'polyester-mono', { role: 'top' }),
];
const by = (id: string) => SHELF.find((t) => t.id === id)!;
const NEEDLES: MatchRequest['needles'] = [70, 80, 90, 100, 110, 120].flatMap((nm) =>
  (['standard', 'large'] as const).map((eye) => ({ nm, eye, point: 'sharp' as const })),
);

type Top = MatchZone['top'][number];
const cloth = (c: Colour, fabric = 'quilting-cotton', more: Partial<Top> = {}): Top => ({
  fabric,
  hex: HEX[c],
  name: `${c} ${fabric}`,
  ...more,
});

interface Wants {
  /** Threads she would take, any of them. */
  takes: readonly string[];
  /** Threads she would not have near it. */
  never?: readonly RegExp[];
  nm?: readonly [number, number];
  eye?: 'large';
  spi?: readonly [number, number];
  foot?: string;
  /** The hand no faster than this, in/s. */
  slower?: number;
  says?: readonly string[];
  silent?: readonly string[];
}
type Zone = Omit<Partial<MatchZone>, 'top'> & { top: Top[]; yarn?: MatchYarn };
interface Quilt {
  name: string;
  all: Partial<MatchZone>;
  feet?: readonly string[];
  holeMm?: number;
  zones: readonly (readonly [says: string, zone: Zone, wants: Wants])[];
}

const BLUES = [
  cloth('teal', 'batik', { share: 0.5, role: 'print', busyness: 1 }),
  cloth('sea', 'batik', { share: 0.3, role: 'print', busyness: 1 }),
  cloth('sky', 'batik', { share: 0.2, role: 'print', busyness: 1 }),
];
const SAMPLER = [
  cloth('cream', 'quilting-cotton', { share: 0.4 }),
  cloth('grey', 'quilting-cotton', { share: 0.35 }),
  cloth('navy', 'quilting-cotton', { share: 0.25 }),
];
const LOUD = [
  cloth('red', 'quilting-cotton', { share: 0.5, role: 'print', busyness: 3 }),
  cloth('holly', 'quilting-cotton', { share: 0.3, role: 'print', busyness: 3 }),
  cloth('gold', 'quilting-cotton', { share: 0.2, role: 'print', busyness: 3 }),
];
const TICKING = cloth('cream', 'canvas');

const QUILTS: readonly Quilt[] = [
  {
    name: 'a sea picture in batik, for the wall',
    all: { use: 'wall', backing: 'batik', visibility: 'texture' },
    zones: [
      [
        'water: waves that belong to it',
        { top: BLUES, technique: 'overlapping-waves', spacingIn: 0.8 },
        {
          takes: ['tides', 'forty teal', 'forty sea'],
          never: [/tan|white|hair|clear|rope/],
          nm: [90, 100],
          foot: 'open-toe',
        },
      ],
      [
        'deep water, close waves',
        { top: [cloth('teal', 'batik')], technique: 'echo', spacingIn: 0.4 },
        { takes: ['forty teal'], never: [/tides/], nm: [90, 100] },
      ],
      [
        'sky that is only to be there',
        { top: [cloth('sky', 'batik')], technique: 'meander-medium', spacingIn: 1 },
        { takes: ['forty sky'], never: [/forty grey|hair|white/] },
      ],
      [
        'the sun must be read from the door',
        { top: [cloth('sky', 'batik')], technique: 'web', visibility: 'show', areaIn2: 80, lengthIn: 200 },
        {
          takes: [
            'forty gold',
            'forty teal',
            'cotton cream',
            'rope gold',
            'metal gold',
            'forty red',
            'forty brown',
            'forty black',
            'forty plum',
            'forty navy',
          ],
          never: [/sixty|hair|sky|clear/],
          silent: ['thread-hides'],
        },
      ],
      [
        'pebbles on the shore sink',
        { top: [cloth('sand', 'batik')], technique: 'pebbles', spacingIn: 0.3, visibility: 'sink' },
        { takes: ['forty sand', 'sixty cream'], never: [/rope|cotton|navy/], spi: [13, 16] },
      ],
      [
        'sail in the ditch',
        {
          top: [cloth('white', 'batik')],
          technique: 'ditch',
          visibility: 'sink',
          areaIn2: 100,
          lengthIn: 120,
        },
        { takes: ['sixty white', 'forty white'], never: [/clear|hair/], foot: 'ruler', spi: [10, 12] },
      ],
      [
        'a rope, fat and golden',
        {
          top: [cloth('navy', 'batik')],
          technique: 'outline',
          visibility: 'show',
          areaIn2: 60,
          lengthIn: 90,
          smallestRadiusIn: 1,
        },
        {
          takes: [
            'rope gold',
            'metal gold',
            'forty gold',
            'forty sand',
            'forty white',
            'forty cream',
            'cotton cream',
            'forty silver',
            'forty sky',
          ],
          never: [/sixty|hair|navy/],
        },
      ],
    ],
  },
  {
    name: 'wool appliqué on ticking, for the wall',
    all: { use: 'wall', backing: 'quilting-cotton', visibility: 'sink' },
    zones: [
      [
        'ground round the wool',
        { top: [TICKING], technique: 'meander-small', spacingIn: 0.5, features: ['raised-applique'] },
        { takes: ['sixty cream', 'forty cream', 'cotton cream'], never: [/clear|tan|hair/], foot: 'bowl' },
      ],
      [
        'echo beside the wool',
        { top: [TICKING], technique: 'echo', spacingIn: 0.5, features: ['raised-applique'] },
        { takes: ['sixty cream', 'forty cream'], foot: 'bowl' },
      ],
      [
        'on the wool itself, veins',
        { top: [cloth('moss', 'wool-felted')], technique: 'leaves', spacingIn: 0.6 },
        { takes: ['forty moss'], never: [/hair|clear|cream/] },
      ],
      [
        'lines with a ruler, away from it',
        { top: [TICKING], technique: 'ruler-lines', spacingIn: 1 },
        { takes: ['sixty cream', 'forty cream'], foot: 'ruler', nm: [90, 120] },
      ],
      [
        'round the berries with their knots',
        {
          top: [cloth('red', 'wool-felted')],
          technique: 'outline',
          features: ['knots'],
          areaIn2: 40,
          lengthIn: 90,
        },
        { takes: ['forty red'], slower: 1.2, says: ['knots'] },
      ],
      [
        'a border of the same ticking left to show',
        { top: [TICKING], technique: 'feathers', spacingIn: 0.6, visibility: 'texture' },
        { takes: ['forty cream', 'cotton cream', 'sixty cream'], silent: ['thread-builds-up'] },
      ],
    ],
  },
  {
    name: 'a couched cuddle quilt for a child',
    all: { use: 'baby', backing: 'plush', battingId: 'polyester-low' },
    holeMm: 3,
    zones: [
      [
        'a yarn that runs through the foot',
        {
          top: [cloth('sky', 'flannel')],
          technique: 'couching',
          visibility: 'show',
          areaIn2: 60,
          lengthIn: 100,
          yarn: { diameterMm: 2.5, hex: HEX.white },
        },
        {
          takes: ['forty white', 'sixty white'],
          never: [/clear|rope/],
          foot: 'couching',
          silent: ['hole-too-small'],
          slower: 1,
        },
      ],
      [
        'a yarn that does not',
        {
          top: [cloth('sky', 'flannel')],
          technique: 'couching',
          visibility: 'show',
          areaIn2: 60,
          lengthIn: 100,
          yarn: { diameterMm: 4, hex: HEX.pink },
        },
        {
          takes: ['forty pink', 'sixty pink'],
          never: [/clear/],
          foot: 'ruler',
          says: ['hole-too-small'],
          slower: 1,
        },
      ],
      [
        'a large meander to hold it',
        { top: [cloth('sky', 'flannel')], technique: 'meander-large', spacingIn: 2, visibility: 'texture' },
        { takes: ['forty sky'], never: [/clear|hair/], says: ['backing-creeps'] },
      ],
      [
        'a ditch in many colours, and a child: never clear',
        {
          top: [cloth('sky', 'flannel'), cloth('pink', 'flannel'), cloth('white', 'flannel')],
          technique: 'ditch',
          visibility: 'sink',
          areaIn2: 80,
          lengthIn: 90,
        },
        {
          takes: [
            'sixty white',
            'sixty pink',
            'forty sky',
            'forty white',
            'forty silver',
            'hair silver',
            'forty pink',
          ],
          never: [/clear/],
        },
      ],
      [
        'buttons on the bear',
        {
          top: [cloth('brown', 'fleece')],
          technique: 'outline',
          visibility: 'sink',
          features: ['beads'],
          areaIn2: 50,
          lengthIn: 40,
        },
        { takes: ['forty brown', 'sixty brown'], says: ['small-parts-child', 'beads'], slower: 1.2 },
      ],
    ],
  },
  {
    name: 'T-shirts on pink plush',
    all: { use: 'bed', backing: 'plush', battingId: 'cotton-80-20', visibility: 'texture' },
    zones: [
      [
        'jersey with a plastic print',
        {
          top: [cloth('navy', 'jersey-knit')],
          technique: 'meander-large',
          spacingIn: 2.5,
          features: ['plastic-print'],
        },
        { takes: ['forty navy'], never: [/clear|hair|sixty/], slower: 1.2 },
      ],
      [
        'plain white jersey',
        { top: [cloth('white', 'jersey-knit')], technique: 'loops', spacingIn: 1.5 },
        { takes: ['forty white'], never: [/hair|silver/] },
      ],
      [
        'sashing',
        { top: [cloth('grey')], technique: 'ruler-lines', spacingIn: 1.5 },
        { takes: ['forty grey'], foot: 'ruler' },
      ],
      [
        'a pocket that stays open',
        {
          top: [cloth('denim', 'denim')],
          technique: 'outline',
          features: ['pocket-open'],
          areaIn2: 60,
          lengthIn: 50,
          visibility: 'sink',
        },
        { takes: ['forty denim'], says: ['pocket-open'], nm: [100, 120] },
      ],
      [
        'black, all over',
        { top: [cloth('black', 'jersey-knit')], technique: 'swirls', spacingIn: 1 },
        { takes: ['forty black', 'forty charcoal'], never: [/grey|white/] },
      ],
      [
        'rose, all over',
        { top: [cloth('rose', 'jersey-knit')], technique: 'meander-medium', spacingIn: 1.2 },
        { takes: ['forty rose'], never: [/tan|sand/] },
      ],
    ],
  },
  {
    name: 'a white show whole cloth on satin',
    all: { use: 'show', backing: 'sateen-wide', battingId: 'wool', visibility: 'texture' },
    zones: [
      [
        'feathers',
        { top: [cloth('white', 'satin')], technique: 'feathers', spacingIn: 0.5 },
        {
          takes: ['sixty white', 'forty white'],
          never: [/clear|cream|silver/],
          nm: [70, 90],
          spi: [13, 16],
          silent: ['thread-builds-up', 'flex-high'],
        },
      ],
      [
        'the ground, very close',
        { top: [cloth('white', 'satin')], technique: 'micro-fill', spacingIn: 0.12, visibility: 'sink' },
        { takes: ['sixty white'], never: [/forty grey|clear|hair/], spi: [13, 18], nm: [70, 90] },
      ],
      [
        'crosshatch with a ruler',
        { top: [cloth('white', 'satin')], technique: 'grid', spacingIn: 0.5 },
        { takes: ['sixty white', 'forty white'], foot: 'ruler', nm: [70, 90], spi: [10, 13] },
      ],
      [
        'small leaves',
        { top: [cloth('white', 'satin')], technique: 'leaves', spacingIn: 0.35 },
        { takes: ['sixty white', 'forty white'], spi: [13, 16] },
      ],
      [
        'teardrops',
        { top: [cloth('white', 'satin')], technique: 'teardrop-echo', spacingIn: 0.3 },
        { takes: ['sixty white', 'forty white'], spi: [12, 16] },
      ],
      [
        'pearls in a row',
        { top: [cloth('white', 'satin')], technique: 'pebbles', spacingIn: 0.25 },
        { takes: ['sixty white', 'forty white'], spi: [13, 16], silent: ['thread-builds-up'] },
      ],
      [
        'arcs in the border',
        { top: [cloth('white', 'satin')], technique: 'ruler-arcs', spacingIn: 3 },
        { takes: ['sixty white', 'forty white'], foot: 'ruler' },
      ],
    ],
  },
  {
    name: 'a sampler in cream, grey and navy',
    all: { use: 'bed', backing: 'quilting-cotton', visibility: 'texture' },
    zones: [
      [
        'over all three: silver grey lies between',
        { top: SAMPLER, technique: 'meander-medium', spacingIn: 1 },
        {
          takes: ['forty silver', 'forty grey', 'forty cream', 'forty sand'],
          never: [/navy|red|teal|hair|rope/],
        },
      ],
      [
        'ditch through all three',
        { top: SAMPLER, technique: 'ditch', visibility: 'sink', areaIn2: 80, lengthIn: 300 },
        { takes: ['clear', 'sixty grey', 'forty grey', 'forty silver', 'hair silver'], foot: 'ruler' },
      ],
      [
        'cream blocks',
        { top: [cloth('cream')], technique: 'feathers', spacingIn: 0.7 },
        { takes: ['forty cream', 'cotton cream', 'sixty cream'], silent: ['thread-builds-up'] },
      ],
      [
        'grey sashing',
        { top: [cloth('grey')], technique: 'ruler-lines', spacingIn: 1 },
        { takes: ['forty grey'], never: [/hair|silver/], foot: 'ruler' },
      ],
      [
        'navy border',
        { top: [cloth('navy')], technique: 'swirls', spacingIn: 0.7 },
        { takes: ['forty navy'], never: [/hair|clear|charcoal/] },
      ],
      [
        'cream ground that sinks',
        { top: [cloth('cream')], technique: 'meander-small', spacingIn: 0.3, visibility: 'sink' },
        { takes: ['sixty cream', 'forty cream'], never: [/hair|clear|tan/], spi: [12, 15] },
      ],
      [
        'a motif on grey that should show',
        { top: [cloth('grey')], technique: 'outline', visibility: 'show', areaIn2: 50, lengthIn: 60 },
        {
          takes: [
            'forty navy',
            'forty black',
            'forty white',
            'rope gold',
            'forty plum',
            'forty red',
            'forty cream',
            'cotton cream',
            'forty gold',
            'metal gold',
            'forty brown',
            'forty holly',
            'forty teal',
            'forty moss',
          ],
          never: [/grey|silver|sixty|hair/],
        },
      ],
      [
        'plain ground with a motif beside it: the ground is plain',
        {
          top: [
            cloth('cream', 'quilting-cotton', { share: 0.75, role: 'ground' }),
            cloth('navy', 'quilting-cotton', { share: 0.25, role: 'motif', sewnOver: false }),
          ],
          technique: 'meander-small',
          spacingIn: 0.4,
          visibility: 'sink',
        },
        { takes: ['sixty cream', 'forty cream'], never: [/navy|grey|silver/], silent: ['print-hides'] },
      ],
    ],
  },
  {
    name: 'old jeans for the boat',
    all: { use: 'bed', backing: 'flannel', battingId: 'cotton-needled', visibility: 'texture' },
    zones: [
      [
        'denim, large meander',
        {
          top: [cloth('denim', 'denim')],
          technique: 'meander-large',
          spacingIn: 2.5,
          features: ['bulky-seams'],
        },
        {
          takes: ['forty denim'],
          never: [/hair|sixty|clear/],
          nm: [100, 120],
          slower: 2,
          says: ['bulky-seams'],
        },
      ],
      [
        'gold like its own seams',
        { top: [cloth('denim', 'denim')], technique: 'meander-large', spacingIn: 3, visibility: 'show' },
        {
          takes: [
            'rope gold',
            'forty gold',
            'forty white',
            'forty cream',
            'forty sand',
            'cotton cream',
            'forty silver',
          ],
          never: [/denim|navy|sixty|hair/],
          nm: [100, 120],
        },
      ],
      [
        'rope itself: stitches as long as it wants',
        { top: [cloth('navy', 'denim')], technique: 'loops', spacingIn: 2, visibility: 'show' },
        {
          takes: [
            'rope gold',
            'forty gold',
            'forty white',
            'forty cream',
            'cotton cream',
            'forty silver',
            'forty sand',
            'forty silver',
            'forty sky',
          ],
          never: [/navy|sixty/],
        },
      ],
      [
        'patched knees, outlined',
        {
          top: [cloth('charcoal', 'canvas')],
          technique: 'outline',
          visibility: 'sink',
          areaIn2: 60,
          lengthIn: 60,
        },
        { takes: ['forty charcoal', 'forty black'], nm: [100, 120] },
      ],
      [
        'a flannel square',
        { top: [cloth('red', 'flannel')], technique: 'meander-medium', spacingIn: 1.5 },
        { takes: ['forty red'], never: [/hair|brown/] },
      ],
      [
        'dense embroidery, sewn round',
        {
          top: [cloth('navy')],
          technique: 'outline',
          visibility: 'sink',
          features: ['dense-embroidery'],
          areaIn2: 60,
          lengthIn: 50,
        },
        { takes: ['forty navy', 'sixty navy'], nm: [90, 100], silent: ['dense-embroidery', 'flex-high'] },
      ],
    ],
  },
  {
    name: 'loud prints for the season',
    all: { use: 'bed', backing: 'quilting-cotton', visibility: 'texture' },
    zones: [
      [
        'over everything: its own colours in one thread are welcome',
        { top: LOUD, technique: 'meander-medium', spacingIn: 1.2 },
        {
          takes: [
            'festive',
            'forty red',
            'forty brown',
            'sixty brown',
            'forty holly',
            'forty moss',
            'forty tan',
            'forty gold',
          ],
          never: [/clear|hair|rope/],
          silent: ['thread-shows'],
        },
      ],
      [
        'swirls that sink in them',
        { top: LOUD, technique: 'swirls', spacingIn: 0.8, visibility: 'sink' },
        {
          takes: [
            'festive',
            'forty red',
            'forty brown',
            'forty moss',
            'forty holly',
            'sixty brown',
            'forty tan',
          ],
          silent: ['thread-shows'],
        },
      ],
      [
        'a plain red setting square',
        { top: [cloth('red')], technique: 'feathers', spacingIn: 0.7 },
        { takes: ['forty red'], never: [/festive|brown|plum/] },
      ],
      [
        'gold metal stars on green',
        { top: [cloth('holly')], technique: 'outline', visibility: 'show', areaIn2: 60, lengthIn: 70 },
        {
          takes: [
            'metal gold',
            'rope gold',
            'forty gold',
            'forty white',
            'forty cream',
            'cotton cream',
            'forty pink',
            'forty sand',
            'forty silver',
            'forty sky',
            'forty rose',
          ],
          never: [/holly|moss|sixty|hair/],
        },
      ],
      [
        'the white ground of the border',
        { top: [cloth('white')], technique: 'loops', spacingIn: 1 },
        { takes: ['forty white'], never: [/festive|silver|cream/] },
      ],
      [
        'ditch round everything',
        { top: LOUD, technique: 'ditch', visibility: 'sink', areaIn2: 100, lengthIn: 400 },
        {
          takes: [
            'clear',
            'forty red',
            'sixty brown',
            'forty brown',
            'forty holly',
            'forty moss',
            'festive',
            'forty tan',
          ],
          foot: 'ruler',
        },
      ],
    ],
  },
];

const zoneOf = (q: Quilt, { yarn: _, ...z }: Zone): MatchZone => ({
  backing: 'quilting-cotton',
  battingId: 'cotton-80-20',
  technique: 'meander-medium',
  visibility: 'texture',
  use: 'bed',
  areaIn2: 400,
  ...q.all,
  ...z,
});
const askOf = (q: Quilt, z: Zone, part: Partial<MatchRequest> = {}): MatchRequest => {
  const base = aMatch(zoneOf(q, z), { threads: SHELF, needles: NEEDLES, yarn: z.yarn, limit: 3, ...part });
  return {
    ...base,
    machine: { ...base.machine, feet: q.feet ?? base.machine.feet, couchingHoleMm: q.holeMm },
  };
};
const codesOf = (s: Setup) => [...s.cautions, ...s.reasons].map((n) => n.code);
const within = (x: number, [lo, hi]: readonly [number, number]) => x >= lo && x <= hi;

function judge(s: Setup, w: Wants): string[] {
  const wrong: string[] = [];
  if (!w.takes.includes(s.topId)) wrong.push(`takes ${s.topId}`);
  if (w.never?.some((r) => r.test(s.topId))) wrong.push(`would never: ${s.topId}`);
  if (w.nm && !within(s.needle.nm, w.nm)) wrong.push(`Nm ${s.needle.nm}`);
  if (w.eye && s.needle.eye !== w.eye) wrong.push(`eye ${s.needle.eye}`);
  if (w.spi && !within(s.spi, w.spi)) wrong.push(`${s.spi} per inch`);
  if (w.foot && s.foot !== w.foot) wrong.push(`foot ${s.foot}`);
  if (w.slower && s.handInPerS > w.slower + 1e-9) wrong.push(`hand ${s.handInPerS}`);
  for (const code of w.says ?? []) if (!codesOf(s).includes(code)) wrong.push(`does not say ${code}`);
  for (const code of w.silent ?? []) if (codesOf(s).includes(code)) wrong.push(`says ${code}`);
  return wrong;
}

/** What holds for every card, whatever lies on the table. */
function always(s: Setup): string[] {
  const wrong: string[] = [];
  const texts = [...s.cautions, ...s.reasons].map((n) => `${n.text} ${n.act ?? ''}`);
  const codes = codesOf(s);
  if (s.cautions.filter((c) => c.severity !== 'stop').length > 3) wrong.push('more than three cautions');
  for (const t of texts) {
    if (/\d\.\d{3,}/.test(t)) wrong.push(`digits nobody can set: ${t}`);
    if (/nearer to/.test(t)) wrong.push(`sends for what stands there: ${t}`);
  }
  if (new Set(texts).size < texts.length) wrong.push('says a thing twice');
  if (codes.includes('bold') && codes.includes('thread-hides')) wrong.push('bold and hardly seen');
  if (codes.includes('flex-high') && codes.includes('blade-marks')) wrong.push('bends and marks');
  if (s.bobbinGf < 14) wrong.push(`bobbin at ${s.bobbinGf}`);
  if (s.needle.nm > 120) wrong.push(`Nm ${s.needle.nm}`);
  const thick = by(s.topId);
  if (thick.tex >= 60 && (s.spi > 9 || s.needle.eye !== 'large' || s.needle.nm < 110))
    wrong.push(`a rope at ${s.spi} per inch, Nm ${s.needle.nm} ${s.needle.eye}`);
  if (by(s.bobbinId).tex > 16 && s.topId !== s.bobbinId) wrong.push(`a coarse ${s.bobbinId} below`);
  return wrong;
}

describe.each(QUILTS.map((q) => [q.name, q] as const))('%s', (_, q) => {
  test.each(q.zones)('%s', (_says, zone, wants) => {
    const s = match(askOf(q, zone)).setups[0]!;
    expect([s.topId, ...judge(s, wants), ...always(s)]).toEqual([s.topId]);
  });
  test('as a whole it would be sewn as answered', () => {
    const { zone: _z, limit: _l, yarn: _y, ...shared } = askOf(q, q.zones[0]![1]);
    const whole = matchWhole({
      ...shared,
      zones: q.zones.map(([id, z]) => ({ id, zone: zoneOf(q, z), yarn: z.yarn })),
    });
    const told = whole.zones.map((z, i) => {
      const [says, , { takes, never, foot, slower }] = q.zones[i]!;
      const wrong = judge(z.setup!, { takes, never, foot, slower });
      return [says, ...wrong.map((w) => `${w} of ${z.own!.topId}`)];
    });
    expect(told).toEqual(q.zones.map(([says]) => [says]));
    // What several zones share is said once.
    const each = whole.zones.flatMap((z) => z.setup!.cautions.map((c) => c.text));
    expect(new Set(each).size).toBe(each.length);
  });
});

test('feet and yarns: a bowl is not praised where none is owned, and nothing open goes against a ruler', () => {
  const wool = QUILTS[1]!;
  const bare = { ...wool, feet: ['open-toe', 'closed'] };
  const raised = match(askOf(bare, wool.zones[0]![1])).setups[0]!;
  expect(raised.foot).toBe('open-toe');
  expect([...raised.cautions, ...raised.reasons].map((n) => n.text).join(' ')).not.toMatch(/glides/);
  const ruled = match(askOf(bare, wool.zones[3]![1])).setups[0]!;
  expect(ruled.foot).toBe('closed');
  expect(ruled.cautions.map((c) => c.code)).toContain('foot-missing');
});

describe('schools are obeyed over a varied shelf', () => {
  const zones = QUILTS.flatMap((q) => q.zones.map(([, z]) => [q, z] as const)).filter(
    ([, z]) => z.technique !== 'couching',
  );
  const share = (part: Partial<MatchRequest>, holds: (s: Setup) => boolean) => {
    const told = zones.map(([q, z]) => match(askOf(q, z, part)).setups[0]!);
    return told.filter(holds).length / told.length;
  };
  const both = SHELF.map((t) => ({ ...t, role: 'both' as const }));
  test('a fine filament below is what comes out under the usual school', () => {
    const fine = (s: Setup) => {
      const b = by(s.bobbinId);
      return b.tex <= 14 && b.fibre === 'polyester-filament';
    };
    expect(share({ threads: both }, fine)).toBeGreaterThan(0.95);
  });
  test('the same thread below is what comes out under the other', () => {
    const same = (s: Setup) => s.topId === s.bobbinId || by(s.topId).fibre.includes('mono');
    expect(share({ threads: both, preferences: { bobbin: 'same' } }, same)).toBeGreaterThan(0.95);
  });
  test('its colour fits top or backing', () => {
    const fits = (s: Setup) => {
      const [t, b] = [by(s.topId).hex, by(s.bobbinId).hex];
      return !t || !b || deltaEHex(t, b) < 45;
    };
    expect(share({}, fits)).toBeGreaterThan(0.85);
  });
});
