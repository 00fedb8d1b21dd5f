import { type QuickAnswer, type QuickAsk, quickSetup, type QuickStudio } from '@/core/match/quick';
import { type MeasuredScale, scalesOf } from '@/core/machine/scales';
import { CoreError } from '@/core/notes';

/** What the page sends: the scales as they were measured, since a curve does not cross to a worker. */
export interface QuickQuestion {
  ask: QuickAsk;
  studio: Omit<QuickStudio, 'scales'> & { measured: readonly MeasuredScale[] };
}
export type QuickTold = { ok: true; value: QuickAnswer } | { ok: false; message: string; path: string };

/** A quick set-up, or in words why there is none and of which field. */
export function quickTold({ ask, studio: { measured, ...studio } }: QuickQuestion): QuickTold {
  try {
    return { ok: true, value: quickSetup(ask, { ...studio, scales: scalesOf(measured) }) };
  } catch (error) {
    if (error instanceof CoreError) return { ok: false, message: error.message, path: error.path };
    throw error;
  }
}
