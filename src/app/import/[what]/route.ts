import { revalidatePath } from 'next/cache';
import { thisContext } from '@/actions/context';
import { importFile } from '@/actions/exchange';
import { isAway, mishap } from '@/actions/mishaps';
import { importWorkroom } from '@/actions/workroom-file';
import { readJson } from '@/serve/body';

export const dynamic = 'force-dynamic';

/** 20 000 rows of the longest cells, and a workroom of as many cones, are less. */
const MOST_BYTES = 64_000_000;
const ACTS = { rows: importFile, workroom: importWorkroom } as const;

/** Files come in here, larger than a form may be. */
export async function POST(request: Request, { params }: { params: Promise<{ what: string }> }) {
  const { what } = await params;
  const act = Object.hasOwn(ACTS, what) ? ACTS[what as keyof typeof ACTS] : null;
  if (!act) return Response.json({ error: 'There is no such door.' }, { status: 404 });
  const sent = await readJson(request, MOST_BYTES);
  if (!sent.ok) return Response.json(sent, { status: 400 });
  let awayNow = false;
  const result = await act(thisContext(), sent.value).catch((e: unknown) => {
    awayNow = isAway(e);
    return mishap(`import ${what}`, e);
  });
  // The page reads its words all the same; another program sees when to come again.
  if (awayNow) return Response.json(result, { status: 503, headers: { 'Retry-After': '2' } });
  if (result.ok) revalidatePath('/', 'layout');
  return Response.json(result);
}
