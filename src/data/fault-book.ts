import type { BookSort, RatedBy } from '@/core/fields/lists';
import type { Tally } from '@/core/faults/rates';
import type { FaultState, FaultWay } from '@/core/fields/lists';
import type { Sql } from './sql';

/** By what faults are counted against stitches. */

/** What the book is narrowed to. */
export interface BookFilter {
  words: string;
  sign: string | null;
  state: FaultState | null;
  by: RatedBy;
  /** One bar of what it is counted by: its faults only. */
  of: string | null;
  sort: BookSort;
}

export interface BookRow {
  id: string;
  quiltId: string;
  quilt: string;
  client: string;
  n: number;
  zone: string | null;
  thread: string | null;
  noticedAt: Date;
  status: FaultState;
  symptoms: string[];
  note: string;
  cause: string | null;
  ownCause: string | null;
  remedy: string | null;
  minutesLost: number | null;
}

/** The column of a fault that what it is counted by stands in. */
const ofBar = (sql: Sql, { by, of }: BookFilter) =>
  of === null
    ? sql`true`
    : {
        thread: sql`f.top_id::text = ${of}`,
        line: sql`t.line = ${of}`,
        needle: sql`f.needle_nm::text = ${of}`,
        fabric: sql`f.fabric_kind = ${of}`,
        batting: sql`f.batting_kind = ${of}`,
        technique: sql`f.technique = ${of}`,
        machine: sql`f.machine_id::text = ${of}`,
      }[by];

const narrowed = (sql: Sql, filter: BookFilter) => {
  const like = `%${filter.words.trim().replace(/[\\%_]/g, '\\$&')}%`;
  return sql`
    ${ofBar(sql, filter)}
    and ${filter.state ? sql`f.status = ${filter.state}` : sql`true`}
    and ${filter.sign ? sql`exists (select from fault_symptom s where s.fault_id = f.id and s.symptom = ${filter.sign})` : sql`true`}
    and ${
      filter.words.trim() === ''
        ? sql`true`
        : sql`(q.name ilike ${like} or c.name ilike ${like} or f.note ilike ${like} or t.line || ' ' || t.colour ilike ${like})`
    }`;
};

/** The newest faults of all quilts, narrowed; one more than asked for when there are more. */
export const readBook = (sql: Sql, filter: BookFilter, most: number): Promise<BookRow[]> => sql<BookRow[]>`
  select f.id, f.quilt_id, q.name as quilt, c.name as client, f.n, z.letter || ' ' || z.name as zone,
         t.line || ' ' || t.colour as thread, f.noticed_at, f.status, f.note,
         array(select symptom from fault_symptom s where s.fault_id = f.id order by symptom) as symptoms,
         e.cause, e.own_cause, e.remedy, e.minutes_lost
  from fault f join quilt q on q.id = f.quilt_id join client c on c.id = q.client_id
  left join zone z on z.id = f.zone_id left join cone t on t.id = f.top_id
  ${filter.sort === 'dearest' ? sql`join fault_evidence e on e.fault_id = f.id and e.minutes_lost is not null` : sql`left join fault_evidence e on e.fault_id = f.id`}
  where ${narrowed(sql, filter)}
  order by ${
    {
      newest: sql`f.noticed_at desc`,
      oldest: sql`f.noticed_at`,
      dearest: sql`e.minutes_lost desc, f.noticed_at desc`,
    }[filter.sort]
  }, f.id limit ${most + 1}`;

/** Faults and stitches by one thing, from the tally that is kept as both are noted. */
export function readTallies(sql: Sql, by: RatedBy): Promise<(Tally & { label: string })[]> {
  const named = {
    thread: sql`s.top_id::text as id, max(t.line || ' ' || t.colour) as label`,
    line: sql`t.line as id, t.line as label`,
    needle: sql`s.needle_nm::text as id, 'Nm ' || s.needle_nm as label`,
    fabric: sql`s.fabric_kind as id, s.fabric_kind as label`,
    batting: sql`s.batting_kind as id, s.batting_kind as label`,
    technique: sql`s.technique as id, s.technique as label`,
    machine: sql`s.machine_id::text as id, max(m.name) as label`,
  }[by];
  return sql<(Tally & { label: string })[]>`
    select ${named}, sum(s.faults)::int as faults, sum(s.stitches) as stitches
    from sewn_tally s join cone t on t.id = s.top_id join machine m on m.id = s.machine_id
    group by ${{ thread: sql`s.top_id`, line: sql`t.line`, needle: sql`s.needle_nm`, fabric: sql`s.fabric_kind`, batting: sql`s.batting_kind`, technique: sql`s.technique`, machine: sql`s.machine_id` }[by]}
    having sum(s.stitches) > 0`;
}

/** Minutes that closed faults took, and how many were closed. */
export async function readTimeLost(sql: Sql): Promise<{ minutes: number; closed: number }> {
  const [row] = await sql<{ minutes: number; closed: number }[]>`
    select coalesce(sum(minutes_lost), 0) as minutes, count(*)::int as closed
    from fault_evidence where closed_at is not null`;
  return row!;
}

/** The same bar in the tally of what was sewn (s), or in what was sewn stretch by stretch. */
const ofSewn = (sql: Sql, { by, of }: BookFilter) =>
  of === null
    ? sql`true`
    : {
        thread: sql`s.top_id::text = ${of}`,
        line: sql`s.top_id in (select id from cone where line = ${of})`,
        needle: sql`s.needle_nm::text = ${of}`,
        fabric: sql`s.fabric_kind = ${of}`,
        batting: sql`s.batting_kind = ${of}`,
        technique: sql`s.technique = ${of}`,
        machine: sql`s.machine_id::text = ${of}`,
      }[by];

export interface BookMonth {
  month: string;
  stitches: number;
  faults: number;
}

/** Faults and stitches by month, oldest first; of one bar when one is picked. */
export const readMonths = (sql: Sql, filter: BookFilter, most = 36): Promise<BookMonth[]> => sql<BookMonth[]>`
  select * from (
    select to_char(s.month, 'YYYY-MM') as month, sum(s.stitches) as stitches, sum(s.faults)::int as faults
    from sewn_tally s where ${ofSewn(sql, filter)} group by s.month having sum(s.stitches) > 0
    order by s.month desc limit ${most}) newest order by month`;

/** What was sewn lately, zone by zone and pass by pass, oldest first, with the faults noted there. */
export const readStretches = (sql: Sql, filter: BookFilter, most = 300): Promise<BookStretch[]> => sql<
  BookStretch[]
>`
  select * from (
    select s.at, s.stitches, t.line || ' ' || t.colour as thread, s.needle_nm::text as needle, s.technique, s.fabric_kind as fabric,
           s.batting_kind as batting, m.name as machine,
           (select count(*)::int from fault f where f.zone_id = s.zone_id and f.pass = s.pass and f.status <> 'harmless') as faults
    from stitches_sewn s join cone t on t.id = s.top_id join machine m on m.id = s.machine_id
    where ${ofSewn(sql, filter)} order by s.at desc limit ${most}) newest order by at`;

export interface BookStretch {
  at: Date;
  stitches: number;
  faults: number;
  thread: string;
  needle: string;
  technique: string;
  fabric: string;
  batting: string;
  machine: string;
}

/** Needles put in between two times, oldest first. */
export const readFittedBetween = (
  sql: Sql,
  from: Date,
  to: Date,
): Promise<{ nm: number; fittedAt: Date }[]> => sql`
  select nm, fitted_at from needle_fitted where fitted_at between ${from} and ${to} order by fitted_at limit 5`;

/** Faults by the way the hand went, or the place along the line. */
export const readWays = (sql: Sql): Promise<{ direction: FaultWay; faults: number }[]> => sql`
  select direction, count(*)::int as faults from fault
  where direction is not null and status <> 'harmless' group by direction`;

/** What was done about what, how often it was tried and helped, and the minutes it took. */
export const readCures = (
  sql: Sql,
  most = 12,
): Promise<
  {
    cause: string | null;
    ownCause: string;
    remedy: string;
    tried: number;
    helped: number;
    minutes: number | null;
  }[]
> => sql`
  select cause, own_cause, remedy, count(*)::int as tried, count(*) filter (where helped)::int as helped,
         percentile_cont(0.5) within group (order by minutes_lost) as minutes
  from fault_evidence where closed_at is not null and remedy <> ''
  group by cause, own_cause, remedy order by helped desc, tried desc, remedy limit ${most}`;
