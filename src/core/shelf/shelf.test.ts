import { demoShelf } from '@/demo/shelf';
import { CoreError } from '../notes';
import { compareThreads, threadFacts } from './compare';
import { checkTex, metresFromWeight } from './cone';
import { compareColour, compareThickness, nearColour } from './order';

test('a size no such fibre is made in is refused in words', () => {
  expect(() => checkTex(27, 'polyester-filament')).not.toThrow();
  expect(() => checkTex(400, 'nylon-mono')).toThrow(/cannot be nylon monofilament/);
  expect(() => checkTex(Number.NaN, 'cotton')).toThrow(CoreError);
});

test('metres from the scale', () => {
  expect(metresFromWeight(95, 41, 27)).toBe(2000);
  expect(() => metresFromWeight(30, 41, 27)).toThrow(/less than/);
});

test('colour order: dark neutrals to light, then by hue; unknown last; and it is an order', () => {
  const shelf = ['#ffffff', '#111111', null, '#0000ff', '#ff0000', '#880000', '#808080'];
  const sorted = [...shelf].sort(compareColour);
  expect(sorted.slice(0, 3)).toEqual(['#111111', '#808080', '#ffffff']);
  expect(sorted.at(-1)).toBeNull();
  expect(sorted.indexOf('#880000')).toBeLessThan(sorted.indexOf('#ff0000'));
  const hexes = demoShelf.map((c) => c.hex ?? null);
  expect([...hexes].reverse().sort(compareColour)).toEqual([...hexes].sort(compareColour));
});

test('near a colour by CIEDE2000', () => {
  expect(nearColour('#2f6f73', '#2f6f74', 1)).toBe(true);
  expect(nearColour('#ffffff', '#000000', 20)).toBe(false);
  expect(nearColour(null, '#000000', 100)).toBe(false);
});

test('thicker is not always stronger: fibre decides', () => {
  const poly = { id: 'p', name: 'Poly', tex: 27, fibre: 'polyester-filament' };
  const cotton = { id: 'c', name: 'Cotton', tex: 35, fibre: 'cotton' };
  const out = compareThreads([poly, cotton]);
  expect(out.thickest.id).toBe('c');
  expect(out.strongest.id).toBe('p');
  expect(out.thickerIsStronger).toBe(false);
  expect(compareThickness(poly, cotton)).toBeLessThan(0);
  expect(out.piecing.map((p) => p.fits)).toEqual([true, true]);
});

test('metallic, monofilament and ropes are no piecing threads', () => {
  const out = compareThreads([
    { id: 'm', name: 'M', tex: 33, fibre: 'metallic' },
    { id: 'n', name: 'N', tex: 9, fibre: 'nylon-mono' },
    { id: 'r', name: 'R', tex: 83, fibre: 'cotton' },
  ]);
  expect(out.piecing.every((p) => !p.fits && p.why.length > 5)).toBe(true);
});

test('the facts of a thread agree with each other', () => {
  const f = threadFacts({ tex: 27, fibre: 'polyester-filament' });
  expect(f.wt).toBeCloseTo(37.04, 2);
  expect(f.loopGf).toBeCloseTo(0.6 * f.breakGf, 9);
  expect(f.bestNeedle?.nm).toBe(100);
});
