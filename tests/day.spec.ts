import { expect } from '@playwright/test';
import { awake, expectAccessible, openQuilt, test } from './studio';

test('a quilt is offered, agreed, its way round found, its day made to fit and taken back', async ({
  page,
}) => {
  const quilt = await openQuilt(page, 'Nine Buoys', '/offer');

  // The offer that stands was agreed; a new one takes its place, and adds up.
  await expectAccessible(page);
  await expect(page.getByRole('heading', { name: /Offer 1, agreed on/ })).toBeVisible();
  await page.getByLabel('It is a rush').check();
  await expect(page.getByRole('region', { name: 'The offer as it stands' })).toContainText('Rush, 25 %');
  await page.getByRole('button', { name: 'Make a new offer' }).click();
  await expect(page.getByRole('heading', { name: 'Offer 2, offered' })).toBeVisible();
  await page.getByRole('button', { name: 'Client agreed' }).click();
  await expect(page.getByRole('heading', { name: /Offer 2, agreed on/ })).toBeVisible();
  await expect(page.getByText(/Offer 1, .* replaced by a newer one/)).toBeVisible();

  // The way round: begun elsewhere, stuck, and on.
  await page.goto(`${quilt}/quilt?part=route`);
  await awake(page);
  await expectAccessible(page);
  await page.getByRole('radio', { name: '2', exact: true }).click();
  const first = page.getByRole('listitem').filter({ hasText: /^1from/ });
  const before = await first.textContent();
  await first.getByRole('button', { name: 'Begin at its end' }).click();
  await expect(first).not.toHaveText(before!);
  await page.getByRole('button', { name: 'As it was' }).click();
  await expect(first).toHaveText(before!);
  await page.getByRole('radio', { name: 'I am stuck here' }).click();
  await page
    .getByLabel(/^Quilt map/)
    .last()
    .click({ position: { x: 160, y: 160 } });
  await expect(page.getByRole('region', { name: 'The way on' })).toContainText('Cheapest');

  // Sheets of both.
  await page.goto(`${quilt}/sheets/route`);
  await expect(page.getByText(/pass 1: \d+ starts?/)).toBeVisible();
  await page.goto(`${quilt}/sheets/offer`);
  await expect(page.getByText('Together')).toBeVisible();
});

test('rates, rulers and the marking strip can be read and printed', async ({ page }) => {
  for (const path of ['/workroom/rates', '/workroom/rulers', '/marking-strip']) {
    await page.goto(path);
    await awake(page);
    await expectAccessible(page);
  }
  await page.getByLabel('Repeat wished, in').fill('7');
  await expect(page.getByText('7 repeats')).toBeVisible();
  await page.getByLabel('Border between its corners, in').fill('far');
  await expect(page.getByText('Give a length above nothing.')).toBeVisible();
});
