import { spiToMm } from '../units/length';

/** Share of the line that is hole: blade diameter over stitch length, P = D/L. */
export const perforation = (nm: number, spi: number): number => nm / 100 / spiToMm(spi);

/** On cloth that keeps holes: warned above, and refused above. */
export const PERFORATION_WARN = 0.5;
export const PERFORATION_REFUSE = 0.6;
/** A cloth keeps holes from this memory on (0–3). */
export const KEEPS_HOLES = 2;
