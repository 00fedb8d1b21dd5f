import Flatbush from 'flatbush';
import type { XY } from '../geometry/polygon';

/** Steps that only touch, or lie on one another, do not cross. */
const TOUCH = 1e-7;

/** How often lines cross themselves or one another. */
export function crossingsOf(lines: readonly (readonly XY[])[]): number {
  const steps = lines.flatMap((line) =>
    line
      .slice(1)
      .map((b, i) => [line[i]!, b] as const)
      .filter(([a, b]) => Math.hypot(a[0] - b[0], a[1] - b[1]) > 1e-9),
  );
  if (steps.length < 2) return 0;
  const index = new Flatbush(steps.length);
  for (const [a, b] of steps)
    index.add(Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[0], b[0]), Math.max(a[1], b[1]));
  index.finish();
  let n = 0;
  steps.forEach(([a, b], i) => {
    const near = index.search(
      Math.min(a[0], b[0]),
      Math.min(a[1], b[1]),
      Math.max(a[0], b[0]),
      Math.max(a[1], b[1]),
    );
    for (const k of near) {
      if (k <= i) continue;
      const [c, d] = steps[k]!;
      if (crosses(a, b, c, d)) n++;
    }
  });
  return n;
}

/** Whether two steps cross well within both. */
function crosses(a: XY, b: XY, c: XY, d: XY): boolean {
  const side = (p: XY, q: XY, r: XY) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  const [s1, s2, s3, s4] = [side(a, b, c), side(a, b, d), side(c, d, a), side(c, d, b)];
  return (
    s1 * s2 < -TOUCH * TOUCH &&
    s3 * s4 < -TOUCH * TOUCH &&
    Math.min(...[s1, s2, s3, s4].map(Math.abs)) > TOUCH
  );
}
