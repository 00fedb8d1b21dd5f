/** Where on a quilt its map was pressed, to half an inch; null beside it. */
export function pressedAt(
  e: React.MouseEvent,
  { widthIn, lengthIn }: { widthIn: number; lengthIn: number },
): { xIn: number; yIn: number } | null {
  const svg = (e.target as Element).closest('svg');
  const to = svg?.getScreenCTM()?.inverse();
  if (!svg || !to) return null;
  const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(to);
  const [xIn, yIn] = [Math.round(at.x * 2) / 2, Math.round(at.y * 2) / 2];
  return xIn < 0 || yIn < 0 || xIn > widthIn || yIn > lengthIn ? null : { xIn, yIn };
}
