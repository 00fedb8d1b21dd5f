import type { CareLimits, Touched } from '@/core/care/items';
import type { CareCounts } from '@/core/care/due';
import { asJson, type Sql } from './sql';

/** What was done to a machine. */
export interface CareDone {
  id: string;
  machineId: string;
  item: string;
  at: Date;
  technician: string;
  found: string;
  parts: string;
  touched: Touched[];
  gaugeBeforeGf: number | null;
  gaugeAfterGf: number | null;
  counterStitches: number | null;
}

/** The same, with its pictures. */
export type ServiceEntry = CareDone & { photographs: string[]; who: string | null };

/** What the manual of a machine says of one item. */
export interface CareLimitRow {
  machineId: string;
  item: string;
  sealed: boolean;
  limits: CareLimits;
}

export const readCareLimits = (sql: Sql): Promise<CareLimitRow[]> =>
  sql`select machine_id, item, sealed, limits from care_limit`;

/** Keeps what the manual says of an item; nothing said: the usual holds again. */
export const putCareLimit = (sql: Sql, { machineId, item, sealed, limits }: CareLimitRow) =>
  !sealed && Object.keys(limits).length === 0
    ? sql`delete from care_limit where machine_id = ${machineId} and item = ${item}`
    : sql`
  insert into care_limit (machine_id, item, sealed, limits)
  values (${machineId}, ${item}, ${sealed}, ${asJson(sql, limits)})
  on conflict (machine_id, item) do update set sealed = excluded.sealed, limits = excluded.limits`;

/** What was done last of each item on each machine, and what has gone by since in the log: hours, bobbins, days, stitches. */
export const readCareCounts = (
  sql: Sql,
  now: Date,
): Promise<(CareCounts & { machineId: string; item: string; at: Date })[]> => sql`
  with last as (
    select distinct on (machine_id, item) machine_id, item, at from care_done
    where taken_back_at is null order by machine_id, item, at desc, id desc)
  select l.machine_id, l.item, l.at,
         extract(epoch from (${now}::timestamptz - l.at)) / 86400 as days,
         coalesce(s.hours, 0) as hours, coalesce(s.stitches, 0) as stitches, coalesce(b.bobbins, 0)::int as bobbins
  from last l
  left join lateral (
    select sum(coalesce(w.minutes, w.stitches / 900)) / 60 as hours, sum(w.stitches) as stitches
    from step_sewn w join quilt q on q.id = w.quilt_id where w.at > l.at and q.machine_id = l.machine_id) s on true
  left join lateral (
    select count(*) as bobbins from bobbin_taken t join log_entry e on e.id = t.entry_id join quilt q on q.id = t.quilt_id
    where e.happened_at > l.at and q.machine_id = l.machine_id) b on true`;

/** What is sewn on each machine on a usual day: over the last sixty days. */
export const readDailyUse = (
  sql: Sql,
  now: Date,
): Promise<{ machineId: string; hours: number; stitches: number }[]> => sql`
  select q.machine_id, sum(coalesce(w.minutes, w.stitches / 900)) / 3600 as hours, sum(w.stitches) / 60 as stitches
  from step_sewn w join quilt q on q.id = w.quilt_id
  where w.at > ${now}::timestamptz - interval '60 days' and w.at <= ${now} group by q.machine_id`;

/** Stitches in the log of a machine since a moment. */
export async function readStitchesSince(sql: Sql, machineId: string, since: Date): Promise<number> {
  const [row] = await sql<{ n: number }[]>`
    select coalesce(sum(w.stitches), 0) as n from step_sewn w join quilt q on q.id = w.quilt_id
    where q.machine_id = ${machineId} and w.at > ${since}`;
  return row!.n;
}

const DONE = [
  'id',
  'machineId',
  'item',
  'at',
  'technician',
  'found',
  'parts',
  'touched',
  'gaugeBeforeGf',
  'gaugeAfterGf',
  'counterStitches',
] as const;

/** What was done, the newest first. */
export const readCareDone = (sql: Sql, most = 60): Promise<ServiceEntry[]> => sql`
  select ${sql(DONE as unknown as string[])}, who(d.by_person) as who,
         coalesce((select array_agg(p.id order by p.taken_at) from photograph p
                   where p.care_id = d.id and p.removed_at is null), '{}') as photographs
  from care_done d where taken_back_at is null order by at desc, id desc limit ${most}`;

export const insertCare = (sql: Sql, d: CareDone) => sql`
  insert into care_done ${sql(d as unknown as Record<string, never>, ...(DONE as unknown as never[]))}`;

/** Takes back that something was done, or lets it stand again; false when it is not there. */
export async function setCareTakenBack(sql: Sql, id: string, back: boolean): Promise<boolean> {
  const rows = await sql`
    update care_done set taken_back_at = ${back ? new Date() : null} where id = ${id} and entry_id is null returning id`;
  return rows.length === 1;
}

/** What entries of a quilt's log did to its machine. */
export const readCareByLog = (sql: Sql, quiltId: string): Promise<{ id: string }[]> => sql`
  select d.id from care_done d join log_entry e on e.id = d.entry_id where e.quilt_id = ${quiltId}`;

export const careByEntry = (sql: Sql, id: string, machineId: string, item: string, at: Date) => sql`
  insert into care_done (id, machine_id, item, at, entry_id) values (${id}, ${machineId}, ${item}, ${at}, ${id})
  on conflict (id) do nothing`;
export const uncareByEntry = (sql: Sql, id: string) => sql`delete from care_done where entry_id = ${id}`;

export const readCounters = (sql: Sql): Promise<{ machineId: string; at: Date; stitches: number }[]> => sql`
  select machine_id, at, stitches from machine_counter order by at`;
/** The last reading of a machine's counter. */
export async function readLastCounter(sql: Sql, machineId: string): Promise<number | null> {
  const [row] = await sql<{ stitches: number }[]>`
    select stitches from machine_counter where machine_id = ${machineId} order by at desc limit 1`;
  return row?.stitches ?? null;
}
export const insertCounter = (sql: Sql, id: string, machineId: string, stitches: number, at: Date) => sql`
  insert into machine_counter (id, machine_id, stitches, at) values (${id}, ${machineId}, ${stitches}, ${at})`;

/** Services between two moments that touched what stitches rest on. */
export const readServicesBetween = (
  sql: Sql,
  from: Date,
  to: Date,
): Promise<{ machine: string; item: string; at: Date; touched: Touched[]; technician: string }[]> => sql`
  select m.name as machine, d.item, d.at, d.touched, d.technician
  from care_done d join machine m on m.id = d.machine_id
  where d.taken_back_at is null and d.at between ${from} and ${to} and (d.touched <> '{}' or d.technician <> '')
  order by d.at`;

/** Threads and layers of what is on a machine now: what sheds lint in it. */
export const readSheds = (
  sql: Sql,
): Promise<{ machineId: string; fibres: string[]; kinds: string[]; hair: boolean }[]> => sql`
  select q.machine_id,
         coalesce(array_agg(distinct c.fibre) filter (where c.fibre is not null), '{}') as fibres,
         coalesce(array_agg(distinct f.kind) filter (where f.kind is not null), '{}') || array_agg(distinct b.kind) as kinds,
         bool_or(exists (select from condition k where k.quilt_id = q.id and k.kind = 'pet-hair')) as hair
  from quilt q join batting b on b.id = q.batting_id
  left join zone z on z.quilt_id = q.id and z.retired_at is null
  left join zone_fabric zf on zf.zone_id = z.id left join fabric f on f.id = zf.fabric_id
  left join lateral (select top_id from setup s where s.zone_id = z.id order by s.version desc limit 1) s on true
  left join cone c on c.id = s.top_id
  where q.on_frame_since is not null and q.handed_back_on is null group by q.machine_id`;

/** Machines whose hook, case, timing or tension unit was touched after the last test that ended balanced on them. */
export const readServicedSince = async (sql: Sql): Promise<ReadonlySet<string>> =>
  new Set(
    (
      await sql<{ machineId: string }[]>`
    select distinct c.machine_id from care_done c where c.taken_back_at is null and c.touched <> '{}' and not exists (
      select from proof p join setup s on s.id = p.setup_id join zone z on z.id = s.zone_id
      join quilt q on q.id = z.quilt_id where q.machine_id = c.machine_id and p.proven_at > c.at)`
    ).map((r) => r.machineId),
  );

/** Whether something was done under this id. */
export async function hasCare(sql: Sql, id: string): Promise<boolean> {
  const rows = await sql`select 1 from care_done where id = ${id} and taken_back_at is null`;
  return rows.length === 1;
}
