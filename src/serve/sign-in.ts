import type { IncomingMessage, ServerResponse } from 'node:http';
import { v7 as uuidv7 } from 'uuid';
import { NOT_YOURS } from '@/actions/may';
import { ROLE_DOES, type Role } from '@/core/fields/lists';
import {
  endSessionOf,
  insertPerson,
  insertSession,
  type LinkState,
  readAlone,
  readByName,
  readInvitation,
  readPairing,
  readSession,
  useInvitation,
  usePairing,
} from '@/data/people';
import type { Sql } from '@/data/sql';
import type postgres from 'postgres';
import { answer } from './door';
import { gonePage, invitedPage, pairPage, signInPage } from './door-pages';
import { hashPassphrase, isPassphrase, keptToken, LEAST_LETTERS, newToken } from './passphrase';
import { Tries } from './tries';

const DAYS = 30;
const COOKIE = 'tidy-spool';
/** Read by the page: under this name a paired device writes to the log. */
const DEVICE_COOKIE = 'tidy-spool-device';

export const sessionOf = ({ headers }: Pick<IncomingMessage, 'headers'>): string | undefined =>
  new RegExp(`(?:^|;\\s*)${COOKIE}=([^;]+)`).exec(headers.cookie ?? '')?.[1];

const POLICY =
  "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";
const MOST_BYTES = 4096;

async function bodyOf(req: IncomingMessage): Promise<URLSearchParams> {
  const parts: Buffer[] = [];
  let bytes = 0;
  for await (const part of req) {
    bytes += (part as Buffer).length;
    if (bytes > MOST_BYTES) return new URLSearchParams();
    parts.push(part as Buffer);
  }
  return new URLSearchParams(Buffer.concat(parts).toString());
}

/** Who was let in, and with which paired device. */
export interface LetIn {
  id: string;
  name: string;
  role: Role;
  deviceId: string | null;
}

export interface DoorFacts {
  sql: postgres.Sql;
  /** The studio's passphrase as a hash: how the owner signs in while she is alone. */
  hash: string | null;
  /** The studio's own authority for tablets to trust, and its fingerprint, where it is served over HTTPS. */
  certificate: string | null;
  fingerprint: string | null;
  /** So often, ms, whoever listens to what happens is asked anew who she is. */
  askAnewMs?: number;
}

/** Asked for by browsers without a session: nothing in them is anybody's. */
const OPEN = [
  '/icon.svg',
  '/icon-192.png',
  '/icon-512.png',
  '/manifest.webmanifest',
  '/favicon.ico',
  '/health',
];
/** What is heard as it happens. */
const LIVE = '/live';
const ASK_ANEW_MS = 5000;
/** The whole studio in and out, and nothing less than its owner. */
const OWNERS = /^\/(backup|export|begin\/studio|metrics)(\/|$)/;

const GONE: Readonly<Record<Exclude<LinkState, 'open'>, string>> = {
  used: 'It was used already, and works once. If that was not you, tell whoever keeps this studio.',
  late: 'Its time has run out. Ask for a new one.',
  unknown: 'It is of another studio, or was taken back. Ask for a new one.',
};

/** The door of a studio: who may come in, by a session in the database, so that every process knows it. */
export class Door {
  private readonly tries: Tries;
  /** Whether the owner was alone when it was last asked; what holds while the database is away. */
  private alone: LetIn | null = null;
  constructor(private readonly facts: DoorFacts) {
    this.tries = new Tries(facts.sql);
  }

  /**
   * Lets a request pass, as whom; or answers it itself and gives null.
   * @param isNear it comes from this very computer, through nobody.
   */
  async open(req: IncomingMessage, res: ServerResponse, isNear: boolean): Promise<LetIn | null> {
    const path = (req.url ?? '').split('?')[0]!;
    if (OPEN.includes(path)) return { id: '', name: '', role: 'guest', deviceId: null };
    if (path === '/certificate' && this.facts.certificate !== null) {
      res.setHeader('Content-Disposition', 'attachment; filename="tidy-spool.crt"');
      answer(res, 200, this.facts.certificate, 'application/x-x509-ca-cert');
      return null;
    }
    const [, door, token] = /^\/(invited|pair)\/([\w-]{20,100})$/.exec(path) ?? [];
    if (door === 'invited') return this.invited(req, res, token!);
    if (door === 'pair') return this.pair(req, res, token!);
    const who = await this.who(req, isNear);
    if (path === '/sign-out' && req.method === 'POST') return this.signOut(req, res);
    if (who) {
      if (path === '/sign-in') return this.go(res, '/');
      if (path === LIVE) this.askAnew(req, res, isNear);
      if (!OWNERS.test(path) || who.role === 'owner') return who;
      answer(res, 403, NOT_YOURS);
      return null;
    }
    if (path === '/sign-in') return this.signIn(req, res);
    if (req.method === 'GET' && (req.headers.accept ?? '').includes('text/html'))
      return this.go(res, '/sign-in');
    answer(res, 401, 'Sign in first.');
    return null;
  }

  /** Whose request it is: her session's; on this computer the owner's while she is alone and has set no passphrase for it. */
  private async who(req: IncomingMessage, isNear: boolean): Promise<LetIn | null> {
    const token = sessionOf(req);
    if (token) {
      const session = await readSession(this.facts.sql, keptToken(token));
      if (session) return { ...session.person, deviceId: session.deviceId };
    }
    if (!isNear || this.facts.hash !== null) return null;
    try {
      const alone = await readAlone(this.facts.sql);
      this.alone = alone && { id: alone.id, name: alone.name, role: alone.role, deviceId: null };
    } catch (error) {
      // The database is away: what was so a moment ago still is; nothing can be read without it anyway.
      if (!this.alone) throw error;
    }
    return this.alone;
  }

  /** One who listens for hours is let in once: ended meanwhile, her session hears no more. */
  private askAnew(req: IncomingMessage, res: ServerResponse, isNear: boolean) {
    const look = setInterval(() => {
      this.who(req, isNear).then(
        (who) => who ?? res.destroy(),
        () => {}, // The database is away: it is asked again.
      );
    }, this.facts.askAnewMs ?? ASK_ANEW_MS);
    res.on('close', () => clearInterval(look));
  }

  private show(res: ServerResponse, status: number, page: string): null {
    res.setHeader('Content-Security-Policy', POLICY);
    answer(res, status, page, 'text/html');
    return null;
  }

  private go(res: ServerResponse, to: string): null {
    res.setHeader('Location', to);
    answer(res, 303, '');
    return null;
  }

  private async signIn(req: IncomingMessage, res: ServerResponse): Promise<null> {
    const { sql, hash, certificate, fingerprint } = this.facts;
    const alone = await readAlone(sql);
    const named = alone === null || hash === null;
    const show = (status: number, problem = '', name = '') =>
      this.show(
        res,
        status,
        signInPage({ problem, named, name, certificate: certificate !== null, fingerprint }),
      );
    if (req.method !== 'POST') return show(200);
    const form = await bodyOf(req);
    const name = named ? (form.get('name') ?? '') : '';
    const from = req.socket.remoteAddress ?? '';
    const wait = await this.tries.take(name, from);
    if (wait > 0) {
      res.setHeader('Retry-After', String(wait));
      return show(
        429,
        `Too many tries. Wait ${wait < 90 ? `${wait} seconds` : `${Math.ceil(wait / 60)} minutes`}.`,
        name,
      );
    }
    const words = form.get('words') ?? '';
    const person = named ? await readByName(sql, name) : alone;
    const kept = named ? person?.passphrase : hash;
    // A name that is not known takes as long as one that is.
    const right = await isPassphrase(words, kept ?? NOBODY);
    if (!person || !kept || !right)
      return show(
        401,
        named ? 'This name and passphrase do not belong together.' : 'That is not the passphrase.',
        name,
      );
    await this.tries.worked(name, from);
    await this.begin(sql, req, res, person.id, null);
    return this.go(res, '/');
  }

  /** A new session, and its cookie. */
  private async begin(
    sql: Sql,
    req: IncomingMessage,
    res: ServerResponse,
    personId: string,
    deviceId: string | null,
  ): Promise<void> {
    const token = newToken();
    await insertSession(sql, {
      id: uuidv7(),
      token: keptToken(token),
      personId,
      deviceId,
      agent: req.headers['user-agent'] ?? '',
      address: req.socket.remoteAddress ?? '',
      expiresAt: new Date(Date.now() + DAYS * 86_400_000),
    });
    const rest = `Path=/; Max-Age=${DAYS * 86_400}; SameSite=Strict${this.facts.certificate === null ? '' : '; Secure'}`;
    const cookies = [`${COOKIE}=${token}; ${rest}; HttpOnly`];
    if (deviceId) cookies.push(`${DEVICE_COOKIE}=${deviceId}; ${rest}`);
    res.setHeader('Set-Cookie', cookies);
  }

  private async signOut(req: IncomingMessage, res: ServerResponse): Promise<null> {
    const token = sessionOf(req);
    if (token) await endSessionOf(this.facts.sql, keptToken(token));
    res.setHeader('Set-Cookie', `${COOKIE}=; Path=/; Max-Age=0; SameSite=Strict; HttpOnly`);
    return this.go(res, '/sign-in');
  }

  private async invited(req: IncomingMessage, res: ServerResponse, token: string): Promise<null> {
    const { sql } = this.facts;
    const kept = keptToken(token);
    const link = await readInvitation(sql, kept);
    if (link?.state !== 'open') return this.show(res, 410, gonePage(GONE[link?.state ?? 'unknown']));
    const show = (status: number, problem = '') =>
      this.show(res, status, invitedPage({ name: link.name, does: ROLE_DOES[link.role], problem }));
    if (req.method !== 'POST') return show(200);
    const form = await bodyOf(req);
    const words = form.get('words') ?? '';
    if (words.length < LEAST_LETTERS) return show(400, `Give ${LEAST_LETTERS} letters or more.`);
    if (words !== form.get('again')) return show(400, 'The two are not the same.');
    const passphrase = await hashPassphrase(words);
    const id = uuidv7();
    const came = await sql.begin(async (tx) => {
      const used = await useInvitation(tx, kept);
      if (!used || (await readByName(tx, used.name))) return false;
      await insertPerson(tx, { id, name: used.name, role: used.role, passphrase });
      await this.begin(tx, req, res, id, null);
      return true;
    });
    return came ? this.go(res, '/') : this.show(res, 410, gonePage(GONE.used));
  }

  private async pair(req: IncomingMessage, res: ServerResponse, token: string): Promise<null> {
    const { sql, certificate, fingerprint } = this.facts;
    const kept = keptToken(token);
    const link = await readPairing(sql, kept);
    if (link?.state !== 'open') return this.show(res, 410, gonePage(GONE[link?.state ?? 'unknown']));
    if (req.method !== 'POST')
      return this.show(
        res,
        200,
        pairPage({ name: link.name, certificate: certificate !== null, fingerprint }),
      );
    const deviceId = uuidv7();
    const came = await sql.begin(async (tx) => {
      const used = await usePairing(tx, kept, deviceId);
      if (!used) return false;
      await this.begin(tx, req, res, used.personId, deviceId);
      return true;
    });
    return came ? this.go(res, '/') : this.show(res, 410, gonePage(GONE.used));
  }
}

/** The hash of nothing anybody knows: a try at a name that is not there costs the same. */
const NOBODY = `scrypt:${Buffer.alloc(16).toString('base64')}:${Buffer.alloc(32, 1).toString('base64')}`;
