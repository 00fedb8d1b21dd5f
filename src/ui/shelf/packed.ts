import type { Cone } from '@/data/types';
import { pack, unpack } from '@/ui/kit/pack';

/**
 * Cones as one text that names each field once, and says once what all have alike: thousands of them cross to the
 * browser much faster than as objects.
 */
export function packCones(cones: readonly Cone[]): string {
  const all = Object.keys(cones[0] ?? {}) as (keyof Cone)[];
  const alike = all.filter((f) => cones.every((c) => c[f] === cones[0]![f]));
  const fields = all.filter((f) => !alike.includes(f));
  const same = Object.fromEntries(alike.map((f) => [f, cones[0]![f]]));
  return pack([cones.length, same, fields, ...cones.map((c) => fields.map((f) => c[f]))]);
}

/** The cones again; dates come as ISO text. */
export function unpackCones(text: string): Cone[] {
  const [count, same, fields, ...rows] = unpack<[number, object, string[], ...unknown[][]]>(text);
  // Cones made from one pattern keep one shape, which is what makes sorting thousands of them quick.
  const pattern = { ...Object.fromEntries(fields.map((f) => [f, null])), ...same } as Record<string, unknown>;
  return Array.from({ length: count }, (_, k) => {
    const cone = { ...pattern };
    for (let i = 0; i < fields.length; i++) cone[fields[i]!] = rows[k]![i];
    return cone as unknown as Cone;
  });
}
