import { LOOKS } from '@/core/audition/draw';
import type { MultiPolygon, XY } from '@/core/geometry/polygon';
import type { MotifsRequest } from '@/core/motifs/request';
import type { RatesFields } from '@/core/fields/offer';
import { techniques } from '@/core/tables/techniques';
import type { Way } from '@/core/audition/way';
import { PATTERNED, type PatternUnit } from '@/core/pattern/lay';

/** A zone whose quilting is auditioned. */
export interface AuditionZone {
  id: string;
  letter: string;
  name: string;
  version: number;
  geometry: MultiPolygon;
  /** The colour of most of it. */
  hex: string | null;
}

/** A pattern of the studio, as it is laid. */
export interface AuditionPattern {
  id: string;
  name: string;
  widthIn: number;
  unit: PatternUnit;
}

export interface AuditionThread {
  name: string;
  hex: string;
  mm: number;
}

/** Another zone of the quilt, as it is quilted now. */
export interface ZoneBeside {
  id: string;
  geometry: MultiPolygon;
  hex: string | null;
  /** Nothing where it is left open or only its seams are sewn. */
  way: Way | null;
  thread: AuditionThread;
}

/** What an area is charged by, in minor units; null while it has no price. */
export interface AuditionRates {
  rates: Omit<RatesFields, 'taxPct'>;
  currency: string;
}

export interface AuditionFacts {
  patterns: readonly AuditionPattern[];
  quilt: { id: string; name: string; widthIn: number; lengthIn: number };
  zone: AuditionZone;
  /** What the quilt asks of what is quilted in it. */
  base: MotifsRequest;
  photographs: readonly { id: string; corners: readonly XY[] | null }[];
  /** The top thread of the zone's card, or one that is seen. */
  thread: AuditionThread;
  beside: readonly ZoneBeside[];
  charged: AuditionRates;
  sides: readonly [Way, Way];
  /** Both are shown to the client. */
  kept: boolean;
}

/** Where a technique begins when it is picked: its usual look and spacing. */
export const usualSide = (technique: string, seed = 1): Way => ({
  technique,
  look: LOOKS[technique]![0]!.id,
  spacingIn: techniques.get(technique).usualSpacingIn,
  seed,
});

/** Where a pattern begins: as wide as it is usually sewn. */
export const patternedSide = ({ id, widthIn }: AuditionPattern): Way => ({
  technique: PATTERNED,
  look: 'pattern',
  spacingIn: widthIn,
  seed: 1,
  patternId: id,
});
