import { awake, expect, test } from '../studio';

test('the counter talk survives a lost answer, an outage, and being left at once', async ({ page }) => {
  await page.goto('/take-in');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByLabel('The quilt’s name')).toBeVisible();
  const talk = page.url();
  const status = page.getByRole('status').first();
  let lose = 1;
  await page.route('**/take-in/**', async (route) => {
    if (route.request().method() !== 'POST' || lose === 0) return route.continue();
    lose--;
    // It is stored; only the answer never comes.
    await route.fetch();
    await route.abort('connectionreset');
  });
  await page.getByLabel('The quilt’s name').fill('Ebb');
  await expect(status).toContainText('Not kept yet');
  await page.getByLabel('The quilt’s name').fill('Ebb and flow');
  await expect(status).toHaveText('saved');
  await page.unroute('**/take-in/**');
  await page.reload();
  await expect(page.getByLabel('The quilt’s name')).toHaveValue('Ebb and flow');

  // Left within a second of typing.
  await page.getByLabel('The quilt’s name').fill('Ebb and flow and slack');
  await page.goto('/');
  await page.goto(talk);
  await expect(page.getByLabel('The quilt’s name')).toHaveValue('Ebb and flow and slack');

  // Typed before the page's program has come: two boxes, and both count.
  let release = () => {};
  const held = new Promise<void>((r) => (release = r));
  await page.route('**/_next/static/**/*.js*', async (route) => {
    await held;
    await route.continue();
  });
  await page.reload({ waitUntil: 'commit' });
  await page.getByLabel('The quilt’s name').fill('Ebb, early');
  await page.getByLabel('Client, new or known').fill('Odile Marsh');
  release();
  await awake(page);
  await expect(status).toHaveText('saved');
  await page.unroute('**/_next/static/**/*.js*');
  await page.reload();
  await awake(page);
  await expect(page.getByLabel('The quilt’s name')).toHaveValue('Ebb, early');
  await expect(page.getByLabel('Client, new or known')).toHaveValue('Odile Marsh');

  // Nobody there: it lies on the device, and goes by itself when the line is back.
  await page.context().setOffline(true);
  await page.getByLabel('The quilt’s name').fill('Written in the dark');
  await expect(status).toContainText('Not kept yet');
  await page.context().setOffline(false);
  await expect(status).toHaveText('saved');
  await page.reload();
  await expect(page.getByLabel('The quilt’s name')).toHaveValue('Written in the dark');
});
