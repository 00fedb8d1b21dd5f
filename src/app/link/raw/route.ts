import { ask } from '@/actions/queries';
import { isUUID } from 'class-validator';

export const dynamic = 'force-dynamic';

/** The raw readings of a run, as a recording that can be taken in again: the head, then a line each. */
export async function GET(request: Request) {
  const id = new URL(request.url).searchParams.get('run') ?? '';
  const run = isUUID(id) ? await ask.readRun(id) : null;
  if (!run || run.raw === 0)
    return Response.json({ error: { message: 'No raw readings are kept of this run.' } }, { status: 404 });
  const { quiltId, pass, coneId, stabilise, machine, limitInPerS } = run;
  const head = JSON.stringify({
    run: id,
    quiltId,
    pass,
    thread: coneId,
    stabilise,
    machine,
    limitInPerS,
    raw: true,
  });
  const text = new TextEncoder();
  const pieces = ask.readRaw(id);
  let begun = false;
  return new Response(
    new ReadableStream({
      async pull(to) {
        if (!begun) {
          begun = true;
          return to.enqueue(text.encode(`${head}\n`));
        }
        const { value, done } = await pieces.next();
        if (done) to.close();
        else to.enqueue(text.encode(value));
      },
      async cancel() {
        await pieces.return(undefined);
      },
    }),
    {
      headers: {
        'Content-Type': 'application/x-ndjson; charset=utf-8',
        'Content-Disposition': `attachment; filename="run-${id.slice(0, 8)}.ndjson"`,
        'Cache-Control': 'no-store',
      },
    },
  );
}
