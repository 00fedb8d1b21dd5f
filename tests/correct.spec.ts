import { expect, type Page } from '@playwright/test';
import { awake, expectAccessible, openQuilt, test } from './studio';

async function choose(page: Page, label: string, option: string) {
  await page.getByLabel(label, { exact: true }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}
const fact = (page: Page, name: string) =>
  page
    .locator('dl > div')
    .filter({ has: page.locator('dt', { hasText: new RegExp(`^${name}$`) }) })
    .locator('dd');

test('a bundle with everything wrong in it is taken in, corrected, undone, withdrawn and taken in again', async ({
  page,
}) => {
  await page.goto('/take-in');
  await awake(page);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByLabel('The quilt’s name')).toBeVisible();
  await awake(page);
  await page.getByLabel('Client, new or known').fill('Nan Teler');
  await page.getByLabel('The quilt’s name').fill('Crab Pots');
  await page.getByLabel('E-mail').fill('nan at harbour');
  await page.getByRole('button', { name: 'Next: How large' }).click();
  // As people write lengths.
  for (const [i, n] of ['40 1/4', '102 cm', '3 ft 4 in'].entries())
    await page.locator(`#widths-${i}`).fill(n);
  for (const i of [0, 1, 2]) await page.locator(`#lengths-${i}`).fill('50"');
  await page.getByRole('button', { name: 'Next: What it is made of' }).click();
  await page.getByRole('button', { name: 'Something found on it' }).click();
  await page.getByPlaceholder('stain, rip, wavy border …').fill('ruffeld');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/float the top, denser/)).toBeVisible();
  await page.getByLabel(/^Where/).fill('right border');
  await page.getByRole('button', { name: 'Something found on it' }).click();
  await page.getByPlaceholder('stain, rip, wavy border …').fill('rust');
  await page.keyboard.press('Enter');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Next: Backing and batting' }).click();
  await page.getByRole('button', { name: 'Next: Layout and day' }).click();
  await expect(page.getByRole('region', { name: 'When it can be ready' })).toContainText('9 in 10');
  await page.getByRole('button', { name: /^Promise / }).click();
  await page.getByRole('button', { name: 'Take it in' }).click();
  // The wrong address leads back to its page; nothing typed is lost.
  await page.getByRole('button', { name: /Write the address like/ }).click();
  await page.getByLabel('E-mail').fill('nan@harbour.example');
  for (const next of ['How large', 'What it is made of', 'Backing and batting', 'Layout and day'])
    await page.getByRole('button', { name: `Next: ${next}` }).click();
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByRole('heading', { name: 'What came over the counter' })).toBeVisible();
  await expect(fact(page, 'Size')).toContainText('40.125 × 50 in');
  await expect(page.getByRole('button', { name: /Stain.*client must agree/ })).toBeVisible();

  // Everything said wrong is said anew, and told what it undid.
  const batting = await fact(page, 'Batting').textContent();
  await page.getByRole('button', { name: 'Edit', exact: true }).click();
  await page.getByLabel('Client', { exact: true }).fill('Nan Teller');
  await page.getByLabel(/^Widths/).fill('44; 44 1/4; 44');
  await choose(page, 'Batting', 'Drumlin 80/20');
  await page.getByLabel(/^Deposit ·/).fill('50,50');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/^Saved\. The map is drawn at the new size/)).toBeVisible();
  await expect(fact(page, 'Size')).toContainText('44.125 × 50 in');
  await expect(fact(page, 'Batting')).toHaveText('Drumlin 80/20');
  await expect(fact(page, 'Deposit')).toContainText('€50.50');
  const changes = page.getByRole('region', { name: 'Changes since intake' });
  await changes.getByRole('button', { name: 'Undo' }).click();
  await expect(fact(page, 'Batting')).toHaveText(batting!);
  await expect(fact(page, 'Size')).toContainText('40.125 × 50 in');
  await changes.getByRole('button', { name: 'Put back' }).click();
  await expect(fact(page, 'Client')).toHaveText('Nan Teller');

  // A thing found gets its place on the map and the client's word.
  await page.getByRole('button', { name: /Stain/ }).click();
  await choose(page, 'It is', 'client agreed');
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: /Stain.*client agreed/ })).toBeVisible();

  // The letters say it as it stands.
  await page.getByRole('link', { name: 'Letters' }).click();
  await expect(page.getByRole('article')).toContainText('Deposit received: €50.50');
  await page.getByRole('link', { name: 'What we found on it' }).click();
  await expect(page.getByRole('article')).toContainText(/Wavy border \(right border/);
  await expectAccessible(page);
  const [mail] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: /Download as e-mail/ }).click(),
  ]);
  expect(mail.suggestedFilename()).toMatch(/^crab-pots-found-.*\.eml$/);

  // Withdrawn it waits for nothing, and can be taken in again.
  await page.getByRole('link', { name: 'Back', exact: true }).click();
  await page.getByRole('button', { name: 'Withdraw', exact: true }).click();
  await page.getByLabel(/^Why/).fill('She quilts it by hand');
  await page.getByRole('button', { name: 'Withdraw it' }).click();
  await expect(page.getByText(/She quilts it by hand\. It is kept for the record/)).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('link', { name: /^Crab Pots/ })).toHaveCount(0);
  await page.goto('/record');
  await page.getByRole('link', { name: /Crab Pots/ }).click();
  await page.getByRole('button', { name: 'Take it in again' }).click();
  await expect(page.getByText(/It is kept for the record/)).toHaveCount(0);
  await page.goto('/');
  await expect(page.getByRole('link', { name: /^Crab Pots/ }).first()).toBeVisible();
});

test('backing and binding stay as chosen, left at once or not; the loading sheet and the shopping list say the same', async ({
  page,
}) => {
  await openQuilt(page, 'Signal Flags', '/prepare');
  await page.getByLabel(/^Strips cut at/).fill('6 cm');
  await page.getByLabel(/, width/).fill('108');
  // Left before it can have been kept: it stands there again, and is kept.
  await page.reload();
  await expect(page.getByLabel(/^Strips cut at/)).toHaveValue(/^2\.36/);
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel(/^Strips cut at/)).toHaveValue(/^2\.36/);
  const url = page.url().replace(/\/prepare.*/, '');
  await page.goto(`${url}/sheets/loading`);
  await expect(page.getByText(/Backing/).first()).toBeVisible();
  await page.goto('/shopping');
  await expect(page.getByText(/backing of Signal Flags/)).toBeVisible();
  const row = page.getByRole('listitem').filter({ hasText: 'batting of Signal Flags' });
  await row.getByRole('radio', { name: 'done' }).click();
  await expect(
    page.getByRole('region', { name: 'Ordered or here' }).getByText('batting of Signal Flags'),
  ).toBeVisible();
  await expectAccessible(page);
});
