import { areaOf } from '@/core/geometry/polygon';
import type { MatchNeedle, MatchRequest, MatchThread, MatchZone } from '@/core/match/request';
import type { Sandwich } from '@/core/sandwich/sandwich';
import type { Cone, DrawerNeedle, Machine, Quilt, Preferences, Zone } from '@/data/types';

/** A stored zone as the core sees it. */
export const zoneForCore = (
  zone: Zone,
  quilt: Pick<Quilt, 'use' | 'backingKind' | 'battingKind' | 'battingMaxGapIn'>,
): MatchZone => ({
  top: zone.fabrics.map((f) => ({ fabric: f.kind, name: f.name, hex: f.hex, share: f.share })),
  features: zone.features,
  backing: quilt.backingKind,
  battingId: quilt.battingKind,
  battingMaxGapIn: quilt.battingMaxGapIn ?? undefined,
  technique: zone.technique,
  spacingIn: zone.spacingIn,
  smallestRadiusIn: zone.smallestRadiusIn ?? undefined,
  lengthIn: zone.lengthIn ?? undefined,
  areaIn2: areaOf(zone.geometry),
  visibility: zone.visibility,
  use: quilt.use,
});

/** The layers of a zone. */
export const sandwichOf = (zone: Zone, quilt: Pick<Quilt, 'backingKind' | 'battingKind'>): Sandwich => ({
  top: zone.fabrics.map((f) => ({ fabric: f.kind, share: f.share })),
  battingId: quilt.battingKind,
  backing: quilt.backingKind,
  features: zone.features,
});

export const coneName = (cone: Pick<Cone, 'line' | 'colour'>) => `${cone.line} ${cone.colour}`;

/** Everything the core weighs for one zone: the zone, the machine, the shelf, the drawer, the studio's schools. */
export function matchRequest(
  zone: Zone,
  quilt: Quilt,
  at: { machine: Machine; shelf: readonly Cone[]; drawer: readonly DrawerNeedle[]; preferences: Preferences },
): MatchRequest {
  const { machine, shelf, drawer, preferences } = at;
  return {
    zone: zoneForCore(zone, quilt),
    machine: {
      ...machine,
      bobbinMm: { od: machine.bobbinOdMm, core: machine.bobbinCoreMm, width: machine.bobbinWidthMm },
    },
    threads: shelf.flatMap((c) => (c.archivedAt ? [] : asMatchThread(c))),
    needles: needlesFor(drawer, preferences),
    preferences: {
      bobbin: preferences.bobbinSchool,
      labelRule: preferences.labelRule,
      modeRule: preferences.modeRule,
      floorSpi: preferences.floorSpi,
      oneSpi: preferences.spiSchool === 'one' ? (preferences.oneSpi ?? undefined) : undefined,
    },
  };
}

const asMatchThread = (c: Cone): MatchThread => ({
  id: c.id,
  name: coneName(c),
  tex: c.tex,
  fibre: c.fibre,
  hex: c.hex ?? undefined,
  remainingM: c.remainingM ?? undefined,
  role: c.role,
  labelNeedleNm:
    c.needleMinNm !== null && c.needleMaxNm !== null ? [c.needleMinNm, c.needleMaxNm] : undefined,
});

/** The drawer, or the one trusted size of a studio that keeps to one (when it owns it). */
function needlesFor(drawer: readonly DrawerNeedle[], preferences: Preferences): MatchNeedle[] {
  const pick = drawer.map(({ nm, eye, point }) => ({ nm, eye, point }));
  const trusted =
    preferences.needleSchool === 'one' ? pick.filter((n) => n.nm === preferences.oneNeedleNm) : [];
  return trusted.length > 0 ? trusted : pick;
}

/** The same question with one pair of threads only. */
export const onlyPair = (request: MatchRequest, pair: { topId: string; bobbinId: string }): MatchRequest => ({
  ...request,
  threads: request.threads.flatMap((t) => {
    const serves = (id: string, role: 'top' | 'bobbin') =>
      t.id === id && (t.role === role || (t.role ?? 'both') === 'both');
    const [top, bobbin] = [serves(pair.topId, 'top'), serves(pair.bobbinId, 'bobbin')];
    return top || bobbin
      ? [{ ...t, role: top && bobbin ? ('both' as const) : top ? ('top' as const) : ('bobbin' as const) }]
      : [];
  }),
});
