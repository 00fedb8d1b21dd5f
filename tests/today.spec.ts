import { awake, expect, expectAccessible, openQuilt, test } from './studio';

test('the day: care done with a press and undone, a clock at the table, into a calendar', async ({
  page,
}) => {
  await page.goto('/today');
  await awake(page);
  await expectAccessible(page);
  const list = page.getByRole('list', { name: 'To do today' });
  expect(await list.getByRole('listitem').count()).toBeLessThanOrEqual(10);
  await list.getByRole('button', { name: /^Done: Oil the hook/ }).click();
  await expect(page.getByText('Noted in the service log.')).toBeVisible();
  await expect(list.getByRole('button', { name: /^Done: Oil the hook/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(list.getByRole('button', { name: /^Done: Oil the hook/ })).toBeVisible();
  const start = page.getByRole('button', { name: /start the clock/ }).first();
  const name = (await start.getAttribute('aria-label'))!.replace(': start the clock', '');
  await start.click();
  await expect(page.getByRole('button', { name: `${name}: pause the clock` }).first()).toBeVisible();
  const file = await page.request.get('/today/file');
  expect(await file.text()).toContain('BEGIN:VEVENT');
});

test('a service that touched the hook is noted, with the manual’s own figures, and the tests are to be sewn again', async ({
  page,
}) => {
  await page.goto('/workroom/care');
  await awake(page);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Timing: note a service' }).click();
  await page.getByLabel('By a technician').fill('Una Thorne');
  await page.getByLabel('Found').fill('hook a hair late');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(
    page.getByRole('region', { name: 'Service log' }).getByText('by Una Thorne').first(),
  ).toBeVisible();
  await openQuilt(page, 'Nine Buoys', '/test');
  await expect(page.getByText(/serviced since/).first()).toBeVisible();
  await page.goto('/workroom/care');
  await page.getByRole('button', { name: 'Level of the frame: what the manual says' }).click();
  await page.getByLabel('The manual says there is nothing to do').check();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('none: sealed, by the manual')).toBeVisible();
});
