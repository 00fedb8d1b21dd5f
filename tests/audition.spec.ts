import { expect } from '@playwright/test';
import { expectAccessible, openQuilt, test } from './studio';

test('two ways for a zone side by side: drawn, kept for the client, printed, chosen and taken back', async ({
  page,
}) => {
  await openQuilt(page, 'Lantern Row', '/match/audition');
  const [a, b] = [page.getByRole('region', { name: 'Way A' }), page.getByRole('region', { name: 'Way B' })];
  await a.getByLabel('Technique, way A').selectOption('teardrop-echo');
  await a.getByRole('radio', { name: 'paisley drops' }).click();
  await expect(a.getByRole('img', { name: /echoed teardrops at/i })).toBeVisible();
  await b.getByLabel('Technique, way B').selectOption('swirls');
  await expect(b.getByRole('img', { name: /swirls at/i })).toBeVisible();
  await expect(b).toContainText('Line on a square inch');
  const first = b.locator('optgroup[label="Patterns of the studio"] option').first();
  await b.getByLabel('Technique, way B').selectOption((await first.getAttribute('value'))!);
  await expect(b.getByRole('img', { name: /with repeats of/ })).toBeVisible();
  await expect(b.getByLabel('One repeat, wide')).toBeVisible();
  await page.getByRole('radio', { name: 'the whole quilt' }).click();
  await page.getByRole('radio', { name: 'from 3 m' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Show both to the client' }).click();
  await expect(page.getByRole('button', { name: 'Show neither' })).toBeVisible();
  await page
    .getByRole('region', { name: 'Way B' })
    .getByRole('button', { name: /^Quilt \w+ so$/ })
    .click();
  await expect(page.getByText('is quilted so from now on')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('is quilted so from now on')).toBeHidden();
  await page
    .getByRole('region', { name: 'Way A' })
    .getByRole('link', { name: 'Print it at full size' })
    .click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('at full size');
  await expect(page.getByRole('img').first()).toBeVisible();
  await expectAccessible(page);
});
