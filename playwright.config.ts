import { defineConfig } from '@playwright/test';

/** The built app in Debian's Chromium, on a scratch database with the demo studio (see tests/serve.ts). */
export default defineConfig({
  testDir: 'tests',
  globalSetup: './tests/serve.ts',
  workers: 2,
  fullyParallel: false,
  retries: 0,
  timeout: 600_000,
  expect: { timeout: 90_000 },
  reporter: [
    ['list'],
    ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? 'test-results/e2e.json' }],
  ],
  use: {
    viewport: { width: 1280, height: 800 },
    // Nothing waits for ever: what has not come after this long does not come.
    actionTimeout: 90_000,
    // A picture of every page as its test ends is taken only where it is asked for.
    screenshot: process.env.PICTURES ? 'only-on-failure' : 'off',
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--host-resolver-rules=MAP studio.test 127.0.0.1, MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost',
      ],
    },
  },
});
