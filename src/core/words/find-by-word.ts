import { distance } from 'fastest-levenshtein';

/** Words spelt in two ways, each brought to one. */
const SPELT: readonly (readonly [RegExp, string])[] = [
  [/colour/gu, 'color'],
  [/fibre/gu, 'fiber'],
  [/grey/gu, 'gray'],
  [/centre/gu, 'center'],
  [/appliqué/gu, 'applique'],
  [/mould/gu, 'mold'],
];
/** Under so many letters a wrong one makes another word. */
const LEAST_FOR_A_SLIP = 5;

/** A word or phrase as it is compared: without case, accents, hyphens, spaces, plural, or a second spelling. */
export const wordKey = (text: string): string =>
  SPELT.reduce((t, [from, to]) => t.replace(from, to), text.toLowerCase())
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .split(/[^\p{L}\p{N}]+/u)
    .map((w) => (w.length > 3 ? w.replace(/(?<=s|x|z|ch|sh)es$|(?<!s)s$/u, '') : w))
    .join('');

/**
 * How well a name answers what was typed: 3 the very word, 2 begins so, 1 holds it or is one letter off, 0 not at all.
 * Case, accents, hyphens, spaces, plurals and second spellings do not count.
 * @example wordMatch('bird nests', 'birdnest') // 3
 */
export const wordMatch = (typed: string, name: string): 0 | 1 | 2 | 3 => match(asTyped(typed), name);

/** What was typed, as a whole and by its longer words, made ready once for all it is held against. */
const asTyped = (typed: string) => ({
  t: wordKey(typed),
  words: typed
    .split(/\s+/u)
    .map(wordKey)
    .filter((w) => w.length > 2),
});

function match({ t, words }: ReturnType<typeof asTyped>, name: string): 0 | 1 | 2 | 3 {
  if (t === '') return 0;
  const n = wordKey(name);
  if (t === n) return 3;
  if (n.startsWith(t)) return 2;
  if (n.includes(t)) return 1;
  // Said in another order: each word stands in it.
  if (words.length > 1 && words.every((w) => n.includes(w))) return 1;
  if (t.length < LEAST_FOR_A_SLIP) return 0;
  // One slip anywhere: against the whole name, its beginning as far as was typed, and each of its words.
  const parts = [n, n.slice(0, t.length), ...name.split(/\s+/u).map(wordKey)];
  return parts.some((p) => p.length >= LEAST_FOR_A_SLIP && slip(t, p)) ? 1 : 0;
}

/** One letter wrong, missing or too many, or two that changed places. */
function slip(a: string, b: string): boolean {
  if (a[0] !== b[0] && a[1] !== b[1]) return false;
  const d = distance(a, b);
  if (d <= 1) return true;
  if (d > 2 || a.length !== b.length) return false;
  const at = [...a].findIndex((c, i) => c !== b[i]);
  return a[at] === b[at + 1] && a[at + 1] === b[at] && a.slice(at + 2) === b.slice(at + 2);
}

/**
 * Things by any of their names, the best answer first; those equally good keep their order. Nothing typed: all of them.
 * @param namesOf what a thing may be called, its own name first.
 */
export function findByWord<T>(
  typed: string,
  things: readonly T[],
  namesOf: (t: T) => readonly string[],
): T[] {
  if (typed.trim() === '') return [...things];
  const sought = asTyped(typed);
  return things
    .map((thing) => ({ thing, score: Math.max(0, ...namesOf(thing).map((n) => match(sought, n))) }))
    .filter((x) => x.score > 0)
    .sort((a, b) => b.score - a.score)
    .map((x) => x.thing);
}
