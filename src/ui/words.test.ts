/** @jest-environment node */
import { sources, spokenIn } from './testing/spoken';

/** Words a quilter would stop at, and the trade's own for them. What a class or an address is called is not read. */
const LEFT_OUT: readonly (readonly [say: string, not: RegExp])[] = [
  ['fabric', /(?<!whole |white |lint-free |fine |bg-|text-|[-/])\bcloths?\b(?!\?)/i],
  ['tested', /\bproven\b/i],
  ['spacing', /\bin apart (?:would|on|do)\b/],
  ['stitches per inch', /\bstitches to the inch\b/i],
  ['keeps sewing when you pause', /\bidling mode\b|\bresting mode\b/i],
  ['machine can follow up to', /\bneedle follows\b/],
  ['pantograph, edge to edge', /\bguided pattern\b/],
  ['variegated', /\bchanges colour\b/],
  ['dye lot', /\bbatch of\b/],
  ['recommended quilting distance', /\bbatting’s rating\b/],
  ['watch for', /^["'>]?\s*Mind\s*["'<]?$/],
  ['intake', /\b(?:this|a|the) talk\b/i],
  ['quilt over it', /^\s*sewn over\s*$/],
  ['best next check', /\btells most\b/],
  ['check something else', /\bI would rather\b/],
  ['checked, not there', /\blooked, not there\b/i],
  ['found it', /\bI know what it is\b/],
  ['client agreed', /\baccepted with a word\b|\blet go by\b/i],
  ['reset', /\bas they were at first\b/i],
  ['lock in these passes', /\bfix these\b/i],
  ['finished passes', /\bpasses through\b/],
  ['load it sideways', /\bnever turn it\b/],
  ['bottom edge', /\bfoot of the quilt\b/],
  ['did not answer', /\blost its key\b/],
];

const spoken = sources().flatMap((path) => spokenIn(path).map((s) => ({ ...s, path })));

test('there is much to read', () => expect(spoken.length).toBeGreaterThan(2000));
test.each(LEFT_OUT)('it says “%s”', (_, not) => {
  const found = spoken.filter((s) => not.test(s.text));
  expect(found.map((s) => `${s.path}:${s.line} ${s.text.trim().slice(0, 80)}`)).toEqual([]);
});
test('no text carries more digits than a hand can set', () => {
  const found = spoken.filter((s) => /\d\.\d{4,}/.test(s.text) && !/["'`]?[MmLlCc]\d|viewBox/.test(s.text));
  expect(found.map((s) => `${s.path}:${s.line} ${s.text.trim().slice(0, 80)}`)).toEqual([]);
});
