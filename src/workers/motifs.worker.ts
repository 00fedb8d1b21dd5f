import { expose } from 'comlink';
import { motifs, type MotifsAnswer } from '@/core/motifs/motifs';
import { type OfferedPattern, patternPicks, type PatternPicks } from '@/core/motifs/pattern-picks';
import type { MotifsRequest } from '@/core/motifs/request';

export interface MotifsAsked {
  request: MotifsRequest;
  /** The zone whose picks are shown, and the patterns of the studio that may be among them. */
  zoneId: string;
  patterns: readonly OfferedPattern[];
}
export interface MotifsTold extends MotifsAnswer {
  patterned: PatternPicks;
}

/** What to quilt where, with the patterns of the studio that suit one zone. */
const told = ({ request, zoneId, patterns }: MotifsAsked): MotifsTold => ({
  ...motifs(request),
  patterned: patternPicks(request, zoneId, patterns),
});

expose(told);
