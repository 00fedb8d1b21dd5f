import { expose } from 'comlink';
import type { MotifsRequest } from '@/core/motifs/request';
import { CoreError } from '@/core/notes';
import { type FitDay, fitDay, type FitZone } from '@/core/plan/fit-day';

/** A quilt and the hours there are for it. */
export interface FitRequest {
  motifs: MotifsRequest;
  zones: readonly FitZone[];
  fixedMin: number;
  targetMin: number;
}
export type FitAnswer = { ok: true; day: FitDay } | { ok: false; message: string };

/** What to change so that the day is enough; what is wrong is told in words. */
function fit({ motifs, zones, fixedMin, targetMin }: FitRequest): FitAnswer {
  try {
    return { ok: true, day: fitDay(motifs, zones, fixedMin, targetMin) };
  } catch (error) {
    if (error instanceof CoreError) return { ok: false, message: error.message };
    throw error;
  }
}

expose(fit);
