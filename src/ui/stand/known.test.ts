import 'fake-indexeddb/auto';
import { addKnown, type KnownEntry, laidOver, readKnown, replaceKnown } from './known';

const entry = (id: string, cursor?: number): KnownEntry => ({
  id,
  quiltId: 'q',
  kind: 'back-checked',
  at: '2026-11-26T09:00:00Z',
  ...(cursor === undefined ? {} : { cursor }),
});
const ids = (first: KnownEntry[], cursor: number, others: KnownEntry[]) => [
  ...laidOver(first, cursor, others).keys(),
];

test('a page that is new stands as it came', () => {
  expect(ids([entry('a', 1), entry('b', 2)], 2, [entry('a', 1), entry('b', 2)])).toEqual(['a', 'b']);
});

test('what came after a kept page is laid over it, what was only just sent too', () => {
  expect(ids([entry('a', 1)], 1, [entry('a', 1), entry('b', 2), entry('c')])).toEqual(['a', 'b', 'c']);
});

test('what the studio’s computer no longer has is not brought back', () => {
  // It was put back to an earlier state: the page reaches further than the entry does.
  expect(ids([entry('a', 1), entry('d', 9)], 9, [entry('b', 2)])).toEqual(['a', 'd']);
});

test('an entry the page has is the page’s own, with its cursor', () => {
  expect(laidOver([entry('a', 1)], 1, [entry('a')]).get('a')!.cursor).toBe(1);
});

describe('on the device', () => {
  const of = (quiltId: string, ...names: string[]) => names.map((id) => ({ ...entry(id, 1), quiltId }));
  const there = async (quiltId: string) => (await readKnown(quiltId)).map((e) => e.id).sort();
  test('a log that comes anew takes the place of the old, and of no other quilt’s', async () => {
    await replaceKnown('q', of('q', 'a', 'b'));
    await replaceKnown('r', of('r', 'x'));
    await addKnown(of('q', 'c'));
    expect(await there('q')).toEqual(['a', 'b', 'c']);
    await replaceKnown('q', of('q', 'b', 'd'));
    expect(await there('q')).toEqual(['b', 'd']);
    expect(await there('r')).toEqual(['x']);
  });
  test('the same entry told twice is there once', async () => {
    await replaceKnown('q', []);
    await addKnown(of('q', 'a', 'a'));
    await addKnown(of('q', 'a'));
    expect(await there('q')).toEqual(['a']);
  });
  test('of more than four quilts the one that stood here longest ago makes room', async () => {
    const clock = jest.spyOn(Date, 'now');
    for (const [i, q] of ['s1', 's2', 's3', 's4', 's1', 's5'].entries()) {
      clock.mockReturnValue(2e12 + i * 1000);
      await replaceKnown(q, of(q, `${q}-entry`));
    }
    clock.mockRestore();
    const left = await Promise.all(['s1', 's2', 's3', 's4', 's5'].map(there));
    expect(left.map((l) => l.length)).toEqual([1, 0, 1, 1, 1]);
  });
});
