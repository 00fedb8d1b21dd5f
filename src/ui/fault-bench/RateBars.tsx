import { scaleLinear } from 'd3-scale';
import { Link } from '@/ui/kit/Link';
import type { FaultRate } from '@/core/faults/rates';
import { grouped, stitchesWords } from '@/ui/kit/counts';

const W = 190;
const WORD = { worse: 'more than usual', better: 'fewer than usual', unsure: '' } as const;
const TONE = { worse: 'var(--madder)', better: 'var(--verdigris)', unsure: 'var(--ink2)' } as const;
const SHOWN = 20;

/** Rates with their ranges, drawn on one scale; from a bar to its faults. */
export function RateBars({
  bars,
}: {
  bars: readonly (FaultRate & { label: string; faults: number; stitches: number; href?: string })[];
}) {
  const shown = bars.slice(0, SHOWN);
  const x = scaleLinear()
    .domain([0, Math.max(1, ...shown.map((b) => b.high))])
    .range([4, W - 4]);
  return (
    <ol className="mt-1">
      {shown.map((b) => (
        <li key={b.id} className="border-b">
          <Row href={b.href} className="flex min-h-11 items-center gap-3 py-1 hover:bg-sunk">
            <span className="min-w-0 flex-1 leading-tight">
              {b.label}
              <span className="block text-13 text-ink2">
                {grouped(b.faults)} in {stitchesWords(b.stitches)}
                {WORD[b.differs] && <b style={{ color: TONE[b.differs] }}> · {WORD[b.differs]}</b>}
              </span>
            </span>
            <svg
              width={W}
              height={28}
              role="img"
              aria-label={`${b.per100k.toFixed(1)}, between ${b.low.toFixed(1)} and ${b.high.toFixed(1)}`}
              className="shrink-0"
            >
              <path d={`M${x(b.mean)} 2V26`} stroke="var(--rule)" strokeWidth={1.5} />
              <path d={`M${x(b.low)} 14H${x(b.high)}`} stroke={TONE[b.differs]} strokeWidth={3} />
              <circle cx={x(b.per100k)} cy={14} r={5} fill={TONE[b.differs]} />
            </svg>
          </Row>
        </li>
      ))}
      {bars.length > SHOWN && <li className="py-1 text-13 text-ink2">and {bars.length - SHOWN} more</li>}
    </ol>
  );
}

/** A row that leads to its faults, or one that does not. */
function Row({ href, ...rest }: { href?: string; className: string; children: React.ReactNode }) {
  return href ? <Link href={href} {...rest} /> : <div {...rest} />;
}
