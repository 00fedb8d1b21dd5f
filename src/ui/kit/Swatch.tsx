import { CLEAR, mix } from '@/ui/draw/colour';

/** A patch of wound thread in its colour. Decorative: the name stands beside it. */
export function ThreadSwatch({
  hex,
  width = 28,
  height = 28,
}: {
  hex: string | null;
  width?: number;
  height?: number;
}) {
  const colour = hex ?? CLEAR;
  const lines = Array.from(
    { length: Math.ceil(height / 3.6) + 2 },
    (_, i) => `M0 ${i * 3.6 - 2}L${width} ${i * 3.6 - 7}`,
  ).join('');
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      className="shrink-0 overflow-hidden rounded"
      aria-hidden
    >
      <rect width={width} height={height} fill={colour} />
      <path d={lines} stroke={mix(colour, '#000000', 0.3)} strokeWidth={1} />
    </svg>
  );
}
