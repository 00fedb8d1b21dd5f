/* What is tapped at the Stand is never lost, whatever becomes of the line. */
import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { v7 as uuidv7 } from 'uuid';
import type { LogEntry } from '@/core/log/entry';
import { forget, type Outbox, send, watchOutbox, write } from './outbox';

/** What may become of one sending. */
type Fate = 'well' | 'cut before' | 'cut after' | 'away' | 'half' | 'sign in' | 'empty';
const FATES: readonly Fate[] = ['well', 'cut before', 'cut after', 'away', 'half', 'sign in', 'empty'];

/** A studio's computer as the door is: what it has it says it has, however often it comes. */
class Studio {
  /** In the order they came, each once. */
  log: LogEntry[] = [];
  sendings = 0;
  device = new Set<string>();
  constructor(
    private readonly fates: readonly Fate[],
    private readonly refuses: (e: LogEntry) => boolean,
  ) {}
  answer = async (_: string, { body }: { body: string }) => {
    const fate = this.fates[this.sendings++] ?? 'well';
    if (fate === 'cut before') throw new TypeError('Failed to fetch');
    if (fate === 'away') return new Response('away', { status: 503 });
    if (fate === 'sign in') return new Response('{}', { status: 401 });
    const { device, entries } = JSON.parse(body) as { device: string; entries: LogEntry[] };
    this.device.add(device);
    const read =
      fate === 'empty' ? [] : fate === 'half' ? entries.slice(0, Math.ceil(entries.length / 2)) : entries;
    const [kept, refused]: [string[], { id: string; reason: string }[]] = [[], []];
    for (const e of read)
      if (this.refuses(e)) refused.push({ id: e.id, reason: 'Its quilt is not here.' });
      else {
        if (!this.log.some((x) => x.id === e.id)) this.log.push(e);
        kept.push(e.id);
      }
    if (fate === 'cut after') throw new TypeError('Failed to fetch');
    return Response.json({ kept, refused });
  };
}

const entry = (note: string): LogEntry => ({
  id: uuidv7(),
  quiltId: 'q',
  kind: 'note',
  at: new Date().toISOString(),
  note,
});

const real = { setTimeout, fetch: globalThis.fetch };
let now: Outbox = { waiting: [], refused: [], reached: true, known: false };
let stop: () => void;
beforeAll(() => {
  // Nobody waits for half a minute in a test; the order of what is put off stays.
  globalThis.setTimeout = ((act: () => void, ms?: number) =>
    real.setTimeout(act, ms ? 1 : 0)) as unknown as typeof setTimeout;
  Object.assign(globalThis, { document: { cookie: '' } });
  stop = watchOutbox((o) => (now = o));
});
afterAll(() => {
  stop();
  Object.assign(globalThis, real);
  delete (globalThis as { document?: unknown }).document;
});
const stands = (studio: Studio) => {
  globalThis.fetch = studio.answer as unknown as typeof fetch;
  return studio;
};
const until = async (holds: () => boolean) => {
  while (!holds()) await new Promise((r) => real.setTimeout(r, 1));
};
const emptied = async () => {
  await send();
  await until(() => now.waiting.length === 0 && now.reached);
};
const clear = async () => {
  for (const r of now.refused) await forget(r.id);
};

test('whatever becomes of each sending: every tap arrives once, in its order, or is shown as refused', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.constantFrom(...FATES), { maxLength: 12 }),
      fc.array(fc.record({ refused: fc.boolean(), waits: fc.boolean() }), { minLength: 1, maxLength: 25 }),
      async (fates, taps) => {
        const bad = new Set<string>();
        const studio = stands(new Studio(fates, (e) => bad.has(e.id)));
        const tapped = taps.map((t, i) => ({ ...t, entry: entry(`tap ${i}`) }));
        for (const t of tapped) {
          if (t.refused) bad.add(t.entry.id);
          const kept = write(t.entry);
          // A hand that waits between taps, or does not.
          if (t.waits) await kept;
        }
        await emptied();
        const good = tapped.filter((t) => !t.refused).map((t) => t.entry.id);
        expect(studio.log.map((e) => e.id)).toEqual(good);
        expect(new Set(now.refused.map((r) => r.id))).toEqual(bad);
        await clear();
        expect(now.refused).toEqual([]);
      },
    ),
    { numRuns: 150 },
  );
});

test('a tap is on the device before anybody is asked, and stays there while nobody answers', async () => {
  const studio = stands(new Studio(Array<Fate>(40).fill('away'), () => false));
  const first = entry('first');
  await write(first);
  expect(now.waiting.map((e) => e.id)).toEqual([first.id]);
  await until(() => studio.sendings >= 3);
  expect(now).toMatchObject({ reached: false, waiting: [first] });
  stands(studio);
  await until(() => now.waiting.length === 0);
  expect(studio.log).toEqual([first]);
});

test('a device that is not let in says so, and goes on by itself once it is', async () => {
  const studio = stands(new Studio(['sign in', 'sign in'], () => false));
  await write(entry('before the passphrase'));
  await until(() => now.why != null);
  expect(now.why).toMatch(/Sign in on this device/);
  await until(() => now.waiting.length === 0);
  expect(now.why).toBeNull();
  expect(studio.log).toHaveLength(1);
});

test('more than is sent at once goes in several letters, in order', async () => {
  const studio = stands(new Studio(['away', 'away', 'away'], () => false));
  const many = Array.from({ length: 450 }, (_, i) => entry(String(i)));
  await Promise.all(many.map((e) => write(e)));
  await emptied();
  expect(studio.log.map((e) => e.note)).toEqual(many.map((e) => e.note));
  expect(studio.sendings).toBeGreaterThanOrEqual(6);
});

test('a device has one name of its own, unless it was paired under another', async () => {
  const studio = stands(new Studio([], () => false));
  await write(entry('one'));
  await emptied();
  await write(entry('two'));
  await emptied();
  expect(studio.device.size).toBe(1);
  document.cookie = 'other=1; tidy-spool-device=tablet-7';
  await write(entry('three'));
  await emptied();
  document.cookie = '';
  expect([...studio.device].at(-1)).toBe('tablet-7');
});
