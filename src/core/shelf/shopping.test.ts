import fc from 'fast-check';
import { chanceEnough, type Claim, shoppingList, type ShoppingRequest } from './shopping';

const claim = (quilt: string, day: number, m: number, part: Partial<Claim> = {}): Claim => ({
  quilt,
  day,
  metres: new Map([['fog', m]]),
  bobbinM: new Map([['fog', m / 2]]),
  stitches: new Map([['100 sharp standard', m * 400]]),
  bulk: false,
  layers: [],
  ...part,
});
const fog = {
  id: 'fog',
  name: 'Heron Poly 60 Fog',
  remainingM: 1000,
  source: 'weighed' as const,
  fullM: 5000,
};
const list = (part: Partial<ShoppingRequest> = {}) =>
  shoppingList({
    claims: [claim('Salt Pans', 10, 400), claim('Nine Buoys', 20, 550)],
    cones: [fog],
    tray: [],
    capacity: new Map([['fog', 100]]),
    drawer: [{ key: '100 sharp standard', name: 'Nm 100 sharp', stock: 9, life: 250_000 }],
    lowM: 300,
    today: 8,
    ...part,
  });
const buys = (part: Partial<ShoppingRequest> = {}) => list(part).filter((l) => l.act === 'buy');

test('a cone that may run out is bought two days before the quilt at which it does, five days of delivery before', () => {
  const [line] = buys({ claims: [claim('Salt Pans', 10, 400), claim('Nine Buoys', 20, 600)] });
  expect(line).toMatchObject({ amount: '1 cone of 5000 m', neededDay: 18, orderDay: 13 });
  expect(line!.why).toContain('Nine Buoys');
});
test('enough with nine chances in ten is enough', () => {
  expect(chanceEnough(fog, [400, 500])).toBeGreaterThan(0.9);
  expect(buys({ claims: [claim('Salt Pans', 10, 400), claim('Nine Buoys', 20, 500)] })).toEqual([]);
  // The same metres, only set by hand: less sure, so it is listed.
  expect(
    buys({ claims: [claim('A', 10, 400), claim('B', 20, 500)], cones: [{ ...fog, source: 'set' }] }),
  ).toHaveLength(1);
});
test('what only runs low comes last, without a day', () => {
  const lines = list({ claims: [claim('A', 10, 20)], cones: [{ ...fog, remainingM: 200 }] });
  expect(lines.at(-1)).toMatchObject({ act: 'buy', neededDay: null });
});
test('bobbins are wound for two weeks, one to spare, less those on the tray', () => {
  const wind = (tray: ShoppingRequest['tray']) => list({ tray }).find((l) => l.act === 'wind');
  expect(wind([])).toMatchObject({ amount: '6 bobbins', neededDay: 9 });
  expect(wind([{ coneId: 'fog', count: 4, capacityM: 100 }])).toMatchObject({ amount: '2 bobbins' });
  expect(wind([{ coneId: 'fog', count: 9, capacityM: 100 }])).toBeUndefined();
});
test('needles break more over bulk', () => {
  const drawer = [{ key: '100 sharp standard', name: 'Nm 100 sharp', stock: 1, life: 250_000 }];
  const needle = (bulk: boolean) =>
    buys({ drawer, claims: [claim('A', 10, 100, { bulk }), claim('B', 20, 100, { bulk })] })[0]?.amount;
  expect([needle(false), needle(true)]).toEqual([undefined, '1 needle']);
});
test('a backing that is washed first is needed five days before', () => {
  const layers = [{ kind: 'backing', act: 'buy', what: 'Flannel', amount: '5 yd', prewashed: true }] as const;
  expect(list({ claims: [claim('A', 20, 1, { layers })] }).find((l) => l.what === 'Flannel')).toMatchObject({
    neededDay: 15,
    orderDay: 10,
  });
});

test('always: what is bought is enough with nine chances in ten, sorted by day, nothing for what suffices', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.nat(40), fc.double({ min: 1, max: 3000, noNaN: true })), { maxLength: 10 }),
      fc.nat(8000),
      fc.constantFrom('weighed' as const, 'logged' as const, 'set' as const),
      (wanted, remainingM, source) => {
        const claims = wanted.sort((a, b) => a[0] - b[0]).map(([day, m], i) => claim(`Q${i}`, day, m));
        const cone = { ...fog, remainingM, source };
        const lines = shoppingList({
          claims,
          cones: [cone],
          tray: [],
          capacity: new Map(),
          drawer: [],
          lowM: 0,
          today: 0,
        });
        const all = claims.map((c) => c.metres.get('fog')!);
        const bought = lines.find((l) => l.key === 'cone fog');
        if (!bought) expect(chanceEnough(cone, all)).toBeGreaterThanOrEqual(0.9);
        else {
          const n = Number(/^(\d+) cone/.exec(bought.amount)![1]);
          expect(chanceEnough(cone, all, n * 5000)).toBeGreaterThanOrEqual(0.9);
        }
      },
    ),
    { numRuns: 2000 },
  );
});
