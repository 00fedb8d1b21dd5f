import { chance } from '../testing/chance';
import {
  type Combination,
  EFFECT_SD,
  type LearnedSearch,
  learnTension,
  likelyRounds,
  OWN_SD,
} from './tension';

const combination = (part: Partial<Combination> = {}): Combination => ({
  machineId: 'm',
  topId: 't1',
  bobbinId: 'b1',
  battingId: 'wool',
  needleNm: 100,
  ...part,
});

test('nothing learned: the first guess is as wide as all effects together', () => {
  const { mean, sd, searches } = learnTension([]).predict(combination());
  const wide = Math.hypot(...Object.values(EFFECT_SD), OWN_SD);
  expect([mean, searches]).toEqual([0, 0]);
  expect(sd).toBeCloseTo(wide, 9);
});
test('the same combination tested often is nearly certain; one that shares the machine leans its way', () => {
  const searches = Array.from({ length: 8 }, () => ({ ...combination(), mean: 0.3, sd: 0.08 }));
  const learned = learnTension(searches);
  const same = learned.predict(combination());
  const sharing = learned.predict(combination({ topId: 't9', bobbinId: 'b9', battingId: 'silk-batt' }));
  expect(same.mean).toBeGreaterThan(0.27);
  expect(same.sd).toBeLessThan(0.05);
  expect(sharing.mean).toBeGreaterThan(0.1);
  expect(sharing.sd).toBeGreaterThan(same.sd);
  expect(learned.effects.find((e) => e.kind === 'machine')).toMatchObject({ id: 'm', searches: 8 });
});
test.each([
  [0.03, [1, 1]],
  [0.09, [1, 2]],
  [0.2, [1, 3]],
  [0.35, [2, 3]],
])('a first guess of sd %d is likely to take %j rounds', (sd, rounds) =>
  expect(likelyRounds(sd)).toEqual(rounds),
);

/** A studio with a truth of its own: searches, and what any combination really balances at. */
function studio(seed: number, n: number) {
  const { normal, pick } = chance(seed);
  const effects = new Map<string, number>();
  const effect = (kind: keyof typeof EFFECT_SD, id: string) => {
    const key = `${kind} ${id}`;
    if (!effects.has(key)) effects.set(key, EFFECT_SD[kind] * normal());
    return effects.get(key)!;
  };
  const own = new Map<string, number>();
  const some = (): Combination => ({
    machineId: pick(['m1', 'm2']),
    topId: pick(['t1', 't2', 't3', 't4', 't5']),
    bobbinId: pick(['b1', 'b2', 'b3']),
    battingId: pick(['wool', 'cotton', 'poly']),
    needleNm: pick([90, 100, 110]),
  });
  const truth = (c: Combination) => {
    const key = JSON.stringify(c);
    if (!own.has(key)) own.set(key, OWN_SD * normal());
    return (
      effect('machine', c.machineId) +
      effect('top', c.topId) +
      effect('bobbin', c.bobbinId) +
      effect('batting', c.battingId) +
      effect('needle', String(c.needleNm)) +
      own.get(key)!
    );
  };
  const searches = Array.from({ length: n }, (): LearnedSearch => {
    const c = some();
    return { ...c, mean: truth(c) + 0.1 * normal(), sd: 0.1 };
  });
  return { searches, some, truth };
}

test('with thirty searches behind it 80 % of the bands hold, and they are half as wide as before', () => {
  let [held, all, width] = [0, 0, 0];
  for (let seed = 1; seed <= 60; seed++) {
    const { searches, some, truth } = studio(seed * 7919, 30);
    const learned = learnTension(searches);
    for (let k = 0; k < 10; k++) {
      const c = some();
      const { mean, sd } = learned.predict(c);
      all++;
      width += sd;
      if (Math.abs(truth(c) - mean) <= 1.2816 * sd) held++;
    }
  }
  expect(held / all).toBeGreaterThan(0.74);
  expect(held / all).toBeLessThan(0.88);
  expect(width / all).toBeLessThan(0.14);
});
test('a search that looks like another cause is left out and named; the quilter may put it back', () => {
  const { searches } = studio(42, 40);
  const odd = searches.map((s, i) => (i === 17 ? { ...s, mean: s.mean + 1.5 } : s));
  expect(learnTension(odd).leftOut).toEqual([17]);
  expect(learnTension(odd.map((s, i) => (i === 17 ? { ...s, kept: true } : s))).leftOut).not.toContain(17);
  expect(learnTension(odd.map((s, i) => (i === 3 ? { ...s, dropped: true } : s))).leftOut).toEqual([3, 17]);
});
test('bands that held too seldom are widened, and it is said by one factor', () => {
  const { searches } = studio(8, 60);
  const honest = learnTension(searches);
  expect(honest.held.bands).toBe(50);
  const tooSure = learnTension(
    searches.map((s) => ({ ...s, sd: 0.02, mean: s.mean + 0.12 * Math.sin(s.mean * 1e4) })),
  );
  if (tooSure.held.inside < 35) expect(tooSure.widening).toBeGreaterThan(1);
  expect(honest.widening).toBeGreaterThanOrEqual(0.6);
});

test('after a service the machine’s own effect is less sure by 0.10, and nobody else’s', () => {
  const c = { machineId: 'm', topId: 't', bobbinId: 'b', battingId: 'w', needleNm: 100 };
  const searches = Array.from({ length: 12 }, () => ({ ...c, mean: 0.2, sd: 0.05 }));
  const [before, after] = [learnTension(searches), learnTension(searches, new Set(['m']))];
  const sd = (l: typeof before, kind: string) => l.effects.find((e) => e.kind === kind)!.sd;
  expect(sd(after, 'machine') - sd(before, 'machine')).toBeCloseTo(0.1, 9);
  expect(sd(after, 'top')).toBe(sd(before, 'top'));
  expect(after.predict(c).sd).toBeGreaterThan(before.predict(c).sd);
  expect(after.predict(c).mean).toBe(before.predict(c).mean);
  const other = { ...c, machineId: 'n' };
  expect(after.predict(other).sd).toBe(before.predict(other).sd);
});
