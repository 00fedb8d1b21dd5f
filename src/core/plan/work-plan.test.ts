import { demoQuilts } from '@/demo/quilts';
import { areaOf, rect } from '../geometry/polygon';
import { NOTHING_LOGGED } from '../hours/factors';
import { itemsOf, leftSteps, planSteps } from './steps';
import { smallSteps } from './small-steps';
import { minutesOfSteps } from '../hours/sum';
import { isSewn, movedOn, passesDone, sewnShare } from './begun';
import { measure } from './measure';
import { planWork } from './work-plan';
import type { PlannedZone, WorkPlanRequest } from './planned';

const PRICES = { rollMin: 3, changeMin: 3 };
const top = { id: 'top', tex: 27, fibre: 'polyester-filament' };
const bobbin = { id: 'bob', tex: 18, fibre: 'polyester-filament' };
const requestFor = (name: string): WorkPlanRequest => {
  const q = demoQuilts.find((x) => x.name === name)!;
  return {
    quilt: q,
    battingId: 'cotton-80-20',
    backing: 'quilting-cotton',
    frame: { throatIn: 20, deadIn: 5.5, widthIn: 132, rollInThroat: true, rollStartIn: 2.5 },
    marginIn: 4,
    turn: 'auto',
    bobbinMm: { od: 25, core: 7.6, width: 10 },
    evenness: 2.5,
    ditchSchool: 'before-fills',
    ends: 'lock',
    belief: NOTHING_LOGGED,
    zones: q.zones.map((z, i): PlannedZone => ({
      id: z.name,
      letter: String.fromCharCode(65 + i),
      geometry: z.geometry,
      technique: z.technique,
      spacingIn: z.spacingIn,
      lengthIn: z.lengthIn,
      sandwich: {
        top: [{ fabric: 'quilting-cotton' }],
        battingId: 'cotton-80-20',
        backing: 'quilting-cotton',
      },
      setup: { top, bobbin, spi: 11, maxInPerS: 3 },
    })),
  };
};

describe('by hand', () => {
  test('Nine Buoys, Rope border: a frame of 6 in round 54 by 54, ruler lines an inch apart', () => {
    const plan = planWork(requestFor('Nine Buoys'));
    const z = plan.zones[0]!;
    // 54² − 42² = 1152 in²; λ = 1/1; 2 % sewn twice
    expect(z.areaIn2).toBe(1152);
    expect(z.sewnIn).toBeCloseTo(1175.04, 6);
    // 1175.04 / 1.2 / 60 = 16.32 min, starts off the quilt's edge, 195.84 ruler moves · 0.15 = 29.38
    expect(z.work.handsMin).toBeCloseTo(16.32, 2);
    expect(z.work.actsMin).toBeCloseTo(29.376, 2);
    // 5 moves · 0.5, ticks an inch apart along half of 384 in · 0.1
    expect(z.work.setMin).toBeCloseTo(2.5 + 19.2, 2);
    // 29.846 m · (1 + 1.368/2.309) + 5 starts, one a pass · 0.3, + 5 %
    expect(z.topM).toBeCloseTo((29.846 * (1 + 1.368 / 2.3091) + 1.5) * 1.05, 1);
  });
  test('Tide Table, Compass: a 24-gon of radius 13 in feathers half an inch apart', () => {
    const z = planWork(requestFor('Tide Table')).zones[0]!;
    // 12 · 13² · sin 15° = 524.9 in²; λ = 1.15 / 0.5 = 2.3; 30 % sewn twice
    expect(z.areaIn2).toBeCloseTo(524.9, 1);
    expect(z.sewnIn).toBeCloseTo(1569.4, 0);
    // 1569.4 / 1.4 / 60 = 18.68 min, 4 starts, one a pass · 0.5
    expect(z.work.handsMin + z.work.actsMin).toBeCloseTo(20.68, 1);
    // A figure, 4 moves, a spine along a quarter of 81.4 in
    expect(z.work.setMin).toBeCloseTo(1.5 + 2 + 2.04, 1);
  });
  test('Harbour Lights, Rope border: 36 by 52 less its inside, an inch apart', () => {
    const r = requestFor('Harbour Lights');
    const i = r.zones.findIndex((z) => z.id === 'Rope border');
    const z = planWork(r).zones[i]!;
    // 48 · 64 − 44 · 60 = 432 in²
    expect(z.areaIn2).toBe(432);
  });
  test('Nine Buoys, Jetties: 640 in of ditch along the sashing, a way round it with nothing sewn twice', () => {
    const z = planWork(requestFor('Nine Buoys')).zones[3]!;
    expect(z.sewnIn).toBeCloseTo(640, 9);
  });
  test('Tide Table and Harbour Lights: zones cover the quilt, shares add up, passes as reckoned', () => {
    for (const name of ['Tide Table', 'Harbour Lights']) {
      const r = requestFor(name);
      const plan = planWork(r);
      const area = r.zones.reduce((s, z) => s + areaOf(z.geometry), 0);
      expect(area).toBeCloseTo(r.quilt.widthIn * r.quilt.lengthIn, 4);
      for (const z of plan.zones) expect(z.shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 6);
    }
    // 80/20 on the roll: 0.30 + 0.30 + 0.8 · 3.2 = 3.16 mm; the first pass reaches 20 − 5.5 − 2.5 = 12 in
    const plan = planWork(requestFor('Harbour Lights'));
    expect(plan.passes).toMatchObject({ turned: true, passes: 6 });
    expect(plan.passes!.depthsIn[0]).toBeCloseTo(12, 9);
  });
});

test('every demo quilt plans without a gap its batting forbids going unsaid', () => {
  for (const q of demoQuilts) {
    const plan = planWork(requestFor(q.name));
    expect(plan.zones.every((z) => Number.isFinite(z.minutes.mid) && z.sewnIn > 0)).toBe(true);
    const wide = plan.density.zones.filter((z) => !z.ok).map((z) => z.id);
    const said = plan.density.cautions.filter((c) => c.code === 'batting-gap').length;
    expect(said).toBe(wide.length);
  }
});

test('ditch comes first in its pass, and each bobbin has a place where it runs out', () => {
  const r = requestFor('Nine Buoys');
  const plan = planWork({ ...r, bobbinMm: { od: 14, core: 7.6, width: 5 } });
  expect(plan.order.cells.some((c) => c.stabilise)).toBe(true);
  const bob = plan.threads.find((t) => t.id === 'bob')!;
  expect(plan.runOuts).toHaveLength(bob.bobbins - 1);
  for (const o of plan.runOuts) expect(o.share).toBeLessThanOrEqual(1);
});

test('a frame too narrow is said, and the rest is still planned', () => {
  const r = requestFor('Harbour Lights');
  const plan = planWork({ ...r, frame: { ...r.frame, widthIn: 40 } });
  expect(plan.passes).toBeNull();
  expect(plan.cautions[0]).toMatchObject({ code: 'no-passes', severity: 'stop' });
});

describe('steps', () => {
  const r = requestFor('Harbour Lights');
  const plan = planWork(r);
  const steps = planSteps(plan, r, [], PRICES);
  test('each is one pass with one thread, and together they are all the work of the zones', () => {
    expect(new Set(steps.map((s) => `${s.pass} ${s.thread} ${s.stabilise}`)).size).toBe(steps.length);
    const work = plan.zones.reduce((sum, z, i) => (r.zones[i]!.setup ? sum + z.work.handsMin : sum), 0);
    const hands = steps.flatMap((s) => s.parts).reduce((sum, p) => sum + p.handsMin, 0);
    // Slivers of a zone that fall into a neighbouring pass are no steps.
    expect(hands / work).toBeGreaterThan(0.98);
    expect(hands / work).toBeLessThanOrEqual(1 + 1e-9);
  });
  test('each carries what it brings: advances, basting, changes; and its items add up to its minutes', () => {
    const changes = steps.filter((s, i) => i > 0 && steps[i - 1]!.thread !== s.thread).length;
    const items = itemsOf(steps, NOTHING_LOGGED);
    // Rolled from the first pass to the last, each pass basted once.
    expect(items.advance).toBe(3 * (plan.passes!.passes - 1));
    expect(items.baste).toBe(2 * plan.passes!.passes);
    expect(items.thread).toBe(3 * changes);
    const sum = Object.values(items).reduce((t, m) => t + m, 0);
    expect(sum).toBeCloseTo(
      steps.reduce((t, s) => t + s.minutes, 0),
      6,
    );
  });
  test('an order given is followed, and what it leaves out comes after', () => {
    const back = [...steps].reverse().slice(0, 3);
    const laid = planSteps(plan, r, back, PRICES);
    expect(laid.slice(0, 3).map((s) => s.pass)).toEqual(back.map((s) => s.pass));
    expect(laid).toHaveLength(steps.length);
  });
  test('what is left is the steps not sewn, loading and taking off; nothing once it is quilted', () => {
    const left = (part: object = {}) =>
      leftSteps(plan, r, steps, { step: 'quilt', sewn: [], onFrameSince: null, ...part });
    const mid = (part: object = {}) => minutesOfSteps(left(part), NOTHING_LOGGED).mid;
    const all = steps.reduce((t, s) => t + s.minutes, 0);
    expect(mid()).toBeCloseTo(all + 35 + 10, 6);
    expect(mid({ onFrameSince: '2026-11-30' })).toBeCloseTo(all + 10, 6);
    expect(mid({ sewn: [steps[0]] })).toBeCloseTo(all - steps[0]!.minutes + 10, 6);
    expect(left({ step: 'hand-back' })).toEqual([]);
    // A zone without a card counts with its work and what its passes ask of the frame.
    const bare = { ...r, zones: r.zones.map((z) => ({ ...z, setup: null })) };
    const none = leftSteps(planWork(bare), bare, [], { step: 'match', sewn: [], onFrameSince: null });
    expect(none.length).toBe(plan.passes!.passes + 2);
  });
  test('a step of a minute for one thread alone says what leaving it out would save and leave open', () => {
    const other = { ...top, id: 'other' };
    const tiny: WorkPlanRequest = {
      ...r,
      zones: [
        { ...r.zones[0]!, geometry: [[rect(0, 0, 64, 10)]], lengthIn: undefined },
        {
          ...r.zones[0]!,
          id: 'stamp',
          letter: 'B',
          geometry: [[rect(0, 10, 4, 4)]],
          technique: 'meander-large',
          spacingIn: 2,
          lengthIn: undefined,
          setup: { ...r.zones[0]!.setup!, top: other },
        },
        { ...r.zones[0]!, id: 'rest', letter: 'C', geometry: [[rect(0, 14, 64, 66)]], lengthIn: undefined },
      ],
    };
    const planned = planWork(tiny);
    const order = planSteps(planned, tiny, [], PRICES);
    const [small] = smallSteps(order, planned, PRICES);
    expect(small).toMatchObject({ savesChanges: expect.any(Number) as number });
    expect(small!.open[0]!.letter).toBe('B');
    expect(small!.open.reduce((t, o) => t + o.areaIn2, 0)).toBeLessThanOrEqual(16 + 1e-9);
  });
  test('sewn steps count by their minutes; a whole pass of old counts for all its threads', () => {
    expect(sewnShare(steps, [])).toBe(0);
    expect(sewnShare(steps, steps)).toBe(1);
    const first = steps[0]!;
    const total = steps.reduce((sum, s) => sum + s.minutes, 0);
    expect(sewnShare(steps, [first])).toBeCloseTo(first.minutes / total, 9);
    const whole = { pass: first.pass, thread: null, stabilise: false };
    expect(steps.filter((s) => s.pass === first.pass).every((s) => isSewn(s, [whole]))).toBe(true);
    expect(passesDone(steps, [whole])).toEqual([first.pass]);
  });
});

describe('a plan once begun stands', () => {
  const r = requestFor('Harbour Lights');
  const begunAt = planWork(r).passes!;
  test('whatever the machine is afterwards', () => {
    const deeper = { ...r, frame: { ...r.frame, throatIn: r.frame.throatIn + 8 } };
    expect(planWork(deeper).passes!.passes).toBeLessThan(begunAt.passes);
    const kept = planWork({ ...deeper, begun: begunAt });
    expect(kept.passes).toMatchObject({ passes: begunAt.passes, depthsIn: begunAt.depthsIn });
    expect(kept.zones[0]!.shares).toHaveLength(begunAt.passes);
  });
  test('and the Workroom is told where it has moved on', () => {
    const begun = {
      machineId: 'm',
      machine: 'The long one',
      frame: r.frame,
      marginIn: 4,
      bobbinMm: r.bobbinMm,
      at: '2026-11-25T09:00:00Z',
      steps: [],
    };
    const now = { id: 'm', name: 'The long one', frame: r.frame, marginIn: 4 };
    expect(movedOn(begun, now)).toEqual([]);
    expect(movedOn(begun, { ...now, frame: { ...r.frame, throatIn: 24 } })).toEqual([
      `The throat was ${r.frame.throatIn} in and is now 24 in.`,
    ]);
    expect(movedOn(begun, { ...now, id: 'n', name: 'Another', marginIn: 3 })).toHaveLength(2);
  });
  test('a bug is no advice', () => {
    expect(() => planWork({ ...r, frame: null as never })).toThrow(TypeError);
  });
});

test.each([
  [[64, 64.25, 64], 'square'],
  [[64, 65.5, 64], 'full'],
  [[65.5, 64, 65.25], 'wavy'],
  [[64, 65, 66], 'out-of-square'],
] as const)('%j is %s', (three, verdict) => {
  const m = measure(three, 'width');
  expect(m.verdict).toBe(verdict);
  expect(m.text.length).toBeGreaterThan(10);
});
