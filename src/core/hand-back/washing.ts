import { safety } from '../cautions/cautions';
import type { Caution } from '../notes';
import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import { features } from '../tables/features';
import { fibres } from '../tables/fibres';
import { inToMm } from '../units/length';

/** What a quilt is made of, as its keeping asks. */
export interface MadeOf {
  widthIn: number;
  lengthIn: number;
  /** Kinds of cloth of the top with their share of it; the shares need not add up. */
  tops: readonly { kind: string; share: number }[];
  backing: string;
  batting: string;
  /** Fibres of the threads in it. */
  fibres: readonly string[];
  features: readonly string[];
  prewashed: boolean;
  use: string;
}

export interface Washing {
  dryKg: number;
  /** Wet from the spin, heavier by what cloth and batting hold. */
  wetKg: number;
  degrees: 30 | 40;
  tumble: 'low' | 'no';
  /** What it may still draw in at its first wash, per cent. */
  drawsInPct: number;
  lines: string[];
  cautions: Caution[];
}

/** Water that spun cloth still holds, as a share of its own weight (judgement; cotton 0.5 to 0.8). */
const HELD = 0.65;
/** What some pieces ask for, in the words of their row; the gentlest of all wins. */
const COOL = 0.25;

/**
 * How to wash, dry and iron a quilt of these: its weight dry and wet, the gentlest wash its cloths, batting and threads
 * ask for, and what may still draw in. Sizes in inches. What the maker of cloth or batting says on it goes before this.
 * @throws CoreError `unknown-id`
 */
export function washing(of: MadeOf): Washing {
  const areaM2 = (inToMm(of.widthIn) * inToMm(of.lengthIn)) / 1e6;
  const cloths = of.tops.map((t) => ({ ...fabrics.get(t.kind), share: t.share }));
  const all = cloths.reduce((sum, c) => sum + c.share, 0) || 1;
  const backing = fabrics.get(of.backing);
  const batting = battings.get(of.batting);
  const threads = of.fibres.map((f) => fibres.get(f));
  const gM2 = cloths.reduce((sum, c) => sum + (c.gM2 * c.share) / all, 0) + backing.gM2 + batting.gM2;
  const dryKg = (gM2 * areaM2) / 1000;
  const every = [...cloths, backing];
  const held = of.features.flatMap((f) => features.find(f) ?? []);
  const gentle = every.some((c) => !c.tumbles) || threads.some((t) => t.washRisk > COOL);
  const tumble = every.some((c) => !c.tumbles) || threads.some((t) => t.softensHot) ? 'no' : 'low';
  const drawsInPct = Math.max(batting.shrinkPct, ...(of.prewashed ? [0] : every.map((c) => c.shrinkPct)));
  const softens = threads.find((t) => t.softensHot);
  const dissolves = threads.find((t) => t.dissolves);
  const cautions: Caution[] = [];
  if (softens) cautions.push(safety('monofilament-iron', 'note'));
  if (of.use === 'baby' && threads.some((t) => t.mono)) cautions.push(safety('monofilament-child'));
  if (of.use === 'baby' && held.some((f) => f.smallParts)) cautions.push(safety('small-parts-child'));
  return {
    dryKg,
    wetKg: dryKg * (1 + HELD),
    degrees: gentle ? 30 : 40,
    tumble,
    drawsInPct,
    lines: [
      `Wash at ${gentle ? 30 : 40} °C at most, ${gentle ? 'gently, ' : ''}by itself, with a mild soap and no bleach. Dry it weighs about ${dryKg.toFixed(1)} kg, wet about ${(dryKg * (1 + HELD)).toFixed(1)}: the drum should be no more than half full.`,
      tumble === 'low'
        ? 'Dry it flat, or in the tumbler at low heat and out while a little damp. Do not hang it by one edge: wet, its own weight pulls the stitches.'
        : 'Dry it flat on a towel, not in the tumbler. Do not hang it by one edge: wet, its own weight pulls the stitches.',
      softens
        ? 'Iron cool, from the back, through a fabric: a thread in it softens with heat.'
        : gentle
          ? 'Iron at medium heat from the back, through a fabric.'
          : 'Iron from the back as for cotton, without steam on raised work.',
      drawsInPct > 0
        ? `At its first wash it may draw in by about ${drawsInPct} %: that crinkle is meant to be.`
        : 'It should keep its size in the wash.',
      ...(dissolves ? [`The ${dissolves.label} in it goes away in its first wash, as it should.`] : []),
    ],
    cautions,
  };
}
