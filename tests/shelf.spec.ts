import postgres from 'postgres';
import { expect, expectAccessible, test } from './studio';

test('the shelf: filtered, picked with the keyboard, compared', async ({ page }) => {
  await page.goto('/shelf');
  await expect(page.getByRole('button', { name: /^Tar/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Fibre').selectOption('cotton');
  await expect(page.getByText(/of \d+ cones/)).toBeVisible();
  await page.getByLabel('Fibre').selectOption('all');
  await page.getByRole('button', { name: /^Tar/ }).focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Compare 2' }).click();
  await expect(page.getByRole('heading', { name: 'Compare threads' })).toBeVisible();
  const drawing = page.getByRole('img', { name: /eye of a Nm 100 needle/ });
  await expect(drawing).toBeVisible();
  await page.getByRole('slider').focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('img', { name: /eye of a Nm 110 needle/ })).toBeVisible();
  await expectAccessible(page);
});

test('a file is previewed with every problem, its good rows stored, and taken back', async ({ page }) => {
  await page.goto('/workroom/files');
  const csv =
    'Product;Color;Hex;Fiber;Weight\nGale;Storm;#445566;trilobal;40 wt\nGale;Dusk;red;cotton;50/3\n';
  await page.setInputFiles('input[accept*=".csv"]', {
    name: 'gale.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(csv, 'latin1'),
  });
  await expect(page.getByText('“red” is not a colour.', { exact: false })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Store the 1 good ones' }).click();
  await expect(page.getByText('1 stored, 1 left out.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Taken back: 1 removed.')).toBeVisible();
  await page.setInputFiles('input[accept*=".csv"]', {
    name: 'x.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from([0x50, 0x4b, 3, 4, 0, 0]),
  });
  await expect(page.getByText('This file is not text.', { exact: false })).toBeVisible();
  await page.setInputFiles('input[accept*=".csv"]', {
    name: 'big.csv',
    mimeType: 'text/csv',
    buffer: Buffer.alloc(11_000_000, 'a,b\n'),
  });
  await expect(page.getByText(/at most 10 MB/)).toBeVisible();
});

test('Find goes anywhere from the keyboard', async ({ page }) => {
  await page.goto('/');
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox')).toBeFocused();
  await page.keyboard.type('tide');
  await expect(page.getByRole('option')).toHaveCount(1);
  await expect(page.getByRole('option', { name: /^Tide Table/ })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Tide Table' })).toBeVisible();
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox')).toBeFocused();
  await page.keyboard.type('evenness');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/preferences/);
});

test('every part of the Workroom passes the accessibility check, and its acts work', async ({ page }) => {
  for (const part of ['machine', 'needles', 'bobbins', 'cloth', 'rulers', 'preferences']) {
    await page.goto(`/workroom/${part}`);
    await expectAccessible(page);
  }
  await page.goto('/workroom/machine');
  await page.getByRole('listitem').filter({ hasText: 'Bobbin screw to grams' }).getByRole('button').click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('img')).toBeVisible();
  for (const [i, [mark, value]] of [
    ['-3', '14'],
    ['-2', '20'],
  ].entries()) {
    await dialog
      .getByLabel(/^Turns/)
      .nth(i)
      .fill(mark!);
    await dialog
      .getByLabel(/^Gauge/)
      .nth(i)
      .fill(value!);
  }
  await expect(dialog.getByText(/misses the measurements by 0.0 %/)).toBeVisible();
  await expectAccessible(page);
  await dialog
    .getByLabel(/^Gauge/)
    .nth(1)
    .fill('8');
  await expect(dialog.getByText(/falls while the mark rises/)).toBeVisible();
  await dialog
    .getByLabel(/^Gauge/)
    .nth(1)
    .fill('20');
  await dialog.getByRole('button', { name: 'Keep this calibration' }).click();
  await expect(dialog).toBeHidden();

  await page.goto('/workroom/bobbins');
  await page.getByRole('button', { name: 'Wind bobbins' }).click();
  await page.getByRole('dialog').getByLabel('How many').fill('900');
  await page.getByRole('dialog').getByRole('button', { name: 'They are wound' }).click();
  await expect(page.getByText('The number of bobbins must lie between 1 and 500.')).toBeVisible();
  await page.getByRole('dialog').getByLabel('How many').fill('1');
  await page.getByRole('dialog').getByRole('button', { name: 'They are wound' }).click();
  await expect(page.getByText(/of bobbins are on the tray/)).toBeVisible();
});

test('two thousand cones stay smooth and none is missing', async ({ page, studio }) => {
  const sql = postgres(studio.databaseUrl, { max: 1 });
  await sql`
    insert into cone (id, line, colour, hex, fibre, label, tex, tex_basis, role)
    select gen_random_uuid(), 'Bulk ' || (i % 40), 'Shade ' || i, '#' || lpad(to_hex((i * 8111) % 16777215), 6, '0'),
           'polyester-filament', 'Tex 27', 27, 'tex', 'top' from generate_series(1, 2000) i`;
  try {
    await page.goto('/shelf');
    await page.getByLabel('Find on the shelf').fill('Bulk');
    await expect(page.getByText(/2000 of 20\d\d cones/)).toBeVisible();
    expect(await page.locator('[data-cone]').count()).toBeLessThan(200);
    await page.locator('[data-cone="0"]').focus();
    await page.keyboard.press('End');
    await expect(page.locator('[data-cone="1999"]')).toBeFocused();
  } finally {
    await sql`delete from cone where line like 'Bulk %'`;
    await sql.end();
  }
});
