/** A point of a field nothing is near. */
export const FAR = 1e20;

/**
 * Every point of a field made the square of its distance, in points, to the nearest that is 0; in place (Felzenszwalb and
 * Huttenlocher, 2012).
 * @param field row after row, 0 where something is and `FAR` elsewhere.
 */
export function squaredDistances(field: Float64Array, nx: number, ny: number): void {
  const line = new Float64Array(Math.max(nx, ny));
  for (let i = 0; i < nx; i++) lower(field, i, nx, ny, line);
  for (let j = 0; j < ny; j++) lower(field, j * nx, 1, nx, line);
}

/** The lower envelope of parabolas standing on a row or a column, in place. */
function lower(field: Float64Array, from: number, step: number, n: number, line: Float64Array) {
  for (let q = 0; q < n; q++) line[q] = field[from + q * step]!;
  const at = new Int32Array(n);
  const edge = new Float64Array(n + 1);
  let k = -1;
  for (let q = 0; q < n; q++) {
    if (line[q]! >= FAR) continue;
    let s = -FAR;
    while (k >= 0) {
      const p = at[k]!;
      s = (line[q]! + q * q - (line[p]! + p * p)) / (2 * (q - p));
      if (s > edge[k]!) break;
      k--;
    }
    k++;
    at[k] = q;
    edge[k] = k === 0 ? -FAR : s;
    edge[k + 1] = FAR;
  }
  if (k < 0) return;
  let j = 0;
  for (let q = 0; q < n; q++) {
    while (edge[j + 1]! < q) j++;
    const p = at[j]!;
    field[from + q * step] = (q - p) * (q - p) + line[p]!;
  }
}
