'use client';
import type { Drawn, DrawRequest } from '@/core/audition/draw';
import { useWorker } from '@/ui/kit/use-worker';

const create = () =>
  new Worker(new URL('../../workers/audition.worker.ts', import.meta.url), { type: 'module' });

/** A technique drawn in a zone, beside the page. */
export const useDrawn = (request: DrawRequest) => useWorker<DrawRequest, Drawn | string>(create, request);
