import { wrap } from 'comlink';
import type { PhotoAnswer } from '@/workers/read-photo';

/** Reads one photograph in a worker of its own. */
export async function readInWorker(file: Blob): Promise<PhotoAnswer> {
  const worker = new Worker(new URL('../../workers/photo.worker.ts', import.meta.url), { type: 'module' });
  try {
    const read = wrap(worker) as unknown as (file: Blob) => Promise<PhotoAnswer>;
    return await read(file);
  } finally {
    worker.terminate();
  }
}
