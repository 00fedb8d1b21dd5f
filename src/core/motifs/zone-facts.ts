import polylabel from 'polylabel';
import { areaOf, type Polygon } from '../geometry/polygon';
import { gapLimitIn } from '../density/density';
import { CoreError } from '../notes';
import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import type { Softness, VisibilityWish } from '../fields/lists';
import { type Role, themeWord, type Trait } from './motif-table';
import type { MotifsRequest, MotifZone, Relief } from './request';
import { stretchOf } from '../sandwich/sandwich';
import { ringLength } from './zone-shape';

/** What is known of a zone before anything is chosen. Inches. */
export interface ZoneFacts {
  zone: MotifZone;
  role: Role;
  areaIn2: number;
  /** Largest circle in a piece. */
  openIn: number;
  pieces: number;
  narrowIn: number;
  edgeIn: number;
  /** Area over pieces times the square of the largest circle: how drawn out it is. */
  drawnOut: number;
  shape: 'compact' | 'middle' | 'strip';
  traits: readonly Trait[];
  /** 0–3 by area. */
  busy: number;
  softness: Softness;
  softnessSaid: boolean;
  visibility: VisibilityWish;
  relief: Relief | null;
  words: readonly string[];
  features: readonly string[];
  /** Worst of its fabrics. */
  pile: boolean;
  brushed: boolean;
  creeps: number;
  stretch: number;
  keepsHoles: number;
  thicknessMm: number;
  /** Much smaller than all it touches together. */
  accent: boolean;
  besideRaised: boolean;
}

/** What the whole quilt says to every zone. */
export interface QuiltFacts {
  gapLimitIn: number;
  loftMm: number;
  plushBelow: boolean;
  /** How deep a pass is; null where the machine is not known. */
  depthIn: number | null;
}

const COMPACT = 2.5;
const STRIP = 4;
const USUAL_TRAITS: Readonly<Record<Role, readonly Trait[]>> = {
  ground: ['curved', 'straight'],
  motif: ['curved'],
  block: ['straight', 'corners'],
  border: ['straight'],
  sashing: ['straight'],
  space: ['straight'],
  whole: ['straight'],
};
/** Of the throat so much is taken by rails, plate and foot, inches. */
const DEAD_IN = 5;

/** What the whole quilt says to every zone's choice: its batting's widest distance (in) and loft (mm), plush below, and the depth one pass reaches (in). Throws `unknown-id`. */
export const quiltFacts = ({ quilt, machine }: MotifsRequest): QuiltFacts => ({
  gapLimitIn: gapLimitIn(quilt.battingId, quilt.battingMaxGapIn),
  loftMm: battings.get(quilt.battingId, 'quilt.battingId').loftMm,
  plushBelow: quilt.backing !== undefined && fabrics.get(quilt.backing, 'quilt.backing').standsUp,
  depthIn: machine?.throatIn === undefined ? null : Math.max(1, machine.throatIn - DEAD_IN),
});

/** Angles under this are points, degrees; turns of a round are softer than these. */
const POINT_DEG = 60;
const SQUARE_DEG = [75, 105] as const;
const CURVE_DEG = 150;

/** Traits of an outline by the angles at its corners. */
function traitsOf(rings: NonNullable<MotifZone['outline']>): Trait[] {
  const found = new Set<Trait>();
  for (const ring of rings) {
    const pts = ring.filter((p, i) => i === 0 || p[0] !== ring[i - 1]![0] || p[1] !== ring[i - 1]![1]);
    const n = pts.length;
    let soft = 0;
    for (let i = 0; i < n; i++) {
      const [a, b, c] = [pts[(i + n - 1) % n]!, pts[i]!, pts[(i + 1) % n]!];
      const angle =
        Math.abs(Math.atan2(a[1] - b[1], a[0] - b[0]) - Math.atan2(c[1] - b[1], c[0] - b[0])) *
        (180 / Math.PI);
      const inner = angle > 180 ? 360 - angle : angle;
      if (inner < POINT_DEG) found.add('points');
      else if (inner >= SQUARE_DEG[0] && inner <= SQUARE_DEG[1]) found.add('corners');
      else if (inner >= CURVE_DEG && inner < 179) soft++;
    }
    found.add(soft >= 6 ? 'curved' : 'straight');
  }
  return [...found];
}

/** The six numbers of a zone, those given and those that follow from its outline. */
function measured(zone: MotifZone, at: string) {
  const outline = zone.outline;
  const polygon = outline && (outline as unknown as Polygon);
  const own = polygon
    ? { areaIn2: areaOf([polygon]), openIn: 2 * polylabel(polygon as never, 0.05).distance }
    : null;
  const areaIn2 = zone.areaIn2 ?? own?.areaIn2;
  const openIn = zone.openIn ?? own?.openIn;
  if (areaIn2 === undefined || openIn === undefined)
    throw new CoreError('no-shape', 'Give the area and the largest circle of the zone, or its outline.', at);
  if (openIn * openIn * 0.75 > areaIn2 + 1e-6)
    throw new CoreError('out-of-order', 'A circle that large does not fit into this area.', `${at}.openIn`);
  const pieces = zone.pieces ?? 1;
  const drawnOut = areaIn2 / (pieces * openIn * openIn);
  const edgeIn =
    zone.edgeIn ??
    (outline
      ? outline.reduce((sum, ring) => sum + ringLength(ring), 0)
      : drawnOut >= STRIP
        ? 2 * pieces * (areaIn2 / (pieces * openIn) + openIn)
        : 4 * Math.sqrt(areaIn2 * pieces));
  return { areaIn2, openIn, pieces, drawnOut, edgeIn, narrowIn: Math.min(zone.narrowIn ?? openIn, openIn) };
}

const worst = <T extends number>(list: readonly T[]) => Math.max(0, ...list);

/** Everything about each zone that choosing rests on. @throws CoreError in words at its field. */
export function zoneFacts(request: MotifsRequest): ZoneFacts[] {
  const { quilt, zones } = request;
  const base = zones.map((zone, i): ZoneFacts => {
    const m = measured(zone, `zones.${i}`);
    const shares = zone.top.map((t) => t.share ?? 1);
    const all = shares.reduce((a, b) => a + b, 0);
    const cloths = zone.top.map((t, k) => fabrics.get(t.fabric, `zones.${i}.top.${k}.fabric`));
    return {
      zone,
      role: zone.role,
      ...m,
      shape: m.drawnOut < COMPACT ? 'compact' : m.drawnOut >= STRIP ? 'strip' : 'middle',
      traits: zone.traits ?? (zone.outline ? traitsOf(zone.outline) : USUAL_TRAITS[zone.role]),
      busy: zone.top.reduce((sum, t, k) => sum + (t.busyness ?? 0) * shares[k]!, 0) / all,
      softness: zone.softness ?? quilt.softness ?? 'usual',
      softnessSaid: (zone.softness ?? quilt.softness) !== undefined,
      visibility: zone.visibility ?? quilt.visibility ?? 'texture',
      relief: zone.relief ?? null,
      words: [...new Set((zone.themes ?? quilt.themes ?? []).flatMap((w) => themeWord(w) ?? []))],
      features: zone.features ?? [],
      pile: cloths.some((c) => c.standsUp),
      brushed: cloths.some((c) => c.nap && !c.standsUp),
      creeps: worst(cloths.map((c) => c.creeps)),
      stretch: stretchOf(
        zone.top.map((t) => t.fabric),
        zone.features,
      ),
      keepsHoles: worst(cloths.map((c) => c.keepsHoles)),
      thicknessMm: worst(cloths.map((c) => c.thicknessMm)),
      accent: false,
      besideRaised: false,
    };
  });
  const byId = new Map(base.map((z) => [z.zone.id, z]));
  const beside = besideOf(request);
  return base.map((z) => {
    const others = beside.get(z.zone.id) ?? [];
    const area = others.reduce((sum, id) => sum + byId.get(id)!.areaIn2, 0);
    return {
      ...z,
      accent: others.length > 0 && z.areaIn2 < 0.08 * area,
      besideRaised: others.some((id) => byId.get(id)!.relief === 'raised'),
    };
  });
}

/** Pairs of zones that touch, each once; without any given every zone touches every other. @throws CoreError `unknown-zone`. */
export function pairsOf({ zones, neighbours }: MotifsRequest): { a: string; b: string; seamIn: number }[] {
  if (!neighbours)
    return zones.flatMap((a, i) => zones.slice(i + 1).map((b) => ({ a: a.id, b: b.id, seamIn: 1 })));
  const ids = new Set(zones.map((z) => z.id));
  neighbours.forEach((n, i) => {
    for (const id of [n.a, n.b])
      if (!ids.has(id))
        throw new CoreError(
          'unknown-zone',
          `A seam names zone “${id}”, which is not in the list.`,
          `neighbours.${i}`,
        );
  });
  return neighbours.filter((n) => n.a !== n.b && n.seamIn > 0);
}

function besideOf(request: MotifsRequest): ReadonlyMap<string, string[]> {
  const beside = new Map<string, string[]>();
  for (const { a, b } of pairsOf(request)) {
    beside.set(a, [...(beside.get(a) ?? []), b]);
    beside.set(b, [...(beside.get(b) ?? []), a]);
  }
  return beside;
}
