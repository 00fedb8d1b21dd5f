'use client';
import { Labels, Marks } from '@/ui/draw/Marks';
import { TextField } from '@/ui/kit/Field';
import { laidThreads, LOUPE, pictureUnderLoupe } from './loupe';
import type { Spot } from './Photo';
import type { AskedColours, ColourZone, RankedShelf, Shown } from './use-colours';

/** Threads laid across the fabric at true thickness, on swatches or on the photograph. */
export function LaidAcross({
  zone,
  asked: { cloths, across, setAcross, shows },
  shelf: { byId, laid },
  picture,
}: {
  zone: ColourZone;
  asked: AskedColours;
  shelf: RankedShelf;
  picture: { photo: Shown; url: string; spot: Spot } | null;
}) {
  const drawing = laidThreads(
    laid.flatMap((id) => byId.get(id) ?? []),
    zone.stitchMm,
  );
  return (
    <div className="mt-3">
      <h3 className="text-[17px]">Laid across, at true thickness</h3>
      <svg
        width={LOUPE.width}
        height={LOUPE.height}
        viewBox={`0 0 ${LOUPE.width} ${LOUPE.height}`}
        role="img"
        aria-label={`Threads laid across the fabric at true thickness: ${laid.map((id) => byId.get(id)?.name).join(', ') || 'none'}`}
        className="mt-1 max-w-full border"
      >
        {picture && shows ? (
          <image
            href={picture.url}
            {...pictureUnderLoupe(picture.photo, shows, picture.spot)}
            preserveAspectRatio="none"
          />
        ) : (
          <Swatches cloths={cloths} />
        )}
        <Marks marks={drawing.marks} />
        <g style={{ paintOrder: 'stroke', stroke: 'var(--cloth)', strokeWidth: 4 }}>
          <Labels labels={drawing.labels} />
        </g>
      </svg>
      {picture && (
        <div className="mt-1 max-w-[260px]">
          <TextField
            id="across"
            label="The photograph shows"
            hint="inches across"
            inputMode="decimal"
            value={across}
            onChange={(e) => setAcross(e.target.value)}
            error={shows === null ? 'Between 0.5 and 200 inches.' : undefined}
          />
        </div>
      )}
    </div>
  );
}

/** Without a photograph the cloths stand side by side, each as wide as its share. */
function Swatches({ cloths }: { cloths: ColourZone['cloths'] }) {
  const sum = cloths.reduce((s, c) => s + c.share, 0) || 1;
  const widths = cloths.map((c) => (c.share / sum) * LOUPE.width);
  return cloths.map((c, i) => (
    <rect
      key={i}
      x={widths.slice(0, i).reduce((s, w) => s + w, 0)}
      width={widths[i]}
      height={LOUPE.height}
      fill={c.hex}
    />
  ));
}
