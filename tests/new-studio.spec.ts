import type { Page } from '@playwright/test';
import { expect, expectAccessible, test } from './studio';

// Nothing is in it yet.
test.use({ demo: false });

/** Picks from one of our own lists. */
async function choose(page: Page, label: string, option: string) {
  await page.getByLabel(label, { exact: true }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

test('a new studio: from nothing to a first match', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText('The Rack is empty')).toBeVisible();
  await expectAccessible(page);

  // From nothing to a first sound set-up: every field and press is counted.
  const began = Date.now();
  let presses = 0;
  const press = async (act: Promise<unknown>) => {
    presses++;
    await act;
  };
  await press(page.getByRole('main').getByRole('link', { name: 'Quick set-up' }).click());
  await press(page.getByLabel('Fabric', { exact: true }).selectOption('batik'));
  await press(page.getByLabel('Technique', { exact: true }).selectOption('feathers'));
  await press(page.getByLabel(/^Thread, as on its label/).fill('Cotton 50/3 cream 1200 yd'));
  const answer = page.getByRole('region', { name: 'The set-up' });
  await expect(answer.getByRole('heading', { name: /^Cotton 50\/3 cream/ })).toBeVisible();
  await expect(answer.getByText(/^Nm (100|110) · US \d+/)).toBeVisible();
  await expect(answer.getByText(/Taken for granted: a longarm of the usual kind/)).toBeVisible();
  expect(presses).toBeLessThanOrEqual(8);
  expect(Date.now() - began).toBeLessThan(60_000);
  await expectAccessible(page);
  await page.getByLabel(/^Thread, as on its label/).fill('tex 900');
  await expect(page.getByRole('alert').first()).toContainText(/thread|needle/i);
  await page.getByLabel(/^Thread, as on its label/).fill('');
  await page.getByRole('button', { name: 'Take in a quilt with it' }).click();
  await expect(page.getByLabel('The quilt’s name')).toBeVisible();
  await expect(page.getByLabel('Wishes')).toHaveValue(/^feathers with/);
  await page.goto('/');

  // Along one thread: a machine of a usual kind needs its name, the drawer one tap.
  await page.getByRole('link', { name: 'Begin your studio' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Add the machine' }).click();
  await expect(page.getByText('Give the machine a name.')).toBeVisible();
  await page.getByLabel('What you call it').fill('The old frame');
  await page.getByRole('button', { name: 'Add the machine' }).click();
  await expect(page.getByText('1 machine', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: /^A usual drawer/ }).click();
  await expect(page.getByText('40 needles', { exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Look at the demo studio' })).toBeDisabled();

  await page.getByRole('link', { name: 'Thread shelf' }).click();
  await page.getByRole('button', { name: 'Add the first line' }).click();
  await page.getByLabel('Thread line, as on the cone').fill('Skerry Poly');
  await page.getByLabel('Size, as printed').fill('120/2');
  await expect(page.getByText('read by denier')).toBeVisible();
  await page.getByLabel('Colour name').fill('Foam');
  await page.getByLabel('Colour', { exact: false }).and(page.locator('#hex-0')).fill('#dfe4e0');
  await page.getByRole('button', { name: 'Another colour' }).click();
  await page.getByLabel('Colour name').nth(1).fill('Deep');
  await page.locator('#hex-1').fill('#223344');
  await page.getByRole('button', { name: 'Put 2 cones on the shelf' }).click();
  await expect(page.getByRole('button', { name: /Foam/ })).toBeVisible();

  await page.getByRole('link', { name: 'Take in a quilt' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByLabel('Client, new or known').fill('Nan Teller');
  await page.getByLabel('The quilt’s name').fill('First Tide');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Next: How large' }).click();
  for (const [i, n] of ['40', '41.5', '40'].entries()) await page.locator(`#widths-${i}`).fill(n);
  for (const i of [0, 1, 2]) await page.locator(`#lengths-${i}`).fill('50');
  await expect(page.getByText(/fuller than the edges/)).toBeVisible();
  await expectAccessible(page);
  // Left off and gone on with: nothing is lost.
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.locator('#widths-1')).toHaveValue('41.5');
  await page.getByRole('button', { name: 'Next: What it is made of' }).click();
  await page.getByRole('checkbox', { name: 'bulky seams' }).check();
  await page.getByLabel('Add photographs').setInputFiles('docs/screenshots/rack.png');
  await expect(page.getByRole('img', { name: 'Photograph 1' })).toBeVisible();
  await page.getByRole('button', { name: 'Next: Backing and batting' }).click();
  await expect(page.getByText(/counts as the strictest/)).toBeVisible();
  await page.getByRole('button', { name: 'Next: Layout and day' }).click();
  await choose(page, 'Laid out as', 'border, blocks and sashing');
  await expect(page.getByRole('img', { name: /Border, Corners, Blocks, Sashing/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByRole('heading', { name: 'What came over the counter' })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Photograph 1' })).toBeVisible();
  await page.getByRole('link', { name: 'Print the slip' }).click();
  await expect(page.getByRole('img', { name: /Code that opens/ })).toBeVisible();
  await page.getByRole('link', { name: 'Back' }).click();
  await expect(page.getByRole('heading', { name: 'What came over the counter' })).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.getByRole('region', { name: 'Setting card' })).toContainText('Skerry Poly');
  await expect(page.getByRole('region', { name: 'Setting card' })).toContainText(/Nm (90|100)/);
});
