/** One stroke or fill of a drawing. Drawings are pure functions from numbers to lists of marks. */
export interface Mark {
  d: string;
  fill?: string;
  stroke?: string;
  width?: number;
  dash?: string;
  cap?: 'round' | 'butt';
  opacity?: number;
}

/** A word of a drawing, placed. */
export interface Label {
  x: number;
  y: number;
  text: string;
  anchor?: 'start' | 'middle' | 'end';
  size?: number;
  weight?: number;
  colour?: string;
}

/** A finished drawing in px. */
export interface Drawing {
  width: number;
  height: number;
  marks: Mark[];
  labels: Label[];
}

/** Two decimals are finer than any screen. */
export const n = (x: number): string => String(Number(x.toFixed(2)));

export const polyline = (points: readonly (readonly [number, number])[]): string =>
  points.map(([x, y], i) => `${i ? 'L' : 'M'}${n(x)} ${n(y)}`).join('');

export const line = (x0: number, y0: number, x1: number, y1: number): string =>
  polyline([
    [x0, y0],
    [x1, y1],
  ]);

export const box = (x: number, y: number, w: number, h: number): string =>
  `M${n(x)} ${n(y)}h${n(w)}v${n(h)}h${n(-w)}Z`;

export const circle = (cx: number, cy: number, r: number): string =>
  `M${n(cx - r)} ${n(cy)}a${n(r)} ${n(r)} 0 1 0 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 0 ${n(-2 * r)} 0Z`;
