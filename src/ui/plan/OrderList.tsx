'use client';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import { type Cell, changesIn, type OrderRequest, overhead } from '@/core/order/cells';
import { tooEarly } from '@/core/order/lie-flat';
import type { SmallStep } from '@/core/plan/small-steps';
import { stepId } from '@/core/plan/step-key';
import { inOrderOf, orderActs } from '@/core/plan/steps';
import { predicted } from '@/core/source/known';
import { Button } from '@/ui/kit/Button';
import { patiently } from '@/ui/kit/patiently';
import { Problems } from '@/ui/kit/Problems';
import { Sourced } from '@/ui/kit/Sourced';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';
import { type OrderRow, type OrderStep, StepWords, type ThreadName } from './StepWords';
import { useOrder } from './use-order';

const SortList = dynamic(() => patiently(() => import('./SortList')).then((m) => m.SortList));

/** The list with one entry taken out and put in elsewhere. */
function moved<T>(list: readonly T[], from: number, to: number): T[] {
  const out = [...list];
  out.splice(to, 0, ...out.splice(from, 1));
  return out;
}
const plural = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`;
const cellOf = (s: OrderStep): Cell => ({
  pass: s.pass,
  thread: s.thread,
  stabilise: s.stabilise,
  minutes: s.ownMin,
});

/** The order of work: worked out, or laid by hand where the quilter knows better, with what that costs. */
export function OrderList({
  quiltId,
  version,
  request,
  basteMin,
  actsFactor,
  steps: given,
  byHand,
  begun,
  threads,
  sewn,
  small,
  insideProblems,
}: {
  quiltId: string;
  version: number;
  request: OrderRequest;
  basteMin: number;
  /** By how much acts at the frame take longer here than the model says. */
  actsFactor: number;
  /** In the order that stands. */
  steps: readonly OrderStep[];
  byHand: boolean;
  begun: boolean;
  threads: Record<string, ThreadName>;
  /** Steps that are sewn. */
  sewn: readonly string[];
  /** Steps hardly worth their thread, by their place. */
  small: readonly SmallStep[];
  /** What an order laid by hand inside a step goes against, by the step. */
  insideProblems: Readonly<Record<string, string>>;
}) {
  const found = useOrder(request);
  const [own, setOwn] = useState<readonly OrderStep[] | null>(null);
  const [laying, setLaying] = useState(false);
  const [inside, setInside] = useState<string | null>(null);
  const { send, pending, problems } = useActionForm(doors.setOrder, ({ steps }) =>
    toast(steps > 0 ? 'Your order is saved.' : 'Back to the order worked out.'),
  );
  if (request.cells.length === 0)
    return (
      <p className="text-ink2">Match its zones, and the order of passes and threads is worked out here.</p>
    );
  const steps = own ?? given;
  const cells = steps.map(cellOf);
  const acts = orderActs(steps, { ...request, basteMin });
  const early = tooEarly(cells, request);
  const rows = steps.map((step, i): OrderRow => ({
    id: stepId(step),
    n: i + 1,
    step,
    thread: threads[step.thread],
    minutes: step.ownMin + actsFactor * (acts[i]!.advance + acts[i]!.baste + acts[i]!.thread),
    change: i > 0 && steps[i - 1]!.thread !== step.thread,
    sewn: sewn.includes(stepId(step)),
  }));
  const best = found && inOrderOf(given, found.order);
  const asBest = best?.every((s, i) => stepId(s) === stepId(steps[i]!)) ?? true;
  return (
    <div>
      <p>
        Rolling and thread changes:{' '}
        <b>
          <Sourced of={predicted(overhead(cells, request))}>
            {Math.round(overhead(cells, request))} min
          </Sourced>
        </b>
        , {plural(changesIn(cells), 'change')} of thread and tension
        {own ? ', as you lay it now' : byHand ? ', as you laid it' : ''}.
        {found && (
          <Trade
            found={found}
            now={{ minutes: overhead(cells, request), changes: changesIn(cells) }}
            asBest={asBest}
          />
        )}
      </p>
      {early && (
        <p role="status" className="mt-1 font-medium text-weld-text">
          {early.why === 'band-left'
            ? `Step ${early.at + 1} is sewn past pass ${early.pass}, in which nothing is sewn yet: its fullness would be trapped.`
            : `Step ${early.at + 1} fills before pass ${early.pass} is stabilised: its layers may creep.`}
        </p>
      )}
      {!own &&
        small.map((s) => (
          <p key={s.at} className="mt-1 text-weld-text">
            Step {s.at + 1} is {s.sewingMin.toFixed(1)} min for one thread alone. Leaving it out saves about{' '}
            {Math.round(s.savesMin)} min and {plural(s.savesChanges, 'change')} of thread, and leaves{' '}
            {s.open.map((o) => `${Math.max(1, Math.round(o.areaIn2))} in² of ${o.letter}`).join(', ')} open,
            or to be sewn with its neighbour’s thread.
          </p>
        ))}
      {laying ? (
        <SortList
          label="Order of work"
          rows={rows.map((r) => ({
            id: r.id,
            name: `step ${r.n}: pass ${r.step.pass}, ${r.thread?.name ?? ''}`,
            content: <StepWords row={r} />,
          }))}
          onMove={(from, to) => setOwn(moved(steps, from, to))}
        />
      ) : (
        <ol className="mt-2 border-y" aria-label="Order of work">
          {rows.map((r) => (
            <li key={r.id} className="border-b pl-2">
              <div className="flex min-h-11 items-center gap-3">
                <StepWords row={r} />
                {r.step.zones.length > 1 && (
                  <Button
                    look="quiet"
                    aria-expanded={inside === r.id}
                    aria-label={`Zones of step ${r.n}`}
                    onClick={() => setInside(inside === r.id ? null : r.id)}
                  >
                    Zones
                  </Button>
                )}
              </div>
              {insideProblems[r.id] && (
                <p className="pb-1 pl-10 text-13 text-weld-text">{insideProblems[r.id]}</p>
              )}
              {inside === r.id && (
                <ZonesOf key={version} quiltId={quiltId} version={version} step={r.step} sewn={r.sewn} />
              )}
            </li>
          ))}
        </ol>
      )}
      <div className="mt-2 flex flex-wrap gap-3">
        {!laying && (
          <Button look="quiet" onClick={() => setLaying(true)}>
            Change the order
          </Button>
        )}
        {own && (
          <Button
            disabled={pending}
            onClick={() =>
              send({
                quiltId,
                version,
                order: own.map(({ pass, thread, stabilise }) => ({ pass, thread, stabilise })),
              })
            }
          >
            Save my order
          </Button>
        )}
        {(own || byHand) && (
          <Button
            look="quiet"
            disabled={pending}
            onClick={() => {
              setOwn(null);
              setLaying(false);
              if (byHand) send({ quiltId, version, order: [] });
            }}
          >
            {begun && !byHand ? 'Cancel' : 'Reset'}
          </Button>
        )}
      </div>
      <Problems problems={problems} />
    </div>
  );
}

/** What other orders would save and cost: minutes, and changes in the hand. */
function Trade({
  found,
  now,
  asBest,
}: {
  found: NonNullable<ReturnType<typeof useOrder>>;
  now: { minutes: number; changes: number };
  asBest: boolean;
}) {
  const against = (name: string, other: { minutes: number; changes: number }) => {
    const [min, n] = [Math.round(now.minutes - other.minutes), other.changes - now.changes];
    if (min === 0 && n === 0) return null;
    const time = min > 0 ? `saves ${min} min` : min < 0 ? `costs ${-min} min more` : 'takes as long';
    const hand =
      n > 0
        ? `costs ${plural(n, 'more change')}`
        : n < 0
          ? `spares ${plural(-n, 'change')}`
          : 'the same changes';
    return `${name} ${time} and ${hand}`;
  };
  const told = new Set<string>();
  const said = [
    ...(asBest ? [] : [['The order worked out', found] as const]),
    ['The quickest order', found.quickest] as const,
    ['All threads in each pass', found.byPass] as const,
    ['One sweep a thread', found.bySweep] as const,
  ].flatMap(([name, other]) => {
    // Two ways that cost the same are one piece of news.
    const same = `${Math.round(other.minutes)} ${other.changes}`;
    if (told.has(same)) return [];
    told.add(same);
    return against(name, other) ?? [];
  });
  return said.length > 0 ? <span className="text-ink2"> {said.join('. ')}.</span> : null;
}

/** The zones of a step, to be laid in another order. */
function ZonesOf({
  quiltId,
  version,
  step,
  sewn,
}: {
  quiltId: string;
  version: number;
  step: OrderStep;
  sewn: boolean;
}) {
  const [zones, setZones] = useState(step.zones);
  const { send, pending, problems } = useActionForm(doors.setZoneOrder, ({ zones: n }) =>
    toast(n > 0 ? 'The order of its zones is saved.' : 'Back to the order worked out.'),
  );
  const { pass, thread, stabilise } = step;
  const keep = (list: readonly string[]) => send({ quiltId, version, pass, thread, stabilise, zones: list });
  return (
    <div className="pb-2 pl-10">
      <SortList
        label={`Zones of pass ${step.pass} in their order`}
        rows={zones.map((z) => ({
          id: z.id,
          name: `zone ${z.letter}`,
          content: (
            <span className="flex-1">
              <b>{z.letter}</b> {z.name} <span className="text-ink2">{z.foot}</span>
            </span>
          ),
        }))}
        onMove={(from, to) => setZones(moved(zones, from, to))}
      />
      {!sewn && (
        <div className="mt-2 flex gap-3">
          <Button disabled={pending || zones === step.zones} onClick={() => keep(zones.map((z) => z.id))}>
            Save
          </Button>
          <Button look="quiet" disabled={pending} onClick={() => keep([])}>
            Reset
          </Button>
        </div>
      )}
      <Problems problems={problems} />
    </div>
  );
}
