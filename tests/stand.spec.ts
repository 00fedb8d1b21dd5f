import postgres from 'postgres';
import { v7 as uuidv7 } from 'uuid';
import { lines, onTheFrame, openStand } from './stand';
import { expect, expectAccessible, test } from './studio';

test('a step is sewn with the keys, a fault noted in two taps, taken back; the desk sees it', async ({
  page,
  studio,
}) => {
  const quilt = await openStand(page, studio.url);
  await expectAccessible(page);
  const step = page.getByText(/^step \d+ of \d+/);
  const before = await step.innerText();
  await page.keyboard.press('Space');
  await expect(page.getByText(/^sewing · /)).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText(/^paused · /)).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(step).not.toHaveText(before);
  await page.keyboard.press('Escape');
  await page.keyboard.press('u');
  await expect(step).toHaveText(before);

  await page.getByRole('button', { name: /^Fault/ }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Skipped stitches' }).click();
  await page
    .getByRole('dialog')
    .locator('svg')
    .click({ position: { x: 150, y: 150 } });
  await expect(page.getByRole('dialog')).toHaveCount(0);

  await page
    .getByRole('navigation', { name: 'At the machine' })
    .getByRole('button', { name: /^(Advance|Roll back)/ })
    .click();
  await page.getByLabel('Width at its start, in').fill('wide');
  await expect(page.getByText('A width in inches, such as 64.5.')).toBeVisible();
  await page.getByLabel('Width at its start, in').fill('64.5');
  await expectAccessible(page);
  await page.getByRole('button', { name: /lies on the frame$/ }).click();
  await expect(page.getByText('all saved')).toBeVisible();
  const kinds = (await lines(page.request, quilt)).map((e) => e.kind);
  for (const kind of [
    'step-begun',
    'step-paused',
    'step-done',
    'undone',
    'fault',
    'width-measured',
    'advanced',
  ])
    expect(kinds).toContain(kind);
  await page.getByRole('button', { name: 'More' }).click();
  await expect(page.getByText('width measured, pass')).toBeVisible();
  await page.getByRole('button', { name: 'Tempo', exact: true }).click();
  await page.getByRole('button', { name: 'Faster' }).click();
  await expect(page.getByText('65 beats a minute')).toBeVisible();
  await expectAccessible(page);
  await page.goto(`${studio.url}/quilts/${quilt}/quilt?part=faults`);
  await expect(page.getByText('Skipped stitches').first()).toBeVisible();
});

test('nothing is cut off on a tablet or a phone, and every target is large', async ({ page, studio }) => {
  for (const size of [
    { width: 1280, height: 800 },
    { width: 1024, height: 768 },
    { width: 390, height: 844 },
  ]) {
    await page.setViewportSize(size);
    await openStand(page, studio.url);
    const nav = page.getByRole('navigation', { name: 'At the machine' });
    const box = (await nav.boundingBox())!;
    expect(box.y + box.height).toBeLessThanOrEqual(size.height);
    for (const b of await nav.getByRole('button').all()) {
      const own = (await b.boundingBox())!;
      expect(own.height).toBeGreaterThanOrEqual(88);
      expect(own.x + own.width).toBeLessThanOrEqual(size.width);
    }
  }
});

test('sixty taps with the network cut, the server killed, and a reload while it is away: all there, once, in order', async ({
  browser,
  studio,
}) => {
  // A page of its own: while nobody answers, what is fetched at leisure is missed, and that is no fault here.
  const page = await (await browser.newContext({ baseURL: studio.url })).newPage();
  const quilt = await openStand(page, studio.url);
  const had = (await lines(page.request, quilt)).length;
  const sql = postgres(studio.databaseUrl, { max: 1 });
  try {
    const taps = async (n: number) => {
      for (let i = 0; i < n; i++) {
        await page.keyboard.press('c');
        await page.keyboard.press('n');
      }
      await expect(page.getByText(/^writing/)).toBeHidden();
    };
    // The page and its parts lie on the device once its keeper has taken them.
    const kept = () =>
      page.evaluate(async () => {
        const parts = performance
          .getEntriesByType('resource')
          .filter((r) => r.name.includes('/_next/static/'));
        const has = await Promise.all(
          [location.href, ...parts.map((p) => p.name)].map((u) => caches.match(u)),
        );
        return parts.length > 0 && has.every(Boolean);
      });
    await expect.poll(kept).toBe(true);
    await taps(6);
    await page.context().setOffline(true);
    await taps(14);
    await expect(page.getByText(/wait on this device/)).toBeVisible();
    await page.context().setOffline(false);
    await taps(3);
    // Sewn on after the page was loaded: the kept page is older than what the device knows.
    await page.keyboard.press('Space');
    await expect(page.getByText(/^sewing · /)).toBeVisible();
    await expect(page.getByText('all saved')).toBeVisible();
    await studio.kill();
    await taps(4);
    // Opened while nobody answers it stands as this device last saw it, with whatever waits.
    await page.reload();
    await expect(page.getByRole('heading', { level: 1, name: 'Harbour Lights' })).toBeVisible();
    await expect(page.getByText(/as last seen here/)).toBeVisible();
    await expect(page.getByText(/^sewing · /)).toBeVisible();
    await expect(page.getByText(/8 wait on this device/)).toBeVisible();
    await taps(3);
    await expect(page.getByText(/14 wait on this device/)).toBeVisible();
    await studio.again();
    await expect(page.getByText('all saved')).toBeVisible();
    await expect(page.getByText(/as last seen here/)).toBeHidden();
    const [row] = await sql<{ n: number; ids: number; ordered: boolean }[]>`
      select count(*)::int as n, count(distinct id)::int as ids,
        bool_and(at >= before) as ordered
      from (select id, at, lag(at, 1, at) over (order by cursor) as before from log_entry
            where quilt_id = ${quilt} order by cursor offset ${had}) x`;
    expect(row).toEqual({ n: 61, ids: 61, ordered: true });
  } finally {
    await page.close();
    await sql.end();
  }
});

test('what one device writes the other shows at once, over two apps on one database, and undoes', async ({
  page,
  studio,
  browser,
}) => {
  const second = await studio.beside();
  await openStand(page, studio.url);
  const tablet = await (await browser.newContext({ baseURL: second.url })).newPage();
  await openStand(tablet, second.url);
  const step = (p: typeof page) => p.getByText(/^step \d+ of \d+/);
  const before = await step(page).innerText();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(step(page)).not.toHaveText(before);
  await expect(step(tablet)).toHaveText(await step(page).innerText());
  await tablet.keyboard.press('u');
  await expect(step(page)).toHaveText(before);
  await tablet.close();
  await second.stop();
});

/** As many entries as a letter of a device carries here; the most it may is 500. */
const MANY = 100;

test('the door: garbage, floods and the same batch five times at once', async ({ request }) => {
  const quilt = await onTheFrame(request);
  const post = (data: string | object, headers = {}) =>
    request.post('/log', {
      data,
      headers: { 'Content-Type': 'application/json', ...headers },
      failOnStatusCode: false,
    });
  for (const [body, status] of [
    ['', 400],
    ['{', 400],
    ['[]', 400],
    ['{"device":"me","entries":[]}', 400],
    [{ device: uuidv7(), entries: 'all' }, 400],
    [{ device: uuidv7(), entries: Array.from({ length: 501 }, () => ({})) }, 413],
    ['x'.repeat(1_100_000), 413],
  ] as const)
    expect([String(JSON.stringify(body)).slice(0, 40), (await post(body)).status()]).toEqual([
      String(JSON.stringify(body)).slice(0, 40),
      status,
    ]);
  const device = uuidv7();
  const entries = Array.from({ length: MANY }, (_, i) => ({
    id: uuidv7(),
    at: new Date().toISOString(),
    kind: 'note',
    quiltId: quilt,
    note: `flood ${i}`,
  }));
  const answers = await Promise.all(Array.from({ length: 5 }, () => post({ device, entries })));
  for (const a of answers) {
    expect(a.status()).toBe(200);
    expect(((await a.json()) as { kept: string[] }).kept).toHaveLength(MANY);
  }
  const flood = (await lines(request, quilt)).filter((e) => e.note?.startsWith('flood'));
  expect(flood.map((e) => e.note)).toEqual(entries.map((e) => e.note));
  expect((await request.get('/log?quilt=nothing', { failOnStatusCode: false })).status()).toBe(400);
  expect((await request.get(`/live?quilt=${quilt}&after=x`, { failOnStatusCode: false })).status()).toBe(400);
});

test('the stand-in longarm sews a step over the link: counted, drawn, and its broken thread noted by itself', async ({
  browser,
  studio,
}) => {
  const page = await (await browser.newContext({ baseURL: studio.url })).newPage();
  const quilt = await openStand(page, studio.url);
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('button', { name: 'Machine', exact: true }).click();
  await page.getByRole('radio', { name: '20 times' }).click();
  await page.getByRole('radio', { name: 'the thread breaks' }).click();
  await page.getByRole('button', { name: 'Start the stand-in' }).click();
  await expect(page.getByText(/^[1-9]\d{2,}$/).first()).toBeVisible();
  await expect(page.getByRole('img', { name: /most lie about/ })).toBeVisible();
  await expectAccessible(page);
  await expect
    .poll(
      async () =>
        (await lines(page.request, quilt)).filter(
          (e) => e.kind === 'fault' && e.note?.startsWith('Told by the machine'),
        ).length,
    )
    .toBe(1);
  const runs = (await (await page.request.get(`/link?quilt=${quilt}`)).text()).split('\n').filter(Boolean);
  const run = JSON.parse(runs.at(-1)!) as { summary: { stitches: number }; path: number[][][] };
  expect(run.summary.stitches).toBeGreaterThan(150);
  expect(run.path.flat().length).toBeGreaterThanOrEqual(2);
  for (const [body, status] of [
    ['', 400],
    ['{', 400],
    ['{"run":"x"}', 400],
    ['x'.repeat(1_100_000), 413],
  ] as const) {
    const answer = await page.request.post('/link', { data: body, failOnStatusCode: false });
    expect(answer.status()).toBe(status);
  }
});
