import { USUAL_MACHINES } from '@/core/machine/usual';
import { readBegun } from '@/data/begun';
import { emptyDatabase, type TestDatabase } from '@/data/test-database';
import { migrate } from '@/data/migrate';
import { insertShipped } from '@/data/shipped';
import { changeStudio, NotChanged } from '@/demo/change-studio';
import { stockUsual } from './begin';
import { addCones } from './cones';
import { thisContext } from './context';
import { keepMachine } from './machines';
import { readRackView } from './rack';
import { readShopping } from './shopping';
import { aLine } from './testing/a-line';
import { key, paths, value } from './testing/answers';

let base: TestDatabase;
beforeAll(async () => {
  base = await emptyDatabase('begin');
  await migrate(base.sql);
  await insertShipped(base.sql);
});
afterAll(() => base.end());

test.each(USUAL_MACHINES.ids)('a machine of the usual kind “%s” needs only its name', async (id) => {
  const form = { ...USUAL_MACHINES.get(id).values, key: key(), version: 0 };
  expect(paths(await keepMachine(thisContext(), form))).toEqual(['name']);
  value(await keepMachine(thisContext(), { ...form, key: key(), name: `Mine, ${id}` }));
});

test('a usual drawer in one tap, twice the same; bobbins ask for a thread first', async () => {
  expect(paths(await stockUsual(thisContext(), { key: key(), what: 'bobbins' }))).toEqual(['what']);
  for (const _ of [1, 2]) value(await stockUsual(thisContext(), { key: key(), what: 'needles' }));
  expect((await readBegun(base.sql)).needles).toBe(40);
  value(await addCones(thisContext(), aLine({ role: 'bobbin' })));
  value(await stockUsual(thisContext(), { key: key(), what: 'bobbins' }));
  expect((await readBegun(base.sql)).bobbins).toBe(6);
});

test('an empty studio has an empty list, and the demo is not laid over one that is begun', async () => {
  expect(await readShopping(base.sql, new Date())).toEqual([]);
  const { machines } = await readBegun(base.sql);
  await expect(changeStudio(base.sql, process.env.DATABASE_URL!, 'demo', new Date())).rejects.toThrow(
    NotChanged,
  );
  await expect(changeStudio(base.sql, process.env.DATABASE_URL!, 'empty', new Date())).rejects.toThrow(
    NotChanged,
  );
  expect((await readBegun(base.sql)).machines).toBe(machines);
});

test('the demo is looked at and left again', async () => {
  const other = await emptyDatabase('begin_demo');
  try {
    await migrate(other.sql);
    await insertShipped(other.sql);
    await changeStudio(other.sql, process.env.DATABASE_URL!, 'demo', new Date());
    expect(await readBegun(other.sql)).toMatchObject({ isDemo: true, machines: 1 });
    const view = await readRackView(other.sql, new Date());
    expect(view!.onFrame!.quilt.name).toBe('Harbour Lights');
    expect((await readShopping(other.sql, new Date()))!.some((l) => l.act === 'wind')).toBe(true);
    await changeStudio(other.sql, process.env.DATABASE_URL!, 'empty', new Date());
    expect(await readBegun(other.sql)).toEqual({
      machines: 0,
      cones: 0,
      needles: 0,
      bobbins: 0,
      quilts: 0,
      isDemo: false,
    });
    expect(await readRackView(other.sql, new Date())).not.toBeNull();
  } finally {
    await other.end();
  }
}, 60_000);
