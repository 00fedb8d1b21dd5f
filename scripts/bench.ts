// Measures: prints what the pages, the core and the scripts cost. Run with npm run bench, after a build.
import { thisContext } from '@/actions/context';
import { spawn, spawnSync } from 'node:child_process';
import { gzipSync } from 'node:zlib';
import { readFileSync } from 'node:fs';
import postgres from 'postgres';
import { stitchPhoto } from '@/core/photo/stitch-photo';
import { anyPicture } from '@/core/testing/stitch-picture';
import { planOrder } from '@/core/order/order';
import { planZones } from '@/core/plan/plan-kinds';
import { planWork } from '@/core/plan/work-plan';
import { NOTHING_LOGGED } from '@/core/hours/factors';
import { palette } from '@/core/colour/palette';
import { match } from '@/core/match/match';
import { whatWouldHaveToBeTrue } from '@/core/match/what-if';
import { matchWhole } from '@/core/match/whole-quilt';
import { v7 as uuidv7 } from 'uuid';
import { importFile } from '@/actions/exchange';
import { zoneRequest } from '@/actions/match-sources';
import { QUILTER } from '@/actions/context';
import { readCardSources } from '@/actions/setups';
import { connect, db } from '@/data/sql';
import { manyFaults, tenYears } from './ten-years';
import { fitDay } from '@/core/plan/fit-day';
import { motifs } from '@/core/motifs/motifs';
import type { MotifsRequest } from '@/core/motifs/request';
import { shapeNumbers } from '@/core/motifs/zone-shape';
import { route } from '@/core/route/route';
import type { MultiPolygon, XY } from '@/core/geometry/polygon';
import { NEEDLE_SIZES } from '@/core/tables/needles';

const atShare = (sorted: number[], p: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(p * sorted.length))]!;
async function measure(name: string, runs: number, act: () => unknown) {
  for (let i = 0; i < Math.min(10, runs); i++) await act();
  const ms: number[] = [];
  for (let i = 0; i < runs; i++) {
    const t = performance.now();
    await act();
    ms.push(performance.now() - t);
  }
  ms.sort((a, b) => a - b);
  console.log(
    `${name.padEnd(52)} median ${atShare(ms, 0.5).toFixed(1).padStart(7)} ms   95 % ${atShare(ms, 0.95).toFixed(1).padStart(7)} ms`,
  );
}

/** What a page answers; a page that is not there is no measure. */
async function text(url: string) {
  const answer = await fetch(url);
  if (!answer.ok) throw new Error(`${url}: ${answer.status}`);
  return answer.text();
}

/** What to quilt where, a route, and a day fitted, of forty zones. */
async function measureMotifs(zones: readonly { id: string; geometry: MultiPolygon }[]) {
  const request: MotifsRequest = {
    quilt: { widthIn: 90, lengthIn: 100, use: 'bed', battingId: 'cotton-80-20' },
    zones: zones.map((z, i) => ({
      id: z.id,
      role: i === 0 ? 'border' : i % 2 ? 'block' : 'sashing',
      ...shapeNumbers(z.geometry),
      top: [{ fabric: 'quilting-cotton' }],
    })),
    neighbours: zones.slice(1).map((z, i) => ({ a: String(i), b: z.id, seamIn: 10 })),
  };
  await measure('what to quilt where, 40 zones', 10, () => motifs(request));
  await measure('the same with five held', 10, () =>
    motifs({
      ...request,
      zones: request.zones.map((z, i) =>
        i % 8 === 0 ? { ...z, hold: { technique: 'swirls', spacingIn: 0.75 } } : z,
      ),
    }),
  );
  const fitted = zones.map((z) => ({ id: z.id, technique: 'pebbles', spacingIn: 0.5, minutes: 40 }));
  await measure('fit the day, 40 zones, a third too long', 10, () => fitDay(request, fitted, 90, 1200));
  // A comb of 60 edges: sixteen of its nodes are odd.
  const edges = Array.from({ length: 60 }, (_, i) => {
    const [x, y] = [i % 8, Math.floor(i / 8)];
    return { a: [x, y] as XY, b: (i % 3 ? [x + 1, y] : [x, y + 1]) as XY };
  });
  await measure('route of 60 edges', 20, () => route({ edges }));
}

async function bench() {
  const base = process.env.TEST_PG_URL!;
  const admin = postgres(`${base}/postgres`, { max: 1, onnotice: () => {} });
  await admin`create database bench`;
  await admin.end();
  const env = { ...process.env, DATABASE_URL: `${base}/bench`, NODE_ENV: 'production' as const };
  spawnSync('node_modules/.bin/tsx', ['src/demo/prepare.ts'], { env, stdio: 'inherit' });
  const sql = connect(env.DATABASE_URL);
  const [quiltRow] = await sql<{ id: string }[]>`select id from quilt where name = 'Harbour Lights'`;
  const { view, machine, sources } = (await readCardSources(sql, quiltRow!.id, QUILTER.id))!;
  const { quilt, zones, shelf } = view;
  await sql.end();

  const one = zoneRequest(view, zones[0]!, machine, sources);
  const needles = NEEDLE_SIZES.flatMap(({ nm }) => [
    { nm, eye: 'standard' as const, point: 'sharp' as const },
  ]);
  await measure(`core match, ${shelf.length} cones × ${needles.length} needles`, 200, () =>
    match({ ...one, needles }),
  );
  const many = Array.from({ length: 500 }, (_, i) => ({
    ...one.threads[i % one.threads.length]!,
    id: `cone ${i}`,
  }));
  await measure('core match, 500 cones × 12 needles', 20, () => match({ ...one, threads: many, needles }));

  const equal = one.threads.find((t) => t.role === 'top')!;
  const twoThousand = Array.from({ length: 2000 }, (_, i) => ({
    ...equal,
    role: 'both' as const,
    id: `equal ${i}`,
  }));
  await measure('core match, 2 000 equal cones', 20, () => match({ ...one, threads: twoThousand, needles }));

  const colourOf = (i: number) => `#${((i * 7919 * 131) % 0xffffff).toString(16).padStart(6, '0')}`;
  const { zone: _, ...shared } = one;
  const twenty = {
    ...shared,
    needles,
    threads: many.slice(0, 100).map((t, i) => ({ ...t, hex: colourOf(i) })),
    zones: Array.from({ length: 20 }, (_, i) => ({
      id: `zone ${i}`,
      zone: {
        ...one.zone,
        technique: ['swirls', 'echo', 'ruler-lines', 'feathers', 'loops'][i % 5]!,
        top: [{ fabric: 'quilting-cotton', hex: colourOf(i + 300) }],
        visibility: (['sink', 'texture', 'show'] as const)[i % 3]!,
      },
    })),
  };
  await measure('whole quilt, 20 zones × 100 cones', 10, () => matchWhole(twenty));
  const photograph = new Uint8ClampedArray(320 * 240 * 4).map((_, i) =>
    i % 4 === 3 ? 255 : ((i >> 9) * 37 + (i % 4) * 60 + (i % 23)) % 256,
  );
  await measure('palette of a photograph', 10, () => palette(photograph));
  const pictures = Array.from({ length: 60 }, (_, i) => anyPicture(1000 + i)).map(
    ({ picture, path, mmPerPx, truth }) => {
      const told = stitchPhoto(picture, mmPerPx, path);
      return {
        trust: told.trust,
        right: Math.abs(told.spi / truth.spi - 1) <= 0.02,
        even: Math.abs(told.cvPct - truth.cvPct) <= 3,
      };
    },
  );
  const good = pictures.filter((x) => x.trust === 'good');
  const share = (of: unknown[], all: unknown[]) => `${Math.round((100 * of.length) / all.length)} %`;
  console.log(
    `stitch photographs: within 2 % ${share(
      pictures.filter((x) => x.right),
      pictures,
    )}, evenness within 3 points ${share(
      pictures.filter((x) => x.even),
      pictures,
    )}, called good ${share(good, pictures)}, good and right ${share(
      good.filter((x) => x.right),
      good,
    )}`,
  );
  await measure('what would have to be true, 24 cones', 10, () =>
    whatWouldHaveToBeTrue(one, one.threads.filter((t) => t.role === 'top').at(-1)!.id),
  );

  const cells = Array.from({ length: 90 }, (_, i) => ({
    pass: Math.floor(i / 6) + 1,
    thread: 'abcdef'[i % 6]!,
    stabilise: i % 6 === 0,
    minutes: 10,
  })).filter((_, i) => i % 7 !== 3);
  await measure('order of work, 15 passes × 6 threads', 10, () =>
    planOrder({ passes: 15, threads: [...'abcdef'], cells, rollMin: 3, changeMin: 3 }),
  );
  const forty = planZones({
    kind: 'blocks',
    widthIn: 90,
    lengthIn: 100,
    borderIn: 6,
    columns: 6,
    rows: 6,
    sashIn: 2,
  }).flatMap((z) => z.geometry.map((p) => ({ geometry: [p], name: z.name })));
  const planned = forty.slice(0, 40).map((z, i) => ({
    id: String(i),
    letter: String(i),
    geometry: z.geometry,
    technique: 'swirls',
    spacingIn: 0.5,
    sandwich: { top: [{ fabric: 'quilting-cotton' }], battingId: 'cotton-80-20', backing: 'quilting-cotton' },
    setup: {
      top: { id: `t${i % 5}`, tex: 27, fibre: 'polyester-filament' },
      bobbin: { id: 'b', tex: 18, fibre: 'polyester-filament' },
      spi: 11,
      maxInPerS: 3,
    },
  }));
  const plan = (zones: typeof planned) =>
    planWork({
      quilt: { widthIn: 90, lengthIn: 100 },
      zones,
      battingId: 'cotton-80-20',
      backing: 'quilting-cotton',
      frame: { throatIn: 20, deadIn: 5, widthIn: 144, rollInThroat: true, rollStartIn: 2.5 },
      marginIn: 4,
      turn: 'auto',
      bobbinMm: { od: 25, core: 7.6, width: 10 },
      evenness: 2.5,
      ditchSchool: 'before-fills',
      ends: 'lock',
      belief: NOTHING_LOGGED,
    });
  await measure('plan of a quilt with 40 zones', 30, () => plan(planned));
  await measure('the same with routes in half of them', 30, () =>
    plan(planned.map((z, i) => (i % 2 ? z : { ...z, technique: i % 4 ? 'ditch' : 'ruler-arcs' }))),
  );
  await measureMotifs(planned);
  const port = 3297;
  const server = spawn(process.execPath, ['.next/serve.mjs'], {
    env: { ...env, HOST: '127.0.0.1', PORT: String(port) },
    stdio: 'ignore',
  });
  const url = `http://127.0.0.1:${port}`;
  try {
    for (let i = 0; i < 100; i++) {
      if (
        await fetch(`${url}/health`).then(
          (r) => r.ok,
          () => false,
        )
      )
        break;
      await new Promise((r) => setTimeout(r, 100));
    }
    const pages = [
      '/',
      '/calendar',
      '/shelf',
      ...['take-in', 'match', 'test', 'quilt', 'map', 'prepare', 'stand', 'hand-back'].map(
        (p) => `/quilts/${quilt.id}/${p}`,
      ),
    ];
    for (const page of pages)
      await measure(`page ${page.replace(quilt.id, '…')}`, 60, () => text(url + page));
    for (const page of pages) {
      const html = await (await fetch(url + page)).text();
      // What only browsers of long ago load is marked so.
      const scripts = [
        ...new Set(
          [...html.matchAll(/<script[^>]+src="([^"?]+\.js)[^>]*>/g)].flatMap((m) =>
            /nomodule/i.test(m[0]) ? [] : m[1]!,
          ),
        ),
      ];
      const bytes = scripts.reduce(
        (sum, src) => sum + gzipSync(readFileSync(src.replace('/_next/', '.next/'))).length,
        0,
      );
      console.log(
        `${`scripts of ${page.replace(quilt.id, '…')}`.padEnd(52)} ${(bytes / 1000).toFixed(0)} kB compressed`,
      );
    }
    await large(env.DATABASE_URL);
    const at = `/quilts/${quilt.id}`;
    const inYears = ['/', '/calendar', '/shelf', '/find?q=har', '/workroom/preferences'].concat(
      ['/faults', '/faults?part=since', '/faults?q=har&sign=skipped', '/record'],
      [
        'match',
        'match/whole',
        'match/colours',
        'match/density',
        'test',
        'quilt',
        'take-in',
        'stand',
        'hand-back',
      ].map((p) => `${at}/${p}`),
    );
    const growing = connect(env.DATABASE_URL, 1);
    let copies = 0;
    for (const until of [1, 80, 640]) {
      const t = performance.now();
      await tenYears(growing, until - copies, copies + 1);
      copies = until;
      // At the end a hundred thousand faults.
      if (until === 640) await manyFaults(growing, 6);
      const [n] =
        await growing`select (select count(*) from quilt) as quilts, (select count(*) from fault) as faults,
        (select count(*) from step_sewn) as steps, (select count(*) from cone) as cones`;
      console.log(
        `\n${n!.quilts} quilts, ${n!.faults} faults, ${n!.steps} steps, ${n!.cones} cones (made in ${(performance.now() - t).toFixed(0)} ms)`,
      );
      for (const page of inYears)
        await measure(`${n!.quilts} quilts: ${page.replace(quilt.id, '…')}`, 20, () => text(url + page));
    }
    // Three hundred quilts that wait: their plans are read for the Rack and for every promise of the calendar.
    const [open] = await growing<
      { n: number }[]
    >`select count(*)::int as n from quilt where handed_back_on is null`;
    const t = performance.now();
    await tenYears(growing, Math.ceil(300 / open!.n), 1001, 'waiting');
    const [waiting] = await growing<
      { n: number }[]
    >`select count(*)::int as n from quilt where handed_back_on is null`;
    console.log(`\n${waiting!.n} quilts wait (made in ${(performance.now() - t).toFixed(0)} ms)`);
    for (const page of ['/', '/calendar']) {
      const first = performance.now();
      await text(url + page);
      console.log(`${page} the first time: ${(performance.now() - first).toFixed(0)} ms`);
      await measure(`${waiting!.n} waiting: ${page}`, 20, () => text(url + page));
      await growing`update zone set spacing_in = spacing_in + 0.01 where quilt_id = ${quilt.id}`;
      const after = performance.now();
      await text(url + page);
      console.log(`${page} after one zone was changed: ${(performance.now() - after).toFixed(0)} ms`);
    }
    // Fifty people, each going from page to page, ten pages each; once in peace, once with a change every second.
    const tour = ['/', '/shelf', '/calendar', `${at}/match`, `${at}/test`, `${at}/quilt`, `${at}/stand`];
    for (const changing of [false, true]) {
      const all: number[] = [];
      const change = setInterval(() => {
        if (changing)
          void growing`update zone set spacing_in = spacing_in + 0.01 where quilt_id = ${quilt.id}`;
      }, 1000);
      await Promise.all(
        Array.from({ length: 50 }, async (_, person) => {
          for (let k = 0; k < 10; k++) {
            const begun = performance.now();
            await text(url + tour[(person + k) % tour.length]!);
            all.push(performance.now() - begun);
          }
        }),
      );
      clearInterval(change);
      all.sort((a, b) => a - b);
      console.log(
        `50 at once, ten pages each${changing ? ', a zone changed every second' : ''}: median ${atShare(all, 0.5).toFixed(0)} ms   95 % ${atShare(all, 0.95).toFixed(0)} ms`,
      );
    }
    await growing.end();
  } finally {
    server.kill('SIGTERM');
  }
}

/** A shelf and a rack of a size no studio has; the cones come in as a file would bring them. */
async function large(url: string) {
  process.env.DATABASE_URL = url;
  const rows = Array.from({ length: 5000 }, (_, i) => [
    `Bulk ${i % 40}`,
    `Shade ${i}`,
    `#${((i * 8111) % 0xffffff).toString(16).padStart(6, '0')}`,
    'trilobal',
    'Tex 27',
  ]);
  const header = ['Line', 'Colour', 'Hex', 'Fibre', 'Label'];
  const t = performance.now();
  const done = await importFile(thisContext(), {
    key: uuidv7(),
    kind: 'cones',
    fileName: 'bulk.csv',
    header,
    mapping: ['line', 'colour', 'hex', 'fibre', 'label'],
    rows,
    decimal: '.',
    take: 'all',
  });
  console.log(
    `${'import of 5 000 cones'.padEnd(52)} ${(performance.now() - t).toFixed(0)} ms${done.ok ? '' : ' FAILED'}`,
  );
  const sql = connect(url, 1);
  await sql`delete from cone where line like 'Bulk %' and colour > 'Shade 28'`;
  const [n] = await sql`select (select count(*) from cone) as cones, (select count(*) from quilt) as quilts`;
  console.log(`(${n!.cones} cones, ${n!.quilts} quilts)`);
  await sql.end();
}

void bench().finally(() => process.env.DATABASE_URL && db().end());
