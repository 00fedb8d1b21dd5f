'use client';
import { useWorker } from '@/ui/kit/use-worker';
import type { MotifsAsked, MotifsTold } from '@/workers/motifs.worker';

const create = () =>
  new Worker(new URL('../../workers/motifs.worker.ts', import.meta.url), { type: 'module' });

/** What to quilt where, worked out beside the page. */
export const useMotifs = (asked: MotifsAsked) => useWorker<MotifsAsked, MotifsTold>(create, asked);
