import { expect } from '@playwright/test';
import { awake, expectAccessible, openQuilt, test } from './studio';

const WAVE = `<svg xmlns="http://www.w3.org/2000/svg" width="6in" height="3in" viewBox="0 0 6 3">
  <path fill="none" stroke="#000" d="M0 1.5C1 -0.5 2 -0.5 3 1.5C4 3.5 5 3.5 6 1.5"/></svg>`;

test('a drawing is taken in, found by its words, laid in a zone at a whole scale, and taken back', async ({
  page,
}) => {
  await page.goto('/workroom/patterns');
  await awake(page);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Add a drawing' }).click();
  const choose = page.getByLabel('Drawing', { exact: true });
  await choose.setInputFiles({ name: 'letter.svg', mimeType: 'image/svg+xml', buffer: Buffer.from('words') });
  await expect(page.getByRole('alert')).toContainText('neither an SVG nor a DXF');
  await choose.setInputFiles({ name: 'neap.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(WAVE) });
  const form = page.getByRole('dialog');
  await expect(form.getByText(/a row goes on without lifting/)).toBeVisible();
  await form.getByLabel('Name').fill('Neap tide');
  await form.getByLabel(/Words/).fill('tidal');
  await form.getByRole('button', { name: 'Keep this pattern' }).click();
  await page.getByLabel('Words', { exact: true }).fill('tidal');
  await expect(page.getByRole('listitem').filter({ hasText: 'Neap tide' })).toBeVisible();

  await openQuilt(page, 'Nine Buoys', '/match/pattern');
  await expectAccessible(page);
  await page.getByLabel('Find a pattern').fill('tidal');
  await page.getByRole('button', { name: 'Neap tide' }).click();
  const region = page.getByRole('region', { name: /^Neap tide in/ });
  await region.getByRole('radiogroup', { name: 'Comes out whole at' }).getByRole('radio').first().click();
  await expect(region).toContainText('Repeats and rows come out whole');
  await region.getByRole('button', { name: /^Quilt \w+ so$/ }).click();
  await expect(page.getByText('is quilted so from now on')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('is quilted so from now on')).toBeHidden();
});

test('with what zones are marked, and what a scrap says of it', async ({ page }) => {
  await openQuilt(page, 'Lantern Row', '/quilt?part=marking');
  await expectAccessible(page);
});
