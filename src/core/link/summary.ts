import type { Frame } from '../stand-in/longarm';
import { inToMm } from '../units/length';

/** Stitch lengths are counted in steps of a quarter millimetre, up to ten. */
export const BIN_MM = 0.25;
export const BINS = 40;

/** What is kept of a run, however long it is. */
export interface RunSummary {
  stitches: number;
  lengthIn: number;
  /** Milliseconds in which the needle moved. */
  sewnMs: number;
  /** Stitches by their length, a quarter millimetre to the bin. */
  histogram: number[];
  /** Stitches sewn while the hands were faster than the needle can follow. */
  above: number;
  /** Moved since the last stitch was made, inches. */
  sinceIn: number;
  /** The needle was lifted: what is moved until the next reading is not sewn. */
  lifted: boolean;
  lastT: number;
  lastX: number;
  lastY: number;
}

export const NO_RUN: RunSummary = {
  stitches: 0,
  lengthIn: 0,
  sewnMs: 0,
  histogram: Array<number>(BINS).fill(0),
  above: 0,
  sinceIn: 0,
  lifted: true,
  lastT: 0,
  lastX: 0,
  lastY: 0,
};

/**
 * A run with more readings added. Readings not later than the last one known are left out, so that a batch that comes
 * twice counts once. @param limitInPerS the speed the needle can follow.
 */
export function withFrames(run: RunSummary, frames: readonly Frame[], limitInPerS: number): RunSummary {
  const out = { ...run, histogram: [...run.histogram] };
  for (const f of frames) {
    if (f.t <= out.lastT) continue;
    const made = Math.max(0, f.n - out.stitches);
    const first = out.lifted;
    const moved = first ? 0 : Math.hypot(f.x - out.lastX, f.y - out.lastY);
    out.sinceIn += moved;
    if (made > 0) {
      out.lengthIn += out.sinceIn;
      if (!first) out.sewnMs += f.t - out.lastT;
      const bin = Math.min(BINS - 1, Math.floor(inToMm(out.sinceIn / made) / BIN_MM));
      out.sinceIn = 0;
      if (!first) out.histogram[bin]! += made;
      if (f.v > limitInPerS) out.above += made;
    }
    out.stitches = Math.max(out.stitches, f.n);
    out.lifted = f.event === 'stopped';
    if (out.lifted) out.sinceIn = 0;
    out.lastT = f.t;
    out.lastX = f.x;
    out.lastY = f.y;
  }
  return out;
}
