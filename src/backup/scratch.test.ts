import { existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { scratchFolder, sweepScratch } from './scratch';

let backups: string;
beforeEach(() => {
  backups = mkdtempSync(join(tmpdir(), 'tidy-spool-backups-'));
  process.env.TIDY_SPOOL_BACKUPS = backups;
});
afterEach(() => {
  delete process.env.TIDY_SPOOL_BACKUPS;
  rmSync(backups, { recursive: true, force: true });
});

test('each restore has a folder of its own; what one that was cut off left is swept, and nothing else', async () => {
  const [one, two] = [await scratchFolder(), await scratchFolder()];
  expect(one).not.toBe(two);
  const root = dirname(one);
  writeFileSync(join(one, 'half.zip'), 'half');
  mkdirSync(join(root, 'of-somebody-else'));
  await sweepScratch();
  expect([existsSync(one), existsSync(two), existsSync(join(root, 'of-somebody-else'))]).toEqual([
    false,
    false,
    true,
  ]);
  rmSync(join(root, 'of-somebody-else'), { recursive: true });
});
test('where nothing was ever taken back there is nothing to sweep', async () => {
  await expect(sweepScratch()).resolves.toBeUndefined();
});
