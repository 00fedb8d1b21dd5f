import fc from 'fast-check';
import type { Result } from '@/actions/result';
import { Autosaver, type SaveState, type Sent } from './autosaver';

/** What happens to a page that keeps by itself, one thing after the other. */
type Act =
  | { act: 'type' }
  /** The pause in typing is over, or the next try is due. */
  | { act: 'wait' }
  | { act: 'away' }
  | { act: 'back' }
  /** The next answer is lost: it is stored, and nobody hears of it. */
  | { act: 'lose' }
  /** The page is left; so many of what it sends on its way come before the next one opens, the rest after or never. */
  | { act: 'leave'; before: number; never: boolean };

const ACT: fc.Arbitrary<Act> = fc.oneof(
  { weight: 4, arbitrary: fc.constant<Act>({ act: 'type' }) },
  { weight: 3, arbitrary: fc.constant<Act>({ act: 'wait' }) },
  { weight: 2, arbitrary: fc.constantFrom<Act>({ act: 'away' }, { act: 'back' }, { act: 'lose' }) },
  {
    weight: 1,
    arbitrary: fc.record({
      act: fc.constant('leave' as const),
      before: fc.nat(3),
      never: fc.boolean(),
    }),
  },
);

/** The studio's computer: words under keys, each version once. */
class Computer {
  version = 1;
  text = '';
  away = false;
  lost = 0;
  private readonly keys = new Map<string, number>();

  /** What comes is stored once, or refused where another version stands. */
  store({ key, version, body }: Sent<string>): Result<{ version: number }> {
    if (!this.keys.has(key)) {
      if (version !== this.version)
        return { ok: false, conflict: true, problems: [{ path: '', message: 'Another window.' }] };
      this.text = body;
      this.keys.set(key, ++this.version);
    }
    return { ok: true, value: { version: this.keys.get(key)! } };
  }
  /** The same over a line that may be cut before it comes, or after. */
  send = async (what: Sent<string>): Promise<Result<{ version: number }>> => {
    if (this.away) throw new TypeError('Failed to fetch');
    const stored = this.store(what);
    if (this.lost > 0) {
      this.lost--;
      throw new TypeError('Failed to fetch');
    }
    return stored;
  };
}

const settle = async () => {
  for (let i = 0; i < 30; i++) await Promise.resolve();
};

/** A page in front of it, and the store of its device. */
class Page {
  told: SaveState = { kind: 'kept' };
  private timers: (() => void)[] = [];
  readonly saver: Autosaver<string>;

  constructor(computer: Computer, draft: Map<string, string>, newKey: () => string) {
    this.saver = new Autosaver<string>({
      version: computer.version,
      send: computer.send,
      newKey,
      tell: (s) => (this.told = s),
      draft: { setItem: (k, v) => void draft.set(k, v), removeItem: (k) => void draft.delete(k) },
      draftKey: 'draft',
      setTimer: (act) => this.timers.push(act),
      clearTimer: () => (this.timers = []),
    });
    const laid = JSON.parse(draft.get('draft') ?? 'null') as {
      version: number;
      body: string;
      sent?: Sent<string>[];
    } | null;
    if (laid && (laid.sent?.at(-1)?.version ?? laid.version) >= computer.version) this.saver.resume(laid);
  }
  async wait() {
    for (const act of this.timers.splice(0)) act();
    await settle();
  }
}

test('whatever becomes of a page and its line: the last words arrive, none is refused, and “saved” is never said too early', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(ACT, { minLength: 1, maxLength: 25 }), async (acts) => {
      const computer = new Computer();
      const draft = new Map<string, string>();
      let keys = 0;
      let typed = '';
      const open = () => new Page(computer, draft, () => `key ${++keys}`);
      let page = open();
      for (const a of acts) {
        if (a.act === 'type') page.saver.put((typed += 'x'));
        else if (a.act === 'wait') await page.wait();
        else if (a.act === 'away') computer.away = true;
        else if (a.act === 'back') computer.away = false;
        else if (a.act === 'lose') computer.lost++;
        else {
          const sent = page.saver.leave();
          page.saver.stop();
          const landed = computer.away ? 0 : a.before;
          for (const what of sent.slice(0, landed)) computer.store(what);
          page = open();
          if (!a.never && !computer.away) for (const what of sent.slice(landed)) computer.store(what);
          await settle();
        }
        if (page.told.kind === 'kept') expect(computer.text).toBe(typed);
        expect(page.told.kind).not.toBe('refused');
      }
      computer.away = false;
      for (let i = 0; i < 20; i++) await page.wait();
      expect(page.told).toEqual({ kind: 'kept' });
      expect(computer.text).toBe(typed);
    }),
    { numRuns: 300 },
  );
});
