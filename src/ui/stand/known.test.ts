import { type KnownEntry, laidOver } from './known';

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
