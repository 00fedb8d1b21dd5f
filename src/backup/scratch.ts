import { mkdir, mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { copyPlan } from './copies';

const NAME = 'restore-';

/** Where a file that is being taken back lies meanwhile: beside the dated copies, under the studio's own data. */
const scratchRoot = () => join(copyPlan()?.folder ?? tmpdir(), '.scratch');

/** A folder of its own for one restore. */
export async function scratchFolder(): Promise<string> {
  const root = scratchRoot();
  await mkdir(root, { recursive: true });
  return mkdtemp(join(root, NAME));
}

/** Takes away what restores that were cut off left behind; called when the app starts, before any is under way. */
export async function sweepScratch(): Promise<void> {
  const root = scratchRoot();
  for (const name of await readdir(root).catch(() => []))
    if (name.startsWith(NAME)) await rm(join(root, name), { recursive: true, force: true });
}
