import { predicted } from '@/core/source/known';
import { Sourced } from '@/ui/kit/Sourced';
import { chance, type FoundCause } from './shown';

const FIRST_CAUSES = 5;

/** What of this set-up speaks for a cause, and what against it; each said once. */
function whyHere(reasons: FoundCause['reasons']): string {
  const side = (holds: (m: number) => boolean) => [
    ...new Set(reasons.filter((r) => holds(r.multiply)).map((r) => r.why)),
  ];
  const [plus, minus] = [side((m) => m >= 1), side((m) => m < 1)];
  return [
    plus.length > 0 && `Speaks for it: ${plus.slice(0, 2).join(', ')}.`,
    minus.length > 0 && `Against it: ${minus.slice(0, 1).join(', ')}.`,
  ]
    .filter(Boolean)
    .join(' ');
}

/** The first causes with their chance, and what in this set-up speaks for them. */
export function Causes({ found, episodes }: { found: readonly FoundCause[]; episodes: number }) {
  return (
    <section aria-label="Likely causes">
      <h3 className="text-[17px]">Likely causes</h3>
      <ol>
        {found.slice(0, FIRST_CAUSES).map((c) => (
          <li key={c.id} className="border-b py-1.5">
            <div className="flex items-baseline gap-3">
              <b className="min-w-0 flex-1">{c.label}</b>
              <Sourced of={predicted(null)}>
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
              {whyHere(c.reasons)}
              {c.episodes > 0 && ` Found ${c.episodes} ${c.episodes === 1 ? 'time' : 'times'} here.`}
            </p>
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
