import { readGrams, readLengthMm, readMetres } from '../exchange/read-number';
import { describeThread } from './describe';
import { readConeLine } from './read-cone-line';

test.each<[string, Partial<ReturnType<typeof readConeLine>>]>([
  ['Poly 40 white 5000 m', { fibre: 'polyester-filament', tex: 25, lengthM: 5000, assumed: [] }],
  ['60', { fibre: 'polyester-filament', tex: 1000 / 60, assumed: ['fibre'] }],
  ['size 30 cotton', { fibre: 'cotton', tex: 1000 / 30 }],
  ['cotton 50/3 cream 1200 yd', { fibre: 'cotton', tex: (590.5 / 50) * 3, lengthM: 1097.28 }],
  ['Tex 27 navy', { tex: 27 }],
  ['Harbour trilobal 40 wt. teal, 6000 yards', { tex: 25, lengthM: 5486.4, fibre: 'polyester-filament' }],
  ['clear nylon 0.004 in', { fibre: 'nylon-mono' }],
  ['invisible 0.1 mm smoke', { fibre: 'polyester-mono' }],
  ['metallic gold', { fibre: 'metallic', assumed: ['size'] }],
  ['120/2 den poly 8 oz', { tex: (120 / 9) * 2, netG: 8 * 28.349523125 }],
])('“%s”', (text, wants) => {
  const { tex, lengthM, netG, ...told } = wants;
  const read = readConeLine(text);
  expect(read).toMatchObject(told);
  if (tex) expect(read.tex).toBeCloseTo(tex, 6);
  if (lengthM) expect(read.lengthM).toBeCloseTo(lengthM, 3);
  if (netG) expect(read.netG).toBeCloseTo(netG, 3);
});
test('a colour that is named is seen, the last word of two', () => {
  expect(readConeLine('Poly 40 navy blue').colour?.name).toBe('blue');
  expect(readConeLine('Poly 40').colour).toBeNull();
});
test('a clear strand by its thickness is that thick', () => {
  const { tex } = readConeLine('clear nylon 0.1 mm');
  expect(describeThread({ label: `${tex} tex`, fibre: 'nylon-mono' }).diameterMm).toBeCloseTo(0.1, 6);
  expect(() => readConeLine('  ')).toThrow(/what stands on the cone/);
});

test.each([
  ['52', 1320.8],
  ['52.25', 1327.15],
  ['52 1/4', 1327.15],
  ['52¼', 1327.15],
  ['52-1/4', 1327.15],
  ['52"', 1320.8],
  ['132 cm', 1320],
  ['1.32 m', 1320],
  ['4 ft 4 in', 1320.8],
  ['4\' 4"', 1320.8],
  ['2 yd', 1828.8],
  ['1 yd 18 in', 1371.6],
  ['fifty', null],
  ['4 in 4 ft', null],
  ['3/0', null],
  ['5 sheep', null],
])('a length “%s”', (text, mm) => {
  const read = readLengthMm(text, '.', 'in');
  if (mm === null) expect(read).toBeNull();
  else expect(read).toBeCloseTo(mm, 6);
});
test.each([
  ['6000 yd', 5486.4],
  ['6,000 yards', 5486.4],
  ['5000', 5000],
  ['5.5 km', 5500],
])('on a cone “%s”', (text, m) => expect(readMetres(text, '.')).toBeCloseTo(m, 6));
test.each([
  ['8 oz', 226.796185],
  ['1 lb 2 oz', 510.291],
  ['240', 240],
  ['0.5 kg', 500],
  ['heavy', null],
])('weighs “%s”', (text, g) => {
  const read = readGrams(text, '.');
  if (g === null) expect(read).toBeNull();
  else expect(read).toBeCloseTo(g, 3);
});
