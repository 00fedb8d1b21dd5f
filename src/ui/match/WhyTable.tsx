import type { WhyRow } from './why-rows';

/** Less than this is not worth a bar. */
const FELT = 0.05;
/** The bar is full here: a criterion that costs this much decides against a thread. */
const FULL = 1.5;

/** Why a set-up stands where it does: every criterion that costs something or has something to say. */
export function WhyTable({ rows, name }: { rows: readonly WhyRow[]; name: string }) {
  return (
    <section aria-label="Why">
      <h3 className="mb-1 text-[17px]">Why {name}</h3>
      <table className="w-full border-t text-[14.5px]">
        <thead className="sr-only">
          <tr>
            <th>What is weighed</th>
            <th>Points against it</th>
            <th>What it says</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.label} className="border-b align-top">
              <th scope="row" className="w-[128px] py-1.5 pr-2 text-left font-medium">
                {r.label}
              </th>
              <td className="w-[92px] py-1.5 pr-3">
                <Points value={r.points} />
              </td>
              <td className="py-1.5">
                {r.notes.map((n) => (
                  <p key={n.code + n.text}>
                    {n.text}
                    {n.act && <b className="font-semibold"> {n.act}</b>}
                  </p>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** Points against, as a bar and a number; a tick of nothing where it costs nothing. */
function Points({ value }: { value: number }) {
  if (value < FELT) return <span className="text-verdigris">nothing</span>;
  return (
    <span className="flex items-center gap-1.5">
      <svg width="48" height="10" aria-hidden>
        <rect width="48" height="10" fill="var(--sunk)" />
        <rect width={Math.min(48, (value / FULL) * 48)} height="10" fill="var(--walnut)" />
      </svg>
      {value.toFixed(1)}
    </span>
  );
}
