import { inHand } from '@/core/backing/in-hand';
import { readPieces } from '@/core/backing/read-pieces';

/** What is there against what is needed, per side: enough, joined, or what it lacks. */
export function InHandLine({
  what,
  text,
  quilt,
  marginIn,
  length,
}: {
  what: string;
  text: string;
  quilt: { widthIn: number; lengthIn: number };
  marginIn: number;
  length: (inches: number) => string;
}) {
  const pieces = readPieces(text);
  if (pieces === null)
    return (
      <p className="font-medium text-madder">Write pieces as 72 × 90, one after another with ; between.</p>
    );
  if (pieces.length === 0) return null;
  const { fits, joined, lacks } = inHand(quilt, marginIn, pieces);
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
      <p className="font-medium text-weld-text">
        No piece is enough alone. Join {joined.indexes.map(name).join(' and ')} down the quilt, at{' '}
        {joined.joinsIn.map(length).join(' and ')} from its left.
      </p>
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
