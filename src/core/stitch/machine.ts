export type Mode = 'idling' | 'resting' | 'manual';
export const MODES: readonly Mode[] = ['idling', 'resting', 'manual'];
export const MODE_LABEL: Record<Mode, string> = {
  idling: 'keeps sewing when you pause',
  resting: 'stops when you pause',
  manual: 'fixed speed',
};

/** What of the machine the stitch depends on. Rates in stitches per minute. */
export interface StitchMachine {
  maxSpm: number;
  idleMinSpm: number;
  idleMaxSpm: number;
  minSpi: number;
  maxSpi: number;
  modes: readonly Mode[];
}

/** Share of the top rate the hands may use, so that the needle is never outrun (judgement). */
const HEADROOM = 0.9;

/** Needle rate in stitches/min for a hand speed in in/s: n = 60·v·spi. */
export const needleRateSpm = (handInPerS: number, spi: number): number => 60 * handInPerS * spi;

/** Ceiling of hand speed in in/s: 0.9·n_max/(60·spi). */
export const ceilingInPerS = (maxSpm: number, spi: number): number => (HEADROOM * maxSpm) / (60 * spi);

/** Hand speed in in/s below which idling shortens the stitches: n_idle/(60·spi). */
export const idleSpeedInPerS = (idleSpm: number, spi: number): number => idleSpm / (60 * spi);

/** The needle's rate when the hands keep their speed, stitches a minute: what manual mode is set to. */
export const stitchesAMinute = ({ spi, handInPerS }: { spi: number; handInPerS: number }): number =>
  spi * handInPerS * 60;
