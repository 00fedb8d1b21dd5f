import { CoreError } from '../notes';

/** A beat for the hands, and what machine and hands do to it. */
export interface Tempo {
  beatsPerMin: number;
  /** The hands move so far from beat to beat, inches. */
  inPerBeat: number;
  /** The machine’s rate that makes the stitch at that speed, stitches a minute. */
  spm: number;
  stitchesPerBeat: number;
}

/** Beats a minute that hands can follow. */
export const BEATS = [30, 120] as const;

/**
 * Hands and a machine set to a constant rate agree when rate = speed × stitches to the inch: all three numbers of one
 * tempo. @param handInPerS above 0, @param spi 1 to 60. @throws CoreError `bad-tempo`.
 */
export function tempoOf(handInPerS: number, spi: number, beatsPerMin: number): Tempo {
  if (!(handInPerS > 0) || !(spi >= 1) || !(beatsPerMin >= BEATS[0] && beatsPerMin <= BEATS[1]))
    throw new CoreError(
      'bad-tempo',
      `A beat lies between ${BEATS[0]} and ${BEATS[1]} a minute.`,
      'beatsPerMin',
    );
  const spm = handInPerS * spi * 60;
  return { beatsPerMin, inPerBeat: (handInPerS * 60) / beatsPerMin, spm, stitchesPerBeat: spm / beatsPerMin };
}
