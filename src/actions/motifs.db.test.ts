import { motifs } from '@/core/motifs/motifs';
import { readMachine } from '@/data/machines';
import { readPreferences } from '@/data/preferences';
import { readRulers } from '@/data/rulers';
import { type TestDatabase } from '@/data/test-database';
import { readZones } from '@/data/zones';
import { demoDatabase } from '@/demo/testing/demo-database';
import { thisContext } from './context';
import { motifsRequest, quiltZones, readPastMotifs, setZoneRole } from './motifs';
import { readQuiltView } from './quilt-view';
import { quiltToZone } from './testing/quilt-to-zone';
import { key, paths, value } from './testing/answers';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('motifs');
});
afterAll(() => base.end());

const quilts = () => base.sql<{ id: string; name: string }[]>`select id, name from quilt order by name`;
async function asked(id: string) {
  const view = (await readQuiltView(base.sql, id))!;
  const machine = (await readMachine(base.sql, view.quilt.machineId))!;
  return motifsRequest(view, machine, await readRulers(base.sql), (await readPreferences(base.sql))!);
}

test('every demo quilt has a proposal that the batting holds', async () => {
  for (const q of await quilts()) {
    const request = await asked(q.id);
    const { proposals, zones } = motifs(request);
    expect([q.name, proposals.length > 0]).toEqual([q.name, true]);
    for (const z of zones) expect([q.name, z.id, z.picks.length > 0]).toEqual([q.name, z.id, true]);
    for (const p of proposals.filter((x) => x.kind !== 'edge-to-edge')) expect(p.evenness).toBeLessThan(4);
  }
});

test('what was sewn here before is read with how it went, and moves what is offered', async () => {
  const past = await readPastMotifs(base.sql);
  expect(past.length).toBeGreaterThan(0);
  const { id } = (await quilts())[0]!;
  const request = await asked(id);
  const score = (more: typeof past) =>
    motifs({ ...request, past: more }).zones[0]!.picks.find((p) => p.technique === 'loops')?.score ?? 9;
  const loops = (went: 'well' | 'badly') =>
    Array.from({ length: 10 }, () => ({ role: request.zones[0]!.role, technique: 'loops', went }));
  expect(score(loops('well'))).toBeLessThan(score(loops('badly')));
});

test('a proposal is laid on all zones or none, and what was before can be laid again', async () => {
  const id = await quiltToZone(base.sql);
  const zones = await readZones(base.sql, id);
  const [p] = motifs(await asked(id)).proposals;
  const form = {
    key: key(),
    quiltId: id,
    zones: p!.zones.map((z) => ({
      zoneId: z.id,
      version: zones.find((x) => x.id === z.id)!.version,
      technique: z.technique,
      spacingIn: z.spacingIn,
    })),
  };
  const { before } = value(await quiltZones(thisContext(), form));
  expect((await readZones(base.sql, id)).map((z) => z.technique)).toEqual(p!.zones.map((z) => z.technique));
  expect(await quiltZones(thisContext(), { ...form, key: key() })).toMatchObject({
    ok: false,
    conflict: true,
  });
  value(await quiltZones(thisContext(), { key: key(), quiltId: id, zones: before }));
  expect((await readZones(base.sql, id)).map((z) => [z.technique, z.spacingIn])).toEqual(
    zones.map((z) => [z.technique, z.spacingIn]),
  );
});

test('what a zone is can be said, and what is none is refused', async () => {
  const id = await quiltToZone(base.sql);
  const [zone] = await readZones(base.sql, id);
  value(await setZoneRole(thisContext(), { key: key(), zoneId: zone!.id, role: 'space' }));
  expect((await asked(id)).zones[0]!.role).toBe('space');
  expect(paths(await setZoneRole(thisContext(), { key: key(), zoneId: zone!.id, role: 'lawn' }))).toEqual([
    'role',
  ]);
});
