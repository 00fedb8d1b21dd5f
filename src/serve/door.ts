import type { IncomingMessage, ServerResponse } from 'node:http';

/** Names a studio is served on besides addresses in figures and this computer. */
export const listedNames = (env: NodeJS.ProcessEnv = process.env): string[] =>
  (env.TIDY_SPOOL_HOSTS ?? '').split(',').flatMap((name) => name.trim().toLowerCase() || []);

/**
 * Whether a request was meant for this program: an address in figures, this computer, or a name that was listed. A page
 * of a foreign name that resolves to this computer comes with that name, and is refused.
 */
export function isOurs(host: string | null | undefined, names: readonly string[]): boolean {
  const name = (host ?? '').toLowerCase().replace(/:\d+$/, '');
  return (
    name === 'localhost' || /^\d{1,3}(\.\d{1,3}){3}$|^\[[0-9a-f:.]+\]$/.test(name) || names.includes(name)
  );
}

/** What is wrong with an address, or nothing: every part must be readable, and stand once. */
export function badAddress(url: string): string | null {
  if (url.length > 4000) return 'This address is too long.';
  try {
    // A lone half of a letter pair, or a broken %-escape, throws.
    const whole = decodeURIComponent(url.replaceAll('+', ' '));
    if (/[\u0000-\u001f\u007f]/.test(whole)) return 'This address holds letters that cannot be read.';
    encodeURIComponent(whole);
  } catch {
    return 'This address cannot be read.';
  }
  if (!url.startsWith('/') || url.startsWith('//')) return 'This address cannot be read.';
  const keys = [...new URL(url, 'http://x').searchParams.keys()];
  return new Set(keys).size < keys.length ? 'A part of this address stands twice.' : null;
}

/** Doors for other programs: machines and scripts do not say which page they come from. */
const FOR_PROGRAMS = ['/log', '/link'];

/**
 * Whether a request that changes something comes from this program's own pages, or from a program at a door made for it.
 * Browsers say where from, by one of two headers at least; what says neither is no page, and may only write to the log and
 * the link (beyond this computer signed in, as everything there).
 */
export function isOwn({ headers, url }: Pick<IncomingMessage, 'headers' | 'url'>): boolean {
  const { origin, host } = headers;
  const site = headers['sec-fetch-site'];
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return false;
  if (origin === undefined)
    return site === 'same-origin' || FOR_PROGRAMS.includes((url ?? '').split('?')[0]!);
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}

const METHODS = ['GET', 'HEAD', 'POST'];

/** Why a request is not let in: a status and a sentence; null when it may come in. */
export function refusal(
  req: Pick<IncomingMessage, 'headers' | 'method' | 'url'>,
  names: readonly string[],
): [status: number, words: string] | null {
  if (!isOurs(req.headers.host, names)) return [421, 'This address is not one that Tidy Spool is served on.'];
  if (!METHODS.includes(req.method ?? '')) return [405, 'This is not something one can ask for here.'];
  const bad = badAddress(req.url ?? '');
  if (bad) return [400, bad];
  if (req.method === 'POST' && !isOwn(req))
    return [403, 'Only Tidy Spool’s own pages may change anything here.'];
  return null;
}

/** On every answer, files and errors too; pages bring a stricter policy of their own. */
export const HEADERS: Readonly<Record<string, string>> = {
  'Content-Security-Policy':
    "default-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'",
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Cross-Origin-Resource-Policy': 'same-origin',
  'X-Content-Type-Options': 'nosniff',
  'X-Frame-Options': 'DENY',
  'Referrer-Policy': 'same-origin',
  'Permissions-Policy': 'camera=(), microphone=(), geolocation=()',
};

export function answer(res: ServerResponse, status: number, words: string, type = 'text/plain'): void {
  res.statusCode = status;
  res.setHeader('Content-Type', `${type}; charset=utf-8`);
  res.setHeader('Cache-Control', 'no-store');
  res.end(words);
}

/**
 * A form that cannot even be taken apart is the sender's mistake, not the program's: where the framework answers it
 * with 500 before any act of ours was reached, it is told as 400. What an act of ours answers is never rewritten: a
 * failure of it stays a failure, with its number in the log.
 */
export function tellUnreadable(req: IncomingMessage, res: ServerResponse, reached: { act: boolean }): void {
  if (req.method !== 'POST' || !req.headers['next-action']) return;
  const told = (status: number) => (status === 500 && !reached.act ? 400 : status);
  const writeHead = res.writeHead.bind(res) as (status: number, ...rest: unknown[]) => ServerResponse;
  res.writeHead = ((status: number, ...rest: unknown[]) =>
    writeHead(told(status), ...rest)) as typeof res.writeHead;
  let status = res.statusCode;
  Object.defineProperty(res, 'statusCode', {
    get: () => status,
    set: (next: number) => {
      status = told(next);
    },
  });
}
