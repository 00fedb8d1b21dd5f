import { createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { PassThrough, Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { format } from 'date-fns';
import { mishap } from '@/actions/mishaps';
import { copyName, copyPlan } from '@/backup/copies';
import { BadBackup } from '@/backup/read';
import { restoreBackup } from '@/backup/restore';
import { scratchFolder } from '@/backup/scratch';
import { writeBackup, writeBackupFile } from '@/backup/write';
import { thisContext } from '@/actions/context';
import { OWNER, permitted } from '@/actions/may';
import { insertCopy, oneAtATime } from '@/data/backup';

export const dynamic = 'force-dynamic';

/** The whole studio as one file, as it is read. */
export function GET(): Response {
  const { sql } = permitted(thisContext(), OWNER);
  const out = new PassThrough();
  oneAtATime(sql, () => writeBackup(sql, out, new Date())).catch((error: Error) => {
    void mishap('backup', error);
    out.destroy(error);
  });
  return new Response(Readable.toWeb(out) as ReadableStream, {
    headers: {
      'Content-Type': 'application/zip',
      'Content-Disposition': `attachment; filename="${copyName(new Date())}"`,
      'Cache-Control': 'no-store',
    },
  });
}

/** Takes a copy back, and says line by line how far it is; the present studio is saved first. */
export function POST(request: Request): Response {
  const { sql } = permitted(thisContext(), OWNER);
  const lines = new PassThrough();
  const tell = (line: object) => void lines.write(`${JSON.stringify(line)}\n`);
  const act = async () => {
    const folder = await scratchFolder();
    try {
      if (!request.body) throw new BadBackup('No file came.');
      const file = join(folder, 'copy.zip');
      await pipeline(Readable.fromWeb(request.body as never), createWriteStream(file, { mode: 0o600 }));
      tell({ words: 'The file is here; it is read through now.' });
      const done = await oneAtATime(sql, async () => {
        const now = new Date();
        const plan = copyPlan();
        const saved = `before-restore-${format(now, 'yyyy-MM-dd-HHmmss')}.zip`;
        const { bytes } = await writeBackupFile(sql, join(plan?.folder ?? folder, saved), now);
        const back = await restoreBackup(sql, process.env.DATABASE_URL!, file, now, (words) =>
          tell({ words }),
        );
        if (plan) await insertCopy(sql, { file: saved, bytes });
        return back;
      });
      tell({ done });
    } catch (error) {
      if (error instanceof BadBackup) tell({ problem: error.message });
      else {
        const said = await mishap('restore', error);
        tell({ problem: said.ok ? '' : said.problems[0]!.message });
      }
    } finally {
      await rm(folder, { recursive: true, force: true });
      lines.end();
    }
  };
  void act();
  return new Response(Readable.toWeb(lines) as ReadableStream, {
    headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store' },
  });
}
