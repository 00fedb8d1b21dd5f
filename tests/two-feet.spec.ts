import { type Page } from '@playwright/test';
import postgres from 'postgres';
import { lines } from './stand';
import { expect, test } from './studio';

const FOOT: Record<string, RegExp> = { ruler: /ruler/i, bowl: /bowl/i, 'open-toe': /open.?toe/i };

/** The three zones of Slipway sewn with one thread and one needle: a ruler, a bowl foot over raised work, and an open toe. */
async function threeFeet(databaseUrl: string) {
  const sql = postgres(databaseUrl, { max: 1 });
  const [quilt] = await sql<{ id: string }[]>`select id from quilt where name = 'Slipway'`;
  const [lead] = await sql<{ topId: string; bobbinId: string }[]>`
    select top_id as "topId", bobbin_id as "bobbinId" from setup s join zone z on z.id = s.zone_id
    where z.quilt_id = ${quilt!.id} and z.letter = 'B'`;
  await sql`
    update setup set top_id = ${lead!.topId}, bobbin_id = ${lead!.bobbinId}, needle_nm = 100
    where zone_id in (select id from zone where quilt_id = ${quilt!.id})`;
  await sql`
    insert into zone_feature (zone_id, feature)
    select id, 'raised-applique' from zone where quilt_id = ${quilt!.id} and letter = 'B'`;
  await sql`update setup set foot = 'bowl' where zone_id in (select id from zone where quilt_id = ${quilt!.id} and letter = 'B')`;
  await sql`update zone set technique = 'swirls', spacing_in = 0.5 where quilt_id = ${quilt!.id} and letter = 'B'`;
  await sql`update studio set preferences = jsonb_set(preferences, '{footSchool}', '"as-each"')`.catch(
    () => {},
  );
  const feet = new Map(
    (
      await sql<{ letter: string; foot: string }[]>`
        select z.letter, s.foot from setup s join zone z on z.id = s.zone_id where z.quilt_id = ${quilt!.id}`
    ).map((r) => [r.letter, r.foot]),
  );
  await sql.end();
  return { quilt: quilt!.id, feet };
}

/** What follows from a log in the studio's tables: needles fitted and in the drawer, bobbins on the tray, widths, notes. */
async function tables(databaseUrl: string, quilt: string) {
  const sql = postgres(databaseUrl, { max: 1 });
  const [row] = await sql`
    select (select string_agg(nm || eye || point || coated || stock, ',' order by nm, eye, point, coated) from needle) as drawer,
           (select string_agg(cone_id::text || count, ',' order by cone_id) from bobbin_stock) as tray,
           (select count(*)::int from needle_fitted) as fitted,
           (select count(*)::int from step_sewn where quilt_id = ${quilt}) as sewn,
           (select count(*)::int from fault where quilt_id = ${quilt}) as faults`;
  await sql.end();
  return row as Record<string, unknown>;
}

/** A bobbin, a needle, the back looked at, a fault and a pause: all undone one by one, all put back, and undone again. */
async function actsAndBack(hand: Page, quilt: string, databaseUrl: string) {
  const saved = () => expect(hand.getByText('all saved')).toBeVisible();
  const before = await tables(databaseUrl, quilt);
  const ACTS = 4;
  for (const key of ['b', 'n', 'c']) await hand.keyboard.press(key);
  await expect(hand.getByRole('dialog')).toHaveCount(0);
  await hand.keyboard.press('Space');
  await saved();
  await expect.poll(async () => (await tables(databaseUrl, quilt)).fitted).not.toBe(before.fitted);
  const done = await tables(databaseUrl, quilt);
  for (let round = 0; round < 2; round++) {
    for (let k = 0; k < ACTS; k++) await hand.keyboard.press('u');
    await saved();
    await expect.poll(() => tables(databaseUrl, quilt)).toEqual(before);
    await hand.getByRole('button', { name: 'More' }).click();
    for (let k = 0; k < ACTS; k++) await hand.getByRole('button', { name: 'Put back' }).first().click();
    await expect(hand.getByRole('button', { name: 'Put back' })).toHaveCount(0);
    await hand.keyboard.press('Escape');
    await saved();
    await expect.poll(() => tables(databaseUrl, quilt)).toEqual(done);
  }
  await hand.keyboard.press('Space');
  await saved();
}

const inHand = async (page: Page) => {
  const text = await page.getByRole('region', { name: 'The step' }).locator('p b').first().innerText();
  return text.trim()[0]!;
};
const footOf = (page: Page) =>
  page
    .getByRole('region', { name: 'The step' })
    .locator('dt', { hasText: /^Foot/i })
    .locator('xpath=../dd[1]');

test('a step of a ruler, a bowl and an open toe: each zone says its own foot, on both screens, through undoing and redoing', async ({
  page,
  context,
  studio,
}) => {
  const { quilt, feet } = await threeFeet(studio.databaseUrl);
  await page.goto(`/quilts/${quilt}/quilt`);
  const lock = page.getByRole('button', { name: /^Lock in these \d+ passes/ });
  if (await lock.isVisible()) await lock.click();
  await page.goto(`/quilts/${quilt}/stand`);
  await expect(page.getByText('all saved')).toBeVisible();
  const tablet = await context.newPage();
  await tablet.setViewportSize({ width: 1024, height: 768 });
  await tablet.goto(`/quilts/${quilt}/stand`);
  await expect(tablet.getByText('all saved')).toBeVisible();
  const stepOf = (p: Page) => p.getByText(/^step \d+ of \d+/);
  const [from, all] = (await stepOf(page).innerText()).match(/\d+/g)!.map(Number) as [number, number];
  const seen = new Set<string>();

  for (let i = from; i <= all; i++) {
    const [hand, other] = i % 2 ? [page, tablet] : [tablet, page];
    await hand.bringToFront();
    await expect(stepOf(hand)).toHaveText(new RegExp(`^step ${i} of ${all}`));
    await expect(hand.locator('body')).toHaveAttribute('data-pedals', 'heard');
    await hand.keyboard.press('Space');
    const taking = hand.getByRole('button', { name: /^Take .* off$/ });
    if (i === from)
      await taking
        .or(hand.getByText(/^sewing · /))
        .first()
        .waitFor();
    if (await taking.isVisible()) await taking.click();
    await expect(hand.getByText(/^sewing · /)).toBeVisible();
    const heading = await hand.getByText(/^zone \d+ of \d+/).allInnerTexts();
    const zones = heading.length > 0 ? Number(heading[0]!.match(/of (\d+)/)![1]) : 1;
    for (let z = 1; z <= zones; z++) {
      const letter = await inHand(hand);
      seen.add(`${letter} of ${zones}`);
      await expect(footOf(hand)).toHaveText(FOOT[feet.get(letter)!]!);
      if (z < zones) {
        await hand.keyboard.press('z');
        await expect(hand.getByText(`zone ${z + 1} of ${zones}`)).toBeVisible();
      }
    }
    if (i === from) await actsAndBack(hand, quilt, studio.databaseUrl);
    // Six acts in a row are taken back one by one, and the last undoing is itself taken back from the list.
    await hand.keyboard.press('Enter');
    await hand.keyboard.press('Escape');
    if (i < all) await expect(stepOf(hand)).toHaveText(new RegExp(`^step ${i + 1} of ${all}`));
    await hand.keyboard.press('u');
    await expect(stepOf(hand)).toHaveText(new RegExp(`^step ${i} of ${all}`));
    await expect(hand.getByText('all saved')).toBeVisible();
    await hand.getByRole('button', { name: 'More' }).click();
    await hand
      .getByRole('listitem')
      .filter({ hasText: /undone: step finished/ })
      .first()
      .getByRole('button', { name: 'Put back' })
      .click();
    await hand.keyboard.press('Escape');
    if (i < all) {
      await expect(stepOf(hand)).toHaveText(new RegExp(`^step ${i + 1} of ${all}`));
      await other.bringToFront();
      await expect(stepOf(other)).toHaveText(new RegExp(`^step ${i + 1} of ${all}`));
      expect(await inHand(other)).toBe(await inHand(hand));
    }
  }
  expect([...seen].filter((s) => s.endsWith('of 3')).map((s) => s[0])).toEqual(
    expect.arrayContaining(['A', 'B', 'C']),
  );
  const undone = async () => (await lines(page.request, quilt)).filter((e) => e.kind === 'undone').length;
  // Two for each step, and sixteen of the acts at the first.
  await expect.poll(undone).toBe(2 * (all - from + 1) + 16);
  const sql = postgres(studio.databaseUrl, { max: 1 });
  const [kept] =
    await sql`select count(*)::int as n from step_sewn where quilt_id = ${quilt} and applied is not null`;
  await sql.end();
  expect(kept!.n).toBe(all - from + 1);
  await page.goto(`/quilts/${quilt}/hand-back?part=home`);
  await expect(page.getByRole('heading', { level: 1, name: 'Slipway' })).toBeVisible();
});
