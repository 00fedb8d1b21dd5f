import { isUUID } from 'class-validator';
import { likelyHere } from '@/actions/fault-setup';
import { readQuiltView } from '@/actions/quilt-view';
import { db } from '@/data/sql';

export const dynamic = 'force-dynamic';

/** The signs of a fault in a zone of this quilt, the likeliest first. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const view = isUUID(id) ? await readQuiltView(db(), id, 'its cards') : null;
  if (!view) return new Response('No such quilt.', { status: 404 });
  const zone = new URL(request.url).searchParams.get('zone');
  return Response.json(await likelyHere(db(), view, zone), { headers: { 'Cache-Control': 'no-store' } });
}
