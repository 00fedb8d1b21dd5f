import { COLUMNS, guessMapping, missingColumns } from './columns';
import { decodeText } from './decode';
import { readLengthMm, readNumber } from './read-number';
import { readRow, rowKey } from './read-row';

describe('numbers', () => {
  test.each([
    ['12,5', ',', 12.5],
    ['12.5', ',', 12.5],
    ['1.234,5', ',', 1234.5],
    ['1,234.5', '.', 1234.5],
    ['1 234', '.', 1234],
    ['-3', '.', -3],
    ['1.234', ',', 1234],
    ['1,234', '.', 1234],
  ] as const)('%s with %s is %d', (text, decimal, want) => expect(readNumber(text, decimal)).toBe(want));
  test.each(['', 'abc', '1.2.3', '12a', '1e5', '--4', 'Infinity'])('“%s” is no number', (text) =>
    expect(readNumber(text, '.')).toBeNull(),
  );
  test.each([
    ['6 in', 152.4],
    ['15 cm', 150],
    ['4"', 101.6],
    ['6', 152.4],
  ])('%s is %d mm', (text, mm) => expect(readLengthMm(text, '.', 'in')).toBeCloseTo(mm, 6));
});

describe('columns', () => {
  test('our own header is known to the letter', () => {
    for (const kind of ['cones', 'battings', 'fabrics', 'needles'] as const)
      expect(
        guessMapping(
          kind,
          COLUMNS[kind].map((c) => c.label),
        ),
      ).toEqual(COLUMNS[kind].map((c) => c.id));
  });
  test('another’s words are guessed, each column once, and what is missing is named', () => {
    const header = ['Product', 'Color', 'Fiber', 'Weight', 'Length (m)', 'Length (m)', 'zzz'];
    expect(guessMapping('cones', header)).toEqual(['line', 'colour', 'fibre', 'label', 'fullM', null, null]);
    expect(missingColumns('cones', ['line', 'colour']).map((c) => c.id)).toEqual(['fibre']);
  });
});

describe('a row of threads', () => {
  const mapping = [
    'line',
    'colour',
    'hex',
    'fibre',
    'label',
    'remainingM',
    'needleMinNm',
    'needleMaxNm',
    'tex',
  ];
  const read = (...cells: string[]) => readRow('cones', mapping, cells, '.');
  test('is read with its size from the label', () => {
    const { value, problems } = read('Heron', 'Slate', '3E5A70', 'trilobal', 'Tex 27', '1,200', '90', '110');
    expect(problems).toEqual([]);
    expect(value).toMatchObject({
      hex: '#3e5a70',
      fibre: 'polyester-filament',
      tex: 27,
      remainingM: 1200,
      needleMaxNm: 110,
    });
  });
  test('unknown colour and loose sizes are flagged, never guessed', () => {
    const { value, problems } = read('Heron', 'Slate', '', 'cotton', '40 wt');
    expect(value?.hex).toBeNull();
    expect(problems.map((p) => [p.column, p.severity])).toEqual([
      ['hex', 'flag'],
      ['label', 'flag'],
    ]);
  });
  test.each([
    ['no line', ['', 'Slate', '#000000', 'cotton', 'Tex 30'], 'line'],
    ['a colour name for a hex', ['A', 'B', 'red', 'cotton', 'Tex 30'], 'hex'],
    ['polyester alone', ['A', 'B', '#000000', 'polyester', 'Tex 30'], 'fibre'],
    ['a label of no size', ['A', 'B', '#000000', 'cotton', 'thick'], 'label'],
    ['a monofilament like a rope', ['A', 'B', '#000000', 'nylon-mono', 'Tex 400'], 'label'],
    ['negative metres', ['A', 'B', '#000000', 'cotton', 'Tex 30', '-5'], 'remainingM'],
    ['a range backwards', ['A', 'B', '#000000', 'cotton', 'Tex 30', '', '110', '90'], 'needleMaxNm'],
    ['half a range', ['A', 'B', '#000000', 'cotton', 'Tex 30', '', '110', ''], 'needleMaxNm'],
    ['no size at all', ['A', 'B', '#000000', 'cotton', ''], 'label'],
    ['binary rubbish', ['A\u0001', 'B', '#000000', 'cotton', 'Tex 30'], 'line'],
  ])('%s is an error at its column', (_, cells, column) => {
    const { value, problems } = read(...cells);
    expect(value).toBeNull();
    expect(problems.filter((p) => p.severity === 'error').map((p) => p.column)).toContain(column);
  });
});

test('battings read their gap in either unit, needles only sizes that exist', () => {
  const batting = readRow(
    'battings',
    ['name', 'kind', 'maxGapIn', 'loftMm'],
    ['Drum', 'wool', '10 cm', '8'],
    '.',
  );
  expect(batting.value).toMatchObject({ kind: 'wool', loftMm: 8 });
  expect(batting.value!.maxGapIn).toBeCloseTo(3.937, 3);
  const needle = (nm: string) => readRow('needles', ['nm', 'stock', 'coated'], [nm, '4', 'yes'], '.');
  expect(needle('100/16').value).toMatchObject({ nm: 100, stock: 4, coated: true, eye: 'standard' });
  expect(needle('97').value).toBeNull();
});

test('rows that mean the same thing have the same key', () => {
  const row = { nm: 90, eye: 'standard', point: 'sharp', coated: false, stock: 1 } as const;
  expect(rowKey('needles', row)).toBe(rowKey('needles', { ...row, stock: 9 }));
});

test('encodings: UTF-8 with and without its mark, UTF-16, Latin-1; bytes that are no text are refused', () => {
  const bytes = (...b: number[]) => decodeText(Uint8Array.from(b), TextDecoder);
  expect(bytes(0xef, 0xbb, 0xbf, 0x41)).toEqual({ text: 'A', encoding: 'UTF-8' });
  expect(bytes(0xc3, 0xa9)).toEqual({ text: 'é', encoding: 'UTF-8' });
  expect(bytes(0xe9)).toEqual({ text: 'é', encoding: 'Latin-1' });
  expect(bytes(0xff, 0xfe, 0x41, 0x00)).toEqual({ text: 'A', encoding: 'UTF-16' });
  expect(bytes(0x50, 0x00, 0x03)).toBeNull();
});
