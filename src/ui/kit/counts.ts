/** A whole number as it is read: 112,225. */
export const grouped = (n: number): string => Math.round(n).toLocaleString('en-GB');

/** Many stitches in a few figures: 640, 31 thousand, 4.0 million. */
export function stitchesWords(n: number): string {
  if (n < 1000) return grouped(n);
  if (n < 999_500) return `${Math.round(n / 1000)} thousand`;
  return `${n < 9_950_000 ? (n / 1e6).toFixed(1) : grouped(n / 1e6)} million`;
}

/** Time in the figures a person says: minutes to two hours, then hours. */
export function minutesWords(min: number): string {
  if (min < 120) return Math.round(min) === 1 ? '1 minute' : `${Math.round(min)} minutes`;
  return `${min < 6000 ? Number((min / 60).toFixed(1)) : grouped(min / 60)} hours`;
}
