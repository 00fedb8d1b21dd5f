import type { Sql } from './sql';
import type { Found } from './types';

/** What has these letters in its name: cones, quilts and their clients, cloths; names that begin with them first. */
export const find = (sql: Sql, letters: string, limit: number): Promise<Found[]> => {
  const text = letters.toLowerCase().replace(/[\\%_]/g, (c) => `\\${c}`);
  const [within, begins] = [`%${text}%`, `${text}%`];
  return sql<Found[]>`
    (select 'cone' as kind, id, line || ' ' || colour as name, fibre || ', ' || label as detail, hex
     from cone where archived_at is null and lower(line || ' ' || colour) like ${within}
     order by lower(line || ' ' || colour) like ${begins} desc, 3 limit ${limit})
    union all
    (select 'quilt', q.id, q.name, c.name, null from quilt q join client c on c.id = q.client_id
     where lower(q.name) like ${within} order by lower(q.name) like ${begins} desc, q.name limit ${limit})
    union all
    (select 'client', (select q.id from quilt q where q.client_id = c.id order by q.due_on desc limit 1), c.name,
            (select string_agg(q.name, ', ') from quilt q where q.client_id = c.id), null
     from client c where lower(c.name) like ${within}
       and exists (select 1 from quilt q where q.client_id = c.id)
     order by lower(c.name) like ${begins} desc, c.name limit ${limit})
    union all
    (select 'fabric', id, name, kind, hex from fabric
     where archived_at is null and lower(name) like ${within}
     order by lower(name) like ${begins} desc, name limit ${limit})
    union all
    (select 'batting', id, name, kind, null from batting
     where archived_at is null and lower(name) like ${within}
     order by lower(name) like ${begins} desc, name limit ${limit})
    union all
    (select 'ruler', id, name, shape, null from ruler
     where archived_at is null and lower(name) like ${within}
     order by lower(name) like ${begins} desc, name limit ${limit})
    union all
    (select 'yarn', id, name, round(diameter_mm::numeric, 1) || ' mm', hex from yarn
     where archived_at is null and lower(name) like ${within}
     order by lower(name) like ${begins} desc, name limit ${limit})
    union all
    (select 'pattern', id, name, words, null from pattern
     where archived_at is null and (lower(name) like ${within} or lower(words) like ${within})
     order by lower(name) like ${begins} desc, name limit ${limit})
    union all
    (select 'machine', id, name, 'throat ' || throat_in || ' in', null from machine
     where lower(name) like ${within}
     order by lower(name) like ${begins} desc, name limit ${limit})`;
};
