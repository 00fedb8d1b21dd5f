import { CoreError } from '../notes';

/**
 * A table keyed by id. `get` throws a CoreError that names the ids understood, so that a misspelt id
 * is answered and never guessed at.
 */
export interface Table<Row extends { id: string }> {
  rows: readonly Row[];
  ids: readonly string[];
  get(id: string, path?: string): Row;
  find(id: string): Row | undefined;
}

/** A table of the field by id: `get` throws where the id is none of its rows, naming the noun; `find` answers null. */
export function table<Row extends { id: string }>(noun: string, rows: readonly Row[]): Table<Row> {
  const byId = new Map(rows.map((row) => [row.id, row]));
  const ids = rows.map((row) => row.id);
  return {
    rows,
    ids,
    find: (id) => byId.get(id),
    get(id, path = '') {
      const row = byId.get(id);
      if (!row)
        throw new CoreError('unknown-id', `${noun} “${id}” is not known. Known: ${ids.join(', ')}.`, path);
      return row;
    },
  };
}
