import { migrate, migrationFiles } from './migrate';
import { testDatabase, type TestDatabase } from './test-database';

let base: TestDatabase;
beforeAll(async () => {
  base = await testDatabase('migrate');
});
afterAll(() => base.end());

test('each migration runs once', async () => {
  expect(await migrate(base.sql)).toEqual([]);
  const rows = await base.sql<{ name: string }[]>`select name from migration order by name`;
  expect(rows.map((r) => r.name)).toEqual(migrationFiles());
});

test('a database newer than the program is refused in words', async () => {
  await base.sql`insert into migration (name) values ('9999_from_the_future.sql')`;
  await expect(migrate(base.sql)).rejects.toThrow(/newer than this program/);
  await base.sql`delete from migration where name like '9999%'`;
});
