'use client';
import { format } from 'date-fns';
import { Link } from '@/ui/kit/Link';
import type { ShownSearch } from '@/actions/learned-view';
import { doors } from '@/actions/doors';
import { HeadRow } from '@/ui/kit/HeadRow';
import { Problems } from '@/ui/kit/Problems';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';

/** The finished searches, newest first; each can be left out of what is learned, or put back. */
export function SearchList({ searches }: { searches: readonly ShownSearch[] }) {
  const act = useActionForm(doors.leaveOutSearch, () => toast('What is learned was worked out anew.'));
  return (
    <>
      <Problems problems={act.problems} />
      <table className="w-full border-t">
        <HeadRow names={['Tested', 'Where', 'Rounds', 'First guess off', 'Learned from']} />
        <tbody>
          {searches.map((s) => (
            <tr key={s.setupId} className="border-t">
              <td className="py-1.5 pr-3 whitespace-nowrap">{format(s.provenAt, 'd MMM yyyy')}</td>
              <td className="pr-3">
                <Link
                  className="text-indigo hover:underline"
                  href={`/quilts/${s.quiltId}/test?zone=${s.zoneId}`}
                >
                  {s.quilt}, zone {s.letter}
                </Link>
              </td>
              <td className="pr-3">{s.rounds}</td>
              <td className="pr-3">{Math.round(s.offPct)} %</td>
              <td className={`pr-3 ${s.out ? 'text-weld-text' : 'text-ink2'}`}>
                {s.out
                  ? `left out ${s.out === 'by you' ? 'by you' : `: ${s.out}`}`
                  : s.kept
                    ? 'yes, put back by you'
                    : 'yes'}
              </td>
              <td className="text-right">
                <button
                  type="button"
                  disabled={act.pending}
                  className="min-h-11 px-2 text-indigo hover:underline"
                  aria-label={`${s.out ? 'Put back' : 'Leave out'} ${s.quilt}, zone ${s.letter}`}
                  onClick={() => act.send({ setupId: s.setupId, leftOut: s.out ? 'kept' : 'dropped' })}
                >
                  {s.out ? 'Put back' : 'Leave out'}
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
