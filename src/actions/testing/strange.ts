export const A_KEY = '00000000-0000-7000-8000-0000000000aa';
/** Values no form of this program sends. */
export const STRANGE: readonly unknown[] = [
  null,
  7,
  'text',
  [],
  [[]],
  {},
  { key: A_KEY },
  { key: 'x'.repeat(5000) },
  { key: A_KEY, id: A_KEY, quiltId: A_KEY, zoneId: A_KEY, version: 0 },
  { key: A_KEY, constructor: { name: 'x' } },
  { key: A_KEY, ['__proto__']: { admin: true } },
  { key: A_KEY, name: 'a\u0000b', note: '\ud800', line: '\ud800' },
  { key: { a: 1 }, quiltId: [A_KEY], zones: { length: 3 }, rows: 'rows' },
  { key: A_KEY, quiltId: A_KEY, version: 1e308, zones: [{ id: 1, geometry: [[[[0, Infinity]]]] }] },
  { key: A_KEY, id: A_KEY, away: 'yes', what: 'constructor', ids: [null, A_KEY, 3], count: -1 },
  { key: A_KEY, data: JSON.parse('{"a":'.repeat(60) + '1' + '}'.repeat(60)) as unknown },
];
