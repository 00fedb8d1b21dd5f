import { mix } from '@/ui/draw/colour';
import { box, line, type Mark, n } from '@/ui/draw/mark';

/** A thread's share of the spool, top to bottom. */
export interface Band {
  hex: string;
  share: number;
}

export interface SpoolShape {
  width: number;
  height: number;
  bands: readonly Band[];
  /** Wound share 0–1: what is sewn. */
  fill: number;
  peg?: boolean;
  /** On the frame now: only its dashed outline hangs here. */
  away?: boolean;
}

const WOOD_DARK = '#6b4a34';
const FLANGE = 0.085;
const CORE = 0.17;
const WINDING_STEP = 3.2;

/** The winding's outline at a radius: chamfered where it meets the core. */
function winding(cx: number, r: number, r0: number, y0: number, y1: number): string {
  const chamfer = Math.min((y1 - y0) * 0.05, (r - r0) * 0.4);
  const p = 1.5;
  return `M${n(cx - r0)} ${n(y0 + p)}L${n(cx - r)} ${n(y0 + p + chamfer)}V${n(y1 - p - chamfer)}L${n(cx - r0)} ${n(y1 - p)}H${n(cx + r0)}L${n(cx + r)} ${n(y1 - p - chamfer)}V${n(y0 + p + chamfer)}L${n(cx + r0)} ${n(y0 + p)}Z`;
}

/** Wound lines of one band, slanted and clipped to the winding's width. */
function woundLines(band: Band, cx: number, r: number, top: number, bottom: number): Mark[] {
  let [dark, light] = ['', ''];
  for (let y = top + 1.5, i = 0; y < bottom - 1; y += WINDING_STEP, i++) {
    const lean = Math.min(2.4, y - top, bottom - y);
    const wound = line(cx - r, y + lean, cx + r, y - lean);
    if (i % 3 === 1) light += wound;
    else dark += wound;
  }
  const drawn = { width: 0.85, cap: 'butt' } as const;
  return [
    { d: box(cx - r, top, 2 * r, bottom - top), fill: band.hex },
    ...(dark ? [{ d: dark, stroke: mix(band.hex, '#000000', 0.28), ...drawn }] : []),
    ...(light ? [{ d: light, stroke: mix(band.hex, '#ffffff', 0.22), ...drawn }] : []),
  ];
}

/**
 * A spool seen from the side: flanges of light wood, the winding from core to flange by what is sewn, in
 * bands by share of thread; what is not yet sewn is the dashed outline of the full winding.
 */
export function spoolMarks({
  width: w,
  height: h,
  bands,
  fill,
  peg = false,
  away = false,
}: SpoolShape): Mark[] {
  const cx = w / 2;
  const flange = h * FLANGE;
  const top = peg ? h * 0.1 : 0;
  const [y0, y1] = [top + flange, h - flange];
  const [r0, full] = [w * CORE, w / 2 - 3];
  const r = r0 + (full - r0) * Math.min(1, Math.max(0, fill));
  const outline: Mark = { d: winding(cx, full, r0, y0, y1), stroke: WOOD_DARK, width: 1.3, dash: '6 4' };
  const pegMark: Mark = {
    d: `M${n(cx - 3)} ${n(away ? h : top + 2)}V4a3 3 0 0 1 6 0V${n(away ? h : top + 2)}Z`,
    fill: WOOD_DARK,
  };
  const flanges = [box(1, top, w - 2, flange), box(1, y1, w - 2, flange - 0.6)];
  if (away)
    return [
      ...(peg ? [pegMark] : []),
      ...flanges.map((d) => ({ d, stroke: WOOD_DARK, width: 1.4, dash: '6 4' })),
      outline,
    ];
  const marks: Mark[] = [
    ...(peg ? [pegMark] : []),
    { d: box(cx - r0, y0, 2 * r0, y1 - y0), fill: '#eadfcb', stroke: WOOD_DARK, width: 1.2 },
  ];
  let y = y0 + 1.5;
  const span = y1 - y0 - 3;
  for (const band of bands) {
    const bottom = y + span * band.share;
    let open = '';
    for (let yy = y + 4; yy < bottom - 1; yy += 7.4)
      open += line(cx - full + 3, yy + 1.6, cx + full - 3, yy - 1.6);
    if (fill < 0.97 && open)
      marks.push({ d: open, stroke: mix(band.hex, '#6b4a34', 0.25), width: 2, dash: '8 5', cap: 'butt' });
    if (fill > 0.02) marks.push(...woundLines(band, cx, r - 0.6, y, bottom));
    y = bottom;
  }
  if (fill < 0.97) marks.push(outline);
  if (fill > 0.02)
    marks.push({
      d: winding(cx, r, r0, y0, y1),
      stroke: mix(bands[0]?.hex ?? '#8b8474', '#000000', 0.45),
      width: 1.1,
    });
  return [...marks, ...flanges.map((d) => ({ d, fill: 'var(--wood)', stroke: WOOD_DARK, width: 1.3 }))];
}
