import type { Sql } from './sql';
import type { DrawerNeedle, FittedNeedle } from './types';

const selectNeedle = (sql: Sql) => sql`select id, nm, eye, point, coated, stock, version from needle`;

/** The needles in the drawer that can be taken. */
export const readDrawer = (sql: Sql): Promise<DrawerNeedle[]> => sql<DrawerNeedle[]>`
  ${selectNeedle(sql)} where stock > 0 order by nm, eye, point, coated`;

/** Every kind of needle the studio keeps, those that are out as well. */
export const readNeedles = (sql: Sql): Promise<DrawerNeedle[]> => sql<DrawerNeedle[]>`
  ${selectNeedle(sql)} order by nm, eye, point, coated`;

export type NeedleKind = Pick<DrawerNeedle, 'nm' | 'eye' | 'point' | 'coated'>;

/** Sets how many of a kind are in the drawer. */
export const upsertNeedle = (sql: Sql, id: string, n: NeedleKind & { stock: number }) => sql`
  insert into needle (id, nm, eye, point, coated, stock)
  values (${id}, ${n.nm}, ${n.eye}, ${n.point}, ${n.coated}, ${n.stock})
  on conflict (nm, eye, point, coated) do update set stock = excluded.stock, version = needle.version + 1`;

export async function updateStock(sql: Sql, id: string, stock: number, version: number): Promise<boolean> {
  const rows = await sql`
    update needle set stock = ${stock}, version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}

/** The needle now in each machine. */
export const readFitted = (sql: Sql): Promise<FittedNeedle[]> => sql<FittedNeedle[]>`
  select id, machine_id, nm, eye, point, coated, stitches, worn, life, fitted_at
  from needle_fitted where removed_at is null`;

/** The needle in one machine; null when it is not known. */
export const readFittedIn = async (sql: Sql, machineId: string): Promise<FittedNeedle | null> =>
  (await readFitted(sql)).find((f) => f.machineId === machineId) ?? null;

/** Takes a needle from the drawer into a machine; the one before is put aside with its stitches. False when none is left. */
export async function fitNeedle(
  sql: Sql,
  id: string,
  machineId: string,
  n: NeedleKind,
  life: number,
): Promise<boolean> {
  const taken = await sql`
    update needle set stock = stock - 1, version = version + 1
    where nm = ${n.nm} and eye = ${n.eye} and point = ${n.point} and coated = ${n.coated} and stock > 0 returning id`;
  if (taken.length === 0) return false;
  await sql`update needle_fitted set removed_at = now() where machine_id = ${machineId} and removed_at is null`;
  await sql`
    insert into needle_fitted (id, machine_id, nm, eye, point, coated, life)
    values (${id}, ${machineId}, ${n.nm}, ${n.eye}, ${n.point}, ${n.coated}, ${life})`;
  return true;
}

/** Adds stitches sewn to the needle in a machine, and what they wore of it. */
export const addStitches = (sql: Sql, fittedId: string, stitches: number, worn: number) => sql`
  update needle_fitted set stitches = greatest(0, stitches + ${stitches}), worn = greatest(0, worn + ${worn})
  where id = ${fittedId}`;

/** Notes a needle put into a machine as it was done: from the drawer if it has one, from elsewhere if not. */
export async function refitNeedle(
  sql: Sql,
  id: string,
  machineId: string,
  n: NeedleKind,
  life: number,
): Promise<void> {
  if (await fitNeedle(sql, id, machineId, n, life)) return;
  await sql`update needle_fitted set removed_at = now() where machine_id = ${machineId} and removed_at is null`;
  await sql`
    insert into needle_fitted (id, machine_id, nm, eye, point, coated, life)
    values (${id}, ${machineId}, ${n.nm}, ${n.eye}, ${n.point}, ${n.coated}, ${life})`;
}

/** Takes back that a needle was put in, while it has sewn nothing: the one before is in again. */
export async function unfitNeedle(sql: Sql, id: string): Promise<void> {
  const [row] = await sql<{ machineId: string }[]>`
    delete from needle_fitted f where id = ${id} and removed_at is null
      and not exists (select from step_sewn s where s.needle_fitted_id = f.id) returning machine_id`;
  if (!row) return;
  await sql`
    update needle_fitted set removed_at = null where id = (
      select id from needle_fitted where machine_id = ${row.machineId} order by removed_at desc nulls last limit 1)`;
}
