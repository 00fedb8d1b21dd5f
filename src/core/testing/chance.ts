/** A generator of our own, so that a simulation is the same each time (Park and Miller 1988). */
export function chance(seed: number) {
  let s = seed % 2147483647;
  const uniform = () => (s = (s * 48271) % 2147483647) / 2147483647;
  const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
  return { uniform, normal, pick: <T>(list: readonly T[]): T => list[Math.floor(uniform() * list.length)]! };
}
