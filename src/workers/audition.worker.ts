import { expose } from 'comlink';
import { drawTechnique, type Drawn, type DrawRequest } from '@/core/audition/draw';
import { attempt } from '@/core/notes';

/** A technique drawn beside the page, or in words why it cannot be. */
export const drawn = (request: DrawRequest): Drawn | string => attempt(() => drawTechnique(request));

expose(drawn);
