import { createHash, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';

const derive = promisify(scrypt) as (text: string, salt: Buffer, bytes: number) => Promise<Buffer>;
const BYTES = 32;
export const LEAST_LETTERS = 8;

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

/** A secret that is given away once, and as it is kept: nothing by itself. */
export const newToken = (): string => randomBytes(32).toString('base64url');
export const keptToken = (token: string): string => createHash('sha256').update(token).digest('hex');
