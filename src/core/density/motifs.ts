import polylabel from 'polylabel';
import type { MultiPolygon } from '../geometry/polygon';
import { techniques } from '../tables/techniques';

/** How a studio goes over motifs: by size against the batting, everything down, or left and outlined. */
export const MOTIF_SCHOOLS = ['by-size', 'down', 'outline'] as const;
export type MotifSchool = (typeof MOTIF_SCHOOLS)[number];

export interface MotifZone {
  id: string;
  technique: string;
  geometry: MultiPolygon;
  /** Some cloth of it is left alone: the stitching does not go over it. */
  leftAlone: boolean;
}

/** A part of the quilt that no line crosses: the largest circle that fits into it. */
export interface OpenPart {
  zone: string;
  /** Which piece of the zone, from 0. */
  piece: number;
  x: number;
  y: number;
  /** Its diameter, inches: what the batting has to hold by itself. */
  openIn: number;
  /** What this studio does about it. */
  act: 'leave' | 'outline' | 'quilt-down';
}

export interface Motifs {
  /** Largest first. */
  parts: OpenPart[];
  /** The one or two motifs to see to first, each with its like pieces: they bring the largest open area under the limit. */
  propose: OpenPart[][];
  /** What is open at most when that is done, inches. */
  thenIn: number;
}

/** Smaller ones hold by the stitching round them, inches. */
const LEAST_IN = 0.5;
const PRECISION_IN = 0.05;
const AT_ONCE = 2;
const ALIKE = 0.95;

/** A part is open where the technique only follows its edge, or its cloth is left alone. */
const isOpen = (z: MotifZone) => z.leftAlone || !techniques.get(z.technique).area;

/**
 * What is left open over motifs against the batting's limit (inches), and what the studio's way makes of it. An outline
 * inside a part halves what is open; quilted down, nothing of it is.
 * @throws CoreError when a technique is not known.
 */
export function motifsLeft(zones: readonly MotifZone[], limitIn: number, school: MotifSchool): Motifs {
  const parts = zones
    .filter(isOpen)
    .flatMap((z) =>
      z.geometry.map((polygon, piece) => {
        const spot = polylabel(polygon, PRECISION_IN);
        return { zone: z.id, piece, x: spot[0], y: spot[1], openIn: 2 * spot.distance };
      }),
    )
    .filter((p) => p.openIn >= LEAST_IN)
    .sort((a, b) => b.openIn - a.openIn)
    .map((p): OpenPart => {
      const over = p.openIn > limitIn;
      const act =
        school === 'down' ? 'quilt-down' : !over ? 'leave' : school === 'outline' ? 'outline' : 'quilt-down';
      return { ...p, act };
    });
  const over = parts.filter((p) => p.openIn > limitIn);
  // Pieces of one zone that are as large as each other are one motif, repeated.
  const motifs: OpenPart[][] = [];
  for (const p of school === 'down' ? parts : over) {
    const like = motifs.find((m) => m[0]!.zone === p.zone && p.openIn > m[0]!.openIn * ALIKE);
    if (like) like.push(p);
    else motifs.push([p]);
  }
  const propose = motifs.slice(0, AT_ONCE);
  const seenTo = new Set(propose.flat());
  const left = parts.map((p) =>
    !seenTo.has(p) ? p.openIn : p.act === 'outline' ? p.openIn / 2 : p.act === 'quilt-down' ? 0 : p.openIn,
  );
  return { parts, propose, thenIn: Math.max(0, ...left) };
}

const ACT_WORDS = { leave: 'leave', outline: 'outline inside', 'quilt-down': 'quilt down' } as const;
const inches = (n: number) => `${n.toFixed(1)} in`;

/** The same in sentences: the largest area left open, and the one or two to see to first. */
export function motifWords({ parts, propose, thenIn }: Motifs, limitIn: number): string[] {
  const largest = parts[0];
  if (!largest) return [];
  const over = parts.filter((p) => p.openIn > limitIn).length;
  const first = `The largest area left open is ${inches(largest.openIn)} across, in zone ${largest.zone}; the batting holds ${inches(limitIn)} by itself${over === 0 ? ': it may stay so' : over > 1 ? `, and ${over} are wider than that` : ''}.`;
  if (propose.length === 0) return [first];
  const acts = propose.map(([p, ...more]) =>
    more.length > 0
      ? `${ACT_WORDS[p!.act]} the ${more.length + 1} like pieces of zone ${p!.zone} (${inches(p!.openIn)} each)`
      : `${ACT_WORDS[p!.act]} piece ${p!.piece + 1} of zone ${p!.zone} (${inches(p!.openIn)})`,
  );
  const words = acts.join(' and ');
  return [
    first,
    `${words[0]!.toUpperCase()}${words.slice(1)}: ${thenIn > limitIn ? `then ${inches(thenIn)} is the widest, and more must follow` : `then no more than ${inches(thenIn)} is open`}.`,
  ];
}
