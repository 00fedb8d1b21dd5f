import { CLEAR } from '@/ui/draw/colour';
import { windingRadius } from './bobbin-gauge';

/** A bobbin from the side of its flange: the winding by what is on it, as area. */
export function BobbinGauge({
  od,
  core,
  share,
  hex,
}: {
  od: number;
  core: number;
  share: number;
  hex: string | null;
}) {
  const px = 46 / od;
  const r = windingRadius(od / 2, core / 2, share) * px;
  return (
    <svg width="50" height="50" viewBox="-25 -25 50 50" aria-hidden className="shrink-0">
      <circle r={(od / 2) * px} fill="var(--steel)" stroke="var(--ink)" strokeWidth="1.3" />
      <circle r={r} fill={hex ?? CLEAR} stroke="var(--ink)" strokeOpacity="0.5" />
      <circle r={(core / 2) * px} fill="var(--cloth)" stroke="var(--ink)" strokeWidth="1.3" />
    </svg>
  );
}
