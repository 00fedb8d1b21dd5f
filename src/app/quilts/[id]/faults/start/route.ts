import { ask } from '@/actions/queries';
import { isUUID } from 'class-validator';

export const dynamic = 'force-dynamic';

/** The signs of a fault in a zone of this quilt, the likeliest first. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const view = isUUID(id) ? await ask.readQuiltView(id, 'its cards') : null;
  if (!view) return new Response('No such quilt.', { status: 404 });
  const zone = new URL(request.url).searchParams.get('zone');
  return Response.json(await ask.likelyHere(view, zone), { headers: { 'Cache-Control': 'no-store' } });
}
