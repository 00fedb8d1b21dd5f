import type { Stretch } from './change-point';

/** What else is known of a stretch: one value of each thing. */
export type KnownStretch<Thing extends string> = Stretch & Record<Thing, string>;

export interface ChangedThing<Thing extends string> {
  thing: Thing;
  value: string;
  /** Share of the stitches with it before and since, 0–1. */
  before: number;
  after: number;
}

/** A share that moved by less says nothing (judgement). */
const MOVED = 0.4;

/**
 * What else changed when a rate did: the values whose share of the stitches moved most between before and since, the
 * most moved first. It came together; whether it is the cause, the bench tells. @param at index of the first stretch since.
 */
export function changedWith<Thing extends string>(
  stretches: readonly KnownStretch<Thing>[],
  at: number,
  things: readonly Thing[],
): ChangedThing<Thing>[] {
  const sides = [stretches.slice(0, at), stretches.slice(at)] as const;
  const sums = sides.map((side) => side.reduce((sum, s) => sum + s.stitches, 0));
  if (sums.some((s) => s <= 0)) return [];
  const share = (side: 0 | 1, thing: Thing, value: string) =>
    sides[side].reduce((sum, s) => (s[thing] === value ? sum + s.stitches : sum), 0) / sums[side]!;
  return things
    .flatMap((thing) =>
      [...new Set(sides[1].map((s) => s[thing] as string))].map((value) => ({
        thing,
        value,
        before: share(0, thing, value),
        after: share(1, thing, value),
      })),
    )
    .filter((c) => c.after - c.before > MOVED)
    .sort((a, b) => b.after - b.before - (a.after - a.before));
}
