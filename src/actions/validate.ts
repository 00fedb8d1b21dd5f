import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import { validate, type ValidationError } from 'class-validator';
import type { Problem, Result } from './result';

const flatten = (errors: ValidationError[], parent = ''): Problem[] =>
  errors.flatMap((e) => {
    const path = parent ? `${parent}.${e.property}` : e.property;
    const own = Object.entries(e.constraints ?? {}).map(([key, message]) => ({
      path,
      message: key === 'whitelistValidation' ? `“${e.property}” is not a field of this form.` : message,
    }));
    // Decorators run from the bottom up: the last to complain is the first one written, the most basic.
    return [...own.slice(-1), ...flatten(e.children ?? [], path)];
  });

/** Checks what came in against a class of rules; unknown fields are refused. */
export async function check<T extends object>(rules: new () => T, input: unknown): Promise<Result<T>> {
  if (input === null || typeof input !== 'object' || Array.isArray(input))
    return { ok: false, problems: [{ path: '', message: 'Nothing that can be read was sent. Try again.' }] };
  const value = plainToInstance(rules, input);
  const errors = await validate(value, {
    whitelist: true,
    forbidNonWhitelisted: true,
  });
  return errors.length === 0 ? { ok: true, value } : { ok: false, problems: flatten(errors) };
}
