import { expose } from 'comlink';
import type { Drawn } from '@/core/audition/draw';
import { drawWay, type WayAsked } from '@/core/audition/way';
import { attempt } from '@/core/notes';

/** A way drawn beside the page, or in words why it cannot be; with what was asked, for it may come late. */
export interface DrawnTold {
  asked: WayAsked;
  told: Drawn | string;
}

expose((asked: WayAsked): DrawnTold => ({ asked, told: attempt(() => drawWay(asked)) }));
