'use client';
import type { QuickAnswer } from '@/core/match/quick';
import type { MatchMachine } from '@/core/match/request';
import { differences, type SharedSetup } from '@/core/match/shared-setup';

/** A set-up somebody gave, beside what it comes to on this machine with this studio's threads. */
export function SharedSetupPart({
  shared,
  told,
  machine,
}: {
  shared: SharedSetup;
  told: QuickAnswer;
  machine: MatchMachine;
}) {
  const rows = differences(shared, told, machine);
  return (
    <section aria-label="As it was given" className="mt-4 border-t-2 border-ink pt-2">
      <h2 className="text-20">
        {rows.length === 0
          ? 'Here just as it was given'
          : 'Matched again for this machine: what is different'}
      </h2>
      {rows.length > 0 && (
        <div className="overflow-x-auto">
          <table className="mt-2 w-full max-w-[720px] text-left">
            <thead>
              <tr className="border-b text-13 text-ink2">
                <th scope="col" className="py-1 pr-4 font-medium">
                  Set
                </th>
                <th scope="col" className="pr-4 font-medium">
                  there
                </th>
                <th scope="col" className="pr-4 font-medium">
                  here
                </th>
                <th scope="col" className="font-medium">
                  because
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map((r) => (
                <tr key={r.what} className="border-b align-top">
                  <th scope="row" className="py-1.5 pr-4 font-normal text-ink2">
                    {r.what}
                  </th>
                  <td className="pr-4">{r.there}</td>
                  <td className="pr-4 font-semibold">{r.here}</td>
                  <td className="text-ink2">{r.why ?? ''}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
