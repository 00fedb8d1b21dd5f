import type { MultiPolygon } from '../geometry/polygon';

/** What a field was and what it is since. */
export interface Changed {
  from: unknown;
  to: unknown;
}
export type Changes = Readonly<Record<string, Changed>>;
export type Values = Readonly<Record<string, unknown>>;

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

/** The fields that a form changes, each with what it was; none of those it leaves as they are. */
export const changesOf = (before: Values, after: Values): Changes =>
  Object.fromEntries(
    Object.keys(after)
      .filter((k) => !same(before[k], after[k]))
      .map((k) => [k, { from: before[k] ?? null, to: after[k] ?? null }]),
  );

/** Which way a correction is gone: back to what was, or forth again. */
export type Way = 'undo' | 'redo';
const ends = ({ from, to }: Changed, way: Way) =>
  (way === 'undo' ? [to, from] : [from, to]) as [unknown, unknown];

/** Fields that were changed by something else since, so that going this way would overwrite it. */
export const changedSince = (changes: Changes, now: Values, way: Way): string[] =>
  Object.entries(changes)
    .filter(([k, c]) => !same(now[k], ends(c, way)[0]))
    .map(([k]) => k);

/** The values a correction gone this way leaves. */
export const valuesOf = (changes: Changes, way: Way): Record<string, unknown> =>
  Object.fromEntries(Object.entries(changes).map(([k, c]) => [k, ends(c, way)[1]]));

/** Where a zone lies, and the length of its lines where one was given. */
export interface Laid {
  id: string;
  geometry: MultiPolygon;
  lengthIn: number | null;
}

/**
 * Zones as they lie when a quilt turns out to be larger or smaller: each point goes with its edge. Factors above 0;
 * lengths of lines go with the mean of both.
 */
export const scaled = (zones: readonly Laid[], sx: number, sy: number): Laid[] =>
  zones.map((z) => ({
    id: z.id,
    geometry: z.geometry.map((polygon) =>
      polygon.map((ring) => ring.map(([x, y]) => [x * sx, y * sy] as const)),
    ),
    lengthIn: z.lengthIn === null ? null : Math.round(z.lengthIn * Math.sqrt(sx * sy) * 10) / 10,
  }));

/** Whether the zones lie as they are remembered. */
export const laidAs = (now: readonly Laid[], then: readonly Laid[]): boolean => {
  const key = (zones: readonly Laid[]) =>
    JSON.stringify(
      [...zones].sort((a, b) => a.id.localeCompare(b.id)).map((z) => [z.id, z.geometry, z.lengthIn]),
    );
  return key(now) === key(then);
};
