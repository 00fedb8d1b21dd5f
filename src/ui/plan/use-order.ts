'use client';
import type { OrderRequest } from '@/core/order/cells';
import type { WorkOrder } from '@/core/order/order';
import { useWorker } from '@/ui/kit/use-worker';

const create = () =>
  new Worker(new URL('../../workers/order.worker.ts', import.meta.url), { type: 'module' });

/** The order of work, found in a worker so that the page never waits; null until it is there. */
export const useOrder = (request: OrderRequest): WorkOrder | null =>
  useWorker<OrderRequest, WorkOrder>(create, request).answer;
