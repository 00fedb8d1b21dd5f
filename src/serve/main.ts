// Serves the built app: one door in front of it, for HTTP on this computer and HTTPS with sign-in beyond it.
import { existsSync, readFileSync } from 'node:fs';
import {
  createServer as createHttp,
  type IncomingMessage,
  type ServerResponse,
  type RequestListener,
} from 'node:http';
import { createServer as createHttps } from 'node:https';
import { randomUUID, X509Certificate } from 'node:crypto';
import next from 'next';
import { connect } from '@/data/sql';
import { answer, HEADERS, listedNames, refusal, tellUnreadable } from './door';
import { KeptPages } from './kept-pages';
import { Metrics } from './metrics';
import { reached, type Reached } from './reached';
import { say } from './say';
import { Door } from './sign-in';

const LOOPBACK = ['127.0.0.1', 'localhost', '::1'];
/** A database that does not say its state by then is not waited for; the page itself says what is wrong. */
const MARK_MS = 1000;

/** The state of the database: what a new transaction would see. Any change that was committed gives another one. */
function databaseMark(url: string | undefined): () => Promise<string | null> {
  const sql = url ? connect(url, 2) : null;
  return async () => {
    if (!sql) return null;
    const late = new Promise<null>((r) => setTimeout(r, MARK_MS, null).unref());
    const asked = sql<{ mark: string }[]>`select pg_current_snapshot()::text as mark`.then(
      ([row]) => row!.mark,
      () => null,
    );
    return Promise.race([asked, late]);
  };
}

/** Whether a request comes from this very computer, through no proxy. */
const isNear = ({ socket, headers }: IncomingMessage): boolean =>
  /^(::ffff:)?127\.|^::1$/.test(socket.remoteAddress ?? '') && !headers['x-forwarded-for'];

/** Between two programs on one computer nothing is won by packing. */
function sendPlain(req: IncomingMessage) {
  if (isNear(req)) delete req.headers['accept-encoding'];
}

/** The studio's own authority, where one was made; else the certificate itself. */
function authorityOf(tls: string): { certificate: string; fingerprint: string } {
  const file = existsSync(`${tls}/authority.pem`) ? 'authority.pem' : 'certificate.pem';
  const certificate = readFileSync(`${tls}/${file}`, 'utf8');
  return { certificate, fingerprint: new X509Certificate(certificate).fingerprint256 };
}

/** Everything a request is answered with. */
interface Served {
  door: Door | null;
  names: ReturnType<typeof listedNames>;
  metrics: Metrics | null;
  pages: KeptPages;
  handle: (req: IncomingMessage, res: ServerResponse) => Promise<void>;
}

/** Each request through the door, and on to the app as whom it let in. */
function listener({ door, names, metrics, pages, handle }: Served): RequestListener {
  return (req, res) => {
    const through = async () => {
      for (const [name, value] of Object.entries(HEADERS)) res.setHeader(name, value);
      const no = refusal(req, names);
      if (no) return answer(res, ...no);
      // Everything is sent whole: a range past a file's end is nobody's need.
      delete req.headers.range;
      metrics?.watch(req, res);
      const who = door && (await door.open(req, res, isNear(req)));
      if (door && !who) return;
      if (req.url === '/metrics') {
        const told = metrics && (await metrics.text());
        return told
          ? answer(res, 200, told.body, told.type.split(';')[0])
          : answer(res, 404, 'Metrics are off: TIDY_SPOOL_METRICS=1 turns them on.');
      }
      const far: Reached = { act: false, ...(who?.id && { actor: who, deviceId: who.deviceId }) };
      tellUnreadable(req, res, far);
      sendPlain(req);
      await pages.answer(req, res, who?.id ?? '', () => reached.run(far, () => handle(req, res)));
    };
    through().catch((error: unknown) => {
      say.error({ err: error, url: req.url?.split('?')[0] }, 'a request failed at the door');
      if (res.headersSent) res.destroy();
      else answer(res, 503, 'The program could not answer just now. Try again in a moment.');
    });
  };
}

function cannotServe(error: NodeJS.ErrnoException, hostname: string, port: number): void {
  console.error(
    error.code === 'EADDRINUSE'
      ? `Port ${port} on ${hostname} is already in use.`
      : `It cannot be served on ${hostname}, port ${port}: ${error.message}.`,
  );
  process.exit(1);
}

/** Ends what is being answered, soon, when the program is told to stop. */
function endOnSignal(server: ReturnType<typeof createHttp> | ReturnType<typeof createHttps>): void {
  const stop = () => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
    setTimeout(() => process.exit(0), 3000).unref();
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);
}

async function serve(env: NodeJS.ProcessEnv) {
  const hostname = env.HOST ?? '127.0.0.1';
  const port = Number(env.PORT ?? 3111);
  const tls = env.TIDY_SPOOL_TLS;
  const hash = env.TIDY_SPOOL_PASSPHRASE_HASH;
  if (!LOOPBACK.includes(hostname) && !hash)
    throw new Error('Beyond this computer Tidy Spool is served only with a passphrase.');
  const certificate = tls ? readFileSync(`${tls}/certificate.pem`, 'utf8') : null;
  const authority = tls ? authorityOf(tls) : { certificate: null, fingerprint: null };
  const door = env.DATABASE_URL
    ? new Door({ sql: connect(env.DATABASE_URL, 4), hash: hash ?? null, ...authority })
    : null;
  process.env.TIDY_SPOOL_FINGERPRINT = authority.fingerprint ?? '';
  const names = listedNames(env);
  const metrics = env.TIDY_SPOOL_METRICS === '1' ? new Metrics() : null;
  const app = next({ dev: false, hostname, port });
  await app.prepare();
  const handle = app.getRequestHandler();
  const pages = new KeptPages(databaseMark(env.DATABASE_URL), () => btoa(randomUUID()));
  const act = listener({ door, names, metrics, pages, handle });
  const server = tls
    ? createHttps({ cert: certificate!, key: readFileSync(`${tls}/key.pem`) }, act)
    : createHttp(act);
  server.requestTimeout = 600_000;
  // A device that taps now and then keeps its line: one that is closed just as it is used again is an error at the device.
  server.keepAliveTimeout = 75_000;
  server.once('error', (error: NodeJS.ErrnoException) => cannotServe(error, hostname, port));
  server.listen(port, hostname, () => say.info({ hostname, port, tls: !!tls }, 'serving'));
  endOnSignal(server);
}

serve(process.env).catch((error: unknown) => {
  console.error((error as Error).message);
  process.exit(1);
});
