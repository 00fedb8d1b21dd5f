import type { CameTo, SewnStep } from '@/core/hand-back/came-to';
import { CAME_OUT, type CameOut, type Waived, WAIVED } from '@/core/fields/hand-back';
import { columnsOf } from './columns';
import { asJson, type Sql } from './sql';

/** What was done of handing a quilt back, and how it came out. */
export interface HandBackOf extends Pick<CameOut, 'word'>, Waived {
  offFrameAt: Date | null;
  trimmedAt: Date | null;
  topSeenAt: Date | null;
  backSeenAt: Date | null;
  washedAt: Date | null;
  widthsIn: CameOut['widthsIn'] | null;
  lengthsIn: CameOut['lengthsIn'] | null;
  cameTo: CameTo | null;
  version: number;
}

/** What is ticked, what is said, and what it came to. */
const FIELDS: (keyof Omit<HandBackOf, 'version'>)[] = [
  'offFrameAt',
  'trimmedAt',
  'topSeenAt',
  'backSeenAt',
  'washedAt',
  'cameTo',
  ...columnsOf(CAME_OUT),
  ...columnsOf(WAIVED),
];

const NOTHING: HandBackOf = {
  offFrameAt: null,
  trimmedAt: null,
  topSeenAt: null,
  backSeenAt: null,
  washedAt: null,
  widthsIn: null,
  lengthsIn: null,
  word: '',
  waivedBy: '',
  waivedWhy: '',
  cameTo: null,
  version: 0,
};

export async function readHandBack(sql: Sql, quiltId: string): Promise<HandBackOf> {
  const [row] = await sql<HandBackOf[]>`
    select ${sql(FIELDS)}, version
    from hand_back where quilt_id = ${quiltId}`;
  return row ?? NOTHING;
}

/** Keeps what was done when it is still as it was seen; false when someone else was first. */
export async function writeHandBack(
  sql: Sql,
  quiltId: string,
  seenVersion: number,
  h: Omit<HandBackOf, 'version'>,
): Promise<boolean> {
  const row = { ...h, quiltId, cameTo: asJson(sql, h.cameTo) };
  // A page that saw something done does not do it anew after somebody took all of it back.
  if (seenVersion !== 0 && (await sql`select from hand_back where quilt_id = ${quiltId}`).length === 0)
    return false;
  const rows = await sql`
    insert into hand_back ${sql(row, 'quiltId', ...FIELDS)}
    on conflict (quilt_id) do update set ${sql(row, ...FIELDS)}, version = hand_back.version + 1
    where hand_back.version = ${seenVersion} returning version`;
  return rows.length === 1;
}

/** Sewn steps of a quilt with what was predicted of each, and the metres they took off the cones. */
export async function readSewnOf(
  sql: Sql,
  quiltId: string,
): Promise<{ steps: SewnStep[]; usedM: number; minutesLost: number }> {
  const [steps, [taken], [lost]] = await Promise.all([
    sql<SewnStep[]>`select minutes, parts, stitches from step_sewn where quilt_id = ${quiltId}`,
    sql<{ m: number }[]>`
      select coalesce(-sum(u.metres), 0) as m from cone_use u join step_sewn s on s.id = u.entry_id where s.quilt_id = ${quiltId}`,
    sql<{ m: number }[]>`
      select coalesce(sum(e.minutes_lost), 0) as m from fault_evidence e join fault f on f.id = e.fault_id
      where f.quilt_id = ${quiltId}`,
  ]);
  return { steps, usedM: taken!.m, minutesLost: lost!.m };
}

/** What the studio record is narrowed to. */
export interface RecordFilter {
  words: string;
  cloth: string | null;
  thread: string | null;
  technique: string | null;
}

export interface RecordRow {
  id: string;
  name: string;
  client: string;
  widthIn: number;
  lengthIn: number;
  handedBackOn: string;
  dueOn: string;
  word: string;
  cameTo: CameTo | null;
  threads: string[];
  techniques: string[];
  cloths: string[];
  faults: number;
}

/** Quilts handed back, the newest first; one more than asked for when there are more. */
export function readRecord(
  sql: Sql,
  { words, cloth, thread, technique }: RecordFilter,
  most: number,
): Promise<RecordRow[]> {
  const like = `%${words.trim().replace(/[\\%_]/g, '\\$&')}%`;
  return sql<RecordRow[]>`
    select q.id, q.name, c.name as client, q.width_in, q.length_in, q.handed_back_on, q.due_on, coalesce(h.word, '') as word, h.came_to,
           array(select distinct t.line || ' ' || t.colour from zone z join setup s on s.zone_id = z.id join cone t on t.id = s.top_id
                 where z.quilt_id = q.id and z.retired_at is null and s.version = (select max(version) from setup x where x.zone_id = z.id)) as threads,
           array(select distinct z.technique from zone z where z.quilt_id = q.id and z.retired_at is null) as techniques,
           array(select distinct f.kind from zone z join zone_fabric zf on zf.zone_id = z.id join fabric f on f.id = zf.fabric_id
                 where z.quilt_id = q.id and z.retired_at is null) as cloths,
           (select count(*)::int from fault f where f.quilt_id = q.id and f.status <> 'harmless') as faults
    from (
      select q.* from quilt q join client c on c.id = q.client_id
      where q.handed_back_on is not null
        and ${words.trim() === '' ? sql`true` : sql`(q.name ilike ${like} or c.name ilike ${like})`}
        and ${technique ? sql`exists (select from zone z where z.quilt_id = q.id and z.technique = ${technique})` : sql`true`}
        and ${cloth ? sql`exists (select from zone z join zone_fabric zf on zf.zone_id = z.id join fabric f on f.id = zf.fabric_id where z.quilt_id = q.id and f.kind = ${cloth})` : sql`true`}
        and ${thread ? sql`exists (select from zone z join setup s on s.zone_id = z.id join cone t on t.id = s.top_id where z.quilt_id = q.id and t.line = ${thread})` : sql`true`}
      order by q.handed_back_on desc, q.name limit ${most + 1}) q
    join client c on c.id = q.client_id left join hand_back h on h.quilt_id = q.id
    order by q.handed_back_on desc, q.name`;
}

/** How many quilts went home, and what they came to together. */
export async function readRecordSum(
  sql: Sql,
): Promise<{ quilts: number; late: number; minutes: number; predictedMin: number }> {
  const [row] = await sql<{ quilts: number; late: number; minutes: number; predictedMin: number }[]>`
    select count(*)::int as quilts, count(*) filter (where q.handed_back_on > q.due_on)::int as late,
           coalesce(sum((h.came_to->>'minutes')::float8), 0) as minutes,
           coalesce(sum((h.came_to->>'predictedMin')::float8), 0) as predicted_min
    from quilt q left join hand_back h on h.quilt_id = q.id where q.handed_back_on is not null`;
  return row!;
}

/** Thread lines that stand on a card of a quilt handed back. */
export const readRecordLines = async (sql: Sql): Promise<string[]> =>
  (
    await sql<
      { line: string }[]
    >`select distinct line from cone where exists (select from setup s where s.top_id = cone.id) order by line`
  ).map((r) => r.line);
