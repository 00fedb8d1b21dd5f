import type { BackingWay } from '@/core/backing/backing';
import { box, type Drawing, type Label, line, type Mark } from '@/ui/draw/mark';

/** What a cutting diagram is drawn from, inches. */
export interface CuttingNumbers {
  way: BackingWay;
  clothIn: number;
  selvageIn: number;
  needed: { width: number; length: number };
  quilt: { widthIn: number; lengthIn: number };
}

/** Between the two drawings, and as long as the words over one of them, in units of the drawing. */
const [GAP, WORDS] = [60, 260];

/** The bought length lying down the page with its cuts, and the backing as it is sewn with the quilt on it; one scale for both. */
export function cuttingDiagram(c: CuttingNumbers, width = 620, height = 300): Drawing {
  const { way, clothIn, needed } = c;
  const down = way.layout === 'whole' || way.layout === 'vertical-seams';
  const each = way.buyIn / way.panels;
  const x0 = 10;
  const y0 = 26;
  // Both lie beside each other: what is bought, a gap, and the backing.
  const perIn = Math.min(
    (height - 44) / Math.max(way.buyIn, needed.length),
    (width - 2 * x0 - GAP) / (clothIn + needed.width),
    (width - WORDS - x0) / needed.width,
  );
  const marks: Mark[] = [
    {
      d: box(x0, y0, clothIn * perIn, way.buyIn * perIn),
      fill: 'var(--walnut-tint)',
      stroke: 'var(--ink)',
      width: 1.3,
    },
  ];
  for (const x of [c.selvageIn, clothIn - c.selvageIn])
    marks.push({
      d: line(x0 + x * perIn, y0, x0 + x * perIn, y0 + way.buyIn * perIn),
      stroke: 'var(--rule)',
      width: 1,
      dash: '2 3',
    });
  for (let k = 1; k < way.panels; k++)
    marks.push({
      d: line(x0, y0 + k * each * perIn, x0 + clothIn * perIn, y0 + k * each * perIn),
      stroke: 'var(--madder)',
      width: 1.6,
      dash: '8 4',
    });
  // The words over the two drawings must not run into each other.
  const bx = Math.max(x0 + clothIn * perIn + GAP, WORDS);
  const [w, l] = [needed.width * perIn, needed.length * perIn];
  marks.push({ d: box(bx, y0, w, l), fill: 'var(--walnut-tint)', stroke: 'var(--ink)', width: 1.3 });
  for (let k = 1; k < way.panels; k++)
    marks.push({
      d: down
        ? line(bx + (w * k) / way.panels, y0, bx + (w * k) / way.panels, y0 + l)
        : line(bx, y0 + (l * k) / way.panels, bx + w, y0 + (l * k) / way.panels),
      stroke: 'var(--ink)',
      width: 1.6,
    });
  const [qw, ql] = [c.quilt.widthIn * perIn, c.quilt.lengthIn * perIn];
  marks.push({
    d: box(bx + (w - qw) / 2, y0 + (l - ql) / 2, qw, ql),
    stroke: 'var(--indigo)',
    width: 1.8,
    dash: '7 5',
  });
  const one = (x: number, y: number, text: string): Label => ({ x, y, text });
  return {
    width,
    height,
    marks,
    labels: [
      one(x0, 16, `bought: ${way.buyIn.toFixed(1)} in of ${clothIn} in fabric`),
      one(
        Math.min(bx, width - WORDS),
        16,
        `the backing: ${needed.width.toFixed(1)} × ${needed.length.toFixed(1)} in, quilt inside`,
      ),
      one(
        x0,
        Math.min(height - 4, y0 + way.buyIn * perIn + 16),
        way.panels > 1 ? 'cut at the dashed lines' : 'one piece',
      ),
    ],
  };
}

export interface PackedNumbers {
  widthIn: number;
  lengthIn: number;
  placed: readonly { id: string; x: number; y: number; widthIn: number; lengthIn: number; turned: boolean }[];
  nameOf: (id: string) => string;
}

/** Several small quilts on one backing, to scale. */
export function packedDiagram(p: PackedNumbers, width = 620, height = 260): Drawing {
  const perIn = Math.min((width - 20) / p.widthIn, (height - 20) / Math.max(1, p.lengthIn));
  const marks: Mark[] = [
    {
      d: box(10, 10, p.widthIn * perIn, p.lengthIn * perIn),
      fill: 'var(--walnut-tint)',
      stroke: 'var(--ink)',
      width: 1.3,
    },
  ];
  const labels: Label[] = [];
  for (const q of p.placed) {
    const [w, l] = q.turned ? [q.lengthIn, q.widthIn] : [q.widthIn, q.lengthIn];
    marks.push({
      d: box(10 + q.x * perIn, 10 + q.y * perIn, w * perIn, l * perIn),
      fill: 'var(--cloth)',
      stroke: 'var(--indigo)',
      width: 1.6,
    });
    labels.push({
      x: 10 + (q.x + w / 2) * perIn,
      y: 10 + (q.y + l / 2) * perIn + 4,
      anchor: 'middle',
      text: `${p.nameOf(q.id)}${q.turned ? ', turned' : ''}`,
    });
  }
  return { width, height, marks, labels };
}
