import type postgres from 'postgres';
import type { Sql } from './sql';

/** What was noted of the air at a machine. */
export interface AirNote {
  id: string;
  at: Date;
  humidityPct: number | null;
  staticFelt: boolean;
}

/** What is noted of the air holds so long, hours. */
const HOLDS_H = 12;

/** The air as it was noted last at a machine, of late; null where nobody did. */
export async function readAirLately(sql: Sql, machineId: string, now: Date): Promise<AirNote | null> {
  const [row] = await sql<AirNote[]>`
    select id, at, humidity_pct, static_felt from air_note
    where machine_id = ${machineId} and at between
      ${now}::timestamptz - make_interval(hours => ${HOLDS_H}) and ${now}::timestamptz
    order by at desc limit 1`;
  return row ?? null;
}

/** The air as it was noted within half a day before a moment, to be joined: what a test sewn then was sewn in. */
export const airBefore = (sql: Sql, machineId: postgres.Fragment, at: postgres.Fragment) => sql`
  select humidity_pct from air_note n
  where n.machine_id = ${machineId} and n.humidity_pct is not null
    and n.at between ${at} - make_interval(hours => ${HOLDS_H}) and ${at} + interval '1 hour'
  order by n.at desc limit 1`;

/** The air at every machine where it was noted of late, per cent. */
export const readAirNow = async (sql: Sql): Promise<Map<string, number>> =>
  new Map(
    (
      await sql<{ machineId: string; pct: number }[]>`
    select distinct on (machine_id) machine_id, humidity_pct as pct from air_note
    where humidity_pct is not null and at between now() - make_interval(hours => ${HOLDS_H}) and now()
    order by machine_id, at desc`
    ).map((r) => [r.machineId, r.pct]),
  );

/** What entries of a quilt's log noted of the air. */
export const readAirByLog = (sql: Sql, quiltId: string): Promise<{ id: string }[]> => sql`
  select a.id from air_note a join log_entry e on e.id = a.id where e.quilt_id = ${quiltId}`;

export const airByEntry = (sql: Sql, machineId: string, n: AirNote) => sql`
  insert into air_note (id, machine_id, at, humidity_pct, static_felt)
  values (${n.id}, ${machineId}, ${n.at}, ${n.humidityPct}, ${n.staticFelt}) on conflict (id) do nothing`;
export const unairByEntry = (sql: Sql, id: string) => sql`delete from air_note where id = ${id}`;

/** The air at a machine now, and as it was noted within half a day of the test of each zone of a quilt. */
export async function readAirAt(
  sql: Sql,
  quiltId: string,
  machineId: string,
  now: Date,
): Promise<{ nowPct: number | null; testedPct: Record<string, number> }> {
  const [lately, rows] = await Promise.all([
    readAirLately(sql, machineId, now),
    sql<{ zoneId: string; pct: number }[]>`
      select distinct on (s.zone_id) s.zone_id, a.humidity_pct as pct
      from setup s join zone z on z.id = s.zone_id join proof p on p.setup_id = s.id
      join lateral (${airBefore(sql, sql`${machineId}::uuid`, sql`p.proven_at`)}) a on true
      where z.quilt_id = ${quiltId} order by s.zone_id, s.version desc`,
  ]);
  return {
    nowPct: lately?.humidityPct ?? null,
    testedPct: Object.fromEntries(rows.map((r) => [r.zoneId, r.pct])),
  };
}
