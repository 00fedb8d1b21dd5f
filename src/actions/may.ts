import { type Role, ROLES } from '@/core/fields/lists';
export type { Role };

/** Whoever does it. */
export interface Actor {
  id: string;
  name: string;
  role: Role;
}

/** Everybody of the studio. */
export const ANYONE: readonly Role[] = ROLES;
/** Whoever works on quilts. */
export const HANDS: readonly Role[] = ['owner', 'hand'];
/** What concerns money, machines, people and the studio as a whole. */
export const OWNER: readonly Role[] = ['owner'];

/** Whether this person may do, or read, what is for these. */
export const allowed = (actor: Pick<Actor, 'role'>, may: readonly Role[]): boolean =>
  may.includes(actor.role);

/** The same context, for what is no command and no query; refused by a throw. */
export function permitted<C extends { actor: Pick<Actor, 'role'> }>(context: C, may: readonly Role[]): C {
  if (!allowed(context.actor, may)) throw new Error(NOT_YOURS);
  return context;
}

export const NOT_YOURS = 'This is not yours to do. Ask whoever keeps this studio.';
