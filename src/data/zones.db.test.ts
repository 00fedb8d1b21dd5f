import { v7 as uuidv7 } from 'uuid';
import { demoDatabase } from '@/demo/testing/demo-database';
import { copyZone, readZones } from './zones';
import type { TestDatabase } from './test-database';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('zone_copies');
});
afterAll(() => base.end());

type Row = Record<string, unknown>;
/** What a copy has of its own; whatever else a zone has, now or in a later version, goes with it. */
const ITS_OWN = new Set([
  'id',
  'letter',
  'name',
  'geometry',
  'lengthIn',
  'retiredAt',
  'version',
  'quiltId',
  'zoneId',
]);
const TABLES = [
  ['zone', 'id'],
  ['zone_fabric', 'zone_id'],
  ['zone_feature', 'zone_id'],
] as const;

test('a zone begun from another takes over every column, of the zone, its fabrics and its features', async () => {
  const { sql } = base;
  const [quilt] = await sql<{ id: string }[]>`select id from quilt where name = 'Harbour Lights'`;
  const from = (await readZones(sql, quilt!.id))[0]!;
  // Nothing is left empty, and nothing at its usual value: a column forgotten would show.
  const [yarn] = await sql<{ id: string }[]>`select id from yarn limit 1`;
  await sql`
    update zone set spacing_in = 3.75, smallest_radius_in = 0.4, visibility = 'show', softness = 'firm', retraced = 3,
      yarn_id = ${yarn!.id} where id = ${from.id}`;
  const [feature] = await sql<{ feature: string }[]>`select feature from zone_feature limit 1`;
  await sql`
    insert into zone_feature (zone_id, feature) values (${from.id}, ${feature!.feature}) on conflict do nothing`;
  await sql`update zone_fabric set hex = '#123456', busyness = 0.8, share = 0.5 where zone_id = ${from.id}`;
  const id = uuidv7();
  await copyZone(sql, from.id, { id, letter: 'Q', name: 'A copy', geometry: from.geometry, lengthIn: 12 });
  for (const [table, key] of TABLES) {
    const rows = async (of: string): Promise<Row[]> =>
      (await sql<Row[]>`select * from ${sql(table)} where ${sql(key)} = ${of}`)
        .map((r) => Object.fromEntries(Object.entries(r).filter(([c]) => !ITS_OWN.has(c))))
        .sort((a, b) => JSON.stringify(a).localeCompare(JSON.stringify(b)));
    const [was, is] = [await rows(from.id), await rows(id)];
    expect([table, is]).toEqual([table, was]);
    expect(was.length).toBeGreaterThan(0);
  }
  const copy = (await readZones(sql, quilt!.id)).find((z) => z.id === id);
  expect(copy).toMatchObject({ letter: 'Q', name: 'A copy', lengthIn: 12, softness: 'firm', retraced: 3 });
});
