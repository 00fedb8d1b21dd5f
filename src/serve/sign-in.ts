import { createHmac, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { promisify } from 'node:util';
import { answer } from './door';

const derive = promisify(scrypt) as (text: string, salt: Buffer, bytes: number) => Promise<Buffer>;
const BYTES = 32;

/** A passphrase as it is kept: salt and scrypt hash. */
export async function hashPassphrase(words: string): Promise<string> {
  const salt = randomBytes(16);
  return `scrypt:${salt.toString('base64')}:${(await derive(words.normalize('NFKC'), salt, BYTES)).toString('base64')}`;
}

/** Compared in constant time. */
export async function isPassphrase(words: string, kept: string): Promise<boolean> {
  const [, salt = '', hash = ''] = kept.split(':');
  const wanted = Buffer.from(hash, 'base64');
  const given = await derive(words.normalize('NFKC'), Buffer.from(salt, 'base64'), BYTES);
  return wanted.length === given.length && timingSafeEqual(wanted, given);
}

const DAYS = 30;
const COOKIE = 'tidy-spool';
const signed = (text: string, secret: string) =>
  createHmac('sha256', secret).update(text).digest('base64url');

/** A session: until when, a random mark, and both signed. */
export function newSession(secret: string, now: number): string {
  const text = `${now + DAYS * 86_400_000}.${randomBytes(12).toString('base64url')}`;
  return `${text}.${signed(text, secret)}`;
}

export function isSession(token: string | undefined, secret: string, now: number): boolean {
  const [until, mark, sign = ''] = (token ?? '').split('.');
  const wanted = Buffer.from(signed(`${until}.${mark}`, secret));
  const given = Buffer.from(sign);
  return Number(until) > now && given.length === wanted.length && timingSafeEqual(given, wanted);
}

export const sessionOf = ({ headers }: Pick<IncomingMessage, 'headers'>): string | undefined =>
  new RegExp(`(?:^|;\\s*)${COOKIE}=([^;]+)`).exec(headers.cookie ?? '')?.[1];

/** Tries from one address: five, then each further one costs a pause that doubles, up to a quarter of an hour. */
export class Tries {
  private seen = new Map<string, { n: number; next: number }>();
  constructor(
    private readonly free = 5,
    private readonly firstMs = 2000,
    private readonly mostMs = 900_000,
  ) {}
  /** Milliseconds to wait before the next try; 0: at once. */
  waitMs(from: string, now: number): number {
    return Math.max(0, (this.seen.get(from)?.next ?? 0) - now);
  }
  failed(from: string, now: number): void {
    const n = (this.seen.get(from)?.n ?? 0) + 1;
    const pause = n < this.free ? 0 : Math.min(this.mostMs, this.firstMs * 2 ** (n - this.free));
    this.seen.delete(from);
    this.seen.set(from, { n, next: now + pause });
    if (this.seen.size > 10_000) this.seen.delete(this.seen.keys().next().value!);
  }
  worked(from: string): void {
    this.seen.delete(from);
  }
}

const page = (problem: string, certificate: boolean) => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>Sign in · Tidy Spool</title>
<style>
:root{color-scheme:light}
body{margin:0;min-height:100vh;display:grid;place-items:center;background:#f6f3ec;color:#20262b;font:18px/1.5 system-ui,sans-serif}
main{width:min(420px,92vw)}h1{font:600 28px/1.2 Georgia,serif;margin:0 0 16px;border-bottom:3px solid #2b3f70;padding-bottom:8px}
label{display:block;font-size:15px;margin-bottom:4px;color:#4b5358}
input{box-sizing:border-box;width:100%;min-height:48px;font:inherit;padding:0 12px;border:1px solid #8a8371;border-radius:3px;background:#fffdf8}
button{margin-top:14px;width:100%;min-height:48px;font:600 18px system-ui,sans-serif;background:#2b3f70;color:#fff;border:0;border-radius:3px}
:focus-visible{outline:3px solid #2b3f70;outline-offset:2px}[role=alert]{color:#9b2c2c;font-weight:600}p{margin:12px 0 0}a{color:#2b3f70}
</style></head><body><main><h1>Tidy Spool</h1>
<form method="post" action="/sign-in"><label for="words">The studio’s passphrase</label>
<input id="words" name="words" type="password" autocomplete="current-password" required autofocus>
${problem ? `<p role="alert">${problem}</p>` : ''}<button>Sign in</button></form>
${certificate ? '<p>Does this device warn of the connection? <a href="/certificate">Fetch the studio’s certificate</a>, open it, and say in the device’s settings that it is to be trusted; then open this page again.</p>' : ''}
</main></body></html>`;

const POLICY =
  "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";
const MOST_BYTES = 4096;

async function bodyOf(req: IncomingMessage): Promise<string | null> {
  const parts: Buffer[] = [];
  let bytes = 0;
  for await (const part of req) {
    bytes += (part as Buffer).length;
    if (bytes > MOST_BYTES) return null;
    parts.push(part as Buffer);
  }
  return Buffer.concat(parts).toString();
}

export interface Keeper {
  /** The passphrase's hash, and the secret sessions are signed with. */
  hash: string;
  secret: string;
  /** The certificate for tablets to trust, where it is served over HTTPS. */
  certificate: string | null;
}

const tries = new Tries();

/** Lets a request pass that has signed in; else answers it. Whether it may pass. */
export async function keepDoor(req: IncomingMessage, res: ServerResponse, keeper: Keeper): Promise<boolean> {
  const now = Date.now();
  const path = (req.url ?? '').split('?')[0];
  const show = (status: number, problem = '') => {
    res.setHeader('Content-Security-Policy', POLICY);
    answer(res, status, page(problem, keeper.certificate !== null), 'text/html');
  };
  if (path === '/certificate' && keeper.certificate !== null) {
    res.setHeader('Content-Disposition', 'attachment; filename="tidy-spool.crt"');
    answer(res, 200, keeper.certificate, 'application/x-x509-ca-cert');
    return false;
  }
  if (isSession(sessionOf(req), keeper.secret, now)) {
    if (path !== '/sign-in') return true;
    res.setHeader('Location', '/');
    answer(res, 303, '');
    return false;
  }
  if (path !== '/sign-in') {
    if (req.method === 'GET' && (req.headers.accept ?? '').includes('text/html')) {
      res.setHeader('Location', '/sign-in');
      answer(res, 303, '');
    } else answer(res, 401, 'Sign in first.');
    return false;
  }
  if (req.method !== 'POST') {
    show(200);
    return false;
  }
  const from = req.socket.remoteAddress ?? '';
  const wait = tries.waitMs(from, now);
  const body = await bodyOf(req);
  if (wait > 0) {
    res.setHeader('Retry-After', String(Math.ceil(wait / 1000)));
    show(429, `Too many tries. Wait ${Math.ceil(wait / 1000)} seconds.`);
    return false;
  }
  if (body !== null && (await isPassphrase(new URLSearchParams(body).get('words') ?? '', keeper.hash))) {
    tries.worked(from);
    const secure = keeper.certificate === null ? '' : '; Secure';
    res.setHeader(
      'Set-Cookie',
      `${COOKIE}=${newSession(keeper.secret, now)}; Path=/; Max-Age=${DAYS * 86_400}; HttpOnly; SameSite=Strict${secure}`,
    );
    res.setHeader('Location', '/');
    answer(res, 303, '');
    return false;
  }
  tries.failed(from, now);
  show(401, 'That is not the passphrase.');
  return false;
}
