import { ask } from '@/actions/queries';
import { version } from '../../../package.json';

export const dynamic = 'force-dynamic';

/** Whether the server and its database answer: their versions, how far a standby is behind, how old the last copy is. */
export async function GET() {
  try {
    const database = await ask.readDatabaseHealth();
    return Response.json({ ok: true, version, database }, { headers: { 'Cache-Control': 'no-store' } });
  } catch {
    return Response.json({ ok: false, version }, { status: 503, headers: { 'Cache-Control': 'no-store' } });
  }
}
