/** A point of a field nothing is near. */
export const FAR = 1e20;

/**
 * Every point of a field made the square of its distance, in points, to the nearest that is 0; in place (Felzenszwalb and
 * Huttenlocher, 2012).
 * @param field row after row, 0 where something is and `FAR` elsewhere.
 */
export function squaredDistances(field: Float64Array, nx: number, ny: number): void {
  const room = { line: new Float64Array(nx), at: new Int32Array(nx), edge: new Float64Array(nx + 1) };
  alongColumns(field, nx, ny);
  for (let j = 0; j < ny; j++) lower(field, j * nx, nx, room);
}

/** Within every column: counted on from row to row, down and up again. */
function alongColumns(field: Float64Array, nx: number, ny: number) {
  const all = nx * ny;
  for (let k = nx; k < all; k++) {
    const above = field[k - nx]! + 1;
    if (above < field[k]!) field[k] = above;
  }
  for (let k = all - nx - 1; k >= 0; k--) {
    const below = field[k + nx]! + 1;
    if (below < field[k]!) field[k] = below;
  }
  for (let k = 0; k < all; k++) if (field[k]! < FAR) field[k] = field[k]! * field[k]!;
}

interface Room {
  line: Float64Array;
  /** Where the parabolas of the envelope stand, and from where on each is the lowest. */
  at: Int32Array;
  edge: Float64Array;
}

/** The lower envelope of parabolas standing on a row, in place. */
function lower(field: Float64Array, from: number, n: number, { line, at, edge }: Room) {
  for (let q = 0; q < n; q++) line[q] = field[from + q]!;
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
    field[from + q] = (q - p) * (q - p) + line[p]!;
  }
}
