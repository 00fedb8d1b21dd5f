import { ask } from '@/actions/queries';
import { isUUID } from 'class-validator';
import { clientSheet } from '@/actions/client-sheet';

export const dynamic = 'force-dynamic';

/** The client's sheet as a letter to send. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const view = isUUID(id) ? await ask.readQuiltView(id, 'its cards') : null;
  if (!view) return new Response('No such quilt.', { status: 404 });
  const [hand, preferences] = await Promise.all([ask.readHandBack(id), ask.readPreferences()]);
  const letter = await ask.clientLetter(id, clientSheet(view, hand, preferences!), preferences!.name);
  const file = `${view.quilt.name.replace(/[^\w]+/g, '-').toLowerCase()}.eml`;
  return new Response(new Uint8Array(letter), {
    headers: {
      'Content-Type': 'message/rfc822',
      'Content-Disposition': `attachment; filename="${file}"`,
      'Cache-Control': 'no-store',
    },
  });
}
