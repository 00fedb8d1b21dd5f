import { existsSync } from 'node:fs';
import { readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { format, getISOWeek, getISOWeekYear, parse } from 'date-fns';
import type postgres from 'postgres';
import { ifAlone, insertCopy, readCopies, setVerified } from '@/data/backup';
import { verifyBackup } from './restore';
import { writeBackupFile } from './write';

/** Where copies go, and how many of the days and of the weeks stay. */
export interface CopyPlan {
  folder: string;
  days: number;
  weeks: number;
}

const DAY_MS = 86_400_000;
const VERIFY_AFTER_MS = 7 * DAY_MS;
const NAME = /^tidy-spool-(\d{4}-\d{2}-\d{2})\.zip$/;

/** What the environment says; null where no folder is given. */
export function copyPlan(env: NodeJS.ProcessEnv = process.env): CopyPlan | null {
  const number = (text: string | undefined, usual: number) => {
    const n = Number(text);
    return text && Number.isInteger(n) && n >= 1 && n <= 1000 ? n : usual;
  };
  const folder = env.TIDY_SPOOL_BACKUPS;
  if (!folder) return null;
  return {
    folder,
    days: number(env.TIDY_SPOOL_BACKUP_DAYS, 14),
    weeks: number(env.TIDY_SPOOL_BACKUP_WEEKS, 13),
  };
}

export const copyName = (day: Date): string => `tidy-spool-${format(day, 'yyyy-MM-dd')}.zip`;

/** Which dated copies may go: not those of the last days, nor the first of each of the last weeks. */
export function tooOld(
  files: readonly string[],
  now: Date,
  { days, weeks }: Omit<CopyPlan, 'folder'>,
): string[] {
  const dated = files
    .flatMap((file) => {
      const day = NAME.exec(file)?.[1];
      return day ? [{ file, day: parse(day, 'yyyy-MM-dd', now) }] : [];
    })
    .sort((a, b) => a.day.getTime() - b.day.getTime());
  const age = (day: Date) => (now.getTime() - day.getTime()) / DAY_MS;
  const weekSeen = new Set<string>();
  return dated.flatMap(({ file, day }) => {
    const week = `${getISOWeekYear(day)} ${getISOWeek(day)}`;
    const first = !weekSeen.has(week);
    weekSeen.add(week);
    const stays = age(day) < days || (first && age(day) < weeks * 7);
    return stays ? [] : [file];
  });
}

/** Makes today's copy if there is none, lets old ones go, and once a week reads the newest back into a scratch schema. */
export async function keepCopies(sql: postgres.Sql, url: string, plan: CopyPlan, now: Date): Promise<void> {
  await ifAlone(sql, async () => {
    const name = copyName(now);
    const file = join(plan.folder, name);
    if (!existsSync(file)) {
      try {
        const { bytes } = await writeBackupFile(sql, file, now);
        await insertCopy(sql, { file: name, bytes });
      } catch (error) {
        await insertCopy(sql, { file: name, bytes: 0, problem: (error as Error).message.slice(0, 1000) });
        return;
      }
      for (const old of tooOld(await readdir(plan.folder), now, plan))
        await rm(join(plan.folder, old), { force: true });
    }
    const copies = await readCopies(sql);
    const lastVerified = Math.max(0, ...copies.map((c) => c.verifiedAt?.getTime() ?? 0));
    if (now.getTime() - lastVerified < VERIFY_AFTER_MS) return;
    const problem = await verifyBackup(url, file).then(
      () => '',
      (error: Error) => error.message.slice(0, 1000),
    );
    await setVerified(sql, name, problem);
  });
}
