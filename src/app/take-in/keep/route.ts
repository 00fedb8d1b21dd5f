import { thisContext } from '@/actions/context';
import { mishap } from '@/actions/mishaps';
import { perform } from '@/actions/registry';
import { readJson } from '@/serve/body';

/** A talk that is left before it was kept sends its last words here, as the page goes. */
export async function POST(request: Request) {
  const sent = await readJson(request, 200_000);
  if (!sent.ok) return Response.json(sent, { status: 400 });
  return Response.json(
    await perform(thisContext(), 'keepIntake', sent.value).catch((e: unknown) => mishap('keepIntake', e)),
  );
}
