'use client';
import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { setOrderAction } from '@/actions/server';
import { stepId } from '@/core/plan/steps';
import { predicted } from '@/core/source/known';
import { type Cell, type OrderRequest, overhead, stabilisedFirst } from '@/core/order/cells';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { Sourced } from '@/ui/kit/Sourced';
import { ThreadSwatch } from '@/ui/kit/Swatch';
import { useActionForm } from '@/ui/kit/use-action-form';
import { useOrder } from './use-order';

interface ThreadName {
  name: string;
  hex: string | null;
}
type Step = { pass: number; thread: string; stabilise?: boolean };

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
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
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
  const ids = steps.map(keyOf);
  const drop = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    setMoved(arrayMove([...steps], ids.indexOf(String(active.id)), ids.indexOf(String(over.id))));
  };
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
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol className="mt-2 border-y" aria-label="Order of work">
            {steps.map((s, i) => (
              <Row
                key={ids[i]}
                id={ids[i]!}
                n={i + 1}
                step={s}
                thread={threads[s.thread]}
                first={cells[i]?.stabilise === true}
                minutes={cells[i]?.minutes ?? 0}
                change={i > 0 && steps[i - 1]!.thread !== s.thread}
                sewn={sewn.includes(
                  stepId({ pass: s.pass, thread: s.thread, stabilise: cells[i]?.stabilise === true }),
                )}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <div className="mt-2 flex flex-wrap gap-3">
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

function Row({
  id,
  n,
  step,
  thread,
  first,
  minutes,
  change,
  sewn,
}: {
  id: string;
  n: number;
  step: Step;
  thread: ThreadName | undefined;
  first: boolean;
  minutes: number;
  change: boolean;
  sewn: boolean;
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={`flex min-h-11 items-center gap-3 border-b bg-cloth ${isDragging ? 'relative z-10 outline-2 outline-indigo outline-solid' : ''}`}
    >
      <button
        type="button"
        aria-label={`Move step ${n}: pass ${step.pass}, ${thread?.name ?? ''}`}
        className="grid size-11 shrink-0 cursor-grab touch-none place-items-center text-ink2"
        {...attributes}
        {...listeners}
      >
        <GripVertical size={18} aria-hidden />
      </button>
      <span className="w-16 font-semibold">pass {step.pass}</span>
      <ThreadSwatch hex={thread?.hex ?? null} width={22} height={22} />
      <span className="min-w-0 flex-1 truncate">
        {thread?.name}
        {first && <span className="text-ink2">, to stabilise</span>}
        {change && <span className="text-ink2">, change thread</span>}
      </span>
      <span className="pr-2 text-ink2">{sewn ? 'sewn' : `${Math.max(1, Math.round(minutes))} min`}</span>
    </li>
  );
}
