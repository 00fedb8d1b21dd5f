'use client';
import { format } from 'date-fns';
import { type Drill, DRILLS } from '@/core/practice/drills';
import { type Judged, trendOf, usualSpeed } from '@/core/practice/judge';
import { techniques } from '@/core/tables/techniques';
import type { PracticeRun } from '@/data/types';
import { DrawnLine } from './StitchedPicture';

/** A run without its line. */
export type Kept = Omit<PracticeRun, 'path'>;

const MEASURES = [
  ['From the line, in', (j: Judged) => j.offIn, 2],
  ['Stitches uneven by, %', (j: Judged) => j.cvPct, 0],
  ['Speed uneven by, %', (j: Judged) => j.speedCvPct, 0],
  ['Tremor, thousandths', (j: Judged) => j.wobbleMil, 0],
] as const;
const WORD = {
  better: 'better: certain',
  worse: 'worse: certain',
  unsure: 'cannot be told yet',
} as const;

/** How a drill went since the first time: each measure with its certainty, and the first and the latest line. */
export function Sofar({
  drill,
  runs,
  compared,
}: {
  drill: Drill;
  runs: readonly Kept[];
  compared: { first: PracticeRun; latest: PracticeRun } | null;
}) {
  if (runs.length === 0) return null;
  const day = (at: Date) => format(at, 'd MMM');
  return (
    <section aria-label={`${drill.label} so far`} className="mt-6 max-w-[1060px]">
      <h2 className="border-t-2 border-ink pt-2 text-20">
        {drill.label} so far: {runs.length} {runs.length === 1 ? 'time' : 'times'}
      </h2>
      <div className="mt-2 grid gap-6 md:grid-cols-2">
        <table className="w-full self-start">
          <tbody>
            {MEASURES.map(([label, of, digits]) => {
              const told = runs.flatMap((r) => of(r.judged) ?? []);
              const trend = trendOf(told);
              if (told.length === 0) return null;
              return (
                <tr key={label} className="border-b">
                  <th scope="row" className="py-1.5 pr-3 text-left font-normal text-ink2">
                    {label}
                  </th>
                  <td className="pr-3 tabular-nums">
                    {trend
                      ? `${trend.first.toFixed(digits)} → ${trend.latest.toFixed(digits)}`
                      : told.at(-1)!.toFixed(digits)}
                  </td>
                  <td className={trend?.word === 'better' ? 'font-medium text-verdigris' : ''}>
                    {trend ? `since ${day(runs[0]!.at)} ${WORD[trend.word]}` : 'from three times on'}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        {compared && (
          <div className="flex gap-4">
            <DrawnLine path={compared.first.path} label={`first, ${day(compared.first.at)}`} />
            <DrawnLine path={compared.latest.path} label={`latest, ${day(compared.latest.at)}`} />
          </div>
        )}
      </div>
    </section>
  );
}

/** Your usual speed for each technique that was drilled three times, beside the usual. */
export function Usual({ runs }: { runs: readonly Kept[] }) {
  const rows = [...new Set(DRILLS.rows.map((d) => d.technique))].flatMap((id) => {
    const own = runs.filter((r) => DRILLS.find(r.drill)?.technique === id && r.judged.donePct >= 80);
    const usual = usualSpeed(own.map((r) => r.judged.meanInPerS));
    return usual ? [{ id, ...usual }] : [];
  });
  if (rows.length === 0) return null;
  return (
    <section aria-label="Your usual speed" className="mt-6 max-w-[1060px]">
      <h2 className="border-t-2 border-ink pt-2 text-20">Your usual speed</h2>
      <ul>
        {rows.map(({ id, inPerS, sdLn, runs: n }) => {
          const t = techniques.get(id);
          return (
            <li key={id} className="border-b py-1.5">
              {t.label}: <b>{inPerS.toFixed(1)} in/s</b> (usual {t.handInPerS}), give or take{' '}
              {Math.round(100 * sdLn)} %, from {n} drills on the screen. Hours are learned from what is logged
              at the machine, not from here.
            </li>
          );
        })}
      </ul>
    </section>
  );
}
