import type { AskedByBrowser } from './queries';
import type { AnswerOf, CommandName } from './registry';
import { look, run } from './server';

type Doors = { readonly [N in CommandName]: (input: unknown) => AnswerOf<N> };

/** Doors made as they are used, one a name, the same each time; the name is all that travels with what is sent. */
const made = <T extends object>(door: (name: string) => unknown): T =>
  new Proxy({} as Record<string, unknown>, {
    get: (known, name) => (typeof name === 'string' ? (known[name] ??= door(name)) : undefined),
  }) as T;

/** What a person does, for components: `doors.keepZone(form)`. */
export const doors = made<Doors>((name) => (input: unknown) => run(name, input));

/** What a component asks while it is used: `looks.coneUses(id)`. */
export const looks = made<AskedByBrowser>(
  (name) =>
    (...args: unknown[]) =>
      look(name, ...args),
);
