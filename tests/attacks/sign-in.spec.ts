import { spawn } from 'node:child_process';
import { expect, test } from '../studio';
import { hashPassphrase } from '../../src/serve/passphrase';
import { freePort } from '../serve';

/** The same studio, served with a passphrase, under a name that is not this computer's. */
test('nobody comes in without the passphrase; with it, forms are stored under a foreign name too', async ({
  browser,
  studio,
}) => {
  const port = await freePort();
  const server = spawn(process.execPath, ['.next/serve.mjs'], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: studio.databaseUrl,
      HOST: '127.0.0.1',
      PORT: String(port),
      TIDY_SPOOL_HOSTS: 'studio.test',
      TIDY_SPOOL_PASSPHRASE_HASH: await hashPassphrase('neap tide at five'),
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  try {
    const url = `http://studio.test:${port}`;
    const page = await browser.newPage();
    await expect(async () => {
      expect((await page.goto(url))!.status()).toBe(200);
    }).toPass({ timeout: 180_000 });
    await expect(page.getByRole('heading', { name: 'Tidy Spool' })).toBeVisible();
    const passphrase = page.getByLabel('The studio’s passphrase');
    await passphrase.fill('something else');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByText('That is not the passphrase.')).toBeVisible();
    await passphrase.fill('neap tide at five');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('link', { name: /^Harbour Lights/ }).first()).toBeVisible();
    const [cookie] = await page.context().cookies();
    expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Strict' });
    // Keys of forms are made without what only secure pages have.
    expect(await page.evaluate(() => window.isSecureContext)).toBe(false);
    await page.goto(`${url}/workroom/rulers`);
    await page.getByRole('button', { name: 'Add a ruler' }).click();
    await page.getByLabel(/^Name/).fill('Ruler of the pier');
    await page.getByRole('button', { name: 'Keep this ruler' }).click();
    await expect(page.getByText('Ruler of the pier')).toBeVisible();
    const stranger = await (
      await browser.newContext()
    ).request.get(`http://127.0.0.1:${port}/export/workroom`, {
      failOnStatusCode: false,
    });
    expect(stranger.status()).toBe(401);
    await page.close();
  } finally {
    server.kill('SIGTERM');
  }
});
