import { ask } from '@/actions/queries';
import { isUUID } from 'class-validator';
import { thisContext } from '@/actions/context';
import { perform } from '@/actions/registry';
import type { Problem } from '@/actions/result';
import { unlessAway } from '@/serve/away';
import { reached } from '@/serve/reached';

export const dynamic = 'force-dynamic';
const MOST_BYTES = 1_000_000;

const told = (status: number, message: string) => Response.json({ error: { message } }, { status });

/** Entries of a device: kept once however often they come, each told by its id. */
export const POST = (request: Request) => unlessAway(() => keep(request));

async function keep(request: Request) {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES)
    return told(413, 'At most 1 MB a request.');
  const text = await request.text();
  if (text.length > MOST_BYTES) return told(413, 'At most 1 MB a request.');
  let body: unknown;
  try {
    body = JSON.parse(text);
  } catch {
    return told(400, 'This is not JSON.');
  }
  const { device, entries, sentAt } = (body ?? {}) as Record<string, unknown>;
  const strange = await strangeDevice(device);
  if (strange) return told(403, strange);
  const kept = await perform(thisContext(), 'keepEntries', {
    device,
    entries,
    ...(typeof sentAt === 'string' ? { sentAt } : {}),
  });
  if (kept.ok) return Response.json(kept.value, { headers: { 'Cache-Control': 'no-store' } });
  const [{ path, message }] = kept.problems as [Problem];
  return told(path === 'entries' && Array.isArray(entries) ? 413 : 400, message);
}

/** Why a device may not write under this name; null when it may. What waits on it stays there. */
async function strangeDevice(device: unknown): Promise<string | null> {
  const own = reached.getStore()?.deviceId ?? null;
  if (own !== null && device !== own)
    return 'This device was paired under another name: pair it again, under Workroom, People. What waits on it stays.';
  if (
    own === null &&
    typeof device === 'string' &&
    isUUID(device) &&
    (await ask.readDeviceState(device)) !== null
  )
    return 'This name belongs to a device that was paired: sign in on it, or pair it again. What waits on it stays.';
  return null;
}

/** The entries of a quilt after a cursor, a line each, in the server’s order. */
export const GET = (request: Request) => unlessAway(() => read(request));

async function read(request: Request) {
  const query = new URL(request.url).searchParams;
  const quilt = query.get('quilt') ?? '';
  const after = query.get('after') ?? '0';
  if (!isUUID(quilt)) return told(400, 'Say which quilt: quilt is its id.');
  if (!/^\d{1,15}$/.test(after)) return told(400, 'after is a cursor, a whole number.');
  const entries = await ask.readEntries(quilt, Number(after));
  return new Response(entries.map((e) => `${JSON.stringify(e)}\n`).join(''), {
    headers: { 'Content-Type': 'application/x-ndjson; charset=utf-8', 'Cache-Control': 'no-store' },
  });
}
