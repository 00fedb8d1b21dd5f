import type { Cell } from './cells';

/** Cells of a pass in an order that keeps the thread on the machine while it can: stabilising ones first. */
function withinPass(cells: readonly Cell[], thread: string | undefined): Cell[] {
  const group = (list: readonly Cell[], first: string | undefined, last: ReadonlySet<string>) => {
    const rank = (c: Cell) => (c.thread === first ? 0 : last.has(c.thread) ? 2 : 1);
    return [...list].sort((a, b) => rank(a) - rank(b) || a.thread.localeCompare(b.thread));
  };
  const firsts = cells.filter((c) => c.stabilise);
  const fills = cells.filter((c) => !c.stabilise);
  const head = group(firsts, thread, new Set(fills.map((c) => c.thread)));
  return [...head, ...group(fills, head.at(-1)?.thread ?? thread, new Set())];
}

const groupBy = <K>(cells: readonly Cell[], key: (c: Cell) => K): Map<K, Cell[]> => {
  const map = new Map<K, Cell[]>();
  for (const c of cells) map.set(key(c), [...(map.get(key(c)) ?? []), c]);
  return map;
};

/** All colours in each pass, one way down. */
export function allPerPass(cells: readonly Cell[]): Cell[] {
  const out: Cell[] = [];
  for (const [, list] of [...groupBy(cells, (c) => c.pass)].sort(([a], [b]) => a - b))
    out.push(...withinPass(list, out.at(-1)?.thread));
  return out;
}

/** Groups of threads, one sweep each: down, up, down … Stabilising cells are swept before the fills. */
export function sweeps(cells: readonly Cell[], groups: readonly (readonly string[])[]): Cell[] {
  const out: Cell[] = [];
  let down = true;
  const sweep = (list: readonly Cell[]) => {
    if (list.length === 0) return;
    const passes = [...groupBy(list, (c) => c.pass)].sort(([a], [b]) => (down ? a - b : b - a));
    for (const [, here] of passes) out.push(...withinPass(here, out.at(-1)?.thread));
    down = !down;
  };
  // A sweep may carry its fills along where nothing of that pass is still to be stabilised by another group.
  const left = new Set(cells);
  const open = (pass: number) => [...left].some((c) => c.stabilise && c.pass === pass);
  for (const group of groups) {
    const own = [...left].filter((c) => group.includes(c.thread));
    const now = own.filter(
      (c) =>
        c.stabilise || ![...left].some((o) => o.stabilise && o.pass === c.pass && !group.includes(o.thread)),
    );
    now.forEach((c) => left.delete(c));
    sweep(now);
  }
  for (const group of groups) {
    const rest = [...left].filter((c) => group.includes(c.thread) && !open(c.pass));
    rest.forEach((c) => left.delete(c));
    sweep(rest);
  }
  return out;
}

/** One sweep per colour, in the order the threads are given. */
export const onePerSweep = (cells: readonly Cell[], threads: readonly string[]): Cell[] =>
  sweeps(
    cells,
    threads.map((t) => [t]),
  );
