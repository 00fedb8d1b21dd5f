import fc from 'fast-check';
import { measurePattern } from './pattern';

const svg = (inside: string, root = 'width="10in" height="10in" viewBox="0 0 10 10"') =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" ${root}>${inside}</svg>`;
const path = (d: string, root?: string) => measurePattern({ svg: svg(`<path d="${d}"/>`, root) });
const dxf = (entities: string, units = 1) =>
  [
    '0',
    'SECTION',
    '2',
    'HEADER',
    '9',
    '$INSUNITS',
    '70',
    String(units),
    '0',
    'ENDSEC',
    '0',
    'SECTION',
    '2',
    'ENTITIES',
  ]
    .concat(entities.split(' '), ['0', 'ENDSEC', '0', 'EOF'])
    .join('\n');

describe('length, size and starts', () => {
  test('a circle: its girth, one start, its radius, no point', () => {
    const p = measurePattern({ svg: svg('<circle cx="5" cy="5" r="2"/>') });
    expect(p.lengthIn).toBeCloseTo(4 * Math.PI, 2);
    expect(p.widthIn).toBeCloseTo(4, 3);
    expect(p.heightIn).toBeCloseTo(4, 3);
    expect(p.minRadiusIn).toBeCloseTo(2, 1);
    expect(p).toMatchObject({ starts: 1, points: 0 });
    expect(p.largestGapIn).toBeCloseTo(4, 1);
    expect(p.sewnTwicePct).toBeLessThan(1);
  });
  test('runs that go on where the last ended are one start, whichever way they were drawn', () => {
    expect(path('M0 0L4 0M4 0L4 4').starts).toBe(1);
    expect(path('M0 0L4 0M4 4L4 0').starts).toBe(1);
    expect(path('M4 0L0 0M4 4L4 0').starts).toBe(1);
    expect(path('M0 0L4 0M6 0L6 4').starts).toBe(2);
  });
  test('transforms, groups and what is used again count; what is only kept or hidden does not', () => {
    const p = measurePattern({
      svg: svg(
        `<defs><path id="a" d="M0 0L1 0"/><path d="M0 0L50 0"/></defs>
         <g transform="translate(2 2) scale(2)"><use href="#a"/><use href="#a" y="1"/></g>
         <path style="display:none" d="M0 0L90 0"/>`,
      ),
    });
    expect(p.lengthIn).toBeCloseTo(4, 6);
    expect(p.heightIn).toBeCloseTo(2, 6);
    expect(p.starts).toBe(2);
  });
  test('round corners of a rectangle are sewn round, one radius standing for both', () => {
    const p = measurePattern({ svg: svg('<rect x="1" y="1" width="4" height="2" rx="0.5"/>') });
    expect(p.lengthIn).toBeCloseTo(8 + Math.PI, 2);
    expect(p.minRadiusIn).toBeCloseTo(0.5, 1);
    expect(p).toMatchObject({ starts: 1, points: 0 });
    const whole = measurePattern({ svg: svg('<rect width="4" height="4" rx="9" ry="9"/>') });
    expect(whole.lengthIn).toBeCloseTo(4 * Math.PI, 2);
  });
  test.each([
    [
      'a class',
      '<style>.layer, #x { fill: none; display: none }</style><g class="a layer"><path d="M0 0H9"/></g>',
    ],
    ['a style', '<g style="opacity:1; DISPLAY : none"><path d="M0 0H9"/></g>'],
    ['what is inherited', '<g visibility="hidden"><g><path d="M0 0H9"/></g></g>'],
    [
      'a name with a class',
      '<style>/* path { } */ path.off{visibility:hidden}</style><path class="off" d="M0 0H9"/>',
    ],
  ])('a layer hidden by %s is not sewn', (_, hidden) => {
    expect(measurePattern({ svg: svg(`${hidden}<path d="M0 0H2"/>`) }).lengthIn).toBeCloseTo(2, 6);
  });
  test('what is made visible again inside a hidden layer is sewn; what is not there at all is not', () => {
    const inside = '<path visibility="visible" d="M0 0H2"/>';
    expect(measurePattern({ svg: svg(`<g visibility="hidden">${inside}</g>`) }).lengthIn).toBeCloseTo(2, 6);
    expect(() => measurePattern({ svg: svg(`<g display="none">${inside}</g>`) })).toThrow(/no line/);
  });
  test.each([
    ['fits', '<svg x="2" width="5" height="9" viewBox="0 0 10 10"><path d="M0 0H10"/></svg>', 5],
    [
      'covers',
      '<svg width="5" height="9" viewBox="0 0 10 10" preserveAspectRatio="xMinYMin slice"><path d="M0 0H10"/></svg>',
      9,
    ],
    [
      'is stretched',
      '<svg width="5" height="20" viewBox="0 0 10 10" preserveAspectRatio="none"><path d="M0 0H10V10"/></svg>',
      25,
    ],
    ['keeps its size', '<svg x="1" y="1"><path d="M0 0H3"/></svg>', 3],
    [
      'of a symbol takes the size it is used at',
      '<symbol id="s" viewBox="0 0 2 2"><path d="M0 0H2"/></symbol><use href="#s" x="1" width="6" height="6"/>',
      6,
    ],
  ])('a view within a view %s', (_, inside, lengthIn) => {
    expect(measurePattern({ svg: svg(inside) }).lengthIn).toBeCloseTo(lengthIn, 6);
  });
  test.each([
    ['width="25.4mm" viewBox="0 0 1 1"', 1],
    ['height="1in" viewBox="0 0 4 2"', 0.5],
    ['width="4in" height="1in" viewBox="0 0 4 2"', 0.5],
    ['width="100%" height="2in" viewBox="0 0 4 2"', 1],
    ['width="2.54cm" viewBox="0 0 2 2"', 0.5],
    ['width="96px" viewBox="0 0 96 96"', 1 / 96],
    ['width="72pt"', 1 / 96],
  ])('%s: a unit is %d in', (root, unit) => {
    expect(path('M0 0L12 0', root).lengthIn).toBeCloseTo(12 * unit, 6);
  });
  test('a width asked for keeps the shape, a height beside it does not', () => {
    const wide = measurePattern({ svg: svg('<rect width="2" height="1"/>'), widthIn: 8 });
    expect([wide.widthIn, wide.heightIn, wide.lengthIn].map((n) => Number(n.toFixed(3)))).toEqual([8, 4, 24]);
    const bent = measurePattern({ svg: svg('<rect width="2" height="1"/>'), widthIn: 8, heightIn: 8 });
    expect(bent.lengthIn).toBeCloseTo(32, 3);
  });
  test('twice the size: twice the length, radius and gap, the same points and share sewn twice', () => {
    const d = 'M0 0C1 2 3 2 4 0S7 -2 8 0L5 6L2 0L6 3';
    fc.assert(
      fc.property(fc.double({ min: 1, max: 10, noNaN: true }), (widthIn) => {
        const [a, b] = [widthIn, 2 * widthIn].map((w) =>
          measurePattern({ svg: svg(`<path d="${d}"/>`), widthIn: w }),
        );
        expect(b!.lengthIn / a!.lengthIn).toBeCloseTo(2, 2);
        expect(b!.minRadiusIn! / a!.minRadiusIn!).toBeCloseTo(2, 1);
        expect(b!.largestGapIn / a!.largestGapIn).toBeCloseTo(2, 1);
        expect(b!.points).toBe(a!.points);
      }),
      { numRuns: 8 },
    );
  });
});

describe('curves and points', () => {
  test('a star of five points has five, a square none', () => {
    const star = [0, 2, 4, 1, 3]
      .map((k) => (2 * Math.PI * k) / 5)
      .map((a) => `${5 + 4 * Math.sin(a)} ${5 - 4 * Math.cos(a)}`)
      .join('L');
    expect(path(`M${star}Z`).points).toBe(5);
    expect(measurePattern({ svg: svg('<rect width="4" height="4"/>') })).toMatchObject({
      points: 0,
      minRadiusIn: null,
    });
  });
  test('a circle drawn with many short lines has the radius of the circle', () => {
    const lines = Array.from({ length: 73 }, (_, i) => (i * Math.PI) / 36)
      .map((a) => `${5 + 3 * Math.cos(a)} ${5 + 3 * Math.sin(a)}`)
      .join('L');
    expect(path(`M${lines}`).minRadiusIn).toBeCloseTo(3, 1);
  });
  test('a tight corner of a twentieth of the curve is not the pattern’s radius; more of it is', () => {
    const curl = (n: number) =>
      Array.from({ length: n }, (_, i) => `<circle cx="${i}" cy="9" r="0.1"/>`).join('') +
      '<circle cx="5" cy="5" r="3"/>';
    expect(measurePattern({ svg: svg(curl(1)) }).minRadiusIn).toBeCloseTo(3, 1);
    expect(measurePattern({ svg: svg(curl(3)) }).minRadiusIn).toBeCloseTo(0.1, 2);
  });
  test('tight curves ask for more stitches per inch, and not for more than the technique allows', () => {
    const at = (r: number) => measurePattern({ svg: svg(`<circle cx="5" cy="5" r="${r}"/>`) }).spi;
    expect(at(3)).toBe(11);
    expect(at(0.15)).toBeGreaterThan(11);
    expect(at(0.02)).toBeLessThanOrEqual(13);
  });
});

describe('sewn twice and left open', () => {
  test('a line sewn there and back is half sewn twice; a crossing is not', () => {
    expect(path('M0 0L8 0L0 0').sewnTwicePct).toBeGreaterThan(47);
    expect(path('M0 0L8 0L0 0').sewnTwicePct).toBeLessThan(51);
    expect(path('M0 4L8 4M4 0L4 8').sewnTwicePct).toBe(0);
  });
  test('parallel lines leave open what lies between them', () => {
    const p = path('M0 0H10M0 1H10M0 2.5H10M0 3H10');
    expect(p.largestGapIn).toBeCloseTo(1.5, 1);
    expect(p.sewnTwicePct).toBe(0);
  });
  test('repeats: together longer, wider; their edges sewn twice; a row that goes on has one start', () => {
    const wave = (repeat?: { columns: number; rows: number }) =>
      measurePattern({ svg: svg('<path d="M0 1C1 -1 3 3 4 1"/>'), ...(repeat && { repeat }) });
    const [one, many] = [wave(), wave({ columns: 5, rows: 4 })];
    expect(many.lengthIn).toBeCloseTo(20 * one.lengthIn, 6);
    expect(many.widthIn).toBeCloseTo(5 * one.widthIn, 6);
    expect(many.starts).toBe(4);
    const boxes = measurePattern({
      svg: svg('<rect width="2" height="2"/>'),
      repeat: { columns: 3, rows: 3 },
    });
    expect(boxes.starts).toBe(9);
    expect(boxes.sewnTwicePct).toBeGreaterThan(30);
    expect(boxes.largestGapIn).toBeCloseTo(2, 1);
  });
  test('a pattern that is repeated is judged as it goes on, not by the edge of the last repeat', () => {
    const wave = Array.from(
      { length: 81 },
      (_, i) => `${i / 10} ${2 + 2 * Math.sin((i * Math.PI) / 40)}`,
    ).join('L');
    const gap = (repeat?: { columns: number; rows: number }) =>
      measurePattern({ svg: svg(`<path d="M${wave}"/>`), ...(repeat && { repeat }) }).largestGapIn;
    // Rows of waves 4 in apart: no round place between two of them is wider.
    expect(gap({ columns: 3, rows: 3 })).toBeLessThan(4);
    expect(gap({ columns: 3, rows: 3 })).toBeGreaterThan(2.5);
    expect(gap({ columns: 9, rows: 2 })).toBeCloseTo(gap({ columns: 2, rows: 9 }), 6);
    expect(gap()).toBeGreaterThan(gap({ columns: 3, rows: 3 }));
  });
  test('a batting is told when it cannot hold what is left open', () => {
    const with1 = (battingId: string) =>
      measurePattern({ svg: svg('<rect width="9" height="9"/>'), battingId }).cautions.map((c) => c.code);
    expect(with1('wool')).toEqual(['batting-gap']);
    expect(measurePattern({ svg: svg('<rect width="1" height="1"/>'), battingId: 'wool' }).cautions).toEqual(
      [],
    );
  });
  test('a yarn wants round curves and room beside them', () => {
    const fits = (inside: string, yarnMm: number) => measurePattern({ svg: svg(inside), yarnMm }).couching;
    expect(fits('<circle cx="5" cy="5" r="3"/>', 4)).toEqual({ fit: true, codes: [] });
    expect(fits('<circle cx="5" cy="5" r="0.2"/>', 4)!.codes).toContain('radius-tight');
    expect(fits('<path d="M0 0H9M0 0.2H9"/>', 4)).toEqual({ fit: false, codes: ['gap-tight'] });
    expect(measurePattern({ svg: svg('<path d="M0 0H9"/>') }).couching).toBeUndefined();
  });
});

describe('DXF', () => {
  const LINE = (a: number, b: number, c: number, d: number) => `0 LINE 8 0 10 ${a} 20 ${b} 11 ${c} 21 ${d}`;
  test('lines in inches, and in millimetres', () => {
    expect(measurePattern({ dxf: dxf(LINE(0, 0, 3, 4)) }).lengthIn).toBeCloseTo(5, 6);
    expect(measurePattern({ dxf: dxf(LINE(0, 0, 254, 0), 4) }).lengthIn).toBeCloseTo(10, 6);
  });
  test('an arc and a circle have their radius', () => {
    const arc = measurePattern({ dxf: dxf('0 ARC 8 0 10 0 20 0 40 2 50 0 51 90') });
    expect(arc.lengthIn).toBeCloseTo(Math.PI, 2);
    expect(arc.minRadiusIn).toBeCloseTo(2, 1);
    expect(measurePattern({ dxf: dxf('0 CIRCLE 8 0 10 0 20 0 40 1.5') }).lengthIn).toBeCloseTo(
      3 * Math.PI,
      2,
    );
  });
  test('a bulge of one is a half circle', () => {
    const p = measurePattern({
      dxf: dxf('0 LWPOLYLINE 8 0 90 2 70 0 10 0 20 0 42 1 10 2 20 0'),
    });
    expect(p.lengthIn).toBeCloseTo(Math.PI, 2);
    expect(p.heightIn).toBeCloseTo(1, 2);
  });
  test('a file without units asks for its width', () => {
    expect(() => measurePattern({ dxf: dxf(LINE(0, 0, 3, 4), 0) })).toThrow(/widthIn/);
    expect(measurePattern({ dxf: dxf(LINE(0, 0, 3, 4), 0), widthIn: 6 }).lengthIn).toBeCloseTo(10, 6);
  });
  /** A whole file: its tables and blocks before what is drawn. */
  const file = (entities: string, { layers = '', blocks = '' }) => {
    const part = (name: string, inside: string) => (inside ? `0 SECTION 2 ${name} ${inside} 0 ENDSEC ` : '');
    const table = layers && `0 TABLE 2 LAYER 70 1 ${layers} 0 ENDTAB`;
    return `0 SECTION 2 HEADER 9 $INSUNITS 70 1 0 ENDSEC ${part('TABLES', table)}${part('BLOCKS', blocks)}${part('ENTITIES', entities)}0 EOF`
      .split(' ')
      .join('\n');
  };
  test.each([
    ['off', '0 LAYER 2 H 70 0 62 -7'],
    ['frozen', '0 LAYER 2 H 70 1 62 7'],
  ])('a layer that is %s is not sewn', (_, layer) => {
    const lines = `${LINE(0, 0, 9, 0).replace('8 0', '8 H')} ${LINE(0, 0, 2, 0)}`;
    expect(measurePattern({ dxf: file(lines, { layers: layer }) }).lengthIn).toBeCloseTo(2, 6);
  });
  test('what is made invisible, and what lies on a sheet, is not sewn', () => {
    const lines = `${LINE(0, 0, 9, 0)} 60 1 ${LINE(0, 3, 9, 3)} 67 1 ${LINE(0, 0, 2, 0)}`;
    expect(measurePattern({ dxf: dxf(lines) }).lengthIn).toBeCloseTo(2, 6);
  });
  test('a block is put in scaled and turned, and again in rows and columns', () => {
    const blocks = `0 BLOCK 8 0 2 B 70 0 10 0 20 0 3 B ${LINE(0, 0, 1, 0)} 0 ENDBLK 8 0`;
    const put = (how: string) =>
      measurePattern({ dxf: file(`0 INSERT 8 0 2 B 10 1 20 1 ${how}`, { blocks }) });
    const turned = put('41 2 42 2 50 90');
    expect([turned.lengthIn, turned.widthIn, turned.heightIn].map((n) => Number(n.toFixed(6)))).toEqual([
      2, 0, 2,
    ]);
    const many = put('70 3 71 2 44 4 45 5');
    expect([many.lengthIn, many.widthIn, many.heightIn, many.starts]).toEqual([6, 9, 5, 6]);
    expect(() => put('70 5000 71 5000 44 4 45 5')).toThrow(/repeats a block/);
  });
  test('a curve given by the points it runs through is drawn through them', () => {
    const p = measurePattern({
      dxf: dxf('0 SPLINE 8 0 70 8 71 3 74 3 11 0 21 0 31 0 11 1 21 1 31 0 11 2 21 0 31 0'),
    });
    expect([p.widthIn, p.heightIn]).toEqual([2, 1]);
    expect(p.lengthIn).toBeGreaterThan(2 * Math.SQRT2);
    expect(p.lengthIn).toBeLessThan(3.2);
  });
  test('an arc seen from behind is mirrored, so that it meets what it goes on from', () => {
    const arc = '0 ARC 8 0 10 0 20 0 40 3 50 0 51 90 210 0 220 0 230 -1';
    const p = measurePattern({ dxf: dxf(`${arc} ${LINE(-3, 0, -3, -2)}`) });
    expect(p.starts).toBe(1);
    expect(p.widthIn).toBeCloseTo(3, 3);
  });
});

describe('what cannot be measured', () => {
  test.each([
    ['', 'not-a-drawing'],
    ['<html></html>', 'not-a-drawing'],
    ['<svg', 'not-a-drawing'],
    [svg(''), 'not-a-drawing'],
    [svg('<text>Tern</text>'), 'not-a-drawing'],
    [svg('<path d="M0 0 Lx"/>'), 'not-a-drawing'],
    [svg('<path d="M1 1L1 1"/>'), 'not-a-drawing'],
    [svg('<g id="a"><use href="#a"/></g>'), 'not-a-drawing'],
  ])('%p is said in words', (text, code) => {
    expect(() => measurePattern({ svg: text })).toThrow(expect.objectContaining({ name: 'CoreError', code }));
  });
  test('no drawing, two drawings, and a line without the extent asked for', () => {
    expect(() => measurePattern({})).toThrow(/one drawing/);
    expect(() => measurePattern({ svg: svg('<path d="M0 0H1"/>'), dxf: dxf('') })).toThrow(/one drawing/);
    expect(() => measurePattern({ dxf: 'no' })).toThrow(/DXF/);
    expect(() => measurePattern({ svg: svg('<path d="M0 0H1"/>'), heightIn: 3 })).toThrow(/extent/);
  });
});

test.each([
  ['a program', '<script>const a = 1 &lt; 2; // for (let i = 0; i > 2; i++) {}</script>'],
  [
    'a program in letters as they are',
    '<script><![CDATA[ if (a < b && c > d) { draw("<path>"); } ]]></script>',
  ],
  ['a text', '<text x="1" y="1">Hello <tspan>there</tspan></text>'],
  ['words between the lines', 'loose words'],
])('%s in a drawing is passed by, and the drawing measured', (_, inside) => {
  const drawing = (more: string) =>
    `<svg xmlns="http://www.w3.org/2000/svg" width="4in" height="4in" viewBox="0 0 4 4">${more}<path d="M0 0L3 0"/></svg>`;
  const measured = measurePattern({ svg: drawing(inside) });
  expect(measured).toEqual(measurePattern({ svg: drawing('') }));
});

test('entities that grow beyond all measure are refused, at once', () => {
  const grown = Array.from({ length: 12 }, (_, i) => `<!ENTITY e${i + 1} "${`&e${i};`.repeat(12)}">`).join(
    '',
  );
  const bomb = `<!DOCTYPE svg [<!ENTITY e0 "M0 0">${grown}]><svg xmlns="http://www.w3.org/2000/svg" width="4in" viewBox="0 0 4 4"><title>&e12;</title><path d="&e12;L3 0"/></svg>`;
  expect(() => measurePattern({ svg: bomb })).toThrow(/SVG/);
});
