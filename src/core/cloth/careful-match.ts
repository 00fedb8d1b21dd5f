import { CoreError } from '../notes';
import { match } from '../match/match';
import type { MatchRequest } from '../match/request';
import type { Setup } from '../match/setup';
import { type ClothDescription, type NearCloth, nearestCloths } from './nearest-cloth';
import { firstTest, type FirstTest } from './first-test';

export interface CarefulQuestion {
  request: MatchRequest;
  /** Which cloth of the zone is the unknown one. */
  clothIndex: number;
  description: ClothDescription;
}

export interface CarefulMatch {
  kinds: NearCloth[];
  /** Good on every one of the kinds; null when no pair of threads suits them all. */
  setup: Setup | null;
  /** The kind for which this set-up is the least good; its needle and stitch length are taken. */
  hardest: string | null;
  test: FirstTest;
}

const penaltyOf = (s: Setup) => s.total;

/**
 * A cautious set-up for a cloth that is only described: the pair of threads whose worst case over the nearest
 * kinds is least (minimax), with the needle and stitch of that worst case, and the one test to sew first.
 * @throws CoreError when there is no such cloth or the description is out of range.
 */
export function carefulMatch({ request, clothIndex, description }: CarefulQuestion): CarefulMatch {
  if (!request.zone.top[clothIndex])
    throw new CoreError('no-such-cloth', 'Pick the fabric of the zone that is not known.', 'clothIndex');
  const kinds = nearestCloths(description);
  const worst = new Map<string, { setup: Setup; kind: string; met: number }>();
  for (const kind of kinds) {
    const top = request.zone.top.map((c, i) => (i === clothIndex ? { ...c, fabric: kind.id } : c));
    const { setups } = match({
      ...request,
      zone: { ...request.zone, top },
      limit: request.threads.length,
    });
    for (const setup of setups) {
      const key = `${setup.topId} ${setup.bobbinId}`;
      const so = worst.get(key);
      const harder = !so || penaltyOf(setup) > penaltyOf(so.setup);
      worst.set(key, {
        setup: harder ? setup : so.setup,
        kind: harder ? kind.id : so.kind,
        met: (so?.met ?? 0) + 1,
      });
    }
  }
  const onAll = [...worst.values()].filter((w) => w.met === kinds.length);
  const best = onAll.reduce<(typeof onAll)[number] | null>(
    (a, b) => (a && penaltyOf(a.setup) <= penaltyOf(b.setup) ? a : b),
    null,
  );
  return {
    kinds,
    setup: best?.setup ?? null,
    hardest: best?.kind ?? null,
    test: firstTest(
      kinds.map((k) => k.id),
      best?.setup.needle.nm ?? 90,
    ),
  };
}
