import { deltaEHex } from '../colour/delta-e';
import { overhead, type OrderRequest } from '../order/cells';
import { planOrder } from '../order/order';

/** A zone of the plan with the thread it is sewn with. */
export interface ThreadedZone {
  id: string;
  areaIn2: number;
  topId: string;
  bobbinId: string;
  /** Tested or sewn already: its thread stays. */
  fixed: boolean;
}

export interface ThreadOfQuilt {
  hex: string | null;
  tex: number;
}

/** One thread fewer: its zones go to another that is on the quilt already. */
export interface FewerThread {
  dropId: string;
  intoId: string;
  /** The bobbin that lies under the other thread. */
  bobbinId: string;
  zones: string[];
  /** Minutes of rolls and changes saved. */
  gainMin: number;
  /** In the unit of the penalties, as `FitChange`. */
  harm: number;
  why: string;
}

/** A thread is chosen anew: so much harm at least, in the unit of the penalties (judgement). */
const LEAST_HARM = 0.15;
/** A colour difference of so many ΔE00, or a thread twice as thick, harms by 1 (judgement). */
const DELTA_E_OF_ONE = 20;
const LN_TEX_OF_ONE = Math.LN2;
const UNKNOWN_DELTA_E = 20;
const SEEN_DELTA_E = 5;
/** A change that saves less is not worth the talk, minutes. */
const LEAST_MIN = 2;

const minutesOf = (order: OrderRequest): number => {
  const laid = planOrder(order).order;
  return overhead(
    laid.map((s) => ({ ...s, minutes: 0 })),
    order,
  );
};

/** The order with the work of one thread done with another. */
function merged(order: OrderRequest, dropId: string, intoId: string): OrderRequest {
  const cells = new Map<string, OrderRequest['cells'][number]>();
  for (const c of order.cells) {
    const thread = c.thread === dropId ? intoId : c.thread;
    const key = `${c.pass} ${thread} ${c.stabilise ?? false}`;
    cells.set(key, { ...c, thread, minutes: c.minutes + (cells.get(key)?.minutes ?? 0) });
  }
  return { ...order, cells: [...cells.values()], threads: order.threads.filter((t) => t !== dropId) };
}

/**
 * Which thread of a quilt could be done without: for each, the other thread of the quilt that stands nearest, what that
 * saves in rolls and changes, and its harm by colour and thickness, weighted by the share of the quilt it is seen on. A
 * thread of a zone that is tested or sewn stays. Least harm a minute first.
 * @param order the order of work as it is planned, minutes.
 */
export function fewerThreads(
  order: OrderRequest,
  zones: readonly ThreadedZone[],
  threads: ReadonlyMap<string, ThreadOfQuilt>,
): FewerThread[] {
  const used = [...new Set(zones.map((z) => z.topId))].filter((id) => order.threads.includes(id));
  if (used.length < 2) return [];
  const now = minutesOf(order);
  const area = zones.reduce((s, z) => s + z.areaIn2, 0) || 1;
  const found = used.flatMap((dropId): FewerThread[] => {
    const own = zones.filter((z) => z.topId === dropId);
    const from = threads.get(dropId);
    if (!from || own.some((z) => z.fixed)) return [];
    const share = Math.sqrt(own.reduce((s, z) => s + z.areaIn2, 0) / area);
    const into = used
      .filter((id) => id !== dropId && threads.has(id))
      .map((intoId) => ({ intoId, ...apart(from, threads.get(intoId)!) }))
      .sort((a, b) => a.cost - b.cost)[0];
    if (!into) return [];
    const gainMin = now - minutesOf(merged(order, dropId, into.intoId));
    if (gainMin < LEAST_MIN) return [];
    return [
      {
        dropId,
        intoId: into.intoId,
        bobbinId: zones.find((z) => z.topId === into.intoId)!.bobbinId,
        zones: own.map((z) => z.id),
        gainMin,
        harm: LEAST_HARM + into.cost * (0.4 + 0.6 * share),
        why: into.why,
      },
    ];
  });
  return found.sort((a, b) => a.harm / a.gainMin - b.harm / b.gainMin);
}

/** How unlike two threads are, and which of it is seen. */
function apart(a: ThreadOfQuilt, b: ThreadOfQuilt): { cost: number; why: string } {
  const deltaE = a.hex && b.hex ? deltaEHex(a.hex, b.hex) : UNKNOWN_DELTA_E;
  const ratio = Math.log(b.tex / a.tex);
  const thicker = Math.abs(ratio) > 0.2 ? (ratio > 0 ? 'the line is thicker' : 'the line is finer') : '';
  const colour = deltaE > SEEN_DELTA_E ? 'its own colour is lost' : '';
  return {
    cost: deltaE / DELTA_E_OF_ONE + Math.abs(ratio) / LN_TEX_OF_ONE,
    why: [colour, thicker].filter(Boolean).join(', ') || 'hardly anything is seen of it',
  };
}
