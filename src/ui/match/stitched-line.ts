import { box, type Drawing, type Label } from '@/ui/draw/mark';
import { type Along, stitchMarks } from '@/ui/test-strip/stitch-side';

/** A sewn line as it would look, mm. */
export interface StitchedLineNumbers {
  stitchMm: number;
  /** Smallest curve of the zone; null for straight lines. */
  radiusMm: number | null;
  topThreadMm: number;
  bobbinThreadMm: number;
  /** How far the other thread comes through on each face: 0 not, 1 a hint, 2 loops, 3 lies straight. */
  faces: { top: 0 | 1 | 2 | 3; back: 0 | 1 | 2 | 3 };
}

export interface StitchedLineColours {
  top: string;
  bobbin: string;
  cloth: string;
  backing: string;
}

/** px per mm: a stitch of 2 mm is seen, and threads keep their own thickness. */
const PX_PER_MM = 9;
const FACE = 74;
const GAP = 6;

/** How far the line may rise in its band, mm. */
const RISE_MM = 5.2;
/** Bends of a wave that rises and falls again: out of the straight, back, and the same downwards. */
const WAVE = [-1, 1, 1, -1] as const;

/** Straight at first, then waves of the smallest curve as high as the band allows: the chain of chords the needle makes of it. */
export function chordPath(
  straightMm: number,
  radiusMm: number | null,
  stitchMm: number,
  widthMm: number,
): [number, number][] {
  const points: [number, number][] = [[0, 0]];
  // Two arcs of angle θ rise by 2R(1 − cos θ).
  const angle = radiusMm === null ? 0 : Math.acos(Math.max(0, 1 - RISE_MM / (2 * radiusMm)));
  const arcMm = radiusMm === null ? Infinity : radiusMm * angle;
  const headingAt = (t: number): number => {
    if (radiusMm === null || t <= straightMm) return 0;
    const [n, rest] = [Math.floor((t - straightMm) / arcMm), (t - straightMm) % arcMm];
    const before = WAVE.slice(0, n % 4).reduce<number>((h, way) => h + way * angle, 0);
    return before + WAVE[n % 4]! * (rest / radiusMm);
  };
  let [x, y, t] = [0, 0, 0];
  while (x < widthMm && t < 4 * widthMm) {
    // Along the true curve in small steps; the needle falls at the end of each stitch.
    for (let i = 0; i < 12; i++) {
      const h = headingAt(t + stitchMm / 24);
      x += (stitchMm / 12) * Math.cos(h);
      y += (stitchMm / 12) * Math.sin(h);
      t += stitchMm / 12;
    }
    points.push([x, y]);
  }
  return points;
}

const alongChords =
  (points: readonly [number, number][], stitch: number): Along =>
  (t) => {
    const at = Math.min(points.length - 2, Math.max(0, Math.floor(t / stitch)));
    const [a, b] = [points[at]!, points[at + 1]!];
    const u = t / stitch - at;
    return {
      x: a[0] + (b[0] - a[0]) * u,
      y: a[1] + (b[1] - a[1]) * u,
      angle: Math.atan2(b[1] - a[1], b[0] - a[0]),
    };
  };

/** The line from above and from below, to scale: stitch length, thread thickness, facets on the smallest curve. */
export function stitchedLine(s: StitchedLineNumbers, colours: StitchedLineColours, width = 540): Drawing {
  const height = 2 * FACE + GAP + 20;
  const room = (width - 30) / PX_PER_MM;
  const st = s.stitchMm * PX_PER_MM;
  const shown = chordPath(room * 0.25, s.radiusMm, s.stitchMm, room).filter(([x]) => x <= room);
  const ys = shown.map(([, y]) => y);
  const middle = (Math.max(...ys) + Math.min(...ys)) / 2;
  const face = (top: number, own: string, other: string, through: 0 | 1 | 2 | 3, mm: number) => {
    const points = shown.map(([x, y]): [number, number] => [
      14 + x * PX_PER_MM,
      top + FACE / 2 + (y - middle) * PX_PER_MM,
    ]);
    if (points.length < 2) return [];
    return stitchMarks({
      along: alongChords(points, st),
      length: (points.length - 1) * st,
      stitch: st,
      own,
      other,
      thread: Math.max(1.2, mm * PX_PER_MM),
      through,
    });
  };
  const labels: Label[] = [
    {
      x: 14,
      y: height - 5,
      text: `above: the top; below: the back · stitch ${s.stitchMm.toFixed(1)} mm${s.radiusMm === null ? ', straight' : `, curve of ${s.radiusMm.toFixed(0)} mm radius`}`,
      colour: 'var(--ink2)',
    },
    { x: width - 22 - 5 * PX_PER_MM, y: height - 5, anchor: 'end', text: '5 mm' },
  ];
  return {
    width,
    height,
    labels,
    marks: [
      { d: box(0, 0, width, FACE), fill: colours.cloth },
      { d: box(0, FACE + GAP, width, FACE), fill: colours.backing },
      ...face(0, colours.top, colours.bobbin, s.faces.top, s.topThreadMm),
      ...face(FACE + GAP, colours.bobbin, colours.top, s.faces.back, s.bobbinThreadMm),
      {
        d: `M${width - 14 - 5 * PX_PER_MM} ${height - 9}h${5 * PX_PER_MM}`,
        stroke: 'var(--ink)',
        width: 1.5,
      },
    ],
  };
}
