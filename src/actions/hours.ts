import { type HoursBelief, learnHours } from '@/core/hours/factors';
import type { Sql } from '@/data/sql';
import { readLoggedSteps } from '@/data/steps';
import { learnedFrom } from './learned';

/** So many of the newest steps say enough of a hand: some two years of a busy studio. */
const MOST_STEPS = 2000;

/** What the studio's log says of its hours. */
export const readHours = (sql: Sql): Promise<HoursBelief> =>
  learnedFrom(sql, 'step_sewn', async () => learnHours(await readLoggedSteps(sql, MOST_STEPS)));
