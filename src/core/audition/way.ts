import { areaOf, type MultiPolygon } from '../geometry/polygon';
import { layPattern, PATTERNED, type PatternLayout, type PatternUnit } from '../pattern/lay';
import { type Drawn, drawTechnique } from './draw';
import { radiusOf } from './radius';

/** One way to quilt a zone: a technique as one of its looks and drawings, or a pattern of the studio. */
export interface Way {
  technique: string;
  look: string;
  /** Between the lines; of a pattern the width of one repeat. Inches. */
  spacingIn: number;
  seed: number;
  /** The pattern, where the technique is one laid in rows. */
  patternId?: string | null;
}

/** A way to be drawn in an outline: with the pattern it is laid with, where it has one. */
export interface WayAsked extends Way {
  shape: MultiPolygon;
  unit?: PatternUnit | null;
}

/** How an auditioned pattern is laid: rows across, upright, as its repeats come. */
export const layoutOf = ({ spacingIn }: Pick<Way, 'spacingIn'>): PatternLayout => ({
  widthIn: spacingIn,
  rowGapIn: 0,
  offset: 0,
  mirrored: false,
  direction: 'across',
});

/**
 * A way drawn in a zone's outline, inches: a technique by its look, a pattern laid in rows and cut at the edge.
 * @throws CoreError as `drawTechnique` and `layPattern` do.
 */
export function drawWay({ unit, shape, ...way }: WayAsked): Drawn {
  if (way.technique !== PATTERNED || !unit) return drawTechnique({ shape, ...way });
  const { lines, lengthIn, starts } = layPattern(unit, shape, layoutOf(way));
  return {
    lines,
    lengthIn,
    travelIn: 0,
    lambda: lengthIn / areaOf(shape),
    radiusIn: radiusOf(lines, unit.heightShare * way.spacingIn),
    starts,
  };
}
