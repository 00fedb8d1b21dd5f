import { ask } from '@/actions/queries';
import { isUUID } from 'class-validator';
import { PHOTOGRAPH_MOMENTS } from '@/core/fields/lists';
import { thisContext } from '@/actions/context';
import { HANDS, permitted } from '@/actions/may';
import { addPhotograph } from '@/actions/intakes';

export const dynamic = 'force-dynamic';

export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const photo = isUUID(id) ? await ask.readPhotographBytes(id) : null;
  if (!photo) return new Response('No such photograph.', { status: 404 });
  return new Response(new Uint8Array(photo.bytes), {
    headers: { 'Content-Type': photo.mime, 'Cache-Control': 'private, max-age=31536000, immutable' },
  });
}

/** A photograph for the talk or quilt named in the address. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const length = Number(request.headers.get('content-length') ?? 0);
  if (!isUUID(id) || length > 9_000_000)
    return Response.json(
      { ok: false, problems: [{ path: 'photo', message: 'This photograph is too large.' }] },
      { status: 400 },
    );
  const asked = new URL(request.url).searchParams.get('moment');
  const moment = PHOTOGRAPH_MOMENTS.find((m) => m === asked) ?? 'take-in';
  return Response.json(
    await addPhotograph(
      permitted(thisContext(), HANDS),
      id,
      new Uint8Array(await request.arrayBuffer()),
      moment,
    ),
  );
}
