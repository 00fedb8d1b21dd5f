/** The mean of RGBA bytes in linear light, as #rrggbb; see-through pixels count by their share. Black when empty. */
export function averageHex(rgba: ArrayLike<number>): string {
  const sums = [0, 0, 0];
  let weight = 0;
  for (let i = 0; i + 3 < rgba.length; i += 4) {
    const a = rgba[i + 3]! / 255;
    weight += a;
    for (let c = 0; c < 3; c++) sums[c]! += a * toLinear(rgba[i + c]! / 255);
  }
  return `#${sums
    .map((s) =>
      Math.round(255 * fromLinear(weight > 0 ? s / weight : 0))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}

// The sRGB transfer function, IEC 61966-2-1.
const toLinear = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
const fromLinear = (v: number) => (v <= 0.0031308 ? v * 12.92 : 1.055 * v ** (1 / 2.4) - 0.055);
