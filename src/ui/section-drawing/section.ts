import { circle, type Drawing, type Label, line, type Mark, n, polyline } from '@/ui/draw/mark';
import { mix } from '@/ui/draw/colour';
import { threadMarks } from '@/ui/draw/thread-mark';
import { profile, type SectionNumbers } from './layers';

export interface SectionColours {
  top: string;
  bobbin: string;
  cloth: string;
  backing: string;
}

const STITCHES = 5;
/** Stitch lengths drawn beyond the fifth hole, where the needle stands. */
const NEEDLE_AT = STITCHES + 0.95;
const LEFT = 24;
const TALLEST_PX_PER_MM = 40;
/** Height kept for the needle above and the words below, px. */
const ROOM = 62;

/**
 * The quilt cut along the seam: five stitches, the next one being made. One scale in both directions, told
 * by a bar; layers pinched to their compressed thickness at each hole; threads and needle at their own
 * thickness; the interlock at its height from the model.
 */
export function sectionDrawing(
  s: SectionNumbers,
  colours: SectionColours,
  width = 540,
  height = 172,
): Drawing {
  const half = profile(s);
  // Threads stand proud of the cloth on both faces; the needle and the words need room beside it.
  const tallMm = 2 * half(0.5) + 2 * (s.topThreadMm + s.bobbinThreadMm);
  const perMm = Math.min(
    TALLEST_PX_PER_MM,
    (width - LEFT - 40) / ((NEEDLE_AT + 0.45) * s.stitchMm),
    (height - ROOM) / tallMm,
  );
  const st = s.stitchMm * perMm;
  const xs = Array.from({ length: STITCHES + 1 }, (_, i) => LEFT + 26 + i * st);
  const first = xs[0]!;
  const last = xs[STITCHES]!;
  const [xa, xb] = [LEFT, Math.min(width - 6, last + st * 1.4)];
  const middle = height * 0.58;
  const at = (x: number) => {
    const u = (x - first) / st;
    // Beyond the last hole the layers lie free until the next stitch draws them in.
    return half(x > last ? Math.min(0.5, u - STITCHES) : u - Math.floor(u)) * perMm;
  };
  const top = (x: number) => middle - at(x);
  const back = (x: number) => middle + at(x);
  const topIn = (x: number) => top(x) + s.topMm * perMm;
  const backIn = (x: number) => back(x) - s.backingMm * perMm;
  const along = (f: (x: number) => number): [number, number][] => {
    const points: [number, number][] = [];
    for (let x = xa; x < xb; x += 3) points.push([x, f(x)]);
    return [...points, [xb, f(xb)]];
  };
  const band = (upper: (x: number) => number, lower: (x: number) => number) =>
    `${polyline(along(upper))}${polyline(along(lower).reverse()).replace('M', 'L')}Z`;

  const marks: Mark[] = [
    { d: band(topIn, backIn), fill: 'var(--batting)' },
    fibres(along(topIn), along(backIn)),
  ];
  for (const [outer, inner, colour] of [
    [top, topIn, colours.cloth],
    [backIn, back, colours.backing],
  ] as const)
    marks.push(
      { d: band(outer, inner), fill: colour, stroke: mix(colour, '#20262b', 0.5), width: 1 },
      weave(outer, inner, xa, xb, perMm, colour),
    );

  const hole = (s.needleNm / 100 / 2) * 0.46 * perMm;
  for (const x of xs)
    marks.push({
      d: `M${n(x - hole)} ${n(top(x) - 2)}V${n(back(x) + 2)}H${n(x + hole)}V${n(top(x) - 2)}Z`,
      fill: 'var(--cloth)',
      stroke: 'var(--fibre)',
      width: 0.8,
    });

  const knot = (x: number) => top(x) + (back(x) - top(x)) * s.knotDepth;
  const eye: [number, number] = [last + st * 0.95, 16];
  const needle = needleMarks(eye[0], s.needleNm, perMm, top(eye[0]));
  const d = s.topThreadMm * perMm;
  const db = s.bobbinThreadMm * perMm;
  const bobbinPath = lockPath(xs, back, knot, db, -1, xa, xb);
  const topPath = `${lockPath(xs, top, knot, d, 1, xa, last + st * 0.4)}C${n(last + st * 0.6)} ${n(top(last + st * 0.5) - d)} ${n(eye[0] - 8)} ${n(eye[1] + 26)} ${n(eye[0])} ${n(eye[1])}`;
  marks.push(
    ...needle,
    ...threadMarks(bobbinPath, colours.bobbin, db, 'butt'),
    ...threadMarks(topPath, colours.top, d, 'butt'),
  );
  // The bobbin's loop passes over the top's on one side of each knot.
  for (const x of xs)
    marks.push(
      ...threadMarks(
        `M${n(x - db * 0.6)} ${n(knot(x) + db * 1.6)}V${n(knot(x))}Q${n(x - db * 0.6)} ${n(knot(x) - db * 0.75)} ${n(x)} ${n(knot(x) - db * 0.75)}`,
        colours.bobbin,
        db,
        'butt',
      ),
    );
  marks.push({ d: line(xa, knot(last), xb, knot(last)), stroke: 'var(--walnut)', width: 1.6, dash: '9 5' });
  marks.push({ d: `M${LEFT - 17} ${n(knot(last) - 5)}l8 5-8 5z`, fill: 'var(--walnut)' });
  marks.push({
    d: `M${xa} 16h${n(perMm)}M${xa} 11v10M${n(xa + perMm)} 11v10`,
    stroke: 'var(--ink)',
    width: 1.5,
  });
  const labels: Label[] = [
    { x: xa + perMm + 7, y: 20.5, text: '1 mm' },
    {
      x: xa,
      y: height - 4,
      text: `top ${s.topMm.toFixed(2)} · batting ${s.loftMm.toFixed(1)}, at the hole ${s.battingMm.toFixed(2)} · backing ${s.backingMm.toFixed(2)} mm`,
      colour: 'var(--ink2)',
    },
    {
      x: eye[0] - (s.needleNm / 200) * perMm - 10,
      y: 20.5,
      anchor: 'end',
      text: `needle ${(s.needleNm / 100).toFixed(2)} mm`,
    },
  ];
  return { width, height, marks, labels };
}

/** One thread of a lockstitch: along its face, down (or up) to the knot at every hole, and back. */
function lockPath(
  xs: readonly number[],
  face: (x: number) => number,
  knot: (x: number) => number,
  d: number,
  into: 1 | -1,
  xa: number,
  xb: number,
): string {
  const gap = d * 0.6;
  const lift = -into * d * 0.55;
  let path = `M${n(xa)} ${n(face(xa) + lift)}`;
  const runTo = (from: number, to: number) => {
    for (let x = from + 4; x < to; x += 5) path += `L${n(x)} ${n(face(x) + lift)}`;
  };
  let from = xa;
  for (const x of xs) {
    const y = face(x);
    const turn = knot(x) + into * d * 0.9;
    const enter = y + into * d;
    // A knot that lies at the surface leaves no shank to draw.
    const shank = into * (knot(x) - enter) > 0 ? knot(x) : enter;
    runTo(from, x - gap - d * 0.9);
    path += `C${n(x - gap - d * 0.1)} ${n(y + lift)} ${n(x - gap)} ${n(y)} ${n(x - gap)} ${n(enter)}V${n(shank)}C${n(x - gap)} ${n(turn)} ${n(x + gap)} ${n(turn)} ${n(x + gap)} ${n(shank)}V${n(enter)}C${n(x + gap)} ${n(y)} ${n(x + gap + d * 0.1)} ${n(y + lift)} ${n(x + gap + d * 0.9)} ${n(face(x + gap + d * 0.9) + lift)}`;
    from = x + gap + d * 0.9;
  }
  runTo(from, xb);
  return `${path}L${n(xb)} ${n(face(xb) + lift)}`;
}

/** Loose fibres between the cloths; placed by a fixed rule, so that a redraw does not flicker. */
function fibres(upper: readonly [number, number][], lower: readonly [number, number][]): Mark {
  let d = '';
  for (let i = 0; i < upper.length - 8; i += 2)
    for (let k = 1; k <= 4; k++) {
      const share = ((i * 37 + k * 61) % 97) / 97;
      const [x, y0] = upper[i]!;
      const y1 = lower[i]![1];
      const [, end0] = upper[i + 7]!;
      const end1 = lower[i + 7]![1];
      if (y1 - y0 < 3) continue;
      const bend = ((i * 13 + k * 29) % 17) - 8;
      const y = y0 + (y1 - y0) * (0.08 + 0.84 * share);
      const end = end0 + (end1 - end0) * (0.08 + 0.84 * (1 - share));
      d += `M${n(x)} ${n(y)}Q${n(x + 10)} ${n(Math.min(y1, Math.max(y0, y + bend)))} ${n(x + 20)} ${n(y + (end - y) * 0.4)}`;
    }
  return { d, stroke: 'var(--fibre)', width: 0.9, opacity: 0.8 };
}

/** Yarns of the cloth, seen end on. */
function weave(
  outer: (x: number) => number,
  inner: (x: number) => number,
  xa: number,
  xb: number,
  perMm: number,
  colour: string,
): Mark {
  let d = '';
  const pitch = Math.max(6, 0.42 * perMm);
  for (let x = xa + pitch / 2; x < xb - 3; x += pitch)
    d += circle(
      x,
      (outer(x) + inner(x)) / 2,
      Math.max(1, Math.min(pitch * 0.42, Math.abs(inner(x) - outer(x)) * 0.24)),
    );
  return { d, fill: mix(colour, '#ffffff', 0.35), stroke: mix(colour, '#20262b', 0.45), width: 0.7 };
}

/** The needle on its way down, with its eye: blade width to scale. */
function needleMarks(x: number, nm: number, perMm: number, surface: number): Mark[] {
  const w = (nm / 200) * perMm;
  const tip = surface + 22;
  const eye = w * 0.42;
  return [
    {
      d: `M${n(x - w)} 0V14C${n(x - w)} 34 ${n(x - 4)} ${n(tip - 20)} ${n(x)} ${n(tip)}C${n(x + 4)} ${n(tip - 20)} ${n(x + w)} 34 ${n(x + w)} 14V0Z`,
      fill: 'var(--steel)',
      stroke: 'var(--ink)',
      width: 1.4,
    },
    {
      d: `M${n(x - eye)} 2V18a${n(eye)} ${n(eye)} 0 0 0 ${n(2 * eye)} 0V2`,
      fill: 'var(--cloth)',
      stroke: 'var(--ink)',
      width: 1.2,
    },
  ];
}
