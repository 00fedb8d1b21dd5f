import { ask } from '@/actions/queries';
import { isUUID } from 'class-validator';
import { thisContext } from '@/actions/context';
import { perform } from '@/actions/registry';
import { unlessAway } from '@/serve/away';

export const dynamic = 'force-dynamic';
const MOST_BYTES = 1_000_000;
const told = (status: number, message: string) => Response.json({ error: { message } }, { status });
const NO_STORE = { 'Cache-Control': 'no-store' };

/** Readings of a machine: a line that says what they are, then a line each. */
export const POST = (request: Request) => unlessAway(() => keep(request));

async function keep(request: Request) {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES)
    return told(413, 'At most 1 MB a request.');
  const text = await request.text();
  if (text.length > MOST_BYTES) return told(413, 'At most 1 MB a request.');
  const r = await perform(thisContext(), 'keepReadings', { text });
  return r.ok ? Response.json(r.value, { headers: NO_STORE }) : told(400, r.problems[0]!.message);
}

/** The runs of a quilt as they were kept, a line each with its path; or, with a step named, what is to be sewn there. */
export const GET = (request: Request) => unlessAway(() => read(request));

async function read(request: Request) {
  const query = new URL(request.url).searchParams;
  const quilt = query.get('quilt') ?? '';
  if (!isUUID(quilt)) return told(400, 'Say which quilt: quilt is its id.');
  const pass = Number(query.get('pass'));
  if (query.has('pass')) {
    const work = await ask.stepWork(quilt, {
      pass,
      thread: query.get('thread') ?? '',
      stabilise: query.get('stabilise') === 'true',
    });
    return work
      ? Response.json(work, { headers: NO_STORE })
      : told(404, 'The plan of this quilt has no such step.');
  }
  const runs = await ask.readRuns(quilt);
  const lines: string[] = [];
  for (const run of runs) lines.push(JSON.stringify({ ...run, path: await ask.readPath(run.id) }));
  return new Response(lines.map((l) => `${l}\n`).join(''), {
    headers: { 'Content-Type': 'application/x-ndjson; charset=utf-8', ...NO_STORE },
  });
}
