import { demoNeedles } from '@/demo/shelf';
import { CoreError } from '../notes';
import { techniques } from '../tables/techniques';
import { machine, shelf as threads } from '../testing/a-shelf';
import { match } from './match';
import type { MatchZone } from './request';
import { matchWhole, type WholeQuiltRequest } from './whole-quilt';

const zone = (technique: string, hex: string, more: Partial<MatchZone> = {}): MatchZone => ({
  top: [{ fabric: 'quilting-cotton', hex }],
  backing: 'quilting-cotton',
  battingId: 'cotton-80-20',
  technique,
  areaIn2: 500,
  visibility: 'sink',
  use: 'bed',
  ...more,
});

const request: WholeQuiltRequest = {
  zones: [
    { id: 'A', zone: zone('swirls', '#9db3b8') },
    { id: 'B', zone: zone('meander-small', '#aebcbe') },
    { id: 'C', zone: zone('ruler-lines', '#33485a') },
    { id: 'D', zone: zone('echo', '#d2c5a6') },
    { id: 'E', zone: zone('loops', '#cdbf9f', { visibility: 'texture' }) },
  ],
  machine,
  threads,
  needles: demoNeedles,
};

/** The same question to one zone alone. */
const alone = (z: MatchZone) => {
  const { zones: _, ...shared } = request;
  return match({ ...shared, zone: z, limit: 1 }).setups[0]!;
};

test('each zone’s own best is what Match alone would choose', () => {
  for (const [i, z] of matchWhole(request).zones.entries()) {
    const best = alone(request.zones[i]!.zone);
    expect([z.own!.topId, z.own!.bobbinId]).toEqual([best.topId, best.bobbinId]);
  }
});

test('fewer threads than zone by zone, and never dearer', () => {
  const whole = matchWhole({ ...request, topPrice: 3 });
  expect(whole.together.tops.length).toBeLessThan(whole.apart.tops.length);
  expect(whole.together.bobbins.length).toBeLessThan(whole.apart.bobbins.length);
  expect(whole.cost).toBeLessThanOrEqual(whole.apartCost + 1e-9);
  for (const z of whole.zones) expect(z.extra).toBeGreaterThanOrEqual(-1e-9);
  const traded = whole.zones.filter((z) => z.extra > 0);
  expect(traded.length).toBeGreaterThan(0);
  // The trade is told criterion by criterion, and the parts add up to what is given up.
  for (const z of traded) {
    expect(z.shifts.length).toBeGreaterThan(0);
    expect(z.shifts.reduce((s, x) => s + x.by, 0)).toBeCloseTo(z.extra, 1);
  }
});

test('when a further thread costs nothing each zone keeps its own', () => {
  const whole = matchWhole({ ...request, topPrice: 0, bobbinPrice: 0 });
  expect(whole.zones.every((z) => z.extra === 0)).toBe(true);
  expect(whole.together).toEqual(whole.apart);
});

test('the dearer a change the fewer the threads', () => {
  const tops = [0, 0.3, 0.6, 1.5, 5].map(
    (topPrice) => matchWhole({ ...request, topPrice, bobbinPrice: 0 }).together.tops.length,
  );
  expect(tops).toEqual([...tops].sort((a, b) => b - a));
  expect(tops.at(-1)).toBeLessThan(tops[0]!);
});

test('a zone that refuses the trade keeps its own best', () => {
  const dear = { ...request, topPrice: 3 };
  const traded = matchWhole(dear).zones.find((z) => z.extra > 0)!;
  const whole = matchWhole({
    ...dear,
    zones: dear.zones.map((z) => ({ ...z, refused: z.id === traded.id })),
  });
  const now = whole.zones.find((z) => z.id === traded.id)!;
  expect(now.setup!.topId).toBe(now.own!.topId);
  expect(now.extra).toBe(0);
});

test('a pair that stands is kept, and the others gather round it', () => {
  const keep = { topId: 'Gossamer 100 Oat', bobbinId: 'Gossamer 100 Oat' };
  const whole = matchWhole({
    ...request,
    topPrice: 6,
    zones: request.zones.map((z) => (z.id === 'C' ? { ...z, keep } : z)),
  });
  const c = whole.zones.find((z) => z.id === 'C')!;
  expect(c).toMatchObject({ kept: true, extra: 0, setup: { topId: keep.topId, bobbinId: keep.bobbinId } });
  expect(whole.zones.filter((z) => z.setup!.topId === keep.topId).length).toBeGreaterThan(1);
});

test('a kept pair that left the shelf is chosen anew', () => {
  const whole = matchWhole({
    ...request,
    zones: request.zones.map((z) => ({ ...z, keep: { topId: 'gone', bobbinId: 'gone' } })),
  });
  expect(whole.zones.every((z) => z.setup !== null && !z.kept)).toBe(true);
});

test('a cone that lasts each zone but not the quilt is said', () => {
  const one = matchWhole({ ...request, topPrice: 10 });
  const id = one.together.tops[0]!;
  const each = Math.max(...one.zones.map((z) => z.setup!.topM! + z.setup!.bobbinM!));
  const short = matchWhole({
    ...request,
    topPrice: 10,
    threads: threads.map((t) => (t.id === id ? { ...t, remainingM: each * 1.05 } : t)),
  });
  expect(short.together.tops).toContain(id);
  expect(short.cautions.map((c) => c.code)).toEqual(['stock-short']);
  expect(short.cautions[0]!.text).toContain(id);
  expect(short.cautions[0]!.act).toMatch(/cone/);
});

test('the order of the shelf does not show through', () => {
  const picks = (w: ReturnType<typeof matchWhole>) => w.zones.map((z) => [z.setup!.topId, z.setup!.bobbinId]);
  expect(picks(matchWhole({ ...request, threads: [...threads].reverse() }))).toEqual(
    picks(matchWhole(request)),
  );
});

test('nothing on the shelf: every zone without a set-up, no threads', () => {
  const whole = matchWhole({ ...request, threads: [] });
  expect(whole.zones.every((z) => z.setup === null && z.own === null)).toBe(true);
  expect(whole).toMatchObject({ together: { tops: [], bobbins: [] }, cost: 0, apartCost: 0 });
});

test('no zones at all is an empty answer', () => {
  expect(matchWhole({ ...request, zones: [] })).toMatchObject({ zones: [], cost: 0, exact: true });
});

test('a zone without fabric is an error at the fabric', () => {
  expect(() =>
    matchWhole({ ...request, zones: [{ id: 'A', zone: zone('swirls', '#9db3b8', { top: [] }) }] }),
  ).toThrow(CoreError);
});

test('twenty zones and a hundred cones: searched, never dearer than apart', () => {
  const many = Array.from({ length: 100 }, (_, i) => ({ ...threads[i % threads.length]!, id: `cone ${i}` }));
  const kinds = techniques.ids.filter((t) => t !== 'couching' && t !== 'baste');
  const whole = matchWhole({
    ...request,
    threads: many,
    zones: Array.from({ length: 20 }, (_, i) => ({
      id: `Z${i}`,
      zone: zone(kinds[i % kinds.length]!, threads[(i * 7) % threads.length]!.hex ?? '#888888', {
        visibility: (['sink', 'texture', 'show'] as const)[i % 3],
      }),
    })),
  });
  expect(whole.zones).toHaveLength(20);
  expect(whole.cost).toBeLessThanOrEqual(whole.apartCost + 1e-9);
});
