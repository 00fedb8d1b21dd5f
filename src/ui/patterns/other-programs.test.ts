import { measurePattern } from '@/core/pattern/pattern';
import { fileText } from './read-drawing';

/**
 * One swell as eight programs would write it: two half circles of 2 in, up and down, 8 in wide, 4 in high and
 * 4π in long. Each has habits of its own: units, transforms, blocks, comments, line ends, arcs as curves or as points.
 */
const MM = 25.4;
const LENGTH = 4 * Math.PI;

const pairs = (...p: (string | number)[]) => {
  let out = '';
  for (let i = 0; i < p.length; i += 2) out += `${String(p[i]).padStart(3)}\r\n${p[i + 1]}\r\n`;
  return out;
};
const dxf = (header: string, blocks: string, entities: string) =>
  pairs(0, 'SECTION', 2, 'HEADER') +
  header +
  pairs(0, 'ENDSEC') +
  (blocks ? pairs(0, 'SECTION', 2, 'BLOCKS') + blocks + pairs(0, 'ENDSEC') : '') +
  pairs(0, 'SECTION', 2, 'ENTITIES') +
  entities +
  pairs(0, 'ENDSEC', 0, 'EOF');
const units = (n: number) => pairs(9, '$INSUNITS', 70, n);

const KAPPA = 0.5522847498;
/** Half a circle as two cubic curves. */
const half = (x: number, r: number, up: 1 | -1) =>
  `C${x} ${-up * KAPPA * r} ${x + r - KAPPA * r} ${-up * r} ${x + r} ${-up * r} ` +
  `C${x + r + KAPPA * r} ${-up * r} ${x + 2 * r} ${-up * KAPPA * r} ${x + 2 * r} 0`;
const dots = Array.from({ length: 401 }, (_, i) => {
  const second = i > 200;
  const a = Math.PI * ((second ? i - 200 : i) / 200);
  return [(second ? 6 : 2) - 2 * Math.cos(a), (second ? 1 : -1) * 2 * Math.sin(a)] as const;
});

const FILES: Readonly<Record<string, string>> = {
  'an illustrator’s: millimetres, layers within layers, everything moved and moved back': `<?xml version="1.0" encoding="UTF-8" standalone="no"?>
<!-- ${'A long licence stands before the drawing. '.repeat(120)} -->
<svg xmlns="http://www.w3.org/2000/svg" xmlns:editor="http://example.test/editor" width="${8 * MM}mm" height="${4 * MM}mm" viewBox="0 0 ${8 * MM} ${4 * MM}">
<editor:view zoom="2"/><metadata><about>swell</about></metadata><defs><clipPath id="c"><rect width="900" height="900"/></clipPath></defs>
<g transform="translate(40,-20)"><g transform="matrix(1 0 0 1 -40 20)"><path editor:nodetypes="csc" style="fill:none;stroke:#000;stroke-width:.3" d="m 0,${2 * MM} a ${2 * MM},${2 * MM} 0 0 1 ${4 * MM},0 a ${2 * MM} ${2 * MM} 0 0 0 ${4 * MM} 0"/></g></g></svg>`,
  'a designer’s: pixels, a document type, classes, cubic curves': `<?xml version="1.0"?>
<!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "http://www.w3.org/Graphics/SVG/1.1/DTD/svg11.dtd" [<!ENTITY ns "http://www.w3.org/2000/svg">]>
<svg version="1.1" xmlns="http://www.w3.org/2000/svg" width="768px" height="384px" viewBox="0 0 768 384"><style>.st0{fill:none;stroke:#231F20}</style>
<g transform="translate(0 192)"><path class="st0" d="M0 0${half(0, 192, 1)}${half(384, 192, -1)}"/></g></svg>`,
  'a web drawing: a symbol used twice, scaled and turned over': `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="8in" height="4in" viewBox="0 -2 8 4">
<defs><path id="arch" fill="none" stroke="black" d="M0 0A1 1 0 0 1 2 0"/></defs><use xlink:href="#arch" transform="scale(2)"/><use href="#arch" transform="translate(4 0) scale(2 -2)" fill="none" stroke="black"/></svg>`,
  'a plotter’s: points of a polyline, in typographic points, nothing else': `<svg xmlns="http://www.w3.org/2000/svg" width="576pt" height="288pt"><polyline fill="none" stroke="blue" points="${dots.map(([x, y]) => `${(x * 96).toFixed(2)},${((y + 2) * 96).toFixed(2)}`).join(' ')}"/></svg>`,
  'an old draughtsman’s: a polyline of vertices with bulges, in inches': dxf(
    units(1),
    '',
    pairs(0, 'POLYLINE', 8, 'QUILT', 66, 1, 70, 0) +
      pairs(0, 'VERTEX', 8, 'QUILT', 10, 0, 20, 0, 42, -1) +
      pairs(0, 'VERTEX', 8, 'QUILT', 10, 4, 20, 0, 42, 1) +
      pairs(0, 'VERTEX', 8, 'QUILT', 10, 8, 20, 0, 0, 'SEQEND'),
  ),
  'a newer draughtsman’s: a light polyline in millimetres': `999\r\nwritten by a program\r\n${dxf(
    pairs(9, '$ACADVER', 1, 'AC1015') + units(4),
    '',
    pairs(0, 'LWPOLYLINE', 5, '2F', 100, 'AcDbEntity', 8, '0', 100, 'AcDbPolyline', 90, 3, 70, 0) +
      pairs(10, 0, 20, 0, 42, -1, 10, 4 * MM, 20, 0, 42, 1, 10, 8 * MM, 20, 0),
  )}`,
  'a parts library’s: a block put in twice, in centimetres, once turned over': dxf(
    units(5),
    pairs(0, 'BLOCK', 8, '0', 2, 'ARCH', 70, 0, 10, 0, 20, 0) +
      pairs(0, 'ARC', 8, '0', 10, 2, 20, 0, 40, 2, 50, 0, 51, 180) +
      pairs(0, 'ENDBLK', 8, '0'),
    pairs(0, 'INSERT', 8, '0', 2, 'ARCH', 10, 0, 20, 0, 41, 2.54, 42, 2.54) +
      pairs(0, 'INSERT', 8, '0', 2, 'ARCH', 10, 4 * 2.54, 20, 0, 41, 2.54, 42, -2.54),
  ),
  'a cutter’s: lines between points, one by one, each way round': dxf(
    units(1),
    '',
    dots
      .slice(1)
      .map(([x, y], i) => {
        const [px, py] = dots[i]!;
        const [a, b] = i % 2 ? [[x, y], [px, py]] : [[px, py], [x, y]]; // prettier-ignore
        return pairs(0, 'LINE', 8, 'CUT', 10, a![0]!, 20, -a![1]!, 11, b![0]!, 21, -b![1]!);
      })
      .join(''),
  ),
};

test.each(Object.entries(FILES))('%s', async (name, text) => {
  const read = await fileText(Object.assign(new Blob([text]), { name, text: () => Promise.resolve(text) }));
  if (!read.ok) throw new Error(read.message);
  const m = measurePattern({ ...read.source });
  expect(m.widthIn).toBeCloseTo(8, 1);
  expect(m.heightIn).toBeCloseTo(4, 1);
  expect(Math.abs(m.lengthIn / LENGTH - 1)).toBeLessThan(0.005);
  expect(m.starts).toBe(1);
  expect(m.sewnTwicePct).toBeLessThan(1);
  // Sewn at half its width it is half as long, and its curves are half as wide.
  const small = measurePattern({ ...read.source, widthIn: 4 });
  expect(small.lengthIn).toBeCloseTo(m.lengthIn / 2, 1);
  expect(small.minRadiusIn).toBeGreaterThan(0.9);
  expect(small.minRadiusIn).toBeLessThan(1.1);
});
