import { line, n, polyline } from '@/ui/draw/mark';

/** A tile that repeats over a zone to show its technique, in inches. */
export interface HatchTile {
  w: number;
  h: number;
  d: string;
}

const SAMPLES = 12;
const wave = (w: number, y: number, amplitude: number): string =>
  polyline(
    Array.from(
      { length: SAMPLES + 1 },
      (_, i) => [(i / SAMPLES) * w, y + amplitude * Math.sin((i / SAMPLES) * 2 * Math.PI)] as const,
    ),
  );
const ring = (x: number, y: number, r: number) =>
  `M${n(x - r)} ${n(y)}a${n(r)} ${n(r)} 0 1 0 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 0 ${n(-2 * r)} 0`;
const arc = (x0: number, y0: number, x1: number, y1: number, r: number) =>
  `M${n(x0)} ${n(y0)}A${n(r)} ${n(r)} 0 0 1 ${n(x1)} ${n(y1)}`;

type Draw = (g: number) => HatchTile;

const lines: Draw = (g) => ({ w: g, h: g, d: line(0, g / 2, g, g / 2) });
const slant: Draw = (g) => ({ w: g * 1.414, h: g * 1.414, d: line(0, g * 1.414, g * 1.414, 0) });
const grid: Draw = (g) => ({ w: g, h: g, d: line(0, g / 2, g, g / 2) + line(g / 2, 0, g / 2, g) });
const arcs: Draw = (g) => ({
  w: g * 2,
  h: g,
  d: arc(0, g, g * 2, g, g * 1.12) + arc(0, g * 0.5, g * 2, g * 0.5, g * 1.6),
});
const meander: Draw = (g) => ({
  w: g * 3,
  h: g * 1.6,
  d: wave(g * 3, g * 0.5, g * 0.38) + wave(g * 3, g * 1.3, -g * 0.25),
});
const loops: Draw = (g) => ({
  w: g * 2,
  h: g * 1.4,
  d: wave(g * 2, g * 0.7, g * 0.3) + ring(g, g * 0.45, g * 0.28),
});
const waves: Draw = (g) => ({ w: g * 3, h: g, d: wave(g * 3, g / 2, g * 0.3) });
const crossed: Draw = (g) => ({
  w: g * 4,
  h: g * 1.6,
  d: wave(g * 4, g * 0.8, g * 0.6) + wave(g * 4, g * 0.8, -g * 0.6),
});
const pebbles: Draw = (g) => ({
  w: g * 2,
  h: g * 1.74,
  d: ring(g / 2, g / 2, g * 0.46) + ring(g * 1.5, g / 2, g * 0.46) + ring(g, g * 1.3, g * 0.46),
});
const plumes: Draw = (g) => ({
  w: g * 2,
  h: g * 2,
  d: arc(0, g * 2, g, g * 0.5, g * 1.6) + arc(g, g * 2, g * 2, g * 0.5, g * 1.6) + arc(g, g, 0, g * 0.2, g),
});
const teeth: Draw = (g) => ({
  w: g * 2,
  h: g * 3,
  d: polyline([
    [0, g * 3],
    [g * 0.5, 0],
    [g, g * 3],
  ]),
});

/** One drawing of each technique that fills; lines sewn along something are drawn by their zone's edge. */
export const HATCHES: Partial<Record<string, Draw>> = {
  'ruler-lines': slant,
  grid,
  'ruler-arcs': arcs,
  echo: waves,
  'echo-irregular': waves,
  'meander-large': meander,
  'meander-medium': meander,
  'meander-small': meander,
  'micro-fill': meander,
  loops,
  'overlapping-waves': crossed,
  swirls: loops,
  pebbles,
  feathers: plumes,
  leaves: plumes,
  'teardrop-echo': plumes,
  comb: teeth,
  web: slant,
  baste: lines,
  'guided-pattern': waves,
};

/** Spacing in px under which lines run together and a tint is honest instead. */
export const SEEN_PX = 3.5;

/** The tile of a technique at its real spacing, or null when it follows edges or could not be seen. */
export function hatchTile(technique: string, spacingIn: number, pxPerIn: number): HatchTile | null {
  if (spacingIn * pxPerIn < SEEN_PX) return null;
  return HATCHES[technique]?.(spacingIn) ?? null;
}
