import { fibres } from '../tables/fibres';
import { techniques } from '../tables/techniques';
import { aMatch } from '../testing/a-shelf';
import { match } from './match';
import type { MatchRequest, MatchZone } from './request';
import type { Setup } from './setup';

const fibreOf = (s: Setup) => aMatch().threads.find((t) => t.id === s.topId)!;
const isMono = (s: Setup) => fibres.get(fibreOf(s).fibre).mono;
const says = (s: Setup, code: string) => [...s.cautions, ...s.reasons].some((n) => n.code === code);

/** Twelve very different quilts, and what anyone who sews them would insist on. */
const QUILTS: [string, Partial<MatchZone>, Partial<MatchRequest>, (s: Setup) => void][] = [
  [
    'felted wool appliqué: only a very fine thread sinks in',
    {
      top: [{ fabric: 'wool-felted', hex: '#3a3f45' }],
      battingId: 'wool',
      technique: 'meander-small',
      spacingIn: 0.4,
      use: 'wall',
    },
    {},
    (s) => expect(fibreOf(s).tex).toBeLessThan(14),
  ],
  [
    'a baby quilt on plush: no clear thread, hands held back at the seams, its sides basted closer',
    {
      top: [{ fabric: 'quilting-cotton', hex: '#f2d7a0', busyness: 2, role: 'print' }],
      backing: 'plush',
      battingId: 'polyester-low',
      technique: 'meander-large',
      spacingIn: 2,
      visibility: 'texture',
      use: 'baby',
      features: ['bulky-seams'],
    },
    {},
    (s) => {
      expect(isMono(s)).toBe(false);
      expect(s.handInPerS).toBeLessThanOrEqual(2);
      for (const code of ['backing-creeps', 'bulky-seams', 'needle-break-eyes'])
        expect([code, says(s, code)]).toEqual([code, true]);
    },
  ],
  [
    'a batik art quilt: a fine sharp point, thread that stands out',
    {
      top: [{ fabric: 'batik', hex: '#1f4e79' }],
      backing: 'batik',
      technique: 'feathers',
      spacingIn: 0.75,
      visibility: 'show',
      use: 'show',
    },
    {},
    (s) => {
      expect(s.needle.point).not.toBe('light-ball');
      expect(says(s, 'thread-stands-out')).toBe(true);
    },
  ],
  [
    'denim: a stout needle',
    {
      top: [{ fabric: 'denim', hex: '#33415a' }],
      backing: 'flannel',
      battingId: 'cotton-needled',
      technique: 'grid',
      spacingIn: 2,
      visibility: 'show',
      features: ['bulky-seams'],
    },
    {},
    (s) => {
      expect(s.needle.nm).toBeGreaterThanOrEqual(100);
      // The hands are slower than the cap already: it is not said.
      expect(says(s, 'bulky-seams')).toBe(false);
    },
  ],
  [
    'satin with tiny fills: a thin blade, a fine thread, a warning of the holes',
    {
      top: [{ fabric: 'satin', hex: '#e6dccb' }],
      backing: 'sateen-wide',
      battingId: 'wool',
      technique: 'micro-fill',
      spacingIn: 0.12,
      smallestRadiusIn: 0.08,
      use: 'show',
    },
    {},
    (s) => {
      expect(s.needle.nm).toBeLessThanOrEqual(90);
      expect(fibreOf(s).tex).toBeLessThan(20);
      expect(s.needle.nm / 100 / s.stitchMm).toBeLessThanOrEqual(0.6);
      expect(says(s, 'hole-memory') || says(s, 'perforation')).toBe(true);
    },
  ],
  [
    'T-shirts with plastic prints: neither the finest nor a clear thread, slowly over the print',
    {
      top: [
        { fabric: 'jersey-knit', hex: '#222222', share: 0.6 },
        { fabric: 'jersey-knit', hex: '#d04040', share: 0.4, role: 'print', busyness: 3 },
      ],
      technique: 'meander-medium',
      spacingIn: 1.5,
      features: ['plastic-print'],
    },
    {},
    (s) => {
      expect(isMono(s)).toBe(false);
      expect(fibreOf(s).tex).toBeGreaterThan(14);
      expect(s.handInPerS).toBeLessThanOrEqual(1.2);
      expect(says(s, 'plastic-print')).toBe(true);
    },
  ],
  [
    'metallic accents: a large eye, slower hands, a stitch fewer to the inch',
    {
      top: [{ fabric: 'quilting-cotton', hex: '#1a2038' }],
      technique: 'echo',
      visibility: 'show',
      use: 'wall',
    },
    { hold: { topId: 'Brasswork Old Gold' } },
    (s) => {
      const t = techniques.get('echo');
      expect(s.needle.eye).toBe('large');
      expect(s.handInPerS).toBeLessThanOrEqual(0.61 * t.handInPerS);
      expect(s.spi).toBeLessThan(t.baseSpi);
    },
  ],
  [
    'a show quilt with pebbles: fine enough to sew over',
    {
      top: [{ fabric: 'sateen-wide', hex: '#c3ccca' }],
      backing: 'sateen-wide',
      battingId: 'wool',
      technique: 'pebbles',
      spacingIn: 0.25,
      smallestRadiusIn: 0.12,
      visibility: 'texture',
      use: 'show',
    },
    {},
    (s) => {
      expect(fibreOf(s).tex).toBeLessThan(14);
      expect(says(s, 'backtrack-forgiven')).toBe(true);
    },
  ],
  [
    'couching on a plain ground: the thread goes by its yarn',
    {
      top: [{ fabric: 'linen', hex: '#d8cfbb' }],
      technique: 'couching',
      spacingIn: 2,
      smallestRadiusIn: 1.5,
      visibility: 'show',
      use: 'wall',
    },
    { yarn: { diameterMm: 2.1, hex: '#5d6b4f' } },
    (s) => {
      expect(says(s, 'yarn-colour')).toBe(true);
      expect(s.handInPerS).toBeLessThanOrEqual(1);
    },
  ],
  [
    'loud seasonal prints: hardly any thread is seen',
    {
      top: [
        { fabric: 'quilting-cotton', hex: '#9a1f2b', share: 0.5, role: 'print', busyness: 3 },
        { fabric: 'quilting-cotton', hex: '#1f5a32', share: 0.5, role: 'print', busyness: 3 },
      ],
      battingId: 'polyester-low',
      technique: 'meander-large',
      spacingIn: 2.5,
      visibility: 'texture',
    },
    {},
    (s) => {
      expect(isMono(s)).toBe(false);
      expect(s.parts.visibility ?? 0).toBeLessThan(0.3);
    },
  ],
  [
    'scraps on unknown batting: no gap wider than the strictest allows without a word',
    {
      top: [{ fabric: 'unknown', hex: '#8a7a6a', busyness: 2, role: 'print' }],
      battingId: 'unknown',
      technique: 'loops',
      spacingIn: 3,
      visibility: 'texture',
    },
    {},
    (s) => expect(says(s, 'batting-gap')).toBe(true),
  ],
  [
    'a pillow of velvet over high loft: from the middle outwards',
    {
      top: [{ fabric: 'velvet', hex: '#33485a' }],
      backing: 'canvas',
      battingId: 'polyester-high',
      technique: 'grid',
      spacingIn: 2,
      use: 'other',
    },
    {},
    (s) => expect(says(s, 'loft-pushed')).toBe(true),
  ],
];

describe('twelve quilts', () => {
  test.each(QUILTS)('%s', (_, zone, part, insist) => {
    const [best] = match(aMatch(zone, part)).setups;
    insist(best!);
  });
  test.each(QUILTS)('%s: each fact once, each act once, and not a page of them', (_, zone, part) => {
    const [s] = match(aMatch(zone, part)).setups;
    const all = [...s!.cautions, ...s!.reasons];
    for (const list of [all.map((n) => n.code), all.flatMap((n) => n.act ?? [])])
      expect(new Set(list).size).toBe(list.length);
    expect(all.length).toBeLessThanOrEqual(11);
  });
});
