import postgres from 'postgres';
import type { Field } from '../src/core/fields/field';
import { PREFERENCES } from '../src/core/fields/preferences';
import { expect, test } from './studio';

const snake = (id: string) => id.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`);

/** Where a setting shows that Match, where most do, does not; it counts wherever it shows. */
const SHOWN: Readonly<Record<string, string>> = {
  units: 'part=density',
  motifSchool: 'match/density',
  endsSchool: 'match/density',
  evenness: 'match/density',
  gapShare: 'match/density',
  rollingSchool: '/calendar',
  footSchool: '/calendar',
  dayHours: '/calendar',
  prewashSchool: '/prepare',
  marginIn: '/prepare',
  testMarginIn: '/prepare',
  changeTroubleMin: '/quilt',
  lowM: '/shelf',
  needleWarnShare: '/needles',
  markers: '/loading',
};

test('every setting of the studio changes what the pages say', async ({ studio }) => {
  const sql = postgres(studio.databaseUrl, { max: 1 });
  try {
    const quilts = await sql<{ id: string; zones: string[] }[]>`
      select q.id, array(select z.id from zone z where z.quilt_id = q.id and z.retired_at is null order by letter) as zones
      from quilt q where q.name = 'Harbour Lights'`;
    const pages = [
      '/shelf',
      '/calendar',
      '/workroom/needles',
      ...quilts.flatMap(({ id, zones }) => [
        ...[
          'quilt',
          'quilt?part=density',
          'prepare',
          'match/density',
          'test',
          'sheets/passes',
          'sheets/loading',
        ].map((page) => `/quilts/${id}/${page}`),
        ...zones.map((zone) => `/quilts/${id}/match?zone=${zone}`),
      ]),
    ];
    // What a page says is made from what it is sent: that alone is read, as a browser asks for it when a link is followed.
    const read = async (page: string) => {
      const answer = await fetch(studio.url + page, { headers: { RSC: '1' } });
      const sent = await answer.text();
      expect(answer.headers.get('content-type')).toContain('text/x-component');
      // Its parts come, and are numbered, as each is ready; two words are new with every answer.
      return sent
        .replace(/"nonce":"[^"]*"/g, '')
        .replace(/"[\w-]{21}[a-z]"/g, '""')
        .replace(/"\$[L@]?[\da-f]+(?=[":])/g, '"$')
        .split('\n')
        .map((part) => part.replace(/^[\da-f]+:/, ''))
        .sort()
        .join('\n');
    };
    // As each page is before anything is changed, and that nothing on it changes by itself.
    const before = new Map<string, string>();
    for (const page of pages) {
      before.set(page, await read(page));
      expect(await read(page), page).toBe(before.get(page));
    }
    const changes = async () => {
      for (const [i, page] of pages.entries())
        if ((await read(page)) !== before.get(page)) {
          // What one setting changes the next is likely to change as well: that page is read first.
          pages.unshift(...pages.splice(i, 1));
          return true;
        }
      return false;
    };
    const [now] = await sql`select * from preferences`;
    // Sizes to keep to, where the way of working says so.
    const beside: Record<string, object> = {
      needleSchool: { one_needle_nm: 110 },
      spiSchool: { one_spi: 9 },
      oneNeedleNm: { needle_school: 'one' },
      oneSpi: { spi_school: 'one' },
    };
    const idle: string[] = [];
    // Sizes near the usual needle are likelier to be in the drawer than what lies far off.
    const nearest = (a: unknown, b: unknown) => Math.abs(Number(a) - 100) - Math.abs(Number(b) - 100) || 0;
    for (const f of PREFERENCES as readonly Field[]) {
      // Hours at the table show on the day's page, whose clocks never stand (today.db.test has it).
      if (f.id === 'tableHours') continue;
      // Names say nothing else, a currency only where money is noted (correct.spec has it); whether a label rules shows only on rare cones, and is proven by the needle’s own test.
      if (['name', 'town', 'currency', 'labelRule'].includes(f.id)) continue;
      const column = snake(f.id);
      const own = now![column] as unknown;
      const others: unknown[] =
        f.kind === 'checks'
          ? [f.choices!.slice(-1).map((c) => c.value)]
          : f.choices
            ? f.choices
                .map((c) => c.value)
                .filter((v) => v !== own)
                .toSorted(nearest)
            : f.kind === 'numbers'
              ? [(own as number[]).map((h) => Math.max(0, h - 2))]
              : f.range![1] <= 1 || f.id === 'needleWarnShare'
                ? [f.range![0]]
                : [f.range![1], f.range![0]];
      const place = SHOWN[f.id] ?? '/match?zone=';
      pages.sort((a, b) => Number(b.includes(place)) - Number(a.includes(place)));
      let acted = false;
      for (const value of others) {
        await sql`update preferences set ${sql({ [column]: value, ...(beside[f.id] ?? {}) } as Record<string, string>)}`;
        acted ||= await changes();
        await sql`update preferences set ${sql(Object.fromEntries(Object.entries(now!).filter(([k]) => k !== 'id')))}`;
        if (acted) break;
      }
      if (!acted) idle.push(f.id);
    }
    expect(idle).toEqual([]);
  } finally {
    await sql.end();
  }
});
