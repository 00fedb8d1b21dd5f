import type { Field } from '../fields/field';
import { type ExchangeKind, FILE_FIELDS } from '../fields/files';

export { EXCHANGE_KINDS, type ExchangeKind } from '../fields/files';

/** One column: its name in our own files, and what others may call it. */
export interface Column {
  id: string;
  label: string;
  also: readonly string[];
  required?: boolean;
}

const columnsOf = (fields: readonly Field[]): Column[] =>
  fields.flatMap(({ id, column }) => (column ? [{ ...column, id }] : []));

export const COLUMNS = Object.fromEntries(
  Object.entries(FILE_FIELDS).map(([kind, fields]) => [kind, columnsOf(fields)]),
) as Record<ExchangeKind, Column[]>;
const plain = (text: string) =>
  text
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9%]+/g, ' ')
    .trim();

/** Column id by position in the file; null for a column that is left out. */
export type Mapping = (string | null)[];

/** Guesses which column is which: our own names first, then what others call them; each is used once. */
export function guessMapping(kind: ExchangeKind, header: readonly string[]): Mapping {
  const taken = new Set<string>();
  const names = header.map(plain);
  const mapping: Mapping = header.map(() => null);
  const take = (fits: (name: string, c: Column) => boolean) =>
    names.forEach((name, i) => {
      if (mapping[i] !== null || !name) return;
      const found = COLUMNS[kind].find((c) => !taken.has(c.id) && fits(name, c));
      if (found) {
        mapping[i] = found.id;
        taken.add(found.id);
      }
    });
  take((name, c) => name === plain(c.label) || name === plain(c.id));
  take((name, c) => c.also.some((a) => plain(a) === name));
  take((name, c) => [c.label, ...c.also].some((a) => plain(a).length > 3 && name.includes(plain(a))));
  return mapping;
}

/** Columns that must be mapped and are not. */
export const missingColumns = (kind: ExchangeKind, mapping: Mapping): Column[] =>
  COLUMNS[kind].filter((c) => c.required && !mapping.includes(c.id));
