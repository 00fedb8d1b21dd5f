'use client';
import { useWorker } from '@/ui/kit/use-worker';
import type { QuickQuestion, QuickTold } from '@/workers/quick-told';

const create = () =>
  new Worker(new URL('../../workers/quick.worker.ts', import.meta.url), { type: 'module' });

/** A quick set-up, worked out beside the page. */
export const useQuick = (question: QuickQuestion) => useWorker<QuickQuestion, QuickTold>(create, question);
