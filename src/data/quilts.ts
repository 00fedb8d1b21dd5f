import { asJson, type Sql } from './sql';
import type { Step } from '@/core/fields/lists';
import type { BegunPlan } from '@/core/plan/begun';
import { AGREED, QUILT, type AgreedFields, type QuiltFields } from '@/core/fields/quilt';
import { columnsOf } from './columns';
import type { Quilt } from './types';

const selectQuilt = (sql: Sql) => sql`
  select q.id, q.name, c.name as client, q.width_in, q.length_in, q.use,
         q.batting_id, b.name as batting, b.kind as batting_kind, coalesce(p.joined_gap_in, b.max_gap_in) as batting_max_gap_in, q.backing_id, f.name as backing, f.kind as backing_kind,
         f.hex as backing_hex, q.machine_id, q.taken_in_on, q.due_on, q.step, q.passes, q.begun, q.handed_back_on,
         q.on_frame_since, q.waits_for, q.widths_in, q.lengths_in, q.wishes, q.watch, q.care, q.wash, q.turn_rule, q.turned,
         q.depths_in, q.order_by_hand, q.zones_by_hand, q.backing_cloth_in, q.prewash, q.bleed_grade, q.starts_on, q.withdrawn_on,
         q.withdrawn_why, q.deposit_minor, q.deposit_on, q.approval, q.approved_on, q.marks_off, q.delivery, q.ship_value_minor, q.tracking,
         q.client_id, q.version,
         (select coalesce(jsonb_agg(jsonb_build_object('pass', s.pass, 'thread', s.cone_id, 'stabilise', s.stabilise)), '[]')
          from step_sewn s where s.quilt_id = q.id) as sewn
  from quilt q join client c on c.id = q.client_id join batting b on b.id = q.batting_id
       join fabric f on f.id = q.backing_id left join prepared p on p.quilt_id = q.id`;

export async function readQuilt(sql: Sql, id: string): Promise<Quilt | null> {
  const [row] = await sql<Quilt[]>`${selectQuilt(sql)} where q.id = ${id}`;
  return row ?? null;
}

/** Columns of what is said at the counter, and of what is agreed. */
const SAID = columnsOf(QUILT);
const AGREED_ON = columnsOf(AGREED);

export interface NewQuilt extends QuiltFields {
  id: string;
  clientId: string;
  widthIn: number;
  lengthIn: number;
  machineId: string;
  takenInOn: string;
}

/** The client of a name, made when new. Names are compared without regard to case. */
export async function clientNamed(sql: Sql, id: string, name: string): Promise<string> {
  const [known] = await sql<
    { id: string }[]
  >`select id from client where lower(name) = lower(${name}) limit 1`;
  if (known) return known.id;
  await sql`insert into client (id, name) values (${id}, ${name})`;
  return id;
}

export const readClientNames = async (sql: Sql): Promise<string[]> =>
  (await sql<{ name: string }[]>`select name from client order by name`).map((c) => c.name);

export const insertQuilt = (sql: Sql, q: NewQuilt) => sql`
  insert into quilt ${sql({ ...q, step: 'match' }, 'id', 'clientId', 'widthIn', 'lengthIn', 'machineId', 'takenInOn', 'step', ...SAID)}`;

/** What of a quilt may be corrected: what was said and agreed, whose it is, and the size that follows from its measures. */
export type Correctable = Partial<
  QuiltFields & AgreedFields & { clientId: string; widthIn: number; lengthIn: number }
>;
const CORRECTABLE = [...SAID, ...AGREED_ON, 'clientId', 'widthIn', 'lengthIn'] as const;

/** Puts corrected values in place of those that stand; false when the quilt was changed meanwhile. */
export async function correctQuilt(
  sql: Sql,
  id: string,
  version: number,
  values: Correctable,
): Promise<boolean> {
  const columns = CORRECTABLE.filter((c) => c in values);
  const rows = await sql`
    update quilt set ${sql(values as Record<string, string>, ...columns)}, version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}

/** What was agreed with the client when it came. */
export const agreeOn = (sql: Sql, id: string, values: Partial<AgreedFields>) => sql`
  update quilt set ${sql(values as Record<string, string>, ...AGREED_ON)} where id = ${id}`;

/** What a quilt's passes were locked with, as it is put aside and put back. */
export interface LockedPlan {
  passes: number | null;
  depthsIn: number[] | null;
  turned: boolean;
  begun: BegunPlan | null;
  orderByHand: Quilt['orderByHand'];
  zonesByHand: Quilt['zonesByHand'];
}

/** Locks a quilt's passes again as they were, or unlocks them (everything null). */
export const putPlan = (sql: Sql, id: string, p: LockedPlan) => sql`
  update quilt set passes = ${p.passes}, depths_in = ${p.depthsIn}, turned = ${p.turned},
    begun = ${asJson(sql, p.begun)}, order_by_hand = ${asJson(sql, p.orderByHand)},
    zones_by_hand = ${asJson(sql, p.zonesByHand)}
  where id = ${id}`;

/** A quilt leaves the studio unfinished, or is taken in again; it keeps its record. False when changed meanwhile. */
export async function setWithdrawn(
  sql: Sql,
  id: string,
  version: number,
  on: string | null,
  why: string,
): Promise<boolean> {
  const rows = await sql`
    update quilt set withdrawn_on = ${on}, withdrawn_why = ${why}, on_frame_since = null, version = version + 1
    where id = ${id} and version = ${version} and handed_back_on is null returning id`;
  return rows.length === 1;
}

/** Quilts that were withdrawn, newest first. */
export const readWithdrawn = (
  sql: Sql,
  most: number,
): Promise<{ id: string; name: string; client: string; withdrawnOn: string; withdrawnWhy: string }[]> => sql`
  select q.id, q.name, c.name as client, q.withdrawn_on, q.withdrawn_why
  from quilt q join client c on c.id = q.client_id
  where q.withdrawn_on is not null order by q.withdrawn_on desc, q.name limit ${most}`;

/** Every quilt not yet handed back, soonest first. */
export const readRack = (sql: Sql): Promise<Quilt[]> => sql<Quilt[]>`
  ${selectQuilt(sql)} where q.handed_back_on is null and q.withdrawn_on is null order by q.due_on, q.name`;

/** Every quilt not yet handed back, soonest first, with the mark of everything that is worked out of it. */
export const readMarks = (sql: Sql): Promise<{ id: string; mark: string }[]> => sql`
  select q.id, m.mark from quilt q join quilt_mark m on m.quilt_id = q.id
  where q.handed_back_on is null and q.withdrawn_on is null order by q.due_on, q.name`;

/** The mark of one quilt that waits; nothing of one that is gone home. */
export const readMarkOf = async (sql: Sql, id: string): Promise<{ mark: string } | undefined> =>
  (
    await sql<{ mark: string }[]>`
      select m.mark from quilt q join quilt_mark m on m.quilt_id = q.id
      where q.id = ${id} and q.handed_back_on is null and q.withdrawn_on is null`
  )[0];

export const readQuilts = (sql: Sql, ids: readonly string[]): Promise<Quilt[]> => sql<Quilt[]>`
  ${selectQuilt(sql)} where q.id = any(${ids as string[]})`;

/** The newest quilts taken in and still here. */
export const readTakenInLately = (
  sql: Sql,
  most: number,
): Promise<Pick<Quilt, 'id' | 'name' | 'client' | 'widthIn' | 'lengthIn' | 'takenInOn' | 'dueOn'>[]> => sql`
  select q.id, q.name, c.name as client, q.width_in, q.length_in, q.taken_in_on, q.due_on
  from quilt q join client c on c.id = q.client_id
  where q.handed_back_on is null and q.withdrawn_on is null order by q.taken_in_on desc, q.name limit ${most}`;

/** Holds a quilt until the transaction ends, so that two at once follow each other. */
export const lockQuilt = (sql: Sql, id: string): Promise<{ machineId: string }[]> => sql`
  select machine_id from quilt where id = ${id} for update`;

/** Fixes a quilt's passes with everything they rest on; false when it was changed meanwhile. */
export async function updatePlan(
  sql: Sql,
  id: string,
  version: number,
  p: { depthsIn: readonly number[]; turned: boolean; turnRule: Quilt['turnRule']; begun: BegunPlan },
): Promise<boolean> {
  const rows = await sql`
    update quilt set passes = ${p.depthsIn.length}, depths_in = ${p.depthsIn as number[]}, turned = ${p.turned},
      turn_rule = ${p.turnRule}, order_by_hand = null, zones_by_hand = '{}', begun = ${asJson(sql, p.begun)}, version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}

/** Keeps an order laid by hand; nothing: back to the one worked out. False when changed meanwhile. */
export async function updateOrder(
  sql: Sql,
  id: string,
  version: number,
  order: Quilt['orderByHand'],
): Promise<boolean> {
  const rows = await sql`
    update quilt set order_by_hand = ${asJson(sql, order)}, version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}

/** Keeps the zones of one step as they were laid by hand; none: back to what is worked out. False when changed meanwhile. */
export async function updateZonesByHand(
  sql: Sql,
  id: string,
  version: number,
  step: string,
  zones: readonly string[],
): Promise<boolean> {
  const rows = await sql`
    update quilt set zones_by_hand = ${zones.length > 0 ? sql`zones_by_hand || ${sql.json({ [step]: zones as string[] })}` : sql`zones_by_hand - ${step}::text`},
      version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}

/**
 * Where a quilt stands after its log has changed: with the last step it leaves the frame, and when that is taken back it
 * is on it again, unless another is on it by now; with nothing sewn any more it stands where it did before.
 */
export const markSewn = (sql: Sql, id: string, sewn: 'all' | 'some' | 'none') =>
  sewn === 'all'
    ? sql`
        update quilt set step = 'hand-back', on_frame_since = null, version = version + 1,
          moved_by_log = moved_by_log
            || case when on_frame_since is null then '{}' else jsonb_build_object('since', on_frame_since) end
            || case when step in ('quilt', 'hand-back') then '{}' else jsonb_build_object('step', step) end
        where id = ${id}`
    : sql`
        update quilt q set version = version + 1,
          step = case when ${sewn === 'none'} then coalesce(moved_by_log ->> 'step', 'quilt') else 'quilt' end,
          moved_by_log = case when ${sewn === 'none'} then '{}' else (moved_by_log - 'since')
            || case when step in ('quilt', 'hand-back') then '{}' else jsonb_build_object('step', step) end end,
          on_frame_since = coalesce(on_frame_since, case when not exists (
            select from quilt o where o.machine_id = q.machine_id and o.on_frame_since is not null and o.id <> q.id)
            then (moved_by_log ->> 'since')::date end)
        where id = ${id}`;

/** The other quilt that is on the frame of this one's machine; null when it is free. */
export async function readFramed(sql: Sql, id: string): Promise<{ id: string; name: string } | null> {
  const [row] = await sql<{ id: string; name: string }[]>`
    select o.id, o.name from quilt q join quilt o on o.machine_id = q.machine_id and o.on_frame_since is not null
    where q.id = ${id} and o.id <> q.id`;
  return row ?? null;
}

/** Puts a quilt on the frame of its machine, or takes it off; false when there is no such quilt to sew. */
export const setOnFrame = async (sql: Sql, id: string, on: boolean): Promise<boolean> =>
  (
    await sql`
  update quilt set on_frame_since = ${on ? sql`current_date` : null}, waits_for = '', version = version + 1,
    step = case when ${on} and step <> 'hand-back' then 'quilt' else step end
  where id = ${id} and handed_back_on is null and withdrawn_on is null returning id`
  ).length === 1;

/** A quilt goes home on a day, or comes back. False when it was changed meanwhile. */
export async function setHandedBack(
  sql: Sql,
  id: string,
  version: number,
  on: string | null,
): Promise<boolean> {
  const rows = await sql`
    update quilt set handed_back_on = ${on}, on_frame_since = null, step = 'hand-back', version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}

/** Moves the days a quilt may begin and is promised for; false when it was changed meanwhile. */
export async function updateDays(
  sql: Sql,
  id: string,
  version: number,
  days: { startsOn: string | null; dueOn: string | null },
): Promise<boolean> {
  const rows = await sql`
    update quilt set starts_on = ${days.startsOn}, due_on = coalesce(${days.dueOn}, due_on), version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}

/** Says which machine a quilt is sewn on; false when there is no such quilt. */
export async function updateMachineOf(sql: Sql, id: string, machineId: string): Promise<boolean> {
  const rows = await sql`
    update quilt set machine_id = ${machineId}, version = version + 1 where id = ${id} returning id`;
  return rows.length === 1;
}

/** A quilt moves on to a step when it stands at one of those before it. */
export const advanceStep = (sql: Sql, id: string, to: Step, from: readonly Step[]) => sql`
  update quilt set step = ${to} where id = ${id} and step = any(${from as Step[]})`;

/** Its map was laid anew: an order laid by hand no longer fits. */
export const touchMap = (sql: Sql, id: string) => sql`
  update quilt set version = version + 1, order_by_hand = null where id = ${id}`;
