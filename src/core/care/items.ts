import { table } from '../tables/lookup';

/** How much of something has gone by, or may: whichever comes first counts. */
export interface CareLimits {
  hours?: number;
  bobbins?: number;
  days?: number;
  stitches?: number;
}
export type CareBy = keyof CareLimits;
export const CARE_BY: readonly CareBy[] = ['hours', 'bobbins', 'days', 'stitches'];

/** When a person stops by herself, and something can be done without breaking into the work. */
export const STOPS = ['day-start', 'bobbin-out', 'pass-end', 'empty-frame'] as const;
export type Stop = (typeof STOPS)[number];

/** One thing a machine asks for: how often, what is done, how long it takes. Judgements; the manual comes first. */
export interface CareItem {
  id: string;
  label: string;
  /** What is done, in a sentence. */
  act: string;
  minutes: number;
  limits: CareLimits;
  /** Sooner with lint in the thread and in what is sewn. */
  linty: boolean;
  /** For a qualified technician. */
  technician: boolean;
  /** At which stops one is reminded. */
  at: readonly Stop[];
  /** Each new day, whatever was sewn. */
  daily: boolean;
}

const USUAL = { linty: false, technician: false, daily: false } as const;
const item = (own: Omit<CareItem, keyof typeof USUAL> & Partial<CareItem>): CareItem => ({
  ...USUAL,
  ...own,
});

export const CARE = table<CareItem>('Care', [
  item({
    id: 'lint-hook',
    label: 'Lint out of the hook',
    act: 'Brush or vacuum the race and the bobbin case.',
    minutes: 1,
    limits: { bobbins: 1, hours: 4 },
    linty: true,
    at: ['bobbin-out', 'day-start'],
  }),
  item({
    id: 'oil-race',
    label: 'Oil the hook',
    act: 'One drop in the race, then sew it off on scrap.',
    minutes: 1,
    limits: { hours: 6, bobbins: 4 },
    linty: true,
    at: ['day-start', 'bobbin-out'],
    daily: true,
  }),
  item({
    id: 'oil-points',
    label: 'Oil points and screws',
    act: 'Oil only the points the manual names; tighten foot, clamp and plate screws.',
    minutes: 8,
    limits: { hours: 40, days: 30 },
    at: ['empty-frame'],
  }),
  item({
    id: 'wipe-rails',
    label: 'Rails, wheels, tension discs',
    act: 'Wipe rails, wheels and sensors dry; floss the tension discs.',
    minutes: 5,
    limits: { hours: 10 },
    at: ['empty-frame', 'day-start'],
  }),
  item({
    id: 'needle',
    label: 'New needle',
    act: 'Change the needle.',
    minutes: 1,
    limits: {},
    at: ['bobbin-out', 'pass-end', 'empty-frame'],
  }),
  item({
    id: 'tension-check',
    label: 'Bobbin tension check',
    act: 'Drop test or gauge; if it is 10 % off the card, sew a test.',
    minutes: 2,
    limits: {},
    at: ['day-start'],
    daily: true,
  }),
  item({
    id: 'wheels-belts',
    label: 'Wheels, belts, cables',
    act: 'Look for flat wheels, play, cracks, slack belts and rubbed cables.',
    minutes: 10,
    limits: { hours: 100, days: 90 },
    at: ['empty-frame'],
  }),
  item({
    id: 'level',
    label: 'Level of the frame',
    act: 'Rails level and parallel, after every move as well.',
    minutes: 15,
    limits: { days: 180 },
    at: ['empty-frame'],
  }),
  item({
    id: 'timing',
    label: 'Timing',
    act: 'Checked by a qualified technician; also after a jam, a struck hook, or two broken needles.',
    minutes: 40,
    limits: { stitches: 10_000_000, days: 365 },
    technician: true,
    at: ['empty-frame'],
  }),
]);

/** What a service may have touched that tensions rest on. */
export const TOUCHED = ['timing', 'hook', 'case', 'tension-unit'] as const;
export type Touched = (typeof TOUCHED)[number];
export const TOUCHED_LABEL: Readonly<Record<Touched, string>> = {
  timing: 'timing',
  hook: 'hook',
  case: 'bobbin case',
  'tension-unit': 'tension unit',
};
