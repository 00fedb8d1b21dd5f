import fc from 'fast-check';
import { CONDITION_KINDS, conditionNames } from '../tables/conditions';
import { signNames, signs as table } from '../tables/symptoms';
import { findByWord, wordKey, wordMatch } from './find-by-word';

test.each([
  ['bird nests', 'birdnest', 3],
  ['Bird-Nest', 'birdnest', 3],
  ['pokie', 'pokies', 3],
  ['missed stiches', 'missed stitch', 1],
  ['beardng', 'bearding', 1],
  ['baerding', 'bearding', 1],
  ['colour', 'color run', 2],
  ['mould', 'mold', 3],
  ['rip', 'drip', 1],
  ['rip', 'rap', 0],
  ['stain', 'strain', 1],
  ['silk', 'wool', 0],
])('“%s” and “%s”: %i', (typed, name, score) => expect(wordMatch(typed, name)).toBe(score));

const signs = (typed: string) => findByWord(typed, table.rows, signNames).map((s) => s.id);
const flaws = (typed: string) => findByWord(typed, CONDITION_KINDS.rows, conditionNames).map((s) => s.id);
test.each([
  ['birdnest', 'nest_start'],
  ['thread nest', 'nest_start'],
  ['tangle', 'nest_start'],
  ['bearding', 'bearding'],
  ['fuzz', 'bearding'],
  ['pokies', 'dots_top'],
  ['eyelashing', 'eyelash'],
  ['railroading', 'railroad_back'],
  ['skips', 'skipped'],
  ['missed stitch', 'skipped'],
  ['missed spot', 'missed_spot'],
  ['unquilted', 'missed_spot'],
  ['stain', 'oil_marks'],
  ['tear', 'tear'],
  ['snip', 'tear'],
  ['tucks', 'pleats_back'],
  ['pleat', 'pleats_back'],
  ['tails', 'thread_ends'],
  ['pocket', 'caught'],
  ['pin', 'left_in'],
  ['puckers', 'pucker_line'],
])('“%s” finds %s', (word, id) => expect(signs(word)[0]).toBe(id));
test.each([
  ['stain', 'stain'],
  ['rust', 'stain'],
  ['moth', 'tear'],
  ['ruffled', 'wavy-border'],
  ['bubble', 'full-block'],
  ['crocking', 'bleeding-dye'],
  ['mold', 'odour'],
  ['split', 'open-seam'],
  ['short backing', 'backing-fault'],
  ['border is wavy', 'wavy-border'],
])('on arrival “%s” finds %s', (word, id) => expect(flaws(word)[0]).toBe(id));

test('any spelling of a word finds it: case, hyphens, spaces and one wrong letter', () => {
  const names = table.rows.flatMap((s) => signNames(s).map((n) => [s.id, n] as const));
  fc.assert(
    fc.property(
      fc.constantFrom(...names.filter(([, n]) => wordKey(n).length >= 5)),
      fc.nat(30),
      fc.constantFrom(...'abcdefghijklmnopqrstuvwxyz'),
      ([id, name], at, letter) => {
        const key = wordKey(name);
        const i = 2 + (at % (key.length - 2));
        const wrong = key.slice(0, i) + letter + key.slice(i + 1);
        expect(signs(name.toUpperCase())).toContain(id);
        expect(signs(wrong)).toContain(id);
      },
    ),
    { numRuns: 600 },
  );
});
test('nothing typed finds everything in its order', () => expect(signs('')).toEqual(table.ids));
