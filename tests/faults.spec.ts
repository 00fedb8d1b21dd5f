import { expect, expectAccessible, openQuilt, test } from './studio';

test('a fault’s cause in a few checks, closed with what helped, and learned from', async ({ page }) => {
  await openQuilt(page, 'Harbour Lights');
  await page.keyboard.press('f');
  await expect(page.getByRole('dialog')).toBeVisible();
  // Two taps: what, and where.
  await page.getByRole('dialog').getByRole('button', { name: 'Skipped stitches', exact: true }).click();
  await page
    .getByRole('dialog')
    .getByRole('img', { name: /Quilt map/ })
    .click({ position: { x: 150, y: 120 } });
  await expect(page.getByRole('heading', { name: /^Fault \d+ is noted/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('radio', { name: '2', exact: true }).click();
  await page.getByRole('button', { name: 'Over a seam' }).click();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText(/is kept/)).toBeVisible();
  await page
    .getByRole('navigation', { name: /Steps/ })
    .getByRole('link', { name: /^Quilt/ })
    .click();
  await page.getByRole('link', { name: 'Faults', exact: true }).click();
  await page.getByRole('link', { name: 'Skipped stitches' }).last().click();
  await expect(page.getByRole('heading', { name: /^Fault \d+: Skipped stitches/ })).toBeVisible();
  const likely = page.getByRole('region', { name: 'Likely causes' });
  await expect(likely.getByRole('listitem')).toHaveCount(5);
  // The next check and the first five causes are seen at once.
  const box = (await likely.getByRole('listitem').last().boundingBox())!;
  expect(box.y + box.height).toBeLessThanOrEqual(800);
  await expectAccessible(page);
  const told = page.getByRole('group', { name: 'What it told' });
  const title = page.getByRole('region', { name: 'Next check' }).getByRole('heading');
  for (let i = 0; i < 2; i++) {
    const before = await title.first().innerText();
    await told.getByRole('button').last().click();
    await expect(title.first()).not.toHaveText(before);
  }
  await expect(page.getByRole('heading', { name: 'Checks made' })).toBeVisible();
  await page.getByLabel('When did it begin?').selectOption({ index: 1 });
  await expect(page.getByLabel('When did it begin?')).not.toHaveValue('');
  await page.getByRole('button', { name: 'Found it' }).click();
  await page.getByLabel(/^Cause/).selectOption({ label: 'none of these: in my own words' });
  await page.getByRole('button', { name: 'Close this fault' }).click();
  await expect(page.getByText(/Say what it was/)).toBeVisible();
  await page.getByLabel(/^Cause/).selectOption({ index: 0 });
  await page.getByLabel('What you did').fill('a new needle');
  await page.getByRole('radio', { name: 'yes' }).click();
  await page.getByRole('button', { name: 'Close this fault' }).click();
  await expect(page.getByText('This studio’s causes are learned from it.')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'It is back: open it again' }).click();
  await expect(likely).toBeVisible();
});

test('the fault book: narrowed by the address, counted against what was sewn, from a bar to its faults, out as CSV', async ({
  page,
}) => {
  await page.goto('/faults');
  await expect(page.getByRole('heading', { name: 'Fault book' })).toBeVisible();
  await expectAccessible(page);
  const rates = page.getByRole('region', { name: 'Rates by top thread' });
  const rows = page.getByRole('region', { name: 'Faults' }).getByRole('row');
  const all = await rows.count();
  await rates.getByRole('link').first().click();
  await expect(page).toHaveURL(/of=/);
  await expect(page.getByRole('link', { name: 'Show all' })).toBeVisible();
  expect(await rows.count()).toBeLessThanOrEqual(all);
  await page.getByRole('link', { name: 'Show all' }).click();
  await page.getByLabel('Counted by').selectOption('technique');
  await page.getByLabel('Quilt, client, thread or note').fill('no such quilt %');
  await page.getByRole('button', { name: 'Narrow' }).click();
  await expect(page.getByText('No fault like that')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Rates by technique' })).toBeVisible();
  const csv = await (await page.request.get('/faults/file')).text();
  expect(csv.split('\r\n')[0]).toContain('When,Quilt,Client,Zone');
  expect(csv.split('\r\n').length).toBeGreaterThan(3);
});

test('the book tells since when, by direction and what cured what', async ({ page }) => {
  await page.goto('/faults?part=since');
  const part = (name: string) => page.getByRole('region', { name });
  await expect(
    part('Since when')
      .getByText(/in 100 000 stitches|rate is even/)
      .first(),
  ).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Direction', exact: true }).click();
  await expect(part('By direction').getByRole('img')).toHaveCount(4);
  await page.getByRole('link', { name: 'What cured what' }).click();
  await expect(part('What cured what').getByRole('row', { name: /a net over the cone/ })).toContainText(
    '1 of 1',
  );
  await page.getByLabel('Order').selectOption('dearest');
  await page.getByRole('button', { name: 'Narrow' }).click();
  await expect(page).toHaveURL(/sort=dearest.*part=cures|part=cures.*sort=dearest/);
  await expect(part('Faults').getByRole('row').nth(1)).toContainText('Skipped stitches');
});

test('on a phone the bench asks one thing a screen', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/faults?state=open');
  await page.getByRole('region', { name: 'Faults' }).getByRole('link').first().click();
  const likely = page.getByRole('region', { name: 'Likely causes' });
  await expect(page.getByRole('region', { name: 'Next check' })).toBeVisible();
  await expect(likely).toBeHidden();
  await page.getByRole('radio', { name: 'causes' }).click();
  await expect(likely).toBeVisible();
  await expect(page.getByRole('region', { name: 'Next check' })).toBeHidden();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
