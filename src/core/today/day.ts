/** What kind of thing is to be done today, in the order a person does them. */
export const TODAY_KINDS = [
  'promise',
  'care',
  'load',
  'sew',
  'write',
  'wind',
  'buy',
  'hand-over',
  'table',
  'technician',
] as const;
export type TodayKind = (typeof TODAY_KINDS)[number];
export const TODAY_LABEL: Readonly<Record<TodayKind, string>> = {
  promise: 'Promise',
  care: 'Machine',
  load: 'Load',
  sew: 'Sew',
  write: 'Write',
  wind: 'Wind',
  buy: 'Buy',
  'hand-over': 'Hand over',
  table: 'At the table',
  technician: 'Technician',
};

/** One line of the day, with one act. */
export interface TodayLine {
  kind: TodayKind;
  title: string;
  detail: string;
  minutes: number | null;
  act: string;
  href: string;
  /** Something done to a machine: pressed, it is noted. */
  care?: { machineId: string; item: string };
}

export const MOST_LINES = 10;

/** What lies on a machine is sewn today, on each of them: none of these is left for another day. */
const ALWAYS: readonly TodayKind[] = ['sew'];

/**
 * The day in at most ten lines: every kind of thing has its first line before any has its second, and the list reads in
 * the order of the day. Lines of one kind come in the order they are given.
 */
export function dayOf(lines: readonly TodayLine[]): { lines: TodayLine[]; more: number } {
  const rank = new Map<TodayLine, number>();
  const seen = new Map<TodayKind, number>();
  for (const l of lines) {
    const n = seen.get(l.kind) ?? 0;
    rank.set(l, n);
    seen.set(l.kind, n + 1);
  }
  const at = (l: TodayLine) => TODAY_KINDS.indexOf(l.kind);
  const turn = (l: TodayLine) => (ALWAYS.includes(l.kind) ? 0 : rank.get(l)!);
  const taken = new Set([...lines].sort((a, b) => turn(a) - turn(b) || at(a) - at(b)).slice(0, MOST_LINES));
  return {
    lines: lines.filter((l) => taken.has(l)).sort((a, b) => at(a) - at(b) || rank.get(a)! - rank.get(b)!),
    more: lines.length - taken.size,
  };
}
