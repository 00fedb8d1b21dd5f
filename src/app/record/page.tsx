import { ask } from '@/actions/queries';
import { format, parseISO } from 'date-fns';
import { Link } from '@/ui/kit/Link';
import { fabrics } from '@/core/tables/fabrics';
import { techniques } from '@/core/tables/techniques';
import type { RecordFilter } from '@/data/hand-back';
import { Empty } from '@/ui/kit/Empty';
import { HeadRow } from '@/ui/kit/HeadRow';
import { Narrow, NarrowBy } from '@/ui/kit/Narrow';
import { BeginTalk } from '@/ui/take-in/BeginTalk';
import { grouped } from '@/ui/kit/counts';

export const metadata = { title: 'Studio record' };
const SHOWN = 40;
type Query = Partial<Record<'q' | 'cloth' | 'thread' | 'technique', string>>;

const filterOf = ({ q, cloth, thread, technique }: Query): RecordFilter => ({
  words: (q ?? '').slice(0, 60),
  cloth: cloth && fabrics.find(cloth) ? cloth : null,
  thread: thread ? thread.slice(0, 120) : null,
  technique: technique && techniques.find(technique) ? technique : null,
});
const hours = (min: number) => (min < 60_000 ? (min / 60).toFixed(1) : grouped(min / 60));

/** All quilts handed back: what worked, hours against what was predicted, thread, faults; and the next one like it. */
export default async function RecordPage({ searchParams }: { searchParams: Promise<Query> }) {
  const filter = filterOf(await searchParams);
  const [found, sum, lines, withdrawn] = await Promise.all([
    ask.readRecord(filter, SHOWN),
    ask.readRecordSum(),
    ask.readRecordLines(),
    ask.readWithdrawn(SHOWN),
  ]);
  const rows = found.slice(0, SHOWN);
  const narrowed = filter.words !== '' || filter.cloth || filter.thread || filter.technique;
  const picks = [
    ['cloth', 'Fabric', 'every fabric', filter.cloth, fabrics.rows.map((f) => [f.id, f.label] as const)],
    ['thread', 'Thread line', 'every thread', filter.thread, lines.map((l) => [l, l] as const)],
    [
      'technique',
      'Technique',
      'every technique',
      filter.technique,
      techniques.rows.map((t) => [t.id, t.label] as const),
    ],
  ] as const;
  return (
    <div className="px-6 pt-4 pb-10">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-24">Studio record</h1>
        {sum.quilts > 0 && (
          <p className="text-ink2">
            {grouped(sum.quilts)} {sum.quilts === 1 ? 'quilt' : 'quilts'} handed back,{' '}
            {sum.late === sum.quilts ? 'none' : grouped(sum.quilts - sum.late)} of them by the day promised
            {sum.predictedMin > 0 &&
              `; timed steps took ${hours(sum.minutes)} h where ${hours(sum.predictedMin)} were predicted`}
          </p>
        )}
      </div>
      {sum.quilts > 0 && (
        <Narrow
          label="Narrow the record"
          find="Quilt or client"
          findWidth="w-56"
          words={filter.words}
          all={narrowed ? '/record' : null}
        >
          {picks.map(([name, label, any, value, options]) => (
            <NarrowBy
              key={name}
              name={name}
              label={label}
              any={any}
              value={value ?? ''}
              options={options}
              width="max-w-[220px]"
            />
          ))}
        </Narrow>
      )}
      {rows.length === 0 ? (
        <Empty title={narrowed ? 'No quilt like that' : 'No quilt handed back yet'}>
          {narrowed
            ? 'Widen the search, or show all.'
            : 'A quilt handed back leaves the Rack and stands here with its hours, thread and faults; the next one like it can begin from it.'}
        </Empty>
      ) : (
        <table className="stacks mt-2 w-full">
          <HeadRow
            names={['Quilt', 'Home', 'Threads and techniques', 'Hours', 'Faults', 'What worked', 'Next']}
          />
          <tbody>
            {rows.map((r) => {
              const c = r.cameTo;
              return (
                <tr key={r.id} className="border-t align-top">
                  <td className="py-2 pr-3">
                    <Link
                      className="font-semibold text-indigo hover:underline"
                      href={`/quilts/${r.id}/hand-back`}
                    >
                      {r.name}
                    </Link>
                    <span className="block text-13 text-ink2">
                      {r.client} · {r.widthIn} × {r.lengthIn} in ·{' '}
                      {r.cloths.map((k) => fabrics.find(k)?.label ?? k).join(', ')}
                    </span>
                  </td>
                  <td className="py-2 pr-3 whitespace-nowrap">
                    {format(parseISO(r.handedBackOn), 'd MMM yy')}
                    <span
                      className={`block text-13 ${r.handedBackOn > r.dueOn ? 'text-weld-text' : 'text-verdigris'}`}
                    >
                      {r.handedBackOn > r.dueOn
                        ? `promised ${format(parseISO(r.dueOn), 'd MMM')}`
                        : 'as promised'}
                    </span>
                  </td>
                  <td className="py-2 pr-3">
                    {r.threads.join(', ') || 'no card kept'}
                    <span className="block text-13 text-ink2">
                      {r.techniques.map((t) => techniques.find(t)?.label ?? t).join(', ')}
                    </span>
                  </td>
                  <td className="py-2 pr-3 whitespace-nowrap">
                    {c && c.minutes !== null && c.predictedMin !== null ? (
                      <>
                        {hours(c.minutes)} h
                        <span className="block text-13 text-ink2">{hours(c.predictedMin)} predicted</span>
                      </>
                    ) : (
                      'not timed'
                    )}
                  </td>
                  <td className="py-2 pr-3">
                    {r.faults}
                    <span className="sm:hidden"> {r.faults === 1 ? 'fault' : 'faults'}</span>
                    {c && c.usedM > 0 && c.plannedM > 0 && (
                      <span className="block text-13 whitespace-nowrap text-ink2">
                        {Math.round(c.usedM)} of {Math.round(c.plannedM)} m
                      </span>
                    )}
                  </td>
                  <td className="max-w-[220px] py-2 pr-3">{r.word}</td>
                  <td className="py-1.5 text-right whitespace-nowrap">
                    <BeginTalk likeId={r.id} label="Start the next one like this" />
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      {found.length > SHOWN && (
        <p className="mt-2 text-ink2">The newest {SHOWN} are shown: narrow the record to see others.</p>
      )}
      {withdrawn.length > 0 && !narrowed && (
        <section aria-label="Withdrawn" className="mt-6">
          <h2 className="text-20">Withdrawn</h2>
          <ul className="border-t-2 border-ink">
            {withdrawn.map((q) => (
              <li key={q.id} className="border-b">
                <Link
                  className="flex min-h-11 flex-wrap items-center gap-x-4 hover:bg-sunk"
                  href={`/quilts/${q.id}/take-in`}
                >
                  <b className="font-semibold text-indigo">{q.name}</b>
                  <span className="text-ink2">
                    {q.client}, {format(parseISO(q.withdrawnOn), 'd MMM yyyy')}
                    {q.withdrawnWhy && `: ${q.withdrawnWhy}`}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
