import type { Field, KeptOf } from './field';

/** One value as it is kept: texts without blanks round them, colours in small letters, what was not given as nothing. */
function kept(f: Field, value: unknown): unknown {
  if (value === undefined || value === null || value === '')
    return f.kind === 'hexes'
      ? []
      : f.kind === 'text' || f.kind === 'long'
        ? ''
        : f.kind === 'yes'
          ? false
          : null;
  if (f.kind === 'text' || f.kind === 'long') return String(value).trim();
  if (f.kind === 'hex') return String(value).toLowerCase();
  if (f.kind === 'hexes') return (value as string[]).map((h) => h.toLowerCase());
  return value;
}

/** A checked form as the row that is stored: the fields of its table and nothing else. */
export const stored = <const R extends readonly Field[]>(fields: R, form: object): KeptOf<R> =>
  Object.fromEntries(
    fields.map((f) => [f.id, kept(f, (form as Record<string, unknown>)[f.id])]),
  ) as KeptOf<R>;

/** What a new one begins with. */
export const usualValues = (fields: readonly Field[]): Record<string, unknown> =>
  Object.fromEntries(fields.flatMap((f) => (f.usual === undefined ? [] : [[f.id, f.usual]])));

/** What is kept of a thing by its table, with what is not given left out. */
export const given = <const R extends readonly Field[]>(
  fields: R,
  row: Partial<KeptOf<R>>,
): { [K in keyof KeptOf<R>]?: Exclude<KeptOf<R>[K], null> } =>
  Object.fromEntries(
    fields.flatMap((f) => {
      const value = (row as Record<string, unknown>)[f.id];
      return value === null || value === undefined ? [] : [[f.id, value]];
    }),
  ) as { [K in keyof KeptOf<R>]?: Exclude<KeptOf<R>[K], null> };
