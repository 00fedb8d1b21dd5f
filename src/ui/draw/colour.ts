const channels = (hex: string) => [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16));

/** `a` moved towards `b` by a share 0–1, both #rrggbb. */
export function mix(a: string, b: string, share: number): string {
  const to = channels(b);
  return `#${channels(a)
    .map((v, i) =>
      Math.round(v + (to[i]! - v) * share)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}

/** Relative luminance after WCAG, 0 black – 1 white. */
export function luminance(hex: string): number {
  const [r, g, b] = channels(hex).map((v) => {
    const s = v / 255;
    return s <= 0.04045 ? s / 12.92 : ((s + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
}

/** Ink or cloth, whichever reads better on a colour. */
export const inkOn = (hex: string): string => (luminance(hex) > 0.19 ? '#20262b' : '#fffefb');

/** A clear thread has no colour of its own; drawings show it as this. */
export const CLEAR = '#e6e2d6';
