import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, expectAccessible, openQuilt, test } from './studio';

/** Opens a quilt’s Match and one of its views. */
const VIEWS = { 'This zone': '', 'Whole quilt': '/whole', Colours: '/colours', Density: '/density' } as const;
const openMatch = (page: Page, quilt: string, view: keyof typeof VIEWS = 'This zone') =>
  openQuilt(page, quilt, `/match${VIEWS[view]}`);

/** A photograph of two fabrics, three quarters teal and a quarter sand, drawn by the browser itself. */
const twoCloths = async (page: Page, width: number, height: number) =>
  Buffer.from(
    await page.evaluate(
      async ([w, h]) => {
        const canvas = new OffscreenCanvas(w!, h!);
        const c = canvas.getContext('2d')!;
        c.fillStyle = '#1f6f70';
        c.fillRect(0, 0, w!, h!);
        c.fillStyle = '#d8c39a';
        c.fillRect(0, 0, w! / 4, h!);
        const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.92 });
        const bytes = new Uint8Array(await blob.arrayBuffer());
        let text = '';
        for (let i = 0; i < bytes.length; i += 8192)
          text += String.fromCharCode(...bytes.subarray(i, i + 8192));
        return btoa(text);
      },
      [width, height],
    ),
    'base64',
  );

/** The first bytes of a PNG that says it is as large as asked. */
const pngHead = (width: number, height: number) => {
  const head = Buffer.alloc(33);
  Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex').copy(head);
  head.writeUInt32BE(width, 16);
  head.writeUInt32BE(height, 20);
  head.set([8, 2, 0, 0, 0], 24);
  return head;
};

test('the whole quilt: set-ups for all zones, written as cards at once', async ({ page }) => {
  await openMatch(page, 'Lantern Row', 'Whole quilt');
  await expect(page.getByRole('heading', { name: 'Whole quilt' })).toBeVisible();
  await expect(page.getByText('the cheapest choice there is')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Use (this set-up|these \d+ set-ups)/ }).click();
  await expect(page.getByRole('button', { name: 'All cards stand so' })).toBeDisabled();
  await page.reload();
  await expect(page.getByRole('button', { name: 'All cards stand so' })).toBeDisabled();
  // The same stands on the zone’s own page.
  await page.getByRole('navigation', { name: 'Match' }).getByRole('link', { name: 'This zone' }).click();
  await expect(page.getByRole('region', { name: 'Setting card' })).toContainText('spi');
});

test('colours from a photograph: its palette, the shelf ranked anew, kept with the zone', async ({
  page,
}) => {
  await openMatch(page, 'Salt Pans', 'Colours');
  const file = page.getByLabel('Colours from a photograph', { exact: true });
  await file.setInputFiles({
    name: 'cloth.jpg',
    mimeType: 'image/jpeg',
    buffer: await twoCloths(page, 1600, 1200),
  });
  const palette = page.getByRole('button', { name: /per cent of the photograph/ });
  await expect(palette.first()).toBeVisible();
  const shares = await palette.evaluateAll((all) =>
    all.map((b) => Number(/(\d+) per cent/.exec(b.getAttribute('aria-label') ?? '')![1])),
  );
  expect(shares[0]).toBeGreaterThanOrEqual(73);
  expect(shares[0]).toBeLessThanOrEqual(77);
  const first = page.getByRole('table').getByRole('row').nth(1);
  const before = await first.innerText();
  await palette.first().click();
  await expect(first).not.toHaveText(before);
  await expectAccessible(page);

  // The mark moves with the arrows, and Enter takes what lies under it.
  await page.getByRole('button', { name: 'Take the colour under the mark' }).click();
  await page.getByLabel(/^The photograph shows/).fill('900');
  await expect(page.getByText('Between 0.5 and 200 inches.')).toBeVisible();
  await page.getByLabel(/^The photograph shows/).fill('4');
  await page.getByRole('radio', { name: 'to show' }).check();
  await page.getByRole('button', { name: 'Keep these colours' }).click();
  await expect(page.getByText('Colours kept.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep these colours' })).toBeDisabled();
});

test('a photograph of twelve megapixels is read; what is no picture, or is hostile, is said', async ({
  page,
}) => {
  await openMatch(page, 'Tide Table', 'Colours');
  const file = page.getByLabel('Colours from a photograph', { exact: true });
  const send = (buffer: Buffer, name: string, mimeType = 'image/png') =>
    file.setInputFiles({ name, mimeType, buffer });
  const alert = page.locator('p[role=alert]');
  await send(Buffer.from('this is a letter, not a picture'), 'letter.png');
  await expect(alert.first()).toContainText('This file is not a photograph');
  await send(pngHead(60_000, 60_000), 'huge.png');
  await expect(alert.first()).toContainText(/60,?000|too large|megapixel/i);
  await send(pngHead(40, 40), 'cut-off.png');
  await expect(alert.first()).toBeVisible();
  await send(await twoCloths(page, 4000, 3000), 'large.jpg', 'image/jpeg');
  await expect(page.getByRole('button', { name: /per cent of the photograph/ }).first()).toBeVisible();
  await expect(alert).toHaveCount(0);
});

test('the setting card as a picture and as a drawing', async ({ page }) => {
  await openMatch(page, 'Nine Buoys');
  await page.getByRole('button', { name: 'Card', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: /^Setting card/ });
  await expect(dialog.getByRole('img', { name: /^Setting card of zone/ })).toBeVisible();
  await expectAccessible(page);
  const [svgFile] = await Promise.all([
    page.waitForEvent('download'),
    dialog.getByRole('button', { name: 'Save as SVG' }).click(),
  ]);
  const svg = readFileSync((await svgFile.path())!, 'utf8');
  expect(svg).toContain('@font-face');
  expect(svg).toContain('Nm ');
  expect(svg).not.toContain('var(--');
  const [pngFile] = await Promise.all([
    page.waitForEvent('download'),
    dialog.getByRole('button', { name: 'Save as PNG' }).click(),
  ]);
  const png = readFileSync((await pngFile.path())!);
  expect(png.subarray(1, 4).toString()).toBe('PNG');
  expect(png.readUInt32BE(16)).toBeGreaterThan(1000);
});

test('the Rack and every view of Match pass the accessibility check on a tablet, by lamp light too', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.goto('/');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Lamp light' }).click();
  await expectAccessible(page);
  await openMatch(page, 'Slipway');
  const views = page.getByRole('navigation', { name: 'Match' });
  for (const view of ['This zone', 'Whole quilt', 'Colours', 'Density', 'Unknown fabric']) {
    await views.getByRole('link', { name: view }).click();
    await expect(views.getByRole('link', { name: view })).toHaveAttribute('aria-current', 'page');
    await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
    await expectAccessible(page);
    // Nothing runs out of the page sideways.
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(
      0,
    );
  }
});

test('two windows on the whole quilt: the second is told, and no card is half written', async ({
  page,
  context,
}) => {
  await openMatch(page, 'Slipway', 'Whole quilt');
  const use = (p: Page) => p.getByRole('button', { name: /^Use (this set-up|these \d+ set-ups)/ });
  // A second try finds the cards written already.
  if (!(await use(page).isVisible())) return;
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(use(other)).toBeVisible();
  await use(page).click();
  await expect(page.getByRole('button', { name: 'All cards stand so' })).toBeVisible();
  await use(other).click();
  await expect(other.getByText(/changed in another window/).first()).toBeVisible();
});
