import type { TestDatabase } from '@/data/test-database';
import { readSearches } from '@/data/searches';
import { demoDatabase } from '@/demo/testing/demo-database';
import { guessOf, readTensionLearning, type StudioTension } from './searches';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('air');
  // Notes stand for themselves here, without the entries of a log they come with.
  await base.sql`alter table air_note drop constraint air_note_id_fkey`;
});
afterAll(() => base.end());

const noted = (machineId: string, at: Date | string, pct: number) => base.sql`
  insert into air_note (id, machine_id, at, humidity_pct) values (gen_random_uuid(), ${machineId}, ${at}, ${pct})`;

test('a test is read with the air as it was noted within half a day before it, and no other', async () => {
  await base.sql`delete from air_note`;
  const [first, second] = await readSearches(base.sql);
  await noted(first!.machineId, new Date(first!.provenAt.getTime() - 3 * 3_600_000), 24);
  await noted(second!.machineId, new Date(second!.provenAt.getTime() - 40 * 3_600_000), 71);
  const read = new Map((await readSearches(base.sql)).map((s) => [s.setupId, s.humidityPct]));
  expect(read.get(first!.setupId)).toBe(24);
  expect(read.get(second!.setupId)).not.toBe(71);
});

test('once the log shows what the air does, a first guess goes with the air at the machine now', async () => {
  const searches = await readSearches(base.sql);
  await base.sql`delete from air_note`;
  const before = await readTensionLearning(base.sql);
  expect([before.learning.air, before.airNow.size]).toEqual([null, 0]);
  // Dry mornings and damp ones, and a balance that went with them.
  for (const [i, s] of searches.entries()) {
    const pct = i % 2 === 0 ? 20 : 75;
    await noted(s.machineId, new Date(s.provenAt.getTime() - 60_000), pct);
    await base.sql`update proof set ln_ratio_mean = ln_ratio_mean + ${(0.2 * (pct - 50)) / 20}, prior_sd = 5 where setup_id = ${s.setupId}`;
  }
  const { machineId, topId, bobbinId, battingId, needleNm } = searches[0]!;
  const guess = (tension: StudioTension) =>
    guessOf(tension, { machineId, topId, bobbinId, battingId, needleNm }).mean;
  const known = await readTensionLearning(base.sql);
  expect(known.learning.air!.shown).toBe(true);
  expect(known.learning.air!.mean).toBeGreaterThan(0.02);
  await noted(machineId, new Date(), 15);
  const dry = await readTensionLearning(base.sql);
  expect(dry.airNow.get(machineId)).toBe(15);
  expect(dry.mark).not.toBe(known.mark);
  await noted(machineId, new Date(Date.now() + 1), 80);
  await new Promise((r) => setTimeout(r, 5));
  const damp = await readTensionLearning(base.sql);
  expect(guess(damp)).toBeGreaterThan(guess(dry));
});
