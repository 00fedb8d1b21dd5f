import { colourSpread, visibility, visibilityWord, type VisibilityWord } from './visibility';

export interface ColourRequest {
  fabrics: readonly { hex: string; share?: number }[];
  threads: readonly { id: string; hex: string; diameterMm?: number }[];
  aim: 'sink' | 'show';
}

export interface RankedColour {
  id: string;
  worstDeltaE: number;
  meanDeltaE: number;
  visibility: number;
  word: VisibilityWord;
  /** Which fabric decides: the one it differs from most when it should sink, least when it should show. */
  decides: number;
}

/**
 * Threads in order of how well they sink into, or show on, every fabric of a zone: sink by the smallest
 * worst case, show by the largest least case. Equal threads keep the order of their ids.
 */
export function rankColours({ fabrics, threads, aim }: ColourRequest): RankedColour[] {
  const measured = threads.map((t) => {
    const spread = colourSpread(t.hex, fabrics);
    const seen = visibility(aim === 'sink' ? spread.worst : spread.least, t.diameterMm ?? 0.2);
    return {
      key: aim === 'sink' ? spread.worst : -spread.least,
      row: {
        id: t.id,
        worstDeltaE: spread.worst,
        meanDeltaE: spread.mean,
        visibility: seen,
        word: visibilityWord(seen),
        decides: aim === 'sink' ? spread.worstIndex : spread.leastIndex,
      },
    };
  });
  return measured.sort((a, b) => a.key - b.key || a.row.id.localeCompare(b.row.id)).map((m) => m.row);
}
