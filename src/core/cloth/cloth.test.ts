import fc from 'fast-check';
import { CoreError } from '../notes';
import { aMatch } from '../testing/a-shelf';
import { match } from '../match/match';
import { SHINES, WEAVES } from '../tables/cloth-looks';
import { fabrics } from '../tables/fabrics';
import { carefulMatch } from './careful-match';
import { firstTest } from './first-test';
import { type ClothDescription, nearestCloths } from './nearest-cloth';

const described = (id: string): ClothDescription => {
  const { gM2, stretch, looks } = fabrics.get(id);
  const { weave, shine } = looks!;
  return { gM2, stretch, weave, shine };
};

const known = fabrics.rows.filter((f) => f.looks).map((f) => f.id);
test('every known fabric but the unknown has a look', () => {
  expect(fabrics.ids.filter((id) => !known.includes(id))).toEqual(['unknown']);
});

test.each(known)('%s described as it is, is found first', (id) => {
  const [first] = nearestCloths(described(id));
  expect(first).toEqual({ id, distance: 0, differs: [] });
});

test.each([
  ['tight, light, no stretch, matt', { gM2: 145, weave: 'dense', stretch: 0, shine: 'matt' }, 'batik'],
  ['stretchy and looped', { gM2: 200, weave: 'knit', stretch: 3, shine: 'matt' }, 'jersey-knit'],
  ['heavy slanting lines', { gM2: 330, weave: 'twill', stretch: 0, shine: 'matt' }, 'denim'],
  ['long floats, shiny', { gM2: 115, weave: 'satin', stretch: 0, shine: 'shiny' }, 'satin'],
  ['thin and see-through', { gM2: 70, weave: 'plain', stretch: 0, shine: 'matt' }, 'lawn-voile'],
  ['no threads to be seen', { gM2: 300, weave: 'felted', stretch: 1, shine: 'matt' }, 'wool-felted'],
  ['soft nap', { gM2: 165, weave: 'brushed', stretch: 1, shine: 'matt' }, 'flannel'],
  ['deep and stretchy with a sheen', { gM2: 270, weave: 'pile', stretch: 3, shine: 'sheen' }, 'plush'],
  ['glittering', { gM2: 95, weave: 'plain', stretch: 1, shine: 'metal' }, 'lame'],
] as const)('%s', (_, description, id) => {
  expect(nearestCloths(description)[0]!.id).toBe(id);
});

test('one to three kinds, nearest first, and never the unknown', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 20, max: 1000 }),
      fc.constantFrom(...WEAVES),
      fc.integer({ min: 0, max: 3 }),
      fc.constantFrom(...SHINES),
      (gM2, weave, stretch, shine) => {
        const near = nearestCloths({ gM2, weave, stretch, shine });
        expect(near.length).toBeGreaterThanOrEqual(1);
        expect(near.length).toBeLessThanOrEqual(3);
        const distances = near.map((n) => n.distance);
        expect(distances).toEqual([...distances].sort((a, b) => a - b));
        expect(near.map((n) => n.id)).not.toContain('unknown');
      },
    ),
  );
});

test('what differs is said in words', () => {
  const [first] = nearestCloths({ gM2: 420, weave: 'twill', stretch: 0, shine: 'matt' });
  expect(first).toMatchObject({ id: 'denim', differs: ['lighter'] });
});

test.each([
  ['weight', { gM2: 5 }],
  ['weight', { gM2: 4000 }],
  ['weight', { gM2: NaN }],
  ['stretch', { stretch: 4 }],
  ['stretch', { stretch: -1 }],
])('a %s out of range is an error', (_, part) => {
  expect(() => nearestCloths({ gM2: 150, weave: 'plain', stretch: 0, shine: 'matt', ...part })).toThrow(
    CoreError,
  );
});

describe('the first test', () => {
  test('tells kinds apart by what they differ in most', () => {
    expect(firstTest(['quilting-cotton', 'satin'], 90).code).toBe('holes');
    expect(firstTest(['velvet', 'plush'], 90).code).toBe('stretch');
    expect(firstTest(['quilting-cotton', 'canvas'], 100).code).toBe('firm');
  });

  test('its outcomes part the kinds without losing one', () => {
    for (const kinds of [
      ['quilting-cotton', 'satin', 'batik'],
      ['velvet', 'plush', 'fleece'],
      ['denim', 'linen'],
    ]) {
      const { tells } = firstTest(kinds, 90);
      expect(tells.flatMap((t) => t.kinds).sort()).toEqual([...kinds].sort());
    }
  });

  test('a single kind still gets the test of its worst', () => {
    expect(firstTest(['satin'], 80)).toMatchObject({ code: 'holes' });
    expect(firstTest(['satin'], 80).steps[0]).toContain('Nm 80');
  });

  test('a kind not known is an error', () => {
    expect(() => firstTest(['oilcloth'], 90)).toThrow(CoreError);
  });
});

describe('a careful set-up', () => {
  const silky: ClothDescription = { gM2: 110, weave: 'plain', stretch: 0, shine: 'sheen' };

  test('is good on every one of the nearest kinds', () => {
    const request = aMatch({ top: [{ fabric: 'unknown', hex: '#9db3b8' }] });
    const told = carefulMatch({ request, clothIndex: 0, description: silky });
    expect(told.setup).not.toBeNull();
    expect(told.kinds.map((k) => k.id)).toContain(told.hardest);
    for (const { id } of told.kinds) {
      const pair = match({
        ...aMatch({ top: [{ fabric: id, hex: '#9db3b8' }] }),
        hold: { topId: told.setup!.topId, bobbinId: told.setup!.bobbinId },
        limit: 1,
      }).setups[0]!;
      // On no kind is it worse than on the hardest.
      expect(pair.score).toBeGreaterThanOrEqual(told.setup!.score - 1e-9);
    }
  });

  test('no pair has a better worst case', () => {
    const request = aMatch({ top: [{ fabric: 'unknown', hex: '#9db3b8' }] });
    const told = carefulMatch({ request, clothIndex: 0, description: silky });
    const scores = told.kinds.map(
      ({ id }) =>
        new Map(
          match({ ...aMatch({ top: [{ fabric: id, hex: '#9db3b8' }] }), limit: 100 }).setups.map((s) => [
            s.topId + s.bobbinId,
            s.score,
          ]),
        ),
    );
    for (const key of scores[0]!.keys())
      if (scores.every((m) => m.has(key)))
        expect(Math.min(...scores.map((m) => m.get(key)!))).toBeLessThanOrEqual(told.setup!.score + 1e-9);
  });

  test('nothing on the shelf: the kinds and the test are still told', () => {
    const told = carefulMatch({ request: aMatch({}, { threads: [] }), clothIndex: 0, description: silky });
    expect(told.setup).toBeNull();
    expect(told.hardest).toBeNull();
    expect(told.test.steps.length).toBeGreaterThan(0);
  });

  test('a fabric that is not in the zone is an error', () => {
    expect(() => carefulMatch({ request: aMatch(), clothIndex: 3, description: silky })).toThrow(CoreError);
  });
});
