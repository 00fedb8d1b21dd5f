import { labOf, leastDeltaE } from '../colour/delta-e';
import { type Fibre, fibres } from '../tables/fibres';
import { BOBBIN_CRITERIA, CRITERIA } from './criteria';
import { colourPenalty } from './criteria/bobbin';
import type { BobbinContext } from './criteria/criterion';
import { type MatchRequest, type MatchThread, serves } from './request';
import { costOf, sayOf, type Weighed, weigh } from './weigh';

/** Bobbin threads that cost the same under any top, and what they cost at least by the lightness of their colour. */
export interface RankedBobbin {
  /** Equal but for what is left of each; by id. */
  equals: readonly MatchThread[];
  /** The first of them, which stands for all. */
  bobbin: MatchThread;
  bobbinFibre: Fibre;
  floor: number;
}

/** The bobbins of a shelf under each top thread: the same for every zone, so a whole quilt weighs them once. */
export interface BobbinBook {
  count: number;
  /** Lowest floor first, found as they are asked for; those that cannot cost less than `most` are left out. */
  bobbinsFor(top: MatchThread, most?: () => number): Iterable<RankedBobbin>;
  /** What a bobbin costs under a top by size, kind and colour. */
  costUnder(top: MatchThread, ranked: RankedBobbin): number;
  /** The same judgement criterion by criterion. */
  weighed(top: MatchThread, bobbin: MatchThread): Weighed;
  /** Its sentences, for the few that are looked at closely. */
  says(top: MatchThread, bobbin: MatchThread): ReturnType<typeof sayOf>;
}

/** Sums in another order differ by less. */
const ROUNDING = 1e-9;

export function bobbinBook({
  threads,
  preferences = {},
  hold = {},
  backingHex,
  wound: ready,
}: Pick<MatchRequest, 'threads' | 'preferences' | 'hold' | 'backingHex' | 'wound'>): BobbinBook {
  const wound = ready && new Map(ready.map((w) => [w.id, w.bobbins]));
  // Cones of one line and colour cost alike, unless it matters that it is the very same thread.
  const kindOf = (t: MatchThread) =>
    preferences.bobbin === 'same' || !t.hex
      ? t.id
      : `${t.tex} ${t.fibre} ${t.hex} ${(wound?.get(t.id) ?? 0) > 0}`;
  const kinds = new Map<string, MatchThread[]>();
  let count = 0;
  for (const t of threads) {
    if (!serves(t, 'bobbin') || (hold.bobbinId && t.id !== hold.bobbinId)) continue;
    count++;
    const kind = kindOf(t);
    const own = kinds.get(kind);
    if (own) own.push(t);
    else kinds.set(kind, [t]);
  }
  const bobbins = [...kinds.values()].map((list) => {
    const equals = list.sort((a, b) => (a.id < b.id ? -1 : 1));
    const bobbin = equals[0]!;
    const bobbinFibre = fibres.get(bobbin.fibre, 'threads.fibre');
    const own = BOBBIN_CRITERIA.reduce(
      (sum, c) =>
        sum + c.weight * (c.leastUnderAny?.({ bobbin, bobbinFibre, preferences, backingHex, wound }) ?? 0),
      -ROUNDING,
    );
    return { equals, bobbin, bobbinFibre, own };
  });
  const leastOwn = Math.min(...bobbins.map((b) => b.own));
  const { weight } = CRITERIA['bobbin-colour']!;
  const plain = bobbins.filter((b) => !b.bobbin.hex);
  const byLightness = bobbins
    .flatMap((b) => (b.bobbin.hex ? [{ ...b, lab: labOf(b.bobbin.hex) }] : []))
    .sort((a, b) => a.lab.l - b.lab.l);

  /** Outwards from the top's own lightness: what is further off in lightness costs at least as much. */
  function* outwards(top: MatchThread, most: () => number = () => Infinity): Generator<RankedBobbin> {
    for (const b of top.hex ? plain : bobbins) if (b.own <= most()) yield { ...b, floor: 0 };
    if (!top.hex) return;
    const own = labOf(top.hex);
    const floorAt = (i: number) => {
      const lab = byLightness[i]?.lab;
      return lab ? weight * colourPenalty(leastDeltaE(own, lab)) : Infinity;
    };
    let up = byLightness.findIndex((b) => b.lab.l >= own.l);
    if (up < 0) up = byLightness.length;
    let down = up - 1;
    let [below, above] = [floorAt(down), floorAt(up)];
    for (;;) {
      const colour = Math.min(below, above);
      if (colour + leastOwn > most()) return;
      const fromBelow = below < above;
      const b = byLightness[fromBelow ? down : up];
      if (!b) return;
      if (fromBelow) below = floorAt(--down);
      else above = floorAt(++up);
      if (colour + b.own <= most()) yield { ...b, floor: colour + leastOwn };
    }
  }

  const known = new Map<string, Map<string, number>>();
  const context = (top: MatchThread, bobbin: MatchThread, bobbinFibre: Fibre): BobbinContext => ({
    top,
    preferences,
    bobbin,
    bobbinFibre,
    backingHex,
    wound,
  });
  const fibreOf = (t: MatchThread) => fibres.get(t.fibre, 'threads.fibre');
  return {
    count,
    bobbinsFor: outwards,
    costUnder(top, { bobbin, bobbinFibre }) {
      const kind = kindOf(top);
      let costs = known.get(kind);
      if (!costs) known.set(kind, (costs = new Map()));
      let cost = costs.get(bobbin.id);
      if (cost === undefined) {
        cost = costOf(BOBBIN_CRITERIA, context(top, bobbin, bobbinFibre));
        costs.set(bobbin.id, cost);
      }
      return cost;
    },
    weighed: (top, bobbin) => weigh(BOBBIN_CRITERIA, context(top, bobbin, fibreOf(bobbin))),
    says: (top, bobbin) => sayOf(BOBBIN_CRITERIA, context(top, bobbin, fibreOf(bobbin))),
  };
}
