import { table } from './lookup';

/** Something in a zone, beside its cloth, that changes how it may be sewn. */
export interface Feature {
  id: string;
  label: string;
  /** The short word at its mark on a map. */
  mark: string;
  /** Extra layers of top fabric. */
  extraLayers: number;
  /** Thickness it adds by itself, mm. */
  addsMm: number;
  /** By how much it changes the stretch of the cloth, on the scale 0–3. */
  stretch: number;
  /** Factor on firmness of the whole zone. */
  firmness: number;
  /** Factor on firmness at single spots only (seam crossings). */
  firmnessAtSpots: number;
  /** Factor on the needle's life. */
  wear: number;
  /** Rubs the thread. */
  abrasive: boolean;
  /** Sizes to go up from the best needle. */
  largerNeedle: number;
  foot: 'bowl' | null;
  /** The hands stay under this over it, in/s. */
  handInPerS: number | null;
  /** Its advice is the cap on the hands: said only where that holds them back. */
  adviceIsCap: boolean;
  /** It counts where the needle goes over it, not where a line runs round it. */
  onlyOver: boolean;
  /** Its parts come loose: not on a child's quilt. */
  smallParts: boolean;
  /** Hard enough to break a needle. */
  breaksNeedles: boolean;
  /** Whether its advice belongs on every card of the zone; what rubs speaks through its criterion, raised work through the foot. */
  advised: boolean;
  advice: string;
}

const feature = (
  id: string,
  label: string,
  mark: string,
  advice: string,
  rest: Partial<Feature> = {},
): Feature => ({
  id,
  label,
  mark,
  extraLayers: 0,
  addsMm: 0,
  stretch: 0,
  firmness: 1,
  firmnessAtSpots: 1,
  wear: 1,
  abrasive: false,
  largerNeedle: 0,
  foot: null,
  handInPerS: null,
  adviceIsCap: false,
  onlyOver: false,
  smallParts: false,
  breaksNeedles: false,
  advised: true,
  advice,
  ...rest,
});

export const features = table<Feature>('Feature', [
  feature('raised-applique', 'raised appliqué', 'raised', 'Bowl foot, so that it glides over the edges.', {
    extraLayers: 1,
    foot: 'bowl',
    advised: false,
  }),
  feature(
    'dense-embroidery',
    'dense embroidery',
    'dense',
    'Hard on the needle: sew round it where it matters.',
    {
      firmness: 1.6,
      wear: 0.6,
      onlyOver: true,
    },
  ),
  feature(
    'plastic-print',
    'vinyl or plastic print',
    'vinyl',
    'Thread breaks where it crosses the print: slow down there, and quilt round it where it matters.',
    { abrasive: true, wear: 0.5, largerNeedle: 1, handInPerS: 1.2, advised: false },
  ),
  feature('metallic-fabric', 'metallic fabric', 'metal', 'Metal yarns rub the thread; sew slowly.', {
    abrasive: true,
    wear: 0.8,
    advised: false,
  }),
  feature('beads', 'beads', 'beads', 'Keep the needle off the beads.', {
    smallParts: true,
    handInPerS: 1.2,
  }),
  feature('fusible-web', 'fusible web', 'web', 'Gums the needle: wipe it, change it early.', { wear: 0.7 }),
  feature('glue', 'glue', 'glue', 'Gums the needle: wipe it, change it early.', { wear: 0.7 }),
  feature(
    'bulky-seams',
    'bulky seams',
    'bulk',
    'Held to 2 in/s: over the crossings a faster hand bends the needle.',
    {
      firmnessAtSpots: 2,
      handInPerS: 2,
      adviceIsCap: true,
      breaksNeedles: true,
    },
  ),
  feature(
    'pocket-open',
    'pocket to stay open',
    'pocket',
    'Mark the pocket; stitch inside the flap, never across.',
  ),
  feature('knots', 'French knots', 'knots', 'Hold them down with lines between.', { handInPerS: 1.2 }),
  feature('full-area', 'full (fullness)', 'full', 'Quilt it down, denser.'),
  feature(
    'interfaced',
    'interfacing behind it',
    'interfaced',
    'Light interfacing holds the stretch; keep the iron and it away from vinyl.',
    { addsMm: 0.12, firmness: 1.25, wear: 0.85, stretch: -2, advised: false },
  ),
  feature(
    'open-seam-pressed',
    'seams pressed open',
    'open seam',
    'A ditch over an open seam cuts its threads: sew beside it.',
    { advised: false },
  ),
]);
