import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { chromium, expect } from '@playwright/test';
import { studioWithACutLine } from './serve';
import { lines, openStand } from './stand';
import { test } from './studio';

/** A tap that is told apart from every other: the back was checked, the bobbin changed. */
const KEYS = ['c', 'n'] as const;
const DOWN_MS = 3_000;

test('the database goes away while a step is logged: the device holds what waits, and it arrives once', async ({
  browser,
}) => {
  const studio = await studioWithACutLine('outage');
  const page = await (await browser.newContext({ baseURL: studio.url })).newPage();
  try {
    const quilt = await openStand(page, studio.url);
    const had = (await lines(page.request, quilt)).length;
    const taps = async (n: number) => {
      for (let i = 0; i < n; i++) await page.keyboard.press(KEYS[i % 2]!);
    };
    await taps(6);
    await studio.cut();
    await taps(20);
    await expect(page.getByText(/wait on this device/)).toBeVisible();
    const stopped = Date.now();
    // What the Stand shows does not wait for the computer: it goes on by itself.
    await page.keyboard.press('Space');
    await expect(page.getByText(/^sewing · /)).toBeVisible();
    await page.keyboard.press('Space');
    await expect
      .poll(() => Date.now() - stopped, { intervals: [1000], timeout: 3 * DOWN_MS })
      .toBeGreaterThan(DOWN_MS);
    await studio.mend();
    await taps(4);
    await expect(page.getByText('all saved')).toBeVisible();
    const kept = (await lines(page.request, quilt)).slice(had);
    expect(kept.filter((e) => e.kind === 'back-checked' || e.kind === 'needle-changed')).toHaveLength(30);
    expect(new Set(kept.map((e) => e.id)).size).toBe(kept.length);
    expect(kept.map((e) => e.at)).toEqual(kept.map((e) => e.at).sort());
  } finally {
    await page.close();
    await studio.end();
  }
});

/** The processes of a browser that works in a folder. */
const pidsIn = (folder: string) =>
  readdirSync('/proc')
    .filter((p) => /^\d+$/.test(p))
    .filter((p) => {
      try {
        return readFileSync(`/proc/${p}/cmdline`, 'utf8').includes(folder);
      } catch {
        return false;
      }
    })
    .map(Number);

test('the browser is killed with entries waiting: opened again, it sends them', async ({
  studio,
  browser,
}) => {
  const folder = mkdtempSync('/var/tmp/tidy-spool-browser.');
  const open = () =>
    chromium.launchPersistentContext(folder, {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox'],
      baseURL: studio.url,
    });
  try {
    const before = await open();
    const page = before.pages()[0]!;
    const quilt = await openStand(page, studio.url);
    const had = (await lines(page.request, quilt)).length;
    await before.setOffline(true);
    for (let i = 0; i < 12; i++) await page.keyboard.press(KEYS[i % 2]!);
    await expect(page.getByText(/12 wait on this device/)).toBeVisible();
    const gone = new Promise((r) => before.once('close', r));
    for (const pid of pidsIn(folder)) {
      try {
        process.kill(pid, 'SIGKILL');
      } catch {
        // It went with its parent.
      }
    }
    await gone;
    const after = await open();
    await openStand(after.pages()[0]!, studio.url);
    const reader = await (await browser.newContext({ baseURL: studio.url })).newPage();
    expect((await lines(reader.request, quilt)).slice(had).map((e) => e.kind)).toEqual(
      Array.from({ length: 12 }, (_, i) => (i % 2 === 0 ? 'back-checked' : 'needle-changed')),
    );
    await reader.close();
    await after.close();
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
