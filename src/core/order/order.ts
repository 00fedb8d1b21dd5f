import { CoreError } from '../notes';
import { type Cell, type OrderRequest, overhead } from './cells';
import { EXACT_CELLS, exactOrder } from './exact';
import { improveOrder } from './improve';
import { allPerPass, onePerSweep, sweeps } from './usual-ways';

export interface WorkOrder {
  order: { pass: number; thread: string; stabilise?: boolean }[];
  /** Rolls and changes only. */
  minutes: number;
  byPass: { minutes: number };
  bySweep: { minutes: number };
  exact: boolean;
}

/** Ways of parting up to this many threads into sweeps are all tried. */
const PARTED_THREADS = 6;

/**
 * The cheapest order of work: exact up to 16 cells, else the best of the usual ways and of every parting of the
 * threads into sweeps, improved by local search; never worse than all colours per pass or one sweep per colour.
 * @throws CoreError when a cell names a pass or thread that is not there.
 */
export function planOrder(request: OrderRequest): WorkOrder {
  const { passes, threads, cells, rollMin, changeMin } = request;
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
  const perPass = allPerPass(cells);
  const perSweep = onePerSweep(cells, threads);
  const price = (order: readonly Cell[]) => overhead(order, request);
  const { rolling = 'least-time' } = request;
  const exact = cells.length <= EXACT_CELLS;
  const best =
    rolling === 'one-way'
      ? perPass
      : rolling === 'down-and-up'
        ? perSweep
        : exact
          ? exactOrder(cells, rollMin, changeMin)
          : starts(cells, threads, perPass, perSweep)
              .map((order) => ({ order, price: price(order) }))
              .sort((a, b) => a.price - b.price)
              .slice(0, 4)
              .map(({ order }) => improveOrder(order, rollMin, changeMin))
              .reduce((a, b) => (price(b) < price(a) ? b : a));
  return {
    order: best.map(({ pass, thread, stabilise }) => ({ pass, thread, ...(stabilise ? { stabilise } : {}) })),
    minutes: price(best),
    byPass: { minutes: price(perPass) },
    bySweep: { minutes: price(perSweep) },
    exact,
  };
}

function starts(
  cells: readonly Cell[],
  threads: readonly string[],
  perPass: Cell[],
  perSweep: Cell[],
): Cell[][] {
  const used = threads.filter((t) => cells.some((c) => c.thread === t));
  // Threads that stabilise go first, so that their sweeps can carry the most.
  const sorted = [...used].sort((a, b) => stabilising(cells, b) - stabilising(cells, a));
  const parted = sorted.length <= PARTED_THREADS ? partings(sorted) : [];
  return [perPass, perSweep, ...parted.map((groups) => sweeps(cells, groups))];
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
