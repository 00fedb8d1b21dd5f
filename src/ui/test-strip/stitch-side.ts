import { circle, type Mark, n, polyline } from '@/ui/draw/mark';
import { mix } from '@/ui/draw/colour';
import { threadMarks } from '@/ui/draw/thread-mark';
import type { Verdict } from '@/core/tension/probit';

/** A line on cloth: position and heading at a distance along it, px. */
export type Along = (t: number) => { x: number; y: number; angle: number };

export interface StitchSide {
  along: Along;
  length: number;
  stitch: number;
  own: string;
  other: string;
  /** Drawn thickness, px. */
  thread: number;
  /** How far the other thread comes through: 0 not, 1 a hint, 2 loops, 3 own thread lies straight. */
  through: 0 | 1 | 2 | 3;
}

/** What each face shows at a verdict: minus shows on the back, plus on the top. */
export const facesAt = (v: Verdict): { top: StitchSide['through']; back: StitchSide['through'] } => ({
  top: Math.max(0, v) as StitchSide['through'],
  back: Math.max(0, -v) as StitchSide['through'],
});

const LEAN = [1, -1, 1, 1, -1, 1, -1, -1];

/** One face of a sewn line: capsules of one stitch length, with dots, loops or a straight thread when unbalanced. */
export function stitchMarks(s: StitchSide): Mark[] {
  const count = Math.max(1, Math.round(s.length / s.stitch));
  const st = s.length / count;
  const offset = (t: number, by: number): [number, number] => {
    const { x, y, angle } = s.along(t);
    return [x - Math.sin(angle) * by, y + Math.cos(angle) * by];
  };
  const run = (t0: number, t1: number, bow: (u: number) => number, steps = 6) =>
    polyline(
      Array.from({ length: steps + 1 }, (_, i) => offset(t0 + ((t1 - t0) * i) / steps, bow(i / steps))),
    );
  const holes = Array.from({ length: count + 1 }, (_, i) => i * st);
  const marks: Mark[] = holes.map((t) => {
    const [x, y] = offset(t, 0);
    return { d: circle(x, y, s.thread * 0.66), fill: '#20262b', opacity: s.through === 3 ? 0.18 : 0.32 };
  });
  if (s.through === 3) {
    // The face's own thread is drawn straight, and the other is looped round it at every stitch.
    marks.push(
      ...threadMarks(
        run(0, s.length, () => 0, count * 4),
        s.own,
        s.thread * 0.8,
      ),
    );
    holes.forEach((t, i) => {
      const side = i % 2 ? 1 : -1;
      const bow = (u: number) => side * s.thread * (0.95 * Math.sin(Math.PI * u) - 0.25);
      marks.push(
        ...threadMarks(
          run(Math.max(0, t - st * 0.47), Math.min(s.length, t + st * 0.47), bow, 10),
          s.other,
          s.thread * 0.85,
        ),
      );
    });
    return marks;
  }
  const gap = s.thread * (s.through > 0 ? 0.9 : 0.78);
  for (let i = 0; i < count; i++)
    marks.push(
      ...threadMarks(
        run(i * st + gap, (i + 1) * st - gap, () => 0),
        s.own,
        s.thread,
      ),
    );
  holes.forEach((t, i) => {
    if (s.through === 1) {
      const [x, y] = offset(t, 0);
      marks.push({
        d: circle(x, y, s.thread * 0.52),
        fill: s.other,
        stroke: mix(s.other, '#000000', 0.5),
        width: 1,
      });
    } else if (s.through === 2) {
      const side = LEAN[i % LEAN.length]!;
      const reach = side * s.thread * 1.7;
      const p = (dt: number, by: number) =>
        offset(t + dt, by)
          .map(n)
          .join(' ');
      const q = s.thread * 0.34;
      marks.push(
        ...threadMarks(
          `M${p(-q, 0)}C${p(-q * 3, reach)} ${p(q * 3, reach)} ${p(q, 0)}`,
          s.other,
          s.thread * 0.52,
        ),
      );
    }
  });
  return marks;
}

/** A straight run. */
export const straight =
  (x0: number, y: number): Along =>
  (t) => ({ x: x0 + t, y, angle: 0 });

/** Half straight, then a curve up and down again; its length is measured along the line. */
export function lineAndCurve(
  x0: number,
  y: number,
  width: number,
  rise: number,
): { along: Along; length: number } {
  const steps = 160;
  const points = Array.from({ length: steps + 1 }, (_, i) => {
    const u = i / steps;
    return {
      x: x0 + u * width,
      y: y + (u < 0.5 ? rise / 2 : (rise / 2) * Math.cos(((u - 0.5) / 0.5) * 2 * Math.PI)),
    };
  });
  const at = [0];
  for (let i = 1; i <= steps; i++)
    at.push(at[i - 1]! + Math.hypot(points[i]!.x - points[i - 1]!.x, points[i]!.y - points[i - 1]!.y));
  const length = at[steps]!;
  return {
    length,
    along(t) {
      const want = Math.min(length, Math.max(0, t));
      let i = 1;
      while (i < steps && at[i]! < want) i++;
      const [a, b] = [points[i - 1]!, points[i]!];
      const share = (want - at[i - 1]!) / (at[i]! - at[i - 1]! || 1);
      return {
        x: a.x + (b.x - a.x) * share,
        y: a.y + (b.y - a.y) * share,
        angle: Math.atan2(b.y - a.y, b.x - a.x),
      };
    },
  };
}
