import { mmToIn } from '../units/length';
import { CoreError } from '../notes';
import { packSmall, type Packed, type SmallQuilt } from './pack';
import type { Piece } from './in-hand';

/** Several tops cut from one panel, and the binding strips its left-over gives. */
export interface PanelCut {
  /** The panel as it is laid. */
  laidIn: Piece;
  /** The tops as they lie; null where they do not all fit. */
  tops: Packed | null;
  /** Strips out of what is left: where each lies, its length along the panel or across it, inches. */
  strips: { x: number; y: number; widthIn: number; lengthIn: number }[];
  /** Binding the strips make when they are joined, and what the tops need, inches. */
  bindingIn: number;
  neededIn: number;
  /** Square inches neither used nor worth keeping. */
  wasteIn2: number;
}

/** Cut between two pieces, so that each has a clean edge, inches. */
const CUT_IN = 0.25;
/** A strip shorter than this is not worth its join, inches (judgement). */
const LEAST_STRIP_IN = 15;

/**
 * How several tops and their binding come out of one panel with least waste: the tops in rows, turned where that is shorter;
 * strips across what is left below, and down what is left beside each row. Inches.
 * @param panel its width and length. @param stripIn width the binding is cut at.
 * @throws CoreError `strip-width`, and `too-wide` of `packSmall`.
 */
export function cutPanel(panel: Piece, tops: readonly SmallQuilt[], stripIn: number): PanelCut {
  if (!(stripIn > 0))
    throw new CoreError('strip-width', 'Give the width of the strips in inches.', 'stripIn');
  const ways = [panel, { widthIn: panel.lengthIn, lengthIn: panel.widthIn }];
  const laid = ways.flatMap((p) => {
    if (tops.some((t) => Math.min(t.widthIn, t.lengthIn) + 2 * CUT_IN > p.widthIn)) return [];
    const packed = packSmall(tops, p.widthIn, CUT_IN);
    return packed.lengthIn <= p.lengthIn ? [{ p, packed, strips: stripsOf(p, packed, stripIn) }] : [];
  });
  const lengthOf = (strips: PanelCut['strips']) =>
    strips.reduce((sum, s) => sum + Math.max(s.widthIn, s.lengthIn), 0) -
    stripIn * Math.max(0, strips.length - 1);
  const best = laid.reduce<(typeof laid)[number] | null>(
    (a, b) => (a && lengthOf(a.strips) >= lengthOf(b.strips) ? a : b),
    null,
  );
  const neededIn = tops.reduce((sum, t) => sum + 2 * (t.widthIn + t.lengthIn) + mmToIn(300), 0);
  if (!best) return { laidIn: panel, tops: null, strips: [], bindingIn: 0, neededIn, wasteIn2: 0 };
  const used =
    tops.reduce((sum, t) => sum + t.widthIn * t.lengthIn, 0) +
    best.strips.reduce((sum, s) => sum + s.widthIn * s.lengthIn, 0);
  return {
    laidIn: best.p,
    tops: best.packed,
    strips: best.strips,
    bindingIn: Math.max(0, lengthOf(best.strips)),
    neededIn,
    wasteIn2: panel.widthIn * panel.lengthIn - used,
  };
}

/** Strips across what is left below the rows, and down what is left beside each. */
function stripsOf(panel: Piece, { placed, lengthIn }: Packed, stripIn: number): PanelCut['strips'] {
  const strips: PanelCut['strips'] = [];
  const across = panel.widthIn >= LEAST_STRIP_IN;
  for (let y = lengthIn; across && y + stripIn <= panel.lengthIn + 1e-9; y += stripIn)
    strips.push({ x: 0, y, widthIn: panel.widthIn, lengthIn: stripIn });
  for (const y of new Set(placed.map((q) => q.y))) {
    const row = placed.filter((q) => q.y === y);
    const tall = Math.max(...row.map((q) => (q.turned ? q.widthIn : q.lengthIn)));
    const right = Math.max(...row.map((q) => q.x + (q.turned ? q.lengthIn : q.widthIn))) + CUT_IN;
    if (tall < LEAST_STRIP_IN) continue;
    for (let x = right; x + stripIn <= panel.widthIn + 1e-9; x += stripIn)
      strips.push({ x, y, widthIn: stripIn, lengthIn: tall });
  }
  return strips;
}
