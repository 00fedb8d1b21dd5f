import postgres from 'postgres';
import { v7 as uuidv7 } from 'uuid';
import type { StepWork } from '@/actions/link';
import type { LinkEvent } from '@/core/stand-in/longarm';
import { sewnRuns } from '@/workers/run-longarm';
import { lines } from './stand';
import { expect, test } from './studio';

const AT_ONCE = 2000;
/** What goes wrong, by step; and where the computer is killed, or the tablet loaded anew. */
const WRONG: Readonly<Record<number, LinkEvent>> = { 1: 'thread-break', 2: 'bobbin-out', 4: 'thread-break' };
const [KILLED, RELOADED] = [new Set([5]), new Set([3])];

test('a whole quilt is sewn with the stand-in on the Stand, with faults, a kill and a reload: the record is complete', async ({
  browser,
  studio,
}) => {
  // A page of its own: while nobody answers, what is fetched at leisure is missed, and that is no fault here.
  const page = await (await browser.newContext({ baseURL: studio.url })).newPage();
  const [found] = (await (await page.request.get('/find?q=Signal%20Flags')).json()) as { id: string }[];
  const quilt = found!.id;
  const sql = postgres(studio.databaseUrl, { max: 1 });
  try {
    await page.goto(`/quilts/${quilt}/quilt`);
    await page.getByRole('button', { name: /^Lock in these \d+ passes/ }).click();
    await page.getByRole('link', { name: 'To the Stand' }).click();
    await expect(page.getByText('all saved')).toBeVisible();
    const step = page.getByText(/^step \d+ of \d+/);
    const all = Number((await step.innerText()).match(/of (\d+)/)![1]);
    expect(all).toBeGreaterThanOrEqual(6);
    for (let i = 1; i <= all; i++) {
      await expect(step).toHaveText(new RegExp(`^step ${i} of ${all}`));
      await expect(page.locator('body')).toHaveAttribute('data-pedals', 'heard');
      await page.keyboard.press('Space');
      // Another quilt is on the frame: it is asked, and taken off, before this one begins.
      if (i === 1) await page.getByRole('button', { name: /^Take .* off$/ }).click();
      await expect(page.getByText(/^sewing · /)).toBeVisible();
      await expect(page.getByText('all saved')).toBeVisible();
      const begun = (await lines(page.request, quilt))
        .filter((e) => e.kind === 'step-begun')
        .at(-1) as unknown as {
        pass: number;
        thread: string;
        stabilise?: boolean;
      };
      const key = { pass: begun.pass, thread: begun.thread, stabilise: begun.stabilise ?? false };
      const work = (await (
        await page.request.get('/link', { params: { quilt, ...key } })
      ).json()) as StepWork;
      const wrong = WRONG[i];
      const head = JSON.stringify({
        run: uuidv7(),
        quiltId: quilt,
        ...key,
        machine: 'stand-in',
        limitInPerS: work.limitInPerS,
      });
      const readings = [
        ...sewnRuns({ work, seed: i, faults: wrong ? [{ atStitch: 40, event: wrong }] : [] }),
      ].map((f) => JSON.stringify(f));
      for (let at = 0; at < readings.length; at += AT_ONCE) {
        const sent = [head, ...readings.slice(at, at + AT_ONCE)].join('\n');
        expect((await page.request.post('/link', { data: sent })).status()).toBe(200);
      }
      if (KILLED.has(i)) await studio.kill();
      await page.keyboard.press('Enter');
      await page.keyboard.press('Escape');
      if (KILLED.has(i)) await studio.again();
      if (RELOADED.has(i)) await page.reload();
    }
    await expect(page.getByText('all saved')).toBeVisible();
    const [kept] = await sql<
      {
        steps: number;
        stitches: number;
        runs: number;
        made: number;
        faults: number;
        stage: string;
        done: number;
        ids: number;
        all: number;
      }[]
    >`
      select (select count(*)::int from step_sewn where quilt_id = ${quilt}) as steps,
             (select sum(stitches) from step_sewn where quilt_id = ${quilt}) as stitches,
             (select count(*)::int from link_run where quilt_id = ${quilt}) as runs,
             (select sum((summary->>'stitches')::float8) from link_run where quilt_id = ${quilt}) as made,
             (select count(*)::int from fault where quilt_id = ${quilt} and note like 'Told by the machine%') as faults,
             (select step from quilt where id = ${quilt}) as stage,
             (select count(*)::int from log_entry where quilt_id = ${quilt} and kind = 'step-done') as done,
             (select count(distinct id)::int from log_entry where quilt_id = ${quilt}) as ids,
             (select count(*)::int from log_entry where quilt_id = ${quilt}) as all`;
    expect(kept).toMatchObject({
      steps: all,
      runs: all,
      done: all,
      faults: Object.keys(WRONG).length,
      stage: 'hand-back',
    });
    expect(kept!.ids).toBe(kept!.all);
    expect(kept!.made).toBeGreaterThan(1000);
    expect(kept!.stitches).toBeGreaterThan(1000);
    await page.goto(`/quilts/${quilt}/hand-back?part=home`);
    await expect(page.getByText(new RegExp(`of ${all} steps`))).toBeVisible();
  } finally {
    await page.close();
    await sql.end();
  }
});
