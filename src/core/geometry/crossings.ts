import Flatbush from 'flatbush';
import type { XY } from './polygon';

/** Steps that only touch, or lie on one another, do not cross. */
const TOUCH = 1e-7;
type Step = readonly [XY, XY];

/** On which side of the way from `p` to `q` a point lies, and how far, times the way's length. */
const side = (p: XY, q: XY, r: XY) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
const isApart = (one: number, other: number) =>
  one * other < 0 && Math.abs(one) > TOUCH && Math.abs(other) > TOUCH;

/** Whether two steps cross well within both. */
const crosses = ([a, b]: Step, [c, d]: Step): boolean =>
  isApart(side(a, b, c), side(a, b, d)) && isApart(side(c, d, a), side(c, d, b));

const boxOf = ([a, b]: Step) =>
  [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[0], b[0]), Math.max(a[1], b[1])] as const;
const stepsOf = (lines: readonly (readonly XY[])[]): Step[] =>
  lines.flatMap((line) =>
    line
      .slice(1)
      .map((b, i): Step => [line[i]!, b])
      .filter(([a, b]) => Math.hypot(a[0] - b[0], a[1] - b[1]) > 1e-9),
  );

/** Where two steps that cross meet. */
function meeting([a, b]: Step, [c, d]: Step): XY {
  const [rx, ry, sx, sy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]];
  const t = ((c[0] - a[0]) * sy - (c[1] - a[1]) * sx) / (rx * sy - ry * sx);
  return [a[0] + t * rx, a[1] + t * ry];
}

/** A line without the small loops in which it crosses itself. @param within the longest such loop, in its unit. */
export function withoutKinks(line: readonly XY[], within: number): XY[] {
  const out: XY[] = [];
  for (let i = 0; i < line.length; i++) {
    out.push(line[i]!);
    const step: Step | null = i + 1 < line.length ? [line[i]!, line[i + 1]!] : null;
    if (!step) break;
    let [long, last] = [0, -1];
    for (let k = i + 1; k + 1 < line.length && long < within; k++) {
      const other: Step = [line[k]!, line[k + 1]!];
      if (k > i + 1 && crosses(step, other)) last = k;
      long += Math.hypot(other[1][0] - other[0][0], other[1][1] - other[0][1]);
    }
    if (last > 0) {
      out.push(meeting(step, [line[last]!, line[last + 1]!]));
      i = last;
    }
  }
  return out;
}

/** Lines among which crossings are looked for. */
export class Crossings {
  private readonly steps: Step[];
  private readonly index: Flatbush | null;
  constructor(lines: readonly (readonly XY[])[]) {
    this.steps = stepsOf(lines);
    this.index = this.steps.length > 0 ? new Flatbush(this.steps.length) : null;
    for (const step of this.steps) this.index!.add(...boxOf(step));
    this.index?.finish();
  }
  /** Whether a line crosses any of them. */
  meets(line: readonly XY[]): boolean {
    return stepsOf([line]).some((step) =>
      this.index?.search(...boxOf(step)).some((k) => crosses(step, this.steps[k]!)),
    );
  }
  /** How often they cross themselves or one another. */
  count(): number {
    return this.steps.reduce(
      (n, step, i) =>
        n + this.index!.search(...boxOf(step)).filter((k) => k > i && crosses(step, this.steps[k]!)).length,
      0,
    );
  }
}
