'use client';
import type { CarefulMatch, CarefulQuestion } from '@/core/cloth/careful-match';
import { useWorker } from '@/ui/kit/use-worker';

const create = () =>
  new Worker(new URL('../../workers/careful.worker.ts', import.meta.url), { type: 'module' });

/** A cautious set-up for a described cloth, weighed in a worker; a text says what is wrong with the description. */
export const useCareful = (question: CarefulQuestion) =>
  useWorker<CarefulQuestion, CarefulMatch | string>(create, question).answer;
