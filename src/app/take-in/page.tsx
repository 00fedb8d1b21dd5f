import { formatDistanceToNow } from 'date-fns';
import Link from 'next/link';
import { readMachines } from '@/data/machines';
import { readOpenIntakes } from '@/data/intakes';
import { db } from '@/data/sql';
import { ButtonLink } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { BeginTalk } from '@/ui/take-in/BeginTalk';

export const metadata = { title: 'Take in' };

export default async function TakeInPage() {
  const [machines, open] = await Promise.all([readMachines(db()), readOpenIntakes(db())]);
  if (machines.length === 0)
    return (
      <Empty
        title="First, your machine"
        act={
          <ButtonLink look="act" href="/workroom/machine">
            Add a machine
          </ButtonLink>
        }
      >
        A quilt is planned for the machine and frame it goes on. Say what yours can do, then take the quilt
        in.
      </Empty>
    );
  return (
    <div className="mx-auto max-w-[760px] px-6 pt-4">
      <h1 className="text-24">Take in a quilt</h1>
      <p className="mt-1 text-ink2">
        Five short pages, kept as you go: leave off when the bell rings and go on where you were.
      </p>
      <div className="mt-4">
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
                    page {t.step} of 5, {formatDistanceToNow(t.updatedAt)} ago
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
