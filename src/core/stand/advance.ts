/** What rolling from one pass to another asks: where to, and what the rail needs on the way. */
export interface Roll {
  from: number;
  to: number;
  back: boolean;
  /** The rail is raised on the way forth, lowered on the way back: once for each pass that asks for it. */
  rail: 'raise' | 'lower' | null;
}

/**
 * Rolling from the pass the frame stands at to another; null when it stands there. Back is the mirror of forth: what was
 * raised before a pass is lowered when that pass is rolled off again. @param raiseBefore passes before which the rail is raised.
 */
export function rollTo(from: number, to: number, raiseBefore: readonly number[]): Roll | null {
  if (from === to) return null;
  const back = to < from;
  const crossed = back
    ? raiseBefore.some((p) => p > to && p <= from)
    : raiseBefore.some((p) => p > from && p <= to);
  return { from, to, back, rail: crossed ? (back ? 'lower' : 'raise') : null };
}
