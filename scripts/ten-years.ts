// A studio of ten years, made from the demo: its quilts copied, sewn, handed back, with all that hangs on them.
import type postgres from 'postgres';

/** What hangs on a quilt, parents first. */
const COPIED = [
  'quilt',
  'zone',
  'zone_fabric',
  'zone_feature',
  'setup',
  'test_round',
  'proof',
  'step_sewn',
  'stitches_sewn',
  'fault',
  'fault_symptom',
  'fault_evidence',
  'hand_back',
];

/** When things happened: spread over the years with their quilts. */
const WHEN = new Set(['step_sewn.at', 'stitches_sewn.at', 'fault.noticed_at', 'fault_evidence.closed_at']);

/**
 * Copies every quilt so many times; the copies are long sewn and handed back, or wait to be sewn.
 * @param copies of each quilt
 */
export async function tenYears(
  sql: postgres.Sql,
  copies: number,
  first = 1,
  as: 'handed-back' | 'waiting' = 'handed-back',
): Promise<void> {
  const waits = as === 'waiting';
  const own = await sql<{ table: string; column: string }[]>`
    select a.attrelid::regclass::text as table, a.attname as column
    from pg_attribute a
    where a.attnum > 0 and not a.attisdropped and a.attrelid::regclass::text in ${sql(COPIED)}
      and a.attgenerated = '' and a.attidentity = ''
      and not exists (select from pg_attrdef d where d.adrelid = a.attrelid and d.adnum = a.attnum
                      and pg_get_expr(d.adbin, d.adrelid) like 'nextval%')
    order by a.attrelid, a.attnum`;
  const anew = await sql<{ table: string; column: string }[]>`
    select c.conrelid::regclass::text as table, a.attname as column
    from pg_constraint c, unnest(c.conkey, c.confkey) k (own, theirs)
    join pg_attribute a on true
    where a.attrelid = c.conrelid and a.attnum = k.own and c.contype = 'f'
      and c.confrelid::regclass::text in ${sql(COPIED)} and c.conrelid::regclass::text in ${sql(COPIED)}`;
  const fresh = new Set(anew.map((x) => `${x.table}.${x.column}`));
  await sql.begin(async (tx) => {
    await tx`create temp table originals on commit drop as select id from quilt where handed_back_on is null or handed_back_on < '1900-01-01'`;
    for (const table of COPIED) {
      const columns = own.filter((c) => c.table === table).map((c) => c.column);
      const value = (c: string) =>
        c === 'id' || fresh.has(`${table}.${c}`)
          ? `case when t.${c} is null then null else md5(t.${c}::text || g)::uuid end`
          : table === 'quilt' && c === 'name'
            ? `t.name || ' ' || g`
            : table === 'quilt' && c === 'handed_back_on'
              ? waits
                ? 'null'
                : `current_date - (g % 3600) - 1`
              : table === 'quilt' && c === 'step'
                ? waits
                  ? 't.step'
                  : `'hand-back'`
                : table === 'quilt' && c === 'on_frame_since'
                  ? 'null'
                  : WHEN.has(`${table}.${c}`)
                    ? `t.${c} - make_interval(days => g % 3600)`
                    : `t.${c}`;
      const of =
        table === 'quilt'
          ? 't.id in (select id from originals)'
          : columns.includes('quilt_id')
            ? 't.quilt_id in (select id from originals)'
            : columns.includes('zone_id')
              ? 't.zone_id in (select z.id from zone z join originals o on o.id = z.quilt_id)'
              : columns.includes('setup_id')
                ? 't.setup_id in (select s.id from setup s join zone z on z.id = s.zone_id join originals o on o.id = z.quilt_id)'
                : 't.fault_id in (select f.id from fault f join originals o on o.id = f.quilt_id)';
      await tx.unsafe(
        `insert into ${table} (${columns.map((c) => `"${c}"`).join(', ')})
         select ${columns.map(value).join(', ')} from ${table} t, generate_series(${first}, ${first + copies - 1}) g where ${of}`,
      );
    }
    await tx`
      insert into hand_back (quilt_id, came_to)
      select id, '{"predictedMin":480,"minutes":510,"timedSteps":12,"steps":12,"plannedM":640,"usedM":655,"stitches":70000,"faults":3,"minutesLost":9}'::jsonb
      from quilt where handed_back_on is not null on conflict (quilt_id) do nothing`;
  });
  await sql`analyze`;
}

/** Notes every fault of quilts handed back so many times more. */
export async function manyFaults(sql: postgres.Sql, times: number): Promise<void> {
  const columns = (
    await sql<{ name: string }[]>`
      select column_name as name from information_schema.columns where table_name = 'fault' and column_name not in ('id', 'n')
      order by ordinal_position`
  ).map((c) => `"${c.name}"`);
  const anew = `md5(f.id::text || k)::uuid`;
  await sql.begin(async (tx) => {
    await tx.unsafe(`create temp table first on commit drop as
      select f.* from fault f join quilt q on q.id = f.quilt_id where q.handed_back_on is not null`);
    await tx.unsafe(
      `insert into fault (id, n, ${columns.join(', ')}) select ${anew}, f.n + 1000 * k, ${columns.map((c) => `f.${c}`).join(', ')}
       from first f, generate_series(1, ${times}) k`,
    );
    await tx.unsafe(
      `insert into fault_symptom (fault_id, symptom) select ${anew}, s.symptom
       from first f join fault_symptom s on s.fault_id = f.id, generate_series(1, ${times}) k`,
    );
  });
  await sql`analyze`;
}
