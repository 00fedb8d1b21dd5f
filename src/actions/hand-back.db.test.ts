import { v7 as uuidv7 } from 'uuid';
import { inspection } from '@/core/hand-back/inspection';
import { readHandBack, readRecord, readRecordSum } from '@/data/hand-back';
import { readPreferences } from '@/data/preferences';
import { readRack } from '@/data/quilts';
import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { clientLetter, clientSheet } from './client-sheet';
import { thisContext } from './context';
import { setFaultStatus } from './faults';
import { handBack, markHandBack, measureHandBack } from './hand-back';
import { beginIntake } from './intakes';
import { takeIn } from './quilts';
import { type QuiltView, readQuiltView } from './quilt-view';
import { key, paths, value } from './testing/answers';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('hand_back');
});
afterAll(() => base.end());

async function quilt(name: string): Promise<QuiltView> {
  const [q] = await base.sql<{ id: string }[]>`select id from quilt where name = ${name}`;
  return (await readQuiltView(base.sql, q!.id))!;
}
const home = async (name: string, part: object = {}) => {
  const { quilt: q } = await quilt(name);
  return handBack(thisContext(), { key: key(), quiltId: q.id, version: q.version, home: true, ...part });
};

test('what is done is ticked with its time, once, and taken back; two windows do not overwrite each other', async () => {
  const { quilt: q } = await quilt('Nine Buoys');
  const mark = (act: string, version: number, done = true) =>
    markHandBack(thisContext(), { key: key(), quiltId: q.id, version, act, done });
  value(await mark('off', 0));
  value(await mark('trimmed', 1));
  expect(await mark('top', 1)).toMatchObject({ ok: false, conflict: true });
  value(await mark('trimmed', 2, false));
  const kept = await readHandBack(base.sql, q.id);
  expect(kept.offFrameAt).toBeInstanceOf(Date);
  expect(kept.trimmedAt).toBeNull();
  expect((await quilt('Nine Buoys')).quilt.onFrameSince).toBeNull();
  expect(paths(await mark('burnt', 3))).toEqual(['act']);
});

test('measures out of range are refused at their side', async () => {
  const { quilt: q } = await quilt('Nine Buoys');
  const send = (part: object) =>
    measureHandBack(thisContext(), {
      key: key(),
      quiltId: q.id,
      version: 3,
      widthsIn: [53, 53, 53.25],
      lengthsIn: [53, 53, 53],
      word: 'Fog vanished as wished.',
      ...part,
    });
  expect(paths(await send({ widthsIn: [53, 53] }))).toEqual(['widthsIn']);
  expect(paths(await send({ lengthsIn: [53, 1, 53] }))).toEqual(['lengthsIn']);
  value(await send({}));
  expect(await readHandBack(base.sql, q.id)).toMatchObject({
    widthsIn: [53, 53, 53.25],
    word: 'Fog vanished as wished.',
  });
});

test('with a fault open it goes home by name only, whoever asks; and the database says so too', async () => {
  const { quilt: q } = await quilt('Nine Buoys');
  expect(paths(await home('Nine Buoys'))).toEqual(['waivedBy']);
  expect(paths(await home('Nine Buoys', { waivedBy: 'Odile' }))).toEqual(['waivedWhy']);
  await expect(
    base.sql`update quilt set handed_back_on = current_date, step = 'hand-back' where id = ${q.id}`,
  ).rejects.toThrow('The mend list is not clear.');
  value(await home('Nine Buoys', { waivedBy: 'Odile', waivedWhy: 'the client trims it herself' }));
  expect((await readRack(base.sql)).some((r) => r.id === q.id)).toBe(false);
  expect(await readHandBack(base.sql, q.id)).toMatchObject({ waivedBy: 'Odile', cameTo: { faults: 7 } });
});

test('a mend list cleared: mended, or accepted with a word', async () => {
  const view = await quilt('Harbour Lights');
  for (const [i, f] of view.faults.filter((x) => x.status === 'open').entries()) {
    const set = (part: object) =>
      setFaultStatus(thisContext(), { key: key(), faultId: f.id, version: f.version, ...part });
    expect(paths(await set({ status: 'left' }))).toEqual(['word']);
    value(await set(i % 2 === 0 ? { status: 'left', word: 'not seen from a metre' } : { status: 'mended' }));
  }
  value(await home('Harbour Lights'));
  const [row] = await base.sql`select waived_by from hand_back where quilt_id = ${view.quilt.id}`;
  expect(row!.waivedBy).toBe('');
});

test('the client’s sheet names what is in it, how it came out and how to wash it; the letter opens as a letter', async () => {
  const view = await quilt('Nine Buoys');
  const [hand, preferences] = [
    await readHandBack(base.sql, view.quilt.id),
    (await readPreferences(base.sql))!,
  ];
  const sheet = clientSheet(view, hand, preferences);
  const said = sheet.parts.flatMap((p) => p.lines).join('\n');
  for (const words of ['Heron Poly 60', 'Drumlin', '53 in', 'drew it in', 'Wash at', 'Seen from close only'])
    expect(said).toContain(words);
  const letter = (await clientLetter(base.sql, view.quilt.id, sheet, preferences.name)).toString();
  expect(letter).toMatch(/^Subject: Nine Buoys, for Wren Aldous$/m);
  expect(letter).toMatch(/^X-Unsent: 1$/m);
  expect(letter.replace(/=\r?\n/g, '')).toContain('Heron Poly 60');
});

test('quilts handed back stand in the record with hours, thread and faults, found by fabric, thread and technique', async () => {
  const third = await quilt('Tide Table');
  for (const f of third.faults.filter((x) => x.status === 'open'))
    value(
      await setFaultStatus(thisContext(), {
        key: key(),
        faultId: f.id,
        version: f.version,
        status: 'mended',
      }),
    );
  value(await home('Tide Table'));
  const all = { words: '', cloth: null, thread: null, technique: null };
  const names = async (part: object) =>
    (await readRecord(base.sql, { ...all, ...part }, 20)).map((r) => r.name).sort();
  expect(await names({})).toEqual(['Chandlery', 'Harbour Lights', 'Mussel Beds', 'Nine Buoys', 'Tide Table']);
  expect(await names({ words: 'wren' })).toEqual(['Mussel Beds', 'Nine Buoys']);
  expect(await names({ cloth: 'linen' })).toEqual(['Tide Table']);
  expect(await names({ technique: 'echo' })).toContain('Nine Buoys');
  expect(await names({ thread: 'no such line' })).toEqual([]);
  expect((await readRecordSum(base.sql)).quilts).toBe(5);
  const { quilt: q } = await quilt('Tide Table');
  value(await handBack(thisContext(), { key: key(), quiltId: q.id, version: q.version, home: false }));
  expect((await readRack(base.sql)).some((r) => r.id === q.id)).toBe(true);
});

test('the next one like it: its zones at the new size, its cards as first guesses', async () => {
  const before = await quilt('Nine Buoys');
  const { id: intakeId } = value(await beginIntake(thisContext(), { key: key(), likeId: before.quilt.id }));
  const [intake] = await base.sql<
    { data: { record: Record<string, string>; cloths: { fabricId: string }[] } }[]
  >`
    select data from intake where id = ${intakeId}`;
  const { record, cloths } = intake!.data;
  expect(record).toMatchObject({ plan: 'like', likeName: 'Nine Buoys', machineId: before.quilt.machineId });
  expect(paths(await beginIntake(thisContext(), { key: key(), likeId: uuidv7() }))).toEqual(['likeId']);
  const { likeName: _, ...said } = record;
  const { id } = value(
    await takeIn(thisContext(), {
      ...said,
      key: key(),
      intakeId,
      client: 'Tam Okello',
      name: 'Ten Buoys',
      widthsIn: [60, 60, 60],
      lengthsIn: [72, 72, 72],
      dueOn: '2027-06-01',
      wishes: '',
      watch: '',
      fabrics: cloths.map((c) => ({ fabricId: c.fabricId, share: 1 })),
      features: [],
    }),
  );
  const after = (await readQuiltView(base.sql, id))!;
  expect(after.zones.map((z) => [z.name, z.technique])).toEqual(
    before.zones.map((z) => [z.name, z.technique]),
  );
  expect(Math.max(...after.zones.flatMap((z) => z.geometry.flat(2).map(([x]) => x)))).toBeCloseTo(60, 6);
  for (const [i, z] of after.zones.entries()) {
    const [now, then] = [after.setups.get(z.id)!, before.setups.get(before.zones[i]!.id)!];
    expect(now).toMatchObject({ topId: then.topId, needleNm: then.needleNm, provenAt: null });
    expect(now.topGf).toBe(then.provenTopGf ?? then.topGf);
  }
});

test('the way of the eye on a quilt goes by its open faults', async () => {
  const { quilt: q, faults } = await quilt('Nine Buoys');
  const open = faults.flatMap((f) =>
    f.status === 'open' && f.xIn !== null ? [{ n: f.n, xIn: f.xIn, yIn: f.yIn! }] : [],
  );
  expect(inspection(q.widthIn, q.lengthIn, open).met.sort()).toEqual(open.map((f) => f.n).sort());
});
