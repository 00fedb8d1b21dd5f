import { safety } from '../cautions/cautions';
import type { Caution } from '../notes';
import type { Mode } from '../stitch/machine';
import type { Technique } from '../tables/techniques';

/** Safety that holds whatever thread and cloth: by the mode, the ruler, the yarn. */
export const standingSafety = (t: Technique, mode: Mode): Caution[] => [
  ...(mode === 'idling' || t.besideRuler || t.couches ? [safety('hands-near-needle')] : []),
  ...(t.besideRuler ? [safety('ruler-thickness'), safety('needle-break-eyes')] : []),
];
