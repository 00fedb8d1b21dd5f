import { likelihoodOf } from '@/core/learning/likelihood';
import {
  type Combination,
  type LearnedSearch,
  learnTension,
  type TensionLearning,
} from '@/core/learning/tension';
import type { MatchRequest } from '@/core/match/request';
import { readAirNow } from '@/data/air';
import { readServicedSince } from '@/data/care';
import { readSearches, setSearchLeftOut, type StoredSearch } from '@/data/searches';
import type { Sql } from '@/data/sql';
import type { Quilt } from '@/data/types';
import type { Context } from './context';
import { learnedFrom } from './learned';
import { done, refuse, type Result } from './result';
import { FormKey, Id, OneOf } from './rules';
import { save } from './save';

/** The searches that say anything, each as its test stitches alone say it. */
function teaching(searches: readonly StoredSearch[]): (LearnedSearch & { of: StoredSearch })[] {
  return searches.flatMap((s) => {
    const said = likelihoodOf(s);
    return said
      ? [{ ...s, ...said, dropped: s.leftOut === 'dropped', kept: s.leftOut === 'kept', of: s }]
      : [];
  });
}

export interface StudioTension {
  /** Changes whenever anything is learned anew, and with the air where that matters. */
  mark: string;
  /** The air at each machine now, per cent, where the log shows that it matters. */
  airNow: ReadonlyMap<string, number>;
  learning: TensionLearning;
  /** The searches it rests on, in the order of the fit's own indices. */
  searches: (LearnedSearch & { of: StoredSearch })[];
}

let fits = 0;

/** What the studio's finished searches say together, for the air as it is now. */
export async function readTensionLearning(sql: Sql): Promise<StudioTension> {
  const { fit, ...known } = await learnedFrom(sql, 'proof', async () => {
    const [stored, serviced] = await Promise.all([readSearches(sql), readServicedSince(sql)]);
    const searches = teaching(stored);
    return { fit: ++fits, learning: learnTension(searches, serviced), searches };
  });
  const airNow = known.learning.air?.shown ? await readAirNow(sql) : NO_AIR;
  return { ...known, airNow, mark: `${fit} ${[...airNow].join(' ')}` };
}
const NO_AIR: ReadonlyMap<string, number> = new Map();

/** The question with what was learned in it: each pair starts where the studio's own log says. */
export function withLearned(
  request: MatchRequest,
  tension: StudioTension,
  quilt: Pick<Quilt, 'machineId' | 'battingId'>,
): MatchRequest {
  if (tension.searches.length === 0) return request;
  return {
    ...request,
    learned: (pair) => {
      const { machineId, battingId } = quilt;
      const { mean, sd, searches: on } = guessOf(tension, { ...pair, machineId, battingId });
      return on > 0 ? { mean, sd } : undefined;
    },
  };
}

/** How the first guess of one set-up is known: from how many searches, and the rounds it is likely to take. */
export const guessOf = ({ learning, airNow }: StudioTension, c: Combination) =>
  learning.predict({ ...c, humidityPct: airNow.get(c.machineId) });

export class LeaveOutSearch {
  @FormKey() key!: string;
  @Id('This search is not known any more.') setupId!: string;
  @OneOf(['dropped', 'kept', null], 'Leave it out, put it back, or let it be judged.')
  leftOut!: 'dropped' | 'kept' | null;
}

/** A search is left out of what is learned, or put back, by the quilter. */
export const leaveOutSearch = (context: Context, input: unknown): Promise<Result<{ setupId: string }>> =>
  save<LeaveOutSearch, { setupId: string }>(
    context,
    'leave-out-search',
    LeaveOutSearch,
    input,
    async (tx, form) =>
      (await setSearchLeftOut(tx, form.setupId, form.leftOut))
        ? done({ setupId: form.setupId })
        : refuse(
            'This search is not here any more: its set-up was tested again. Reload the page.',
            'setupId',
          ),
  );
