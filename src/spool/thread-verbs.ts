import { diameterMm } from '@/core/thread/thread';
import * as s from './schema-parts';
import { type Verb, verb } from './verb';

export const THREAD_VERBS: Record<string, Verb> = {
  diameter: verb(
    'how thick a thread is',
    s.object({ tex: s.above0(1000), fibre: s.text(80) }),
    s.object({ mm: s.above0(1000) }),
    (r: { tex: number; fibre: string }) => ({ mm: diameterMm(r) }),
  ),
};
