import { ask } from '@/actions/queries';

export const dynamic = 'force-dynamic';

/** Whether the server and its database answer. */
export async function GET() {
  try {
    await ask.isThere();
    return Response.json({ ok: true });
  } catch {
    return Response.json({ ok: false }, { status: 503 });
  }
}
