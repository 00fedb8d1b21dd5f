'use client';
import { useWorker } from '@/ui/kit/use-worker';
import type { FitAnswer, FitRequest } from '@/workers/fit-day.worker';

const create = () =>
  new Worker(new URL('../../workers/fit-day.worker.ts', import.meta.url), { type: 'module' });

/** What to change so that a quilt fits the hours there are, worked out beside the page. */
export const useFitDay = (request: FitRequest) => useWorker<FitRequest, FitAnswer>(create, request);
