import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';

/** A piece of batting or fabric that is there, inches. */
export interface Piece {
  widthIn: number;
  lengthIn: number;
}

/** What is there against what is needed, per side. */
export interface InHand {
  neededIn: Piece;
  /** The piece that is enough by itself, and which way it is laid; null when none is. */
  fits: { index: number; turned: boolean; spareIn: { width: number; length: number } } | null;
  /** Strips side by side that are enough together: joins run down the quilt. */
  joined: { indexes: number[]; joinsIn: number[] } | null;
  /** What each piece lacks, laid the better way. */
  lacks: { index: number; turned: boolean; width: number; length: number }[];
}

/** Cut off each edge that is joined, so that it is straight, inches. */
const TRIM_IN = 0.5;

const wayOf = (p: Piece, turned: boolean): Piece =>
  turned ? { widthIn: p.lengthIn, lengthIn: p.widthIn } : p;

/**
 * Whether a batting or backing that is there is enough for a quilt with its margins, per side and before it is loaded: one
 * piece, turned if need be; else strips joined down the quilt, the fewest; and what each piece lacks.
 * @param marginIn each side, inches. @param pieces what is there, inches.
 */
export function inHand(
  quilt: { widthIn: number; lengthIn: number },
  marginIn: number,
  pieces: readonly Piece[],
): InHand {
  const needed: Piece = { widthIn: quilt.widthIn + 2 * marginIn, lengthIn: quilt.lengthIn + 2 * marginIn };
  const lacks = pieces.map((p, index) => {
    const ways = [false, true].map((turned) => {
      const laid = wayOf(p, turned);
      return {
        index,
        turned,
        width: Math.max(0, needed.widthIn - laid.widthIn),
        length: Math.max(0, needed.lengthIn - laid.lengthIn),
      };
    });
    return ways.reduce((a, b) => (b.width + b.length < a.width + a.length ? b : a));
  });
  const enough = lacks
    .filter((l) => l.width === 0 && l.length === 0)
    .map((l) => {
      const laid = wayOf(pieces[l.index]!, l.turned);
      return {
        index: l.index,
        turned: l.turned,
        spareIn: { width: laid.widthIn - needed.widthIn, length: laid.lengthIn - needed.lengthIn },
      };
    })
    .sort(
      (a, b) =>
        pieces[a.index]!.widthIn * pieces[a.index]!.lengthIn -
        pieces[b.index]!.widthIn * pieces[b.index]!.lengthIn,
    );
  return {
    neededIn: needed,
    fits: enough[0] ?? null,
    joined: enough.length > 0 ? null : joinedOf(pieces, needed),
    lacks,
  };
}

/** The fewest pieces, widest first, that reach across side by side, each long enough by itself. */
function joinedOf(pieces: readonly Piece[], needed: Piece): InHand['joined'] {
  const strips = pieces
    .map((p, index) => {
      const ways = [p, wayOf(p, true)].filter((w) => w.lengthIn >= needed.lengthIn);
      return { index, widthIn: Math.max(0, ...ways.map((w) => w.widthIn)) };
    })
    .filter((s) => s.widthIn > 2 * TRIM_IN)
    .sort((a, b) => b.widthIn - a.widthIn);
  let across = 0;
  const taken: number[] = [];
  const joins: number[] = [];
  for (const s of strips) {
    if (taken.length > 0) {
      across -= TRIM_IN;
      joins.push(across);
    }
    across += s.widthIn - (taken.length > 0 ? TRIM_IN : 0);
    taken.push(s.index);
    if (across >= needed.widthIn) return { indexes: taken, joinsIn: joins };
  }
  return null;
}

/** The batting of pieces joined: quilted within the strictest of their distances. */
export const strictestIn = (kinds: readonly { kind: string; maxGapIn: number | null }[]): number =>
  Math.min(...kinds.map((k) => k.maxGapIn ?? battings.get(k.kind, 'batting').maxGapIn));

/** Battings whose recommended distance leaves a quilt as open as it is wished, loosest first. */
export const battingsFor = (
  openIn: number,
  shelf: readonly { id: string; kind: string; maxGapIn: number | null }[],
): string[] =>
  shelf
    .map((b) => ({ id: b.id, gap: b.maxGapIn ?? battings.get(b.kind, 'batting').maxGapIn }))
    .filter((b) => 0.95 * b.gap >= openIn)
    .sort((a, b) => b.gap - a.gap)
    .map((b) => b.id);

const IN2_TO_M2 = 0.00064516;
/** Thread adds about so much to a quilted piece (judgement). */
const THREAD_SHARE = 1.03;
/** Water held after spinning, as a share of dry weight, and hours to dry lying flat at 20 °C (judgements). */
const WET_SHARE = 0.7;
const DRYING_H_PER_KG_M2 = 16;

/** What a quilt weighs dry and spun, kg, and the hours it dries lying flat. First-order estimates. */
export function weightOf(
  quilt: { widthIn: number; lengthIn: number },
  layers: { top: string; batting: string; backing: string },
): { dryKg: number; wetKg: number; dryingH: number } {
  const m2 = quilt.widthIn * quilt.lengthIn * IN2_TO_M2;
  const gM2 =
    fabrics.get(layers.top, 'top').gM2 * 1.15 +
    battings.get(layers.batting, 'batting').gM2 +
    fabrics.get(layers.backing, 'backing').gM2;
  const dryKg = (m2 * gM2 * THREAD_SHARE) / 1000;
  const wetKg = dryKg * (1 + WET_SHARE);
  return { dryKg, wetKg, dryingH: (DRYING_H_PER_KG_M2 * (wetKg - dryKg)) / m2 };
}
