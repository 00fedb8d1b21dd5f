import { softnessOf } from '../density/density';
import type { Range } from '../statistics/log-normal';
import { HAND, levelOf } from '../motifs/work';
import { MOTIFS } from '../motifs/motif-table';
import { weigh } from '../motifs/rank';
import type { MotifsRequest } from '../motifs/request';
import { quiltFacts, zoneFacts } from '../motifs/zone-facts';
import type { Softness } from '../fields/lists';
import { techniques } from '../tables/techniques';
import type { Drawn } from './draw';

/** What a drawn technique comes to in a zone. */
export interface Auditioned {
  minutes: Range;
  threadM: number;
  softness: Softness;
  /** Line density as drawn, in/in², and against what the table says of the technique at its spacing. */
  lambda: number;
  ofTable: number | null;
  /** The spacing the table gives the measured density, inches; as asked where the table has none. */
  spacingIn: number;
}

/** A spacing is told to a hundredth of an inch. */
const fine = (n: number) => Math.round(n * 100) / 100;

/**
 * A technique's work in a zone by what was drawn, not by the table: its line, its density, its softness, the thread and
 * the minutes of this hand. @param drawn the technique drawn in the zone's outline at the spacing.
 * @throws CoreError `unknown-id` for a technique or zone that is not there.
 */
export function auditioned(
  request: MotifsRequest,
  zoneId: string,
  technique: string,
  spacingIn: number,
  drawn: Drawn,
): Auditioned {
  const motif = MOTIFS.get(technique, 'technique');
  const t = techniques.get(technique);
  const z = zoneFacts(request).find((f) => f.zone.id === zoneId)!;
  const { work } = weigh(request, quiltFacts(request), z, motif, motif.g === null ? null : spacingIn);
  const speed = t.handInPerS * HAND[levelOf(request, technique)].speed;
  const sewnIn = drawn.lambda * z.areaIn2 + drawn.travelIn;
  const mid = Math.max(0.1, work.minutes + (sewnIn - work.sewnIn) / speed / 60);
  const spread = Math.exp(1.2816 * HAND[levelOf(request, technique)].sd);
  const k = t.density.kind === 'spacing' ? t.density.k : null;
  return {
    minutes: { low: mid / spread, mid, high: mid * spread },
    threadM: work.sewnIn > 0 ? (work.threadM * sewnIn) / work.sewnIn : 0,
    softness: softnessOf(drawn.lambda * motif.feel),
    lambda: drawn.lambda,
    ofTable: k === null ? null : (drawn.lambda * spacingIn) / k,
    spacingIn: k === null ? spacingIn : Math.max(0.05, fine(k / drawn.lambda)),
  };
}

/** What the eye tells apart: a minute of arc, as the blur of a picture seen from a distance. @param distanceM metres. @returns inches, one standard deviation. */
export const blurIn = (distanceM: number): number =>
  (distanceM * 1000 * Math.tan(Math.PI / 180 / 60)) / 2 / 25.4;
