import { fibres } from '../tables/fibres';
import { BOBBIN_CRITERIA } from './pairing';
import { type MatchRequest, type MatchThread, serves } from './request';
import { type Weighed, weigh } from './weigh';

/** A bobbin thread under a top, weighed by size, kind and colour alone. */
export interface RankedBobbin {
  bobbin: MatchThread;
  weighed: Weighed;
}

/** The bobbins of a shelf under each top thread: the same for every zone, so a whole quilt weighs them once. */
export interface BobbinBook {
  count: number;
  /** Cheapest first. */
  bobbinsFor(top: MatchThread): readonly RankedBobbin[];
}

export function bobbinBook({
  threads,
  preferences = {},
  hold = {},
}: Pick<MatchRequest, 'threads' | 'preferences' | 'hold'>): BobbinBook {
  const bobbins = threads
    .filter((t) => serves(t, 'bobbin') && (!hold.bobbinId || t.id === hold.bobbinId))
    .map((bobbin) => ({ bobbin, bobbinFibre: fibres.get(bobbin.fibre, 'threads.fibre') }));
  const known = new Map<string, RankedBobbin[]>();
  return {
    count: bobbins.length,
    bobbinsFor(top) {
      let ranked = known.get(top.id);
      if (!ranked) {
        ranked = bobbins
          .map((b) => ({ bobbin: b.bobbin, weighed: weigh(BOBBIN_CRITERIA, { top, preferences, ...b }) }))
          .sort((a, b) => a.weighed.total - b.weighed.total);
        known.set(top.id, ranked);
      }
      return ranked;
    },
  };
}
