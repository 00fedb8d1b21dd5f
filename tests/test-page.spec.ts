import { expect, expectAccessible, openQuilt, test } from './studio';

/** Opens the Test of the first zone of a quilt. */
async function openTest(page: import('@playwright/test').Page, quilt: string) {
  await openQuilt(page, quilt, '/test');
  await expect(page.getByRole('heading', { name: /^Test strip/ })).toBeVisible();
}

test('stitches on a photograph: scale, line, holes corrected, kept with the test', async ({ page }) => {
  await openTest(page, 'Harbour Lights');
  await page.getByRole('link', { name: 'Measure stitches on a photograph' }).click();
  await page.getByRole('button', { name: 'Sample 1' }).click();
  const photograph = page.getByRole('group', { name: 'The photograph' });
  await expect(photograph).toBeVisible();
  const [, , width, height] = (await photograph.getAttribute('viewBox'))!.split(' ').map(Number);
  const box = (await photograph.boundingBox())!;
  const scale = Math.min(box.width / width!, box.height / height!);
  const press = (x: number, y: number) =>
    page.mouse.click(
      box.x + (box.width - width! * scale) / 2 + x * scale,
      box.y + (box.height - height! * scale) / 2 + y * scale,
    );
  // The samples carry a centimetre of 0.06 mm to the pixel, from the twentieth pixel on.
  await press(20.5, height! - 13);
  await press(20.5 + 10 / 0.06, height! - 13);
  await expect(page.getByText('Press the first hole, then along the stitches')).toBeVisible();
  for (const t of [0, 0.25, 0.5, 0.75, 1]) await press(50 + t * (width! - 100), (height! - 20) / 2);
  await page.getByRole('button', { name: 'Count the stitches' }).click();
  const told = page.getByRole('region', { name: 'What was measured' });
  await expect(told).toBeVisible();
  const spi = parseFloat(await told.locator('dd').first().innerText());
  expect(Math.abs(spi / 11 - 1)).toBeLessThan(0.05);
  await expectAccessible(page);
  await page.getByRole('slider', { name: 'Hole 3 of 19' }).focus();
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowRight');
  await expect(told.getByText('Corrected by hand.')).toBeVisible();
  await told.getByRole('button', { name: 'Keep it with the test' }).click();
  await expect(page.getByRole('heading', { name: /^Test strip/ })).toBeVisible();
  await page
    .getByRole('button', { name: /^Open test/ })
    .last()
    .click();
  await expect(page.getByText(/^Measured: \d+\.\d to the inch/)).toBeVisible();
});

test('a stand-in sews a test, its pictures are judged, and it goes on the strip', async ({ page }) => {
  await openTest(page, 'Harbour Lights');
  await page
    .getByRole('list', { name: 'Zones' })
    .getByRole('link', { name: /Lanterns/ })
    .click();
  await expect(page.getByRole('heading', { name: 'Test strip, Lanterns' })).toBeVisible();
  await page.getByText('practise with the stand-ins').click();
  await page.getByRole('button', { name: 'Sew it on the stand-in' }).click();
  await expect(page.getByRole('radio', { name: /judged/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Test 1 is sewn' }).click();
  await expect(page.getByRole('button', { name: 'Open test 1' })).toBeVisible();
  await expectAccessible(page);
});

test('threads tried on the margin, one chosen; the strip on paper; past work to begin from', async ({
  page,
}) => {
  await openTest(page, 'Harbour Lights');
  const trials = page.getByRole('region', { name: 'Colour trials' });
  await trials.getByLabel('Thread 1').selectOption({ label: 'Heron Poly 40 Sandbar' });
  await trials.getByRole('button', { name: 'They are sewn' }).click();
  await expect(trials.getByText('Pick two threads at least.')).toBeVisible();
  await trials.getByLabel('Thread 2').selectOption({ label: 'Heron Poly 60 Dune' });
  await trials.getByRole('button', { name: 'They are sewn' }).click();
  await trials.getByRole('button', { name: 'Heron Poly 60 Dune' }).click();
  await expect(trials.getByRole('button', { name: 'Heron Poly 60 Dune chosen' })).toBeVisible();
  await expect(trials.getByRole('link', { name: 'Match with it' })).toBeVisible();
  await page.getByRole('link', { name: 'Print the strip' }).click();
  await expect(page.getByRole('heading', { name: /^Test strip: Harbour Lights/ })).toBeVisible();
  await expect(page.getByRole('listitem').first()).toContainText('g');

  await openQuilt(page, 'Harbour Lights', '/match');
  await page.getByRole('link', { name: 'Past work' }).click();
  await expect(page.getByText(/in 100 alike/).first()).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Client, quilt, thread or fabric').fill('Wren');
  await page.getByRole('button', { name: 'Look' }).click();
  await expect(page.getByText(/Wren Aldous/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Begin from this' }).first().click();
  await expect(
    page.getByRole('group', { name: 'Hold a part' }).getByRole('button', { name: 'Reset' }),
  ).toBeVisible();
});
