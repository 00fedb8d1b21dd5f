import { format } from 'date-fns';
import { Link } from '@/ui/kit/Link';
import { FaultActs } from './FaultActs';
import { HeadRow } from '@/ui/kit/HeadRow';
import { signs } from '@/core/tables/symptoms';
import type { Fault } from '@/data/types';
import { FAULT_STATE_WORD } from '@/core/fields/lists';
import { Empty } from '@/ui/kit/Empty';
import { FAULT_WAY_LABEL } from '@/ui/test-strip/words';

/** A quilt's faults in the order they were noted, open ones first to hand. */
export function FaultTable({ faults }: { faults: readonly Fault[] }) {
  if (faults.length === 0)
    return (
      <Empty title="No fault noted">
        Note a fault where it happens, with F: it is then mended before the quilt goes home, and known the
        next time.
      </Empty>
    );
  return (
    <table className="stacks w-full border-t-2 border-ink">
      <HeadRow names={['No.', 'Seen', 'Where', 'Note', 'State']} />
      <tbody>
        {faults.map((f) => (
          <tr key={f.id} className="border-t align-top">
            <td className="py-2.5 pr-3 font-bold">{f.n}</td>
            <td className="py-2.5 pr-3 font-semibold">
              <Link className="text-indigo hover:underline" href={`/quilts/${f.quiltId}/faults/${f.id}`}>
                {f.symptoms.map((id) => signs.find(id)?.label ?? id).join(', ')}
              </Link>
            </td>
            <td className="py-2.5 pr-3 text-ink2">
              {[
                f.zoneLetter && `zone ${f.zoneLetter}`,
                f.pass && `pass ${f.pass}`,
                f.direction && FAULT_WAY_LABEL[f.direction].toLowerCase(),
                f.xIn !== null && `${f.xIn}, ${f.yIn} in`,
              ]
                .filter(Boolean)
                .join(' · ')}
              <br />
              {format(f.noticedAt, 'd MMM, HH:mm')}
              {f.who && `, ${f.who}`}
            </td>
            <td className="max-w-[300px] py-2.5 pr-3">
              {f.note}
              {f.photographId && (
                <a className="block text-indigo hover:underline" href={`/photographs/${f.photographId}`}>
                  its photograph
                </a>
              )}
            </td>
            <td
              className={`py-2.5 pr-3 font-medium whitespace-nowrap ${f.status === 'open' ? 'text-madder' : 'text-verdigris'}`}
            >
              {FAULT_STATE_WORD[f.status]}
              {f.word && <span className="block font-normal whitespace-normal text-ink2">{f.word}</span>}
            </td>
            <td className="py-1 text-right">
              <FaultActs fault={f} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
