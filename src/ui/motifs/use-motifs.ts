'use client';
import type { MotifsAnswer } from '@/core/motifs/motifs';
import type { MotifsRequest } from '@/core/motifs/request';
import { useWorker } from '@/ui/kit/use-worker';

const create = () =>
  new Worker(new URL('../../workers/motifs.worker.ts', import.meta.url), { type: 'module' });

/** What to quilt where, worked out beside the page. */
export const useMotifs = (request: MotifsRequest) => useWorker<MotifsRequest, MotifsAnswer>(create, request);
