import { v7 as uuidv7 } from 'uuid';
import { readCareDone } from '@/data/care';
import { readSetup } from '@/data/setups';
import type { TestDatabase } from '@/data/test-database';
import { DEMO_DAY, demoDatabase } from '@/demo/testing/demo-database';
import { doCare, keepManual, readCare, readCareOf, takeBackCare } from './care';
import { QUILTER, type Context } from './context';
import { addPhotograph } from './intakes';
import { keepEntries } from './log';
import { key, paths, value } from './testing/answers';

let base: TestDatabase;
let machineId: string;
let quiltId: string;
const at = (days = 0): Context => ({
  sql: base.sql,
  actor: QUILTER,
  now: new Date(DEMO_DAY.getTime() + days * 86_400_000),
});
beforeAll(async () => {
  base = await demoDatabase('care');
  const [q] = await base.sql<{ id: string; machineId: string }[]>`
    select id, machine_id from quilt where name = 'Harbour Lights'`;
  [quiltId, machineId] = [q!.id, q!.machineId];
  await base.sql`delete from care_done`;
});
afterAll(() => base.end());
const line = async (item: string, days = 0) =>
  (await readCareOf(base.sql, machineId, at(days).now))!.lines.find((l) => l.id === item)!;

test('what was never noted is told so; done, it counts from there; a month later it is due', async () => {
  expect(await line('oil-points')).toMatchObject({ word: 'unknown', words: 'never noted here' });
  value(await doCare(at(), { key: key(), machineId, item: 'oil-points' }));
  expect(await line('oil-points')).toMatchObject({ word: 'fine', u: 0 });
  expect(await line('oil-points', 31)).toMatchObject({ word: 'due' });
  expect((await line('oil-points', 10)).dueOn).toBe('2026-12-25');
});

test('the manual’s figures hold instead, a sealed item is never due', async () => {
  value(await keepManual(at(), { key: key(), machineId, item: 'oil-points', sealed: false, days: 365 }));
  expect(await line('oil-points', 31)).toMatchObject({ word: 'fine' });
  value(await keepManual(at(), { key: key(), machineId, item: 'oil-points', sealed: true }));
  expect(await line('oil-points', 4000)).toMatchObject({ word: 'none', u: 0 });
  value(await keepManual(at(), { key: key(), machineId, item: 'oil-points', sealed: false }));
  expect(await line('oil-points', 31)).toMatchObject({ word: 'due' });
});

test('taken back it never was; put back it is again', async () => {
  const { id } = value(await doCare(at(), { key: key(), machineId, item: 'level' }));
  value(await takeBackCare(at(), { key: key(), id, back: true }));
  expect((await line('level')).word).toBe('unknown');
  value(await takeBackCare(at(), { key: key(), id, back: false }));
  expect((await line('level')).word).toBe('fine');
});

test('a service that touched the hook makes tested set-ups of that machine be tested again, and tells why', async () => {
  const [row] = await base.sql<{ zoneId: string }[]>`
    select s.zone_id from proof p join setup s on s.id = p.setup_id join zone z on z.id = s.zone_id
    join quilt q on q.id = z.quilt_id where q.machine_id = ${machineId} and z.retired_at is null
    order by s.version desc limit 1`;
  expect((await readSetup(base.sql, row!.zoneId))!.provenAt).not.toBeNull();
  const service = {
    key: key(),
    machineId,
    item: 'timing',
    technician: 'Una Thorne',
    found: 'hook 0.1 mm late',
    touched: ['timing', 'hook'],
  };
  const { id } = value(await doCare(at(), service));
  const after = (await readSetup(base.sql, row!.zoneId))!;
  expect(after.provenAt).toBeNull();
  expect(after.turnedBack!.why.join()).toContain('serviced since: timing, hook');
  expect((await addPhotograph({ sql: base.sql }, id, onePixel, 'service')).ok).toBe(true);
  expect((await readCareDone(base.sql)).find((d) => d.id === id)!.photographs).toHaveLength(1);
  value(await takeBackCare(at(), { key: key(), id, back: true }));
  expect((await readSetup(base.sql, row!.zoneId))!.provenAt).not.toBeNull();
});

test('told at the Stand it is in the service log; undone there it is gone, and only there', async () => {
  const device = uuidv7();
  const entry = { id: uuidv7(), quiltId, at: new Date().toISOString(), kind: 'care-done', care: 'lint-hook' };
  expect((await keepEntries(at(), device, [entry])).refused).toEqual([]);
  expect((await readCareDone(base.sql)).map((d) => d.id)).toContain(entry.id);
  expect(paths(await takeBackCare(at(), { key: key(), id: entry.id, back: true }))).toEqual(['id']);
  const undone = { id: uuidv7(), quiltId, at: new Date().toISOString(), kind: 'undone', undoes: entry.id };
  await keepEntries(at(), device, [undone]);
  expect((await readCareDone(base.sql)).map((d) => d.id)).not.toContain(entry.id);
});

test('bad input is told at its field', async () => {
  const form = { machineId, item: 'timing' };
  const later = new Date(DEMO_DAY.getTime() + 9e8).toISOString();
  expect(paths(await doCare(at(), { key: key(), ...form, at: later }))).toEqual(['at']);
  expect(paths(await doCare(at(), { key: key(), ...form, item: 'tea' }))).toEqual(['item']);
  expect(paths(await doCare(at(), { key: key(), ...form, touched: ['soul'] }))).toEqual(['touched']);
  value(await doCare(at(), { key: key(), ...form, counterStitches: 5_000_000 }));
  expect(paths(await doCare(at(), { key: key(), ...form, counterStitches: 4_000_000 }))).toEqual([
    'counterStitches',
  ]);
  const strange = '0198c000-0000-7000-8000-000000000000';
  expect(paths(await doCare(at(), { key: key(), ...form, machineId: strange }))).toEqual(['machineId']);
  const { kept } = await keepEntries(at(), uuidv7(), [
    { id: uuidv7(), quiltId, at: new Date().toISOString(), kind: 'care-done' },
    { id: uuidv7(), quiltId, at: new Date().toISOString(), kind: 'air-noted' },
  ]);
  expect(kept).toHaveLength(2);
  expect(await base.sql`select 1 from air_note`).toHaveLength(0);
});

test('every machine has every item once', async () => {
  for (const m of await readCare(base.sql, at().now))
    expect(new Set(m.lines.map((l) => l.id)).size).toBe(m.lines.length);
});

const onePixel = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
  'base64',
);
