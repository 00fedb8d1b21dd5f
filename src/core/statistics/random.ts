/** A seeded generator (linear congruential, Numerical Recipes' constants): uniform, and normal by Box and Muller. */
export function seeded(seed: number) {
  let state = seed >>> 0;
  const uniform = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
  return {
    uniform,
    normal: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
    pick: <T>(items: readonly T[]): T => items[Math.floor(uniform() * items.length)]!,
  };
}
export type Random = ReturnType<typeof seeded>;
