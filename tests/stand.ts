import type { APIRequestContext, Page } from '@playwright/test';
import { expect } from './studio';

/** The quilt that is on the frame. */
export async function onTheFrame(request: APIRequestContext) {
  const [found] = (await (await request.get('/find?q=Harbour%20Lights')).json()) as { id: string }[];
  return found!.id;
}
/** The Stand of the quilt that is on the frame. */
export async function openStand(page: Page, url: string) {
  const quilt = await onTheFrame(page.request);
  await page.goto(`${url}/quilts/${quilt}/stand`);
  await expect(page.getByRole('heading', { level: 1, name: 'Harbour Lights' })).toBeVisible();
  await expect(page.getByText('all saved')).toBeVisible();
  return quilt;
}
/** What the log of a quilt holds. */
export const lines = async (request: APIRequestContext, quilt: string) =>
  (await (await request.get(`/log?quilt=${quilt}`)).text())
    .split('\n')
    .filter(Boolean)
    .map((l) => JSON.parse(l) as { id: string; kind: string; cursor: number; at: string; note?: string });
