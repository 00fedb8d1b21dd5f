import { gunzipSync, gzipSync } from 'node:zlib';
import type { RunSummary } from '@/core/link/summary';
import { asJson, type Sql } from './sql';

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
          ${asJson(sql, r.summary)}) on conflict (id) do nothing`;

/** Adds a piece of path to a run, and what the run comes to with it. */
export async function addPiece(
  sql: Sql,
  id: string,
  n: number,
  summary: RunSummary,
  points: readonly (readonly [number, number])[],
): Promise<void> {
  await sql`
    update link_run set summary = ${asJson(sql, summary)}, pieces = ${n + 1}, updated_at = now() where id = ${id}`;
  if (points.length > 1)
    await sql`insert into link_piece (run_id, n, points) values (${id}, ${n}, ${asJson(sql, points)})`;
}

/** Keeps the raw readings of a piece of a run, as lines. */
export const addRaw = (sql: Sql, runId: string, n: number, lines: readonly string[]) => sql`
  insert into link_raw (run_id, n, lines, gz)
  values (${runId}, ${n}, ${lines.length}, ${gzipSync(lines.map((l) => `${l}\n`).join(''))})`;

/** The raw readings of a run, piece by piece, as text. */
export async function* readRaw(sql: Sql, runId: string): AsyncGenerator<string> {
  for await (const rows of sql<
    { gz: Buffer }[]
  >`select gz from link_raw where run_id = ${runId} order by n`.cursor(8))
    for (const { gz } of rows) yield gunzipSync(gz).toString();
}

export async function readRun(sql: Sql, id: string): Promise<(LinkRun & { raw: number }) | null> {
  const [row] = await sql<(LinkRun & { raw: number })[]>`
    select r.*, (select coalesce(sum(lines), 0)::int from link_raw w where w.run_id = r.id) as raw
    from link_run r where id = ${id}`;
  return row ?? null;
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
