/** Minutes and seconds, hours when there are any. */
export function clockWords(ms: number): string {
  const s = Math.floor(ms / 1000);
  const two = (n: number) => String(n).padStart(2, '0');
  const h = Math.floor(s / 3600);
  return `${h > 0 ? `${h}:${two(Math.floor(s / 60) % 60)}` : Math.floor(s / 60)}:${two(s % 60)}`;
}
