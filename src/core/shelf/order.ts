import { deltaEHex, labOf } from '../colour/delta-e';
import { diameterMm, type Thread } from '../thread/thread';

/** Below this chroma a colour has no hue worth ordering by. */
const NEUTRAL = 9;

/**
 * Colour order in CIELAB: neutrals from dark to light, then round the hue circle from red, each hue from
 * dark to light; clear and unknown colours last. Returns the sign of a comparison.
 */
export function compareColour(a: string | null, b: string | null): number {
  if (a === null || b === null) return Number(a === null) - Number(b === null);
  const [x, y] = [place(a), place(b)];
  return x.sector - y.sector || x.l - y.l;
}

/** Hues are taken in sectors, so that light and dark of one hue stand side by side. */
const SECTORS = 24;
const places = new Map<string, { sector: number; l: number }>();
const MOST_REMEMBERED = 20_000;

/** Where a colour stands in the order; remembered, since a sort asks for each many times. */
function place(hex: string): { sector: number; l: number } {
  const known = places.get(hex);
  if (known) return known;
  if (places.size >= MOST_REMEMBERED) places.clear();
  const found = workOut(hex);
  places.set(hex, found);
  return found;
}

function workOut(hex: string): { sector: number; l: number } {
  const { l, a, b } = labOf(hex);
  if (Math.hypot(a, b) < NEUTRAL) return { sector: -1, l };
  const hue = (Math.atan2(b, a) / (2 * Math.PI) + 1) % 1;
  return { sector: Math.floor(hue * SECTORS), l };
}

/** Orders threads from thin to thick by their diameter (mm); for Array.sort. */
export const compareThickness = (a: Thread, b: Thread): number => diameterMm(a) - diameterMm(b);

/** Whether a colour lies within a CIEDE2000 distance of a picked one; an unknown colour never does. */
export const nearColour = (hex: string | null, picked: string, within: number): boolean =>
  hex !== null && deltaEHex(hex, picked) <= within;
