// ./start backup FILE and ./start restore FILE: the whole studio into one file, and back.
import { resolve } from 'node:path';
import { migrate } from '@/data/migrate';
import { connect } from '@/data/sql';
import { oneAtATime } from '@/data/backup';
import { BadBackup } from './read';
import { restoreBackup } from './restore';
import { writeBackupFile } from './write';

const say = (words: string) => process.stdout.write(`  ${words}\n`);

async function main(what: string | undefined, name: string | undefined, url: string | undefined) {
  if (!url) throw new BadBackup('DATABASE_URL is not set; ./start sets it.');
  if (!name || (what !== 'backup' && what !== 'restore'))
    throw new BadBackup('Say: ./start backup FILE, or ./start restore FILE.');
  const file = resolve(name);
  const sql = connect(url, 3);
  try {
    await migrate(sql);
    if (what === 'backup') {
      const { manifest, bytes } = await oneAtATime(sql, () => writeBackupFile(sql, file, new Date(), say));
      const rows = manifest.tables.reduce((n, t) => n + t.rows, 0);
      console.log(
        `Saved ${rows} rows and ${manifest.photographs.length} photographs, ${(bytes / 1e6).toFixed(1)} MB, in ${file}`,
      );
    } else {
      await oneAtATime(sql, async () => {
        const saved = `${file.replace(/\.zip$/, '')}-before-restore.zip`;
        await writeBackupFile(sql, saved, new Date());
        console.log(`The present studio is saved in ${saved}`);
        const { rows, photographs } = await restoreBackup(sql, url, file, new Date(), say);
        console.log(`Restored ${rows} rows and ${photographs} photographs from ${file}`);
      });
    }
  } finally {
    await sql.end();
  }
}

main(process.argv[2], process.argv[3], process.env.DATABASE_URL).catch((error: unknown) => {
  console.error(
    error instanceof BadBackup ? error.message : `It could not be done: ${(error as Error).message}`,
  );
  process.exitCode = 1;
});
