import type { Setup } from '@/core/match/setup';
import type { SectionNumbers } from '@/ui/section-drawing/layers';
import type { Known } from '@/core/source/known';
import type { Cone } from '@/data/types';
import type { WhyRow } from './why-rows';

/** A set-up with what the page needs to show it. */
export interface Candidate {
  setup: Setup;
  /** What each criterion costs and says. */
  why: WhyRow[];
  top: Cone;
  bobbin: Cone;
  section: SectionNumbers;
  topMm: number;
  idleInPerS: number;
  /** 80 % band of the first top tension, gf. */
  topLowGf: number;
  topHighGf: number;
  /** Whether this is the card that stands, and what its tests proved. */
  standing: boolean;
  proven: { topGf: number; bobbinGf: number; words: string; over: string } | null;
  /** Why a proof of old no longer holds. */
  turnedBack: string | null;
  /** Where the card's numbers come from; what the needle can follow is always reckoned. */
  known: Known<unknown>;
  limitKnown: Known<unknown>;
  /** Where its tensions come from: the models, the studio's searches, or a proof; and how sure a learned guess is. */
  tensionKnown: Known<unknown>;
  guess: { searches: number; roundsLow: number; roundsHigh: number } | null;
  /** Where its dials and screws stand on this machine, in words, where that was measured. */
  places: { top: string | null; bobbin: string | null; idle: string | null; rate: string | null };
}
