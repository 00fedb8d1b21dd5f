/** The real millimetres a section is drawn from. */
export interface SectionNumbers {
  topMm: number;
  backingMm: number;
  /** Batting under a stitch, and lying free. */
  battingMm: number;
  loftMm: number;
  topThreadMm: number;
  bobbinThreadMm: number;
  needleNm: number;
  stitchMm: number;
  /** 0 the top's surface – 1 the back's. */
  knotDepth: number;
}

/** How much of the stitch length the batting can rise between two holes (judgement). */
const RISE = 0.32;

/** Half height of the quilt at a place between holes, u 0–1 from hole to hole, in mm. */
export function profile(s: SectionNumbers) {
  const pinched = (s.topMm + s.backingMm + s.battingMm) / 2;
  const rise = Math.min(s.loftMm - s.battingMm, RISE * s.stitchMm) / 2;
  return (u: number): number => pinched + Math.max(0, rise) * Math.sin(Math.PI * u) ** 0.7;
}
