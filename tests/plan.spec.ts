import { readFileSync } from 'node:fs';
import { expect, expectAccessible, openQuilt, pathOf, test } from './studio';

/** Takes up the first step with the keyboard and lays it one further down, each key after the last one is told. */
async function moveFirstStepDown(page: import('@playwright/test').Page) {
  const told = page.locator('[id^="DndLiveRegion"]');
  await page.getByRole('button', { name: /^Move step 1:/ }).focus();
  await page.keyboard.press('Space');
  await expect(told).toHaveText(/was moved over droppable area/);
  const taken = await told.textContent();
  await page.keyboard.press('ArrowDown');
  await expect(told).not.toHaveText(taken!);
  await page.keyboard.press('Space');
  await expect(told).toHaveText(/was dropped over/);
}

test('the plan: passes fixed, the order laid by hand, the frame, a step logged', async ({ page }) => {
  await openQuilt(page, 'Long Gallery', '/quilt');
  await expect(page.getByRole('heading', { name: 'Plan of Long Gallery' })).toBeVisible();
  await expect(page.getByText(/Rolling and thread changes/)).toBeVisible();
  await expectAccessible(page);
  const frame = page.getByRole('button', { name: 'Put it on the frame' });
  await page.getByRole('button', { name: /^Lock in these \d+ passes/ }).click();
  await expect(page.getByText(/passes are locked in/)).toBeVisible();
  await expect(frame).toBeVisible();
  await page.getByRole('button', { name: 'Change the order' }).click();
  await moveFirstStepDown(page);
  await expect(page.getByText(/as you lay it now/)).toBeVisible();
  await page.getByRole('button', { name: 'Save my order' }).click();
  await expect(page.getByText('Your order is saved.')).toBeVisible();
  await page.reload();
  await expect(page.getByText(/as you laid it/)).toBeVisible();
  await page.getByRole('button', { name: 'Put it on the frame' }).click();
  // Another quilt is on it: that is asked first, and can be left.
  await expect(page.getByRole('group', { name: 'Harbour Lights is on this frame' })).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();

  await openQuilt(page, 'Harbour Lights', '/quilt');
  const next = page.getByLabel(/^Minutes for/);
  await next.fill('soon');
  await page.getByRole('button', { name: 'Finish step' }).click();
  await expect(page.getByText('Minutes: give a number.')).toBeVisible();
  await next.fill('31');
  await page.getByRole('button', { name: 'Finish step' }).click();
  await expect(page.getByText(/The step is logged; \d+ are left/)).toBeVisible();
});

test('the map: cut, undone, drawn, saved as SVG, kept', async ({ page }) => {
  await openQuilt(page, 'Salt Pans', '/take-in');
  await page.getByRole('link', { name: 'Draw the map' }).click();
  await expect(page.getByRole('heading', { name: 'Map of Salt Pans' })).toBeVisible();
  await expectAccessible(page);
  const map = page.getByRole('group', { name: /^Quilt map/ });
  const zones = page.getByRole('list', { name: 'Zones' }).getByRole('listitem');
  const before = await zones.count();
  const box = (await map.boundingBox())!;
  const at = (x: number, y: number) => map.click({ position: { x: box.width * x, y: box.height * y } });
  await page.getByRole('radio', { name: 'Cut' }).click();
  await at(0.5, 0.05);
  await at(0.5, 0.95);
  expect(await zones.count()).toBeGreaterThan(before);
  await page.keyboard.press('Control+z');
  await expect(zones).toHaveCount(before);
  await page.getByRole('radio', { name: 'Draw' }).click();
  for (const [x, y] of [
    [0.3, 0.3],
    [0.6, 0.3],
    [0.6, 0.6],
  ] as const)
    await at(x, y);
  await page.getByRole('button', { name: 'Close the shape' }).click();
  await expect(zones).toHaveCount(before + 1);
  await page
    .getByLabel(/^Name of zone/)
    .last()
    .fill('Sail');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as SVG' }).click(),
  ]);
  const svg = readFileSync((await download.path())!, 'utf8');
  expect(svg).toContain('<title>Sail</title>');
  // A corner moved with the arrows keeps its neighbours: still no hole.
  await page.getByRole('radio', { name: 'Pick and drag' }).click();
  await page
    .getByRole('checkbox', { name: /^Pick zone/ })
    .last()
    .check();
  await page.getByRole('button', { name: /^Corner 1 of Sail/ }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/belong to no zone|overlap/)).toBeHidden();
  await page.getByRole('button', { name: 'Save the map' }).click();
  await expect(page.getByText(/The map is saved/)).toBeVisible();
  await expect(page.getByRole('row', { name: /Sail/ })).toBeVisible();

  // The file brings the same map back.
  await page.getByRole('link', { name: 'Draw the map' }).click();
  await page
    .getByLabel('From SVG')
    .setInputFiles({ name: 'map.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(svg) });
  await expect(page.getByText(/shapes are laid on the map/)).toBeVisible();
  await page
    .getByLabel('From SVG')
    .setInputFiles({ name: 'bad.svg', mimeType: 'image/svg+xml', buffer: Buffer.from('not svg') });
  await expect(page.getByText('This file is not SVG.')).toBeVisible();
});

test('the calendar: moved with the arrows, promised anew, out as iCalendar and CSV', async ({
  page,
  request,
}) => {
  await page.goto('/calendar');
  await expectAccessible(page);
  const bar = page.getByRole('button', { name: /^Lantern Row:/ });
  const before = await bar.getAttribute('aria-label');
  await bar.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('The calendar is laid anew.')).toBeVisible();
  await expect(bar).not.toHaveAttribute('aria-label', before!);
  await bar.click();
  await page.getByLabel('Promised for').fill('2020-01-01');
  await page.getByRole('button', { name: 'Lay it so' }).click();
  await expect(page.getByText('That day is past.', { exact: false })).toBeVisible();
  const ics = await (await request.get('/calendar/file')).text();
  expect(ics).toContain('BEGIN:VCALENDAR');
  expect(ics).toContain('SUMMARY:Lantern Row promised to Piers Amadi');
  const csv = await (await request.get('/calendar/file?as=csv')).text();
  expect(csv).toContain('8 in 10 by');
});

test('every sheet prints black on white', async ({ page }) => {
  const quilt = await pathOf(page, 'Nine Buoys');
  for (const [sheet, words] of [
    ['loading', 'Backing to the leaders'],
    ['order', 'Top thread'],
    ['cards', 'tested'],
  ] as const) {
    await page.goto(`${quilt}/sheets/${sheet}`);
    await expect(page.getByText(words).first()).toBeVisible();
    await expectAccessible(page);
  }
});
