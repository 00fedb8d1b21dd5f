'use client';
import type { Drawn, DrawRequest } from '@/core/audition/draw';
import { useWorker } from '@/ui/kit/use-worker';
import type { DrawnTold } from '@/workers/audition.worker';

const create = () =>
  new Worker(new URL('../../workers/audition.worker.ts', import.meta.url), { type: 'module' });

/** A technique drawn in a zone, beside the page; nothing while the drawing that is there is of something else. */
export function useDrawn(request: DrawRequest): { answer: Drawn | string | null; problem: string | null } {
  const { answer, problem } = useWorker<DrawRequest, DrawnTold>(create, request);
  const { technique, look, spacingIn, seed } = request;
  const asked = answer?.asked;
  const isIt =
    asked?.technique === technique &&
    asked.look === look &&
    asked.spacingIn === spacingIn &&
    asked.seed === seed;
  return { answer: isIt ? answer!.told : null, problem };
}
