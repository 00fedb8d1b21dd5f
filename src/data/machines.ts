import { MACHINE, type MachineFields } from '@/core/fields/machine';
import { columnsOf } from './columns';
import { asJson, type Sql } from './sql';
import type { CalibrationKind } from '@/core/fields/lists';
import type { MeasuredScale } from '@/core/machine/scales';
import type { Machine, StoredCalibration } from './types';

export const MACHINE_FIELDS = columnsOf(MACHINE);

const selectMachine = (sql: Sql) =>
  sql`select ${sql([...MACHINE_FIELDS, 'id', 'version'] as string[])} from machine`;

export async function readMachine(sql: Sql, id: string): Promise<Machine> {
  const [row] = await sql<Machine[]>`${selectMachine(sql)} where id = ${id}`;
  return row!;
}

export const readMachines = (sql: Sql): Promise<Machine[]> => sql<Machine[]>`
  ${selectMachine(sql)} where archived_at is null order by name`;

export const insertMachine = (sql: Sql, id: string, fields: MachineFields) => sql`
  insert into machine ${sql({ ...fields, id }, 'id', ...MACHINE_FIELDS)}`;

export async function updateMachine(
  sql: Sql,
  id: string,
  fields: MachineFields,
  version: number,
): Promise<boolean> {
  const rows = await sql`
    update machine set ${sql(fields, ...MACHINE_FIELDS)}, version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}

export const readCalibrations = (sql: Sql): Promise<StoredCalibration[]> => sql<StoredCalibration[]>`
  select id, machine_id, kind, points, at, version from calibration order by machine_id, kind`;

/** What was measured on one machine. */
export const readScales = (sql: Sql, machineId: string): Promise<MeasuredScale[]> => sql<MeasuredScale[]>`
  select kind, points from calibration where machine_id = ${machineId} order by kind`;

/** Stores a machine's calibration of a kind, in place of the one before it. */
export const upsertCalibration = (
  sql: Sql,
  id: string,
  machineId: string,
  kind: CalibrationKind,
  points: StoredCalibration['points'],
) => sql`
  insert into calibration (id, machine_id, kind, points) values (${id}, ${machineId}, ${kind}, ${asJson(sql, points)})
  on conflict (machine_id, kind) do update set points = excluded.points, at = now(), version = calibration.version + 1`;
