import { isSewn } from '@/core/plan/begun';
import { QUILTER, thisContext } from './context';
import { match } from '@/core/match/match';
import { matchWhole } from '@/core/match/whole-quilt';
import { fabrics } from '@/core/tables/fabrics';
import { readCone } from '@/data/cones';
import { insertStitches, readFaultRecord } from '@/data/fault-record';
import { readMachine } from '@/data/machines';
import { readSetup } from '@/data/setups';
import { readPreferences } from '@/data/preferences';
import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { readMatchSources, zoneRequest } from './match-sources';
import { basisOf } from './log-effects';
import { readPlan } from './plan';
import { fixPlan, logStep } from './plan-commands';
import { setPreferences } from './preferences';
import { type QuiltView, readQuiltView } from './quilt-view';
import type { Result } from './result';
import { readCardSources, setupsForZone } from './setups';
import { askWhatIf } from './what-if';
import { chooseWhole, wholeRequest } from './whole-quilt';
import { nameCloth, recolour } from './zone-cloth';
import { key, paths, value } from './testing/answers';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('match');
});
afterAll(() => base.end());

const NOWHERE = '00000000-0000-7000-8000-000000000000';
const said = (r: Result<unknown>) => (r.ok ? '' : r.problems.map((p) => p.message).join(' '));
const viewOf = async (name: string): Promise<QuiltView> => {
  const [row] = await base.sql<{ id: string }[]>`select id from quilt where name = ${name}`;
  return (await readQuiltView(base.sql, row!.id))!;
};
const zoneOf = (view: QuiltView, letter: string) => view.zones.find((z) => z.letter === letter)!;
const quilts = () => base.sql<{ name: string }[]>`select name from quilt order by name`;

describe('what a zone’s match is asked with', () => {
  test('every zone of every demo quilt has an answer that the store takes', async () => {
    const sources = await readMatchSources(base.sql);
    let zones = 0;
    for (const { name } of await quilts()) {
      const view = await viewOf(name);
      const machine = await readMachine(base.sql, view.quilt.machineId);
      for (const zone of view.zones) {
        const found = match({ ...zoneRequest(view, zone, machine, sources), limit: 4 });
        expect([name, zone.letter, found.setups.length > 0]).toEqual([name, zone.letter, true]);
        for (const s of found.setups) {
          expect(view.shelf.some((c) => c.id === s.topId && c.role !== 'bobbin')).toBe(true);
          expect(view.shelf.some((c) => c.id === s.bobbinId && c.role !== 'top')).toBe(true);
          expect(s.reasons.every((r) => r.text.trim().length > 10)).toBe(true);
        }
        zones++;
      }
    }
    expect(zones).toBeGreaterThanOrEqual(20);
  });

  test('the other zones’ threads and the metres they take come with it; its own do not', async () => {
    const view = await viewOf('Harbour Lights');
    const sources = await readMatchSources(base.sql);
    const machine = await readMachine(base.sql, view.quilt.machineId);
    const zone = zoneOf(view, 'A');
    const asked = zoneRequest(view, zone, machine, sources);
    expect(asked.others!.map((o) => o.zone)).not.toContain('A');
    expect(asked.others!.length).toBe(view.setups.size - (view.setups.has(zone.id) ? 1 : 0));
    for (const { topId } of asked.others!) expect(asked.claimedM![topId]).toBeGreaterThan(0);
    expect(asked.record!.all.stitches).toBeGreaterThan(0);
  });

  test('bobbins wound ahead are counted by thread, a thread without any is not guessed at', async () => {
    const view = await viewOf('Harbour Lights');
    const sources = await readMatchSources(base.sql);
    const machine = await readMachine(base.sql, view.quilt.machineId);
    const asked = zoneRequest(view, view.zones[0]!, machine, sources);
    const kept = new Set(sources.bobbins.map((b) => b.coneId));
    for (const t of asked.threads) {
      const wound = sources.bobbins.filter((b) => b.coneId === t.id).reduce((n, b) => n + b.count, 0);
      expect(asked.wound!.find((w) => w.id === t.id)?.bobbins).toBe(kept.has(t.id) ? wound : undefined);
    }
    expect(asked.wound!.some((w) => w.bobbins > 0)).toBe(true);
  });

  test('the school of one trusted needle holds for every zone', async () => {
    const preferences = (await readPreferences(base.sql))!;
    const { version, ...settings } = preferences;
    const school = (key: string, seen: number, part: object = {}) =>
      setPreferences(thisContext(), { ...settings, key, version: seen, ...part });
    value(await school(key(), version, { needleSchool: 'one', oneNeedleNm: 100 }));
    const view = await viewOf('Nine Buoys');
    const machine = await readMachine(base.sql, view.quilt.machineId);
    const sources = await readMatchSources(base.sql);
    for (const zone of view.zones) {
      const asked = zoneRequest(view, zone, machine, sources);
      expect(new Set(asked.needles!.map((n) => n.nm))).toEqual(new Set([100]));
    }
    value(await school(key(), version + 1));
  });
});

describe('the whole quilt at once', () => {
  const asked = async (name: string) => {
    const view = await viewOf(name);
    const machine = await readMachine(base.sql, view.quilt.machineId);
    return { view, request: wholeRequest(view, machine, await readMatchSources(base.sql)) };
  };

  test('a zone that was tested keeps its card, and no answer is dearer than zone by zone', async () => {
    for (const { name } of await quilts()) {
      const { view, request } = await asked(name);
      const together = matchWhole(request);
      expect(together.cost).toBeLessThanOrEqual(together.apartCost + 1e-9);
      for (const z of together.zones) {
        const state = view.states.get(z.id);
        if (state !== 'proven' && state !== 'testing') continue;
        expect(z.setup!.topId).toBe(view.setups.get(z.id)!.topId);
      }
    }
  });

  test('the cards are written all at once; sent twice they are written once', async () => {
    const { view, request } = await asked('Lantern Row');
    const together = matchWhole(request);
    const cards = together.zones.flatMap((z) =>
      z.setup && view.states.get(z.id) !== 'proven' && view.states.get(z.id) !== 'testing'
        ? [
            {
              zoneId: z.id,
              topId: z.setup.topId,
              bobbinId: z.setup.bobbinId,
              seenVersion: view.setups.get(z.id)?.version ?? 0,
            },
          ]
        : [],
    );
    expect(cards.length).toBeGreaterThan(1);
    const form = { key: key(), quiltId: view.quilt.id, cards };
    expect(value(await chooseWhole(thisContext(), form))).toEqual({ cards: cards.length });
    expect(value(await chooseWhole(thisContext(), form))).toEqual({ cards: cards.length });
    for (const c of cards) {
      const now = (await readSetup(base.sql, c.zoneId))!;
      expect(now).toMatchObject({ topId: c.topId, bobbinId: c.bobbinId });
      expect(now.version).toBeLessThanOrEqual(c.seenVersion + 1);
    }
  });

  test('one zone changed meanwhile: no card at all is written', async () => {
    const view = await viewOf('Salt Pans');
    const [one, two] = view.zones;
    const pairs = await Promise.all(
      [one!, two!].map(async (z) => {
        const found = setupsForZone((await readCardSources(base.sql, view.quilt.id, QUILTER.id))!, z.id, 12);
        // Another pair than the card has, so that something would be written.
        const now = view.setups.get(z.id);
        return found!.setups.find((s) => s.topId !== now?.topId)!;
      }),
    );
    const versionOf = (id: string) => view.setups.get(id)?.version ?? 0;
    const cards = [one!, two!].map((z, i) => ({
      zoneId: z.id,
      topId: pairs[i]!.topId,
      bobbinId: pairs[i]!.bobbinId,
      seenVersion: versionOf(z.id),
    }));
    cards[1]!.seenVersion += 7;
    const answer = await chooseWhole(thisContext(), { key: key(), quiltId: view.quilt.id, cards });
    expect(answer).toMatchObject({ ok: false, conflict: true });
    expect(paths(answer)).toEqual(['cards.1']);
    expect((await readSetup(base.sql, one!.id))?.version ?? 0).toBe(versionOf(one!.id));
  });

  test.each([
    ['no cards', { cards: [] }, 'cards'],
    ['a card of nothing', { cards: [{}] }, 'cards.0.zoneId'],
    ['cards that are no list', { cards: 'all' }, 'cards'],
    [
      'a zone that is not there',
      { cards: [{ zoneId: NOWHERE, topId: NOWHERE, bobbinId: NOWHERE, seenVersion: 0 }] },
      'cards.0',
    ],
    ['no key', { key: 'twice', cards: [] }, 'key'],
  ])('%s is refused in words', async (_, part, path) => {
    const view = await viewOf('Salt Pans');
    const answer = await chooseWhole(thisContext(), { key: key(), quiltId: view.quilt.id, ...part });
    expect(paths(answer)).toContain(path);
    expect(said(answer)).toMatch(/[.!]$/);
  });

  test('a quilt without zones says so', async () => {
    const { view } = await asked('Salt Pans');
    const machine = await readMachine(base.sql, view.quilt.machineId);
    const sources = await readMatchSources(base.sql);
    expect(() => wholeRequest({ ...view, zones: [] }, machine, sources)).toThrow('without zones');
  });
});

describe('what would have to be true', () => {
  test('the thread that is best already has nothing before it', async () => {
    const view = await viewOf('Nine Buoys');
    const zone = view.zones[0]!;
    const sources = await readMatchSources(base.sql);
    const machine = await readMachine(base.sql, view.quilt.machineId);
    const [best] = match({ ...zoneRequest(view, zone, machine, sources), limit: 1 }).setups;
    const told = value(
      await askWhatIf(thisContext(), { quiltId: view.quilt.id, zoneId: zone.id, topId: best!.topId }),
    );
    expect(told).toMatchObject({ best: true, refused: null, ahead: [], conditions: [] });
  });

  test('threads of the shelf get an answer, and the ones before them by name', async () => {
    const view = await viewOf('Ferry Blanket');
    const zone = view.zones[0]!;
    const names = new Set(view.shelf.map((c) => `${c.line} ${c.colour}`));
    for (const cone of view.shelf.filter((c) => c.role !== 'bobbin').slice(0, 6)) {
      const told = value(
        await askWhatIf(thisContext(), { quiltId: view.quilt.id, zoneId: zone.id, topId: cone.id }),
      );
      expect(told.thread).toBe(`${cone.line} ${cone.colour}`);
      for (const name of told.ahead) expect(names).toContain(name);
      if (told.best) expect(told.ahead).toEqual([]);
      else if (told.refused) expect(told.refused).toMatch(/\.$/);
      else {
        expect(told.behind).toBeGreaterThan(0);
        expect(told.ahead.length).toBeGreaterThan(0);
      }
    }
  });

  test.each([
    ['a zone of another quilt', { zoneId: NOWHERE }, 'zoneId'],
    ['no thread', { topId: 'teal' }, 'topId'],
    ['a needle that does not exist', { holdNm: 97 }, 'holdNm'],
    ['a stitch length of none', { holdSpi: 0 }, 'holdSpi'],
    ['a quilt that is not there', { quiltId: NOWHERE }, 'zoneId'],
  ])('%s is refused at its field', async (_, part, path) => {
    const view = await viewOf('Ferry Blanket');
    const form = { quiltId: view.quilt.id, zoneId: view.zones[0]!.id, topId: view.shelf[0]!.id };
    expect(paths(await askWhatIf(thisContext(), { ...form, ...part }))).toEqual([path]);
  });

  test('a thread that was put away meanwhile is said', async () => {
    const view = await viewOf('Ferry Blanket');
    const form = { quiltId: view.quilt.id, zoneId: view.zones[0]!.id, topId: NOWHERE };
    const answer = await askWhatIf(thisContext(), form);
    expect(answer.ok).toBe(false);
    expect(said(answer)).not.toBe('');
  });
});

describe('colours seen on a photograph', () => {
  const form = async (part: object = {}) => {
    const view = await viewOf('Tide Table');
    const zone = view.zones[0]!;
    return {
      zone,
      form: {
        key: key(),
        quiltId: view.quilt.id,
        zoneId: zone.id,
        version: zone.version,
        colours: zone.fabrics.map((_, i) => ({ hex: `#10203${i}`, share: 0.3 })),
        ...part,
      },
    };
  };

  test('are kept fabric by fabric, their shares made whole; sent twice they are kept once', async () => {
    const { zone, form: sent } = await form();
    expect(value(await recolour(thisContext(), sent))).toEqual({ colours: zone.fabrics.length });
    expect(value(await recolour(thisContext(), sent))).toEqual({ colours: zone.fabrics.length });
    const now = zoneOf(await viewOf('Tide Table'), zone.letter);
    expect(now.fabrics.map((f) => f.hex)).toEqual(zone.fabrics.map((_, i) => `#10203${i}`));
    expect(now.fabrics.reduce((s, f) => s + f.share, 0)).toBeCloseTo(1, 9);
    expect(now.fabrics.map((f) => f.fabricId)).toEqual(zone.fabrics.map((f) => f.fabricId));
    expect(now.version).toBe(zone.version + 1);
  });

  test('two windows: the second is told', async () => {
    const { form: one } = await form();
    value(await recolour(thisContext(), one));
    expect(await recolour(thisContext(), { ...one, key: key() })).toMatchObject({
      ok: false,
      conflict: true,
    });
  });

  test.each([
    ['a colour in words', { colours: [{ hex: 'teal', share: 1 }] }, 'colours.0.hex'],
    ['a share of nothing', { colours: [{ hex: '#102030', share: 0 }] }, 'colours.0.share'],
    ['no colours', { colours: [] }, 'colours'],
    [
      'more colours than fabrics',
      { colours: Array.from({ length: 12 }, () => ({ hex: '#102030', share: 1 })) },
      'colours',
    ],
    ['a zone that is gone', { zoneId: NOWHERE }, 'zoneId'],
  ])('%s is refused at its field', async (_, part, path) => {
    const { form: sent } = await form(part);
    expect(paths(await recolour(thisContext(), sent))).toEqual([path]);
  });
});

describe('an unknown fabric is named', () => {
  const unknown = async (described = '') => {
    const view = await viewOf('Salt Pans');
    const zone = view.zones.find((z) => z.fabrics.some((f) => f.kind === 'unknown'))!;
    const position = zone.fabrics.findIndex((f) => f.kind === 'unknown');
    const form = {
      key: key(),
      quiltId: view.quilt.id,
      zoneId: zone.id,
      position,
      version: zone.version,
      kind: 'flannel',
      described,
    };
    return { zone, position, form };
  };

  test.each([
    ['the kind unknown', { kind: 'unknown' }, 'kind'],
    ['no kind', { kind: 'tarpaulin' }, 'kind'],
    ['a fabric the zone has not', { position: 11 }, 'zoneId'],
    ['a place that is none', { position: -1 }, 'position'],
    ['too long a story', { described: 'x'.repeat(501) }, 'described'],
  ])('%s is refused at its field', async (_, part, path) => {
    const { form } = await unknown();
    expect(paths(await nameCloth(thisContext(), { ...form, ...part }))).toEqual([path]);
  });

  test('becomes a fabric of the studio’s own, with what was said of it; the shipped kind stays', async () => {
    const { zone, position, form } = await unknown('Middling weight, loose weave, no stretch, dull.');
    const { fabricId } = value(await nameCloth(thisContext(), form));
    expect(value(await nameCloth(thisContext(), form)).fabricId).toBe(fabricId);
    const now = zoneOf(await viewOf('Salt Pans'), zone.letter);
    expect(now.fabrics[position]).toMatchObject({
      fabricId,
      kind: 'flannel',
      hex: zone.fabrics[position]!.hex,
      share: zone.fabrics[position]!.share,
    });
    const [kept] = await base.sql`select name, notes, shipped from fabric where id = ${fabricId}`;
    expect(kept).toMatchObject({ notes: form.described, shipped: false });
    expect(kept!.name).toContain('Salt Pans');
    const [shipped] = await base.sql`select kind from fabric where id = ${zone.fabrics[position]!.fabricId}`;
    expect(shipped!.kind).toBe('unknown');
    expect(await nameCloth(thisContext(), { ...form, key: key() })).toMatchObject({ conflict: true });
    expect(fabrics.ids).toContain('unknown');
  });
});

describe('the studio’s own fault record', () => {
  test('counts faults against the stitches of the thread that sewed them', async () => {
    const record = await readFaultRecord(base.sql);
    const [n] = await base.sql<{ faults: number; stitches: number }[]>`
      select (select count(*)::int from fault f where exists
               (select 1 from stitches_sewn s where s.top_id = f.top_id)) as faults,
             (select sum(stitches) from stitches_sewn) as stitches`;
    expect(record.all.faults).toBe(n!.faults);
    expect(record.all.stitches).toBeCloseTo(n!.stitches, 3);
    for (const t of record.tallies) expect((await readCone(base.sql, t.id))!.id).toBe(t.id);
  });

  test('a pass logged adds what it sewed, once, and in proportion to the plan', async () => {
    const view = await viewOf('Harbour Lights');
    if (view.quilt.passes === null)
      value(
        await fixPlan(thisContext(), {
          key: key(),
          quiltId: view.quilt.id,
          version: view.quilt.version,
          turnRule: 'auto',
        }),
      );
    const now = await viewOf('Harbour Lights');
    const read = await readPlan(base.sql, now);
    const { steps } = read;
    const step = steps.find((s) => !isSewn(s, now.quilt.sewn))!;
    const { pass, thread, stabilise } = step;
    const expected = basisOf(now, read, step).zones;
    expect(expected.length).toBeGreaterThan(0);
    const form = { key: key(), quiltId: now.quilt.id, pass, thread, stabilise, minutes: 30 };
    value(await logStep(thisContext(), form));
    value(await logStep(thisContext(), form));
    const rows = await base.sql<{ zoneId: string; stitches: number }[]>`
      select zone_id, stitches from stitches_sewn
      where pass = ${pass} and zone_id in ${base.sql(step.zones.map((z) => z.id))}`;
    expect(rows).toHaveLength(expected.length);
    for (const row of rows)
      expect(row.stitches).toBeCloseTo(expected.find((e) => e.zoneId === row.zoneId)!.stitches, 6);
  });

  test.each([
    ['no stitches', { stitches: 0 }],
    ['a pass of none', { pass: 0 }],
    ['a needle of none', { needleNm: 20 }],
  ])('the database refuses %s', async (_, part) => {
    const view = await viewOf('Harbour Lights');
    const [zoneId, setup] = [...view.setups][0]!;
    const row = {
      zoneId,
      pass: 199,
      topId: setup.topId,
      bobbinId: setup.bobbinId,
      needleNm: 100,
      stitches: 10,
    };
    await expect(insertStitches(base.sql, [{ ...row, ...part }])).rejects.toThrow(/check constraint/);
  });
});
