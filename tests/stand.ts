import type { Page } from '@playwright/test';
import { expect } from './studio';

/** The Stand of a quilt that is on the frame. */
export async function openStand(page: Page, url: string) {
  const [found] = (await (await page.request.get('/find?q=Harbour%20Lights')).json()) as { id: string }[];
  await page.goto(`${url}/quilts/${found!.id}/stand`);
  await expect(page.getByRole('heading', { level: 1, name: 'Harbour Lights' })).toBeVisible();
  await expect(page.getByText('all saved')).toBeVisible();
  return found!.id;
}
/** What the log of a quilt holds. */
export const lines = async (page: Page, quilt: string) =>
  (await (await page.request.get(`/log?quilt=${quilt}`)).text())
    .split('\n')
    .filter(Boolean)
    .map((l) => JSON.parse(l) as { id: string; kind: string; cursor: number; at: string; note?: string });
