import { createWriteStream } from 'node:fs';
import { mkdir, rename, rm, stat } from 'node:fs/promises';
import { dirname } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import type postgres from 'postgres';
import type { Sql } from '@/data/sql';
import {
  hashOf,
  PICTURES,
  readPicture,
  readRows,
  readSchemaName,
  readTables,
  type Table,
} from '@/data/backup';
import { FORMAT, MANIFEST, type Manifest, pictureFile, tableFile } from './manifest';

export type Told = (words: string) => void;

/** One table as NDJSON, counted and summed up as it goes by. */
async function* linesOf(sql: Sql, t: Table, manifest: Manifest): AsyncGenerator<Buffer> {
  const hash = hashOf();
  let rows = 0;
  for await (const part of readRows(sql, t)) {
    const text = Buffer.from(part.map((row) => `${row}\n`).join(''));
    hash.update(text);
    rows += part.length;
    yield text;
  }
  manifest.tables.push({ name: t.name, rows, sha256: hash.digest('hex') });
}

/** Waits until the zip has taken one entry, so that never more than one is read at a time. */
const added = (zip: ZipFile, stream: Readable, file: string, mtime: Date) =>
  new Promise<void>((resolve, reject) => {
    stream.once('error', reject).once('end', resolve);
    zip.addReadStream(stream, file, { mtime });
  });

/**
 * The whole studio as one zip: a table a file of NDJSON, photographs as files, and a manifest with counts, checksums
 * and the schema's name. Streamed, of one moment: what changes meanwhile is not in it.
 */
export async function writeBackup(
  sql: postgres.Sql,
  to: NodeJS.WritableStream,
  now: Date,
  tell: Told = () => {},
): Promise<Manifest> {
  const zip = new ZipFile();
  const out = pipeline(zip.outputStream, to);
  const manifest: Manifest = {
    format: FORMAT,
    version: 1,
    madeAt: now.toISOString(),
    schema: '',
    tables: [],
    photographs: [],
  };
  const filled = sql.begin('isolation level repeatable read read only', async (tx) => {
    manifest.schema = await readSchemaName(tx);
    for (const t of await readTables(tx)) {
      await added(zip, Readable.from(linesOf(tx, t, manifest)), tableFile(t.name), now);
      tell(`${t.name}: ${manifest.tables.at(-1)!.rows} rows`);
      if (t.name !== PICTURES.table) continue;
      const ids = await tx<{ id: string }[]>`select id from photograph order by id`;
      for (const { id } of ids) {
        const bytes = (await readPicture(tx, id))!;
        manifest.photographs.push({
          id,
          bytes: bytes.length,
          sha256: hashOf().update(bytes).digest('hex'),
        });
        zip.addBuffer(bytes, pictureFile(id), { mtime: now, compress: false });
      }
    }
    zip.addBuffer(Buffer.from(JSON.stringify(manifest, null, 1)), MANIFEST, { mtime: now });
    zip.end();
  });
  await Promise.all([out, filled]);
  return manifest;
}

let written = 0;

/** The same into a file, which is there whole or not at all. */
export async function writeBackupFile(sql: postgres.Sql, file: string, now: Date, tell?: Told) {
  await mkdir(dirname(file), { recursive: true });
  // Two that write the same copy at once do not write into each other.
  const half = `${file}.${process.pid}-${++written}.part`;
  try {
    const manifest = await writeBackup(sql, createWriteStream(half, { mode: 0o600 }), now, tell);
    await rename(half, file);
    return { manifest, bytes: (await stat(file)).size };
  } catch (error) {
    await rm(half, { force: true });
    throw error;
  }
}
