import { formatHex, modeLab65, modeRgb, useMode as withMode } from 'culori/fn';
import { kmeans } from 'ml-kmeans';
import { deltaE, type Lab } from './delta-e';

withMode(modeRgb);
const toLab = withMode(modeLab65);

export interface PaletteColour {
  hex: string;
  /** Share of the photograph's area, 0–1. */
  share: number;
}

/** Pixels looked at, evenly over the photograph: enough for shares to half a percent. */
const SAMPLE = 6000;
const CLUSTERS = 9;
/** Colours nearer than this are one cloth, seen in light and in shade (CIEDE2000). */
const ONE_CLOTH = 7;
/** Less of the area than this is a seam or a thread. */
const LEAST_SHARE = 0.012;
const SEED = 7;
/** Pixels more transparent than half do not count. */
const OPAQUE = 128;

/**
 * The main colours of a photograph with their shares of its area, largest first: k-means in CIELAB under D65
 * (Lloyd 1982, seeded k-means++), clusters of one cloth joined, slivers dropped. `rgba` holds four bytes a pixel.
 * Empty when no pixel is opaque. The same photograph always gives the same answer.
 */
export function palette(rgba: ArrayLike<number>, most = 8): PaletteColour[] {
  const points = sample(rgba);
  if (points.length === 0) return [];
  const k = Math.min(CLUSTERS, new Set(points.map((p) => p.join())).size);
  const { centroids, clusters } = kmeans(points, k, {
    initialization: 'kmeans++',
    seed: SEED,
    maxIterations: 40,
  });
  const counts = centroids.map(() => 0);
  for (const c of clusters) counts[c]!++;
  let found = centroids.map((p, i) => ({
    lab: { l: p[0]!, a: p[1]!, b: p[2]! },
    share: counts[i]! / points.length,
  }));
  found = join(found);
  const kept = found.filter((c) => c.share >= LEAST_SHARE);
  const sum = kept.reduce((s, c) => s + c.share, 0);
  return kept
    .sort((a, b) => b.share - a.share)
    .slice(0, most)
    .map((c) => ({ hex: formatHex({ mode: 'lab65', ...c.lab }), share: c.share / sum }));
}

function sample(rgba: ArrayLike<number>): number[][] {
  const pixels = Math.floor(rgba.length / 4);
  const step = Math.max(1, pixels / SAMPLE);
  const points: number[][] = [];
  for (let at = 0; at < pixels; at += step) {
    const i = Math.floor(at) * 4;
    if (rgba[i + 3]! < OPAQUE) continue;
    const { l, a, b } = toLab({
      mode: 'rgb',
      r: rgba[i]! / 255,
      g: rgba[i + 1]! / 255,
      b: rgba[i + 2]! / 255,
    });
    points.push([l, a, b]);
  }
  return points;
}

interface Cluster {
  lab: Lab;
  share: number;
}

/** Joins the two nearest clusters as long as they are one cloth. */
function join(clusters: Cluster[]): Cluster[] {
  const list = [...clusters];
  for (;;) {
    let nearest: { i: number; j: number; de: number } | null = null;
    for (let i = 0; i < list.length; i++)
      for (let j = i + 1; j < list.length; j++) {
        const de = deltaE(list[i]!.lab, list[j]!.lab);
        if (de < (nearest?.de ?? ONE_CLOTH)) nearest = { i, j, de };
      }
    if (!nearest) return list;
    const [b] = list.splice(nearest.j, 1);
    const a = list[nearest.i]!;
    const share = a.share + b!.share;
    const mix = (key: keyof Lab) => (a.lab[key] * a.share + b!.lab[key] * b!.share) / share;
    list[nearest.i] = { lab: { l: mix('l'), a: mix('a'), b: mix('b') }, share };
  }
}
