import { LRUCache } from 'lru-cache';

/** The last so many values asked for, by key; of one process, worked out again where they are missing. */
export function keepLast<T>(most: number) {
  const kept = new LRUCache<string, { value: T }>({ max: most });
  return {
    get: (key: string): T | undefined => kept.get(key)?.value,
    put(key: string, value: T): T {
      kept.set(key, { value });
      return value;
    },
  };
}
