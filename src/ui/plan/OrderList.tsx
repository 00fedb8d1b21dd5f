'use client';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';
import { useState } from 'react';
import { toast } from '@/ui/kit/toast';
import { setOrderAction } from '@/actions/server';
import { stepId } from '@/core/plan/step-key';
import { predicted } from '@/core/source/known';
import { type Cell, type OrderRequest, overhead, stabilisedFirst } from '@/core/order/cells';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { Sourced } from '@/ui/kit/Sourced';
import { useActionForm } from '@/ui/kit/use-action-form';
import { type OrderRow, StepWords, type ThreadName } from './StepWords';
import { useOrder } from './use-order';

const OrderDrag = dynamic(() => patiently(() => import('./OrderDrag')).then((m) => m.OrderDrag));

type Step = { pass: number; thread: string; stabilise?: boolean };

/** The order with one step taken out and put in elsewhere. */
function moveStep(steps: readonly Step[], from: number, to: number): Step[] {
  const out = [...steps];
  out.splice(to, 0, ...out.splice(from, 1));
  return out;
}

const keyOf = (s: Step, i: number) => `${s.pass}|${s.thread}|${i}`;

/** The cells behind an order's steps; null when they no longer are those of the plan. */
function cellsIn(order: readonly Step[], cells: readonly Cell[]): Cell[] | null {
  const left = [...cells];
  const out: Cell[] = [];
  for (const s of order) {
    const at = left.findIndex(
      (c) =>
        c.pass === s.pass &&
        c.thread === s.thread &&
        (s.stabilise === undefined || (c.stabilise ?? false) === s.stabilise),
    );
    if (at < 0) return null;
    out.push(...left.splice(at, 1));
  }
  return left.length === 0 ? out : null;
}

/** The order of work: found in a worker, laid by hand where the quilter knows better, with what that costs. */
export function OrderList({
  quiltId,
  version,
  request,
  fixed,
  byHand,
  threads,
  sewn,
}: {
  quiltId: string;
  version: number;
  request: OrderRequest;
  /** The order that stands: as the quilter laid it, or as it was begun. */
  fixed: readonly Step[] | null;
  byHand: boolean;
  threads: Record<string, ThreadName>;
  /** Steps that are sewn. */
  sewn: readonly string[];
}) {
  const found = useOrder(request);
  const [moved, setMoved] = useState<readonly Step[] | null>(fixed);
  const { send, pending, problems } = useActionForm(setOrderAction, ({ steps }) =>
    toast(steps > 0 ? 'Your order is kept.' : 'Back to the order worked out.'),
  );
  const [laying, setLaying] = useState(false);
  if (request.cells.length === 0)
    return (
      <p className="text-ink2">Match its zones, and the order of passes and threads is worked out here.</p>
    );
  if (!found) return <p className="min-h-[120px] text-ink2">…</p>;
  const own = moved && cellsIn(moved, request.cells) ? moved : null;
  const steps = own ?? found.order;
  const cells = cellsIn(steps, request.cells) ?? [];
  const price = overhead(cells, request);
  const usual = Math.min(found.byPass.minutes, found.bySweep.minutes);
  const rows = steps.map((s, i): OrderRow => {
    const first = cells[i]?.stabilise === true;
    return {
      id: keyOf(s, i),
      n: i + 1,
      pass: s.pass,
      thread: threads[s.thread],
      first,
      minutes: cells[i]?.minutes ?? 0,
      change: i > 0 && steps[i - 1]!.thread !== s.thread,
      sewn: sewn.includes(stepId({ pass: s.pass, thread: s.thread, stabilise: first })),
    };
  });
  return (
    <div>
      <p>
        Rolls and thread changes:{' '}
        <b>
          <Sourced of={predicted(price)}>{Math.round(price)} min</Sourced>
        </b>
        {own ? (
          <span className="text-ink2">
            {' '}
            {byHand || moved !== fixed ? 'as you laid it' : 'as it was begun'}
            {price - found.minutes >= 0.5 && `; worked out it would be ${Math.round(found.minutes)} min`}
          </span>
        ) : (
          <span className="text-ink2">
            {' '}
            · all colours per pass {Math.round(found.byPass.minutes)}, one sweep a colour{' '}
            {Math.round(found.bySweep.minutes)}
            {usual - price >= 0.5 && (
              <b className="text-verdigris">, {Math.round(usual - price)} min saved</b>
            )}
            {found.exact ? '' : '; the best found'}
          </span>
        )}
      </p>
      {own && !stabilisedFirst(cells) && (
        <p role="status" className="mt-1 font-medium text-weld-text">
          A pass is filled here before it is stabilised: its layers may creep.
        </p>
      )}
      {laying ? (
        <OrderDrag rows={rows} onMove={(from, to) => setMoved(moveStep(steps, from, to))} />
      ) : (
        <ol className="mt-2 border-y" aria-label="Order of work">
          {rows.map((r) => (
            <li key={r.id} className="flex min-h-11 items-center gap-3 border-b pl-2">
              <StepWords row={r} />
            </li>
          ))}
        </ol>
      )}
      <div className="mt-2 flex flex-wrap gap-3">
        {!laying && (
          <Button look="quiet" onClick={() => setLaying(true)}>
            Lay it by hand
          </Button>
        )}
        {own && moved !== fixed && (
          <Button
            disabled={pending}
            onClick={() =>
              send({ quiltId, version, order: steps.map(({ pass, thread }) => ({ pass, thread })) })
            }
          >
            Keep my order
          </Button>
        )}
        {own && (byHand || moved !== fixed) && (
          <Button
            look="quiet"
            disabled={pending}
            onClick={() => {
              setMoved(byHand ? null : fixed);
              if (byHand) send({ quiltId, version, order: [] });
            }}
          >
            Take the order worked out
          </Button>
        )}
      </div>
      <Problems problems={problems} />
    </div>
  );
}
