import { deltaE, labOf } from './delta-e';

/** How busy a cloth looks. */
export type Busyness = 0 | 1 | 2 | 3;

/** Mean difference between two places of a cloth up to which it is solid, tone on tone, a print, ΔE (judgement). */
const UP_TO = [2.5, 7, 20] as const;

/**
 * How busy a cloth is by the spread of its colours: the difference (CIEDE2000) to be expected between two places of
 * it. A proposal, for the person to take or not.
 * @param colours its colours with their shares, as `palette` finds them; shares need not add up to 1.
 * @example busynessOf([{ hex: '#1f6f70', share: 1 }]) // 0
 */
export function busynessOf(colours: readonly { hex: string; share: number }[]): Busyness {
  const sum = colours.reduce((s, c) => s + c.share, 0) || 1;
  const seen = colours.map((c) => ({ lab: labOf(c.hex), share: c.share / sum }));
  let spread = 0;
  for (const a of seen) for (const b of seen) if (a !== b) spread += a.share * b.share * deltaE(a.lab, b.lab);
  const at = UP_TO.findIndex((limit) => spread <= limit);
  return (at < 0 ? 3 : at) as Busyness;
}
