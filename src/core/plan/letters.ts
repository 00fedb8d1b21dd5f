/** Letters of zones in order: A to Z, then AA, AB … `index` from 0. */
export const letterOf = (index: number): string =>
  (index >= 26 ? String.fromCharCode(64 + Math.floor(index / 26)) : '') +
  String.fromCharCode(65 + (index % 26));
