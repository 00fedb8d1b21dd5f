import fc from 'fast-check';
import type { LogEntry } from './entry';
import { inOrder } from './entry';
import { stepEffect, type StepBasis } from './effect';
import { foldLog, standingSettings } from './fold';
import { standing, takenBack } from './standing';

let n = 0;
const e = (kind: LogEntry['kind'], part: Partial<LogEntry> = {}): LogEntry => ({
  id: `id-${String(++n).padStart(5, '0')}`,
  quiltId: 'q',
  kind,
  at: new Date(Date.UTC(2026, 10, 30, 9, 0, n)).toISOString(),
  ...part,
});
const step = { pass: 1, thread: 'sand', stabilise: false };

test('taken back in any order of arrival and with clocks that disagree, the same stands', () => {
  const done = e('step-done', step);
  const undo = e('undone', { undoes: done.id });
  // Its device's clock is an hour slow: it sorts before what it takes back.
  const redo = e('undone', { undoes: undo.id, at: '2026-11-30T07:00:00Z' });
  const all = [done, undo, redo];
  fc.assert(
    fc.property(fc.shuffledSubarray(all, { minLength: 3 }), (s) => {
      expect(standing(s).map((x) => x.id)).toEqual([done.id]);
      expect(foldLog(s).done.size).toBe(1);
    }),
  );
});
test('what was taken back can be put back, by whomever and however often it was taken back: a thousand made-up logs', () => {
  fc.assert(
    fc.property(fc.array(fc.nat(), { minLength: 1, maxLength: 12 }), (dice) => {
      const log: LogEntry[] = [e('step-done', step), e('note')];
      for (const d of dice) log.push(e('undone', { undoes: log[d % log.length]!.id }));
      const back = takenBack(log);
      const stood = new Set(standing(log).map((x) => x.id));
      expect(back.map((b) => b.entry.id).sort()).toEqual(
        log.filter((x) => x.kind !== 'undone' && !stood.has(x.id)).map((x) => x.id),
      );
      for (const b of back) {
        const mended = [...log, ...b.by.map((id) => e('undone', { undoes: id }))];
        expect(standing(mended).map((x) => x.id)).toContain(b.entry.id);
      }
    }),
    { numRuns: 1000 },
  );
});
test('two devices say one step is done: it stays done until neither says so', () => {
  const [one, two] = [e('step-done', step), e('step-done', step)];
  const undo = (of: LogEntry) => e('undone', { undoes: of.id });
  expect(foldLog([one, two]).done.get('1 sand fill')!.entry).toBe(one);
  expect(foldLog([one, two, undo(one)]).done.get('1 sand fill')!.entry).toBe(two);
  expect(foldLog([one, two, undo(two)]).done.size).toBe(1);
  expect(foldLog([one, two, undo(one), undo(two)]).done.size).toBe(0);
});
test('two thousand made-up logs: whatever order they arrive in, they fold alike, and as a plain count has it', () => {
  const op = fc.record({
    what: fc.constantFrom('done', 'undo', 'note', 'set'),
    step: fc.integer({ min: 1, max: 3 }),
    of: fc.nat(),
    at: fc.integer({ min: 0, max: 50 }),
  });
  fc.assert(
    fc.property(fc.array(op, { minLength: 1, maxLength: 14 }), fc.infiniteStream(fc.nat()), (ops, dice) => {
      const log: LogEntry[] = [];
      for (const o of ops) {
        const at = new Date(Date.UTC(2026, 10, 30, 9, 0, o.at)).toISOString();
        const target = log[o.of % Math.max(1, log.length)];
        log.push(
          o.what === 'undo' && target
            ? e('undone', { undoes: target.id, at })
            : o.what === 'set'
              ? e('setting-changed', { setting: 'topGf', to: o.of % 99, zones: [`z${o.step}`], at })
              : o.what === 'note'
                ? e('note', { at })
                : e('step-done', { pass: o.step, thread: 'sand', at }),
        );
      }
      const stands = (x: LogEntry): boolean =>
        !log.some((u) => u.kind === 'undone' && u.undoes === x.id && stands(u));
      const plain = new Set(
        log.filter((x) => x.kind === 'step-done' && stands(x)).map((x) => `${x.pass} sand fill`),
      );
      const shuffled = [...log].sort(() => (dice.next().value! % 3) - 1);
      const [a, b] = [foldLog(log), foldLog(shuffled)];
      expect(new Set(a.done.keys())).toEqual(plain);
      expect(b.entries.map((x) => x.id)).toEqual(a.entries.map((x) => x.id));
      expect([...b.settings]).toEqual([...a.settings]);
      expect([...b.done].map(([k, d]) => [k, d.entry.id])).toEqual(
        [...a.done].map(([k, d]) => [k, d.entry.id]),
      );
    }),
    { numRuns: 2000 },
  );
});

const basis: StepBasis = {
  ...step,
  actsMin: 5,
  zones: [
    {
      zoneId: 'A',
      letter: 'A',
      stitches: 1100,
      topM: 30,
      bobbinM: 25,
      topId: 'sand',
      bobbinId: 'fine',
      needleNm: 100,
      spi: 11,
      handInPerS: 2,
      wearFactor: 0.5,
      part: { technique: 'swirls', handsMin: 10, actsMin: 1 },
      chosenAt: 0,
    },
  ],
};
const effect = (...log: LogEntry[]) =>
  stepEffect(basis, foldLog([...log, e('step-done', { ...step, minutes: 14 })]).done.get('1 sand fill')!);

test('what was really sewn: the thread, needle, stitch and speed that were set at the machine', () => {
  expect(effect()).toMatchObject({
    minutes: 14,
    stitches: 1100,
    worn: 2200,
    zones: [{ topId: 'sand', needleNm: 100, topM: 30 }],
    parts: [{ handsMin: 10, actsMin: 6 }],
  });
  const set = (setting: LogEntry['setting'], to: string | number) =>
    e(setting === 'topId' ? 'thread-changed' : 'setting-changed', { setting, to, zones: ['A'] });
  const other = effect(
    set('topId', 'fog'),
    set('spi', 12.1),
    set('handInPerS', 1),
    e('needle-changed', { nm: 110 }),
  );
  expect(other.zones[0]).toMatchObject({ topId: 'fog', needleNm: 110 });
  expect(other.stitches).toBeCloseTo(1210, 6);
  // Half the speed is predicted to take twice as long: the hand is not called slow for it.
  expect(other.parts[0]!.handsMin).toBeCloseTo(20, 9);
});
test('what was set before a card was chosen holds no more; tensions give way to a test', () => {
  const settings = { topGf: { value: 90, at: 100 }, foot: { value: 'ruler' as const, at: 100 } };
  expect(standingSettings(settings, 50)).toEqual({ topGf: 90, foot: 'ruler' });
  expect(standingSettings(settings, 50, 200)).toEqual({ foot: 'ruler' });
  expect(standingSettings(settings, 150)).toEqual({});
});
test('what happened is ordered by the studio’s clock where it is known', () => {
  const [a, b] = [
    e('note', { happenedAt: '2026-11-30T12:00:00Z' }),
    e('note', { at: '2026-11-30T11:00:00Z' }),
  ];
  expect(inOrder([a, b])).toEqual([b, a]);
});
