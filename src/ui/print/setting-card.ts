import type { TensionSaid } from '@/core/tension/said';
import type { Drawing, Label, Mark } from '@/ui/draw/mark';
import { mix } from '@/ui/draw/colour';

/** What stands on a setting card: one zone, big enough to read at arm's length. */
export interface CardFacts {
  quilt: string;
  letter: string;
  zone: string;
  work: string;
  top: { name: string; hex: string };
  bobbin: { name: string; hex: string };
  needle: string;
  point: string;
  shank: string;
  foot: string;
  mode: string;
  spi: string;
  /** Where dial and screw stand on this machine, where that was measured. */
  topSaid: TensionSaid;
  bobbinSaid: TensionSaid;
  speed: string;
  proven: boolean;
  /** What to watch for in the zone, and what was set otherwise at the machine; each in one line, or nothing. */
  watch: string;
  otherwise: string;
  /** How lines begin and end, and where the needle stops; nothing where it is not known. */
  ends: string;
}

/** A7 on its side, eight to a sheet of A4, drawn at 8 units a mm. */
export const CARD_MM = { width: 105, height: 74 } as const;
const UNIT = 8;
const [W, H] = [CARD_MM.width * UNIT, CARD_MM.height * UNIT];
const INK = '#000000';
const LEFT = 28;
/** Share of its size that a letter is wide, on average, plain and bold. */
const LETTER = { plain: 0.51, bold: 0.58 };

/** The size at which a text fits a width, never larger than wished. */
const fitted = (text: string, wished: number, width: number, weight = 400) =>
  Math.min(wished, width / Math.max(1, text.length * (weight >= 600 ? LETTER.bold : LETTER.plain)));

/** A setting card as a drawing, black on white but for the two swatches of thread. */
export function settingCard(c: CardFacts): Drawing {
  const marks: Mark[] = [
    { d: `M2 2H${W - 2}V${H - 2}H2Z`, fill: '#ffffff', stroke: INK, width: 4 },
    { d: `M2 92H${W - 2}M2 262H${W - 2}M2 432H${W - 2}M${W / 2} 262V432`, stroke: INK, width: 2 },
  ];
  const labels: Label[] = [];
  const put = (x: number, y: number, text: string, size: number, weight = 400, width = W - x - 20) =>
    labels.push({ x, y, text, size: fitted(text, size, width, weight), weight, colour: INK });
  put(LEFT, 62, `${c.letter} · ${c.zone}`, 48, 700, 520);
  labels.push({
    x: W - 24,
    y: 44,
    text: c.quilt,
    size: fitted(c.quilt, 26, 250, 600),
    weight: 600,
    anchor: 'end',
    colour: INK,
  });
  labels.push({ x: W - 24, y: 76, text: c.work, size: fitted(c.work, 22, 280), anchor: 'end', colour: INK });
  for (const [i, t] of [c.top, c.bobbin].entries()) {
    const y = 108 + i * 74;
    marks.push(...swatch(LEFT, y, t.hex));
    put(LEFT + 78, y + 42, t.name, 38, i === 0 ? 700 : 600, W - 300);
    labels.push({
      x: W - 24,
      y: y + 40,
      text: i === 0 ? 'top thread' : 'bobbin thread',
      size: 22,
      anchor: 'end',
      colour: INK,
    });
  }
  const half = W / 2;
  put(LEFT, 320, c.needle, 50, 700, half - 60);
  put(LEFT, 356, c.point, 26, 400, half - 60);
  put(LEFT, 404, c.shank, 22, 400, half - 60);
  put(half + 24, 320, c.foot, 40, 700, half - 60);
  put(half + 24, 360, c.mode, 30, 600, half - 60);
  put(half + 24, 404, c.speed, 26, 400, half - 60);
  const big = (x: number, value: string, unit: string, under: string) => {
    // Words stand smaller than figures.
    const size = value.length > 5 ? 36 : 84;
    put(x, 516, value, size, 700, 280);
    labels.push({
      x: x + value.length * size * 0.58 + 10,
      y: 516,
      text: unit,
      size: 28,
      colour: INK,
    });
    put(x, 556, under, 22, 400, 270);
  };
  big(LEFT, c.spi, 'per inch', 'stitch length');
  big(
    304,
    c.topSaid.big,
    c.topSaid.unit,
    `top${c.topSaid.beside ? `, ${c.topSaid.beside}` : ''}, ${c.proven ? 'tested' : 'to be tested first'}`,
  );
  big(
    604,
    c.bobbinSaid.big,
    c.bobbinSaid.unit,
    `bobbin${c.bobbinSaid.beside ? `, ${c.bobbinSaid.beside}` : ', set this first'}`,
  );
  const line = [c.otherwise, c.watch && `Watch for: ${c.watch}`, c.ends].filter(Boolean).join(' · ');
  if (line) put(LEFT, 582, line, 20, 600, W - 2 * LEFT);
  return { width: W, height: H, marks, labels };
}

function swatch(x: number, y: number, hex: string): Mark[] {
  const [w, h] = [60, 60];
  const lines = Array.from({ length: 9 }, (_, i) => `M${x} ${y + 4 + i * 7}l${w} -5`).join('');
  return [
    { d: `M${x} ${y}h${w}v${h}h${-w}Z`, fill: hex, stroke: INK, width: 2 },
    { d: lines, stroke: mix(hex, '#000000', 0.3), width: 2 },
  ];
}
