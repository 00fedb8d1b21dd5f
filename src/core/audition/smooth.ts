import type { XY } from '../geometry/polygon';

const between = ([ax, ay]: XY, [bx, by]: XY, t: number): XY => [ax + (bx - ax) * t, ay + (by - ay) * t];

/** Points along a line as far apart as is asked, its ends kept. @param closed its last point is joined to its first. */
export function resampled(line: readonly XY[], step: number, closed = false): XY[] {
  const all = closed ? [...line, line[0]!] : line;
  const lengths = all.slice(1).map((p, i) => Math.hypot(p[0] - all[i]![0], p[1] - all[i]![1]));
  const total = lengths.reduce((a, b) => a + b, 0);
  const n = Math.max(closed ? 8 : 1, Math.round(total / step));
  const out: XY[] = [];
  let [k, before] = [0, 0];
  for (let i = 0; i < n; i++) {
    const want = (i / n) * total;
    while (k < lengths.length - 1 && before + lengths[k]! < want) before += lengths[k++]!;
    out.push(between(all[k]!, all[k + 1]!, lengths[k]! > 0 ? (want - before) / lengths[k]! : 0));
  }
  if (!closed) out.push(all.at(-1)!);
  return out;
}

/** A line whose corners are cut again and again: the quadratic curve of its points. Ends stay. */
export function curved(line: readonly XY[], closed: boolean, times = 3): XY[] {
  let now: readonly XY[] = line;
  for (let k = 0; k < times; k++) {
    const n = now.length;
    const cut: XY[] = [];
    for (let i = 0; i < (closed ? n : n - 1); i++) {
      const [a, b] = [now[i]!, now[(i + 1) % n]!];
      cut.push(between(a, b, 0.25), between(a, b, 0.75));
    }
    now = closed ? cut : [now[0]!, ...cut, now[n - 1]!];
  }
  return [...now];
}

/** A line smoothed by the mean of a stretch about each point. @param stretch in the line's unit; its points lie evenly. */
export function evened(line: readonly XY[], stretch: number, closed: boolean): XY[] {
  const n = line.length;
  if (n < 4) return [...line];
  const step = Math.hypot(line[1]![0] - line[0]![0], line[1]![1] - line[0]![1]) || 1;
  const half = Math.min(Math.floor(n / 6), Math.max(0, Math.round(stretch / 2 / step)));
  return line.map((p, i) => {
    const reach = closed ? half : Math.min(half, i, n - 1 - i);
    let [x, y] = [0, 0];
    for (let k = -reach; k <= reach; k++) {
      const q = line[(i + k + n) % n]!;
      x += q[0];
      y += q[1];
    }
    return reach === 0 ? p : [x / (2 * reach + 1), y / (2 * reach + 1)];
  });
}
