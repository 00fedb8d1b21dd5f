import { learned, predicted } from '@/core/source/known';
import { Sourced } from '@/ui/kit/Sourced';
import { chance, type FoundCause } from './shown';

const FIRST_CAUSES = 5;

/** A factor of this and more fills its bar. */
const FULL = Math.log(8);
const MOST_REASONS = 3;

/** What of this set-up speaks for a cause, and what against it: each with a bar as long as it counts. */
function Why({ reasons }: { reasons: FoundCause['reasons'] }) {
  const each = [...new Map(reasons.map((r) => [r.why, r])).values()]
    .sort((a, b) => Math.abs(Math.log(b.multiply)) - Math.abs(Math.log(a.multiply)))
    .slice(0, MOST_REASONS);
  return (
    <>
      {each.map(({ why, multiply }) => {
        const share = Math.min(1, Math.abs(Math.log(multiply)) / FULL);
        const plus = multiply >= 1;
        return (
          <p key={why} className="flex items-center gap-2 text-13 text-ink2">
            <svg width="48" height="6" className="shrink-0" aria-hidden>
              <path d="M24 0V6" stroke="var(--rule)" />
              <rect
                x={plus ? 24 : 24 - 24 * share}
                width={Math.max(1.5, 24 * share)}
                height="6"
                fill={plus ? 'var(--walnut)' : 'var(--verdigris)'}
              />
            </svg>
            <span>
              {plus ? '' : 'against it: '}
              {why}
            </span>
          </p>
        );
      })}
    </>
  );
}

/** The first causes with their chance, and what in this set-up speaks for them. */
export function Causes({
  found,
  episodes,
  className,
}: {
  found: readonly FoundCause[];
  episodes: number;
  className?: string;
}) {
  return (
    <section aria-label="Likely causes" className={className}>
      <h3 className="text-[17px]">Likely causes</h3>
      <ol>
        {found.slice(0, FIRST_CAUSES).map((c) => (
          <li key={c.id} className="border-b py-1.5">
            <div className="flex items-baseline gap-3">
              <b className="min-w-0 flex-1">{c.label}</b>
              <Sourced of={c.episodes > 0 ? learned(null) : predicted(null)}>
                <b>{chance(c.p)}</b>
              </Sourced>
            </div>
            <svg width="100%" height="8" aria-hidden className="mt-0.5 block">
              <rect width="100%" height="8" fill="var(--sunk)" />
              <rect
                width={`${c.p * 100}%`}
                height="8"
                fill={c.stopWork ? 'var(--madder)' : 'var(--indigo)'}
              />
            </svg>
            <p className="text-13 text-ink2">
              {c.stopWork && <b className="text-madder">Do not sew on before this is settled. </b>}
              {c.technician && 'A trained technician’s work. '}
              {c.episodes > 0 && `Found ${c.episodes} ${c.episodes === 1 ? 'time' : 'times'} here.`}
            </p>
            <Why reasons={c.reasons} />
          </li>
        ))}
      </ol>
      <p className="mt-1 text-13 text-ink2">
        {episodes === 0
          ? 'Rests on the figures that ship: each confirmed cause moves them.'
          : `Moved by ${episodes} confirmed ${episodes === 1 ? 'episode' : 'episodes'} of your own; the shipped figures weigh as much as 40 of each cause.`}
      </p>
    </section>
  );
}
