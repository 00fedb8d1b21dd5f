import { join } from 'node:path';
import { format } from 'date-fns';
import type postgres from 'postgres';
import { copyPlan } from '@/backup/copies';
import { writeBackupFile } from '@/backup/write';
import { besideStudio, insertCopy, moveIn, oneAtATime } from '@/data/backup';
import { readBegun } from '@/data/begun';
import { migrate } from '@/data/migrate';
import { insertShipped } from '@/data/shipped';
import { loadDemo } from './load';

/** Why a studio was not changed, in words. */
export class NotChanged extends Error {}

/**
 * Puts the demo studio in the place of an empty one, or an empty one in the place of the demo; a studio of somebody's own
 * is never touched. What stood is copied first where copies are kept, and stays beside until the next time.
 * @throws NotChanged in words.
 */
export async function changeStudio(
  sql: postgres.Sql,
  url: string,
  to: 'demo' | 'empty',
  now: Date,
): Promise<void> {
  await oneAtATime(sql, async () => {
    const { isDemo, ...counts } = await readBegun(sql);
    const isEmpty = Object.values(counts).every((n) => n === 0);
    if (to === 'demo' && !isEmpty)
      throw new NotChanged('This studio is begun already: the demo is only shown in an empty one.');
    if (to === 'empty' && !isDemo)
      throw new NotChanged('This is not the demo studio: nothing of it is removed here.');
    const plan = copyPlan();
    if (plan && !isEmpty) {
      const file = `before-new-studio-${format(now, 'yyyy-MM-dd-HHmmss')}.zip`;
      const { bytes } = await writeBackupFile(sql, join(plan.folder, file), now);
      await insertCopy(sql, { file, bytes });
    }
    const schema = await besideStudio(url, async (beside) => {
      await migrate(beside);
      if (to === 'demo') await loadDemo(beside, now);
      await insertShipped(beside);
    });
    await moveIn(sql, schema, now);
  });
}
