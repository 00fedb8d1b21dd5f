import { thisContext } from '@/actions/context';
import { mishap } from '@/actions/mishaps';
import { perform } from '@/actions/registry';
import { readJson } from '@/serve/body';

/** What was chosen of backing and binding last, as the page goes. */
export async function POST(request: Request) {
  const sent = await readJson(request, 20_000);
  if (!sent.ok) return Response.json(sent, { status: 400 });
  return Response.json(
    await perform(thisContext(), 'keepPrepared', sent.value).catch((e: unknown) => mishap('keepPrepared', e)),
  );
}
