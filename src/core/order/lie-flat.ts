import type { Cell, First, FirstRule } from './cells';

/** What must be sewn before a cell: all of some cells, and at least one of each pass above it. By place in the list. */
export interface Needs {
  all: readonly number[];
  some: readonly (readonly number[])[];
}

/**
 * What each cell needs so that the quilt lies flat: a fill needs everything that stabilises in its own pass and in those
 * before it (in all passes where the studio stabilises the whole quilt first), and nothing is sewn beyond a pass in which
 * nothing is sewn yet: between two sewn bands the fullness of an unsewn one would be trapped.
 */
export function needsOf(cells: readonly Cell[], { rule = 'flat', sewnPasses = [] }: First = {}): Needs[] {
  const passes = new Map<number, number[]>();
  cells.forEach((c, i) => passes.set(c.pass, [...(passes.get(c.pass) ?? []), i]));
  const all = rule === 'whole-first';
  return cells.map((c, i) => ({
    all: c.stabilise
      ? []
      : cells.flatMap((o, k) => (o.stabilise && k !== i && (all || isBefore(o, c, rule)) ? [k] : [])),
    some:
      rule === 'in-pass'
        ? []
        : [...passes].flatMap(([pass, list]) => {
            // Where everything is stabilised first, a pass that has only fills waits, and holds up nothing.
            const counts = !(all && c.stabilise) || list.some((k) => cells[k]!.stabilise);
            return pass < c.pass && counts && !sewnPasses.includes(pass) ? [list] : [];
          }),
  }));
}

const isBefore = (o: Cell, c: Cell, rule: FirstRule) =>
  rule === 'in-pass' ? o.pass === c.pass : o.pass <= c.pass;

/** Why an order should not be sewn so: the first cell that comes too early, and what it would sew past. */
export interface TooEarly {
  /** Its place in the order. */
  at: number;
  why: 'not-stabilised' | 'band-left';
  /** The pass that is sewn past. */
  pass: number;
}

/** The first cell of an order that is sewn too early; null when the order keeps the quilt flat. */
export function tooEarly(order: readonly Cell[], first: First = {}): TooEarly | null {
  const needs = needsOf(order, first);
  for (const [i, { all, some }] of needs.entries()) {
    const loose = all.find((k) => k > i);
    if (loose !== undefined) return { at: i, why: 'not-stabilised', pass: order[loose]!.pass };
    const band = some.find((list) => list.every((k) => k > i));
    if (band) return { at: i, why: 'band-left', pass: order[band[0]!]!.pass };
  }
  return null;
}

/** Whether an order keeps the quilt flat: the same as `tooEarly` finding nothing, in one walk along it. */
export function liesFlat(order: readonly Cell[], { rule = 'flat', sewnPasses = [] }: First = {}): boolean {
  const last = order.reduce((most, c) => Math.max(most, c.pass), 0);
  const loose = new Int32Array(last + 1);
  const waits = new Uint8Array(last + 1);
  for (const c of order) {
    if (c.stabilise) loose[c.pass]!++;
    waits[c.pass] = 1;
  }
  for (const p of sewnPasses) if (p <= last) waits[p] = 0;
  const stabilised = Uint8Array.from(loose, (n) => (n > 0 ? 1 : 0));
  const all = rule === 'whole-first';
  for (const c of order) {
    if (c.stabilise) loose[c.pass]!--;
    for (let p = 1; p <= last; p++) {
      if (!c.stabilise && loose[p]! > 0 && (rule === 'in-pass' ? p === c.pass : all || p <= c.pass))
        return false;
      if (p >= c.pass || rule === 'in-pass' || waits[p] === 0) continue;
      if (!(all && c.stabilise) || stabilised[p] === 1) return false;
    }
    waits[c.pass] = 0;
  }
  return true;
}

/** An order in which whatever a cell needs is drawn forward to before it; the rest keeps its place. */
export function laidFlat(order: readonly Cell[], first: First = {}): Cell[] {
  const needs = needsOf(order, first);
  const sewn = new Set<number>();
  const sew = (i: number) => {
    if (sewn.has(i)) return;
    const { all, some } = needs[i]!;
    for (const list of [...some].sort((a, b) => order[a[0]!]!.pass - order[b[0]!]!.pass))
      if (!list.some((k) => sewn.has(k))) sew(list.find((k) => order[k]!.stabilise) ?? list[0]!);
    for (const k of [...all].sort((a, b) => order[a]!.pass - order[b]!.pass)) sew(k);
    sewn.add(i);
  };
  order.forEach((_, i) => sew(i));
  return [...sewn].map((i) => order[i]!);
}
