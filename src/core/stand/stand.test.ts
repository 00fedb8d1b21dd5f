import fc from 'fast-check';
import type { LogEntry, LogKind } from '../log/entry';
import { standing } from '../log/standing';
import { rollTo } from './advance';
import { reachOf, rollPassByPass } from './roll';
import { squareness } from './squareness';
import { tempoOf } from './tempo';
import { partWords, runOut, standState, type StandStep } from './state';

const steps: StandStep[] = [1, 2, 3].flatMap((pass) =>
  ['sand', 'fog'].map((thread) => ({
    pass,
    thread,
    stabilise: false,
    minutes: 20,
    zones: [
      { id: 'A', letter: 'A', stitches: 1000, bobbinId: 'fine', bobbinM: 10, chosenAt: 0 },
      { id: 'B', letter: 'B', stitches: 3000, bobbinId: 'fine', bobbinM: 20, chosenAt: 0 },
    ],
  })),
);
let n = 0;
const at = (min: number) => new Date(Date.UTC(2026, 10, 26, 9, 0) + min * 60_000).toISOString();
const e = (kind: LogKind, min: number, part: Partial<LogEntry> = {}): LogEntry => ({
  id: `id-${String(++n).padStart(5, '0')}`,
  quiltId: 'q',
  kind,
  at: at(min),
  ...part,
});
const sand1 = { pass: 1, thread: 'sand', stabilise: false };

describe('where the work stands', () => {
  test('the clock runs from begin, stands while paused, and starts anew with the next step', () => {
    const begun = [e('step-begun', 0, sand1), e('step-paused', 12), e('step-resumed', 30)];
    const running = standState(steps, [], begun);
    expect(running).toMatchObject({ sewnMs: 12 * 60_000, runningSince: Date.parse(at(30)), begun: true });
    expect(running.now).toMatchObject(sand1);
    const done = standState(steps, [], [...begun, e('step-done', 40, sand1)]);
    expect(done).toMatchObject({
      sewnMs: 0,
      runningSince: null,
      begun: false,
      needleStitches: 4000,
    });
    expect(done.bobbinUsedM.get('fine')).toBe(30);
    expect(done.now).toMatchObject({ pass: 1, thread: 'fog' });
  });
  test('what is taken back is as if it had not been; a taking back can be taken back', () => {
    const done = e('step-done', 5, sand1);
    const undo = e('undone', 6, { undoes: done.id });
    expect(standState(steps, [], [done, undo]).now).toMatchObject(sand1);
    const again = e('undone', 7, { undoes: undo.id });
    expect(standState(steps, [], [done, undo, again]).done.size).toBe(1);
    expect(standing([done, undo, again])).toEqual([done]);
  });
  test('a bobbin and a needle changed begin their counts anew', () => {
    const state = standState(
      steps,
      [],
      [
        e('step-done', 5, sand1),
        e('bobbin-changed', 6),
        e('needle-changed', 6, { nm: 110 }),
        e('step-done', 9, { pass: 1, thread: 'fog', stabilise: false }),
      ],
    );
    expect(state).toMatchObject({ needleStitches: 4000, needle: { nm: 110 } });
    expect(state.bobbinUsedM.get('fine')).toBe(30);
  });
  test('ten minutes away are a rest', () => {
    const sewn = [e('step-begun', 0, sand1), e('step-paused', 20)];
    expect(standState(steps, [], [...sewn, e('step-resumed', 24)]).sinceRestMs).toBe(20 * 60_000);
    expect(standState(steps, [], [...sewn, e('step-resumed', 31)]).sinceRestMs).toBe(0);
  });
  test('the same entries in any order, some of them twice, give the same state', () => {
    const some = [
      e('step-begun', 0, sand1),
      e('step-paused', 3),
      e('step-resumed', 4),
      e('step-done', 9, sand1),
      e('bobbin-changed', 10),
      e('width-measured', 11, { pass: 1, widthIn: 64 }),
      e('back-checked', 12, { pass: 2 }),
      e('advanced', 13, { pass: 2 }),
    ];
    const state = (entries: LogEntry[]) =>
      JSON.stringify(standState(steps, [], entries), (_, v: unknown) =>
        v instanceof Set || v instanceof Map ? [...v] : v,
      );
    const whole = state(some);
    fc.assert(fc.property(fc.shuffledSubarray(some, { minLength: some.length }), (s) => state(s) === whole));
  });
});

describe('zone by zone', () => {
  test('the first zone of a step is in hand until another is begun; the next step begins with its first', () => {
    const begun = [e('step-begun', 0, sand1)];
    expect(standState(steps, [], begun).zoneId).toBe('A');
    const second = [...begun, e('zone-begun', 4, { zoneId: 'B' })];
    expect(standState(steps, [], second).zoneId).toBe('B');
    expect(standState(steps, [], [...second, e('step-done', 9, sand1)]).zoneId).toBe('A');
    expect(standState(steps, [], [...second, e('undone', 5, { undoes: second[1]!.id })]).zoneId).toBe('A');
  });
  test('another bobbin thread has a bobbin of its own, and the first is as full as it was left', () => {
    const entries = [
      e('step-done', 5, sand1),
      e('thread-changed', 6, { setting: 'bobbinId', from: 'fine', to: 'spun', zones: ['A', 'B'] }),
      e('step-done', 9, { pass: 1, thread: 'fog', stabilise: false }),
    ];
    const { bobbinUsedM } = standState(steps, [], entries);
    expect([bobbinUsedM.get('fine'), bobbinUsedM.get('spun')]).toEqual([30, 30]);
    const changed = standState(steps, [], [...entries, e('bobbin-changed', 10, { thread: 'spun' })]);
    expect([changed.bobbinUsedM.get('fine'), changed.bobbinUsedM.get('spun')]).toEqual([30, 0]);
  });
});

describe('rolling on and back', () => {
  test('the frame stands where it was rolled to last, else where the last step was sewn', () => {
    expect(standState(steps, [], []).frameAt).toBe(1);
    const two = e('step-done', 5, { pass: 2, thread: 'fog', stabilise: false });
    expect(standState(steps, [], [two]).frameAt).toBe(2);
    expect(
      standState(steps, [], [two, e('advanced', 6, { pass: 3 }), e('advanced', 7, { pass: 1 })]).frameAt,
    ).toBe(1);
  });
  test('back is the mirror of forth: what was raised is lowered again', () => {
    expect(rollTo(2, 3, [3])).toEqual({ from: 2, to: 3, back: false, rail: 'raise' });
    expect(rollTo(3, 2, [3])).toEqual({ from: 3, to: 2, back: true, rail: 'lower' });
    expect(rollTo(3, 4, [3])).toMatchObject({ rail: null });
    expect(rollTo(4, 4, [3])).toBeNull();
  });
});

describe('where the bobbin runs out', () => {
  const none = { done: new Set<string>(), bobbinUsedM: new Map<string, number>() };
  test('as a step and how far through it, with its spread', () => {
    const out = runOut(steps, none, 'fine', 80)!;
    expect(out.step).toMatchObject({ pass: 2, thread: 'sand' });
    expect(out.share).toBeCloseTo(20 / 30, 9);
    expect(out.early).toBeLessThan(out.share);
    expect(out.late).toBeGreaterThan(out.share);
    expect(partWords(out.share)).toBe('about two thirds through');
  });
  test('a bobbin that lasts does not run out', () => {
    expect(runOut(steps, none, 'fine', 1000)).toBeNull();
  });
});

describe('squareness', () => {
  const widths = (...w: number[]) => w.map((widthIn, i) => ({ pass: i + 1, widthIn }));
  test('two widths say nothing; a tape’s scatter is no trend', () => {
    expect(squareness(widths(60, 60.3))).toBeNull();
    expect(squareness(widths(60, 60.05, 59.98, 60.02))).toMatchObject({ real: false });
  });
  test('a flare is told with its size, a drawing in as well', () => {
    const flare = squareness(widths(60, 60.3, 60.6, 60.9))!;
    expect(flare.real).toBe(true);
    expect(flare.slopeIn).toBeCloseTo(0.3, 9);
    expect(flare.words).toMatch(/^Flaring 0.3 in a pass: baste near the rail and in the middle/);
    expect(squareness(widths(60, 59.6, 59.2, 58.8))!.words).toMatch(/^Drawing in 0.4 in a pass/);
  });
  test('of a true width read with a tape few trends are called real', () => {
    let called = 0;
    for (let s = 0; s < 400; s++) {
      const w = Array.from({ length: 6 }, (_, i) => 60 + 0.06 * Math.sin(s * 12.9898 + i * 78.233) * 1.4);
      if (squareness(widths(...w))!.real) called++;
    }
    expect(called / 400).toBeLessThan(0.12);
  });
});

test('the roll grows with each pass, and the rail is raised when it has grown', () => {
  const rolls = rollPassByPass(2.5, 4, Array<number>(10).fill(13));
  for (const [i, r] of rolls.entries())
    if (i > 0) expect(r.diameterIn).toBeGreaterThan(rolls[i - 1]!.diameterIn);
  expect(rolls[0]).toMatchObject({ diameterIn: 2.5, raise: false });
  expect(rolls.filter((r) => r.raise).length).toBeGreaterThan(0);
  expect(reachOf(true).topIn).toBeGreaterThan(reachOf(false).topIn);
});

test('of a tempo all numbers agree', () => {
  const tempo = tempoOf(1.5, 10, 60);
  expect(tempo).toEqual({ beatsPerMin: 60, inPerBeat: 1.5, spm: 900, stitchesPerBeat: 15 });
  fc.assert(
    fc.property(
      fc.double({ min: 0.2, max: 6, noNaN: true }),
      fc.integer({ min: 4, max: 18 }),
      fc.integer({ min: 30, max: 120 }),
      (hand, spi, beats) => {
        const t = tempoOf(hand, spi, beats);
        expect(t.stitchesPerBeat / t.inPerBeat).toBeCloseTo(spi, 9);
        expect((t.inPerBeat * beats) / 60).toBeCloseTo(hand, 9);
      },
    ),
  );
  expect(() => tempoOf(1, 10, 500)).toThrow(/between 30 and 120/);
});
