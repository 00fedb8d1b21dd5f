import { stretchesOf } from '@/core/calendar/table';
import sharp from 'sharp';
import { thisContext } from './context';
import { isSewn } from '@/core/plan/begun';
import { minutesOfSteps } from '@/core/hours/sum';
import { dateOfDay, dayNumber } from '@/core/calendar/days';
import { readConeUses } from '@/data/cones';
import { readIntake, readPhotographBytes, readPhotographs } from '@/data/intakes';
import { readMachine } from '@/data/machines';
import { readQuilt } from '@/data/quilts';
import { testDatabase, type TestDatabase } from '@/data/test-database';
import { readZones } from '@/data/zones';
import { loadDemo } from '@/demo/load';
import { calendarCsv, calendarIcs, setDays, readCalendar } from './calendar';
import { addPhotograph, beginIntake, keepIntake, removePhotograph } from './intakes';
import { saveMap } from './map';
import { readPlan } from './plan';
import { fixPlan, logStep, putOnFrame, setOrder, setZoneOrder } from './plan-commands';
import { readQuiltView } from './quilt-view';
import { readRackView } from './rack';
import { key, paths, value } from './testing/answers';

const today = new Date();
let base: TestDatabase;
beforeAll(async () => {
  base = await testDatabase('plan');
  await loadDemo(base.sql, today);
});
afterAll(() => base.end());

const quiltNamed = async (name: string) => {
  const [row] = await base.sql<{ id: string }[]>`select id from quilt where name = ${name}`;
  return (await readQuilt(base.sql, row!.id))!;
};

test('every demo quilt has a map that covers it and a plan with passes and hours', async () => {
  const quilts = await base.sql<{ id: string }[]>`select id from quilt`;
  for (const { id } of quilts) {
    const view = (await readQuiltView(base.sql, id))!;
    const { plan, left, belief } = await readPlan(base.sql, view);
    expect(plan.passes!.passes).toBeGreaterThan(0);
    if (view.quilt.step === 'hand-back') continue;
    const hours = minutesOfSteps(left, belief);
    expect(hours.low).toBeLessThan(hours.mid);
    expect(hours.mid).toBeLessThan(hours.high);
    const saved = await saveMap(thisContext(), {
      key: key(),
      quiltId: id,
      version: view.quilt.version,
      zones: view.zones.map(({ id: zoneId, name, geometry }) => ({ id: zoneId, name, geometry })),
    });
    expect([view.quilt.name, saved.ok ? '' : saved.problems[0]!.message]).toEqual([view.quilt.name, '']);
  }
});

const nextStep = async (quiltId: string) => {
  const view = (await readQuiltView(base.sql, quiltId))!;
  const { steps } = await readPlan(base.sql, view);
  const { pass, thread, stabilise } = steps.find((s) => !isSewn(s, view.quilt.sewn))!;
  return { pass, thread, stabilise };
};

describe('the plan', () => {
  test('passes are fixed, an order is kept and given back, two windows are told apart', async () => {
    const q = await quiltNamed('Ferry Blanket');
    const form = { quiltId: q.id, version: q.version, turnRule: 'never' };
    const { passes } = value(await fixPlan(thisContext(), { ...form, key: key() }));
    expect(await fixPlan(thisContext(), { ...form, key: key() })).toMatchObject({ conflict: true });
    const now = await quiltNamed('Ferry Blanket');
    expect(now).toMatchObject({ passes, turned: false, turnRule: 'never' });
    expect(now.depthsIn).toHaveLength(passes);
    value(
      await setOrder(thisContext(), {
        key: key(),
        quiltId: q.id,
        version: now.version,
        order: [{ pass: 1, thread: 'x' }],
      }),
    );
    expect((await quiltNamed('Ferry Blanket')).orderByHand).toEqual([{ pass: 1, thread: 'x' }]);
    value(await setOrder(thisContext(), { key: key(), quiltId: q.id, version: now.version + 1, order: [] }));
    expect((await quiltNamed('Ferry Blanket')).orderByHand).toBeNull();
  });
  test('one quilt on a frame; a pass logged teaches the hours and takes thread off the cones, once', async () => {
    const other = await quiltNamed('Long Gallery');
    expect(await putOnFrame(thisContext(), { key: key(), quiltId: other.id, where: 'on' })).toMatchObject({
      ok: false,
      problems: [{ path: 'insteadOf', message: 'Harbour Lights is on this frame. Take it off first?' }],
    });
    const q = await quiltNamed('Harbour Lights');
    const step = await nextStep(q.id);
    const form = { key: key(), quiltId: q.id, ...step, minutes: 40 };
    const { left } = value(await logStep(thisContext(), form));
    expect(value(await logStep(thisContext(), form)).left).toBe(left);
    expect(await logStep(thisContext(), { ...form, minutes: 45 })).toMatchObject({
      conflict: true,
      problems: [{ message: expect.stringContaining('What you sent first was stored') as string }],
    });
    expect(await logStep(thisContext(), { ...form, key: key() })).toMatchObject({ conflict: true });
    expect(paths(await logStep(thisContext(), { ...form, key: key(), minutes: 0 }))).toEqual(['minutes']);
    const topId = step.thread;
    expect((await readConeUses(base.sql, topId)).some((u) => u.why === 'pass' && u.metres < 0)).toBe(true);
    const instead = { key: key(), quiltId: other.id, where: 'on', insteadOf: q.id };
    value(await putOnFrame(thisContext(), instead));
    expect((await quiltNamed('Harbour Lights')).onFrameSince).toBeNull();
    expect((await quiltNamed('Long Gallery')).onFrameSince).not.toBeNull();
  });
  test('zones inside a step are kept as they are laid, and given back', async () => {
    const q = await quiltNamed('Harbour Lights');
    const read = async () => (await readPlan(base.sql, (await readQuiltView(base.sql, q.id))!)).steps;
    const step = (await read()).find((s) => s.zones.length > 1)!;
    const zones = step.zones.map((z) => z.id);
    const form = { quiltId: q.id, pass: step.pass, thread: step.thread, stabilise: step.stabilise };
    const back = [...zones].reverse();
    value(
      await setZoneOrder(thisContext(), {
        ...form,
        key: key(),
        version: (await quiltNamed(q.name)).version,
        zones: back,
      }),
    );
    const same = (s: typeof step) =>
      s.pass === step.pass && s.thread === step.thread && s.stabilise === step.stabilise;
    expect((await read()).find(same)!.zones.map((z) => z.id)).toEqual(back);
    value(
      await setZoneOrder(thisContext(), {
        ...form,
        key: key(),
        version: (await quiltNamed(q.name)).version,
        zones: [],
      }),
    );
    expect((await read()).find(same)!.zones.map((z) => z.id)).toEqual(zones);
  });
});

test('a machine edited under a begun quilt: its passes stand, the change is said, and is taken on the quilter’s word', async () => {
  const q = await quiltNamed('Ferry Blanket');
  const before = (await readPlan(base.sql, (await readQuiltView(base.sql, q.id))!)).plan.passes!;
  const machine = await readMachine(base.sql, q.machineId);
  try {
    await base.sql`update machine set throat_in = ${machine.throatIn - 6} where id = ${machine.id}`;
    const now = await readPlan(base.sql, (await readQuiltView(base.sql, q.id))!);
    expect(now.plan.passes!.depthsIn).toEqual(before.depthsIn);
    expect(now.moved.join(' ')).toMatch(/throat/i);
    const { passes } = value(
      await fixPlan(thisContext(), { key: key(), quiltId: q.id, version: q.version, turnRule: 'never' }),
    );
    expect(passes).toBeGreaterThan(before.passes);
    expect((await readPlan(base.sql, (await readQuiltView(base.sql, q.id))!)).moved).toEqual([]);
  } finally {
    await base.sql`update machine set throat_in = ${machine.throatIn} where id = ${machine.id}`;
  }
});

describe('the map', () => {
  test('holes and overlaps are refused; what leaves the map keeps its cards', async () => {
    const q = await quiltNamed('Nine Buoys');
    const zones = await readZones(base.sql, q.id);
    const form = (list: typeof zones) => ({
      key: key(),
      quiltId: q.id,
      version: q.version,
      zones: list.map(({ id, name, geometry }) => ({ id, name, geometry })),
    });
    expect(paths(await saveMap(thisContext(), form(zones.slice(1))))).toEqual(['zones']);
    expect(paths(await saveMap(thisContext(), form([...zones, { ...zones[0]!, id: 'new-1' }])))).toEqual([
      'zones',
    ]);
    expect(
      paths(
        await saveMap(thisContext(), {
          ...form(zones),
          zones: [{ id: 'x', name: 'X', geometry: [[[1, 2]]] }],
        }),
      ),
    ).toEqual(['zones.0.geometry']);
    const whole = [
      [
        [
          [0, 0],
          [54, 0],
          [54, 54],
          [0, 54],
        ],
      ],
    ];
    value(
      await saveMap(thisContext(), {
        ...form(zones),
        zones: [{ id: 'new-1', name: 'All', geometry: whole, from: zones[1]!.id }],
      }),
    );
    const after = await readZones(base.sql, q.id);
    expect(after).toHaveLength(1);
    expect(after[0]).toMatchObject({ letter: 'A', name: 'All', technique: zones[1]!.technique });
    const [n] = await base.sql`select count(*)::int as n from setup where zone_id = ${zones[0]!.id}`;
    expect(n!.n).toBeGreaterThan(0);
  });
});

describe('the talk at the counter', () => {
  test('a talk may begin from a quick set-up: its fabric, layers and words stand in it', async () => {
    const quick = {
      fabric: 'batik',
      batting: 'wool',
      backing: 'flannel',
      use: 'wall',
      visibility: 'show',
      words: 'feathers with Poly 40 white',
    };
    const { id } = value(await beginIntake(thisContext(), { key: key(), quick }));
    const [kept] = await base.sql<
      { data: { record: Record<string, string>; cloths: { fabricId: string }[] } }[]
    >`
      select data from intake where id = ${id}`;
    const [batik] = await base.sql<{ id: string }[]>`select id from fabric where kind = 'batik' and shipped`;
    expect(kept!.data.record).toMatchObject({ use: 'wall', visibility: 'show', wishes: quick.words });
    expect(kept!.data.cloths[0]!.fabricId).toBe(batik!.id);
    for (const bad of [{ fabric: 'sheepskin' }, { batting: 7 }, { use: 'sail' }, { words: 'a'.repeat(400) }])
      expect(paths(await beginIntake(thisContext(), { key: key(), quick: { ...quick, ...bad } }))).toEqual([
        `quick.${Object.keys(bad)[0]}`,
      ]);
  });
  test('is kept as it goes; a second window is told', async () => {
    const { id } = value(await beginIntake(thisContext(), { key: key() }));
    const form = { id, version: 1, step: 2, data: { name: 'Half a bundle' } };
    expect(value(await keepIntake(thisContext(), { ...form, key: key() })).version).toBe(2);
    expect(await keepIntake(thisContext(), { ...form, key: key() })).toMatchObject({ conflict: true });
    expect(await readIntake(base.sql, id)).toMatchObject({ step: 2, data: { name: 'Half a bundle' } });
    expect(
      paths(
        await keepIntake(thisContext(), { ...form, key: key(), version: 2, data: { x: 'a'.repeat(70_000) } }),
      ),
    ).toEqual(['data']);
    expect(paths(await addPhotograph(thisContext(), id, Uint8Array.from([1, 2, 3, 4])))).toEqual(['photo']);
    expect(paths(await addPhotograph(thisContext(), id, Uint8Array.from([0xff, 0xd8, 0xff, 0xe0])))).toEqual([
      'photo',
    ]);
  });
  test('a photograph is decoded whole, drawn anew without place or camera, ten to a talk, and comes back when taken out', async () => {
    const { id } = value(await beginIntake(thisContext(), { key: key() }));
    const picture = (format: 'jpeg' | 'png' | 'webp' | 'gif') =>
      sharp({ create: { width: 2400, height: 300, channels: 3, background: '#446688' } })
        .withExif({ IFD0: { Make: 'Some camera' }, IFD3: { GPSLatitude: '54/1 0/1 0/1' } })
        .toFormat(format)
        .toBuffer();
    const jpeg = await picture('jpeg');
    expect(jpeg.includes('Some camera')).toBe(true);
    const { id: photo } = value(await addPhotograph(thisContext(), id, jpeg));
    const kept = (await readPhotographBytes(base.sql, photo))!;
    expect(kept.bytes.includes('Some camera')).toBe(false);
    expect(await sharp(kept.bytes).metadata()).toMatchObject({ format: 'jpeg', width: 1600, height: 200 });
    for (const bad of [await picture('gif'), jpeg.subarray(0, jpeg.length - 40)])
      expect(paths(await addPhotograph(thisContext(), id, bad))).toEqual(['photo']);
    for (const format of ['png', 'webp'] as const)
      value(await addPhotograph(thisContext(), id, await picture(format)));
    const small = await sharp({ create: { width: 8, height: 8, channels: 3, background: 'red' } })
      .png()
      .toBuffer();
    for (let i = 3; i < 10; i++) value(await addPhotograph(thisContext(), id, small));
    expect(paths(await addPhotograph(thisContext(), id, small))).toEqual(['photo']);
    value(await removePhotograph(thisContext(), { key: key(), id: photo }));
    expect(await readPhotographs(base.sql, { intakeId: id })).toHaveLength(9);
    value(await removePhotograph(thisContext(), { key: key(), id: photo, removed: false }));
    expect(await readPhotographs(base.sql, { intakeId: id })).toHaveLength(10);
    expect(paths(await removePhotograph(thisContext(), { key: key(), id: key() }))).toEqual(['id']);
  });
});

describe('what is left', () => {
  test('is the same on the Rack, in the calendar and on the quilt’s own page, sewn or not', async () => {
    const rack = (await readRackView(base.sql, today))!.rails.flatMap((r) => r.quilts);
    const calendar = (await readCalendar(base.sql, today))!;
    expect(rack.filter((r) => r.quilt.sewn.length > 0).length).toBeGreaterThan(1);
    for (const { quilt, hoursLeft } of rack.filter((r) => r.quilt.step !== 'hand-back')) {
      const { steps, left, belief } = await readPlan(base.sql, (await readQuiltView(base.sql, quilt.id))!);
      const { mid } = minutesOfSteps(left, belief);
      // The sum of what the steps say, loading and taking off besides.
      const open = steps.filter((s) => !isSewn(s, quilt.sewn)).reduce((sum, s) => sum + s.minutes, 0);
      expect(mid).toBeGreaterThan(open);
      expect(hoursLeft.value).toBeCloseTo(mid / 60, 6);
      expect(calendar.jobs.find((j) => j.quilt.id === quilt.id)!.hours.mid).toBeCloseTo(mid / 60, 6);
    }
  });
});

describe('the calendar', () => {
  test('lays quilts one after another and tells the chance; out as iCalendar and CSV', async () => {
    const view = (await readCalendar(base.sql, today))!;
    expect(view.jobs.length).toBeGreaterThan(5);
    for (const [i, j] of view.jobs.entries()) {
      expect(j.endDay).toBeGreaterThanOrEqual(j.startDay);
      expect(j.chance).toBeGreaterThanOrEqual(0);
      if (i > 0) expect(j.startDay).toBeGreaterThanOrEqual(view.jobs[i - 1]!.startDay);
    }
    const ics = calendarIcs(view);
    const atTable = view.jobs.flatMap(stretchesOf);
    expect(atTable.length).toBeGreaterThan(0);
    expect(ics.match(/BEGIN:VEVENT/g)).toHaveLength(2 * view.jobs.length + atTable.length);
    expect(calendarCsv(view).split('\r\n')).toHaveLength(view.jobs.length + 1);
  });
  test('a day moved is kept, a promise in the past refused', async () => {
    const q = await quiltNamed('Salt Pans');
    const startsOn = dateOfDay(dayNumber(q.dueOn) - 1);
    value(await setDays(thisContext(), { key: key(), quiltId: q.id, version: q.version, startsOn }));
    expect((await quiltNamed('Salt Pans')).startsOn).toBe(startsOn);
    expect(
      paths(
        await setDays(thisContext(), {
          key: key(),
          quiltId: q.id,
          version: q.version + 1,
          dueOn: '2020-02-02',
        }),
      ),
    ).toEqual(['dueOn']);
  });
});
