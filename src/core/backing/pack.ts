import { CoreError } from '../notes';

export interface SmallQuilt {
  id: string;
  widthIn: number;
  lengthIn: number;
}

export interface PackedQuilt extends SmallQuilt {
  /** From the backing's top left corner. */
  x: number;
  y: number;
  turned: boolean;
}

export interface Packed {
  placed: PackedQuilt[];
  lengthIn: number;
  wasteIn2: number;
}

/**
 * Several small quilts on one long backing of a width: rows (shelves), tallest first, each quilt the way round
 * that wastes least, `gapIn` between and round them. Every order of widths is tried for up to seven quilts; more
 * are taken tallest first. Inches.
 * @throws CoreError `too-wide` when a quilt fits neither way.
 */
export function packSmall(quilts: readonly SmallQuilt[], widthIn: number, gapIn: number): Packed {
  for (const q of quilts)
    if (Math.min(q.widthIn, q.lengthIn) + 2 * gapIn > widthIn)
      throw new CoreError(
        'too-wide',
        `“${q.id}” does not fit a backing of ${widthIn} in either way.`,
        'quilts',
      );
  const pieces = (quilts.length <= 7 ? quilts : tallestFirst(quilts)).map((q) => ({
    q,
    ways: waysOf(q, widthIn, gapIn),
  }));
  const orders = quilts.length <= 7 ? permutations(pieces) : [pieces];
  let best: Packed | null = null;
  for (const order of orders) {
    for (const way of WAYS) {
      const packed = shelfPack(order, widthIn, gapIn, way);
      if (!best || packed.lengthIn < best.lengthIn - 1e-9) best = packed;
    }
  }
  return best ?? { placed: [], lengthIn: 0, wasteIn2: 0 };
}

/** Each the way its row grows least by, or all upright, or all turned, wherever they fit so. */
const WAYS = ['least', 'upright', 'turned'] as const;

const tallestFirst = (quilts: readonly SmallQuilt[]) =>
  [...quilts].sort((a, b) => Math.min(b.widthIn, b.lengthIn) - Math.min(a.widthIn, a.lengthIn));

/** A small quilt, and the ways round it fits: across and down. */
interface Piece {
  q: SmallQuilt;
  ways: readonly { turned: boolean; w: number; l: number }[];
}

const waysOf = ({ widthIn, lengthIn }: SmallQuilt, across: number, gap: number): Piece['ways'] =>
  [
    { turned: false, w: widthIn, l: lengthIn },
    { turned: true, w: lengthIn, l: widthIn },
  ].filter((v) => v.w + 2 * gap <= across);

function shelfPack(
  order: readonly Piece[],
  widthIn: number,
  gap: number,
  prefer: (typeof WAYS)[number],
): Packed {
  const placed: PackedQuilt[] = [];
  let [y, x, tall] = [gap, gap, 0];
  for (const { q, ways } of order) {
    const here = ways.filter((v) => x + v.w + gap <= widthIn);
    const fits = here.length > 0;
    if (!fits) [y, x, tall] = [y + tall + gap, gap, 0];
    const grows = (v: { l: number }) => Math.max(0, v.l - tall);
    const open = fits ? here : ways;
    const way =
      (prefer === 'least' ? undefined : open.find((v) => v.turned === (prefer === 'turned'))) ??
      open.reduce((a, b) => (grows(b) < grows(a) || (grows(b) === grows(a) && b.w < a.w) ? b : a));
    placed.push({ ...q, x, y, turned: way.turned });
    x += way.w + gap;
    tall = Math.max(tall, way.l);
  }
  const lengthIn = placed.length > 0 ? y + tall + gap : 0;
  const used = order.reduce((sum, { q }) => sum + q.widthIn * q.lengthIn, 0);
  return { placed, lengthIn, wasteIn2: lengthIn * widthIn - used };
}

function* permutations<T>(items: readonly T[]): Generator<readonly T[]> {
  if (items.length <= 1) return yield items;
  for (let i = 0; i < items.length; i++)
    for (const rest of permutations([...items.slice(0, i), ...items.slice(i + 1)]))
      yield [items[i]!, ...rest];
}
