import { expect } from '@playwright/test';
import { expectAccessible, openQuilt, test } from './studio';

test('what to quilt where: proposals on the map, a zone held while the rest adapts, one laid and taken back', async ({
  page,
}) => {
  await openQuilt(page, 'Ferry Blanket', '/match/motifs');
  const few = page.getByRole('article', { name: 'Few motifs' });
  await expect(few).toBeVisible();
  await expectAccessible(page);
  const zone = page.getByRole('region', { name: /^Zone A/ });
  const before = await zone.getByRole('heading').first().textContent();
  const hold = zone.getByRole('button', { name: /^Hold/ }).nth(1);
  const held = (await hold.getAttribute('aria-label'))!.replace(/^Hold | here$/g, '');
  await hold.click();
  await expect(few.getByRole('listitem').first()).toContainText(held);
  await few.getByRole('button', { name: 'Use this' }).click();
  await expect(zone.getByRole('heading').first()).toContainText(`now ${held}`);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(zone.getByRole('heading').first()).toHaveText(before!);
  // A pattern of the studio stands among them, and is laid as it was weighed.
  const pattern = zone.getByRole('row').filter({ hasText: 'your pattern' }).first();
  await pattern.getByRole('button', { name: /^Use/ }).click();
  await expect(zone.getByRole('heading').first()).toContainText('repeats of');
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(zone.getByRole('heading').first()).toHaveText(before!);
  await page.getByLabel('Hours agreed').fill('0.5');
  await expect(page.getByText(/more than the 0.5 h agreed/)).toBeVisible();
  await page.getByLabel('It is').selectOption('negative space');
  await expect(page.getByLabel('It is')).toHaveValue('space');
});
