import type { IncomingMessage, OutgoingHttpHeaders, ServerResponse } from 'node:http';
import { promisify } from 'node:util';
import { constants, gunzip as gunzipWith, gzip as gzipWith } from 'node:zlib';
import { LRUCache } from 'lru-cache';

const gzip = promisify(gzipWith);
const gunzip = promisify(gunzipWith);

/** A page as it was drawn, and the state of the database it was drawn from. */
interface Page {
  status: number;
  headers: OutgoingHttpHeaders;
  /** Its text, cut where its nonce stood. */
  parts: readonly Buffer[];
  nonce: string | null;
}

/** What goes in and out as a stream or comes from a disk, and what stands for ever: none of it is kept here. */
const NOT_PAGES =
  /^\/(_next|backup|import|export|photographs|log|live|link|health|workroom\/files)(\/|$)|\.\w+$/;

/** Headers that an answer depends on; the framework names them when a link is followed. */
const ASKED_BY = [
  'host',
  'rsc',
  'next-url',
  'next-router-state-tree',
  'next-router-prefetch',
  'next-router-segment-prefetch',
];

const NONCE = /'nonce-([^']+)'/;

/**
 * A page that ended in an error somewhere carries its number; such a page is not kept. What is only drawn in the browser
 * (the numberless kind) is no error.
 */
const FAILED = /data-dgst="\d|"digest":"\d/;

/**
 * Pages drawn once for each state of the database: asked for again, in the same minute, by the same address and with the
 * same cookies, they are sent as they were drawn, each time with a nonce of its own. Those who ask at once wait for one
 * drawing. Nothing here can be out of date: the mark is read before a page is drawn, so that a page is never newer than
 * its mark says, and any committed change gives another mark.
 */
export class KeptPages {
  private readonly kept: LRUCache<string, Page>;
  private readonly drawing = new Map<string, Promise<Page | null>>();

  /**
   * @param mark the state of the database; null where it cannot be told, and then nothing is kept
   * @param newNonce a nonce for one answer
   */
  constructor(
    private readonly mark: () => Promise<string | null>,
    private readonly newNonce: () => string,
    private readonly now: () => number = Date.now,
    mostBytes = 96e6,
  ) {
    this.kept = new LRUCache({
      maxSize: mostBytes,
      sizeCalculation: (p) => p.parts.reduce((n, b) => n + b.length, 1000),
    });
  }

  /** Answers a request of somebody; what is no page goes straight through. */
  async answer(
    req: IncomingMessage,
    res: ServerResponse,
    who: string,
    draw: (req: IncomingMessage, res: ServerResponse) => Promise<unknown>,
  ): Promise<void> {
    const mark = isPage(req) ? await this.mark() : null;
    if (mark === null) return void (await draw(req, res));
    const key = keyOf(req, mark, who, this.now());
    const page = this.kept.get(key) ?? (await this.drawing.get(key));
    if (page) return this.send(req, res, page);
    let told: (page: Page | null) => void = () => {};
    const drawn = new Promise<Page | null>((resolve) => (told = resolve));
    // Only the first of those who come at once is waited for; should it fail, everyone else draws for himself.
    if (!this.drawing.has(key)) this.drawing.set(key, drawn);
    void drawn.then((p) => {
      if (p) this.kept.set(key, p);
      if (this.drawing.get(key) === drawn) this.drawing.delete(key);
    });
    overhear(res, told);
    await draw(req, res);
  }

  private async send(req: IncomingMessage, res: ServerResponse, page: Page): Promise<void> {
    const nonce = page.nonce && this.newNonce();
    const fresh = (text: string) => (nonce ? text.replaceAll(page.nonce!, nonce) : text);
    const between = Buffer.from(nonce ?? '');
    for (const [name, value] of Object.entries(page.headers))
      if (value !== undefined) res.setHeader(name, typeof value === 'string' ? fresh(value) : value);
    let body: Buffer = Buffer.concat(page.parts.flatMap((part, i) => (i === 0 ? [part] : [between, part])));
    if (/\bgzip\b/.test(String(req.headers['accept-encoding'] ?? ''))) {
      body = await gzip(body, { level: constants.Z_BEST_SPEED });
      res.setHeader('Content-Encoding', 'gzip');
    }
    res.setHeader('Content-Length', body.length);
    res.statusCode = page.status;
    res.end(req.method === 'HEAD' ? undefined : body);
  }
}

const isPage = ({ method, url = '' }: IncomingMessage) =>
  (method === 'GET' || method === 'HEAD') && !NOT_PAGES.test(url.split('?')[0]!);

function keyOf({ method, url, headers }: IncomingMessage, mark: string, who: string, now: number): string {
  // The session changes with every sign-in; what a page says changes with who asks.
  const cookies = (headers.cookie ?? '')
    .split(/;\s*/)
    .filter((c) => c && !c.startsWith('tidy-spool='))
    .sort();
  return JSON.stringify([
    mark,
    who,
    Math.floor(now / 60_000),
    method,
    url,
    cookies,
    ...ASKED_BY.map((name) => headers[name] ?? null),
  ]);
}

/** Tells what an answer said once it is whole: the page, or null where it is not one to be kept. */
function overhear(res: ServerResponse, tell: (page: Page | null) => void) {
  const parts: Buffer[] = [];
  const take = (chunk: unknown, encoding: unknown) => {
    if (typeof chunk === 'string')
      parts.push(Buffer.from(chunk, typeof encoding === 'string' ? (encoding as BufferEncoding) : 'utf8'));
    else if (chunk instanceof Uint8Array) parts.push(Buffer.from(chunk));
  };
  const write = res.write.bind(res) as (...args: unknown[]) => boolean;
  const end = res.end.bind(res) as (...args: unknown[]) => ServerResponse;
  res.write = ((...args: unknown[]) => {
    take(args[0], args[1]);
    return write(...args);
  }) as typeof res.write;
  res.end = ((...args: unknown[]) => {
    take(args[0], args[1]);
    const answered = end(...args);
    pageOf(res, parts).then(tell, () => tell(null));
    return answered;
  }) as typeof res.end;
  // Left before it was whole.
  res.once('close', () => res.writableEnded || tell(null));
}

const OF_THE_LINE = [
  'content-length',
  'content-encoding',
  'transfer-encoding',
  'connection',
  'date',
  'keep-alive',
];

/** A page, or where another one is. */
const KEPT = [200, 307];

async function pageOf(res: ServerResponse, parts: readonly Buffer[]): Promise<Page | null> {
  const headers = { ...res.getHeaders() };
  const packed = headers['content-encoding'];
  const whole = KEPT.includes(res.statusCode) && !headers['set-cookie'] && (!packed || packed === 'gzip');
  if (!whole || !/^text\/(html|x-component)/.test(String(headers['content-type'] ?? ''))) return null;
  const sent = Buffer.concat(parts);
  const body = (packed ? await gunzip(sent) : sent).toString('utf8');
  if (FAILED.test(body)) return null;
  for (const name of OF_THE_LINE) delete headers[name];
  const nonce = NONCE.exec(String(headers['content-security-policy'] ?? ''))?.[1] ?? null;
  const cut = nonce ? body.split(nonce) : [body];
  return { status: res.statusCode, headers, parts: cut.map((part) => Buffer.from(part)), nonce };
}
