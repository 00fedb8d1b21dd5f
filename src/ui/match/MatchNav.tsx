import { Link } from '@/ui/kit/Link';

export const MATCH_VIEWS = [
  { part: '/motifs', label: 'What to quilt' },
  { part: '/pattern', label: 'Patterns' },
  { part: '/audition', label: 'Audition' },
  { part: '', label: 'This zone' },
  { part: '/whole', label: 'Whole quilt' },
  { part: '/colours', label: 'Colours' },
  { part: '/density', label: 'Density' },
  { part: '/cloth', label: 'Unknown fabric' },
  { part: '/past', label: 'Past work' },
] as const;

export type MatchView = (typeof MATCH_VIEWS)[number]['part'];

/** The ways of looking at Match: one zone, the whole quilt, its colours, its density, a cloth nobody knows. */
export function MatchNav({ quiltId, zoneId, here }: { quiltId: string; zoneId?: string; here: MatchView }) {
  return (
    <nav aria-label="Match" className="-mx-1 flex flex-wrap gap-x-1 border-b">
      {MATCH_VIEWS.map(({ part, label }) => (
        <Link
          key={part}
          href={`/quilts/${quiltId}/match${part}${zoneId ? `?zone=${zoneId}` : ''}`}
          aria-current={part === here ? 'page' : undefined}
          className={`-mb-px inline-flex min-h-11 items-center border-b-[3px] px-3 ${part === here ? 'border-indigo font-semibold' : 'border-transparent text-ink2 hover:border-rule'}`}
        >
          {label}
        </Link>
      ))}
    </nav>
  );
}
