import { Marks } from '@/ui/draw/Marks';
import { polyline } from '@/ui/draw/mark';
import { type facesAt, lineAndCurve, stitchMarks } from './stitch-side';

export const FACE = { top: 60, back: 50, gap: 6 };
/** How high the ribbon is shown, px. */
export const SHOWN = 88;

/** One test on the ribbon: a line and a curve, top above, back below; not yet sewn, a dashed line. */
export function StripCell(p: {
  top: string;
  bobbin: string;
  cloth: string;
  backing: string;
  faces: ReturnType<typeof facesAt> | null;
}) {
  const w = 250;
  const face = (y: number, h: number, own: string, other: string, through: 0 | 1 | 2 | 3 | null) => {
    const { along, length } = lineAndCurve(20, y + h / 2, w - 44, h * 0.4);
    if (through === null) {
      const points = Array.from({ length: 60 }, (_, i) => {
        const at = along((length * i) / 59);
        return [at.x, at.y] as const;
      });
      return <path d={polyline(points)} fill="none" stroke={own} strokeWidth={2.6} strokeDasharray="10 6" />;
    }
    return <Marks marks={stitchMarks({ along, length, stitch: 19.5, own, other, thread: 5.6, through })} />;
  };
  const backY = FACE.top + FACE.gap;
  return (
    <svg
      viewBox={`0 0 ${w} ${backY + FACE.back}`}
      className="block w-full"
      height={SHOWN}
      preserveAspectRatio="none"
      aria-hidden
    >
      <rect width={w} height={FACE.top} fill={p.cloth} />
      <rect y={backY} width={w} height={FACE.back} fill={p.backing} />
      {face(0, FACE.top, p.top, p.bobbin, p.faces?.top ?? null)}
      {face(backY, FACE.back, p.bobbin, p.top, p.faces?.back ?? null)}
      <path
        d={`M0 0V${FACE.top}M0 ${backY}v${FACE.back}`}
        stroke="#20262b"
        strokeOpacity={0.45}
        strokeDasharray="2 4"
      />
    </svg>
  );
}
