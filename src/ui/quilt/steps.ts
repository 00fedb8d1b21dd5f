import { format, parseISO } from 'date-fns';
import { isSettled, progressOf } from '@/core/rack/rack';
import type { StepKey } from '@/core/plan/step-key';
import type { QuiltView } from '@/actions/quilt-view';
import type { StepFact } from '@/ui/threading-path/ThreadingPath';

/** The five steps of a quilt, each with a short fact and where it leads. */
export function quiltSteps(
  { quilt, zones, states }: QuiltView,
  planned: readonly StepKey[],
  zoneId?: string,
): StepFact[] {
  const progress = progressOf(quilt, planned);
  const all = zones.length;
  const matched = [...states.values()].filter((s) => s !== 'to match').length;
  const proven = [...states.values()].filter(isSettled).length;
  const at = (page: string) => `/quilts/${quilt.id}/${page}${zoneId ? `?zone=${zoneId}` : ''}`;
  const short = (d: string) => format(parseISO(d), 'd MMM');
  return [
    { step: 'take-in', label: 'Take in', fact: short(quilt.takenInOn), href: at('take-in') },
    { step: 'match', label: 'Match', fact: `${matched} of ${all} zones`, href: at('match') },
    { step: 'test', label: 'Test', fact: `${proven} of ${all} tested`, href: at('test') },
    {
      step: 'quilt',
      label: 'Quilt',
      fact: !quilt.passes
        ? 'not begun'
        : progress.all === 0
          ? 'no steps yet'
          : `${progress.sewn} of ${progress.all} steps`,
      href: at('quilt'),
    },
    {
      step: 'hand-back',
      label: 'Hand back',
      fact: quilt.handedBackOn ? `home ${short(quilt.handedBackOn)}` : `due ${short(quilt.dueOn)}`,
      href: at('hand-back'),
    },
  ];
}
