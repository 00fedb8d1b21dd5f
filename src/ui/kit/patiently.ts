const PAUSES_MS = [500, 1000, 2000, 4000, 8000] as const;

/**
 * A part of the program that comes when it is asked for: asked again with growing pauses while the studio's computer does
 * not answer. It never fails, for a page must not go down over a part that comes late.
 */
export async function patiently<T>(
  load: () => Promise<T>,
  rest: (ms: number) => Promise<unknown> = (ms) => new Promise((r) => setTimeout(r, ms)),
): Promise<T> {
  for (let tries = 0; ; tries++) {
    try {
      return await load();
    } catch {
      await rest(PAUSES_MS[Math.min(tries, PAUSES_MS.length - 1)]!);
    }
  }
}
