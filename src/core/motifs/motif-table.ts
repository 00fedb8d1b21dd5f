import { table } from '../tables/lookup';

/** What a zone is in its quilt. */
export const ROLES = ['ground', 'border', 'sashing', 'block', 'motif', 'space', 'whole'] as const;
export type Role = (typeof ROLES)[number];
export const ROLE_LABEL: Readonly<Record<Role, string>> = {
  ground: 'ground',
  border: 'border',
  sashing: 'sashing',
  block: 'block',
  motif: 'motif',
  space: 'negative space',
  whole: 'whole quilt',
};
const LETTER: Readonly<Record<string, Role>> = {
  G: 'ground',
  B: 'border',
  S: 'sashing',
  K: 'block',
  M: 'motif',
  N: 'space',
  W: 'whole',
};

export const TRAITS = ['straight', 'curved', 'corners', 'points'] as const;
export type Trait = (typeof TRAITS)[number];
const TRAIT: Readonly<Record<string, Trait>> = { s: 'straight', c: 'curved', k: 'corners', p: 'points' };

/** What a technique is as a motif, beside its row in the table of techniques. Judgements, editable. */
export interface Motif {
  id: string;
  /** Spacing from, to, inches (arcs: chord); null where it has none. */
  g: readonly [low: number, high: number] | null;
  /** The narrowest place must be k spacings wide; for an outline so many inches. */
  k: number;
  narrowIn: number | null;
  fits: readonly Trait[];
  home: readonly Role[];
  usual: readonly Role[];
  /** Nothing but seams and edges, lines, a fill, or figures. */
  kind: 'none' | 'line' | 'fill' | 'figure';
  straight: boolean;
  /** How much it is seen, 0–3. */
  presence: number;
  /** Skill it asks, 1–3. */
  skill: number;
  /** All ways, along, or in and out. */
  way: 'all' | 'along' | 'radial';
  /** How firm it feels for its line density. */
  feel: number;
  words: readonly string[];
  follows: readonly string[];
}

const KIND: Readonly<Record<string, Motif['kind']>> = { '–': 'none', L: 'line', F: 'fill', G: 'figure' };
const WAY: Readonly<Record<string, Motif['way']>> = { a: 'all', l: 'along', r: 'radial' };
const list = (s: string) => (s ? s.split(' ') : []);

function motif(
  id: string,
  g: readonly [number, number] | null,
  k: number,
  fits: string,
  roles: string,
  type: string,
  presence: number,
  skill: number,
  way: string,
  feel: number,
  words = '',
  follows = '',
): Motif {
  const named = (test: (c: string) => boolean) =>
    [...roles].filter(test).map((c) => LETTER[c.toUpperCase()]!);
  return {
    id,
    g,
    k: id === 'outline' ? 0 : k,
    narrowIn: id === 'outline' ? k : null,
    fits: [...fits].map((c) => TRAIT[c]!),
    home: named((c) => c === c.toUpperCase()),
    usual: named((c) => c !== c.toUpperCase()),
    kind: KIND[type[0]!]!,
    straight: type.includes('′'),
    presence,
    skill,
    way: WAY[way]!,
    feel,
    words: list(words),
    follows: list(follows),
  };
}

export const MOTIFS = table<Motif>('Technique', [
  motif('open', null, 0, 'sckp', 'Mk', '–′', 0, 1, 'a', 0),
  motif('ditch', null, 0, 'skp', 'SKbg', '–′', 0, 1.5, 'l', 0.6, 'traditional', 'seam'),
  motif('outline', null, 0.3, 'sckp', 'Mk', '–', 0.7, 2, 'l', 0.7, '', 'figure'),
  motif(
    'ruler-lines',
    [0.25, 3],
    1,
    'skp',
    'BSKNWgm',
    'L′',
    2,
    1,
    'l',
    0.8,
    'modern geometric calm',
    'stripe plaid',
  ),
  motif('grid', [0.5, 3], 3, 'skp', 'KNbgmw', 'L′', 2, 2, 'a', 1.2, 'traditional modern geometric', 'plaid'),
  motif('ruler-arcs', [1.5, 8], 1, 'skp', 'KBSn', 'L', 2, 2, 'l', 1, 'traditional geometric'),
  motif('echo', [0.25, 1], 3, 'sckp', 'GMNbk', 'L', 1, 2, 'r', 1, 'water modern calm', 'figure'),
  motif('echo-irregular', [0.4, 2], 2, 'sc', 'GNbw', 'L', 1, 1, 'l', 0.9, 'water wind modern hills'),
  motif('meander-large', [1.75, 4], 1.5, 'sc', 'Wgb', 'F', 1, 1, 'a', 0.9, 'calm playful'),
  motif('meander-medium', [0.75, 1.75], 1, 'sckp', 'GWbksn', 'F', 1, 1, 'a', 0.9, 'calm playful'),
  motif('meander-small', [0.3, 0.75], 1, 'sckp', 'Gn', 'F', 1, 2, 'a', 1, 'calm'),
  motif('micro-fill', [0.08, 0.25], 1.5, 'sckp', 'G', 'F', 1, 3, 'a', 1.3, 'stone'),
  motif('loops', [0.5, 2.5], 1.5, 'sc', 'BGWskn', 'F', 1.5, 1, 'l', 0.9, 'playful flowers'),
  motif('overlapping-waves', [0.5, 2], 1.5, 'sck', 'Bksnw', 'F', 1.4, 1, 'l', 1, 'water wind playful'),
  motif('swirls', [0.3, 2], 1.5, 'sck', 'GNwb', 'F', 1.5, 1.2, 'a', 1, 'wind water'),
  motif('pebbles', [0.12, 0.75], 1, 'sckp', 'GNkbm', 'F', 2, 2, 'a', 1.3, 'stone water modern'),
  motif('feathers', [0.4, 1.5], 4, 'sck', 'BNkwm', 'G', 3, 3, 'l', 1.1, 'traditional romantic wings'),
  motif('leaves', [0.4, 2], 2, 'sckp', 'Bgknmw', 'G', 2.3, 2, 'l', 1, 'leaves flowers grass'),
  motif(
    'teardrop-echo',
    [0.3, 1.25],
    2.5,
    'sckp',
    'GNwbm',
    'G',
    2,
    2,
    'a',
    1.1,
    'romantic flowers traditional',
  ),
  motif('comb', [0.2, 1], 2.5, 'sck', 'Bgsm', 'G', 2.2, 2.5, 'l', 1.1, 'fur grass wings water'),
  motif('web', [1, 4], 3, 'skp', 'knm', 'G′', 3, 1.5, 'r', 0.9, 'spooky sun geometric'),
  motif('follow-print', [0.4, 2], 1, 'sckp', 'GBKMnsw', 'L', 1, 1, 'a', 1, '', 'print'),
  motif('thread-painting', [0.05, 0.3], 1, 'sckp', 'M', 'G', 3, 2.5, 'a', 1.6, 'portrait fur'),
  motif('couching', [1, 6], 2, 'sc', 'Nwb', 'G', 3, 2, 'a', 1.2, 'tactile playful'),
  motif('guided-pattern', [0.5, 4], 1, 'sk', 'WBnk', 'F', 1.5, 1, 'a', 1),
]);

/** Words a theme may be said in, each led to one of the table's. */
const SYNONYMS: Readonly<Record<string, string>> = {
  sea: 'water',
  ocean: 'water',
  waves: 'water',
  river: 'water',
  rain: 'water',
  harbour: 'water',
  fish: 'water',
  sky: 'wind',
  clouds: 'wind',
  air: 'wind',
  breeze: 'wind',
  smoke: 'wind',
  mountains: 'hills',
  landscape: 'hills',
  fields: 'hills',
  dunes: 'hills',
  pebble: 'stone',
  rock: 'stone',
  rocks: 'stone',
  stones: 'stone',
  beach: 'stone',
  bubbles: 'stone',
  flower: 'flowers',
  floral: 'flowers',
  garden: 'flowers',
  roses: 'flowers',
  leaf: 'leaves',
  forest: 'leaves',
  trees: 'leaves',
  autumn: 'leaves',
  vine: 'leaves',
  feather: 'wings',
  birds: 'wings',
  bird: 'wings',
  butterfly: 'wings',
  meadow: 'grass',
  animals: 'fur',
  animal: 'fur',
  cat: 'fur',
  dog: 'fur',
  hair: 'fur',
  face: 'portrait',
  people: 'portrait',
  halloween: 'spooky',
  spider: 'spooky',
  sunshine: 'sun',
  star: 'sun',
  stars: 'sun',
  classic: 'traditional',
  heirloom: 'traditional',
  vintage: 'traditional',
  wedding: 'romantic',
  love: 'romantic',
  hearts: 'romantic',
  lines: 'geometric',
  squares: 'geometric',
  graphic: 'geometric',
  minimal: 'modern',
  quiet: 'calm',
  restful: 'calm',
  fun: 'playful',
  child: 'playful',
  children: 'playful',
  baby: 'playful',
  texture: 'tactile',
  touch: 'tactile',
};
const WORDS = new Set(MOTIFS.rows.flatMap((m) => m.words));

/** A theme as the table knows it; null for a word nobody knows. */
export function themeWord(said: string): string | null {
  const w = said.trim().toLowerCase();
  return WORDS.has(w) ? w : (SYNONYMS[w] ?? SYNONYMS[w.replace(/s$/u, '')] ?? null);
}
