import { format } from 'date-fns';
import type { Mishap } from '@/data/types';

/** What went wrong in the program itself, newest first, with the number that was told where it happened. */
export function MishapList({ mishaps }: { mishaps: readonly Mishap[] }) {
  return (
    <section aria-labelledby="mishaps" className="mt-8 border-t-2 border-ink pt-3">
      <h2 id="mishaps" className="text-20">
        What went wrong in the program
      </h2>
      {mishaps.length === 0 ? (
        <p className="mt-1 text-ink2">
          Nothing so far. A mistake of the program’s own is noted here with its number.
        </p>
      ) : (
        <ul className="mt-2">
          {mishaps.map((m) => (
            <li key={m.n} className="border-t py-1.5">
              <details>
                <summary className="cursor-pointer">
                  <b>Number {m.n}</b>, {format(m.at, 'd MMM yyyy, HH:mm')}: {m.message || m.place}
                </summary>
                <pre className="mt-1 overflow-x-auto text-13 text-ink2">{`${m.place}\n${m.stack}`}</pre>
              </details>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
