import type { Sql } from './sql';

/** Where a line of the shopping list stands; one without a row is still to get. */
export interface ShoppingMark {
  line: string;
  state: 'ordered' | 'here';
  at: Date;
}

/** What was ordered or came lately: an older mark says nothing of what is lacking now. */
export const readShoppingMarks = (sql: Sql): Promise<ShoppingMark[]> => sql`
  select line, state, at from shopping_mark where at > now() - interval '60 days'`;

/** Says where a line stands; nothing: to get again. */
export const markShopping = (sql: Sql, line: string, state: ShoppingMark['state'] | null) =>
  state === null
    ? sql`delete from shopping_mark where line = ${line}`
    : sql`insert into shopping_mark (line, state) values (${line}, ${state})
          on conflict (line) do update set state = excluded.state, at = now()`;
