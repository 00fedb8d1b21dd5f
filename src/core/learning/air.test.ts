import { chance } from '../testing/chance';
import { type Combination, type LearnedSearch, learnTension } from './tension';

/** A studio of two machines whose balance moves by so much for each twenty points of humidity. */
function studio(seed: number, n: number, per20: number) {
  const { normal, pick } = chance(seed);
  const shift = { m1: 0.15 * normal(), m2: 0.15 * normal() };
  const any = (): Combination & { humidityPct: number; machineId: 'm1' | 'm2' } => ({
    machineId: pick(['m1', 'm2']),
    topId: pick(['t1', 't2', 't3']),
    bobbinId: 'b1',
    battingId: pick(['wool', 'cotton']),
    needleNm: 100,
    humidityPct: pick([20, 25, 35, 50, 60, 70]),
  });
  const truth = (c: ReturnType<typeof any>) => shift[c.machineId] + (per20 * (c.humidityPct - 50)) / 20;
  const search = (): LearnedSearch => {
    const c = any();
    return { ...c, mean: truth(c) + 0.05 * normal(), sd: 0.05 };
  };
  return { any, truth, searches: Array.from({ length: n }, search) };
}

test('where the air matters the log comes to show it, and a first guess in dry air is nearer than without', () => {
  let [shown, withAir, without] = [0, 0, 0];
  for (let seed = 1; seed <= 30; seed++) {
    const { any, truth, searches } = studio(seed, 40, 0.08);
    const learned = learnTension(searches);
    const blind = learnTension(searches.map((s) => ({ ...s, humidityPct: null })));
    if (learned.air!.shown) shown++;
    for (let i = 0; i < 20; i++) {
      const c = any();
      withAir += Math.abs(learned.predict(c).mean - truth(c));
      without += Math.abs(blind.predict(c).mean - truth(c));
    }
  }
  expect(shown).toBeGreaterThanOrEqual(28);
  expect(withAir).toBeLessThan(0.7 * without);
});
test('where it does not, it is seldom reckoned with, and its size is as unsure as it says', () => {
  let [shown, within] = [0, 0];
  for (let seed = 1; seed <= 100; seed++) {
    const { air } = learnTension(studio(seed, 40, 0).searches);
    if (air!.shown) shown++;
    if (Math.abs(air!.mean) < 1.2816 * air!.sd) within++;
  }
  expect(shown).toBeLessThanOrEqual(30);
  expect(within).toBeGreaterThanOrEqual(70);
});
test('too few tests with the air noted tell nothing; a guess without the air known rests on the usual air', () => {
  const { searches } = studio(3, 40, 0.08);
  expect(learnTension(searches.slice(0, 5)).air).toBeNull();
  const learned = learnTension(searches);
  const c: Combination = { ...searches[0]!, humidityPct: null };
  expect(learned.predict(c).mean).toBeCloseTo(learned.predict({ ...c, humidityPct: 50 }).mean, 9);
  expect(learned.predict({ ...c, humidityPct: 20 }).mean).toBeLessThan(learned.predict(c).mean);
  expect(learned.effects.map((e) => e.kind)).not.toContain('air');
});
