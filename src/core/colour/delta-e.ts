import { differenceCiede2000, modeLab65, modeRgb, useMode as withMode } from 'culori/fn';
import { CoreError } from '../notes';

withMode(modeRgb);
const toLab = withMode(modeLab65);
const ciede2000 = differenceCiede2000();

/** CIELAB under D65. */
export interface Lab {
  l: number;
  a: number;
  b: number;
}

const MOST_REMEMBERED = 20_000;
const remembered = new Map<string, Lab>();

/**
 * CIELAB (D65) of a colour written #rrggbb.
 * @throws CoreError `bad-colour` when it is not six hexadecimal digits behind a #.
 */
export function labOf(hex: string): Lab {
  const known = remembered.get(hex);
  if (known) return known;
  if (!/^#[0-9a-f]{6}$/i.test(hex))
    throw new CoreError('bad-colour', `“${hex}” is not a colour. Write it as #a1b2c3.`, 'hex');
  const { l, a, b } = toLab(hex)!;
  if (remembered.size >= MOST_REMEMBERED) remembered.clear();
  // With its mode the library takes it as it is, without a copy.
  const lab = { mode: 'lab65' as const, l, a, b };
  remembered.set(hex, lab);
  return lab;
}

/** Colour difference CIEDE2000 (Sharma, Wu, Dalal 2005) of two CIELAB colours; about 1 is just seen. */
export const deltaE = (x: Lab, y: Lab): number => ciede2000(asLab65(x), asLab65(y));

const asLab65 = (x: Lab) => ('mode' in x ? (x as Lab & { mode: 'lab65' }) : { mode: 'lab65' as const, ...x });

/** CIEDE2000 of two colours written #rrggbb. */
export function deltaEHex(x: string, y: string): number {
  // Several criteria ask for the same two colours one after the other.
  if (x !== last.x || y !== last.y) last = { x, y, deltaE: deltaE(labOf(x), labOf(y)) };
  return last.deltaE;
}
let last = { x: '', y: '', deltaE: 0 };

/** The weight of lightness in CIEDE2000 never exceeds 1 + 0.015·50²/√(20 + 50²). */
const MOST_S_L = 1.75;

/** What the difference of two colours is at least, from their lightness alone: the other terms are never negative. */
export const leastDeltaE = (x: Lab, y: Lab): number => Math.abs(x.l - y.l) / MOST_S_L;
