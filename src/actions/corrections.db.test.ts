import fc from 'fast-check';
import { readCorrections } from '@/data/corrections';
import { readClient } from '@/data/clients';
import { readQuilt, readRack, readWithdrawn } from '@/data/quilts';
import { readSetups } from '@/data/setups';
import { readZones } from '@/data/zones';
import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { thisContext } from './context';
import { correctableOf, correctQuilt, keepClient, undoCorrection, withdrawQuilt } from './corrections';
import { key, paths, value } from './testing/answers';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('corrections');
});
afterAll(() => base.end());

const idOf = async (name: string) =>
  (await base.sql<{ id: string }[]>`select id from quilt where name = ${name}`)[0]!.id;
const batting = async (not: string) =>
  (
    await base.sql<
      { id: string }[]
    >`select id from batting where id <> ${not} and archived_at is null order by name`
  )[0]!.id;
const measured = (w: number, l: number) => ({ widthsIn: [w, w, w], lengthsIn: [l, l, l] });

/** The form as the page shows it, with some of it said anew. */
async function form(id: string, part: object = {}) {
  const quilt = (await readQuilt(base.sql, id))!;
  const now = correctableOf(quilt);
  return {
    ...now,
    widthsIn: now.widthsIn ?? [quilt.widthIn, quilt.widthIn, quilt.widthIn],
    lengthsIn: now.lengthsIn ?? [quilt.lengthIn, quilt.lengthIn, quilt.lengthIn],
    key: key(),
    quiltId: id,
    version: quilt.version,
    ...part,
  };
}
const correct = async (id: string, part: object) => correctQuilt(thisContext(), await form(id, part));
const gone = (correctionId: string, way: 'undo' | 'redo') =>
  undoCorrection(thisContext(), { key: key(), correctionId, way });
/** Everything of a quilt that a correction may move; not its version. */
const stateOf = async (id: string) => {
  const q = (await readQuilt(base.sql, id))!;
  const zones = await readZones(base.sql, id);
  return {
    ...correctableOf(q),
    size: [q.widthIn, q.lengthIn],
    plan: [q.passes, q.depthsIn, q.begun, q.orderByHand],
    zones: zones.map((z) => [z.id, z.letter, z.geometry, z.lengthIn]),
    proven: (await readSetups(base.sql, id)).map((s) => [s.zoneId, s.provenAt]),
  };
};

test('batting identified later: the tests that rested on it do not count, and count again when it is undone', async () => {
  const id = await idOf('Harbour Lights');
  await correct(id, {});
  const before = await stateOf(id);
  const proven = before.proven.filter(([, at]) => at).length;
  expect(proven).toBeGreaterThan(0);
  const quilt = (await readQuilt(base.sql, id))!;
  const { said, correctionId } = value(await correct(id, { battingId: await batting(quilt.battingId) }));
  expect(said.join(' ')).toMatch(/Test again before sewing/);
  expect((await stateOf(id)).proven.filter(([, at]) => at)).toHaveLength(0);
  const back = value(await gone(correctionId!, 'undo'));
  expect(back.said.join(' ')).toMatch(/counts again/);
  expect(await stateOf(id)).toEqual(before);
});

test('a part sewn keeps its size; everything else may still be said anew', async () => {
  const [sewn] = await base.sql<{ id: string }[]>`select quilt_id as id from step_sewn limit 1`;
  expect(paths(await correct(sewn!.id, measured(50, 50)))).toEqual(['widthsIn']);
  expect(value(await correct(sewn!.id, { wishes: 'A label on the back' })).correctionId).not.toBeNull();
});

test('what was changed since is not overwritten by an undo', async () => {
  const id = await idOf('Harbour Lights');
  const first = value(await correct(id, { name: 'Harbour Lamps' }));
  const second = value(await correct(id, { name: 'Harbour Lanterns' }));
  expect(await gone(first.correctionId!, 'undo')).toMatchObject({
    ok: false,
    problems: [{ message: expect.stringContaining('The quilt’s name') }],
  });
  value(await gone(second.correctionId!, 'undo'));
  value(await gone(first.correctionId!, 'undo'));
  expect((await readQuilt(base.sql, id))!.name).toBe('Harbour Lights');
  expect(await gone(first.correctionId!, 'undo')).toMatchObject({ ok: false, conflict: true });
});

test.each([
  ['no name', { name: ' ' }, 'name'],
  ['a day before it came', { dueOn: '2001-01-01' }, 'dueOn'],
  ['a size no frame takes', measured(190, 190), 'widthsIn'],
  ['two widths', { widthsIn: [50, 50] }, 'widthsIn'],
  ['a batting of no studio', { battingId: key() }, 'battingId'],
  ['no client', { client: '' }, 'client'],
])('%s is refused at its field', async (_, part, path) => {
  const id = await idOf('Salt Pans');
  expect(paths(await correct(id, part))).toContain(path);
});

test('two windows: the second is told, and nothing is overwritten', async () => {
  const id = await idOf('Salt Pans');
  const [one, two] = [await form(id, { care: 'cold' }), await form(id, { care: 'hot' })];
  value(await correctQuilt(thisContext(), one));
  expect(await correctQuilt(thisContext(), two)).toMatchObject({ ok: false, conflict: true });
});

test('corrections of every kind, undone and put back in any order, leave what a plain history would', async () => {
  const [free] = await base.sql<{ id: string }[]>`
    select id from quilt q where passes is null and handed_back_on is null
      and not exists (select from step_sewn s where s.quilt_id = q.id) order by name limit 1`;
  const id = free!.id;
  // The first correction says its three measures, so that all is known to go back to.
  value(await correct(id, { wishes: 'begin' }));
  const first = await stateOf(id);
  const other = await batting((await readQuilt(base.sql, id))!.battingId);
  const acts = fc.array(
    fc.oneof(
      fc
        .constantFrom<object>(
          measured(44, 52),
          measured(60.5, 48),
          { battingId: other },
          { name: 'Another name' },
          { ...measured(52, 60), backingClothIn: 108 },
          { client: 'Somebody Else' },
          { dueOn: '2030-05-05', depositMinor: 5000, depositOn: '2026-11-01' },
        )
        .map((part) => ({ kind: 'correct' as const, part })),
      fc.record({ kind: fc.constantFrom('undo' as const, 'redo' as const), at: fc.nat(6) }),
      fc.constant({ kind: 'lock' as const }),
    ),
    { minLength: 3, maxLength: 8 },
  );
  await fc.assert(
    fc.asyncProperty(acts, async (list) => {
      const from = (await readCorrections(base.sql, id)).length;
      for (const a of list) {
        if (a.kind === 'correct') value(await correct(id, a.part));
        else if (a.kind === 'lock')
          await base.sql`update quilt set passes = 2, depths_in = '{26,26}' where id = ${id}`;
        else {
          const kept = (await readCorrections(base.sql, id)).slice(0, -from || undefined);
          const one = kept[a.at % (kept.length || 1)];
          if (!one || (one.undoneAt !== null) !== (a.kind === 'redo')) continue;
          const before = await stateOf(id);
          const r = await gone(one.id, a.kind);
          if (!r.ok) expect(await stateOf(id)).toEqual(before);
        }
        // The map always covers the quilt as it is measured now.
        const now = (await readQuilt(base.sql, id))!;
        const xs = (await readZones(base.sql, id)).flatMap((z) => z.geometry.flat(2).map(([x]) => x));
        expect(Math.max(...xs)).toBeCloseTo(now.widthIn, 6);
      }
      // All that stand, undone from the newest: the first state but for passes locked meanwhile.
      for (let i = 0; i < 40; i++) {
        const kept = (await readCorrections(base.sql, id))
          .slice(0, -from || undefined)
          .filter((c) => !c.undoneAt);
        if (kept.length === 0) break;
        for (const c of kept) await gone(c.id, 'undo');
      }
      const left = (await readCorrections(base.sql, id))
        .slice(0, -from || undefined)
        .filter((c) => !c.undoneAt);
      const { plan: _, ...end } = await stateOf(id);
      const { plan: __, ...begin } = first;
      if (left.length === 0)
        expect({ ...end, zones: begin.zones.length }).toEqual({ ...begin, zones: end.zones.length });
      await base.sql`delete from quilt_change where quilt_id = ${id} and n > ${from}`;
      await base.sql`update quilt set passes = null, depths_in = null where id = ${id}`;
      // Begin again from the first state, whatever is left.
      if (left.length > 0) {
        value(
          await correct(
            id,
            Object.fromEntries(
              Object.entries(begin).filter(([k]) => !['size', 'zones', 'proven'].includes(k)),
            ),
          ),
        );
        await base.sql`delete from quilt_change where quilt_id = ${id} and n > ${from}`;
      }
    }),
    { numRuns: 40 },
  );
}, 120_000);

test('a quilt withdrawn is off the Rack and keeps its record; it can be taken in again', async () => {
  const id = await idOf('Salt Pans');
  const on = async () => (await readRack(base.sql)).some((q) => q.id === id);
  const at = async (withdrawn: boolean) =>
    withdrawQuilt(thisContext(), {
      key: key(),
      quiltId: id,
      version: (await readQuilt(base.sql, id))!.version,
      withdrawn,
      why: 'She will quilt it herself',
    });
  expect(await on()).toBe(true);
  value(await at(true));
  expect(await on()).toBe(false);
  expect((await readWithdrawn(base.sql, 5))[0]).toMatchObject({
    id,
    withdrawnWhy: 'She will quilt it herself',
  });
  expect((await readZones(base.sql, id)).length).toBeGreaterThan(0);
  value(await at(false));
  expect(await on()).toBe(true);
  expect((await readQuilt(base.sql, id))!.withdrawnWhy).toBe('');
});

test('a client’s details are kept for all her quilts, and a wrong address is told', async () => {
  const quilt = (await readQuilt(base.sql, await idOf('Salt Pans')))!;
  const details = {
    key: key(),
    clientId: quilt.clientId,
    name: quilt.client,
    phone: '+1 555 010 20',
    email: 'maud@harbour.example',
    address: '',
    contactBy: 'email',
    photosOk: 'public',
  };
  value(await keepClient(thisContext(), details));
  expect(await readClient(base.sql, quilt.clientId)).toMatchObject({
    email: 'maud@harbour.example',
    photosOk: 'public',
  });
  expect(
    paths(await keepClient(thisContext(), { ...details, key: key(), email: 'maud at harbour' })),
  ).toEqual(['email']);
  expect(paths(await keepClient(thisContext(), { ...details, key: key(), phone: 'call me' }))).toEqual([
    'phone',
  ]);
});
