'use client';
import { type Remote, wrap } from 'comlink';
import { useEffect, useRef } from 'react';
import type { MeasureAnswer, MeasureRequest } from '@/workers/measure-photo';

/** Asks the worker for the stitches along a line of a picture; the worker stays for the next line. */
export function useMeasure() {
  const worker = useRef<Remote<(r: MeasureRequest) => MeasureAnswer> | null>(null);
  const raw = useRef<Worker | null>(null);
  useEffect(() => () => raw.current?.terminate(), []);
  return async ({
    picture,
    ...rest
  }: Omit<MeasureRequest, 'picture'> & { picture: Blob }): Promise<MeasureAnswer> => {
    if (!worker.current) {
      raw.current = new Worker(new URL('../../workers/stitch.worker.ts', import.meta.url), {
        type: 'module',
      });
      worker.current = wrap<(r: MeasureRequest) => MeasureAnswer>(raw.current) as never;
    }
    const ask = worker.current as unknown as (r: MeasureRequest) => Promise<MeasureAnswer>;
    return ask({ ...rest, picture: await createImageBitmap(picture) });
  };
}
