/** Millimetres in one inch, exact by definition (1959). */
export const MM_PER_INCH = 25.4;

/** Inches to millimetres. */
export const inToMm = (inches: number): number => inches * MM_PER_INCH;

/** Millimetres to inches. */
export const mmToIn = (mm: number): number => mm / MM_PER_INCH;

/** Inches to metres. */
export const inToM = (inches: number): number => inToMm(inches) / 1000;

/** Metres to yards (0.9144 m, exact). */
export const mToYd = (m: number): number => m / 0.9144;

/** Stitches per inch to stitch length in mm. `spi` above 0. */
export const spiToMm = (spi: number): number => MM_PER_INCH / spi;

/** Stitch length in mm to stitches per inch. `mm` above 0. */
export const mmToSpi = (mm: number): number => MM_PER_INCH / mm;
