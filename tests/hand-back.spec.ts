import { expect, expectAccessible, openQuilt, test } from './studio';

test('a quilt on its way home: looked over, mended, measured, its sheet, and home; the next one like it', async ({
  page,
}) => {
  await openQuilt(page, 'Nine Buoys', '/hand-back');
  const way = page.getByRole('navigation', { name: 'The way home' });
  await expect(way.getByRole('link', { name: 'Take off, trim' })).toHaveAttribute('aria-current', 'page');
  await page.getByRole('button', { name: 'It is off the frame' }).click();
  await expect(page.getByRole('button', { name: /It is off the frame, \d/, pressed: true })).toBeVisible();
  await page.getByRole('button', { name: 'It is trimmed' }).click();
  // What is done leads to what is next.
  await expect(way.getByRole('link', { name: 'Inspect' })).toHaveAttribute('aria-current', 'page');
  await expect(page.getByText(/lanes to and fro, by fault 7/).first()).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'The top is looked over' }).click();
  await expect(page.getByRole('button', { name: /The top is looked over, / })).toBeVisible();
  await page.getByRole('button', { name: 'The back is looked over' }).click();
  await expect(way.getByRole('link', { name: 'Mend' })).toHaveAttribute('aria-current', 'page');

  // Not home while a fault is open, unless by name.
  await way.getByRole('link', { name: /Sheet, home/ }).click();
  await page.getByRole('button', { name: 'It is handed back' }).click();
  await expect(page.getByText(/One fault is open on it/)).toBeVisible();
  await way.getByRole('link', { name: 'Mend' }).click();
  await page.getByRole('button', { name: 'Accept as it is' }).click();
  await page.getByLabel('Why fault 7 may stay').fill('She trims it herself');
  await page.getByRole('button', { name: 'Accept', exact: true }).click();
  await expect(page.getByText('Nothing is open: the mend list is clear.')).toBeVisible();
  await expectAccessible(page);

  await way.getByRole('link', { name: 'Measure' }).click();
  await page.getByRole('button', { name: 'Keep the measures' }).click();
  await expect(page.getByText(/Each width, in inches/).first()).toBeVisible();
  for (const [label, inches] of [
    ['Width at the top', '53'],
    ['Width in the middle', '53 1/4'],
    ['Width at the bottom', '53'],
    ['Length at the left', '53'],
    ['Length in the middle', '53'],
    ['Length at the right', '53'],
  ] as const)
    await page.getByLabel(label).fill(inches);
  await page.getByLabel(/What worked/).fill('Fog vanished as wished');
  await page.getByRole('button', { name: 'Keep the measures' }).click();
  await expect(page.getByText('Square within one part in a hundred.')).toBeVisible();

  await way.getByRole('link', { name: /Sheet, home/ }).click();
  const [letter] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'As a letter (.eml)' }).click(),
  ]);
  expect(letter.suggestedFilename()).toBe('nine-buoys.eml');
  await page.getByRole('link', { name: 'The client’s sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Washing, drying, ironing' })).toBeVisible();
  await expect(page.getByText('Left as it is, agreed: She trims it herself')).toBeVisible();
  await page.goBack();
  await page.getByRole('button', { name: 'It is handed back' }).click();
  await expect(page.getByRole('heading', { name: 'Nine Buoys is home' })).toBeVisible();

  await page.goto('/');
  await expect(page.getByRole('link', { name: /Nine Buoys/ })).toHaveCount(0);
  await page.getByRole('link', { name: /studio record/ }).click();
  const row = page.getByRole('row', { name: /Nine Buoys/ });
  await expect(row).toContainText('Fog vanished as wished');
  await expectAccessible(page);
  await row.getByRole('button', { name: 'Start the next one like this' }).click();
  await expect(page).toHaveURL(/\/take-in\/./);
});
