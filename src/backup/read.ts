import { plainToInstance } from 'class-transformer';
import { validate } from 'class-validator';
import { StringDecoder } from 'node:string_decoder';
import { buffer } from 'node:stream/consumers';
import { type Entry, openPromise, type ZipFile } from 'yauzl';
import { migrationFiles } from '@/data/migrate';
import { hashOf, PICTURES } from '@/data/backup';
import { MANIFEST, Manifest, pictureFile, tableFile } from './manifest';

/** A copy that cannot be taken back, and why, in words. */
export class BadBackup extends Error {}

const MOST_MANIFEST = 50_000_000;

/** A copy opened: its manifest, and its files by name. */
export interface OpenBackup {
  manifest: Manifest;
  /** Lines of a table, its checksum and count proved at the end. */
  rows(table: string): AsyncGenerator<string>;
  picture(id: string): Promise<Buffer>;
  close(): void;
}

/** Opens a copy and proves it: every file is there, reads, and is what the manifest says. */
export async function openBackup(file: string): Promise<OpenBackup> {
  let zip: ZipFile;
  const entries = new Map<string, Entry>();
  try {
    zip = await openPromise(file, { lazyEntries: true, autoClose: false });
    for await (const entry of zip.eachEntry()) entries.set(entry.fileName, entry);
  } catch (error) {
    throw new BadBackup(`This file is not a whole copy of a studio: ${(error as Error).message}.`);
  }
  const open = async (name: string) => {
    const entry = entries.get(name);
    if (!entry) throw new BadBackup(`“${name}” is missing in this copy.`);
    return zip.openReadStreamPromise(entry);
  };
  try {
    const manifest = await readManifest(entries.get(MANIFEST), open);
    const info = new Map(manifest.tables.map((t) => [t.name, t]));
    const pictures = new Map(manifest.photographs.map((p) => [p.id, p]));
    return {
      manifest,
      async *rows(table) {
        const { sha256, rows } = info.get(table) ?? { sha256: '', rows: 0 };
        const hash = hashOf();
        let n = 0;
        try {
          let left = '';
          const letters = new StringDecoder('utf8');
          for await (const chunk of await open(tableFile(table))) {
            hash.update(chunk as Buffer);
            const lines = (left + letters.write(chunk as Buffer)).split('\n');
            left = lines.pop()!;
            n += lines.length;
            yield* lines;
          }
        } catch (error) {
          if (error instanceof BadBackup) throw error;
          throw new BadBackup(`“${tableFile(table)}” cannot be read: ${(error as Error).message}.`);
        }
        if (n !== rows || hash.digest('hex') !== sha256)
          throw new BadBackup(
            `“${tableFile(table)}” was changed or is not whole: its checksum does not agree.`,
          );
      },
      async picture(id) {
        const bytes = await buffer(await open(pictureFile(id)));
        if (hashOf().update(bytes).digest('hex') !== pictures.get(id)?.sha256)
          throw new BadBackup(`Photograph ${id} was changed or is not whole: its checksum does not agree.`);
        return bytes;
      },
      close: () => zip.close(),
    };
  } catch (error) {
    zip.close();
    throw error;
  }
}

async function readManifest(
  entry: Entry | undefined,
  open: (name: string) => Promise<NodeJS.ReadableStream>,
) {
  if (!entry) throw new BadBackup('This file is not a copy of a studio: it has no manifest.');
  if (entry.uncompressedSize > MOST_MANIFEST) throw new BadBackup('The manifest of this copy is too large.');
  let json: unknown;
  try {
    json = JSON.parse((await buffer(await open(MANIFEST))).toString());
  } catch {
    throw new BadBackup('The manifest of this copy cannot be read.');
  }
  const manifest = plainToInstance(Manifest, json);
  if (!(manifest instanceof Manifest) || (await validate(manifest, { whitelist: true })).length > 0)
    throw new BadBackup('This file is not a copy of a studio: its manifest is not one of this program.');
  if (manifest.version > 1 || !migrationFiles().includes(manifest.schema))
    throw new BadBackup(`This copy was made by a newer program (${manifest.schema}). Renew this one first.`);
  return manifest;
}

/** Reads everything through once, so that nothing is touched before the whole copy is known to be sound. */
export async function proveBackup(copy: OpenBackup, tell: (words: string) => void = () => {}) {
  for (const { name, rows } of copy.manifest.tables) {
    for await (const line of copy.rows(name))
      if (!line.startsWith('{') || !line.endsWith('}'))
        throw new BadBackup(`A row of “${name}” cannot be read.`);
    tell(`${name}: ${rows} rows are sound`);
  }
  if (!copy.manifest.tables.some((t) => t.name === PICTURES.table))
    throw new BadBackup('A table is missing.');
  for (const { id } of copy.manifest.photographs) await copy.picture(id);
}
