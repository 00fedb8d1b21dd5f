import { boundsOf, type MultiPolygon, type XY } from '../geometry/polygon';

/** The pieces of a zone in the order a hand goes through them, and where it must lift and begin anew. */
export interface BlockWay {
  /** Pieces by their index, each run without lifting. */
  runs: number[][];
  /** Their middles, in the same order. */
  middles: XY[][];
}

/** Pieces nearer than this touch: the hand goes from one into the other along their seam. */
const TOUCH_IN = 0.1;

/** Whether two shapes touch, at an edge or a corner, by their outlines. */
function touch(a: MultiPolygon[number], b: MultiPolygon[number]): boolean {
  const near = ([px, py]: XY, [ax, ay]: XY, [bx, by]: XY) => {
    const length2 = (bx - ax) ** 2 + (by - ay) ** 2;
    const u =
      length2 === 0 ? 0 : Math.min(1, Math.max(0, ((px - ax) * (bx - ax) + (py - ay) * (by - ay)) / length2));
    return Math.hypot(px - ax - u * (bx - ax), py - ay - u * (by - ay)) <= TOUCH_IN;
  };
  const meets = (of: MultiPolygon[number], to: MultiPolygon[number]) =>
    of.flat().some((p) => to.some((ring) => ring.some((q, i) => near(p, q, ring[(i + 1) % ring.length]!))));
  return meets(a, b) || meets(b, a);
}

/** Pieces that hang together, through whatever touches whatever. */
function groupsOf(beside: readonly (readonly number[])[]): number[][] {
  const seen = new Set<number>();
  return beside.flatMap((_, first) => {
    if (seen.has(first)) return [];
    seen.add(first);
    const group = [first];
    for (const at of group)
      for (const next of beside[at]!)
        if (!seen.has(next)) {
          seen.add(next);
          group.push(next);
        }
    return [group];
  });
}

/**
 * A continuous way through pieces that touch: from each to one that touches it, with the fewest ways left of its own;
 * where none is left the hand goes on along seams to the nearest of the same group. A group apart is a new start.
 */
export function blockWay(shape: MultiPolygon): BlockWay {
  const boxes = shape.map((p) => boundsOf([p]));
  const middle = boxes.map(({ x0, y0, x1, y1 }): XY => [(x0 + x1) / 2, (y0 + y1) / 2]);
  const beside = shape.map((p, i) =>
    shape.flatMap((q, j) => {
      const [a, b] = [boxes[i]!, boxes[j]!];
      const apart =
        i === j ||
        a.x0 > b.x1 + TOUCH_IN ||
        b.x0 > a.x1 + TOUCH_IN ||
        a.y0 > b.y1 + TOUCH_IN ||
        b.y0 > a.y1 + TOUCH_IN;
      return !apart && touch(p, q) ? [j] : [];
    }),
  );
  const runs = groupsOf(beside).map((group) => {
    const left = new Set(group);
    const open = (i: number) => beside[i]!.filter((j) => left.has(j)).length;
    const best = (of: readonly number[], from: XY) =>
      of.reduce((a, b) =>
        (open(b) - open(a) || dist(middle[b]!, from) - dist(middle[a]!, from)) < 0 ? b : a,
      );
    let at = best(group, [0, 0]);
    const run = [at];
    left.delete(at);
    while (left.size > 0) {
      const next = beside[at]!.filter((j) => left.has(j));
      const here = middle[at]!;
      at =
        next.length > 0
          ? best(next, here)
          : [...left].reduce((a, b) => (dist(middle[b]!, here) < dist(middle[a]!, here) ? b : a));
      run.push(at);
      left.delete(at);
    }
    return run;
  });
  return { runs, middles: runs.map((run) => run.map((i) => middle[i]!)) };
}

const dist = (a: XY, b: XY) => Math.hypot(a[0] - b[0], a[1] - b[1]);
