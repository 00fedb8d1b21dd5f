import AxeBuilder from '@axe-core/playwright';
import { expect, test as base, type Page } from '@playwright/test';

/** A page of the running app; every console error fails the test that saw it. */
export const test = base.extend<{ page: Page }>({
  baseURL: async ({}, give) => give(process.env.E2E_URL!),
  page: async ({ page }, give) => {
    const errors: string[] = [];
    page.on('pageerror', (e) => errors.push(e.message));
    page.on('console', (m) => {
      if (m.type() === 'error' && !m.text().includes('Failed to load resource')) errors.push(m.text());
    });
    await give(page);
    expect(errors).toEqual([]);
  },
});

/** Opens a quilt from the Rack. */
export async function openQuilt(page: Page, name: string) {
  await page.goto('/');
  await page
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .first()
    .click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
}

export async function expectAccessible(page: Page) {
  // What is still fading in is judged once it stands.
  await page.waitForFunction(() =>
    document
      .getAnimations()
      .every((a) => a.playState !== 'running' || a.effect?.getComputedTiming().endTime === Infinity),
  );
  const { violations } = await new AxeBuilder({ page }).analyze();
  const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
  expect(serious.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(' ')}`)).toEqual([]);
}

export { expect };
