import { derived, type Known, learnedFrom } from '../source/known';
import type { Range } from '../statistics/log-normal';
import type { HoursBelief } from './factors';
import type { Step } from './step';
import { minutesOfSteps } from './sum';

/** Minutes of some steps with where they come from: learned as soon as steps were logged. */
export const minutesKnown = (steps: readonly Step[], belief: HoursBelief): Known<Range> =>
  learnedFrom(minutesOfSteps(steps, belief), belief.steps, 'logged step');

/** The middle alone, in hours. */
export const midHours = (minutes: Known<Range>): Known => derived(minutes, (m) => m.mid / 60);
