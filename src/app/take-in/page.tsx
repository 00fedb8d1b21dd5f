import { ask } from '@/actions/queries';
import { format, formatDistance, parseISO } from 'date-fns';
import { Link } from '@/ui/kit/Link';
import { ButtonLink } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { BeginTalk } from '@/ui/take-in/BeginTalk';

export const metadata = { title: 'Take in' };

/** So many quilts are shown as taken in lately. */
const LATELY = 8;
const ASKED: readonly (readonly [string, string])[] = [
  ['Whose, and what for', 'client, use, how the stitching should look'],
  ['How large', 'three widths and three lengths, so that a wavy edge is seen now'],
  ['What it is made of', 'fabrics with their colours, and what must be minded'],
  ['Backing and batting', 'what the client brought, its label, whether it was washed'],
  ['How it is laid out', 'a plan of zones with their techniques, or drawn on the map'],
];

export default async function TakeInPage() {
  const [machines, open, lately] = await Promise.all([
    ask.readMachines(),
    ask.readOpenIntakes(),
    ask.readTakenInLately(LATELY),
  ]);
  if (machines.length === 0)
    return (
      <Empty
        title="First, your machine"
        act={
          <ButtonLink look="act" href="/begin">
            Begin your studio
          </ButtonLink>
        }
      >
        A quilt is planned for the machine and frame it goes on. Say what yours can do, then take the quilt
        in.
      </Empty>
    );
  return (
    <div className="mx-auto grid max-w-[1180px] gap-x-12 gap-y-6 px-6 pt-4 lg:grid-cols-[minmax(0,1fr)_440px]">
      <div>
        <h1 className="text-24">Take in a quilt</h1>
        <p className="mt-1 text-ink2">
          Five short pages, kept as you go: leave off when the bell rings and go on where you were.
        </p>
        <ol className="mt-3 border-t-2 border-ink">
          {ASKED.map(([title, what], i) => (
            <li key={title} className="flex min-h-[52px] items-center gap-4 border-b">
              <b className="w-5 text-right font-serif text-20">{i + 1}</b>
              <span>
                <b className="font-semibold">{title}</b> <span className="text-ink2">· {what}</span>
              </span>
            </li>
          ))}
        </ol>
        <p className="mt-3 text-ink2">Have a tape measure and the quilt to hand, and a camera if you like.</p>
        <div className="mt-3">
          <BeginTalk />
        </div>
        {open.length > 0 && (
          <>
            <h2 className="mt-8 border-t-2 border-ink pt-2 text-20">Begun and not finished</h2>
            <ul>
              {open.map((t) => (
                <li key={t.id} className="border-b">
                  <Link
                    href={`/take-in/${t.id}`}
                    className="flex min-h-[52px] items-center gap-4 hover:bg-sunk"
                  >
                    <span className="flex-1 font-semibold">
                      {String(t.data.name || 'no name yet')}
                      <span className="font-normal text-ink2">
                        {' '}
                        · {String(t.data.client || 'no client yet')}
                      </span>
                    </span>
                    <span className="text-ink2">
                      page {t.step} of 5, {formatDistance(t.updatedAt, new Date())} ago
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          </>
        )}
      </div>
      {lately.length > 0 && (
        <section aria-label="Taken in lately">
          <h2 className="text-20">Taken in lately</h2>
          <ul className="mt-1 border-t-2 border-ink">
            {lately.map((q) => (
              <li key={q.id} className="border-b">
                <Link
                  href={`/quilts/${q.id}/take-in`}
                  className="flex min-h-[52px] items-center gap-4 hover:bg-sunk"
                >
                  <span className="min-w-0 flex-1">
                    <b className="block truncate font-semibold">{q.name}</b>
                    <span className="block truncate text-13 text-ink2">
                      {q.client}, {Number(q.widthIn.toFixed(1))} by {Number(q.lengthIn.toFixed(1))} in
                    </span>
                  </span>
                  <span className="text-right text-13 text-ink2">
                    came {format(parseISO(q.takenInOn), 'd MMM')}
                    <br />
                    due {format(parseISO(q.dueOn), 'd MMM')}
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
