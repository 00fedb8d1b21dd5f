import { type TestDatabase } from '@/data/test-database';
import { readOffers, readRates } from '@/data/offers';
import { demoDatabase } from '@/demo/testing/demo-database';
import { thisContext } from './context';
import { letterFacts } from './letters';
import { keepRates, makeOffer, readKindsCameTo, readOfferSources, setOffer } from './offers';
import { readQuiltView } from './quilt-view';
import { key, paths, value } from './testing/answers';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('offers');
});
afterAll(() => base.end());

const quiltOf = async (name: string) => {
  const [q] = await base.sql<{ id: string }[]>`select id from quilt where name = ${name}`;
  return (await readQuiltView(base.sql, q!.id, 'its cards'))!;
};
const form = (quiltId: string, part: object = {}) => ({
  key: key(),
  quiltId,
  basis: 'hour',
  tasks: ['look-over', 'pack'],
  isRush: false,
  taxPct: 20,
  validDays: 7,
  note: '',
  supplied: [],
  ...part,
});

test('every demo quilt has an offer that adds up to the cent, whichever way it is charged', async () => {
  const quilts = await base.sql<{ id: string; name: string }[]>`select id, name from quilt order by name`;
  for (const { id, name } of quilts)
    for (const basis of ['hour', 'area']) {
      value(await makeOffer(thisContext(), form(id, { basis })));
      const [o] = await readOffers(base.sql, id);
      const sum = (k: 'low' | 'mid' | 'high') => o!.reckoned.lines.reduce((s, l) => s + l[k], 0);
      expect([name, o!.lowMinor, o!.midMinor, o!.highMinor]).toEqual([
        name,
        sum('low'),
        sum('mid'),
        sum('high'),
      ]);
      expect(o!.midMinor).toBeGreaterThan(1000);
    }
});

test('a new offer takes the place of the one before; agreed is agreed once, and can be taken back', async () => {
  const { quilt } = await quiltOf('Slipway');
  value(await makeOffer(thisContext(), form(quilt.id)));
  value(await makeOffer(thisContext(), form(quilt.id, { isRush: true })));
  const [now, before] = await readOffers(base.sql, quilt.id);
  expect([now!.state, before!.state]).toEqual(['offered', 'changed']);
  expect(now!.midMinor).toBeGreaterThan(before!.midMinor);
  value(await setOffer(thisContext(), { key: key(), id: now!.id, version: now!.version, state: 'agreed' }));
  expect(
    await setOffer(thisContext(), { key: key(), id: now!.id, version: now!.version, state: 'withdrawn' }),
  ).toMatchObject({ conflict: true });
  const [agreed] = await readOffers(base.sql, quilt.id);
  expect(agreed).toMatchObject({ state: 'agreed', agreedOn: expect.any(String) });
  const facts = await letterFacts(base.sql, await quiltOf('Slipway'), new Date());
  expect(facts.due).toMatch(/€/);
  expect(facts.offer!.lines.length).toBe(agreed!.reckoned.lines.length);
});

test('what is wrong is said at its field: tax, tasks, a missing rate', async () => {
  const { quilt } = await quiltOf('Ferry Blanket');
  expect(paths(await makeOffer(thisContext(), form(quilt.id, { taxPct: 130 })))).toEqual(['taxPct']);
  expect(paths(await makeOffer(thisContext(), form(quilt.id, { tasks: ['no such task'] })))).toEqual([
    'tasks',
  ]);
  expect(
    paths(
      await makeOffer(
        thisContext(),
        form(quilt.id, { supplied: [{ label: '', amount: 1, unit: '', priceMinor: -3 }] }),
      ),
    ),
  ).toEqual(expect.arrayContaining(['supplied.0.label', 'supplied.0.priceMinor']));
  const rates = await readRates(base.sql);
  const { version, ...fields } = rates;
  value(await keepRates(thisContext(), { ...fields, key: key(), version, hourMinor: null }));
  expect(paths(await makeOffer(thisContext(), form(quilt.id)))).toEqual(['basis']);
  expect(await keepRates(thisContext(), { ...fields, key: key(), version })).toMatchObject({
    conflict: true,
  });
  value(await keepRates(thisContext(), { ...fields, key: key(), version: version + 1 }));
});

test('hours offered are the hours of the plan, sewn or not', async () => {
  const view = await quiltOf('Nine Buoys');
  const { work, frameHours } = await readOfferSources(base.sql, view);
  const mid = work.reduce((s, w) => s + w.hours.mid, frameHours.mid);
  expect(view.quilt.sewn.length).toBeGreaterThan(0);
  expect(mid).toBeGreaterThan(3);
  expect((await readKindsCameTo(base.sql)).every((k) => k.offeredMin > 0)).toBe(true);
});
