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

/** Needles that entries of a quilt put into a machine. */
export const readFittedByLog = (
  sql: Sql,
  quiltId: string,
): Promise<{ id: string; machineId: string; fittedAt: Date; fromDrawer: boolean }[]> => sql`
  select f.id, f.machine_id, f.fitted_at, f.from_drawer from needle_fitted f join log_entry e on e.id = f.entry_id
  where e.quilt_id = ${quiltId}`;

/** The needle that was in a machine at a time; null when none is known. */
export async function readFittedAt(sql: Sql, machineId: string, at: Date): Promise<FittedNeedle | null> {
  const [row] = await sql<FittedNeedle[]>`
    select id, machine_id, nm, eye, point, coated, stitches, worn, life, fitted_at from needle_fitted
    where machine_id = ${machineId} and fitted_at <= ${at} order by fitted_at desc, id desc limit 1`;
  return row ?? null;
}

/** Notes a needle an entry put into a machine when it was done: from the drawer if it has one, from elsewhere if not. */
export async function fitByEntry(
  sql: Sql,
  entryId: string,
  machineId: string,
  n: NeedleKind & { life: number; at: Date },
): Promise<void> {
  const taken = await sql`
    update needle set stock = stock - 1, version = version + 1
    where nm = ${n.nm} and eye = ${n.eye} and point = ${n.point} and coated = ${n.coated} and stock > 0 returning id`;
  // Two machines' needles of one moment would stand side by side: the place is made free first.
  await sql`update needle_fitted set removed_at = ${n.at} where machine_id = ${machineId} and removed_at is null`;
  await sql`
    insert into needle_fitted (id, machine_id, nm, eye, point, coated, life, fitted_at, entry_id, from_drawer)
    values (${entryId}, ${machineId}, ${n.nm}, ${n.eye}, ${n.point}, ${n.coated}, ${n.life}, ${n.at}, ${entryId}, ${taken.length > 0})`;
  await settleNeedles(sql, machineId, n.at);
}

/** Takes out a needle an entry put in: back in the drawer it came from, the one before it in the machine, with what it sewed since. */
export async function unfitByEntry(sql: Sql, id: string): Promise<void> {
  const [row] = await sql<(NeedleKind & { machineId: string; fromDrawer: boolean; fittedAt: Date })[]>`
    select nm, eye, point, coated, machine_id, from_drawer, fitted_at from needle_fitted where id = ${id}`;
  if (!row) return;
  if (row.fromDrawer)
    await sql`
      update needle set stock = stock + 1, version = version + 1
      where nm = ${row.nm} and eye = ${row.eye} and point = ${row.point} and coated = ${row.coated}`;
  const moved = await sql<{ now: string | null; stitches: number; worn: number }[]>`
    update step_sewn s set needle_fitted_id = (
      select b.id from needle_fitted b where b.machine_id = ${row.machineId} and b.id <> ${id}
        and (b.fitted_at, b.id) < (${row.fittedAt}, ${id}) order by b.fitted_at desc, b.id desc limit 1)
    where s.needle_fitted_id = ${id} returning s.needle_fitted_id as now, s.stitches, s.worn`;
  for (const m of moved) if (m.now) await addStitches(sql, m.now, m.stitches, m.worn);
  await sql`delete from needle_fitted where id = ${id}`;
  await settleNeedles(sql, row.machineId, row.fittedAt);
}

/**
 * From a time on, the needles of a machine follow each other as they were put in, and what was sewn counts for the one
 * that was in: an entry that comes late, or is taken back, moves what was sewn since to the right needle.
 */
async function settleNeedles(sql: Sql, machineId: string, from: Date): Promise<void> {
  await sql`
    update needle_fitted f set removed_at = n.next from (
      select id, lead(fitted_at) over (order by fitted_at, id) as next from needle_fitted where machine_id = ${machineId}) n
    where n.id = f.id and f.machine_id = ${machineId} and n.next is not null and f.removed_at is distinct from n.next`;
  await sql`
    update needle_fitted f set removed_at = null where f.removed_at is not null and f.id = (
      select id from needle_fitted where machine_id = ${machineId} order by fitted_at desc, id desc limit 1)`;
  const moved = await sql<{ was: string | null; now: string | null; stitches: number; worn: number }[]>`
    update step_sewn s set needle_fitted_id = x.now from (
      select s.id, s.needle_fitted_id as was, s.stitches, s.worn, (
        select f.id from needle_fitted f where f.machine_id = ${machineId} and f.fitted_at <= s.at
        order by f.fitted_at desc, f.id desc limit 1) as now
      from step_sewn s join quilt q on q.id = s.quilt_id where q.machine_id = ${machineId} and s.at >= ${from}) x
    where x.id = s.id and x.now is distinct from x.was
    returning x.was, x.now, x.stitches, x.worn`;
  for (const m of moved) {
    if (m.was) await addStitches(sql, m.was, -m.stitches, -m.worn);
    if (m.now) await addStitches(sql, m.now, m.stitches, m.worn);
  }
}
