import { battingNamed } from '@/core/backing/batting-named';
import { inHand, strictestIn } from '@/core/backing/in-hand';
import { readPieces } from '@/core/backing/read-pieces';
import { type DrawnMap, QuiltMap } from '@/ui/quilt-map/QuiltMap';
import type { BattingAtHand } from './BattingForWish';

/** What is there against what is needed, per side: enough, joined, or what it lacks. */
export function InHandLine({
  what,
  text,
  quilt,
  marginIn,
  length,
  battings = [],
  own = '',
  map,
}: {
  what: string;
  text: string;
  quilt: { widthIn: number; lengthIn: number };
  marginIn: number;
  length: (inches: number) => string;
  /** Battings by whose names pieces may be called. */
  battings?: readonly BattingAtHand[];
  /** What a piece is that is not called anything. */
  own?: string;
  /** The quilt, to show joins on. */
  map?: DrawnMap;
}) {
  const pieces = readPieces(text);
  const strange =
    battings.length > 0 && pieces?.find((p) => p.name !== '' && !battingNamed(p.name, battings));
  if (strange)
    return (
      <p className="font-medium text-madder">
        “{strange.name}” is no batting of this workroom. Write one of its names, or none.
      </p>
    );
  if (pieces === null)
    return (
      <p className="font-medium text-madder">Write pieces as 72 × 90, one after another with ; between.</p>
    );
  if (pieces.length === 0) return null;
  const { fits, joined, lacks } = inHand(quilt, marginIn, pieces);
  const kinds = (joined?.indexes ?? []).map((i) => battingNamed(pieces[i]!.name || own, battings));
  const known = kinds.filter((k) => k !== undefined);
  const gap = known.length > 0 ? strictestIn(known) : null;
  const name = (i: number) => `${length(pieces[i]!.widthIn)} × ${length(pieces[i]!.lengthIn)}`;
  if (fits)
    return (
      <p className="font-medium text-verdigris">
        The {what} of {name(fits.index)} is enough{fits.turned ? ', turned' : ''}:{' '}
        {length(fits.spareIn.width)} to spare across, {length(fits.spareIn.length)} along.
      </p>
    );
  if (joined)
    return (
      <>
        <p className="font-medium text-weld-text">
          No piece is enough alone. Join {joined.indexes.map(name).join(' and ')} down the quilt, at{' '}
          {joined.joinsIn.map((x) => length(x - marginIn)).join(' and ')} from its left edge.
          {gap !== null && ` Quilt within ${length(gap)}: the strictest of them counts, in Match too.`}
        </p>
        {map && (
          <QuiltMap {...map}>
            {joined.joinsIn.map((x) => (
              <path
                key={x}
                d={`M${x - marginIn} 0V${quilt.lengthIn}`}
                stroke="var(--madder)"
                strokeWidth={quilt.widthIn / 120}
                strokeDasharray={`${quilt.widthIn / 40} ${quilt.widthIn / 60}`}
              />
            ))}
          </QuiltMap>
        )}
      </>
    );
  const least = lacks.reduce((a, b) => (b.width + b.length < a.width + a.length ? b : a));
  return (
    <p className="font-medium text-madder">
      Not enough: {name(least.index)} lacks{' '}
      {[
        least.width > 0 && `${length(least.width)} across`,
        least.length > 0 && `${length(least.length)} along`,
      ]
        .filter(Boolean)
        .join(' and ')}
      .
    </p>
  );
}
