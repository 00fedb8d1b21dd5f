import type { Drawing, Label, Mark } from './mark';

/** Draws a list of marks as they come. */
export function Marks({ marks }: { marks: readonly Mark[] }) {
  return marks.map((m, i) => (
    <path
      key={i}
      d={m.d}
      fill={m.fill ?? 'none'}
      fillRule="evenodd"
      stroke={m.stroke}
      strokeWidth={m.width}
      strokeDasharray={m.dash}
      strokeLinecap={m.cap}
      strokeLinejoin="round"
      opacity={m.opacity}
    />
  ));
}

export function Labels({ labels }: { labels: readonly Label[] }) {
  return labels.map((l, i) => (
    <text
      key={i}
      x={l.x}
      y={l.y}
      textAnchor={l.anchor}
      fontSize={l.size ?? 13}
      fontWeight={l.weight}
      style={{ fill: l.colour ?? 'var(--ink)' }}
    >
      {l.text}
    </text>
  ));
}

/** A finished drawing with a name for those who do not see it. */
export function DrawingSvg({
  drawing,
  title,
  className,
  data,
}: {
  drawing: Drawing;
  title: string;
  className?: string;
  /** The name by which it can be saved. */
  data?: string;
}) {
  const { width, height, marks, labels } = drawing;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      role="img"
      aria-label={title}
      data-drawing={data}
      className={className}
    >
      <Marks marks={marks} />
      <Labels labels={labels} />
    </svg>
  );
}
