import { CoreError } from '../notes';
import { type MultiPolygon, rect } from '../geometry/polygon';
import { blocks, corners, frame, sashing, strips } from './shapes';

export type PlanKind = 'whole' | 'bordered' | 'blocks' | 'medallion' | 'strips' | 'irregular';
export const PLAN_LABEL: Record<PlanKind, string> = {
  whole: 'whole cloth, one zone',
  bordered: 'border round a centre',
  blocks: 'border, blocks and sashing',
  medallion: 'medallion, ring in ring',
  strips: 'strips side by side',
  irregular: 'irregular, to be drawn on the map',
};

export interface PlanRequest {
  kind: PlanKind;
  widthIn: number;
  lengthIn: number;
  borderIn?: number;
  /** Blocks across, rings of a medallion, or strips. */
  columns?: number;
  rows?: number;
  sashIn?: number;
}

interface PlanZone {
  name: string;
  geometry: MultiPolygon;
}

const RINGS_WORD = ['Outer ring', 'Second ring', 'Third ring', 'Fourth ring'];
const MOST_STRIPS = 20;

function bordered(p: PlanRequest): { zones: PlanZone[]; inner: { b: number; w: number; l: number } } {
  const { widthIn: w, lengthIn: l } = p;
  const b = p.borderIn ?? 6;
  if (b <= 0 || 2 * b >= Math.min(w, l))
    throw new CoreError('border-too-wide', `A border of ${b} in leaves nothing inside.`, 'borderIn');
  return {
    zones: [
      { name: 'Border', geometry: strips(0, 0, w, l, b) },
      { name: 'Corners', geometry: corners(0, 0, w, l, b) },
    ],
    inner: { b, w: w - 2 * b, l: l - 2 * b },
  };
}

function blockPlan(p: PlanRequest): PlanZone[] {
  const { zones, inner } = bordered(p);
  const { b, w, l } = inner;
  const [columns, rows, s] = [p.columns ?? 3, p.rows ?? 4, p.sashIn ?? 2];
  if (w - s * (columns + 1) <= 0 || l - s * (rows + 1) <= 0)
    throw new CoreError('blocks-too-small', 'So much sashing leaves no room for the blocks.', 'sashIn');
  return [
    ...zones,
    { name: 'Blocks', geometry: blocks(b, b, w, l, columns, rows, s) },
    ...(s > 0 ? [{ name: 'Sashing', geometry: sashing(b, b, w, l, columns, rows, s) }] : []),
  ];
}

/** Rings of one width round a centre of the same width at least. */
function medallion({ widthIn: w, lengthIn: l, columns = 3 }: PlanRequest): PlanZone[] {
  const rings = Math.min(RINGS_WORD.length, columns);
  const d = Math.min(w, l) / (2 * rings + 2);
  const zones = Array.from({ length: rings }, (_, i) => ({
    name: RINGS_WORD[i]!,
    geometry: frame(i * d, i * d, w - 2 * i * d, l - 2 * i * d, d),
  }));
  const at = rings * d;
  return [...zones, { name: 'Centre', geometry: [[rect(at, at, w - 2 * at, l - 2 * at)]] }];
}

function sideBySide({ widthIn: w, lengthIn: l, columns = 5 }: PlanRequest): PlanZone[] {
  const n = Math.min(MOST_STRIPS, columns);
  const own = (odd: number) =>
    Array.from({ length: n }, (_, i) => i)
      .filter((i) => i % 2 === odd)
      .map((i) => [rect((i * w) / n, 0, w / n, l)]);
  return [
    { name: 'Odd strips', geometry: own(0) },
    ...(n > 1 ? [{ name: 'Even strips', geometry: own(1) }] : []),
  ];
}

/** Each kind of plan. Adding one is adding a row. */
const PLANS: Record<PlanKind, (p: PlanRequest) => PlanZone[]> = {
  whole: (p) => [{ name: 'Whole cloth', geometry: [[rect(0, 0, p.widthIn, p.lengthIn)]] }],
  irregular: (p) => [{ name: 'Not drawn yet', geometry: [[rect(0, 0, p.widthIn, p.lengthIn)]] }],
  bordered: (p) => {
    const { zones, inner } = bordered(p);
    return [...zones, { name: 'Centre', geometry: [[rect(inner.b, inner.b, inner.w, inner.l)]] }];
  },
  blocks: blockPlan,
  medallion,
  strips: sideBySide,
};

/**
 * The zones a plan begins with, in inches from the top left corner; together they cover the quilt without
 * overlapping.
 * @throws CoreError `border-too-wide`, `blocks-too-small` when nothing would be left inside.
 */
export const planZones = (p: PlanRequest): PlanZone[] => PLANS[p.kind](p);
