import { v7 as uuidv7 } from 'uuid';
import { readCareDone } from '@/data/care';
import { readCorrections } from '@/data/corrections';
import { readFaults } from '@/data/faults';
import { readEntries } from '@/data/log';
import type { TestDatabase } from '@/data/test-database';
import { readRounds } from '@/data/tests';
import { demoDatabase } from '@/demo/testing/demo-database';
import { doCare } from './care';
import { type Context, QUILTER, thisContext } from './context';
import { keepEntries } from './log';
import { key, value } from './testing/answers';

let base: TestDatabase;
let quiltId: string;
let machineId: string;
const second = { id: uuidv7(), name: 'Wren Halyard', role: 'hand' as const };
beforeAll(async () => {
  base = await demoDatabase('who');
  const [q] = await base.sql<{ id: string; machineId: string }[]>`
    select id, machine_id from quilt where name = 'Harbour Lights'`;
  [quiltId, machineId] = [q!.id, q!.machineId];
});
afterAll(() => base.end());

/** Who stands at everything that was done to this quilt and its machine. */
const named = async () => {
  const setups = await base.sql<{ id: string }[]>`
    select s.id from setup s join zone z on z.id = s.zone_id where z.quilt_id = ${quiltId}`;
  const rounds = (await Promise.all(setups.map((s) => readRounds(base.sql, s.id)))).flat();
  return {
    faults: (await readFaults(base.sql, quiltId)).map((f) => f.who),
    rounds: rounds.map((r) => r.who),
    changes: (await readCorrections(base.sql, quiltId)).map((c) => c.who),
    care: (await readCareDone(base.sql)).map((c) => c.who),
    entries: (await readEntries(base.sql, quiltId)).map((e) => e.who ?? null),
  };
};

test('while the studio is one person it goes without saying; from the second on each act says whose it was', async () => {
  const before = await named();
  expect(before.faults.length * before.rounds.length * before.care.length).toBeGreaterThan(0);
  for (const list of Object.values(before)) expect(list.filter((w) => w !== null)).toEqual([]);
  await base.sql`insert into person (id, name, role) values (${second.id}, ${second.name}, ${second.role})`;
  const [{ name }] = (await base.sql`select name from person where id = ${QUILTER.id}`) as [{ name: string }];
  const after = await named();
  for (const list of Object.values(after)) expect(list.every((w) => w === name)).toBe(true);
  const hers: Context = { ...thisContext(), actor: second };
  value(await doCare(hers, { key: key(), machineId, item: 'lint-hook' }));
  const fault = {
    id: uuidv7(),
    quiltId,
    at: new Date().toISOString(),
    kind: 'fault',
    symptoms: ['skipped'],
    xIn: 3,
    yIn: 3,
  };
  expect((await keepEntries(hers, uuidv7(), [fault])).refused).toEqual([]);
  const now = await named();
  expect(now.care.filter((w) => w === second.name)).toHaveLength(1);
  expect(now.faults.filter((w) => w === second.name)).toHaveLength(1);
  expect(now.entries.filter((w) => w === second.name)).toHaveLength(1);
});
