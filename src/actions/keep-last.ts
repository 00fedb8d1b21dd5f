/** The last so many values by key, the oldest let go; of one process, worked out again where they are missing. */
export function keepLast<T>(most: number) {
  const kept = new Map<string, T>();
  return {
    get: (key: string): T | undefined => kept.get(key),
    put(key: string, value: T): T {
      if (kept.size >= most) kept.delete(kept.keys().next().value!);
      kept.set(key, value);
      return value;
    },
  };
}
