import { Link } from '@/ui/kit/Link';
import type { Outbox } from './outbox';

/** Where one stands, and what of it is safe. */
export function StandHead({
  quilt,
  place,
  done,
  old,
  outbox,
  writing,
  last,
}: {
  quilt: { id: string; name: string };
  /** Which step of how many, in words. */
  place: string;
  done: number;
  /** The page was kept on this device: the studio’s computer is away. */
  old: boolean;
  outbox: Outbox;
  /** Entries that are not on the device yet. */
  writing: number;
  /** What was written down last, in words. */
  last: string | null;
}) {
  const waiting = outbox.waiting.length;
  return (
    <header className="flex flex-wrap items-center gap-x-3 text-16 sm:gap-x-5 sm:text-20">
      <Link
        href={`/quilts/${quilt.id}/quilt`}
        className="inline-flex min-h-11 items-center underline underline-offset-4"
      >
        Back to the plan
      </Link>
      <h1 className="text-16 sm:text-24">{quilt.name}</h1>
      <p>
        {place}
        <span className="max-sm:hidden">, {done} done</span>
      </p>
      {old && (
        <p className="text-ink2">
          <span className="max-sm:hidden">Computer away: </span>as last seen here
        </p>
      )}
      {outbox.why && (
        <p role="alert" className="basis-full font-semibold text-weld">
          {outbox.why}
        </p>
      )}
      <p role="status" className="sr-only">
        {last}
      </p>
      <p
        data-saved
        className={`ml-auto ${waiting > 0 && !outbox.reached ? 'font-semibold text-weld' : 'text-ink2'}`}
      >
        {!outbox.known
          ? '…'
          : writing > 0
            ? `writing ${writing}…`
            : waiting === 0
              ? 'all saved'
              : `${waiting} ${waiting === 1 ? 'waits' : 'wait'} on this device`}
      </p>
    </header>
  );
}
