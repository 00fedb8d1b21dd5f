import type postgres from 'postgres';
import { connect } from '@/data/sql';
import {
  buildBeside,
  dropSchema,
  hashOf,
  insertPictureRow,
  insertRows,
  moveIn,
  PICTURES,
  readRows,
  readSchemaName,
  readTables,
} from '@/data/backup';
import { BadBackup, type OpenBackup, openBackup, proveBackup } from './read';
import type { Told } from './write';

const AT_ONCE = 400;

/** Puts a copy up in a schema of its own, brought up to date. */
const putUp = (url: string, copy: OpenBackup, tell: Told) =>
  buildBeside(url, copy.manifest.schema, async (tx, tables) => {
    const told = new Set(copy.manifest.tables.map((t) => t.name));
    const missing = tables.find((t) => !told.has(t.name));
    if (missing || told.size !== tables.length)
      throw new BadBackup(
        `The tables of this copy are not those of its time${missing ? `: ${missing.name} is missing` : ''}.`,
      );
    for (const t of tables) {
      let part: string[] = [];
      const put = async () => {
        if (t.name === PICTURES.table)
          for (const row of part)
            await insertPictureRow(tx, t, row, await copy.picture((JSON.parse(row) as { id: string }).id));
        else if (part.length > 0) await insertRows(tx, t, part);
        part = [];
      };
      for await (const line of copy.rows(t.name)) if (part.push(line) >= AT_ONCE) await put();
      await put();
      tell(`${t.name} is in`);
    }
  });

/**
 * Whether what stands in a schema is, byte for byte, what the copy says: only where it was not brought further than the
 * copy's own version. (A program that still runs while newer files lie beside it makes copies older than those.)
 */
async function compare(url: string, schema: string, copy: OpenBackup): Promise<void> {
  const sql = connect(url, 1, schema);
  try {
    await sql.begin(async (tx) => {
      if ((await readSchemaName(tx)) !== copy.manifest.schema) return;
      for (const t of await readTables(tx, schema)) {
        const wanted = copy.manifest.tables.find((x) => x.name === t.name);
        const hash = hashOf();
        for await (const part of readRows(tx, t)) hash.update(part.map((row) => `${row}\n`).join(''));
        if (wanted && hash.digest('hex') !== wanted.sha256)
          throw new BadBackup(`${t.name} did not come back as it was.`);
      }
    });
  } finally {
    await sql.end();
  }
}

const inWords = (error: unknown): never => {
  if (error instanceof BadBackup) throw error;
  const { message, code } = error as Error & { code?: string };
  if (code && /^(22|23|42)/.test(code))
    throw new BadBackup(`What stands in this copy does not fit together: ${message}.`);
  throw error;
};

/** Puts the copy up beside the studio, compares it, and takes it down again. @throws BadBackup when it is not sound. */
export async function verifyBackup(url: string, file: string): Promise<void> {
  const copy = await openBackup(file);
  try {
    await proveBackup(copy);
    const schema = await putUp(url, copy, () => {}).catch(inWords);
    try {
      await compare(url, schema, copy);
    } finally {
      await dropSchema(url, schema);
    }
  } finally {
    copy.close();
  }
}

/**
 * Takes a copy back: proved whole first, then put up beside the present studio, brought up to date, and only then
 * moved in, in one step. The present studio stays beside until the next time.
 * @throws BadBackup in words when the copy is not sound; then nothing was touched.
 */
export async function restoreBackup(
  sql: postgres.Sql,
  url: string,
  file: string,
  now: Date,
  tell: Told = () => {},
): Promise<{ rows: number; photographs: number; before: string }> {
  const copy = await openBackup(file);
  try {
    await proveBackup(copy, tell);
    const schema = await putUp(url, copy, tell).catch(inWords);
    const before = await moveIn(sql, schema, now);
    const { tables, photographs } = copy.manifest;
    return { rows: tables.reduce((n, t) => n + t.rows, 0), photographs: photographs.length, before };
  } finally {
    copy.close();
  }
}
