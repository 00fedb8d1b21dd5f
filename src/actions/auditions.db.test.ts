import { auditioned } from '@/core/audition/weighed';
import { drawTechnique } from '@/core/audition/draw';
import { areaOf } from '@/core/geometry/polygon';
import { techniques } from '@/core/tables/techniques';
import { readAuditions, readPlacedPhotographs } from '@/data/auditions';
import { readPatterns } from '@/data/patterns';
import { insertPhotograph } from '@/data/intakes';
import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { keepAudition, placePhotograph } from './auditions';
import { thisContext } from './context';
import { letterFacts, letterFile } from './letters';
import { motifsRequest, quiltZones } from './motifs';
import { readPlan } from './plan';
import { readQuiltView } from './quilt-view';
import { key, paths, value } from './testing/answers';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('auditions');
});
afterAll(() => base.end());

const SIDES = [
  { technique: 'swirls', look: 'swirls', spacingIn: 0.75, seed: 2 },
  { technique: 'teardrop-echo', look: 'paisley', spacingIn: 0.75, seed: 1 },
];
const aQuilt = async () => {
  const [row] = await base.sql<{ id: string }[]>`select id from quilt where name = 'Nine Buoys'`;
  return (await readQuiltView(base.sql, row!.id))!;
};

test('two ways are kept for the client: told in the letter, drawn in it, and let go of again', async () => {
  const view = await aQuilt();
  const zone = view.zones[0]!;
  const form = { key: key(), quiltId: view.quilt.id, zoneId: zone.id, sides: SIDES };
  value(await keepAudition(thisContext(), form));
  expect((await readAuditions(base.sql, view.quilt.id)).get(zone.id)).toEqual(SIDES);
  expect((await letterFacts(base.sql, view, new Date())).ways).toEqual([
    { zone: zone.name, a: 'swirls about 0.75 in apart', b: 'echoed teardrops about 0.75 in apart' },
  ]);
  const mail = (await letterFile(base.sql, view, 'approve', new Date())).toString('latin1');
  expect(mail.match(/way-[AB]\.png/g)!.length).toBeGreaterThanOrEqual(2);
  value(await keepAudition(thisContext(), { ...form, key: key(), sides: null }));
  expect((await readAuditions(base.sql, view.quilt.id)).size).toBe(0);
});

test('a pattern of the studio is one of the two: named and drawn in the letter; one that is not kept is refused', async () => {
  const view = await aQuilt();
  const zone = view.zones[0]!;
  const [pattern] = await readPatterns(base.sql);
  const laid = {
    technique: 'guided-pattern',
    look: 'pattern',
    spacingIn: 6,
    seed: 1,
    patternId: pattern!.id,
  };
  const form = { quiltId: view.quilt.id, zoneId: zone.id };
  value(await keepAudition(thisContext(), { ...form, key: key(), sides: [laid, SIDES[0]] }));
  const { ways } = await letterFacts(base.sql, view, new Date());
  expect(ways[0]!.a).toBe(`the pattern “${pattern!.name}”, each repeat 6 in wide`);
  const mail = (await letterFile(base.sql, view, 'approve', new Date())).toString('latin1');
  expect(mail).toContain('way-A.png');
  for (const patternId of [null, '0198c000-0000-7000-8000-000000000000'])
    expect(
      paths(
        await keepAudition(thisContext(), {
          ...form,
          key: key(),
          sides: [SIDES[0], { ...laid, patternId }],
        }),
      ),
    ).toEqual(['sides.1.patternId']);
  value(await keepAudition(thisContext(), { ...form, key: key(), sides: null }));
});

test('a look of another technique, one way alone and a stranger’s zone are refused', async () => {
  const view = await aQuilt();
  const form = { quiltId: view.quilt.id, zoneId: view.zones[0]!.id };
  const wrong = [{ ...SIDES[0]!, look: 'paisley' }, SIDES[1]!];
  expect(paths(await keepAudition(thisContext(), { ...form, key: key(), sides: wrong }))).toEqual([
    'sides.0.look',
  ]);
  expect(paths(await keepAudition(thisContext(), { ...form, key: key(), sides: [SIDES[0]] }))).toEqual([
    'sides',
  ]);
  const strange = { ...form, key: key(), zoneId: '0198c000-0000-7000-8000-000000000000', sides: SIDES };
  expect(await keepAudition(thisContext(), strange)).toMatchObject({ ok: false });
});

test('the corners of a photograph are kept, and folded ones refused', async () => {
  const view = await aQuilt();
  const id = '0198c000-0000-7000-8000-0000000000aa';
  await insertPhotograph(base.sql, id, { quiltId: view.quilt.id }, 'image/png', Buffer.from([1]));
  const corners = [
    { x: 0.1, y: 0.1 },
    { x: 0.9, y: 0.15 },
    { x: 0.85, y: 0.9 },
    { x: 0.1, y: 0.8 },
  ];
  const form = { quiltId: view.quilt.id, photographId: id };
  const folded = [corners[0], corners[2], corners[1], corners[3]];
  expect(paths(await placePhotograph(thisContext(), { ...form, key: key(), corners: folded }))).toEqual([
    'corners',
  ]);
  value(await placePhotograph(thisContext(), { ...form, key: key(), corners }));
  const [photo] = await readPlacedPhotographs(base.sql, view.quilt.id);
  expect(photo!.corners![2]).toEqual([0.85, 0.9]);
});

test('chosen, the zone is as dense and as curved as it was drawn', async () => {
  const view = await aQuilt();
  const zone = view.zones.find((z) => areaOf(z.geometry) > 60)!;
  const read = await readPlan(base.sql, view);
  const request = motifsRequest(view, read.machine, [], read.preferences);
  const drawn = drawTechnique({ shape: zone.geometry, technique: 'swirls', spacingIn: 0.75 });
  const told = auditioned(request, zone.id, 'swirls', 0.75, drawn);
  expect(told.minutes.low).toBeLessThan(told.minutes.mid);
  value(
    await quiltZones(thisContext(), {
      key: key(),
      quiltId: view.quilt.id,
      zones: [
        {
          zoneId: zone.id,
          version: zone.version,
          technique: 'swirls',
          spacingIn: told.spacingIn,
          smallestRadiusIn: Math.round(drawn.radiusIn! * 100) / 100,
        },
      ],
    }),
  );
  const after = (await aQuilt()).zones.find((z) => z.id === zone.id)!;
  const { density } = techniques.get('swirls');
  expect((density as { k: number }).k / after.spacingIn).toBeCloseTo(drawn.lambda, 1);
  expect(after.smallestRadiusIn).toBeCloseTo(drawn.radiusIn!, 2);
});
