import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuidv7 } from 'uuid';
import { ZipFile } from 'yazl';
import { buffer } from 'node:stream/consumers';
import { loadDemo } from '@/demo/load';
import { migrate } from '@/data/migrate';
import { readPicture, readSchemaName } from '@/data/backup';
import { emptyDatabase, testDatabase, type TestDatabase } from '@/data/test-database';
import { tooOld } from './copies';
import { FORMAT, MANIFEST } from './manifest';
import { openBackup } from './read';
import { restoreBackup, verifyBackup } from './restore';
import { writeBackupFile } from './write';

const now = new Date('2026-11-26T08:00:00Z');
const folder = mkdtempSync(join(tmpdir(), 'tidy-spool-backup-'));
const file = join(folder, 'studio.zip');
const picture = Buffer.from(Array.from({ length: 5000 }, (_, i) => (i * 37) % 256));
const pictureId = uuidv7();
let from: TestDatabase;
let into: TestDatabase;
const url = (name: string) => `${process.env.TEST_PG_URL}/unit_${name}`;

beforeAll(async () => {
  from = await testDatabase('backup_from');
  await loadDemo(from.sql, now);
  const [quilt] = await from.sql<{ id: string }[]>`select id from quilt limit 1`;
  await from.sql`
    insert into photograph (id, quilt_id, mime, bytes) values (${pictureId}, ${quilt!.id}, 'image/png', ${picture})`;
  await from.sql`insert into mishap (place, message, stack) values ('here', 'a “quoted” word\nand a line', '')`;
  for (const note of ['one', 'two'])
    await from.sql`
      insert into log_entry (id, device, quilt_id, kind, at, body)
      values (${uuidv7()}, ${uuidv7()}, ${quilt!.id}, 'note', now(), ${from.sql.json({ note })})`;
  await writeBackupFile(from.sql, file, now);
  into = await testDatabase('backup_into');
});
afterAll(async () => {
  await from.end();
  await into.end();
  rmSync(folder, { recursive: true, force: true });
});

const manifestOf = async (path: string) => {
  const copy = await openBackup(path);
  copy.close();
  return copy.manifest;
};
const count = async () => (await into.sql<{ n: number }[]>`select count(*)::int as n from quilt`)[0]!.n;

test('a copy taken back into an empty studio is the same to the byte, photographs too', async () => {
  const { rows, photographs } = await restoreBackup(into.sql, url('backup_into'), file, now);
  expect(photographs).toBe(1);
  expect(rows).toBeGreaterThan(300);
  const again = join(folder, 'again.zip');
  await writeBackupFile(into.sql, again, now);
  const [a, b] = [await manifestOf(file), await manifestOf(again)];
  expect(b.tables).toEqual(a.tables);
  expect(b.photographs).toEqual(a.photographs);
  expect(await readPicture(into.sql, pictureId)).toEqual(picture);
  const [next] = await into.sql<{ n: number }[]>`
    insert into mishap (place, message, stack) values ('x', 'y', '') returning n::int`;
  expect(next!.n).toBeGreaterThan(1);
  const quilts = await count();
  const [quilt] = await into.sql<{ id: string }[]>`select id from quilt limit 1`;
  await into.sql`insert into fault (id, quilt_id, n) values (${uuidv7()}, ${quilt!.id}, 999)`;
  // The log goes on after its last cursor.
  const [entry] = await into.sql<{ last: boolean }[]>`
    insert into log_entry (id, device, quilt_id, kind, at)
    values (${uuidv7()}, ${uuidv7()}, ${quilt!.id}, 'note', now())
    returning cursor > (select max(cursor) from log_entry) as last`;
  expect(entry!.last).toBe(true);
  expect(await count()).toBe(quilts);
});

test('a studio that is there stays beside the one taken back', async () => {
  await into.sql`update preferences set name = 'Written since'`;
  const { before } = await restoreBackup(
    into.sql,
    url('backup_into'),
    file,
    new Date('2026-11-26T09:00:00Z'),
  );
  const [row] = await into.sql.unsafe<{ now: string; then: string }[]>(
    `select (select name from preferences) as now, (select name from ${before}.preferences) as then`,
  );
  expect(row).toEqual({ now: 'Saltmarsh Longarm Room', then: 'Written since' });
  const houses = await into.sql`select nspname from pg_namespace where nspname ~ '^(before|beside)_'`;
  expect(houses).toHaveLength(1);
});

test.each<[string, (bytes: Buffer) => Buffer, RegExp]>([
  ['cut short', (b) => b.subarray(0, b.length - 400), /not a whole copy/],
  ['not a zip', () => Buffer.from('hello'), /not a whole copy/],
  [
    'with one byte changed in a table',
    (b) => {
      const out = Buffer.from(b);
      out[200] = out[200]! ^ 0xff;
      return out;
    },
    /not a whole copy|changed|checksum|invalid|cannot be read/i,
  ],
])('a file %s is refused, and nothing is touched', async (_, spoil, words) => {
  const bad = join(folder, 'bad.zip');
  writeFileSync(bad, spoil(readFileSync(file)));
  await into.sql`update preferences set name = 'Not to be lost'`;
  await expect(restoreBackup(into.sql, url('backup_into'), bad, now)).rejects.toThrow(words);
  const [row] = await into.sql<{ name: string }[]>`select name from preferences`;
  expect(row!.name).toBe('Not to be lost');
  expect(await into.sql`select 1 from pg_namespace where nspname like 'beside%'`).toHaveLength(0);
});

const zipOf = async (files: Record<string, string>) => {
  const zip = new ZipFile();
  for (const [name, text] of Object.entries(files)) zip.addBuffer(Buffer.from(text), name);
  zip.end();
  const path = join(folder, 'made.zip');
  writeFileSync(path, await buffer(zip.outputStream));
  return path;
};
test.each<[Record<string, string>, RegExp]>([
  [{ 'a.txt': 'x' }, /no manifest/],
  [{ [MANIFEST]: '{' }, /cannot be read/],
  [{ [MANIFEST]: '{"format":"something else"}' }, /not one of this program/],
  [
    {
      [MANIFEST]: JSON.stringify({
        format: FORMAT,
        version: 1,
        madeAt: now.toISOString(),
        schema: '9999_later.sql',
        tables: [],
        photographs: [],
      }),
    },
    /newer program/,
  ],
])('%j: refused in words', async (files, words) => {
  await expect(openBackup(await zipOf(files))).rejects.toThrow(words);
});

test('a copy of an older schema comes in, and is brought up to date', async () => {
  const old = await emptyDatabase('backup_old');
  try {
    await migrate(old.sql, '0009_cloth_roles.sql');
    await old.sql`insert into client (id, name) values (${uuidv7()}, 'Of old')`;
    const older = join(folder, 'older.zip');
    await writeBackupFile(old.sql, older, now);
    expect((await manifestOf(older)).schema).toBe('0009_cloth_roles.sql');
    // A program that still runs while newer files lie beside it proves its own copies.
    await verifyBackup(url('backup_old'), older);
    await restoreBackup(into.sql, url('backup_into'), older, now);
    expect(await into.sql`select name from client`).toEqual([{ name: 'Of old' }]);
    expect(await readSchemaName(into.sql)).toBe(await readSchemaName(from.sql));
  } finally {
    await old.end();
  }
});

test('reading a copy back proves it, and leaves nothing behind', async () => {
  await verifyBackup(url('backup_from'), file);
  expect(await from.sql`select 1 from pg_namespace where nspname like 'beside%'`).toHaveLength(0);
});

test('daily copies stay a fortnight, weekly ones a quarter', () => {
  const day = (n: number) => new Date(now.getTime() - n * 86_400_000);
  const names = Array.from({ length: 200 }, (_, n) => `tidy-spool-${day(n).toISOString().slice(0, 10)}.zip`);
  const gone = new Set(tooOld([...names, 'other.zip'], now, { days: 14, weeks: 13 }));
  const left = names.filter((n) => !gone.has(n));
  expect(left.slice(0, 14)).toEqual(names.slice(0, 14));
  expect(left.length).toBeGreaterThanOrEqual(14 + 10);
  expect(left.length).toBeLessThanOrEqual(14 + 13);
  expect(gone.has('other.zip')).toBe(false);
});
