import { demoQuilts } from '@/demo/quilts';
import { areaOf, rect } from '@/core/geometry/polygon';
import type { MapZone } from '@/core/geometry/edit';
import { mapToSvg, svgToZones } from './svg-file';

const quilt = { name: 'Nine & more', widthIn: 54, lengthIn: 60 };
const read = (source: string, size = quilt) => {
  const zones = svgToZones(source, size);
  if (typeof zones === 'string') throw new Error(zones);
  return zones;
};
const file = (inside: string, head = 'viewBox="0 0 54 60"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inside}</svg>`;

test('every demo map goes out and comes in with the same areas and names', () => {
  for (const q of demoQuilts) {
    const zones = q.zones.map((z, i): MapZone => ({
      id: `z${i}`,
      letter: String.fromCharCode(65 + i),
      name: z.name,
      geometry: z.geometry,
    }));
    const back = read(mapToSvg(zones, q), q);
    expect(back.map((z) => z.name)).toEqual(zones.map((z) => z.name));
    for (const [i, z] of zones.entries()) {
      const rings = z.geometry.flat();
      expect(back[i]!.geometry).toHaveLength(rings.length);
      for (const [k, ring] of rings.entries())
        expect(areaOf([back[i]!.geometry[k]!]) / areaOf([[ring]])).toBeCloseTo(1, 2);
    }
  }
});
test('names are written as text, whatever letters they have', () => {
  const zones = [{ id: 'a', letter: 'A', name: '<b>"Rope" & co</b>', geometry: [[rect(0, 0, 10, 10)]] }];
  const svg = mapToSvg(zones, { name: '</title><script>', widthIn: 54, lengthIn: 60 });
  expect(svg).not.toContain('<script>');
  expect(read(svg)[0]!.name).toBe('<b>"Rope" & co</b>');
});
test.each<[string, string, number]>([
  ['a rectangle', '<rect x="0" y="0" width="10" height="6"/>', 60],
  ['a polygon', '<polygon points="0,0 10,0 10,6"/>', 30],
  ['a path of lines', '<path d="M0 0H10V6H0Z"/>', 60],
  ['a path relative to itself', '<path d="m5 5l10 0l0 6l-10 0z"/>', 60],
  ['a moved rectangle', '<rect width="10" height="6" transform="translate(3 4)"/>', 60],
  ['a rectangle twice as large', '<rect width="10" height="6" transform="scale(2)"/>', 240],
  ['an ellipse', '<ellipse cx="20" cy="20" rx="10" ry="5"/>', Math.PI * 50],
  [
    'a rectangle in two moved groups',
    '<g transform="scale(2)"><g transform="translate(3 4)"><rect width="5" height="3"/></g></g>',
    60,
  ],
])('%s is read at its size', (_, shape, area) => {
  const [zone] = read(file(shape));
  expect(areaOf(zone!.geometry) / area).toBeCloseTo(1, 2);
});
test('curves become many straight pieces: a circle of arcs keeps its area', () => {
  const [zone] = read(file('<path d="M10 20a10 10 0 1 0 20 0a10 10 0 1 0 -20 0z"/>'));
  expect(areaOf(zone!.geometry)).toBeCloseTo(Math.PI * 100, -1);
  const [quad] = read(file('<path d="M0 0Q10 0 10 10L0 10Z"/>'));
  expect(areaOf(quad!.geometry)).toBeCloseTo(100 - 100 / 3 / 2 - 0, -2);
});
test('a file drawn at another size is fitted to the quilt', () => {
  const [zone] = read(file('<rect width="540" height="600"/>', 'viewBox="0 0 540 600"'));
  expect(areaOf(zone!.geometry)).toBeCloseTo(54 * 60, 6);
  const [other] = read(file('<rect width="108" height="120"/>', 'width="108" height="120"'));
  expect(areaOf(other!.geometry)).toBeCloseTo(54 * 60, 6);
});
test('an unnamed shape gets a name; specks are left out', () => {
  const zones = read(
    file(
      '<rect width="9" height="9"/><rect width="0.01" height="0.01"/><rect id="Sash" width="9" height="9"/>',
    ),
  );
  expect(zones.map((z) => z.name)).toEqual(['Zone 1', 'Sash']);
});
test.each([
  ['not SVG', '<html></html>', 'This file is not SVG.'],
  ['not XML', 'a letter to a friend', 'This file is not SVG.'],
  [
    'no size',
    '<svg xmlns="http://www.w3.org/2000/svg"><rect width="9" height="9"/></svg>',
    'how large it is',
  ],
  ['no shapes', file('<text>hello</text>'), 'No closed shapes'],
  ['an open line', file('<path d="M0 0L5 5"/>'), 'No closed shapes'],
  ['too large', ' '.repeat(2_000_001), 'too large'],
])('%s is said in words', (_, source, words) => expect(svgToZones(source, quilt)).toContain(words));
