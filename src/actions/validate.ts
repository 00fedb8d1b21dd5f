import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import { validate, type ValidationError } from 'class-validator';
import { unreadable } from './readable';
import type { Problem, Result } from './result';

/** What the library says in its own words, said in ours. */
const IN_WORDS: Record<string, (property: string) => string> = {
  whitelistValidation: (property) => `“${property}” is not a field of this form.`,
  nestedValidation: () => 'This part of the form could not be read. Reload the page; nothing was stored.',
};

const flatten = (errors: ValidationError[], parent = ''): Problem[] =>
  errors.flatMap((e) => {
    const path = parent ? `${parent}.${e.property}` : e.property;
    const own = Object.entries(e.constraints ?? {}).map(([key, message]) => ({
      path,
      message: IN_WORDS[key]?.(e.property) ?? message,
    }));
    // Decorators run from the bottom up: the last to complain is the first one written, the most basic.
    return [...own.slice(-1), ...flatten(e.children ?? [], path)];
  });

/** Checks what came in against a class of rules; unknown fields are refused. */
export async function check<T extends object>(rules: new () => T, input: unknown): Promise<Result<T>> {
  if (input === null || typeof input !== 'object' || Array.isArray(input))
    return { ok: false, problems: [{ path: '', message: 'Nothing that can be read was sent. Try again.' }] };
  const strange = unreadable(input);
  if (strange) return { ok: false, problems: [strange] };
  const value = plainToInstance(rules, input);
  const errors = await validate(value, {
    whitelist: true,
    forbidNonWhitelisted: true,
  });
  return errors.length === 0 ? { ok: true, value } : { ok: false, problems: flatten(errors) };
}
