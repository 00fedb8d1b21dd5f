import { db } from '@/data/sql';

export const dynamic = 'force-dynamic';

/** Whether the server and its database answer. */
export async function GET() {
  try {
    await db()`select 1`;
    return Response.json({ ok: true });
  } catch {
    return Response.json({ ok: false }, { status: 503 });
  }
}
