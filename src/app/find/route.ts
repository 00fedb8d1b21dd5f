import { find } from '@/actions/find';
import { db } from '@/data/sql';

export const dynamic = 'force-dynamic';
const MOST_LETTERS = 60;
const EACH = 6;

/** What has these letters in its name, for type-ahead. */
export async function GET(request: Request) {
  const letters = (new URL(request.url).searchParams.get('q') ?? '').trim().slice(0, MOST_LETTERS);
  return Response.json(letters ? await find(db(), letters, EACH) : [], {
    headers: { 'Cache-Control': 'no-store' },
  });
}
