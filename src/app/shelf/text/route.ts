import { ask } from '@/actions/queries';
import { SHELF_TEXTS, type ShelfText } from '@/ui/shelf/listed';

export const dynamic = 'force-dynamic';

/** The whole shelf as one text, under a mark that changes with it: the same address never answers otherwise. */
export async function GET(request: Request) {
  const query = new URL(request.url).searchParams;
  const of = query.get('of') ?? '';
  if (!Object.hasOwn(SHELF_TEXTS, of)) return new Response('There is no such list.', { status: 404 });
  const shelf = await ask.keptShelf();
  return new Response(SHELF_TEXTS[of as ShelfText](shelf), {
    headers: {
      'Content-Type': 'text/plain; charset=utf-8',
      'Cache-Control': query.get('mark') === shelf.mark ? 'private, max-age=604800, immutable' : 'no-store',
    },
  });
}
