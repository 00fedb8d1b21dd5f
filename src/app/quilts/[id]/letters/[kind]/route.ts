import { isUUID } from 'class-validator';
import { letterFile, letterName } from '@/actions/letters';
import { readQuiltView } from '@/actions/quilt-view';
import { LETTERS } from '@/core/letters/letters';
import { db } from '@/data/sql';

export const dynamic = 'force-dynamic';

/** A letter to the client as a file that a mail program opens. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string; kind: string }> }) {
  const { id, kind: wanted } = await params;
  const kind = LETTERS.find((k) => k === wanted);
  const view = kind && isUUID(id) ? await readQuiltView(db(), id, 'its cards') : null;
  if (!kind || !view) return new Response('No such letter.', { status: 404 });
  const now = new Date();
  const file = await letterFile(db(), view, kind, now);
  return new Response(new Uint8Array(file), {
    headers: {
      'Content-Type': 'message/rfc822',
      'Content-Disposition': `attachment; filename="${letterName(view.quilt.name, kind, now)}"`,
      'Cache-Control': 'no-store',
    },
  });
}
