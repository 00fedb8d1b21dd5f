import { DRILLS } from '@/core/practice/drills';
import { readMachines } from '@/data/machines';
import { readFirstAndLatest, readPractice, readSent } from '@/data/practice';
import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { QUILTER, thisContext } from './context';
import { find } from './find';
import { keepPractice, takeBackPractice } from './practice';
import { takeIn } from './link';
import { key, paths, value } from './testing/answers';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('practice');
});
afterAll(() => base.end());

const path = (inPerS = 2) => {
  const [a, b] = DRILLS.get('line').line;
  return Array.from({ length: 100 }, (_, i) => ({
    tMs: (10 * i * 6.8) / inPerS,
    xIn: a![0] + ((b![0] - a![0]) * i) / 99,
    yIn: a![1],
  }));
};
const form = async (part: object = {}) => ({
  key: key(),
  drill: 'line',
  machineId: (await readMachines(base.sql))[0]!.id,
  mode: 'idling',
  spi: 10,
  path: path(),
  ...part,
});

test('a drill is judged again on the server and kept; sent twice it is kept once', async () => {
  const sent = await form();
  const one = value(await keepPractice(thisContext(), sent));
  expect(value(await keepPractice(thisContext(), sent))).toEqual(one);
  const runs = await readPractice(base.sql, QUILTER.id);
  expect(runs).toHaveLength(1);
  expect(runs[0]!.judged.donePct).toBe(100);
  expect(await readFirstAndLatest(base.sql, QUILTER.id, 'line')).toBeNull();
});

test('first and latest are compared; a run taken back counts no more, and counts again', async () => {
  const { id } = value(await keepPractice(thisContext(), await form({ path: path(3) })));
  expect((await readFirstAndLatest(base.sql, QUILTER.id, 'line'))!.latest.id).toBe(id);
  value(await takeBackPractice(thisContext(), { key: key(), id, back: true }));
  expect(await readFirstAndLatest(base.sql, QUILTER.id, 'line')).toBeNull();
  value(await takeBackPractice(thisContext(), { key: key(), id, back: false }));
  expect(await readPractice(base.sql, QUILTER.id)).toHaveLength(2);
});

test.each([
  ['a drill nobody knows', { drill: 'juggling' }, 'drill'],
  ['a stranger’s machine', { machineId: '0192f0c0-0000-7000-8000-000000000000' }, 'machineId'],
  ['no line', { path: [] }, 'path'],
  ['times that fall', { path: path().reverse() }, 'path'],
])('%s is refused at its field', async (_, part, at) => {
  const said = paths(await keepPractice(thisContext(), await form(part)));
  expect(said[0]!.split('.')[0]).toBe(at);
});

test('a drill is found by its name, and all of them by the word', async () => {
  const drills = (letters: string) =>
    find(base.sql, letters, 20).then((list) => list.filter((f) => f.kind === 'drill').map((f) => f.id));
  expect(await drills('swirl')).toContain('swirls');
  expect(await drills('drill')).toEqual(DRILLS.ids);
});

describe('a drill sent by the machine', () => {
  const run = '0192f0c0-0000-7000-8000-00000000abcd';
  const sent = (from: number, to: number, head: object = {}) =>
    [
      JSON.stringify({ run, drill: true, machine: 'long arm', ...head }),
      ...Array.from({ length: to - from }, (_, i) =>
        JSON.stringify({ t: 50 * (from + i), x: 0.1 * (from + i), y: 2, v: 2, rate: 1200, n: from + i }),
      ),
    ].join('\n');
  test('in pieces, one of them twice, it is one drill; no quilt hears of it', async () => {
    value(await takeIn(thisContext(), sent(0, 40)));
    value(await takeIn(thisContext(), sent(0, 40)));
    const { stitches, lengthIn } = value(await takeIn(thisContext(), sent(40, 60)));
    expect([stitches, Number(lengthIn.toFixed(2))]).toEqual([59, 5.9]);
    const all = await readSent(base.sql);
    expect(all.map((s) => [s.machine, s.frames.length])).toEqual([['long arm', 60]]);
    expect(await base.sql`select 1 from link_run where id = ${run}`).toHaveLength(0);
  });
  test('without a run it is refused; lines that are none are counted', async () => {
    expect(paths(await takeIn(thisContext(), sent(0, 1, { run: 'x' })))).toEqual(['']);
    const other = '0192f0c0-0000-7000-8000-00000000abce';
    const { strange } = value(await takeIn(thisContext(), `${sent(0, 12, { run: other })}\nnonsense`));
    expect(strange).toBe(1);
  });
  test('what is older than a day is gone when the next comes', async () => {
    await base.sql`update practice_sent set began_at = now() - interval '25 hours'`;
    value(await takeIn(thisContext(), sent(0, 20, { run: '0192f0c0-0000-7000-8000-00000000abcf' })));
    expect(await base.sql`select 1 from practice_sent`).toHaveLength(1);
  });
});
