import { AsyncLocalStorage } from 'node:async_hooks';

/**
 * Whether a request has reached an act of this program, known to the door in front of it: it tells a form that nobody could
 * take apart from an act that failed. One for the process, for door and app are compiled apart.
 */
const holder = globalThis as { tidySpoolReached?: AsyncLocalStorage<{ act: boolean }> };
export const reached = (holder.tidySpoolReached ??= new AsyncLocalStorage<{ act: boolean }>());
