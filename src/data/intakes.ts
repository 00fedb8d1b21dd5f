import type { PhotographMoment } from '@/core/fields/lists';
import { asJson, type Sql } from './sql';
import type { Intake } from './types';

const selectIntake = (sql: Sql) => sql`select id, step, data, quilt_id, version, updated_at from intake`;

/** Talks that have not become a quilt yet, newest first. */
export const readOpenIntakes = (sql: Sql): Promise<Intake[]> => sql<Intake[]>`
  ${selectIntake(sql)} where quilt_id is null order by updated_at desc limit 20`;

export async function readIntake(sql: Sql, id: string): Promise<Intake | null> {
  const [row] = await sql<Intake[]>`${selectIntake(sql)} where id = ${id}`;
  return row ?? null;
}

export const insertIntake = (sql: Sql, id: string, data: object = {}) =>
  sql`insert into intake (id, data) values (${id}, ${asJson(sql, data)})`;

/** Keeps what was said so far; the version it has now, or null when another window has gone on with it. */
export async function updateIntake(
  sql: Sql,
  i: { id: string; key: string; step: number; data: object; version: number },
): Promise<number | null> {
  const [kept] = await sql<{ version: number }[]>`
    update intake set step = ${i.step}, data = ${asJson(sql, i.data)}, version = version + 1, updated_at = now(),
      last_key = ${i.key}
    where id = ${i.id} and version = ${i.version} and quilt_id is null returning version`;
  if (kept) return kept.version;
  // Its answer was lost: it is kept already.
  const [before] = await sql<{ version: number }[]>`
    select version from intake where id = ${i.id} and last_key = ${i.key} and quilt_id is null`;
  return before?.version ?? null;
}

/** The talk has become a quilt; its photographs go with it. */
export async function closeIntake(sql: Sql, id: string, quiltId: string): Promise<boolean> {
  const rows = await sql`
    update intake set quilt_id = ${quiltId}, version = version + 1 where id = ${id} and quilt_id is null returning id`;
  await sql`update photograph set quilt_id = ${quiltId} where intake_id = ${id}`;
  return rows.length === 1;
}

export interface Photograph {
  id: string;
  moment: PhotographMoment;
  takenAt: Date;
}

export const readPhotographs = (
  sql: Sql,
  of: { intakeId: string } | { quiltId: string },
): Promise<Photograph[]> =>
  'intakeId' in of
    ? sql<
        Photograph[]
      >`select id, moment, taken_at from photograph where intake_id = ${of.intakeId} and removed_at is null order by taken_at`
    : sql<
        Photograph[]
      >`select id, moment, taken_at from photograph where quilt_id = ${of.quiltId} and removed_at is null order by taken_at`;

export async function readPhotographBytes(
  sql: Sql,
  id: string,
): Promise<{ mime: string; bytes: Buffer } | null> {
  const [row] = await sql<
    { mime: string; bytes: Buffer }[]
  >`select mime, bytes from photograph where id = ${id}`;
  return row ?? null;
}

export const insertPhotograph = (
  sql: Sql,
  id: string,
  of: PhotographOf,
  mime: string,
  bytes: Uint8Array,
  moment: PhotographMoment = 'take-in',
) => sql`
  insert into photograph (id, intake_id, quilt_id, care_id, mime, bytes, moment)
  values (${id}, ${'intakeId' in of ? of.intakeId : null}, ${'quiltId' in of ? of.quiltId : null},
          ${'careId' in of ? of.careId : null}, ${mime}, ${Buffer.from(bytes)}, ${moment})`;

/** Takes a photograph out of its intake or quilt, or puts it back; false when there is none. */
export async function setPhotographRemoved(sql: Sql, id: string, removed: boolean): Promise<boolean> {
  const rows = await sql`
    update photograph set removed_at = ${removed ? new Date() : null} where id = ${id} returning id`;
  return rows.length === 1;
}

/** Those taken out a week ago go. */
export const prunePhotographs = (sql: Sql) =>
  sql`delete from photograph p where removed_at < now() - interval '7 days'
    and not exists (select from condition c where c.photograph_id = p.id)
    and not exists (select from fault f where f.photograph_id = p.id)
    and not exists (select from test_round r where r.photograph_id = p.id)
    and not exists (select from colour_trial t where t.photograph_id = p.id)`;

/** A talk, or a quilt. */
export type PhotographOf = { intakeId: string } | { quiltId: string } | { careId: string };

/** How many photographs a talk or quilt has, and how many bytes all of them take. */
export async function countPhotographs(sql: Sql, of: PhotographOf): Promise<{ own: number; bytes: number }> {
  const mine =
    'intakeId' in of
      ? sql`intake_id = ${of.intakeId}`
      : 'careId' in of
        ? sql`care_id = ${of.careId}`
        : sql`quilt_id = ${of.quiltId}`;
  const [row] = await sql<{ own: number; bytes: number }[]>`
    select count(*) filter (where ${mine} and removed_at is null)::int as own,
           coalesce(sum(octet_length(bytes)), 0)::float8 as bytes from photograph`;
  return row!;
}
