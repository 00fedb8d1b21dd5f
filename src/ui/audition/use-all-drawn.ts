'use client';
import { wrap } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { together } from '@/core/audition/together';
import type { WayAsked } from '@/core/audition/way';
import type { XY } from '@/core/geometry/polygon';
import type { DrawnTold } from '@/workers/audition.worker';

/** So many draw at once beside the page. */
const HANDS = 2;
const create = () =>
  new Worker(new URL('../../workers/audition.worker.ts', import.meta.url), { type: 'module' });

/** What is drawn of a zone, and where its corner lies. */
export interface DrawnThere {
  lines: readonly (readonly XY[])[];
  dx: number;
  dy: number;
}

/**
 * Many zones drawn beside the page, those alike once; in the order asked, nothing for one that is not drawn yet or cannot be.
 * @param leastIn finer cannot be seen, inches. Nothing is drawn while `asked` is empty.
 */
export function useAllDrawn(asked: readonly WayAsked[], leastIn: number): (DrawnThere | null)[] {
  const text = JSON.stringify(asked);
  const { once, places } = useMemo(() => together(JSON.parse(text) as WayAsked[], leastIn), [text, leastIn]);
  const [drawn, setDrawn] = useState<{ once: unknown; lines: (DrawnThere['lines'] | null)[] }>({
    once: null,
    lines: [],
  });
  useEffect(() => {
    const waiting = once.map((way, i) => ({ way, i }));
    const workers = Array.from({ length: Math.min(HANDS, waiting.length) }, create);
    let here = true;
    const work = async (worker: Worker) => {
      const ask = wrap<(r: WayAsked) => DrawnTold>(worker) as unknown as (r: WayAsked) => Promise<DrawnTold>;
      for (let next = waiting.shift(); next && here; next = waiting.shift()) {
        const { i, way } = next;
        const { told } = await ask(way);
        if (!here || typeof told === 'string') continue;
        setDrawn((now) => {
          const lines = now.once === once ? [...now.lines] : once.map(() => null);
          lines[i] = told.lines;
          return { once, lines };
        });
      }
      worker.terminate();
    };
    // A drawing that fails leaves its zone as it is hatched.
    workers.forEach((worker) => void work(worker).catch(() => worker.terminate()));
    return () => {
      here = false;
      workers.forEach((worker) => worker.terminate());
    };
  }, [once]);
  return places.map(({ of, dx, dy }) => {
    const lines = drawn.once === once ? drawn.lines[of] : null;
    return lines ? { lines, dx, dy } : null;
  });
}
