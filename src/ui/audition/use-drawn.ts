'use client';
import type { Drawn } from '@/core/audition/draw';
import type { WayAsked } from '@/core/audition/way';
import { useWorker } from '@/ui/kit/use-worker';
import type { DrawnTold } from '@/workers/audition.worker';

const create = () =>
  new Worker(new URL('../../workers/audition.worker.ts', import.meta.url), { type: 'module' });

/** A way drawn in a zone, beside the page; nothing while the drawing that is there is of something else. */
export function useDrawn(request: WayAsked): { answer: Drawn | string | null; problem: string | null } {
  const { answer, problem } = useWorker<WayAsked, DrawnTold>(create, request);
  const { technique, look, spacingIn, seed, patternId } = request;
  const asked = answer?.asked;
  const isIt =
    asked?.technique === technique &&
    asked.look === look &&
    asked.spacingIn === spacingIn &&
    asked.seed === seed &&
    asked.patternId === patternId;
  return { answer: isIt ? answer!.told : null, problem };
}
