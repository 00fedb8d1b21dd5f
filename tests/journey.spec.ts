import { readFileSync } from 'node:fs';
import { expect, expectAccessible, openQuilt, test } from './studio';

test('from the Rack to a proven set-up and a noted fault', async ({ page }) => {
  await page.goto('/');
  await page
    .getByRole('link', { name: /^Ferry Blanket/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { level: 1, name: 'Ferry Blanket' })).toBeVisible();
  await page
    .getByRole('navigation', { name: /Steps/ })
    .getByRole('link', { name: /^Match/ })
    .click();
  const zones = page.getByRole('list', { name: 'Zones' });
  await zones
    .getByRole('link', { name: /to match/ })
    .first()
    .click();
  await expect(page.getByRole('region', { name: 'Setting card' })).toContainText('spi');
  await expect(page.getByRole('radiogroup', { name: 'Set-ups, best first' }).getByRole('radio')).toHaveCount(
    4,
  );
  await expect(page.getByRole('img', { name: /^Section along the seam/ })).toBeVisible();
  await expectAccessible(page);

  // A runner-up changes the card at once.
  const card = page.getByRole('region', { name: 'Setting card' });
  const first = await card.innerText();
  await page.getByRole('radio').nth(1).click();
  expect(await card.innerText()).not.toBe(first);
  await page.getByRole('radio').nth(0).click();

  await page.getByRole('button', { name: 'Test this set-up' }).click();
  await expect(page.getByRole('heading', { name: /^Test strip/ })).toBeVisible();
  await expectAccessible(page);

  // A first test that is too tight asks to loosen.
  await page.getByRole('radio', { name: 'Clear dots of bobbin thread on top' }).click();
  await page.getByRole('button', { name: 'Test 1 is sewn' }).click();
  await expect(page.getByRole('heading', { name: /^Loosen top tension/ })).toBeVisible();

  // Then balanced, way by way the first time, all four ways at once the next, until the search is content.
  for (let n = 2; n < 6; n++) {
    for (const way of n === 2 ? [/^Away/, /^Toward you/, /^To the left/, /^To the right/] : [/^All four/]) {
      await page.getByRole('radio', { name: way }).click();
      await page.getByRole('radio', { name: 'Balanced: interlock inside' }).click();
    }
    await page.getByRole('button', { name: `Test ${n} is sewn` }).click();
    await expect(page.getByText(`Test ${n}:`)).toBeVisible();
    if (await page.getByRole('heading', { name: 'Balanced: leave it so' }).isVisible()) break;
  }
  await page.getByRole('link', { name: 'See the setting card' }).click();
  await expect(card).toContainText('(tested)');
  await expect(card).toContainText(/balanced \d+ \w+, \d+ tests?/);

  // A fault, placed on the map.
  await page.keyboard.press('f');
  const dialog = page.getByRole('dialog', { name: 'Note a fault' });
  await dialog.getByText('Skipped stitches').click();
  await expectAccessible(page);
  await dialog.getByRole('img', { name: /^Quilt map/ }).click({ position: { x: 120, y: 90 } });
  const noted = page.getByRole('dialog', { name: /is noted/ });
  await noted.getByLabel('Note').fill('Over the denim seam');
  await noted.getByRole('button', { name: 'Keep it so' }).click();
  await expect(noted).toBeHidden();
  await page.keyboard.press('4');
  await page.getByRole('link', { name: /^Faults/ }).click();
  await expect(page.getByRole('row', { name: /Over the denim seam/ })).toContainText('Skipped stitches');
  await page.reload();
  await expect(page.getByRole('row', { name: /Over the denim seam/ })).toBeVisible();
  await expectAccessible(page);
});

test('a part held stays while the rest adapts; sliders move the drawings and can be taken back', async ({
  page,
}) => {
  await openQuilt(page, 'Nine Buoys', '/match');
  await page.getByLabel('Hold the stitch length').selectOption('9');
  const card = page.getByRole('region', { name: 'Setting card' });
  await expect(card).toContainText('9spi');
  await page.getByLabel('Hold the needle').selectOption('110');
  await expect(card).toContainText('Nm 110');
  await expect(card).toContainText('9spi');
  await page.getByLabel('Hold the needle').selectOption('60');
  await expect(page.getByText('Nothing on the shelf suits this zone')).toBeVisible();
  await page.getByRole('button', { name: 'Reset' }).click();
  await expect(page.getByRole('img', { name: /needle 1.00 mm/ })).toBeVisible();
  const tension = page.getByRole('slider', { name: 'Top tension' });
  await tension.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('PageUp');
  await expect(page.getByText(/bobbin thread on top|bobbin looped round it/i).first()).toBeVisible();
  await page.getByRole('button', { name: 'Back to the card' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save section as SVG' }).click(),
  ]);
  const svg = readFileSync((await download.path())!, 'utf8');
  expect(svg).toContain('<svg');
  expect(svg).not.toContain('var(--');
  await expect(page.getByRole('region', { name: 'Along the ruler' })).toContainText(
    'Sews a radius of 6.25 in',
  );
});

test('the same way with the keyboard only', async ({ page }) => {
  await page.goto('/');
  const link = page.getByRole('link', { name: /^Long Gallery/ }).first();
  await link.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Long Gallery' })).toBeVisible();
  await page.keyboard.press('2');
  await expect(page).toHaveURL(/\/match/);
  await page.keyboard.press(']');
  await expect(page).toHaveURL(/zone=/);
  const second = page.getByRole('list', { name: 'Zones' }).getByRole('link').nth(1);
  await expect(second).toHaveAttribute('aria-current', 'true');
  const radios = page.getByRole('radiogroup', { name: 'Set-ups, best first' });
  await radios.getByRole('radio', { checked: true }).focus();
  await page.keyboard.down('ArrowDown');
  await expect(radios.getByRole('radio').nth(1)).toBeChecked();
  await page.keyboard.up('ArrowDown');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('t');
  await expect(page).toHaveURL(/\/test/);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('f');
  const dialog = page.getByRole('dialog', { name: 'Note a fault' });
  await expect(dialog).toBeVisible();
  // The search has the focus; the first tile follows it.
  await expect(dialog.getByLabel('Search by name')).toBeFocused();
  await page.keyboard.type('eyelash');
  await expect(dialog.getByRole('button', { name: /eyelash/i }).first()).toBeVisible();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Space');
  await dialog.getByRole('button', { name: 'Note it without a place' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: /is noted/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
});

test('every page sends its security headers', async ({ request }) => {
  const response = await request.get('/');
  const h = response.headers();
  expect(h['content-security-policy']).toContain("frame-ancestors 'none'");
  expect(h['content-security-policy']).not.toMatch(/script-src[^;]*unsafe-inline/);
  expect(h['x-frame-options']).toBe('DENY');
  expect(h['x-content-type-options']).toBe('nosniff');
});

test('on a phone no page runs off the side, and the steps of a quilt lead on', async ({ page }) => {
  await page.setViewportSize({ width: 360, height: 740 });
  const fits = async () =>
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  for (const path of ['/', '/shelf', '/faults', '/record', '/calendar']) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeAttached();
    await fits();
  }
  await page.getByRole('navigation', { name: 'Main places' }).getByRole('link', { name: 'Rack' }).click();
  await page
    .getByRole('link', { name: /^Slipway/ })
    .first()
    .click();
  const steps = page.getByRole('navigation', { name: 'Steps of Slipway' });
  for (const step of ['Take in', 'Test', 'Quilt']) {
    await steps.getByRole('link', { name: new RegExp(`^${step}`) }).click();
    await expect(steps.getByRole('link', { name: new RegExp(`^${step}`) })).toHaveAttribute(
      'aria-current',
      'step',
    );
    await fits();
  }
  // Where there is no room for the map, a zone is picked by its letter.
  const letters = page.getByRole('list', { name: 'Zones by letter' });
  await letters.getByRole('link', { name: /^B, Planks/ }).click();
  await expect(letters.getByRole('link', { name: /^B, Planks/ })).toHaveAttribute('aria-current', 'true');
  await expectAccessible(page);
});

test('an address of nothing is answered in words', async ({ page }) => {
  for (const path of ['/quilts/not-a-quilt/match', '/quilts/00000000-0000-7000-8000-000000000000/test']) {
    await page.goto(path);
    await expect(page.getByText('Nothing hangs here')).toBeVisible();
  }
});
