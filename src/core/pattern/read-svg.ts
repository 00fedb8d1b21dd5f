import { XMLParser } from 'fast-xml-parser';
import svgpath from 'svgpath';
import type { XY } from '../geometry/polygon';
import { CoreError } from '../notes';
import type { Drawing, Piece, Shape, Stroke } from './stroke';
import { viewTransform } from './svg-view';
import { hiddenBy } from './svg-hidden';

/** An element as the parser gives it: its name with its children, and its attributes. */
type Node = Record<string, unknown> & { ':@'?: Record<string, string> };

/** What is kept in a drawing without being drawn. */
const NOT_DRAWN = new Set([
  'defs',
  'symbol',
  'clipPath',
  'mask',
  'pattern',
  'marker',
  'style',
  'metadata',
  'title',
  'desc',
  'script',
  'text',
  'image',
  'foreignObject',
]);
const INCHES: Record<string, number> = {
  in: 1,
  mm: 1 / 25.4,
  cm: 1 / 2.54,
  pt: 1 / 72,
  pc: 1 / 6,
  px: 1 / 96,
  '': 1 / 96,
};
const MOST_NESTED = 40;

const nameOf = (n: Node) => Object.keys(n).find((k) => k !== ':@') ?? '';
/** The elements in it; letters are none. */
const childrenOf = (n: Node): Node[] => {
  const inside = n[nameOf(n)];
  return Array.isArray(inside) ? (inside as Node[]) : [];
};
const lettersOf = (n: Node): string =>
  childrenOf(n)
    .map((x) => (typeof x['#text'] === 'string' || typeof x['#text'] === 'number' ? String(x['#text']) : ''))
    .join('')
    .trim();
/** The name of an element: its title, or its id. */
const namedAs = (n: Node): string | null => {
  const title = childrenOf(n).find((x) => nameOf(x) === 'title');
  return (title && lettersOf(title)) || attributes(n).id || null;
};
const attributes = (n: Node) => n[':@'] ?? {};

/** The view of a drawing in its own units; null where the file does not say. */
type View = readonly [x: number, y: number, width: number, height: number];

/**
 * The lines of an SVG drawing in the order they stand in the file: paths, lines, polygons, rectangles, circles, ellipses
 * and what is used again, with all transforms. Text, fills, pictures and programs in it are not sewn.
 * @throws CoreError `not-a-drawing` when it cannot be read or holds no line.
 */
export function readSvg(text: string): Drawing {
  const { shapes, unitIn } = readShapes(text);
  const strokes = shapes.flatMap((s) => s.strokes);
  if (strokes.length === 0)
    throw new CoreError('not-a-drawing', 'This SVG holds no line that can be sewn.', 'svg');
  return { strokes, unitIn };
}

/**
 * The same, a shape to each element, with its name and the view they lie in.
 * @throws CoreError `not-a-drawing` when it cannot be read
 */
export function readShapes(text: string): { shapes: Shape[]; unitIn: number | null; view: View | null } {
  let nodes: Node[];
  try {
    nodes = new XMLParser({
      preserveOrder: true,
      ignoreAttributes: false,
      attributeNamePrefix: '',
      parseAttributeValue: false,
      parseTagValue: false,
      processEntities: true,
      htmlEntities: true,
      stopNodes: ['*.script', '*.style'],
    }).parse(text, true) as Node[];
  } catch {
    throw new CoreError('not-a-drawing', 'This file is not SVG.', 'svg');
  }
  const svg = nodes.find((n) => nameOf(n) === 'svg');
  if (!svg) throw new CoreError('not-a-drawing', 'This file is not SVG.', 'svg');
  const byId = new Map<string, Node>();
  const sheets: string[] = [];
  index([svg], byId, sheets);
  const hidden = hiddenBy(sheets.join('\n'));
  const shapes: Shape[] = [];
  const walk = (list: readonly Node[], transform: string, depth: number, unseen: boolean) => {
    if (depth > MOST_NESTED)
      throw new CoreError('not-a-drawing', 'This SVG is nested too deeply to be read.', 'svg');
    for (const node of list) {
      const [name, a] = [nameOf(node), attributes(node)];
      if (NOT_DRAWN.has(name)) continue;
      const how = hidden(name, a);
      if (how === 'gone') continue;
      const now = how === 'unseen' || (unseen && how !== 'seen');
      const own = `${transform} ${a.transform ?? ''}`.trim();
      const used = name === 'use' && byId.get((a.href ?? a['xlink:href'] ?? '').replace(/^#/, ''));
      if (used) {
        const moved = `${own} translate(${numberOf(a.x)} ${numberOf(a.y)})`;
        const view = { ...attributes(used), ...size(a), x: '0', y: '0' };
        if (nameOf(used) === 'symbol')
          walk(childrenOf(used), `${moved} ${viewTransform(view)}`, depth + 1, now);
        else walk([used], moved, depth + 1, now);
        continue;
      }
      const d = pathOf(name, a);
      if (name === 'svg') walk(childrenOf(node), `${own} ${viewTransform(a)}`, depth + 1, now);
      else if (d === null) walk(childrenOf(node), own, depth + 1, now);
      else if (!now) shapes.push({ name: namedAs(node), strokes: strokesOf(d, own) });
    }
  };
  walk(childrenOf(svg), '', 0, false);
  const a = attributes(svg);
  return { shapes: shapes.filter((s) => s.strokes.length > 0), unitIn: unitOf(a), view: viewOf(a) };
}

function viewOf({ viewBox, width, height }: Record<string, string>): View | null {
  const box = (viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const view =
    box.length === 4 && box.every(Number.isFinite)
      ? box
      : [0, 0, Number.parseFloat(width ?? ''), Number.parseFloat(height ?? '')];
  return view[2]! > 0 && view[3]! > 0 ? (view as unknown as View) : null;
}

function index(list: readonly Node[], byId: Map<string, Node>, sheets: string[]) {
  for (const node of list) {
    if (nameOf(node) === 'style') sheets.push(lettersOf(node));
    const { id } = attributes(node);
    if (id) byId.set(id, node);
    index(childrenOf(node), byId, sheets);
  }
}

/** The measures a `use` gives to what it uses. */
const size = ({ width, height }: Record<string, string>) => ({
  ...(width !== undefined && { width }),
  ...(height !== undefined && { height }),
});
const numberOf = (text: string | undefined): number => {
  const n = Number.parseFloat(text ?? '0');
  return Number.isFinite(n) ? n : 0;
};

const LENGTH = /^\s*([\d.]+(?:e[-+]?\d+)?)\s*(in|mm|cm|pt|pc|px|)\s*$/i;

/** Inches of one unit of the drawing: its width over the width of its view, or its height where that leaves less. */
function unitOf({ width, height, viewBox, preserveAspectRatio }: Record<string, string>): number | null {
  const across = LENGTH.exec(width ?? '');
  const down = LENGTH.exec(height ?? '');
  const first = across ?? down;
  if (!first) return null;
  const inches = (l: RegExpExecArray) => Number(l[1]) * INCHES[l[2]!.toLowerCase()]!;
  const [, , w, h] = (viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const units = [across && w! > 0 ? inches(across) / w! : null, down && h! > 0 ? inches(down) / h! : null];
  const known = units.filter((u) => u !== null);
  // Without a view box a unit is a pixel, whatever the page is measured in (SVG 2, §8.2).
  if (known.length === 0) return INCHES.px!;
  return /none/.test(preserveAspectRatio ?? '') ? known[0]! : Math.min(...known);
}

/** What an element draws, as path data. */
function pathOf(name: string, a: Record<string, string>): string | null {
  const [x, y, w, h] = [a.x, a.y, a.width, a.height].map(numberOf) as [number, number, number, number];
  const [cx, cy] = [numberOf(a.cx), numberOf(a.cy)];
  switch (name) {
    case 'path':
      return a.d ?? null;
    case 'line':
      return `M${numberOf(a.x1)} ${numberOf(a.y1)}L${numberOf(a.x2)} ${numberOf(a.y2)}`;
    case 'polyline':
      return a.points ? `M${a.points}` : null;
    case 'polygon':
      return a.points ? `M${a.points}Z` : null;
    case 'rect':
      return w > 0 && h > 0 ? box(x, y, w, h, a) : null;
    case 'circle':
      return round(cx, cy, numberOf(a.r), numberOf(a.r));
    case 'ellipse':
      return round(cx, cy, numberOf(a.rx), numberOf(a.ry));
    default:
      return null;
  }
}
/** A rectangle; its corners are round where it says so, one radius standing for both. */
function box(x: number, y: number, w: number, h: number, a: Record<string, string>): string {
  const [given, other] = [a.rx ?? a.ry, a.ry ?? a.rx].map(numberOf) as [number, number];
  const [rx, ry] = [Math.min(given, w / 2), Math.min(other, h / 2)];
  if (!(rx > 0 && ry > 0)) return `M${x} ${y}h${w}v${h}h${-w}Z`;
  const corner = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
  const [across, down] = [w - 2 * rx, h - 2 * ry];
  return `M${x + rx} ${y}h${across}${corner(rx, ry)}v${down}${corner(-rx, ry)}h${-across}${corner(-rx, -ry)}v${-down}${corner(rx, -ry)}Z`;
}
const round = (cx: number, cy: number, rx: number, ry: number) =>
  rx > 0 && ry > 0
    ? `M${cx + rx} ${cy}A${rx} ${ry} 0 0 1 ${cx - rx} ${cy}A${rx} ${ry} 0 0 1 ${cx + rx} ${cy}Z`
    : null;

/** Path data as strokes, its transforms laid on. */
function strokesOf(d: string, transform: string): Stroke[] {
  const path = svgpath(d) as ReturnType<typeof svgpath> & { err: string };
  if (path.err) throw new CoreError('not-a-drawing', 'A path of this SVG cannot be read.', 'svg');
  const strokes: { pieces: Piece[]; closed: boolean }[] = [];
  let at: XY = [0, 0];
  let first: XY = at;
  const run = () => {
    const last = strokes.at(-1);
    if (last && !last.closed) return last;
    strokes.push({ pieces: [], closed: false });
    return strokes.at(-1)!;
  };
  // Arcs become curves before they are moved: turned over as arcs, the library draws them the wrong way round.
  path
    .unarc()
    .transform(transform)
    .abs()
    .unshort()
    .iterate(([command, ...p]) => {
      const to: XY = [p.at(-2) ?? 0, p.at(-1) ?? 0];
      if (command === 'M') {
        strokes.push({ pieces: [], closed: false });
        [at, first] = [to, to];
        return;
      }
      if (command === 'Z') {
        const stroke = run();
        if (at[0] !== first[0] || at[1] !== first[1]) stroke.pieces.push([at, first]);
        stroke.closed = true;
        at = first;
        return;
      }
      const end: XY = command === 'H' ? [p[0]!, at[1]] : command === 'V' ? [at[0], p[0]!] : to;
      if (command === 'C') run().pieces.push([at, [p[0]!, p[1]!], [p[2]!, p[3]!], end]);
      else if (command === 'Q') {
        const toward = (q: XY): XY => [q[0] + (2 / 3) * (p[0]! - q[0]), q[1] + (2 / 3) * (p[1]! - q[1])];
        run().pieces.push([at, toward(at), toward(end), end]);
      } else run().pieces.push([at, end]);
      at = end;
    });
  return strokes.filter((s) => s.pieces.length > 0);
}
