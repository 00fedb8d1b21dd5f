/** Lines sent in one request: well under what the door takes. */
const AT_ONCE = 2000;

/**
 * Sends a recording over the link, piece by piece: its head with every piece. A recording of another quilt, or none at
 * all, is told so; one that was taken in before counts once. The answer is what to tell the quilter.
 */
export async function sendRecording(
  quiltId: string,
  text: string,
  post: (body: string) => Promise<Response> = (body) => fetch('/link', { method: 'POST', body }),
): Promise<string> {
  const [head = '', ...lines] = text.split('\n').filter((l) => l.trim() !== '');
  let named: { quiltId?: unknown };
  try {
    named = JSON.parse(head) as { quiltId?: unknown };
  } catch {
    return 'This is no recording: its first line must say what it is.';
  }
  if (named?.quiltId !== quiltId) return 'This recording belongs to another quilt. Open that one’s Stand.';
  let answer: { stitches: number; strange: number } | null = null;
  let strange = 0;
  for (let i = 0; i < lines.length; i += AT_ONCE) {
    try {
      const got = await post([head, ...lines.slice(i, i + AT_ONCE)].join('\n'));
      if (!got.ok)
        return ((await got.json()) as { error?: { message?: string } }).error?.message ?? 'It was not taken.';
      answer = (await got.json()) as { stitches: number; strange: number };
      strange += answer.strange;
    } catch {
      return `The studio’s computer does not answer. ${i} of ${lines.length} readings were taken: take it in again, what came before counts once.`;
    }
  }
  if (!answer) return 'This recording holds no reading.';
  return `${answer.stitches} stitches taken in${strange > 0 ? `; ${strange} lines could not be read` : ''}.`;
}
