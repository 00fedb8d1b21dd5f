'use client';
import { wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { OrderRequest } from '@/core/order/cells';
import type { WorkOrder } from '@/core/order/order';

type PlanOrder = (request: OrderRequest) => Promise<WorkOrder>;

/** The order of work, found in a worker so that the page never waits; null until it is there. */
export function useOrder(request: OrderRequest): WorkOrder | null {
  const [order, setOrder] = useState<WorkOrder | null>(null);
  const text = JSON.stringify(request);
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/order.worker.ts', import.meta.url), { type: 'module' });
    let here = true;
    void (wrap(worker) as unknown as PlanOrder)(JSON.parse(text) as OrderRequest).then((o) => {
      if (here) setOrder(o);
      worker.terminate();
    });
    return () => {
      here = false;
      worker.terminate();
    };
  }, [text]);
  return order;
}
