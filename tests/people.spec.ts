import type { Page } from '@playwright/test';
import { expect, expectAccessible, test } from './studio';

const signedIn = (page: Page, name: string) =>
  expect(page.getByRole('region', { name: 'Signed in' }).getByText(name)).toBeVisible();

test('a second person is invited, sews, is told what is not hers; a tablet is paired and ended', async ({
  page,
  browser,
}) => {
  await page.goto('/workroom/people');
  await expectAccessible(page);
  await page.getByLabel('From now on').fill('neap tide at five');
  await page.getByRole('button', { name: 'Set it' }).click();
  await expect(page.getByText('Your passphrase is set.')).toBeVisible();
  await page.getByRole('button', { name: 'Invite somebody' }).click();
  await page.getByLabel('Name she signs in with').fill('Ines');
  await page.getByRole('button', { name: 'Make the link' }).click();
  const link = page.getByRole('region', { name: 'For Ines' });
  const path = new URL((await link.locator('code').textContent())!).pathname;

  const hers = await (await browser.newContext()).newPage();
  const base = new URL(page.url()).origin;
  await hers.goto(`${base}${path}`);
  await expect(hers.getByRole('heading', { name: 'Welcome, Ines' })).toBeVisible();
  await hers.getByLabel('Passphrase').fill('spring tide');
  await hers.getByLabel('The same again').fill('spring tide');
  await hers.getByRole('button', { name: 'Come in' }).click();
  await expect(hers.getByRole('link', { name: /^Harbour Lights/ }).first()).toBeVisible();
  // From now on the owner signs in too.
  await page.goto('/');
  await page.getByLabel('Your name in this studio').fill('The quilter');
  await page.getByLabel('Your passphrase').fill('neap tide at five');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('link', { name: /^Harbour Lights/ }).first()).toBeVisible();
  // A hand has no right to the rates.
  await hers.goto(`${base}/workroom/rates`);
  await hers
    .getByRole('button', { name: /save|keep/i })
    .first()
    .click();
  await expect(hers.getByText('This is not yours to do.')).toBeVisible();
  expect((await hers.request.get(`${base}/backup`)).status()).toBe(403);

  await page.goto('/workroom/people');
  await signedIn(page, 'Ines');
  await page.getByRole('button', { name: 'Pair a device' }).click();
  await page.getByLabel('What it is called').fill('tablet');
  await page.getByRole('button', { name: 'Show the code' }).click();
  const code = page.getByRole('region', { name: 'Read this with the device’s camera' });
  const pairing = new URL((await code.locator('code').textContent())!).pathname;
  const tablet = await (await browser.newContext()).newPage();
  await tablet.goto(`${base}${pairing}`);
  await tablet.getByRole('button', { name: 'Pair it' }).click();
  await expect(tablet.getByRole('link', { name: /^Harbour Lights/ }).first()).toBeVisible();
  const [quilt] = (await (await tablet.request.get(`${base}/find?q=Harbour%20Lights`)).json()) as {
    id: string;
  }[];
  const entry = {
    id: '01a1c000-0000-7000-8000-000000000001',
    quiltId: quilt!.id,
    at: new Date().toISOString(),
    kind: 'note',
    note: 'from the tablet',
  };
  const send = (device: string) =>
    tablet.request.post(`${base}/log`, { data: { device, entries: [entry] }, headers: { origin: base } });
  const strange = await send('0198c000-0000-7000-8000-00000000000a');
  expect(strange.status()).toBe(403);
  expect(((await strange.json()) as { error: { message: string } }).error.message).toContain('pair it again');
  const own = (await tablet.context().cookies()).find((c) => c.name === 'tidy-spool-device')!.value;
  expect((await send(own)).status()).toBe(200);

  await page.reload();
  await page.getByRole('button', { name: 'tablet is lost: end it' }).click();
  await expect(page.getByText('It comes in no more.')).toBeVisible();
  await tablet.goto(base);
  await expect(tablet.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove Ines' }).click();
  await expect(page.getByText('Signed out everywhere')).toBeVisible();
  await hers.goto(base);
  await expect(hers.getByRole('heading', { name: 'Sign in' })).toBeVisible();
});
