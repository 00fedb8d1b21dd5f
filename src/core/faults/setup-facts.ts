import { battings } from '../tables/battings';
import { eyeRatio } from '../needle/eye';
import type { Eye } from '../tables/needles';
import type { FootId } from '../tables/techniques';
import type { Mode } from '../stitch/machine';

/** What stood on the machine where a fault was noted. */
export interface SetupThen {
  needleStitches: number | null;
  needleNm: number;
  eye: Eye;
  tex: number;
  fibre: string;
  topFabric: string | null;
  features: readonly string[];
  battingId: string;
  backing: string;
  handInPerS: number;
  maxInPerS: number;
  mode: Mode;
  spi: number;
  topGf: number;
  startTopGf: number;
  bobbinGf: number;
  startBobbinGf: number;
  besideRuler: boolean;
  foot: FootId;
}

/** Our names for a thing under those the fault knowledge uses; what is not named there is not told. */
const FIBRE: Readonly<Record<string, string>> = {
  'nylon-mono': 'nylon-monofilament',
  'polyester-mono': 'polyester-monofilament',
};
const FABRIC: Readonly<Record<string, string>> = {
  'quilting-cotton': 'quilting cotton',
  batik: 'batik',
  flannel: 'flannel',
  plush: 'minky/plush',
  fleece: 'minky/plush',
  satin: 'satin',
  linen: 'linen',
  denim: 'denim',
  canvas: 'denim',
  'jersey-knit': 'knit jersey',
  'wool-felted': 'wool felt applique',
  lame: 'lame',
};
const BACKING: Readonly<Record<string, string>> = {
  'quilting-cotton': 'quilting cotton',
  'sateen-wide': 'wide cotton',
  batik: 'batik',
  flannel: 'flannel',
  plush: 'minky/plush',
  fleece: 'minky/plush',
};
const FEATURE: Readonly<Record<string, string>> = {
  'plastic-print': 'plastic print',
  'fusible-web': 'fusible web',
  glue: 'glue',
  'bulky-seams': 'bulky seam',
  'dense-embroidery': 'dense embroidery',
  beads: 'beads',
};
const BATTING: readonly (readonly [RegExp, string])[] = [
  [/80-20|cotton-poly/, 'cotton-polyester'],
  [/^cotton/, 'cotton'],
  [/^polyester/, 'polyester'],
  [/^wool/, 'wool'],
  [/^bamboo/, 'bamboo blend'],
];
const FOOT: Partial<Record<FootId, string>> = {
  closed: 'closed round',
  'open-toe': 'open toe',
  ruler: 'ruler',
  bowl: 'cup',
};
const [LOW_MM, MID_MM] = [4.5, 8];

/** The set-up as the fault knowledge asks for it; what is not known is left out. */
export function setupFactsOf(s: SetupThen): Record<string, string | number | boolean | string[]> {
  const loft = battings.find(s.battingId)?.loftMm;
  const known: Record<string, string | number | boolean | string[] | undefined> = {
    needleAgeStitches: s.needleStitches ?? undefined,
    needleNm: s.needleNm,
    threadTex: s.tex,
    threadFibre: FIBRE[s.fibre] ?? s.fibre,
    threadEyeRatio: eyeRatio({ tex: s.tex, fibre: s.fibre }, s.needleNm, s.eye),
    topFabric: s.topFabric ? FABRIC[s.topFabric] : undefined,
    feature: s.features.flatMap((f) => FEATURE[f] ?? []),
    battingFibre: BATTING.find(([of]) => of.test(s.battingId))?.[1],
    battingLoft: loft === undefined ? undefined : loft <= LOW_MM ? 'low' : loft <= MID_MM ? 'mid' : 'high',
    backing: BACKING[s.backing],
    handSpeedShareOfLimit: s.handInPerS / s.maxInPerS,
    regulationMode: s.mode,
    spi: s.spi,
    topTensionShareOfStart: s.topGf / s.startTopGf,
    bobbinTensionShareOfStart: s.bobbinGf / s.startBobbinGf,
    rulerWork: s.besideRuler,
    footType: FOOT[s.foot],
    computerGuided: false,
  };
  return Object.fromEntries(Object.entries(known).filter((e) => e[1] !== undefined)) as Record<
    string,
    string | number | boolean | string[]
  >;
}
