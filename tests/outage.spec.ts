import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { chromium, expect } from '@playwright/test';
import { studioWithACutLine } from './serve';
import { lines, openStand } from './stand';
import { test } from './studio';

/** A tap that is told apart from every other: the back was checked, the bobbin changed. */
const KEYS = ['c', 'n'] as const;
const DOWN_MS = 8_000;

test('the database goes away while a step is logged: the device holds what waits, and it arrives once', async ({
  browser,
}) => {
  const studio = await studioWithACutLine('outage');
  const page = await (await browser.newContext({ baseURL: studio.url })).newPage();
  try {
    const quilt = await openStand(page, studio.url);
    const had = (await lines(page, quilt)).length;
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
    const kept = (await lines(page, quilt)).slice(had);
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
    const had = (await lines(page, quilt)).length;
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
    expect((await lines(reader, quilt)).slice(had).map((e) => e.kind)).toEqual(
      Array.from({ length: 12 }, (_, i) => (i % 2 === 0 ? 'back-checked' : 'needle-changed')),
    );
    await reader.close();
    await after.close();
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});

test('a Stand reloaded while the computer is away opens as this device last saw it, takes taps, and sends them later', async ({
  studio,
  browser,
}) => {
  const page = await (await browser.newContext({ baseURL: studio.url })).newPage();
  try {
    const quilt = await openStand(page, studio.url);
    // The page and its parts lie on the device once its keeper has taken them.
    const kept = () =>
      page.evaluate(async () => {
        const parts = performance
          .getEntriesByType('resource')
          .filter((r) => r.name.includes('/_next/static/'));
        const has = await Promise.all(
          [location.href, ...parts.map((p) => p.name)].map((u) => caches.match(u)),
        );
        return parts.length > 0 && has.every(Boolean);
      });
    await expect.poll(kept).toBe(true);
    const before = (await lines(page, quilt)).length;
    // Sewn on after the page was loaded: the kept page is older than what the device knows.
    await page.keyboard.press('c');
    await page.keyboard.press('n');
    await page.keyboard.press('Space');
    await expect(page.getByText(/^sewing · /)).toBeVisible();
    await expect(page.getByText('all saved')).toBeVisible();
    await studio.kill();
    await page.reload();
    await expect(page.getByRole('heading', { level: 1, name: 'Harbour Lights' })).toBeVisible();
    await expect(page.getByText(/as last seen here/)).toBeVisible();
    await expect(page.getByText(/^sewing · /)).toBeVisible();
    await page.keyboard.press('c');
    await expect(page.getByText(/1 waits on this device/)).toBeVisible();
    await page.reload();
    await expect(page.getByText(/1 waits on this device/)).toBeVisible();
    await studio.again();
    await expect(page.getByText('all saved')).toBeVisible();
    await expect(page.getByText(/as last seen here/)).toBeHidden();
    expect((await lines(page, quilt)).slice(before).map((e) => e.kind)).toEqual([
      'back-checked',
      'needle-changed',
      'step-begun',
      'back-checked',
    ]);
  } finally {
    await page.close();
  }
});
