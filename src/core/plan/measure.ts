/** What three widths or lengths say: the same, fuller in the middle, or wavy at the edges. */
export type Squareness = 'square' | 'full' | 'wavy' | 'out-of-square';

export interface MeasureVerdict {
  verdict: Squareness;
  /** Largest less smallest, inches. */
  spreadIn: number;
  meanIn: number;
  text: string;
}

/** Spread under which a quilt counts as square: half an inch or 0.75 % of its length, whichever is more (judgement). */
const SQUARE_IN = 0.5;
const SQUARE_SHARE = 0.0075;

/**
 * Three measures of one direction, edge, middle, edge, in inches above 0: the middle longer than both edges is
 * full, both edges longer than the middle wavy, one edge longer than the other out of square.
 * @example measure([64, 65.5, 64], 'width').verdict // 'full'
 */
export function measure(
  [a, b, c]: readonly [number, number, number],
  noun: 'width' | 'length',
): MeasureVerdict {
  const spreadIn = Math.max(a, b, c) - Math.min(a, b, c);
  const meanIn = (a + b + c) / 3;
  const much = `${Number(spreadIn.toFixed(2))} in`;
  const tell = (verdict: Squareness, text: string): MeasureVerdict => ({ verdict, spreadIn, meanIn, text });
  if (spreadIn <= Math.max(SQUARE_IN, SQUARE_SHARE * meanIn))
    return tell('square', `The ${noun}s agree within ${much}.`);
  if (b > a && b > c)
    return tell('full', `The middle is up to ${much} fuller than the edges: quilt it down, and ease it in.`);
  if (b < a && b < c)
    return tell(
      'wavy',
      `The edges are up to ${much} longer than the middle: the borders will wave unless they are eased in.`,
    );
  return tell('out-of-square', `The ${noun}s run ${much} from one side to the other: it is not square.`);
}

/** One size from three measures, kept to the eighth of an inch. */
export const eighth = (three: readonly number[]): number =>
  Math.round((three.reduce((a, b) => a + b, 0) / three.length) * 8) / 8;
