import polylabel from 'polylabel';
import { withoutKinks } from '../geometry/crossings';
import { clipLines, linesLength } from '../geometry/clip-lines';
import { areaOf, boundsOf, type MultiPolygon, type Polygon, type XY } from '../geometry/polygon';
import { CoreError } from '../notes';
import { type Random, seeded } from '../statistics/random';
import { techniques } from '../tables/techniques';
import {
  flame,
  type DrawFigure,
  leaf,
  packed,
  paisley,
  pebble,
  sewnTree,
  swirl,
  teardrop,
  treesOf,
} from './discs';
import { echoLines } from './echo';
import { loopLines, meanderLines } from './meander';
import { withoutHoles } from './open';
import { backAndForth, type Rows, rowsIn, type Sewn } from './rows';
import { radiusOf } from './radius';
import { teethLines } from './teeth';

/** A way a technique can look. */
export interface Look {
  id: string;
  label: string;
  /** Draws a shape of one piece full, at a spacing, inches. */
  draw: (shape: MultiPolygon, spacing: number, random: Random) => Sewn;
  /** Drawn at this share of its spacing it is about as dense as asked. */
  scale?: number;
  /** Its lines cross one another. */
  crosses?: boolean;
  /** Its length follows the outline, not the spacing. */
  ownLength?: boolean;
}

const sewn = (lines: XY[][]): Sewn => ({ lines, travelIn: 0 });
const isWide = (shape: MultiPolygon) => {
  const { x0, y0, x1, y1 } = boundsOf(shape);
  return x1 - x0 >= y1 - y0;
};

/** Families of rows, one after another. */
const families =
  (of: (spacing: number, shape: MultiPolygon) => readonly Rows[]): Look['draw'] =>
  (shape, spacing) => {
    const parts = of(spacing, shape).map((rows) => backAndForth(shape, rowsIn(shape, rows)));
    const lines: XY[][] = [];
    // What one family ends with leads into the next along the edge, so that it is still one line.
    for (const { lines: more } of parts)
      if (lines.length === 1 && more.length === 1) {
        const led = backAndForth(shape, [lines[0]!, more[0]!]);
        lines.splice(0, 1, ...led.lines);
      } else lines.push(...more);
    return { lines, travelIn: parts.reduce((s, p) => s + p.travelIn, 0) };
  };

/** Figures in round places, as many lines as there are places that hang together. */
const figures =
  (figure: DrawFigure, wide: number, radii: readonly number[]): Look['draw'] =>
  (shape, spacing, random) => {
    const discs = packed(
      shape,
      radii.map((r) => (r * wide * spacing) / 2),
      random,
    );
    return sewn(treesOf(discs, shape).map((tree) => sewnTree(tree, figure, spacing, random)));
  };

/** Waves along a row, with their length and height against the spacing. */
const wave = (long: number, high: number, phase: (row: number) => number) => (spacing: number) => ({
  aside: (u: number, row: number) =>
    high * spacing * Math.sin((2 * Math.PI * u) / (long * spacing) + phase(row)),
  most: high * spacing,
});

/** Rows of arcs from knot to knot, up and down in turn. */
const arcs = (chord: number, up: boolean) => {
  const bulge = 0.2 * chord;
  return (u: number) => {
    const k = Math.floor(u / chord);
    const t = u / chord - k;
    return (k % 2 === 0) === up ? 4 * bulge * t * (1 - t) : -4 * bulge * t * (1 - t);
  };
};
const arcFamilies = (spacing: number): Rows[] =>
  [0, Math.PI / 2].flatMap((angle) =>
    [true, false].map((up) => ({
      apart: spacing,
      angle,
      aside: arcs(spacing, up),
      most: 0.2 * spacing,
      step: spacing / 12,
    })),
  );

/** Rays from the middle, and a thread that winds round them, drawn in between each two. */
function webLines(shape: MultiPolygon, spacing: number): Sewn {
  const [cx, cy] = polylabel(
    shape[0]!.map((ring) => ring.map(([x, y]) => [x, y] as [number, number])),
    spacing / 10,
  );
  const { x0, y0, x1, y1 } = boundsOf(shape);
  const reach = Math.hypot(x1 - x0, y1 - y0);
  const rays = 8;
  const at = (r: number, a: number): XY => [cx! + r * Math.cos(a), cy! + r * Math.sin(a)];
  const lines = Array.from({ length: rays }, (_, k): XY[] => {
    const a = (k / rays) * Math.PI + 0.1;
    return [at(-reach, a), at(reach, a)];
  });
  const turns = Math.ceil(reach / spacing);
  const steps = turns * rays * 2 * 8;
  const spiral = Array.from({ length: steps + 1 }, (_, s): XY => {
    const t = s / 8;
    const between = t - Math.floor(t);
    const r = (spacing * t) / (2 * rays);
    return at(r * (1 - 0.22 * 4 * between * (1 - between)), 0.1 + (t / rays) * Math.PI);
  });
  return backAndForth(shape, clipLines([...lines, spiral], shape));
}

const straight = (angle: number, spacing: number): Rows => ({ apart: spacing, angle, step: spacing });
const SLANT = Math.PI / 4;
const look = (id: string, label: string, draw: Look['draw'], rest: Partial<Look> = {}): Look => ({
  id,
  label,
  draw,
  ...rest,
});

const MEANDER = look('meander', 'meander', (shape, g, r) => sewn(meanderLines(shape, 0.86 * g, r)), {
  scale: 0.98,
});
const ECHO = look('echo', 'echo', (shape, g, r) => sewn(echoLines(shape, g, r)));
const ECHO_LOOSE = look('echo-loose', 'wandering echo', (shape, g, r) => sewn(echoLines(shape, g, r, true)));
const ROWS_WAVY = look(
  'waves',
  'waves',
  families((g, shape) => [
    { apart: g, angle: isWide(shape) ? 0 : Math.PI / 2, step: g / 6, ...wave(8, 0.55, () => 0)(g) },
  ]),
);

/** How each technique is drawn: the usual look first. What is not among them follows a seam, a file, or nothing. */
export const LOOKS: Readonly<Record<string, readonly Look[]>> = {
  'ruler-lines': [
    look(
      'slanted',
      'slanted lines',
      families((g) => [straight(SLANT, g)]),
    ),
    look(
      'along',
      'lines along',
      families((g, shape) => [straight(isWide(shape) ? 0 : Math.PI / 2, g)]),
    ),
    look(
      'across',
      'lines across',
      families((g, shape) => [straight(isWide(shape) ? Math.PI / 2 : 0, g)]),
    ),
  ],
  grid: [
    look(
      'slanted',
      'slanted grid',
      families((g) => [straight(SLANT, g), straight(-SLANT, g)]),
      { crosses: true },
    ),
    look(
      'upright',
      'upright grid',
      families((g) => [straight(0, g), straight(Math.PI / 2, g)]),
      { crosses: true },
    ),
  ],
  'ruler-arcs': [look('arcs', 'arcs', families(arcFamilies), { crosses: true })],
  echo: [ECHO],
  'echo-irregular': [ECHO_LOOSE],
  'meander-large': [MEANDER],
  'meander-medium': [MEANDER],
  'meander-small': [MEANDER],
  'micro-fill': [MEANDER],
  loops: [look('loops', 'loops', (shape, g, r) => sewn(loopLines(shape, 1.05 * g, r)), { crosses: true })],
  'overlapping-waves': [
    look(
      'crossing',
      'waves that cross',
      families((g, shape) =>
        [0, Math.PI].map((phase) => ({
          apart: 2 * g,
          shift: phase === 0 ? 0 : 0.5,
          angle: isWide(shape) ? 0 : Math.PI / 2,
          step: g / 6,
          ...wave(6, 0.9, () => phase)(g),
        })),
      ),
      { crosses: true, scale: 1.7 },
    ),
    ROWS_WAVY,
  ],
  swirls: [look('swirls', 'swirls', figures(swirl, 7, [1, 0.8, 0.6, 0.42, 0.3, 0.2]), { scale: 0.95 })],
  pebbles: [
    look('pebbles', 'pebbles', figures(pebble, 1.15, [1, 0.86, 0.72, 0.6, 0.48]), { scale: 0.73 }),
    look('bubbles', 'bubbles', figures(pebble, 1.5, [1, 0.75, 0.5, 0.32, 0.22]), { scale: 0.77 }),
  ],
  feathers: [look('plumes', 'plumes', (shape, g) => teethLines(shape, g, true), { scale: 1.23 })],
  leaves: [look('leaves', 'leaves', figures(leaf, 2.8, [1, 0.8, 0.62, 0.46, 0.34]), { scale: 1.4 })],
  'teardrop-echo': [
    look('teardrops', 'teardrops', figures(teardrop, 3.6, [1, 0.8, 0.62, 0.46, 0.34])),
    look('paisley', 'paisley drops', figures(paisley, 3.6, [1, 0.8, 0.62, 0.46, 0.34])),
    look('flames', 'flames', figures(flame, 3.2, [1, 0.8, 0.62, 0.46, 0.34])),
  ],
  comb: [look('comb', 'comb', (shape, g) => teethLines(shape, g, false))],
  web: [look('web', 'web', webLines, { crosses: true, ownLength: true })],
  'follow-print': [ECHO_LOOSE],
  'thread-painting': [
    look(
      'strokes',
      'strokes',
      families((g, shape) => [
        { apart: g, angle: isWide(shape) ? Math.PI / 2 : 0, step: g, ...wave(14, 0.4, (row) => row)(g) },
      ]),
    ),
  ],
  couching: [ROWS_WAVY],
};

/** What is to be drawn. */
export interface DrawRequest {
  shape: MultiPolygon;
  technique: string;
  spacingIn: number;
  /** Which of the technique's looks; its first unless said. */
  look?: string;
  seed?: number;
}

/** A technique drawn in a zone, and what is measured of it. */
export interface Drawn {
  lines: XY[][];
  /** All that is sewn, inches; of it along edges and over what is sewn. */
  lengthIn: number;
  travelIn: number;
  /** Line density without travel, in/in². */
  lambda: number;
  /** The curve a twentieth of the bent length is tighter than, inches; null where nothing bends. */
  radiusIn: number | null;
  starts: number;
}

/** A loop in which a line crosses itself is a kink of the drawing up to this, against the spacing. */
const KINK = 1.2;
/** Fits are tried so often, and left alone when within this of the density asked for. */
const TRIES = 4;
const NEAR = 0.055;
/** A figure is drawn at most so much larger or smaller than usual to be as dense as asked. */
const STRETCH = 1.3;
/** A shape of more spacings squared than this averages out: two tries are enough. */
const LARGE = 600;
/** A shape smaller than so many spacings squared is drawn as it comes. */
const FITTED_FROM = 10;
/** A drawing of more than so many inches of line at once shows nothing more. */
const MOST_CELLS = 120_000;

/** What of some lines lies exactly on what was sewn before, inches: a vein, a way over and back. */
function sewnTwice(lines: readonly (readonly XY[])[]): number {
  // From a place, which others were reached; a place is its two coordinates in one number.
  const seen = new Map<number, number[]>();
  const place = ([x, y]: XY) => Math.round(x * 2000) * 2 ** 24 + Math.round(y * 2000);
  let twice = 0;
  for (const line of lines)
    for (let i = 1; i < line.length; i++) {
      const [a, b] = [place(line[i - 1]!), place(line[i]!)];
      if (a === b) continue;
      const [least, most] = a < b ? [a, b] : [b, a];
      const from = seen.get(least);
      if (from?.includes(most))
        twice += Math.hypot(line[i]![0] - line[i - 1]![0], line[i]![1] - line[i - 1]![1]);
      else if (from) from.push(most);
      else seen.set(least, [most]);
    }
  return twice;
}

/** λ·g of a technique, as the table says; null where its length is its own. */
const densityOf = (technique: string): number | null => {
  const { density } = techniques.get(technique, 'technique');
  return density.kind === 'spacing' ? density.k : null;
};

/** One piece, drawn at the scale at which it is as dense as is asked, its wide places gone into. */
function drawPiece(polygon: Polygon, how: Look, spacing: number, k: number | null, seed: number): Sewn {
  const shape = [polygon];
  const area = areaOf(shape);
  /** How much denser a drawing is than asked. */
  const dense = ({ lines, travelIn }: Sewn) => {
    const lambda = (linesLength(lines) - travelIn) / area;
    return k === null || lambda === 0 ? 1 : (lambda * spacing) / k;
  };
  const asItComes = k === null || how.ownLength || area < FITTED_FROM * spacing * spacing;
  let scale = how.scale ?? 1;
  let [best, off]: [Sewn | null, number] = [null, Infinity];
  const tries = area > LARGE * spacing * spacing ? 2 : TRIES;
  for (let i = 0; i < tries; i++) {
    const plain = drawn(shape, how, scale * spacing, seed);
    const full = how.ownLength ? plain : filled(shape, plain, spacing);
    const ratio = dense(full);
    if (Math.abs(Math.log(ratio)) < off) [best, off] = [full, Math.abs(Math.log(ratio))];
    if (asItComes || off <= NEAR) break;
    const usual = how.scale ?? 1;
    // Much larger figures with much laid between them would be as dense, and no longer what was asked for.
    scale = Math.min(usual * STRETCH, Math.max(usual / STRETCH, scale * ratio));
  }
  return best!;
}

/** A shape drawn at a scale; what is too narrow for the figure is echoed. */
function drawn(shape: MultiPolygon, how: Look, scale: number, seed: number): Sewn {
  const now = how.draw(shape, scale, seeded(seed));
  const own = now.lines.length > 0 ? now.lines : echoLines(shape, scale, seeded(seed));
  const lines = how.crosses ? own : own.map((l) => withoutKinks(l, KINK * scale));
  return { lines, travelIn: now.travelIn + sewnTwice(lines) };
}

/** The same with its wide places gone into, twice: what is laid in one may leave another beside itself. */
function filled(shape: MultiPolygon, { lines, travelIn }: Sewn, spacing: number): Sewn {
  const once = withoutHoles(shape, lines, spacing);
  const full = once === lines ? lines : withoutHoles(shape, once, spacing);
  return { lines: full, travelIn: full === lines ? travelIn : travelIn - sewnTwice(lines) + sewnTwice(full) };
}

/** A piece's outline wherever it lies, to know pieces that are alike. */
function alike(polygon: Polygon): string {
  const { x0, y0 } = boundsOf([polygon]);
  return polygon
    .map((ring) => ring.map(([x, y]) => `${(x - x0).toFixed(3)},${(y - y0).toFixed(3)}`).join(' '))
    .join('|');
}

/**
 * A technique drawn over a zone's true outline, as few lines as it would be sewn in, as dense as its spacing asks.
 * The same seed draws the same. Lengths in inches.
 * @throws CoreError `not-drawn` at `technique` where it follows seams or a file, `too-fine` at `spacingIn`.
 */
export function drawTechnique({ shape, technique, spacingIn, look: wanted, seed = 1 }: DrawRequest): Drawn {
  const looks = LOOKS[technique];
  const how = looks?.find((l) => l.id === wanted) ?? looks?.[0];
  if (!how)
    throw new CoreError(
      'not-drawn',
      `${techniques.get(technique, 'technique').label} follows what is there already: there is nothing to draw.`,
      'technique',
    );
  const area = areaOf(shape);
  if (!(spacingIn > 0) || area / spacingIn ** 2 > MOST_CELLS)
    throw new CoreError(
      'too-fine',
      'So fine that no line would be seen apart: give a larger spacing.',
      'spacingIn',
    );
  const k = densityOf(technique);
  const known = new Map<string, { at: XY; sewn: Sewn }>();
  const parts = shape.map((polygon, i): Sewn => {
    const { x0, y0 } = boundsOf([polygon]);
    const id = alike(polygon);
    const same = known.get(id);
    if (same) {
      const [dx, dy] = [x0 - same.at[0], y0 - same.at[1]];
      return { ...same.sewn, lines: same.sewn.lines.map((l) => l.map(([x, y]): XY => [x + dx, y + dy])) };
    }
    const drawn = drawPiece(polygon, how, spacingIn, k, seed + i);
    known.set(id, { at: [x0, y0], sewn: drawn });
    return drawn;
  });
  const lines = parts.flatMap((p) => p.lines);
  const travelIn = parts.reduce((s, p) => s + p.travelIn, 0);
  const lengthIn = linesLength(lines);
  return {
    lines,
    lengthIn,
    travelIn,
    lambda: (lengthIn - travelIn) / area,
    radiusIn: radiusOf(lines, spacingIn),
    starts: lines.length,
  };
}
