import { revalidatePath } from 'next/cache';
import { thisContext } from '@/actions/context';
import { isAway, mishap } from '@/actions/mishaps';
import { perform } from '@/actions/registry';
import type { Result } from '@/actions/result';
import { readJson } from '@/serve/body';

export const dynamic = 'force-dynamic';

/** 20 000 rows of the longest cells, and a workroom of as many cones, are less. */
const MOST_BYTES = 64_000_000;
const COMMANDS = { rows: 'importRows', workroom: 'importWorkroom' } as const;

/** Files come in here, larger than a form may be. */
export async function POST(request: Request, { params }: { params: Promise<{ what: string }> }) {
  const { what } = await params;
  const name = Object.hasOwn(COMMANDS, what) ? COMMANDS[what as keyof typeof COMMANDS] : null;
  if (!name) return Response.json({ error: 'There is no such door.' }, { status: 404 });
  const sent = await readJson(request, MOST_BYTES);
  if (!sent.ok) return Response.json(sent, { status: 400 });
  let awayNow = false;
  const result = await (perform(thisContext(), name, sent.value) as Promise<Result<unknown>>).catch(
    (e: unknown) => {
      awayNow = isAway(e);
      return mishap(`import ${what}`, e);
    },
  );
  // The page reads its words all the same; another program sees when to come again.
  if (awayNow) return Response.json(result, { status: 503, headers: { 'Retry-After': '2' } });
  if (result.ok) revalidatePath('/', 'layout');
  return Response.json(result);
}
