import type { RunSummary } from '@/core/link/summary';
import type { Sql } from './sql';

export interface LinkRun {
  id: string;
  quiltId: string;
  pass: number | null;
  coneId: string | null;
  stabilise: boolean;
  machine: string;
  limitInPerS: number;
  summary: RunSummary;
  pieces: number;
  beganAt: Date;
}

export async function lockRun(sql: Sql, id: string): Promise<LinkRun | null> {
  const [row] = await sql<LinkRun[]>`select * from link_run where id = ${id} for update`;
  return row ?? null;
}

export const insertRun = (sql: Sql, r: Omit<LinkRun, 'pieces' | 'beganAt'>) => sql`
  insert into link_run (id, quilt_id, pass, cone_id, stabilise, machine, limit_in_per_s, summary)
  values (${r.id}, ${r.quiltId}, ${r.pass}, ${r.coneId}, ${r.stabilise}, ${r.machine}, ${r.limitInPerS},
          ${sql.json(r.summary as never)}) on conflict (id) do nothing`;

/** Adds a piece of path to a run, and what the run comes to with it. */
export async function addPiece(
  sql: Sql,
  id: string,
  n: number,
  summary: RunSummary,
  points: readonly (readonly [number, number])[],
): Promise<void> {
  await sql`
    update link_run set summary = ${sql.json(summary as never)}, pieces = ${n + 1}, updated_at = now() where id = ${id}`;
  if (points.length > 1)
    await sql`insert into link_piece (run_id, n, points) values (${id}, ${n}, ${sql.json(points as never)})`;
}

/** The runs of a quilt, oldest first. */
export const readRuns = (sql: Sql, quiltId: string): Promise<LinkRun[]> => sql<LinkRun[]>`
  select * from link_run where quilt_id = ${quiltId} order by began_at`;

/** The path of a run, piece by piece. */
export async function readPath(sql: Sql, runId: string): Promise<[number, number][][]> {
  const rows = await sql<{ points: [number, number][] }[]>`
    select points from link_piece where run_id = ${runId} order by n`;
  return rows.map((r) => r.points);
}
