import type { Field, KeptOf } from './field';

/** How a person works at the machine. */
export const HABIT = [
  {
    id: 'restEveryMin',
    label: 'Remind me to rest every',
    noun: 'Minutes between rests',
    kind: 'whole',
    range: [20, 45],
    hint: 'minutes sewn',
    usual: 30,
  },
  {
    id: 'elbowIn',
    label: 'Elbow, standing',
    noun: 'The height of the elbow, in inches,',
    kind: 'inches',
    range: [25, 60],
    optional: true,
    hint: 'from the floor, arm hanging',
  },
  {
    id: 'reachIn',
    label: 'Reach without leaning',
    noun: 'The reach, in inches,',
    kind: 'inches',
    range: [14, 22],
    optional: true,
    hint: 'usually 18 in',
  },
  {
    id: 'ownSpeeds',
    label: 'Match takes my own speeds, as drilled, in place of the usual ones',
    kind: 'yes',
    usual: false,
  },
] as const satisfies readonly Field[];
export type HabitFields = KeptOf<typeof HABIT>;
