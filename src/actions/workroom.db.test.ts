import { QUILTER, thisContext } from './context';
import { readAllCones, readConeUses } from '@/data/cones';
import { readBattings, readFabrics } from '@/data/cloths';
import { find } from '@/data/find';
import { readMachines } from '@/data/machines';
import { readFitted, readNeedles } from '@/data/needles';
import { readPreferences } from '@/data/preferences';
import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { windBobbins } from './bobbins';
import { readYarns } from '@/data/yarns';
import { keepBatting, keepFabric, keepRuler, keepYarn, putAway } from './cloths';
import { addCones, countCone, editCone, editMany } from './cones';
import { calibrate, keepMachine } from './machines';
import { changeNeedle, keepNeedles, sewStitches } from './needles';
import { setPreferences } from './preferences';
import { beginIntake } from './intakes';
import { keepZone, takeIn } from './quilts';
import { readCardSources, setupsForZone } from './setups';
import { readZones } from '@/data/zones';
import { aLine } from './testing/a-line';
import { key, paths, value } from './testing/answers';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('workroom');
});
afterAll(() => base.end());

const cone = async (colour: string, line = 'Skerry Poly') =>
  (await readAllCones(base.sql)).find((c) => c.colour === colour && c.line === line)!;

describe('cones', () => {
  test('several colours of one line in one go, and all or none', async () => {
    const { ids } = value(
      await addCones(
        thisContext(),
        aLine({
          colours: [
            { colour: 'Kelp', hex: '#335544' },
            { colour: 'Foam', remainingM: 500 },
          ],
        }),
      ),
    );
    expect(ids).toHaveLength(2);
    expect(await cone('Foam')).toMatchObject({
      tex: 27,
      texBasis: 'tex',
      remainingM: 500,
      remainingSource: 'set',
    });
    const before = (await readAllCones(base.sql)).length;
    expect(
      paths(await addCones(thisContext(), aLine({ colours: [{ colour: 'New' }, { colour: 'Foam' }] }))),
    ).toEqual(['colour']);
    expect(await readAllCones(base.sql)).toHaveLength(before);
  });
  test.each([
    ['an impossible size for the fibre', { fibre: 'nylon-mono', label: 'Tex 400' }, 'label'],
    ['a label of no size', { label: 'thick' }, 'label'],
    ['grams without metres', { fullG: 100 }, 'lengthM'],
    ['a needle that does not exist', { needleMinNm: 97, needleMaxNm: 110 }, 'needleMinNm'],
    ['a range backwards', { needleMinNm: 110, needleMaxNm: 90 }, 'needleMaxNm'],
    ['a fibre of no kind', { fibre: 'hemp' }, 'fibre'],
    ['negative metres', { colours: [{ colour: 'X', remainingM: -4 }] }, 'colours.0.remainingM'],
    ['no line', { line: '  ' }, 'line'],
    ['the same colour twice', { colours: [{ colour: 'A' }, { colour: 'a' }] }, 'colours.1.colour'],
  ])('%s is refused at its field', async (_, part, path) => {
    expect(paths(await addCones(thisContext(), aLine(part)))).toContain(path);
  });
  test('two windows: the second change is told', async () => {
    const c = await cone('Kelp');
    const form = {
      ...aLine(),
      colours: undefined,
      id: c.id,
      version: c.version,
      colour: 'Kelp',
      hex: '#335544',
    };
    delete (form as { colours?: unknown }).colours;
    value(await editCone(thisContext(), { ...form, key: key(), notes: 'one' }));
    expect(await editCone(thisContext(), { ...form, key: key(), notes: 'two' })).toMatchObject({
      ok: false,
      conflict: true,
    });
    expect((await cone('Kelp')).notes).toBe('one');
  });
  test('weighing a cone gives its metres, and the ledger says how', async () => {
    const c = await cone('Kelp');
    const { remainingM } = value(
      await countCone(thisContext(), { key: key(), id: c.id, how: 'weighed', grossG: 95, tareG: 41 }),
    );
    expect(remainingM).toBeCloseTo(2000, 6);
    expect(await cone('Kelp')).toMatchObject({ remainingSource: 'weighed', tareG: 41 });
    expect((await readConeUses(base.sql, c.id))[0]).toMatchObject({ why: 'weighed' });
    expect(
      paths(await countCone(thisContext(), { key: key(), id: c.id, how: 'weighed', grossG: 20 })),
    ).toEqual(['grossG']);
  });
  test('many at once, and put away is never deleted', async () => {
    const ids = [(await cone('Kelp')).id, (await cone('Foam')).id];
    expect(value(await editMany(thisContext(), { key: key(), ids, place: 'attic' })).count).toBe(2);
    value(await editMany(thisContext(), { key: key(), ids: [ids[1]], archive: 'away' }));
    expect((await cone('Foam')).archivedAt).not.toBeNull();
    value(await editMany(thisContext(), { key: key(), ids: [ids[1]], archive: 'back' }));
    expect(await cone('Foam')).toMatchObject({ archivedAt: null, place: 'attic' });
  });
});

describe('bobbins and needles', () => {
  test('winding takes metres off the cone, never more than there are', async () => {
    const [machine] = await readMachines(base.sql);
    const c = await cone('Kelp');
    const form = { coneId: c.id, machineId: machine!.id, kind: 'wound', count: 3, metresEach: 100 };
    expect(value(await windBobbins(thisContext(), { ...form, key: key() })).metres).toBe(300);
    expect((await cone('Kelp')).remainingM).toBeCloseTo(1700, 6);
    expect(await cone('Kelp')).toMatchObject({ remainingSource: 'logged' });
    expect(paths(await windBobbins(thisContext(), { ...form, key: key(), count: 400 }))).toEqual(['count']);
    value(
      await windBobbins(thisContext(), { ...form, key: key(), kind: 'prewound', count: 2, metresEach: null }),
    );
    expect((await cone('Kelp')).remainingM).toBeCloseTo(1700, 6);
  });
  test('a needle comes out of the drawer once, and its stitches count', async () => {
    const [machine] = await readMachines(base.sql);
    const kind = { nm: 65, eye: 'standard', point: 'sharp', coated: true } as const;
    value(await keepNeedles(thisContext(), { key: key(), ...kind, stock: 1 }));
    const form = { ...kind, machineId: machine!.id };
    const twice = { ...form, key: key() };
    value(await changeNeedle(thisContext(), twice));
    value(await changeNeedle(thisContext(), twice));
    expect((await readNeedles(base.sql)).find((n) => n.nm === 65)!.stock).toBe(0);
    expect(paths(await changeNeedle(thisContext(), { ...form, key: key() }))).toEqual(['nm']);
    value(await sewStitches(thisContext(), { key: key(), machineId: machine!.id, stitches: 1200 }));
    const fitted = (await readFitted(base.sql)).filter((f) => f.machineId === machine!.id);
    expect(fitted).toHaveLength(1);
    expect(fitted[0]).toMatchObject({ nm: 65, stitches: 1200, life: 750_000 });
    expect(paths(await keepNeedles(thisContext(), { key: key(), ...kind, nm: 97, stock: 1 }))).toContain(
      'nm',
    );
  });
});

describe('fabrics, rulers, machines, calibrations', () => {
  test('names are the studio’s own and told apart; shipped kinds cannot be changed', async () => {
    const form = { key: key(), version: 0, name: 'Gale batik', notes: '', kind: 'batik', hex: '#102030' };
    const { id } = value(await keepFabric(thisContext(), form));
    expect(paths(await keepFabric(thisContext(), { ...form, key: key() }))).toEqual(['name']);
    const shipped = (await readFabrics(base.sql)).find((f) => f.shipped)!;
    expect(
      await keepFabric(thisContext(), {
        ...form,
        key: key(),
        id: shipped.id,
        version: shipped.version,
        name: 'Mine now',
      }),
    ).toMatchObject({ ok: false });
    value(await putAway(thisContext(), { key: key(), id, what: 'fabric', away: true }));
    expect((await readFabrics(base.sql)).some((f) => f.id === id)).toBe(false);
  });
  test('a batting’s own rating is kept; an arc needs its radius', async () => {
    value(
      await keepBatting(thisContext(), {
        key: key(),
        version: 0,
        name: 'Stoat',
        kind: 'wool',
        notes: '',
        ratingText: 'up to 10 cm',
        maxGapIn: 3.94,
        loftMm: 7,
        shrinkPct: 2,
      }),
    );
    expect((await readBattings(base.sql)).find((b) => b.name === 'Stoat')).toMatchObject({ maxGapIn: 3.94 });
    const ruler = { key: key(), version: 0, name: 'Arc', notes: '', shape: 'arc', thicknessMm: 6 };
    expect(paths(await keepRuler(thisContext(), ruler))).toEqual(['radiusIn']);
    value(await keepRuler(thisContext(), { ...ruler, key: key(), radiusIn: 4 }));
  });
  test('a yarn is kept, found by a zone, put away and brought back; a name stands once', async () => {
    const form = { key: key(), version: 0, name: 'Kelp twist', diameterMm: 2.5, skeins: 1.5, skeinM: 40 };
    const { id } = value(await keepYarn(thisContext(), form));
    expect((await readYarns(base.sql)).find((y) => y.id === id)).toMatchObject({
      diameterMm: 2.5,
      hex: null,
    });
    expect(paths(await keepYarn(thisContext(), { ...form, key: key() }))).toEqual(['name']);
    expect(
      paths(await keepYarn(thisContext(), { ...form, key: key(), name: 'Rope', diameterMm: 40 })),
    ).toEqual(['diameterMm']);
    value(await keepYarn(thisContext(), { ...form, key: key(), id, version: 1, hex: '#AABBCC' }));
    expect((await readYarns(base.sql)).find((y) => y.id === id)).toMatchObject({
      hex: '#aabbcc',
      version: 2,
    });
    value(await putAway(thisContext(), { key: key(), id, what: 'yarn', away: true }));
    expect((await readYarns(base.sql)).some((y) => y.id === id)).toBe(false);
    value(await putAway(thisContext(), { key: key(), id, what: 'yarn', away: false }));
    expect((await readYarns(base.sql)).some((y) => y.id === id)).toBe(true);
  });
  test('thread that changes along its length keeps its colours, one cone at a time', async () => {
    const form = {
      key: key(),
      line: 'Tidewrack 40',
      fibre: 'polyester-filament',
      label: 'Tex 27',
      role: 'top',
      hexes: ['#AA0000', '#00aa00'],
      runIn: 2,
    };
    const two = [{ colour: 'Reef' }, { colour: 'Shoal' }];
    expect(paths(await addCones(thisContext(), { ...form, colours: two }))).toEqual(['hexes']);
    const wrong = { ...form, key: key(), hexes: ['red'], colours: [{ colour: 'Reef' }] };
    expect(paths(await addCones(thisContext(), wrong))).toEqual(['hexes']);
    value(await addCones(thisContext(), { ...form, key: key(), colours: [{ colour: 'Reef' }] }));
    expect((await readAllCones(base.sql)).find((c) => c.line === 'Tidewrack 40')).toMatchObject({
      hexes: ['#aa0000', '#00aa00'],
      runIn: 2,
    });
  });
  test('a machine of impossible ranges is refused at the field', async () => {
    const [m] = await readMachines(base.sql);
    const { id: _id, version: _version, ...fields } = m!;
    const form = (part: object) => ({ ...fields, key: key(), version: 0, name: 'Second', ...part });
    expect(paths(await keepMachine(thisContext(), form({ minSpi: 12, maxSpi: 6 })))).toEqual(['maxSpi']);
    expect(paths(await keepMachine(thisContext(), form({ deadIn: 30 })))).toEqual(['deadIn']);
    expect(paths(await keepMachine(thisContext(), form({ bobbinCoreMm: 30 })))).toEqual(['bobbinCoreMm']);
    expect(paths(await keepMachine(thisContext(), form({ modes: [] })))).toContain('modes');
    value(await keepMachine(thisContext(), form({})));
    expect(await readMachines(base.sql)).toHaveLength(2);
  });
  test('a falling curve is no calibration', async () => {
    const [m] = await readMachines(base.sql);
    const form = { machineId: m!.id, kind: 'top-dial' };
    const falling = [
      { mark: 1, value: 90 },
      { mark: 2, value: 40 },
    ];
    expect(paths(await calibrate(thisContext(), { ...form, key: key(), points: falling }))).toEqual([
      'points',
    ]);
    value(
      await calibrate(thisContext(), {
        ...form,
        key: key(),
        points: [...falling].reverse().map((p, i) => ({ ...p, mark: i })),
      }),
    );
  });
});

describe('schools', () => {
  test('change the answer of the match', async () => {
    const preferences = (await readPreferences(base.sql))!;
    const { version, ...settings } = preferences;
    const [zone] = await base.sql<{ id: string; quiltId: string }[]>`select id, quilt_id from zone limit 1`;
    const best = async () =>
      setupsForZone((await readCardSources(base.sql, zone!.quiltId, QUILTER.id))!, zone!.id, 1)!.setups[0]!;
    const first = await best();
    value(
      await setPreferences(thisContext(), {
        ...settings,
        key: key(),
        version,
        spiSchool: 'one',
        oneSpi: 9,
        bobbinSchool: 'same',
      }),
    );
    const second = await best();
    expect(second.spi).toBe(9);
    expect(second.bobbinId).toBe(second.topId);
    expect(second).not.toEqual(first);
    expect(
      paths(
        await setPreferences(thisContext(), {
          ...settings,
          key: key(),
          version: version + 1,
          needleSchool: 'one',
          oneNeedleNm: null,
        }),
      ),
    ).toEqual(['oneNeedleNm']);
    expect(await setPreferences(thisContext(), { ...settings, key: key(), version })).toMatchObject({
      conflict: true,
    });
    value(await setPreferences(thisContext(), { ...settings, key: key(), version: version + 1 }));
  });
});

test('find answers by letters within, names that begin with them first, wildcards taken as letters', async () => {
  const rows = await find(base.sql, 'har', 6);
  expect(rows.map((r) => r.kind)).toEqual(expect.arrayContaining(['cone', 'quilt']));
  expect(rows.find((r) => r.kind === 'quilt')!.name).toBe('Harbour Lights');
  expect(await find(base.sql, '%%%', 6)).toEqual([]);
  expect((await find(base.sql, 'odile', 6))[0]).toMatchObject({ kind: 'client', detail: 'Harbour Lights' });
});

describe('taking in', () => {
  test('a bundle becomes a quilt whose zones can be changed', async () => {
    const [fabric] = await readFabrics(base.sql);
    const [batting] = await readBattings(base.sql);
    const [machine] = await readMachines(base.sql);
    const intakeId = value(await beginIntake(thisContext(), { key: key() })).id;
    const form = {
      key: key(),
      intakeId,
      client: 'odile marsh',
      name: 'Second Light',
      widthsIn: [40, 40.1, 40],
      lengthsIn: [50, 50, 50],
      use: 'baby',
      dueOn: '2026-12-20',
      wishes: '',
      watch: 'a pocket',
      care: '',
      battingId: batting!.id,
      backingId: fabric!.id,
      prewash: false,
      machineId: machine!.id,
      fabrics: [{ fabricId: fabric!.id, hex: '#AABBCC', share: 1 }],
      features: [],
      visibility: 'sink',
      plan: 'blocks',
      borderIn: 4,
      columns: 3,
      rows: 3,
      sashIn: 1,
    };
    const at = new Date('2026-11-25T10:00:00Z');
    expect(
      paths(await takeIn({ ...thisContext(), now: at }, { ...form, key: key(), dueOn: '2026-11-24' })),
    ).toEqual(['dueOn']);
    expect(
      paths(await takeIn({ ...thisContext(), now: at }, { ...form, key: key(), dueOn: 'soon' })),
    ).toEqual(['dueOn']);
    expect(paths(await takeIn({ ...thisContext(), now: at }, { ...form, key: key(), borderIn: 25 }))).toEqual(
      ['borderIn'],
    );
    expect(
      paths(
        await takeIn(
          { ...thisContext(), now: at },
          { ...form, key: key(), widthsIn: [190, 190, 190], lengthsIn: [190, 190, 190] },
        ),
      ),
    ).toEqual(['machineId']);
    const { id } = value(await takeIn({ ...thisContext(), now: at }, form));
    expect(await takeIn({ ...thisContext(), now: at }, { ...form, key: key() })).toMatchObject({ ok: false });
    expect(await base.sql`select 1 from quilt where name = 'Second Light'`).toHaveLength(1);
    const zones = await readZones(base.sql, id);
    expect(zones.map((z) => z.name)).toEqual(['Border', 'Corners', 'Blocks', 'Sashing']);
    const clients = await base.sql`select 1 from client where lower(name) = 'odile marsh'`;
    expect(clients).toHaveLength(1);
    const z = zones[2]!;
    const change = {
      key: key(),
      id: z.id,
      version: z.version,
      name: 'Stars',
      technique: 'feathers',
      spacingIn: 0.5,
      visibility: 'show',
      features: ['full-area'],
      fabrics: [
        { fabricId: fabric!.id, hex: '#112233', share: 0.5 },
        { fabricId: fabric!.id, hex: '#445566', share: 0.5 },
      ],
    };
    value(await keepZone(thisContext(), change));
    expect((await readZones(base.sql, id))[2]).toMatchObject({
      name: 'Stars',
      technique: 'feathers',
      features: ['full-area'],
    });
    expect(await keepZone(thisContext(), { ...change, key: key() })).toMatchObject({ conflict: true });
    expect(paths(await keepZone(thisContext(), { ...change, key: key(), fabrics: [] }))).toContain('fabrics');
  });
});
