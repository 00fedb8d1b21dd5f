import type { Problem } from './result';

const MOST_DEEP = 12;
const MOST_PARTS = 400_000;
const FORBIDDEN = new Set(['__proto__', 'constructor', 'prototype']);
/** Letters no text of a studio has: control characters but tab and line breaks, and halves of letter pairs. */
const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/;
const UNREADABLE = 'What was sent could not be read. Nothing was stored; reload the page and send it again.';

/** What of an input no form of this program can have sent, told at its field; nothing when it can be read. */
export function unreadable(input: unknown): Problem | null {
  let parts = 0;
  const look = (value: unknown, path: string, depth: number): Problem | null => {
    if (++parts > MOST_PARTS || depth > MOST_DEEP) return { path: '', message: UNREADABLE };
    if (typeof value === 'string')
      return CONTROL.test(value) || !isWellFormed(value)
        ? {
            path,
            message:
              'This holds a letter that cannot be kept (a control character, or half of one). Take it out.',
          }
        : null;
    if (value === null || ['undefined', 'boolean', 'number'].includes(typeof value)) return null;
    if (Array.isArray(value)) {
      for (let i = 0; i < value.length; i++) {
        if (!(i in value)) return { path, message: UNREADABLE };
        const problem = look(value[i], `${path}${path && '.'}${i}`, depth + 1);
        if (problem) return problem;
      }
      return null;
    }
    const kind: unknown = typeof value === 'object' ? Object.getPrototypeOf(value) : undefined;
    if (kind !== Object.prototype && kind !== null) return { path, message: UNREADABLE };
    for (const [key, part] of Object.entries(value as object)) {
      if (FORBIDDEN.has(key) || CONTROL.test(key) || !isWellFormed(key)) return { path, message: UNREADABLE };
      const problem = look(part, `${path}${path && '.'}${key}`, depth + 1);
      if (problem) return problem;
    }
    return null;
  };
  return look(input, '', 0);
}

const isWellFormed = (text: string) => !/\p{Surrogate}/u.test(text);
