import { readFileSync } from 'node:fs';
import type axe from 'axe-core';
import { type BrowserContext, expect, test as base, type Page } from '@playwright/test';
import { appOn, freshDatabase, type Studio, untilWell } from './serve';

/** What serves the tests of a worker: one app, and one page before it, both with all they have warmed up. */
interface House {
  studio?: Studio;
  /** The file whose database the studio has. */
  file?: string;
  page?: Page;
}

/** A page as a browser that has never been here has it: nothing of what the last test did, kept or set. */
async function asNew(page: Page, origin: string) {
  const context = page.context();
  for (const other of context.pages()) if (other !== page) await other.close();
  page.removeAllListeners();
  await Promise.all([
    page.unrouteAll(),
    context.unrouteAll(),
    context.setOffline(false),
    context.clearCookies(),
  ]);
  await page.goto(origin + '/icon.svg');
  const straight = await context.newCDPSession(page);
  await straight.send('Storage.clearDataForOrigin', { origin, storageTypes: 'all' });
  await straight.detach();
}

/**
 * A page of a studio that no other file of tests has touched; every console error fails the test that saw it. One app
 * serves all files of a worker: for each its database is the demo studio anew, as when a copy is taken back. One page
 * shows it to all its tests, made as new for each: a new one would read and translate the whole program again.
 */
export const test = base.extend<
  { context: BrowserContext; page: Page; studio: Studio; demo: boolean },
  { house: House }
>({
  /** Whether the studio is the demo, or one of nothing. */
  demo: [true, { option: true }],
  house: [
    async ({}, give) => {
      const house: House = {};
      await give(house);
      await house.page?.context().close();
      await house.studio?.stop();
    },
    { scope: 'worker', timeout: 0 },
  ],
  studio: async ({ house, demo }, give, { file, workerIndex }) => {
    if (house.file !== file) {
      const url = await freshDatabase(`worker_${workerIndex}`, demo);
      house.studio ??= await appOn(url);
      await untilWell(house.studio);
      house.file = file;
    }
    await give(house.studio!);
  },
  baseURL: async ({ studio }, give) => give(studio.url),
  context: async ({ browser, studio, viewport, house }, give) => {
    if (!house.page) house.page = await (await browser.newContext({ baseURL: studio.url })).newPage();
    else await house.page.setViewportSize(viewport!);
    await give(house.page.context());
    await asNew(house.page, studio.url);
  },
  page: async ({ context, house }, give) => {
    const page = house.page ?? context.pages()[0]!;
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
  // No page has frames, and only what is wrong is asked for; of what lies behind an open dialog, which is judged where
  // nothing lies before it, nothing.
  const violations = await page.evaluate(async (mild) => {
    const found = await (window as unknown as { axe: typeof axe }).axe.run(
      document.querySelector('[role=dialog]') ?? document,
      {
        iframes: false,
        resultTypes: ['violations'],
        rules: Object.fromEntries(['document-title', ...mild].map((id) => [id, { enabled: false }])),
      },
    );
    return found.violations.map(({ id, impact, nodes }) => ({ id, impact, at: nodes.map((n) => n.target) }));
  }, MILD);
  await expect(page).toHaveTitle(/./);
  const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
  expect(serious.map((v) => `${v.id}: ${v.at.join(' ')}`)).toEqual([]);
}

export { expect };
