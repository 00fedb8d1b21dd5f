import fc from 'fast-check';
import { guessMapping, missingColumns } from './columns';
import { CONE_HEADER, conesFromLines } from './cones-from-lines';
import { readRow } from './read-row';

const LIST = `Poly 40 white 5000 m
Harbour cotton 50/3 cream 1200 yd

clear nylon 0.004 in
60
Bright poly tex 900000 red`;

test('a list of labels becomes rows, line by line; what cannot be read is told and the rest stands', () => {
  const told = conesFromLines(LIST);
  expect(told).toHaveLength(5);
  expect(told.map((t) => t.row !== null)).toEqual([true, true, true, true, false]);
  expect(told[0]!.row).toEqual([
    'Polyester filament 40',
    'White',
    '#fbfaf6',
    'polyester-filament',
    '40',
    '',
    '5000',
  ]);
  expect(told[1]!.row![0]).toBe('Harbour cotton');
  expect(told[1]!.words).toMatch(/tex 35\.4, Cream, 1097\.3 m$/);
  expect(told[3]!.words).toMatch(/fibre taken for granted/);
  expect(told[4]!.words).toMatch(/threads lie between/);
});
test('every row is one the import takes', () => {
  const mapping = guessMapping('cones', [...CONE_HEADER]);
  expect(missingColumns('cones', mapping)).toEqual([]);
  for (const { row } of conesFromLines(LIST))
    if (row)
      expect(readRow('cones', mapping, row, '.').problems.filter((p) => p.severity === 'error')).toEqual([]);
});
test('whatever is pasted, nothing throws and no line is lost', () => {
  fc.assert(
    fc.property(fc.array(fc.string({ maxLength: 40 }), { maxLength: 12 }), (lines) => {
      const text = lines.map((l) => l.replace(/[\r\n]/g, ' ')).join('\n');
      const wanted = text.split(/\r?\n/u).filter((l) => l.trim()).length;
      expect(conesFromLines(text)).toHaveLength(wanted);
    }),
    { numRuns: 300 },
  );
});
