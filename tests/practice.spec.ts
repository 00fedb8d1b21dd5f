import { expect } from '@playwright/test';
import { awake, expectAccessible, test } from './studio';

test('a drill is drawn, judged at once, kept, and taken back', async ({ page }) => {
  await page.goto('/practice?drill=line');
  await awake(page);
  await expectAccessible(page);
  const field = page.getByRole('img', { name: /^Straight line: draw along/ });
  const box = (await field.boundingBox())!;
  const at = (xIn: number, yIn: number) =>
    [box.x + (box.width * xIn) / 8, box.y + (box.height * yIn) / 5] as const;
  await page.mouse.move(...at(0.6, 2.5));
  await page.mouse.down();
  for (let i = 1; i <= 40; i++) await page.mouse.move(...at(0.6 + (6.8 * i) / 40, 2.5), { steps: 2 });
  await page.mouse.up();
  const told = page.getByRole('region', { name: 'What it came to' });
  await expect(told).toContainText('Stitches');
  await expectAccessible(page);
  await told.getByRole('button', { name: 'Keep this one' }).click();
  await expect(page.getByRole('region', { name: 'Straight line so far' })).toContainText('1 time');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('region', { name: 'Straight line so far' })).toBeHidden();
});
