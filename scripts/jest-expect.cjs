/**
 * A rule tried on thousands of made-up cases asks `expect` hundreds of thousands of times, and each time Jest makes an
 * error beforehand, in case. What plainly holds passes here at once; all else, and every failure, is Jest's own.
 */
const asked = globalThis.expect;
const numbers = (holds) => (is, than) =>
  typeof is === 'number' && typeof than === 'number' && holds(is, than);
const isPlain = (value) => value === null || (typeof value !== 'object' && typeof value !== 'function');

// How Jest itself compares, as it lends it to matchers of one's own.
let own;
asked.extend({
  lendHowToCompare() {
    own = { equals: this.equals, ...this.utils };
    return { pass: true, message: () => '' };
  },
});
asked(0).lendHowToCompare();
const equals = (is, as) => Object.is(is, as) || (!isPlain(is) && own.equals(is, as, [own.iterableEquality]));

const HOLDS = {
  toBe: Object.is,
  toEqual: equals,
  toMatchObject: (is, as) =>
    !isPlain(is) && !isPlain(as) && own.equals(is, as, [own.iterableEquality, own.subsetEquality]),
  toBeLessThan: numbers((is, than) => is < than),
  toBeLessThanOrEqual: numbers((is, than) => is <= than),
  toBeGreaterThan: numbers((is, than) => is > than),
  toBeGreaterThanOrEqual: numbers((is, than) => is >= than),
  toBeCloseTo: (is, to, digits = 2) =>
    typeof is === 'number' && typeof to === 'number' && Math.abs(to - is) < 10 ** -digits / 2,
  toBeNull: (is) => is === null,
  toBeDefined: (is) => is !== undefined,
  toBeUndefined: (is) => is === undefined,
  toContain: (all, one) =>
    (Array.isArray(all) || (typeof all === 'string' && typeof one === 'string')) && all.includes(one),
  toHaveLength: (is, length) => (Array.isArray(is) || typeof is === 'string') && is.length === length,
  toMatch: (is, like) =>
    typeof is === 'string' && (typeof like === 'string' ? is.includes(like) : new RegExp(like).test(is)),
};
const HOLDS_NOT = {
  toBe: (is, as) => !Object.is(is, as),
  toBeNull: (is) => is !== null,
  toContain: (all, one) =>
    (Array.isArray(all) || (typeof all === 'string' && typeof one === 'string')) && !all.includes(one),
};

/** What `ask` gives, with the words of `holds` answered here where they plainly hold. */
function quick(holds, ask) {
  class Asked {
    constructor(is) {
      this.is = is;
    }
  }
  for (const [name, plainly] of Object.entries(holds))
    Asked.prototype[name] = function word(...than) {
      if (plainly(this.is, ...than)) return;
      try {
        ask(this.is)[name](...than);
      } catch (failure) {
        // It is shown where it was asked, not here.
        Error.captureStackTrace(failure, word);
        throw failure;
      }
    };
  // Every other word is Jest's: resolves, rejects, and what is added to it later.
  Object.setPrototypeOf(Asked.prototype, new Proxy({}, { get: (_, name, { is }) => ask(is)[name] }));
  return Asked;
}
const Not = quick(HOLDS_NOT, (is) => asked(is).not);
const Asked = quick(HOLDS, asked);
Object.defineProperty(Asked.prototype, 'not', {
  get() {
    return new Not(this.is);
  },
});

globalThis.expect = new Proxy(asked, { apply: (_, __, [is]) => new Asked(is) });
