import { openIn } from '../density/spacing-for';
import { areaOf, type MultiPolygon } from '../geometry/polygon';
import type { Role } from './motif-table';

/** The numbers choosing rests on, from a zone's shape. Inches. */
export interface ShapeNumbers {
  areaIn2: number;
  openIn: number;
  pieces: number;
  narrowIn: number;
  edgeIn: number;
}

/** Length round a closed ring, inches. */
export const ringLength = (ring: readonly (readonly [number, number])[]): number =>
  ring.reduce((sum, [x, y], i) => {
    const [px, py] = ring[(i + ring.length - 1) % ring.length]!;
    return sum + Math.hypot(x - px, y - py);
  }, 0);

/** A strip is as wide as twice its area over its edge; what is compact is nearly as wide as its largest circle. */
export function shapeNumbers(shape: MultiPolygon): ShapeNumbers {
  const areaIn2 = areaOf(shape);
  const open = openIn(shape);
  const edgeIn = shape.reduce(
    (sum, polygon) => sum + polygon.reduce((s, ring) => s + ringLength(ring), 0),
    0,
  );
  const pieces = Math.max(1, shape.length);
  const compact = areaIn2 / (pieces * open * open) < 2.5;
  return {
    areaIn2,
    openIn: Math.min(open, Math.sqrt(areaIn2 / 0.75)),
    pieces,
    narrowIn: Math.min(open, compact ? 0.9 * open : (2 * areaIn2) / edgeIn),
    edgeIn,
  };
}

const BY_NAME: readonly (readonly [RegExp, Role])[] = [
  [/border|edge|frame/i, 'border'],
  [/sash|strip|lattice|jetty/i, 'sashing'],
  [/corner|cornerstone|block|patch|square/i, 'block'],
  [/appliqu|motif|figure|flower|animal|boat|star|lantern|buoy|leaf|panel|compass/i, 'motif'],
  [/negative|space|open/i, 'space'],
  [/whole|all over/i, 'whole'],
];

/** What a zone most likely is, by its name; ground where its name says nothing, the whole where it is alone. */
export const guessRole = (name: string, zones: number): Role =>
  zones === 1 ? 'whole' : (BY_NAME.find(([words]) => words.test(name))?.[1] ?? 'ground');
