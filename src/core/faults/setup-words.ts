import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import { features } from '../tables/features';
import { fibres } from '../tables/fibres';
import { FEET } from '../tables/techniques';

/** A fact told under an id of the tables: the words the fault knowledge has for it, or that it has none. */
interface Words {
  /** The ids the tables know; what is in neither is an error. */
  ids: readonly string[];
  words: Readonly<Record<string, string>>;
}

const PILE = { plush: 'minky/plush', fleece: 'minky/plush' } as const;
const battingFibre = (id: string): string | undefined =>
  (
    [
      [/80-20|cotton-poly/, 'cotton-polyester'],
      [/^cotton/, 'cotton'],
      [/^polyester/, 'polyester'],
      [/^wool/, 'wool'],
      [/^bamboo/, 'bamboo blend'],
    ] as const
  ).find(([of]) => of.test(id))?.[1];

/** The tables' own ids in the words of the fault knowledge, by fact. */
export const SETUP_WORDS: Readonly<Record<string, Words>> = {
  threadFibre: {
    ids: fibres.ids,
    words: { 'nylon-mono': 'nylon-monofilament', 'polyester-mono': 'polyester-monofilament' },
  },
  topFabric: {
    ids: fabrics.ids,
    words: {
      ...PILE,
      'quilting-cotton': 'quilting cotton',
      canvas: 'denim',
      'jersey-knit': 'knit jersey',
      'wool-felted': 'wool felt applique',
    },
  },
  backing: {
    ids: fabrics.ids,
    words: { ...PILE, 'quilting-cotton': 'quilting cotton', 'sateen-wide': 'wide cotton' },
  },
  feature: {
    ids: features.ids,
    words: {
      'raised-applique': 'raised applique',
      'plastic-print': 'plastic print',
      'fusible-web': 'fusible web',
      'bulky-seams': 'bulky seam',
      'dense-embroidery': 'dense embroidery',
    },
  },
  battingFibre: {
    ids: battings.ids,
    words: Object.fromEntries(
      battings.ids.flatMap((id) => (battingFibre(id) ? [[id, battingFibre(id)!]] : [])),
    ),
  },
  footType: {
    ids: FEET,
    words: { closed: 'closed round', 'open-toe': 'open toe', bowl: 'cup' },
  },
  regulationMode: {
    ids: [],
    words: { 'regulated-idling': 'idling', 'regulated-resting': 'resting' },
  },
};
