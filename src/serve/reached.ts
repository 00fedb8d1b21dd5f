import { AsyncLocalStorage } from 'node:async_hooks';
import type { Role } from '@/core/fields/lists';

/** What the door knows of a request, and what the request came to. */
export interface Reached {
  /** Whether it has reached an act of this program: a form nobody could take apart is told from an act that failed. */
  act: boolean;
  /** Who was let in; left out where no door stands in front. */
  actor?: { id: string; name: string; role: Role };
  /** The device that was paired, where one asks. */
  deviceId?: string | null;
}

/** One for the process, for door and app are compiled apart. */
const holder = globalThis as { tidySpoolReached?: AsyncLocalStorage<Reached> };
export const reached = (holder.tidySpoolReached ??= new AsyncLocalStorage<Reached>());
