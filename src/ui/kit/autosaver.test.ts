import type { Result } from '@/actions/result';
import { Autosaver, type SaveState, type Sent } from './autosaver';

/** A server that keeps words under keys, loses answers when told to, and refuses old versions. */
interface Kept {
  version: number;
  text: string;
  keys: Map<string, number>;
  lose: number;
  down: boolean;
  stored: number;
}
const serverOf =
  (state: Kept) =>
  async ({ key, version, body }: Sent<string>): Promise<Result<{ version: number }>> => {
    if (state.down) throw new TypeError('Failed to fetch');
    if (!state.keys.has(key)) {
      if (version !== state.version)
        return { ok: false, conflict: true, problems: [{ path: '', message: 'Another window.' }] };
      state.version++;
      state.text = body;
      state.stored++;
      state.keys.set(key, state.version);
    }
    if (state.lose > 0) {
      state.lose--;
      throw new TypeError('Failed to fetch');
    }
    return { ok: true, value: { version: state.keys.get(key)! } };
  };
function server() {
  const state: Kept = {
    version: 1,
    text: '',
    keys: new Map<string, number>(),
    lose: 0,
    down: false,
    stored: 0,
  };
  return { state, send: serverOf(state) };
}

function saver() {
  const { state, send } = server();
  const told: SaveState[] = [];
  const timers: (() => void)[] = [];
  const store = new Map<string, string>();
  let n = 0;
  const saving = new Autosaver<string>({
    version: 1,
    send,
    newKey: () => `key ${++n}`,
    tell: (s) => told.push(s),
    draft: { setItem: (k, v) => void store.set(k, v), removeItem: (k) => void store.delete(k) },
    draftKey: 'draft',
    setTimer: (act) => timers.push(act),
    clearTimer: () => timers.splice(0),
  });
  const run = async () => {
    for (const act of timers.splice(0)) act();
    for (let i = 0; i < 10; i++) await Promise.resolve();
  };
  return { saving, state, told, run, store };
}

test('words typed are kept after a pause, the newest alone', async () => {
  const { saving, state, run, told, store } = saver();
  saving.put('a');
  saving.put('ab');
  expect(JSON.parse(store.get('draft')!)).toMatchObject({ body: 'ab' });
  await run();
  expect(state).toMatchObject({ text: 'ab', stored: 1 });
  expect(told.at(-1)).toEqual({ kind: 'kept' });
  expect(store.size).toBe(0);
  expect(saving.unsaved).toBe(false);
});

test('one answer lost: the same words under the same key again, then the next; nothing is refused or doubled', async () => {
  const { saving, state, run, told } = saver();
  state.lose = 1;
  saving.put('first');
  await run();
  expect(told.at(-1)!.kind).toBe('waiting');
  saving.put('first and second');
  await run();
  await run();
  expect(state).toMatchObject({ text: 'first and second', stored: 2, version: 3 });
  expect(told.at(-1)).toEqual({ kind: 'kept' });
});

test('an outage: what was typed lies on the device and goes by itself when the server is back', async () => {
  const { saving, state, run, store, told } = saver();
  state.down = true;
  saving.put('typed in the dark');
  for (let i = 0; i < 4; i++) await run();
  expect(saving.unsaved).toBe(true);
  expect(store.get('draft')).toContain('typed in the dark');
  state.down = false;
  await run();
  expect(state.text).toBe('typed in the dark');
  expect(told.at(-1)).toEqual({ kind: 'kept' });
  expect(store.size).toBe(0);
});

test('another window was there first: it is told, and nothing is sent any more', async () => {
  const { saving, state, run, told } = saver();
  state.version = 5;
  saving.put('mine');
  await run();
  expect(told.at(-1)).toEqual({ kind: 'refused', words: 'Another window.' });
  saving.put('mine again');
  await run();
  expect(state.stored).toBe(0);
});

test('leaving the page: what is in flight keeps its key, the newest follows with the version after it', async () => {
  const { saving, state, run } = saver();
  state.down = true;
  saving.put('one');
  await run();
  saving.put('two');
  const sent = [
    { key: 'key 1', version: 1, body: 'one' },
    { key: 'key 2', version: 2, body: 'two' },
  ];
  expect(saving.leave()).toEqual(sent);
  // Left again before anything came of it, the same goes, under the same keys.
  expect(saving.leave()).toEqual(sent);
});

test.each([0, 1, 2])(
  'a page opened while %s of what was sent have come: nothing is refused, doubled or lost',
  async (landed) => {
    const { saving, state, run, store } = saver();
    state.down = true;
    saving.put('one');
    await run();
    saving.put('two');
    const sent = saving.leave();
    const laid = JSON.parse(store.get('draft')!) as { body: string; sent: Sent<string>[] };
    state.down = false;
    const told: SaveState[] = [];
    const send = serverOf(state);
    for (const what of sent.slice(0, landed)) await send(what);
    const next = new Autosaver<string>({
      version: state.version,
      send,
      newKey: () => 'key of the new page',
      tell: (s) => told.push(s),
      setTimer: () => 0,
      clearTimer: () => {},
    });
    // What has come already is laid aside by whoever opens the page.
    if (landed < sent.length) next.resume(laid);
    // What was on its way comes now, or had come.
    for (const what of sent) await send(what);
    for (let i = 0; i < 20; i++) await Promise.resolve();
    expect(told.filter((t) => t.kind === 'refused')).toEqual([]);
    expect(state.text).toBe('two');
    expect(state.stored).toBeLessThanOrEqual(3);
    next.put('three');
    next.now();
    for (let i = 0; i < 20; i++) await Promise.resolve();
    expect(state.text).toBe('three');
  },
);
