import { ask } from '@/actions/queries';
import { format } from 'date-fns';
import { CARE, TOUCHED_LABEL } from '@/core/care/items';
import { changedWith, type ChangedThing } from '@/core/faults/changed-with';
import { changePoint } from '@/core/faults/change-point';
import { causes } from '@/core/faults/knowledge';
import { faultRates, ordered } from '@/core/faults/rates';
import { learned } from '@/core/source/known';
import { shownChance } from '@/core/statistics/chance';
import { battings } from '@/core/tables/battings';
import { fabrics } from '@/core/tables/fabrics';
import { techniques } from '@/core/tables/techniques';
import type { RatedBy } from '@/core/fields/lists';
import type { BookFilter } from '@/data/fault-book';
import { RateBars } from '@/ui/fault-bench/RateBars';
import { Trend } from '@/ui/fault-bench/Trend';
import { HeadRow } from '@/ui/kit/HeadRow';
import { Sourced } from '@/ui/kit/Sourced';
import { FAULT_WAY_LABEL } from '@/ui/test-strip/words';
import { addressOf } from './filter';

export const BY_WORD: Record<RatedBy, string> = {
  thread: 'top thread',
  line: 'thread line',
  needle: 'needle',
  fabric: 'cloth',
  batting: 'batting',
  technique: 'technique',
  machine: 'machine',
};

const labelOf = (by: RatedBy, id: string, label: string): string =>
  (by === 'fabric' && fabrics.find(id)?.label) ||
  (by === 'batting' && battings.find(id)?.label) ||
  (by === 'technique' && techniques.find(id)?.label) ||
  label;

const sumOf = (of: readonly { faults: number; stitches: number }[]) =>
  of.reduce((sum, t) => ({ faults: sum.faults + t.faults, stitches: sum.stitches + t.stitches }), {
    faults: 0,
    stitches: 0,
  });

/** Rates by one thing: what is surely more first, what nothing tells apart by name. */
export async function RatesPart({ filter }: { filter: BookFilter }) {
  const tallies = await ask.readTallies(filter.by);
  const rates = faultRates({ tallies, all: sumOf(tallies) });
  const bars = ordered(
    tallies.flatMap((t) => {
      const rate = rates.get(t.id);
      return rate
        ? [{ ...rate, label: labelOf(filter.by, t.id, t.label), faults: t.faults, stitches: t.stitches }]
        : [];
    }),
  );
  return (
    <section aria-label={`Rates by ${BY_WORD[filter.by]}`}>
      <h2 className="text-[17px]">Faults in 100 000 stitches, by {BY_WORD[filter.by]}</h2>
      {bars.length === 0 ? (
        <p className="mt-1 text-ink2">Nothing is sewn yet that faults could be counted against.</p>
      ) : (
        <>
          <RateBars bars={bars.map((b) => ({ ...b, href: addressOf(filter, { of: b.id }) }))} />
          <p className="mt-1 text-13 text-ink2">
            The line is the range 9 times in 10; the upright mark the studio’s own mean,{' '}
            <Sourced of={learned(null)}>{bars[0]!.mean.toFixed(1)}</Sourced>. Where ranges overlap, none is
            better: those stand by name.
          </p>
        </>
      )}
    </section>
  );
}

const THINGS = ['thread', 'needle', 'technique', 'fabric', 'batting', 'machine'] as const;
type Thing = (typeof THINGS)[number];
const words = ({ thing, value, before, after }: ChangedThing<Thing>) =>
  `${thing === 'needle' ? `needle Nm ${value}` : labelOf(thing, value, value)}: ${Math.round(100 * before)} % of the stitches before, ${Math.round(100 * after)} % since`;
const rate = (r: { mean: number; low: number; high: number }) =>
  `${r.mean.toFixed(1)} (${r.low.toFixed(1)} to ${r.high.toFixed(1)})`;

/** Whether the rate changed lately, since when, and what changed with it; and month by month. */
export async function SincePart({ filter }: { filter: BookFilter }) {
  const [stretches, months] = await Promise.all([ask.readStretches(filter), ask.readMonths(filter)]);
  const change = changePoint(stretches);
  const all = sumOf(months);
  const rates = faultRates({
    tallies: months.map((m) => ({ id: m.month, faults: m.faults, stitches: m.stitches })),
    all,
  });
  const shown = months.flatMap((m) => {
    const r = rates.get(m.month);
    return r ? [{ month: m.month, per100k: r.per100k, low: r.low, high: r.high }] : [];
  });
  const since = change && stretches[change.at];
  const fitted = since
    ? await ask.readFittedBetween(
        stretches[Math.max(0, change.from - 1)]!.at,
        stretches[Math.min(change.to, stretches.length - 1)]!.at,
      )
    : [];
  const services = since
    ? await ask.readServicesBetween(
        stretches[Math.max(0, change.from - 1)]!.at,
        stretches[Math.min(change.to, stretches.length - 1)]!.at,
      )
    : [];
  const told = change && change.p > 0.5;
  return (
    <section aria-label="Since when">
      <h2 className="text-[17px]">What changed before this began</h2>
      {!change ? (
        <p className="mt-1 text-ink2">Too little is sewn and noted yet to tell whether the rate changed.</p>
      ) : !told ? (
        <p className="mt-1">
          Over the last {stretches.length} stretches the rate is even: a change is{' '}
          <Sourced of={learned(null)}>{Math.round(100 * shownChance(change.p))} %</Sourced> likely.
        </p>
      ) : (
        <>
          <p className="mt-1">
            Since about <b>{format(since!.at, 'd MMM yyyy')}</b>{' '}
            <Sourced of={learned(null)}>{rate(change.after)}</Sourced> in 100 000 stitches, before{' '}
            <Sourced of={learned(null)}>{rate(change.before)}</Sourced>. That the rate changed is{' '}
            <b>{Math.round(100 * shownChance(change.p))} %</b> sure; between{' '}
            {format(stretches[change.from]!.at, 'd MMM')} and{' '}
            {format(stretches[Math.min(change.to, stretches.length - 1)]!.at, 'd MMM')} 8 times in 10.
          </p>
          <ul className="mt-1 list-disc pl-5">
            {changedWith(stretches, change.at, THINGS).map((c) => (
              <li key={`${c.thing} ${c.value}`}>{words(c)}</li>
            ))}
            {fitted.map((n) => (
              <li key={n.fittedAt.toISOString()}>
                a new needle, Nm {n.nm}, {format(n.fittedAt, 'd MMM, HH:mm')}
              </li>
            ))}
            {services.map((v) => (
              <li key={v.at.toISOString()}>
                {CARE.find(v.item)?.label ?? v.item} on {v.machine}
                {v.technician && ` by ${v.technician}`}, {format(v.at, 'd MMM')}
                {v.touched.length > 0 && `: it touched ${v.touched.map((t) => TOUCHED_LABEL[t]).join(', ')}`}
              </li>
            ))}
          </ul>
          <p className="mt-1 text-13 text-ink2">
            They came together; whether one is the cause, the bench tells.
          </p>
        </>
      )}
      {shown.length > 1 && (
        <>
          <h3 className="mt-3 text-15">Faults in 100 000 stitches, month by month</h3>
          <Trend months={shown} />
        </>
      )}
    </section>
  );
}

const COMPASS = ['away', 'toward', 'left', 'right'] as const;
const PLACES = ['curve', 'point', 'start', 'seam'] as const;

/** By the way the hand went. Stitches are not counted by way: the four ways of the compass are taken as sewn alike. */
export async function WaysPart() {
  const [ways, tallies] = await Promise.all([ask.readWays(), ask.readTallies('machine')]);
  const { stitches } = sumOf(tallies);
  const of = (way: string) => ways.find((w) => w.direction === way)?.faults ?? 0;
  const four = COMPASS.map((id) => ({ id, faults: of(id), stitches: stitches / 4 }));
  const rates = faultRates({ tallies: four, all: sumOf(four) });
  return (
    <section aria-label="By direction">
      <h2 className="text-[17px]">By direction</h2>
      {rates.size === 0 ? (
        <p className="mt-1 text-ink2">
          No fault with a direction yet: press it on the compass when you note one.
        </p>
      ) : (
        <RateBars
          bars={ordered(
            four.flatMap((w) => {
              const r = rates.get(w.id);
              return r ? [{ ...r, ...w, label: FAULT_WAY_LABEL[w.id] }] : [];
            }),
          )}
        />
      )}
      <p className="mt-1 text-13 text-ink2">
        Taken as sewn a quarter each, for stitches are not counted by direction.{' '}
        {PLACES.map((p) => `${FAULT_WAY_LABEL[p]}: ${of(p)}`).join(', ')}; for these there is no rate.
      </p>
    </section>
  );
}

/** What was done about what, and how often it helped. */
export async function CuresPart() {
  const cures = await ask.readBookCures();
  return (
    <section aria-label="What cured what">
      <h2 className="text-[17px]">What cured what</h2>
      {cures.length === 0 ? (
        <p className="mt-1 text-ink2">
          Nothing yet: close a fault on its bench with what you did, and whether it helped.
        </p>
      ) : (
        <table className="stacks w-full">
          <HeadRow names={['It was', 'What was done', 'Helped', 'Minutes']} />
          <tbody>
            {cures.map((c) => (
              <tr key={`${c.cause} ${c.ownCause} ${c.remedy}`} className="border-t align-top">
                <td className="py-1.5 pr-3">{c.cause ? causes.find(c.cause)?.label : c.ownCause}</td>
                <td className="py-1.5 pr-3 font-semibold">{c.remedy}</td>
                <td className="py-1.5 pr-3 whitespace-nowrap">
                  {c.helped} of {c.tried}
                </td>
                <td className="py-1.5">{c.minutes === null ? '' : Math.round(c.minutes)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
