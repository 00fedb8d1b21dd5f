import { CoreError } from '@/core/notes';
import { KeyReused, once, wholeOrNothing } from '@/data/receipts';
import type { Sql } from '@/data/sql';
import type { Context } from './context';
import { conflict, refuse, type Result } from './result';
import { check } from './validate';

/** What a database constraint means at the form: its name, the field, and the words. */
export type Meanings = Readonly<Record<string, readonly [path: string, message: string]>>;

export const MEANWHILE =
  'This was changed in another window meanwhile. Nothing was overwritten: reload to see it, then change it again.';

/** A form mended after its answer was lost. */
const STORED_FIRST =
  'What you sent first was stored, though its answer was lost. What you changed since is not: reload the page to see what stands, and change it there.';

/**
 * One form, stored once: checked against its rules, run in one transaction under its key, and every refusal
 * (of the core, or of a constraint of the database) turned into words at its field.
 */
export async function save<F extends { key: string }, T>(
  context: Context,
  action: string,
  rules: new () => F,
  input: unknown,
  act: (tx: Sql, form: F) => Promise<Result<T>>,
  meanings: Meanings = {},
): Promise<Result<T>> {
  const checked = await check(rules, input);
  if (!checked.ok) return checked;
  const form = checked.value;
  try {
    return await once<Result<T>>(
      context.sql,
      { key: form.key, action, actorId: context.actor.id, body: JSON.stringify(input) },
      (tx) => act(tx, form),
      (answer) => answer.ok,
    );
  } catch (error) {
    if (error instanceof KeyReused) return conflict(STORED_FIRST);
    return inWords(error, meanings);
  }
}

/**
 * The same for what must never be kept with a form's answer or its words, a token or a passphrase: nothing is remembered
 * under its key, so that a repeat is a new one.
 */
export async function saveUnkept<F extends { key: string }, T>(
  context: Context,
  rules: new () => F,
  input: unknown,
  act: (tx: Sql, form: F) => Promise<Result<T>>,
  meanings: Meanings = {},
): Promise<Result<T>> {
  const checked = await check(rules, input);
  if (!checked.ok) return checked;
  try {
    return await wholeOrNothing<Result<T>>(
      context.sql,
      context.actor.id,
      (tx) => act(tx, checked.value),
      (answer) => answer.ok,
    );
  } catch (error) {
    return inWords(error, meanings);
  }
}

/** What the database refuses for everyone, in words that tell what to do. */
const CODES: Readonly<Record<string, string>> = {
  '23505': 'Another window stored the very same just now. Nothing was stored twice: reload to see it.',
  '23503': 'Something this refers to is no longer here. Reload the page to see what is, and choose again.',
  '40001': 'Two windows changed this at the same moment. Nothing was stored here: send it again.',
  '40P01': 'Two windows changed this at the same moment. Nothing was stored here: send it again.',
  '53100':
    'The disk of the studio’s computer is full. Nothing was stored: make room on it, then send it again.',
  '22021': 'This holds a letter that cannot be kept. Take it out and send it again.',
  '22P05': 'This holds a letter that cannot be kept. Take it out and send it again.',
  '22003': 'A number is too large to be kept.',
};

/** A refusal of the core or the database in words; anything else is a bug and is thrown on. */
export function inWords(error: unknown, meanings: Meanings): Result<never> {
  if (error instanceof CoreError) return refuse(error.message, error.path);
  // Told by its fields: a bundle may carry its own copy of the client, whose class is another.
  const { code, constraint_name: constraint } = (error ?? {}) as { code?: string; constraint_name?: string };
  const meant = constraint ? meanings[constraint] : undefined;
  if (meant) return refuse(meant[1], meant[0]);
  const said = code ? CODES[code] : undefined;
  if (said) return code === '23505' || code === '23503' ? conflict(said) : refuse(said);
  if (code === '23514' || code === '23502')
    return refuse('These values do not fit together. Check the ranges and try again.');
  throw error;
}
