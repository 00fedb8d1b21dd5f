import type { Level } from '../motifs/request';

/** One thing that was seen of a hand in a technique: how far off it was, as a share of the spacing, or of the stitch. */
export interface Seen {
  error: number;
}

/** From so many things seen on a level can be told. */
export const LEAST_SEEN = 3;
/** What a level asks: errors no larger, hours no fewer (judgements). */
const ASKS: readonly { level: Level; error: number; hours: number }[] = [
  { level: 'practised', error: 0.15, hours: 10 },
  { level: 'steady', error: 0.3, hours: 2 },
];
const LEVELS: readonly Level[] = ['beginner', 'steady', 'practised'];
/** So many in a row that are worse bring a level down. */
const WORSE_IN_A_ROW = 3;

const middle = (xs: readonly number[]): number => {
  const sorted = [...xs].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)]!;
};

/**
 * How practised a hand is in a technique, from what was seen of it, the oldest first, and the hours sewn: up when the middle
 * of the last three keeps within a level's error and the hours are there, down only after three worse in a row.
 * Null from fewer than three.
 */
export function levelSeen(seen: readonly Seen[], hours: number): Level | null {
  if (seen.length < LEAST_SEEN) return null;
  const fits = (errors: readonly number[]): Level =>
    ASKS.find((a) => middle(errors) <= a.error && hours >= a.hours)?.level ?? 'beginner';
  let level: Level = 'beginner';
  seen.forEach((_, i) => {
    if (i + 1 < LEAST_SEEN) return;
    const last = seen.slice(i + 1 - LEAST_SEEN, i + 1).map((s) => s.error);
    const told = fits(last);
    const bound = ASKS.find((a) => a.level === level)?.error ?? Infinity;
    if (LEVELS.indexOf(told) > LEVELS.indexOf(level)) level = told;
    else if (last.length >= WORSE_IN_A_ROW && last.every((e) => e > bound))
      level = LEVELS[Math.max(0, LEVELS.indexOf(level) - 1)]!;
  });
  return level;
}
