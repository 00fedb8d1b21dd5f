// Two people at the Stand of one quilt, each in a browser of her own, while a cluster is tried. See torture-cluster.ts.
import { type Browser, chromium, type Page } from '@playwright/test';

/** How often each presses a key. */
const EVERY_MS = 700;
/** What waited in a browser is saved within this time once all is well again. */
const SAVED_WITHIN_MS = 60_000;

export interface AtTheStand {
  /** Ends the pressing and tells how it went. */
  stop: () => Promise<Stood>;
}
export interface Stood {
  /** Keys pressed, each an entry of the log. */
  pressed: number;
  /** Pages that were loaded more than once, or asked to be. */
  reloads: number;
  /** Words that stood in the head while something waited. */
  waited: string[];
  /** Both say that all is saved. */
  allSaved: boolean;
}

/** Begins and pauses the step in hand, over and over. */
async function pressing(page: Page, goesOn: () => boolean, waited: Set<string>): Promise<number> {
  let n = 0;
  while (goesOn()) {
    await page.keyboard.press('Space');
    n++;
    const words = await page.evaluate(() => document.querySelector('[data-saved]')?.textContent ?? '');
    if (words && !words.includes('all saved')) waited.add(words.replace(/\d+/g, 'n'));
    await page.waitForTimeout(EVERY_MS);
  }
  return n;
}

/** Opens the Stand of a quilt for each of these sessions and begins to press. */
export async function atTheStand(
  app: string,
  quiltId: string,
  tokens: readonly string[],
): Promise<AtTheStand> {
  const browser: Browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell',
  });
  let on = true;
  let reloads = 0;
  const waited = new Set<string>();
  const pages: Page[] = [];
  for (const token of tokens) {
    const context = await browser.newContext();
    await context.addCookies([{ name: 'tidy-spool', value: token, url: app }]);
    const page = await context.newPage();
    await page.goto(`${app}/quilts/${quiltId}/stand`);
    await page.getByText('all saved').waitFor();
    page.on('load', () => reloads++);
    pages.push(page);
  }
  const presses = pages.map((page) => pressing(page, () => on, waited));
  return {
    stop: async () => {
      on = false;
      const pressed = (await Promise.all(presses)).reduce((a, b) => a + b, 0);
      const saved = await Promise.all(
        pages.map((page) =>
          page
            .getByText('all saved')
            .waitFor({ timeout: SAVED_WITHIN_MS })
            .then(
              () => true,
              () => false,
            ),
        ),
      );
      await browser.close();
      return { pressed, reloads, waited: [...waited], allSaved: saved.every(Boolean) };
    },
  };
}
