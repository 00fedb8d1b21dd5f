import { isUUID } from 'class-validator';
import { thisContext } from '@/actions/context';
import { keepEntries, MOST_ENTRIES } from '@/actions/log';
import { readEntries } from '@/data/log';
import { db } from '@/data/sql';
import { unlessAway } from '@/serve/away';

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
  const { device, entries, sentAt } = (body ?? {}) as {
    device?: unknown;
    entries?: unknown;
    sentAt?: unknown;
  };
  if (!isUUID(device)) return told(400, 'Say which device writes: device is a UUID.');
  if (!Array.isArray(entries)) return told(400, 'entries is a list.');
  if (entries.length > MOST_ENTRIES) return told(413, `At most ${MOST_ENTRIES} entries a request.`);
  return Response.json(
    await keepEntries(
      thisContext(),
      device as string,
      entries,
      typeof sentAt === 'string' ? sentAt : undefined,
    ),
    {
      headers: { 'Cache-Control': 'no-store' },
    },
  );
}

/** The entries of a quilt after a cursor, a line each, in the server’s order. */
export const GET = (request: Request) => unlessAway(() => read(request));

async function read(request: Request) {
  const query = new URL(request.url).searchParams;
  const quilt = query.get('quilt') ?? '';
  const after = query.get('after') ?? '0';
  if (!isUUID(quilt)) return told(400, 'Say which quilt: quilt is its id.');
  if (!/^\d{1,15}$/.test(after)) return told(400, 'after is a cursor, a whole number.');
  const entries = await readEntries(db(), quilt, Number(after));
  return new Response(entries.map((e) => `${JSON.stringify(e)}\n`).join(''), {
    headers: { 'Content-Type': 'application/x-ndjson; charset=utf-8', 'Cache-Control': 'no-store' },
  });
}
