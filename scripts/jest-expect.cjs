/**
 * A rule tried on thousands of made-up cases asks `expect` hundreds of thousands of times, and each time Jest makes an
 * error beforehand, in case. What plainly holds passes here at once; all else, and every failure, is Jest's own.
 */
const asked = globalThis.expect;
const numbers = (holds) => (is, than) =>
  typeof is === 'number' && typeof than === 'number' && holds(is, than);
const isPlain = (value) => value === null || (typeof value !== 'object' && typeof value !== 'function');

const HOLDS = {
  toBe: Object.is,
  toEqual: (is, as) => isPlain(as) && Object.is(is, as),
  toBeLessThan: numbers((is, than) => is < than),
  toBeLessThanOrEqual: numbers((is, than) => is <= than),
  toBeGreaterThan: numbers((is, than) => is > than),
  toBeGreaterThanOrEqual: numbers((is, than) => is >= than),
  toBeNull: (is) => is === null,
  toBeDefined: (is) => is !== undefined,
  toBeUndefined: (is) => is === undefined,
  toContain: (all, one) => Array.isArray(all) && all.includes(one),
};

class Asked {
  constructor(is) {
    this.is = is;
  }
}
for (const [name, holds] of Object.entries(HOLDS))
  Asked.prototype[name] = function word(...than) {
    if (holds(this.is, ...than)) return;
    try {
      asked(this.is)[name](...than);
    } catch (failure) {
      // It is shown where it was asked, not here.
      Error.captureStackTrace(failure, word);
      throw failure;
    }
  };
// Every other word is Jest's: not, resolves, and what is added to it later.
Object.setPrototypeOf(Asked.prototype, new Proxy({}, { get: (_, name, { is }) => asked(is)[name] }));

globalThis.expect = new Proxy(asked, { apply: (_, __, [is]) => new Asked(is) });
