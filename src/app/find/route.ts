import { ask } from '@/actions/queries';

export const dynamic = 'force-dynamic';
const MOST_LETTERS = 60;
const EACH = 6;

/** What has these letters in its name, for type-ahead. */
export async function GET(request: Request) {
  const letters = (new URL(request.url).searchParams.get('q') ?? '').trim().slice(0, MOST_LETTERS);
  return Response.json(letters ? await ask.find(letters, EACH) : [], {
    headers: { 'Cache-Control': 'no-store' },
  });
}
