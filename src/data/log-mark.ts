import type { Sql } from './sql';

/** A mark that changes with every change of a log; the same mark, the same log. */
export async function readMark(
  sql: Sql,
  log: 'step_sewn' | 'proof' | 'cone' | 'fault_evidence' | 'workroom',
): Promise<string> {
  const [row] = await sql<{ mark: string }[]>`select mark from log_mark where log = ${log}`;
  return row?.mark ?? '';
}
