import { CoreError } from '../notes';
import { burden, type Cell, changesIn, type OrderRequest, overhead, type Prices } from './cells';
import { EXACT_CELLS, exactOrder } from './exact';
import { improveOrder } from './improve';
import { laidFlat, liesFlat } from './lie-flat';
import { allPerPass, onePerSweep, sweeps } from './usual-ways';

/** What an order costs: minutes of rolls and changes, and how often thread and tension are changed. */
export interface OrderCost {
  minutes: number;
  changes: number;
}

export interface WorkOrder extends OrderCost {
  order: { pass: number; thread: string; stabilise?: boolean }[];
  byPass: OrderCost;
  bySweep: OrderCost;
  /** The order that takes the fewest minutes, whatever its changes cost the hand. */
  quickest: OrderCost;
  exact: boolean;
}

/** Ways of parting up to this many threads into sweeps are all tried. */
const PARTED_THREADS = 6;

/**
 * The order of work that costs least, in minutes and in the trouble of changes, and keeps the quilt flat (see
 * `needsOf`): exact up to 16 cells, else the best of the usual ways and of every parting of the threads into sweeps,
 * improved by local search; never worse than all colours per pass or one sweep per colour where those keep it flat.
 * @throws CoreError when a cell names a pass or thread that is not there.
 */
export function planOrder(request: OrderRequest): WorkOrder {
  const { cells } = request;
  const ways = usualWays(request);
  const best = bestOrder(request, ways);
  const cost = (order: readonly Cell[]) => ({
    minutes: overhead(order, request),
    changes: changesIn(order),
  });
  const quick = () =>
    lightestOrder(request, { ...request, changeTroubleMin: 0 }, [ways.perPass, ways.perSweep]);
  return {
    order: placesOf(best),
    ...cost(best),
    byPass: cost(ways.perPass),
    bySweep: cost(ways.perSweep),
    quickest: cost(request.changeTroubleMin ? quick() : best),
    exact: cells.length <= EXACT_CELLS,
  };
}

/** The order alone, without what the others would cost. @throws CoreError as `planOrder`. */
export const orderOf = (request: OrderRequest): WorkOrder['order'] =>
  placesOf(bestOrder(request, usualWays(request)));

const placesOf = (order: readonly Cell[]) =>
  order.map(({ pass, thread, stabilise }) => ({ pass, thread, ...(stabilise ? { stabilise } : {}) }));

function usualWays(request: OrderRequest): { perPass: Cell[]; perSweep: Cell[] } {
  const { passes, threads, cells } = request;
  cells.forEach((c, i) => {
    if (!Number.isInteger(c.pass) || c.pass < 1 || c.pass > passes)
      throw new CoreError(
        'unknown-pass',
        `There is no pass ${c.pass}; passes run from 1 to ${passes}.`,
        `cells.${i}.pass`,
      );
    if (!threads.includes(c.thread))
      throw new CoreError('unknown-id', `Thread “${c.thread}” is not in the list.`, `cells.${i}.thread`);
  });
  return {
    perPass: laidFlat(allPerPass(cells), request),
    perSweep: laidFlat(onePerSweep(cells, threads), request),
  };
}

function bestOrder(request: OrderRequest, { perPass, perSweep }: ReturnType<typeof usualWays>): Cell[] {
  const { rolling = 'least-time' } = request;
  if (rolling === 'one-way') return perPass;
  if (rolling === 'down-and-up') return perSweep;
  return lightestOrder(request, request, [perPass, perSweep]);
}

function lightestOrder(request: OrderRequest, prices: Prices, usual: readonly Cell[][]): Cell[] {
  const { threads, cells } = request;
  if (cells.length <= EXACT_CELLS) return exactOrder(cells, prices, request);
  const price = (order: readonly Cell[]) => burden(order, prices);
  return starts(cells, threads, usual)
    .map((start) => (liesFlat(start, request) ? start : laidFlat(start, request)))
    .map((order) => ({ order, price: price(order) }))
    .sort((a, b) => a.price - b.price)
    .slice(0, 4)
    .map(({ order }) => improveOrder(order, prices, request))
    .reduce((a, b) => (price(b) < price(a) ? b : a));
}

function starts(cells: readonly Cell[], threads: readonly string[], usual: readonly Cell[][]): Cell[][] {
  const used = threads.filter((t) => cells.some((c) => c.thread === t));
  // Threads that stabilise go first, so that their sweeps can carry the most.
  const sorted = [...used].sort((a, b) => stabilising(cells, b) - stabilising(cells, a));
  const parted = sorted.length <= PARTED_THREADS ? partings(sorted) : [];
  return [...usual, ...parted.map((groups) => sweeps(cells, groups))];
}

const stabilising = (cells: readonly Cell[], thread: string) =>
  cells.filter((c) => c.stabilise && c.thread === thread).length;

/** Every way of parting a list into groups. */
function partings(items: readonly string[]): string[][][] {
  const [first, ...rest] = items;
  if (first === undefined) return [[]];
  return partings(rest).flatMap((groups) => [
    [[first], ...groups],
    ...groups.map((g, i) => [[first, ...g], ...groups.filter((_, k) => k !== i)]),
  ]);
}
