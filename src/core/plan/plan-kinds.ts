import { CoreError } from '../notes';
import { type MultiPolygon, rect } from '../geometry/polygon';
import { blocks, corners, sashing, strips } from './shapes';

export type PlanKind = 'whole' | 'bordered' | 'blocks';
export const PLAN_LABEL: Record<PlanKind, string> = {
  whole: 'whole cloth, one zone',
  bordered: 'border round a centre',
  blocks: 'border, blocks and sashing',
};

export interface PlanRequest {
  kind: PlanKind;
  widthIn: number;
  lengthIn: number;
  borderIn?: number;
  columns?: number;
  rows?: number;
  sashIn?: number;
}

/**
 * The zones a plan begins with, in inches from the top left corner; together they cover the quilt without
 * overlapping.
 * @throws CoreError `border-too-wide`, `blocks-too-small` when nothing would be left inside.
 */
export function planZones(p: PlanRequest): { name: string; geometry: MultiPolygon }[] {
  const { widthIn: w, lengthIn: l } = p;
  if (p.kind === 'whole') return [{ name: 'Whole cloth', geometry: [[rect(0, 0, w, l)]] }];
  const b = p.borderIn ?? 6;
  if (b <= 0 || 2 * b >= Math.min(w, l))
    throw new CoreError('border-too-wide', `A border of ${b} in leaves nothing inside.`, 'borderIn');
  const border = [
    { name: 'Border', geometry: strips(0, 0, w, l, b) },
    { name: 'Corners', geometry: corners(0, 0, w, l, b) },
  ];
  const [iw, il] = [w - 2 * b, l - 2 * b];
  if (p.kind === 'bordered') return [...border, { name: 'Centre', geometry: [[rect(b, b, iw, il)]] }];
  const [columns, rows, s] = [p.columns ?? 3, p.rows ?? 4, p.sashIn ?? 2];
  if (iw - s * (columns + 1) <= 0 || il - s * (rows + 1) <= 0)
    throw new CoreError('blocks-too-small', 'So much sashing leaves no room for the blocks.', 'sashIn');
  return [
    ...border,
    { name: 'Blocks', geometry: blocks(b, b, iw, il, columns, rows, s) },
    ...(s > 0 ? [{ name: 'Sashing', geometry: sashing(b, b, iw, il, columns, rows, s) }] : []),
  ];
}
