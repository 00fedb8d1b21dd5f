'use client';
import type { PatternRequest } from '@/core/pattern/pattern';
import { useWorker } from '@/ui/kit/use-worker';
import type { PatternTold } from '@/workers/pattern.worker';

const create = () =>
  new Worker(new URL('../../workers/pattern.worker.ts', import.meta.url), { type: 'module' });

/** What a drawing comes to at a size, measured beside the page. */
export const usePattern = (request: PatternRequest) =>
  useWorker<PatternRequest, PatternTold>(create, request);
