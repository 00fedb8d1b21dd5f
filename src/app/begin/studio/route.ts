import { mishap } from '@/actions/mishaps';
import { changeStudio, NotChanged } from '@/demo/change-studio';
import { thisContext } from '@/actions/context';
import { OWNER, permitted } from '@/actions/may';
import { readJson } from '@/serve/body';

export const dynamic = 'force-dynamic';

/** The demo studio to look at, or an empty one in its place. */
export async function POST(request: Request) {
  const sent = await readJson(request, 1000);
  if (!sent.ok) return Response.json(sent, { status: 400 });
  const { to } = sent.value as { to?: unknown };
  const wrong = (message: string, status = 400) =>
    Response.json({ ok: false, problems: [{ path: '', message }] }, { status });
  if (to !== 'demo' && to !== 'empty') return wrong('Say which studio.');
  try {
    await changeStudio(permitted(thisContext(), OWNER).sql, process.env.DATABASE_URL!, to, new Date());
    return Response.json({ ok: true, value: { to } });
  } catch (error) {
    if (error instanceof NotChanged) return wrong(error.message, 409);
    return Response.json(await mishap('changeStudio', error), { status: 500 });
  }
}
