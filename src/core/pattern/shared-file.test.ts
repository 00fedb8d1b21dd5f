import fc from 'fast-check';
import { readSharedPattern, sharedPatternFile } from './shared-file';

test('what is given away is read again as it was', () => {
  fc.assert(
    fc.property(
      fc.string({ maxLength: 120 }),
      fc.string({ maxLength: 300 }),
      fc.double({ min: 0.25, max: 200, noNaN: true }),
      (name, words, widthIn) => {
        const p = { name, words, widthIn, svg: '<svg viewBox="0 0 1 1"><path d="M0 0H1"/></svg>' };
        expect(readSharedPattern(sharedPatternFile(p))).toEqual(p);
      },
    ),
  );
});
test.each([
  ['no JSON', 'M0 0', null],
  ['another file', '{"format":"workroom"}', null],
  ['nothing', 'null', null],
  ['a newer one', '{"format":"tidy-spool-pattern","version":2}', 'newer'],
  ['one without a drawing', '{"format":"tidy-spool-pattern","version":1,"svg":7}', 'no drawing'],
])('%s is told as what it is', (_, text, said) => {
  const read = readSharedPattern(text);
  if (said === null) expect(read).toBeNull();
  else expect(read).toContain(said);
});
test('what is missing of it takes its usual', () => {
  const read = readSharedPattern('{"format":"tidy-spool-pattern","version":1,"svg":"<svg/>","widthIn":-3}');
  expect(read).toMatchObject({ name: '', words: '', widthIn: 8 });
});
