import { ask } from '@/actions/queries';
import { isUUID } from 'class-validator';
import { letterName } from '@/actions/letters';
import { LETTERS } from '@/core/letters/letters';

export const dynamic = 'force-dynamic';

/** A letter to the client as a file that a mail program opens. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string; kind: string }> }) {
  const { id, kind: wanted } = await params;
  const kind = LETTERS.find((k) => k === wanted);
  const view = kind && isUUID(id) ? await ask.readQuiltView(id, 'its cards') : null;
  if (!kind || !view) return new Response('No such letter.', { status: 404 });
  const now = new Date();
  const file = await ask.letterFile(view, kind, now);
  return new Response(new Uint8Array(file), {
    headers: {
      'Content-Type': 'message/rfc822',
      'Content-Disposition': `attachment; filename="${letterName(view.quilt.name, kind, now)}"`,
      'Cache-Control': 'no-store',
    },
  });
}
