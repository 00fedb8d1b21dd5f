import { thisContext } from './context';
import Papa from 'papaparse';
import { COLUMNS, type ExchangeKind, guessMapping } from '@/core/exchange/columns';
import { readAllCones, readConeUses } from '@/data/cones';
import { readFabrics } from '@/data/cloths';
import { readMachines } from '@/data/machines';
import { insertShipped } from '@/data/shipped';
import { testDatabase, type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { windBobbins } from './bobbins';
import { keepFabric } from './cloths';
import { addCones } from './cones';
import { exportCsv, importFile, importHints, undoImported } from './exchange';
import { chooseSetup } from './setups';
import { exportWorkroom, importWorkroom } from './workroom-file';
import { aLine } from './testing/a-line';
import { key, paths, value } from './testing/answers';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('exchange');
});
afterAll(() => base.end());

describe('CSV in and out', () => {
  const fileOf = (kind: ExchangeKind, csv: string, rest: object = {}) => {
    const [header, ...rows] = Papa.parse<string[]>(csv.replace(/^\ufeff/, ''), {
      skipEmptyLines: 'greedy',
    }).data;
    return {
      key: key(),
      kind,
      fileName: 'test.csv',
      header: header!,
      mapping: guessMapping(kind, header!),
      rows,
      decimal: '.',
      take: 'all',
      ...rest,
    };
  };
  const csv =
    'Line,Colour,Hex,Fibre,Label\nGale,Storm,#445566,cotton,50/3\nGale,Dawn,,cotton,Tex 30\nGale,Dusk,red,cotton,Tex 30\n';
  test('all or nothing, then the good rows, then taken back', async () => {
    const before = (await readAllCones(base.sql)).length;
    expect(paths(await importFile(thisContext(), fileOf('cones', csv)))).toEqual(['rows']);
    expect(await readAllCones(base.sql)).toHaveLength(before);
    const done = value(await importFile(thisContext(), fileOf('cones', csv, { take: 'good' })));
    expect(done).toMatchObject({ stored: 2, left: 1 });
    expect(
      (await importHints(thisContext().sql, 'cones', ['Line', 'Colour', 'Hex', 'Fibre', 'Label'])).mapping,
    ).toEqual(['line', 'colour', 'hex', 'fibre', 'label']);
    const taken = value(await undoImported(thisContext(), { key: key(), batchId: done.batchId }));
    expect(taken).toEqual({ removed: 2, putAway: 0, edited: 0 });
    expect(await readAllCones(base.sql)).toHaveLength(before);
    expect(await undoImported(thisContext(), { key: key(), batchId: done.batchId })).toMatchObject({
      conflict: true,
    });
  });
  test('what was changed by hand since stays when an import is taken back', async () => {
    const done = value(await importFile(thisContext(), fileOf('cones', csv, { take: 'good' })));
    await base.sql`update cone set notes = 'mine', version = version + 1 where import_id = ${done.batchId} and colour = 'Dawn'`;
    expect(value(await undoImported(thisContext(), { key: key(), batchId: done.batchId }))).toEqual({
      removed: 1,
      putAway: 0,
      edited: 1,
    });
    await base.sql`delete from cone where import_id = ${done.batchId}`;
  });
  test('two windings of 900 m from one cone of 1 000 m: one of them is refused', async () => {
    const [machine] = await base.sql<{ id: string }[]>`select id from machine limit 1`;
    const { ids } = value(
      await addCones(
        thisContext(),
        aLine({ line: 'One Kilometre', colours: [{ colour: 'Only', remainingM: 1000 }] }),
      ),
    );
    const wind = () =>
      windBobbins(thisContext(), {
        key: key(),
        coneId: ids[0],
        machineId: machine!.id,
        kind: 'wound',
        count: 9,
        metresEach: 100,
      });
    const both = await Promise.all([wind(), wind()]);
    expect(both.filter((r) => r.ok)).toHaveLength(1);
    expect(paths(both.find((r) => !r.ok)!)).toEqual(['count']);
  });
  test('what a spreadsheet would run goes out as plain text, behind line breaks and in full width too', async () => {
    value(
      await addCones(
        thisContext(),
        aLine({ line: 'Formula', colours: [{ colour: 'One' }], notes: '\n=HYPERLINK("x")', place: '＝1+1' }),
      ),
    );
    const out = await exportCsv(base.sql, 'cones');
    expect(out).toContain(`"'=HYPERLINK(""x"")"`);
    expect(out).toContain(`"'＝1+1"`);
    await base.sql`delete from cone where line = 'Formula'`;
  });
  test('what an import brought and a quilt uses is put away, not removed', async () => {
    const [zone] = await base.sql<{ id: string; quiltId: string; n: number }[]>`
      select z.id, z.quilt_id, coalesce((select max(version) from setup s where s.zone_id = z.id), 0) as n from zone z limit 1`;
    const done = value(await importFile(thisContext(), fileOf('cones', csv, { take: 'good' })));
    const [storm] = (await readAllCones(base.sql)).filter((c) => c.colour === 'Storm');
    value(
      await chooseSetup(thisContext(), {
        key: key(),
        quiltId: zone!.quiltId,
        zoneId: zone!.id,
        topId: storm!.id,
        bobbinId: storm!.id,
        seenVersion: zone!.n,
      }),
    );
    expect(value(await undoImported(thisContext(), { key: key(), batchId: done.batchId }))).toEqual({
      removed: 1,
      putAway: 1,
      edited: 0,
    });
  });
  test('formulas in cells come out as text and go in again as they were', async () => {
    value(
      await keepFabric(thisContext(), {
        key: key(),
        version: 0,
        name: '=1+1',
        notes: '@cmd',
        kind: 'batik',
        hex: '#010203',
      }),
    );
    const out = await exportCsv(base.sql, 'fabrics');
    expect(out).toContain("'=1+1");
    expect(out).toContain("'@cmd");
    await base.sql`update fabric set name = 'gone', notes = '' where name = '=1+1'`;
    value(await importFile(thisContext(), fileOf('fabrics', out, { take: 'good' })));
    expect((await readFabrics(base.sql)).find((f) => f.name === '=1+1')).toMatchObject({ notes: '@cmd' });
  });
  test('a mapping without what is needed, rows that are no rows, too many rows', async () => {
    expect(
      paths(
        await importFile(thisContext(), fileOf('cones', csv, { mapping: ['line', null, null, null, null] })),
      ),
    ).toEqual(['mapping']);
    expect(paths(await importFile(thisContext(), fileOf('cones', csv, { rows: [[1, 2]] })))).toEqual([
      'rows',
    ]);
    expect(
      paths(await importFile(thisContext(), fileOf('cones', csv, { rows: Array(20_001).fill(['a']) }))),
    ).toContain('rows');
  });
  test('every kind goes out under our own header', async () => {
    for (const kind of ['cones', 'battings', 'fabrics', 'needles'] as const) {
      const [header] = Papa.parse<string[]>(await exportCsv(base.sql, kind)).data;
      expect(header).toEqual(COLUMNS[kind].map((c) => c.label));
    }
  });
});

describe('a whole workroom', () => {
  test('goes out, is wiped, comes in, and is the same', async () => {
    const before = await exportWorkroom(base.sql);
    const other = await testDatabase('workroom_again');
    try {
      await insertShipped(other.sql);
      value(await importWorkroom(thisContext(), { key: key(), text: JSON.stringify(before) }));
      expect(await exportWorkroom(other.sql)).toEqual(JSON.parse(JSON.stringify(before)));
      // Once more changes nothing.
      value(await importWorkroom(thisContext(), { key: key(), text: JSON.stringify(before) }));
      expect(await exportWorkroom(other.sql)).toEqual(JSON.parse(JSON.stringify(before)));
    } finally {
      await other.end();
      process.env.DATABASE_URL = `${process.env.TEST_PG_URL}/unit_workroom`;
      (globalThis as { tidySpoolSql?: unknown }).tidySpoolSql = base.sql;
    }
  });
  test.each([
    ['not JSON', '{', /not JSON/],
    ['another program’s file', '{"format":"x"}', /not a workroom/],
    ['a newer program’s file', '{"format":"tidy-spool-workroom","version":9}', /newer/],
  ])('%s is refused in words', async (_, text, words) => {
    const r = await importWorkroom(thisContext(), { key: key(), text });
    expect(!r.ok && r.problems[0]!.message).toMatch(words);
  });
  test('metres the file knows otherwise are shown, and set only when that is chosen, through the ledger', async () => {
    const doc = JSON.parse(JSON.stringify(await exportWorkroom(base.sql)));
    const cone = doc.cones.find((c: { remainingM: number | null }) => c.remainingM !== null);
    const here = cone.remainingM as number;
    cone.remainingM = here + 700;
    const send = (metres?: 'keep' | 'take') =>
      importWorkroom(thisContext(), { key: key(), text: JSON.stringify(doc), ...(metres ? { metres } : {}) });
    const asked = await send();
    expect(paths(asked)).toEqual(['metres']);
    expect(!asked.ok && asked.problems[0]!.message).toContain(cone.line);
    const left = async () => (await readAllCones(base.sql)).find((c) => c.id === cone.id)!.remainingM;
    value(await send('keep'));
    expect(await left()).toBe(here);
    value(await send('take'));
    expect(await left()).toBe(here + 700);
    expect((await readConeUses(base.sql, cone.id))[0]).toMatchObject({
      metres: 700,
      note: 'from a workroom file',
    });
  });
  test('a bad entry is named by its place and nothing is stored', async () => {
    const doc = JSON.parse(JSON.stringify(await exportWorkroom(base.sql)));
    doc.cones[3].tex = -1;
    doc.machines[0].name = 'Renamed';
    expect(paths(await importWorkroom(thisContext(), { key: key(), text: JSON.stringify(doc) }))).toEqual([
      'cones.3.tex',
    ]);
    expect((await readMachines(base.sql)).some((m) => m.name === 'Renamed')).toBe(false);
  });
});
