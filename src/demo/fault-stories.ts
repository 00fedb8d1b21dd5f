/** Faults as they happen on such quilts: signs that belong together, and what became of them. */
export interface FaultStory {
  quilt: string;
  zone: string;
  symptoms: readonly string[];
  direction?: Direction;
  pass?: number;
  note: string;
  status: 'open' | 'mended' | 'left';
  /** When it was noticed; without, the stories follow each other day by day. */
  daysAgo?: number;
}

/** What some of them were found to be, by their note: the cause, what was done, and whether a pass was sewn without it. */
export const foundToBe: Readonly<
  Record<string, { cause: string; remedy: string; helped: boolean; minutes: number }>
> = {
  'Since the needle change; needle was turned.': {
    cause: 'needle_orient',
    remedy: 'set the needle square with a pin',
    helped: true,
    minutes: 9,
  },
  'Needle had met a knot; new needle.': {
    cause: 'needle_bent',
    remedy: 'a new needle',
    helped: true,
    minutes: 6,
  },
  'Lint under the bobbin spring.': {
    cause: 'bobbin_lint',
    remedy: 'brushed the case, card under the spring',
    helped: true,
    minutes: 4,
  },
  'Top thread was not between the discs.': {
    cause: 'not_in_discs',
    remedy: 'threaded anew with the foot up',
    helped: true,
    minutes: 3,
  },
  'Cone had slipped on its pin.': {
    cause: 'cone_snag',
    remedy: 'a net over the cone',
    helped: true,
    minutes: 5,
  },
  'Only on the tight swirls; slower cured it.': {
    cause: 'over_speed',
    remedy: 'slower round the curls',
    helped: true,
    minutes: 7,
  },
};

const story = (
  quilt: string,
  zone: string,
  symptoms: readonly string[],
  status: FaultStory['status'],
  note: string,
  rest: Pick<FaultStory, 'direction' | 'pass'> = {},
): FaultStory => ({ quilt, zone, symptoms, status, note, ...rest });

export const faultStories: readonly FaultStory[] = [
  story(
    'Nine Buoys',
    'Rope border',
    ['long_stitch'],
    'mended',
    'Ruler slipped under the foot; unpicked 2 in.',
    { direction: 'right', pass: 1 },
  ),
  story('Nine Buoys', 'Open water', ['eyelash'], 'mended', 'Only on the tight swirls; slower cured it.', {
    direction: 'curve',
    pass: 2,
  }),
  story('Nine Buoys', 'Buoys', ['top_shred', 'top_break'], 'mended', 'Needle had met a knot; new needle.', {
    pass: 3,
  }),
  story('Nine Buoys', 'Jetties', ['wobble'], 'left', 'Seen from close only; client agreed.', {
    direction: 'away',
    pass: 4,
  }),
  story('Nine Buoys', 'Open water', ['dots_top'], 'mended', 'Lint under the bobbin spring.', { pass: 6 }),
  story('Nine Buoys', 'Rope border', ['bobbin_out'], 'mended', 'Ran out 30 in before the end of the pass.', {
    direction: 'left',
    pass: 7,
  }),
  story(
    'Nine Buoys',
    'Open water',
    ['tail_tangle'],
    'open',
    'Tail to trim on the back near the lower edge.',
    { pass: 8 },
  ),
  story(
    'Harbour Lights',
    'Harbour border',
    ['skipped'],
    'mended',
    'Since the needle change; needle was turned.',
    { direction: 'right', pass: 2 },
  ),
  story(
    'Harbour Lights',
    'Jetty sashing',
    ['needle_break', 'noise_pop'],
    'mended',
    'Bulky crossing at full speed. All three pieces found.',
    { pass: 3 },
  ),
  story('Harbour Lights', 'Rope border', ['dots_top'], 'mended', 'Loosened the top a little.', {
    direction: 'left',
    pass: 3,
  }),
  story('Harbour Lights', 'Jetty sashing', ['top_shred'], 'open', 'Shreds when crossing the thick seams.', {
    direction: 'away',
    pass: 5,
  }),
  story('Harbour Lights', 'Harbour border', ['jogs'], 'open', 'Flat spot where two arcs meet.', {
    direction: 'curve',
    pass: 5,
  }),
  story('Harbour Lights', 'Bollard corners', ['pucker_line'], 'left', 'Full corner, quilted down.', {
    pass: 1,
  }),
  story(
    'Signal Flags',
    'Halyard',
    ['holes'],
    'mended',
    'Unpicked once on the batik; steamed, holes closed.',
    {},
  ),
  story(
    'Signal Flags',
    'Pennants',
    ['dir_tension'],
    'open',
    'Left to right shows dots below, the other way does not.',
    { direction: 'right' },
  ),
  story(
    'Tide Table',
    'Ground',
    ['lint_build'],
    'mended',
    'Wool fibres at the hook; brushed at each bobbin.',
    { pass: 2 },
  ),
  story(
    'Tide Table',
    'Ground',
    ['short_pile'],
    'mended',
    'Paused with the idle running; resting for the last rows.',
    { pass: 3 },
  ),
  story('Tide Table', 'Compass', ['top_break'], 'mended', 'Cone had slipped on its pin.', { pass: 4 }),
  story('Tide Table', 'Tide lines', ['bearding'], 'left', 'A few fibres through the linen; will brush off.', {
    pass: 6,
  }),
  story(
    'Tide Table',
    'Compass',
    ['misregister'],
    'mended',
    'Feather met its mirror a thread off; one spine sewn again.',
    { pass: 5 },
  ),
  story('Slipway', 'Planks', ['loops_all'], 'mended', 'Top thread was not between the discs.', { pass: 1 }),
  story(
    'Slipway',
    'Keel lines',
    ['flagging', 'skipped'],
    'mended',
    'Roller too high for the loft; lowered.',
    { direction: 'toward', pass: 2 },
  ),
  story('Slipway', 'Quay', ['uneven_len'], 'mended', 'Wheel lifted from the rail at the left end.', {
    direction: 'left',
    pass: 2,
  }),
  story('Slipway', 'Planks', ['kinks'], 'open', 'Pigtails after the pause; watch the thread net.', {
    pass: 3,
  }),
  story('Slipway', 'Quay', ['pleats_back'], 'open', 'A tuck in the backing under the right edge.', {
    direction: 'right',
    pass: 3,
  }),
];
import type { Direction } from '@/core/fields/lists';

/** Faults of the quilts that have gone home, and how long ago they were noticed. */
export const homeStories: readonly FaultStory[] = [
  {
    ...story(
      'Mussel Beds',
      'Shells',
      ['dots_top'],
      'mended',
      'Top a touch tight after the bobbin change; eased.',
      {
        pass: 4,
      },
    ),
    daysAgo: 23,
  },
  {
    ...story('Chandlery', 'Wreath', ['misregister'], 'mended', 'A spine missed its start; sewn again.', {
      pass: 3,
    }),
    daysAgo: 44,
  },
  {
    ...story(
      'Chandlery',
      'Ground',
      ['bearding'],
      'left',
      'Wool through the open weave in one corner; brushed off.',
      {
        pass: 5,
      },
    ),
    daysAgo: 42,
  },
];
