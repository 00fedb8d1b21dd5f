import { measurePattern } from '@/core/pattern/pattern';
import { readPattern, readPatterns } from '@/data/patterns';
import { type TestDatabase } from '@/data/test-database';
import { readZones } from '@/data/zones';
import { demoDatabase } from '@/demo/testing/demo-database';
import { thisContext } from './context';
import { find } from './find';
import { quiltZones } from './motifs';
import { keepPattern, quiltPattern } from './patterns';
import { readPlan } from './plan';
import { readQuiltView } from './quilt-view';
import { key, paths, value } from './testing/answers';
import { quiltToZone } from './testing/quilt-to-zone';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('patterns');
});
afterAll(() => base.end());

const svg = (d: string) =>
  `<svg width="6in" height="3in" viewBox="0 0 6 3"><path fill="none" stroke="#000" d="${d}"/></svg>`;
const WAVE = svg('M0 1.5C1 -0.5 2 -0.5 3 1.5C4 3.5 5 3.5 6 1.5');
const form = (part: object = {}) => ({
  key: key(),
  version: 0,
  name: 'Neap tide',
  words: 'water',
  widthIn: 6,
  svg: WAVE,
  ...part,
});

describe('a pattern taken in', () => {
  test('is kept as lines with what was measured of them, and found', async () => {
    const { id } = value(await keepPattern(thisContext(), form()));
    const p = (await readPattern(base.sql, id))!;
    const told = measurePattern({ svg: WAVE, widthIn: 6 });
    expect(p.measured.lengthIn).toBeCloseTo(told.lengthIn, 6);
    expect(p.unit.goesOn).toBe(true);
    expect(await find(base.sql, 'neap', 5)).toContainEqual(expect.objectContaining({ kind: 'pattern', id }));
    expect(await find(base.sql, 'harbour', 5)).toContainEqual(expect.objectContaining({ kind: 'pattern' }));
  });

  test('wider from now on: everything measured grows with it, and an old page is told', async () => {
    const p = (await readPatterns(base.sql)).find((x) => x.name === 'Neap tide')!;
    const wider = form({ id: p.id, version: p.version, widthIn: 12, svg: undefined });
    value(await keepPattern(thisContext(), wider));
    const now = (await readPattern(base.sql, p.id))!;
    expect(now.measured.lengthIn).toBeCloseTo(2 * p.measured.lengthIn, 6);
    expect(now.measured.heightIn).toBeCloseTo(2 * p.measured.heightIn, 6);
    expect(paths(await keepPattern(thisContext(), { ...wider, key: key() }))).toEqual(['']);
  });

  test.each([
    ['no drawing', { svg: undefined }, 'svg'],
    ['words', { svg: 'just words' }, 'svg'],
    ['text only', { svg: '<svg viewBox="0 0 9 9"><text>hello</text></svg>' }, 'svg'],
    ['no size', { svg: svg('M0 0') }, 'svg'],
    ['a name twice', { name: 'slack WATER' }, 'name'],
    ['no width', { widthIn: 0 }, 'widthIn'],
  ])('%s is refused at its field', async (_, part, path) => {
    const before = (await readPatterns(base.sql)).length;
    expect(paths(await keepPattern(thisContext(), form({ name: 'Another', ...part })))[0]).toBe(path);
    expect((await readPatterns(base.sql)).length).toBe(before);
  });
});

describe('a zone quilted with a pattern', () => {
  const laid = { rowGapIn: 0, offset: 0.5, mirrored: true, direction: 'across' };

  test('has its length, curves, openness and starts in the plan; undone, every part is as it was', async () => {
    const id = await quiltToZone(base.sql);
    const [zone] = await readZones(base.sql, id);
    const [pattern] = await readPatterns(base.sql);
    const asked = {
      key: key(),
      quiltId: id,
      zoneId: zone!.id,
      version: zone!.version,
      patternId: pattern!.id,
      widthIn: 8,
      ...laid,
    };
    await base.sql`update zone set smallest_radius_in = 0.7, length_in = 123 where id = ${zone!.id}`;
    const before = (await readZones(base.sql, id))[0]!;
    const undo = value(await quiltPattern(thisContext(), asked)).before;
    const now = (await readZones(base.sql, id))[0]!;
    expect(now).toMatchObject({
      technique: 'guided-pattern',
      pattern: { patternId: pattern!.id, widthIn: 8 },
    });
    const view = (await readQuiltView(base.sql, id))!;
    const { plan } = await readPlan(base.sql, view);
    expect(plan.zones[0]!.way.starts).toBe(now.pattern!.starts);
    expect(plan.zones[0]!.sewnIn).toBeCloseTo(now.lengthIn!, 3);
    // Another width, undone, and then the first undone too.
    const again = value(
      await quiltPattern(thisContext(), { ...asked, key: key(), version: now.version, widthIn: 10 }),
    ).before;
    value(await quiltZones(thisContext(), { key: key(), quiltId: id, zones: [again] }));
    const back = (await readZones(base.sql, id))[0]!;
    expect(back.pattern).toEqual(now.pattern);
    expect([back.spacingIn, back.smallestRadiusIn, back.lengthIn]).toEqual([
      now.spacingIn,
      now.smallestRadiusIn,
      now.lengthIn,
    ]);
    value(
      await quiltZones(thisContext(), {
        key: key(),
        quiltId: id,
        zones: [{ ...undo, version: back.version }],
      }),
    );
    const first = (await readZones(base.sql, id))[0]!;
    expect({ ...first, version: 0 }).toEqual({ ...before, version: 0 });
  });

  test('a page of yesterday, a stranger’s pattern and rows on one another are refused', async () => {
    const id = await quiltToZone(base.sql);
    const [zone] = await readZones(base.sql, id);
    const [pattern] = await readPatterns(base.sql);
    const asked = {
      quiltId: id,
      zoneId: zone!.id,
      version: zone!.version,
      patternId: pattern!.id,
      widthIn: 8,
      ...laid,
    };
    const refused = async (part: object) =>
      paths(await quiltPattern(thisContext(), { ...asked, key: key(), ...part }))[0];
    expect(await refused({ patternId: id })).toBe('patternId');
    expect(await refused({ rowGapIn: -30 })).toBe('rowGapIn');
    expect(await refused({ version: zone!.version + 3 })).toBe('');
    expect((await readZones(base.sql, id))[0]!.version).toBe(zone!.version);
  });
});
