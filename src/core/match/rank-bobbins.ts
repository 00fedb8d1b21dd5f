import { labOf, leastDeltaE } from '../colour/delta-e';
import { type Fibre, fibres } from '../tables/fibres';
import { BOBBIN_CRITERIA, colourPenalty } from './pairing';
import { type MatchRequest, type MatchThread, serves } from './request';
import { costOf, type Weighed, weigh } from './weigh';
import { CRITERIA } from './weights';

/** A bobbin thread under a top, and what it costs at least, by the lightness of its colour alone. */
export interface RankedBobbin {
  bobbin: MatchThread;
  bobbinFibre: Fibre;
  floor: number;
}

/** The bobbins of a shelf under each top thread: the same for every zone, so a whole quilt weighs them once. */
export interface BobbinBook {
  count: number;
  /** Lowest floor first, found as they are asked for. */
  bobbinsFor(top: MatchThread): Iterable<RankedBobbin>;
  /** What a bobbin costs under a top by size, kind and colour. */
  costUnder(top: MatchThread, ranked: RankedBobbin): number;
  /** The same judgement with its sentences, for the few that are looked at closely. */
  looks(top: MatchThread, ranked: RankedBobbin): Weighed;
}

export function bobbinBook({
  threads,
  preferences = {},
  hold = {},
}: Pick<MatchRequest, 'threads' | 'preferences' | 'hold'>): BobbinBook {
  const bobbins = threads
    .filter((t) => serves(t, 'bobbin') && (!hold.bobbinId || t.id === hold.bobbinId))
    .map((bobbin) => ({ bobbin, bobbinFibre: fibres.get(bobbin.fibre, 'threads.fibre') }));
  const { weight } = CRITERIA['bobbin-colour'];
  const plain = bobbins.filter((b) => !b.bobbin.hex);
  const byLightness = bobbins
    .flatMap((b) => (b.bobbin.hex ? [{ ...b, lab: labOf(b.bobbin.hex) }] : []))
    .sort((a, b) => a.lab.l - b.lab.l);

  /** Outwards from the top's own lightness: what is further off in lightness costs at least as much. */
  function* outwards(top: MatchThread): Generator<RankedBobbin> {
    for (const b of top.hex ? plain : bobbins) yield { ...b, floor: 0 };
    if (!top.hex) return;
    const own = labOf(top.hex);
    const floorAt = (i: number) => {
      const lab = byLightness[i]?.lab;
      return lab ? weight * colourPenalty(leastDeltaE(own, lab)) : Infinity;
    };
    let up = byLightness.findIndex((b) => b.lab.l >= own.l);
    if (up < 0) up = byLightness.length;
    let down = up - 1;
    while (down >= 0 || up < byLightness.length) {
      const [below, above] = [floorAt(down), floorAt(up)];
      const { bobbin, bobbinFibre } = byLightness[below < above ? down-- : up++]!;
      yield { bobbin, bobbinFibre, floor: Math.min(below, above) };
    }
  }

  // Cones of one line and colour cost alike, unless it matters that it is the very same thread.
  const kindOf = (t: MatchThread) =>
    preferences.bobbin === 'same' || !t.hex ? t.id : `${t.tex} ${t.fibre} ${t.hex}`;
  const known = new Map<string, Map<string, number>>();
  const context = (top: MatchThread, { bobbin, bobbinFibre }: RankedBobbin) => ({
    top,
    preferences,
    bobbin,
    bobbinFibre,
  });
  return {
    count: bobbins.length,
    bobbinsFor: outwards,
    costUnder(top, ranked) {
      const kind = kindOf(top);
      let costs = known.get(kind);
      if (!costs) known.set(kind, (costs = new Map()));
      let cost = costs.get(ranked.bobbin.id);
      if (cost === undefined) {
        cost = costOf(BOBBIN_CRITERIA, context(top, ranked));
        costs.set(ranked.bobbin.id, cost);
      }
      return cost;
    },
    looks: (top, ranked) => weigh(BOBBIN_CRITERIA, context(top, ranked)),
  };
}
