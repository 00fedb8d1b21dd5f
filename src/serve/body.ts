import { done, refuse, type Result } from '@/actions/result';

/** A request's body as JSON, of so many bytes at most. */
export async function readJson(request: Request, mostBytes: number): Promise<Result<unknown>> {
  const parts: Uint8Array[] = [];
  let bytes = 0;
  for await (const part of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    bytes += part.length;
    if (bytes > mostBytes) return refuse('This is too large to be sent in one go.');
    parts.push(part);
  }
  try {
    return done(
      JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(Buffer.concat(parts))) as unknown,
    );
  } catch {
    return refuse('What was sent could not be read.');
  }
}
