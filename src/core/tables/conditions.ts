import { table } from './lookup';

/** What may be wrong with a quilt when it arrives: what it is called, what it means, what it takes. */
export interface ConditionKind {
  id: string;
  label: string;
  also: readonly string[];
  /** What it means for the work, in one sentence or two. */
  means: string;
  /** Whether the client must agree before work begins, is told, or neither; a length that makes it serious, inches. */
  client: 'agree' | 'tell' | 'none';
  agreeFromIn?: number;
  /** Minutes to set right: middle of the usual range, and more for each inch of it. A judgement, editable in the offer. */
  minutes: number;
  minutesPerIn?: number;
}

const k = (
  id: string,
  label: string,
  also: string,
  client: ConditionKind['client'],
  minutes: number,
  means: string,
  more: Partial<ConditionKind> = {},
): ConditionKind => ({ id, label, also: also ? also.split(', ') : [], client, minutes, means, ...more });

export const CONDITION_KINDS = table<ConditionKind>('Condition', [
  k(
    'open-seam',
    'Open seam',
    'split, split seam, seam open, popped seam',
    'tell',
    3,
    'Close it before loading.',
    {
      minutesPerIn: 0.3,
      agreeFromIn: 4,
    },
  ),
  k(
    'stain',
    'Stain',
    'spot, rust, pen, ink, mark',
    'agree',
    12,
    'No heat and no water on it until it is decided.',
  ),
  k(
    'tear',
    'Tear',
    'rip, hole, moth, cut, snag',
    'agree',
    10,
    'Patch it, or quilt it with lines at most ½ in apart, slowly (2 in/s).',
  ),
  k(
    'weak-fabric',
    'Weak fabric',
    'worn, shattered, rotten, frail, thin fabric',
    'agree',
    15,
    'Net it or decline it; open quilting only, a needle of Nm 80 at most.',
  ),
  k(
    'bleeding-dye',
    'Bleeding dye',
    'running, crocking, color run, colour run, bleeds, dye',
    'agree',
    10,
    'No steam and no wet marks. Test the dye with wet white fabric before it is washed.',
  ),
  k(
    'loose-threads',
    'Loose threads',
    'tails, shadowing, threads, fraying',
    'tell',
    10,
    'Clip them before loading: dark ones show through light fabric.',
  ),
  k(
    'wavy-border',
    'Wavy border',
    'ruffled, flared, full border, wavy edge',
    'tell',
    10,
    'Up to 1 % longer than the middle quilts out. To 3 %: float the top, denser, from the middle out. More: re-sew the border, or pleats are accepted.',
  ),
  k(
    'full-block',
    'Full block',
    'puffy, bubble, fullness, poofy block, full area',
    'tell',
    5,
    'Loftier batting and denser quilting take up to 3 %. More must be re-sewn, or pleats are accepted.',
  ),
  k(
    'not-square',
    'Out of square',
    'skewed, crooked, lopsided, diamond, not square',
    'tell',
    5,
    'Float the top. Tell the client from 1 %; from 2 % she must agree.',
  ),
  k(
    'metal-left',
    'Metal left in',
    'pins, staples, safety pins, needles left',
    'tell',
    5,
    'Nothing is loaded until all of it is out.',
  ),
  k(
    'pet-hair',
    'Pet hair',
    'fur, lint, dog hair, cat hair',
    'tell',
    8,
    'Roll it off; clean the hook more often. Allergies.',
    {
      minutesPerIn: 0,
    },
  ),
  k(
    'odour',
    'Odour',
    'smoke, mold, mould, smell, insects, odor, musty',
    'agree',
    5,
    'Bag it and air it. Mold or insects stay out of the studio.',
  ),
  k(
    'seams-open',
    'Seams pressed open',
    'pressed open, open pressed seams',
    'none',
    0,
    'Quilt ¼ in beside the seam, never in the ditch.',
  ),
  k(
    'bulk',
    'Bulky spot',
    'lump, bulky seam, bump, thick seam',
    'none',
    0.2,
    'Slow down over it; wear eye protection.',
  ),
  k(
    'loose-applique',
    'Loose appliqué',
    'lifting, glued, appliqué lifting, loose applique',
    'agree',
    5,
    'Hold it down first, with the bowl foot.',
    { minutesPerIn: 0.1 },
  ),
  k(
    'backing-fault',
    'Backing too short or crooked',
    'backing short, short, crooked backing, backing fault, small backing',
    'agree',
    20,
    'Recut it or piece it before loading.',
  ),
]);
/** Every name it goes by, its own first. */
export const conditionNames = (c: ConditionKind): string[] => [c.label, c.id, ...c.also];

/** Minutes it takes to set right. Size in inches, at least 0; left out where it is not known. */
export const conditionMinutes = (c: ConditionKind, sizeIn: number | null): number =>
  c.minutes + (c.minutesPerIn ?? 0) * (sizeIn ?? 0);

/** Whether the client must agree, is told, or neither, by kind and size in inches. */
export const conditionAsks = (c: ConditionKind, sizeIn: number | null): ConditionKind['client'] =>
  c.agreeFromIn !== undefined && (sizeIn ?? 0) >= c.agreeFromIn ? 'agree' : c.client;

/** A condition in a few words for the machine: what, where, on which side. */
export const conditionWords = (c: { kind: string; place: string; side: string; note: string }): string =>
  [
    CONDITION_KINDS.get(c.kind).label.toLowerCase(),
    [c.place, c.side === 'back' ? 'on the back' : ''].filter(Boolean).join(', '),
    c.note,
  ]
    .filter(Boolean)
    .join(': ');
