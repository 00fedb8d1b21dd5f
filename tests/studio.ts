import { readFileSync } from 'node:fs';
import type axe from 'axe-core';
import { expect, test as base, type Page } from '@playwright/test';
import { appOn, freshDatabase, type Studio, untilWell } from './serve';

/**
 * A page of a studio that no other file of tests has touched; every console error fails the test that saw it. One app
 * serves all files of a worker: for each its database is the demo studio anew, as when a copy is taken back.
 */
export const test = base.extend<
  { page: Page; studio: Studio },
  { house: { studio?: Studio; file?: string } }
>({
  house: [
    async ({}, give) => {
      const house: { studio?: Studio } = {};
      await give(house);
      await house.studio?.stop();
    },
    { scope: 'worker', timeout: 0 },
  ],
  studio: async ({ house }, give, { file, workerIndex }) => {
    if (house.file !== file) {
      const url = await freshDatabase(`worker_${workerIndex}`);
      house.studio ??= await appOn(url);
      await untilWell(house.studio);
      house.file = file;
    }
    await give(house.studio!);
  },
  baseURL: async ({ studio }, give) => give(studio.url),
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

/**
 * Waits until something holds in a page. What Playwright has for it lays a third of a megabyte of its own into every
 * page it asks; a page that gives way to another while it is asked is asked again.
 */
async function until(page: Page, holds: () => boolean): Promise<void> {
  for (;;)
    try {
      return await page.evaluate<void>(
        `(async (holds) => { while (!holds()) await new Promise((r) => setTimeout(r, 20)); })(${String(holds)})`,
      );
    } catch (error) {
      if (!/context was destroyed|navigation/i.test(String(error))) throw error;
    }
}

/** Waits until a page hears: every control of it has been given to its program. */
export const awake = (page: Page) =>
  until(page, () => {
    const controls = [...document.querySelectorAll('main input, main textarea, main button')];
    return controls.every((c) => Object.keys(c).some((k) => k.startsWith('__reactProps')));
  });

/** Where the pages of a quilt are. */
export async function pathOf(page: Page, name: string): Promise<string> {
  const found = (await (await page.request.get(`/find?q=${encodeURIComponent(name)}`)).json()) as {
    id: string;
    name: string;
  }[];
  return `/quilts/${found.find((q) => q.name === name)!.id}`;
}

/** Opens a page of a quilt by its address, or else the one its work has come to; returns where its pages are. */
export async function openQuilt(page: Page, name: string, at = ''): Promise<string> {
  const path = await pathOf(page, name);
  await page.goto(path + at);
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
  await awake(page);
  return path;
}

/** The checker in its short form, laid into a page only when it is asked: a page is judged a hundred times in a run. */
const AXE = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');

/** What axe calls moderate or minor at most: nothing of it could fail a page here, and some of it takes its time. */
const MILD = [
  'aria-allowed-role',
  'empty-heading',
  'empty-table-header',
  'heading-order',
  'image-redundant-alt',
  'landmark-banner-is-top-level',
  'landmark-complementary-is-top-level',
  'landmark-contentinfo-is-top-level',
  'landmark-main-is-top-level',
  'landmark-no-duplicate-banner',
  'landmark-no-duplicate-contentinfo',
  'landmark-no-duplicate-main',
  'landmark-one-main',
  'landmark-unique',
  'meta-viewport-large',
  'page-has-heading-one',
  'presentation-role-conflict',
  'region',
  'scope-attr-valid',
  'skip-link',
];

export async function expectAccessible(page: Page) {
  // A page's name comes a few milliseconds after the page where a link led to it, the old one having gone:
  // it is waited for here, since axe would judge the moment between.
  await expect(page).toHaveTitle(/./);
  // What is still fading in is judged once it stands; short words come and go at once where motion is reduced.
  await until(page, () =>
    document
      .getAnimations()
      .every((a) => a.playState !== 'running' || a.effect?.getComputedTiming().endTime === Infinity),
  );
  if (!(await page.evaluate(() => 'axe' in window))) {
    // Straight to the page: half a megabyte is not packed and unpacked on the way.
    const straight = await page.context().newCDPSession(page);
    await straight.send('Runtime.evaluate', { expression: AXE });
    await straight.detach();
  }
  // No page has frames, and only what is wrong is asked for.
  const violations = await page.evaluate(async (mild) => {
    const found = await (window as unknown as { axe: typeof axe }).axe.run(document, {
      iframes: false,
      resultTypes: ['violations'],
      rules: Object.fromEntries(['document-title', ...mild].map((id) => [id, { enabled: false }])),
    });
    return found.violations.map(({ id, impact, nodes }) => ({ id, impact, at: nodes.map((n) => n.target) }));
  }, MILD);
  await expect(page).toHaveTitle(/./);
  const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
  expect(serious.map((v) => `${v.id}: ${v.at.join(' ')}`)).toEqual([]);
}

export { expect };
