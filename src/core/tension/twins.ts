/** What makes two zones sew alike: technique, layers, threads and needle (batting, backing and machine are the quilt's). */
export interface TwinFacts {
  technique: string;
  fabrics: readonly { kind: string }[];
  features: readonly string[];
  topId: string;
  bobbinId: string;
  needleNm: number;
  needleEye: string;
  needlePoint: string;
}

/** The same text for zones that sew alike. */
export const twinKey = (z: TwinFacts): string =>
  JSON.stringify([
    z.technique,
    [...new Set(z.fabrics.map((f) => f.kind))].sort(),
    [...z.features].sort(),
    z.topId,
    z.bobbinId,
    z.needleNm,
    z.needleEye,
    z.needlePoint,
  ]);

/**
 * How sure a zone's tested balance makes its twin's, as a spread of the logarithm of the ratio (judgement: what is special
 * to a place on the quilt, and what a test stitch tells).
 */
export const TWIN_SD = 0.12;
