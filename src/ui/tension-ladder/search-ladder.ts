import type { Search } from '@/core/tension/search';
import type { TestRound } from '@/data/types';
import type { Drawing } from '@/ui/draw/mark';
import { worstVerdict } from '@/ui/test-strip/words';
import { tensionLadder } from './ladder';

/** The ladder of a search as it stands. */
export const searchLadder = ({ rounds, next, bands }: Search<TestRound>): Drawing =>
  tensionLadder(
    {
      bands,
      tests: rounds.map((r) => ({
        n: r.n,
        topGf: r.topGf,
        verdict: worstVerdict(Object.values(r.verdicts)),
      })),
      nextGf: next.topGf,
      done: next.done,
    },
    300,
    270,
  );
