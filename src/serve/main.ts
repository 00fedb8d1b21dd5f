// Serves the built app: one door in front of it, for HTTP on this computer and HTTPS with sign-in beyond it.
import { readFileSync } from 'node:fs';
import { createServer as createHttp, type RequestListener } from 'node:http';
import { createServer as createHttps } from 'node:https';
import { randomBytes } from 'node:crypto';
import next from 'next';
import { answer, HEADERS, listedNames, refusal, tellUnreadable } from './door';
import { reached } from './reached';
import { type Keeper, keepDoor } from './sign-in';

const LOOPBACK = ['127.0.0.1', 'localhost', '::1'];

async function serve(env: NodeJS.ProcessEnv) {
  const hostname = env.HOST ?? '127.0.0.1';
  const port = Number(env.PORT ?? 3111);
  const tls = env.TIDY_SPOOL_TLS;
  const hash = env.TIDY_SPOOL_PASSPHRASE_HASH;
  if (!LOOPBACK.includes(hostname) && !hash)
    throw new Error('Beyond this computer Tidy Spool is served only with a passphrase.');
  const certificate = tls ? readFileSync(`${tls}/certificate.pem`, 'utf8') : null;
  const keeper: Keeper | null = hash
    ? { hash, secret: env.TIDY_SPOOL_SECRET || randomBytes(32).toString('hex'), certificate }
    : null;
  const names = listedNames(env);
  const app = next({ dev: false, hostname, port });
  await app.prepare();
  const handle = app.getRequestHandler();
  const act: RequestListener = (req, res) => {
    const through = async () => {
      for (const [name, value] of Object.entries(HEADERS)) res.setHeader(name, value);
      const no = refusal(req, names);
      if (no) return answer(res, ...no);
      // Everything is sent whole: a range past a file's end is nobody's need.
      delete req.headers.range;
      if (keeper && !(await keepDoor(req, res, keeper))) return;
      const far = { act: false };
      tellUnreadable(req, res, far);
      await reached.run(far, () => handle(req, res));
    };
    through().catch((error: unknown) => {
      console.error(error);
      if (res.headersSent) res.destroy();
      else answer(res, 503, 'The program could not answer just now. Try again in a moment.');
    });
  };
  const server = tls
    ? createHttps({ cert: certificate!, key: readFileSync(`${tls}/key.pem`) }, act)
    : createHttp(act);
  server.requestTimeout = 600_000;
  server.once('error', (error: NodeJS.ErrnoException) => {
    console.error(
      error.code === 'EADDRINUSE'
        ? `Port ${port} on ${hostname} is already in use.`
        : `It cannot be served on ${hostname}, port ${port}: ${error.message}.`,
    );
    process.exit(1);
  });
  server.listen(port, hostname);
  const stop = () => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
    setTimeout(() => process.exit(0), 3000).unref();
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);
}

serve(process.env).catch((error: unknown) => {
  console.error((error as Error).message);
  process.exit(1);
});
