import { ask } from '@/actions/queries';
import { format } from 'date-fns';
import { Link } from '@/ui/kit/Link';
import { causes } from '@/core/faults/knowledge';
import { FAULT_STATE_WORD as STATE_WORD, FAULT_STATES } from '@/core/fields/lists';
import { signs } from '@/core/tables/symptoms';
import { BOOK_SORTS, type BookSort, RATED_BY } from '@/core/fields/lists';
import { Empty } from '@/ui/kit/Empty';
import { Parts } from '@/ui/kit/Parts';
import { HeadRow } from '@/ui/kit/HeadRow';
import { grouped, minutesWords, stitchesWords } from '@/ui/kit/counts';
import { Narrow, NarrowBy } from '@/ui/kit/Narrow';
import { addressOf, type BookQuery, filterOf } from './filter';
import { BY_WORD, CuresPart, RatesPart, SincePart, WaysPart } from './parts';

export const metadata = { title: 'Fault book' };
const SHOWN = 50;
const PARTS = [
  { id: 'rates', label: 'Rates' },
  { id: 'since', label: 'Since when' },
  { id: 'ways', label: 'Direction' },
  { id: 'cures', label: 'What cured what' },
] as const;
const SORT_WORD: Record<BookSort, string> = {
  newest: 'newest first',
  oldest: 'oldest first',
  dearest: 'most minutes lost first',
};

/** All faults of all quilts: narrowed by the address, and counted against what was sewn. */
export default async function FaultBookPage({
  searchParams,
}: {
  searchParams: Promise<BookQuery & { part?: string }>;
}) {
  const query = await searchParams;
  const filter = filterOf(query);
  const part = PARTS.find((p) => p.id === query.part)?.id ?? 'rates';
  const [found, tallies, lost] = await Promise.all([
    ask.readBook(filter, SHOWN),
    ask.readTallies('machine'),
    ask.readTimeLost(),
  ]);
  const all = tallies.reduce(
    (sum, t) => ({ faults: sum.faults + t.faults, stitches: sum.stitches + t.stitches }),
    { faults: 0, stitches: 0 },
  );
  const rows = found.slice(0, SHOWN);
  const narrowed = filter.words !== '' || filter.sign !== null || filter.state !== null || filter.of !== null;
  return (
    <div className="px-6 pt-4 pb-10">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="text-24">Fault book</h1>
        <p className="flex-1 text-ink2 max-sm:order-last max-sm:basis-full">
          {grouped(all.faults)} faults counted over {stitchesWords(all.stitches)} stitches
          {lost.closed > 0 &&
            `; ${grouped(lost.closed)} closed on the bench took ${minutesWords(lost.minutes)}`}
        </p>
        <a
          download
          href={addressOf(filter, {}, '/faults/file')}
          className="inline-flex min-h-11 items-center rounded border border-rule px-4 font-semibold"
        >
          As CSV
        </a>
      </div>
      <Narrow
        label="Narrow the book"
        find="Quilt, client, thread or note"
        findWidth="w-64"
        words={filter.words}
        all={narrowed ? addressOf(filter, { words: '', sign: null, state: null, of: null }) : null}
      >
        <NarrowBy
          name="sign"
          label="Sign"
          any="every sign"
          value={filter.sign ?? ''}
          options={signs.rows.map((s) => [s.id, s.label])}
          width="max-w-[240px]"
        />
        <NarrowBy
          name="state"
          label="State"
          any="every state"
          value={filter.state ?? ''}
          options={FAULT_STATES.map((s) => [s, STATE_WORD[s]])}
        />
        <NarrowBy
          name="by"
          label="Counted by"
          value={filter.by}
          options={RATED_BY.map((b) => [b, `by ${BY_WORD[b]}`])}
        />
        <NarrowBy
          name="sort"
          label="Order"
          value={filter.sort}
          options={BOOK_SORTS.map((o) => [o, SORT_WORD[o]])}
        />
        {part !== 'rates' && <input type="hidden" name="part" value={part} />}
      </Narrow>
      <div className="mt-3 grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-5 xl:grid-cols-[440px_minmax(0,1fr)]">
        <div>
          <Parts
            label="What the book tells"
            parts={PARTS}
            now={part}
            hrefOf={(id) => {
              const to = addressOf(filter);
              return `${to}${to.includes('?') ? '&' : '?'}part=${id}`;
            }}
          />
          <div className="mt-3">
            {part === 'rates' && <RatesPart filter={filter} />}
            {part === 'since' && <SincePart filter={filter} />}
            {part === 'ways' && <WaysPart />}
            {part === 'cures' && <CuresPart />}
          </div>
        </div>
        <section aria-label="Faults">
          {rows.length === 0 ? (
            <Empty title={narrowed ? 'No fault like that' : 'No fault noted yet'}>
              {narrowed
                ? 'Widen the search, or show all.'
                : 'Note a fault where it happens, with F on a quilt’s page or at the Stand; here they are counted.'}
            </Empty>
          ) : (
            <table className="stacks w-full">
              <HeadRow names={['When', 'Seen', 'Quilt', 'Thread', 'What it was', 'State']} />
              <tbody>
                {rows.map((f) => (
                  <tr key={f.id} className="border-t align-top">
                    <td className="py-2 pr-3 whitespace-nowrap">{format(f.noticedAt, 'd MMM yy')}</td>
                    <td className="py-2 pr-3">
                      <Link
                        className="font-semibold text-indigo hover:underline"
                        href={`/quilts/${f.quiltId}/faults/${f.id}`}
                      >
                        {f.symptoms.map((s) => signs.find(s)?.label ?? s).join(', ') || `Fault ${f.n}`}
                      </Link>
                    </td>
                    <td className="py-2 pr-3">
                      {f.quilt}
                      {f.zone && <span className="text-ink2">, {f.zone}</span>}
                    </td>
                    <td className="py-2 pr-3">{f.thread ?? 'not known'}</td>
                    <td className="py-2 pr-3">
                      {f.cause ? causes.find(f.cause)?.label : f.ownCause}
                      {f.remedy && <span className="block text-13 text-ink2">{f.remedy}</span>}
                    </td>
                    <td className="py-2 pr-3 whitespace-nowrap">{STATE_WORD[f.status]}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          {found.length > SHOWN && (
            <p className="mt-2 text-ink2">
              The newest {SHOWN} are shown: narrow the book to see others, or take all as CSV.
            </p>
          )}
        </section>
      </div>
    </div>
  );
}
