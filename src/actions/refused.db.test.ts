import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { thisContext } from './context';
import { handBack } from './hand-back';
import { readHandBack } from '@/data/hand-back';
import { fixPlan } from './plan-commands';
import { readQuiltView } from './quilt-view';
import { key, paths } from './testing/answers';
import { exportWorkroom, importWorkroom } from './workroom-file';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('refused');
});
afterAll(() => base.end());

const quilt = async (name: string) => {
  const [q] = await base.sql<{ id: string }[]>`select id from quilt where name = ${name}`;
  return (await readQuiltView(base.sql, q!.id))!;
};

test('a workroom file that is refused half-way has renamed no machine and added no fabric', async () => {
  const doc = await exportWorkroom(base.sql);
  const [machine] = await base.sql<{ name: string }[]>`select name from machine`;
  const changed = {
    ...doc,
    machines: doc.machines.map((m) => ({ ...m, name: 'Another machine altogether' })),
    // Metres that differ are asked about, after machines, fabrics and battings were put in.
    cones: doc.cones.map((c, i) => (i === 0 ? { ...c, remainingM: 7 } : c)),
  };
  const send = () => importWorkroom(thisContext(), { key: key(), text: JSON.stringify(changed) });
  expect(paths(await send())).toEqual(['metres']);
  expect((await base.sql<{ name: string }[]>`select name from machine`)[0]!.name).toBe(machine!.name);
});

test('a hand back that is refused has stored no waiver', async () => {
  const { quilt: q } = await quilt('Nine Buoys');
  const before = await readHandBack(base.sql, q.id);
  const form = { quiltId: q.id, home: true, waivedBy: 'Maud', waivedWhy: 'hardly seen' };
  // A window that is a version behind: refused after the waiver was written.
  expect(await handBack(thisContext(), { ...form, key: key(), version: q.version + 7 })).toMatchObject({
    ok: false,
    conflict: true,
  });
  expect(await readHandBack(base.sql, q.id)).toEqual(before);
});

test('a refused form keeps no receipt: mended, it may be sent again under its key', async () => {
  const { quilt: q } = await quilt('Ferry Blanket');
  const same = key();
  const form = { key: same, quiltId: q.id, turnRule: 'auto' };
  expect(await fixPlan(thisContext(), { ...form, version: 999 })).toMatchObject({ conflict: true });
  expect(await fixPlan(thisContext(), { ...form, version: q.version })).toMatchObject({ ok: true });
});
