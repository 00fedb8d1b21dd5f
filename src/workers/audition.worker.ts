import { expose } from 'comlink';
import { drawTechnique, type Drawn, type DrawRequest } from '@/core/audition/draw';
import { attempt } from '@/core/notes';

/** A technique drawn beside the page, or in words why it cannot be; with what was asked, for it may come late. */
export interface DrawnTold {
  asked: DrawRequest;
  told: Drawn | string;
}

expose((asked: DrawRequest): DrawnTold => ({ asked, told: attempt(() => drawTechnique(asked)) }));
