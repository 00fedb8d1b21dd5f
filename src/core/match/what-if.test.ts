import fc from 'fast-check';
import { aMatch, shelf } from '../testing/a-shelf';
import { CoreError } from '../notes';
import { match } from './match';
import { whatWouldHaveToBeTrue } from './what-if';

const TEAL = 'Teal Cotton 50/2 Sage';

test('the best thread needs nothing', () => {
  const best = match(aMatch()).setups[0]!.topId;
  expect(whatWouldHaveToBeTrue(aMatch(), best)).toEqual({
    best: true,
    refused: null,
    behind: 0,
    shifts: [],
    conditions: [],
    ahead: [],
  });
});

test('a thread behind is told by how much, where, and by whom', () => {
  const told = whatWouldHaveToBeTrue(aMatch(), TEAL);
  expect(told.best).toBe(false);
  expect(told.behind).toBeGreaterThan(0);
  expect(told.ahead).not.toContain(TEAL);
  expect(told.ahead.length).toBeGreaterThan(0);
  const sum = told.shifts.reduce((s, x) => s + x.by, 0);
  expect(Math.abs(sum - told.behind!)).toBeLessThan(0.3);
  const sizes = told.shifts.map((s) => Math.abs(s.by));
  expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
});

test('a bold thread would be best if the zone were to show', () => {
  // Rust cotton 12 on pale cloth: wrong where it should sink, right where it should be seen.
  const only = shelf.filter((t) => /Rust|Gossamer/.test(t.id));
  const told = whatWouldHaveToBeTrue(aMatch({ technique: 'echo' }, { threads: only }), 'Rope Cotton 12 Rust');
  expect(told.conditions.map((c) => c.text).join(' ')).toMatch(/it were to show/);
});

test('a thread in the wrong colour would be best in the colour of the fabric', () => {
  const only = shelf.filter((t) => /^Heron Poly 60/.test(t.id));
  const told = whatWouldHaveToBeTrue(aMatch({}, { threads: only }), 'Heron Poly 60 Night');
  expect(told.conditions.map((c) => c.code)).toContain('colour');
});

test('a short cone would be best if there were plenty of it', () => {
  const best = match(aMatch()).setups[0]!.topId;
  const threads = shelf.map((t) => (t.id === best ? { ...t, remainingM: 2 } : t));
  const told = whatWouldHaveToBeTrue(aMatch({}, { threads }), best);
  expect(told.best).toBe(false);
  expect(told.conditions.map((c) => c.text)).toContain('there were plenty of it left');
});

test('a thread no needle suits is refused in words', () => {
  const told = whatWouldHaveToBeTrue(
    aMatch({}, { needles: [{ nm: 80, eye: 'standard', point: 'sharp' }] }),
    'Rope Cotton 12 Rust',
  );
  expect(told.refused).toMatch(/needle/i);
  expect(told.behind).toBeNull();
});

test('where no single thing suffices, two together are said', () => {
  const told = whatWouldHaveToBeTrue(
    aMatch({ use: 'baby', technique: 'pebbles', spacingIn: 0.25 }),
    'Brasswork Old Gold',
  );
  for (const c of told.conditions) expect(c.text.length).toBeGreaterThan(10);
  if (told.conditions.some((c) => c.code.includes('+')))
    expect(told.conditions.every((c) => c.code.includes('+'))).toBe(true);
});

test.each(['nothing', 'Heron Poly 60 Nowhere'])('%s is not on the shelf', (id) => {
  expect(() => whatWouldHaveToBeTrue(aMatch(), id)).toThrow(CoreError);
});

test('a bobbin thread cannot be asked about as a top thread', () => {
  const threads = shelf.map((t) => (t.id === TEAL ? { ...t, role: 'bobbin' as const } : t));
  expect(() => whatWouldHaveToBeTrue(aMatch({}, { threads }), TEAL)).toThrow(CoreError);
});

test('conditions are true: no thread behind ever claims to be best', () => {
  const ids = shelf.filter((t) => t.role !== 'bobbin').map((t) => t.id);
  fc.assert(
    fc.property(
      fc.constantFrom(...ids),
      fc.constantFrom('sink' as const, 'texture' as const, 'show' as const),
      fc.constantFrom('swirls', 'ruler-lines', 'feathers', 'pebbles'),
      (id, visibility, technique) => {
        const request = aMatch({ visibility, technique, spacingIn: undefined });
        const told = whatWouldHaveToBeTrue(request, id);
        expect(told.best).toBe(match({ ...request, limit: 1 }).setups[0]!.topId === id);
        if (!told.best) expect(told.ahead.length).toBeGreaterThan(0);
        const codes = told.conditions.map((c) => c.code);
        expect(new Set(codes).size).toBe(codes.length);
      },
    ),
    { numRuns: 15 },
  );
});
