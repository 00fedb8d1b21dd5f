import { ask } from '@/actions/queries';
import { isUUID } from 'class-validator';
import { onEntry } from '@/actions/live';
import { unlessAway } from '@/serve/away';

export const dynamic = 'force-dynamic';
const STILL_HERE_MS = 15_000;
/** Even if a call of the database is lost, nobody waits longer. */
const LOOK_ANYWAY_MS = 5_000;

/** Each new entry of a quilt as it is added, by server-sent events; resumed by the last cursor seen. */
export const GET = (request: Request) => unlessAway(() => listen(request));

async function listen(request: Request): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const quilt = query.get('quilt') ?? '';
  const last = request.headers.get('last-event-id') ?? query.get('after') ?? '0';
  if (!isUUID(quilt)) return new Response('Say which quilt: quilt is its id.', { status: 400 });
  if (!/^\d{1,15}$/.test(last)) return new Response('The last cursor is a whole number.', { status: 400 });
  // Whoever comes while the database is away is told when to come again.
  await ask.isThere();
  let cursor = Number(last);
  let end = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const text = new TextEncoder();
      const send = (s: string) => controller.enqueue(text.encode(s));
      let busy = false;
      let again = false;
      const look = async () => {
        if (busy) return void (again = true);
        busy = true;
        try {
          do {
            again = false;
            for (const e of await ask.readEntries(quilt, cursor)) {
              cursor = e.cursor;
              send(`id: ${cursor}\ndata: ${JSON.stringify(e)}\n\n`);
            }
          } while (again);
        } catch {
          // The database is away for a moment: the next look finds what came.
        }
        busy = false;
      };
      const stop = onEntry(quilt, () => void look());
      const still = setInterval(() => send(': still here\n\n'), STILL_HERE_MS);
      const anyway = setInterval(() => void look(), LOOK_ANYWAY_MS);
      end = () => {
        end = () => {};
        stop();
        clearInterval(still);
        clearInterval(anyway);
        try {
          controller.close();
        } catch {
          // Closed from the other side.
        }
      };
      request.signal.addEventListener('abort', () => end());
      send('retry: 1000\n\n');
      void look();
    },
    cancel: () => end(),
  });
  return new Response(body, {
    headers: {
      'Content-Type': 'text/event-stream; charset=utf-8',
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
    },
  });
}
