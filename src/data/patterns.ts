import type { Pattern as Measured } from '@/core/pattern/pattern';
import type { PatternLayout, PatternUnit } from '@/core/pattern/lay';
import { PATTERN, type PatternFields } from '@/core/fields/pattern';
import { columnsOf } from './columns';
import { asJson, type Sql } from './sql';

/** What was measured of one repeat at its usual width. */
export type PatternMeasured = Pick<
  Measured,
  'lengthIn' | 'heightIn' | 'starts' | 'minRadiusIn' | 'points' | 'sewnTwicePct' | 'largestGapIn'
>;

/** A pattern as the studio keeps it. */
export interface StudioPattern extends PatternFields {
  id: string;
  unit: PatternUnit;
  measured: PatternMeasured;
  version: number;
}

/** The pattern of a zone as it is laid there, with what that came to. */
export interface ZonePattern extends PatternLayout {
  patternId: string;
  starts: number;
  rows: number;
  columns: number;
}

export const PATTERN_FIELDS = columnsOf(PATTERN);
const COLUMNS = [...PATTERN_FIELDS, 'id', 'unit', 'measured', 'version'] as string[];

export const readPatterns = (sql: Sql): Promise<StudioPattern[]> => sql<StudioPattern[]>`
  select ${sql(COLUMNS)} from pattern where archived_at is null order by name`;

/** One pattern, put away or not. */
export const readPattern = async (sql: Sql, id: string): Promise<StudioPattern | null> =>
  (await sql<StudioPattern[]>`select ${sql(COLUMNS)} from pattern where id = ${id}`)[0] ?? null;

export const insertPattern = (
  sql: Sql,
  p: PatternFields & { id: string; unit: PatternUnit; measured: PatternMeasured },
) => sql`
  insert into pattern (id, name, words, width_in, unit, measured)
  values (${p.id}, ${p.name}, ${p.words}, ${p.widthIn}, ${asJson(sql, p.unit)}, ${asJson(sql, p.measured)})`;

/** Changes what a pattern is called and how wide it is sewn; what was measured goes with its width. */
export async function updatePattern(
  sql: Sql,
  id: string,
  p: PatternFields & { measured: PatternMeasured },
  version: number,
): Promise<boolean> {
  const rows = await sql`
    update pattern set name = ${p.name}, words = ${p.words}, width_in = ${p.widthIn},
      measured = ${asJson(sql, p.measured)}, version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}
