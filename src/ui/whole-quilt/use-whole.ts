'use client';
import type { WholeQuilt, WholeQuiltRequest } from '@/core/match/whole-quilt';
import { useWorker } from '@/ui/kit/use-worker';

const create = () =>
  new Worker(new URL('../../workers/whole.worker.ts', import.meta.url), { type: 'module' });

/** The set-ups of a whole quilt, weighed in a worker. */
export const useWhole = (request: WholeQuiltRequest) =>
  useWorker<WholeQuiltRequest, WholeQuilt>(create, request);
