import type { Result } from '@/actions/result';
import { isOffline } from './offline';
import { unanswered } from './unanswered';

/** What is sent: the same key as long as it is the same words. */
export interface Sent<T> {
  key: string;
  version: number;
  body: T;
}

export type SaveState =
  | { kind: 'kept' }
  | { kind: 'keeping' }
  | { kind: 'waiting' | 'refused'; words: string };

export interface AutosaverOptions<T> {
  version: number;
  send: (what: Sent<T>) => Promise<Result<{ version: number }>>;
  newKey: () => string;
  tell: (state: SaveState) => void;
  /** Where what is not kept yet is laid down on this device. */
  draft?: Pick<Storage, 'setItem' | 'removeItem'>;
  draftKey?: string;
  pauseMs?: number;
  /** Pauses between tries while nobody answers, the last one again and again. */
  retryMs?: readonly number[];
  setTimer?: (act: () => void, ms: number) => unknown;
  clearTimer?: (timer: never) => void;
}

const RETRY = [1000, 2000, 4000, 8000, 15_000, 30_000];
const WAITING =
  'Not kept yet: the studio’s computer does not answer. What you typed stays on this device and is sent again by itself.';

/**
 * Keeps what is typed: one save at a time, and what was sent keeps its key and its words until it is answered, so that
 * a lost answer is asked for again and nothing is stored twice; only then the next words go. Tries by itself after an
 * outage. What the server does not have yet lies in the browser's own store.
 */
export class Autosaver<T> {
  private version: number;
  private latest: T | null = null;
  private flying: Sent<T> | null = null;
  /** What a page that was left had sent on its way: it goes again under its own keys before anything else. */
  private before: Sent<T>[] = [];
  private busy = false;
  private stopped = false;
  private tries = 0;
  private refused = false;
  private timer: unknown;

  constructor(private readonly o: AutosaverOptions<T>) {
    this.version = o.version;
  }

  /** New words; sent after a pause in typing. */
  put(body: T): void {
    if (this.stopped) return;
    this.latest = body;
    this.lay();
    this.tellKeeping();
    this.schedule(this.o.pauseMs ?? 700);
  }

  /** Sends now. */
  now(): void {
    void this.send();
  }

  /** Whether something is here that the server may not have. */
  get unsaved(): boolean {
    return this.flying !== null || this.latest !== null || this.before.length > 0;
  }

  /**
   * What is sent when the page goes away: what is in flight first, then the newest. It is laid on the device with its
   * keys: a page that opens before it has arrived sends the same again, and nothing is stored twice or refused.
   */
  leave(): Sent<T>[] {
    const sent = [...(this.flying ? [this.flying] : []), ...this.before];
    if (this.latest !== null) {
      sent.push({ key: this.o.newKey(), version: this.version + sent.length, body: this.latest });
      this.latest = null;
    }
    this.flying = null;
    this.before = sent;
    this.lay();
    return sent;
  }

  /** Goes on where a page was left: what it sent goes once more, under the same keys; its last words, where it sent nothing. */
  resume({ body, sent }: { body: T; sent?: readonly Sent<T>[] }): void {
    const own = (sent ?? []).filter((s) => s.version >= this.version);
    if (own.length > 0) this.before = own;
    else this.latest = body;
    this.lay();
    this.now();
  }

  /** Resolves when all is kept, or cannot be. */
  async settled(): Promise<boolean> {
    while (this.unsaved && !this.stopped && this.tries === 0) {
      void this.send();
      await new Promise((r) => setTimeout(r, 20));
    }
    return !this.unsaved;
  }

  stop(): void {
    this.clear();
    this.stopped = true;
  }

  private lay(): void {
    const { draft, draftKey } = this.o;
    if (!draft || !draftKey) return;
    try {
      const body = this.latest ?? this.before.at(-1)?.body ?? this.flying?.body;
      if (body === undefined) draft.removeItem(draftKey);
      else {
        const sent = [...(this.flying ? [this.flying] : []), ...this.before];
        // Words still being typed were sent by nobody.
        const keys = this.latest === null && sent.length > 0 ? { sent } : {};
        draft.setItem(draftKey, JSON.stringify({ version: this.version, body, ...keys }));
      }
    } catch {
      // A full or forbidden store keeps nothing; the server still will.
    }
  }

  /** A refusal, or that nobody answers, stays in sight until something is kept again. */
  private tellKeeping(): void {
    if (this.tries === 0 && !this.refused) this.o.tell({ kind: 'keeping' });
  }

  private schedule(ms: number): void {
    this.clear();
    this.timer = (this.o.setTimer ?? setTimeout)(() => void this.send(), ms);
  }

  private clear(): void {
    (this.o.clearTimer ?? (clearTimeout as (timer: never) => void))(this.timer as never);
  }

  private async send(): Promise<void> {
    if (this.busy || this.stopped) return;
    if (!this.flying) {
      const before = this.before.shift();
      if (!before && this.latest === null) return;
      this.flying = before ?? { key: this.o.newKey(), version: this.version, body: this.latest! };
      if (!before) this.latest = null;
      this.lay();
    }
    this.clear();
    this.busy = true;
    this.tellKeeping();
    let result: Result<{ version: number }>;
    try {
      result = await this.o.send(this.flying);
    } catch (error) {
      this.busy = false;
      const pauses = this.o.retryMs ?? RETRY;
      this.schedule(pauses[Math.min(this.tries++, pauses.length - 1)]!);
      this.o.tell({ kind: 'waiting', words: isOffline(error) ? WAITING : unanswered(error).message });
      return;
    }
    this.busy = false;
    this.tries = 0;
    this.flying = null;
    this.heard(result);
  }

  private heard(r: Result<{ version: number }>): void {
    this.refused = !r.ok;
    if (!r.ok) {
      if (r.conflict) this.stopped = true;
      return this.o.tell({ kind: 'refused', words: r.problems[0]!.message });
    }
    this.version = r.value.version;
    this.lay();
    if (this.latest !== null || this.before.length > 0) return void this.send();
    this.o.tell({ kind: 'kept' });
  }
}
