import type { Sql } from './sql';
import type { PassLog } from './types';

export const insertPassLog = (
  sql: Sql,
  p: { id: string; quiltId: string; pass: number; minutes: number; predictedMin: number },
) => sql`
  insert into pass_log (id, quilt_id, pass, minutes, predicted_min)
  values (${p.id}, ${p.quiltId}, ${p.pass}, ${p.minutes}, ${p.predictedMin})`;

/** Every pass logged, newest first; the last two hundred say enough of a hand's speed. */
export const readAllPassLogs = (sql: Sql): Promise<PassLog[]> => sql<PassLog[]>`
  select pass, minutes, predicted_min, at from pass_log order by at desc limit 200`;
