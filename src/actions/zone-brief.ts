import { areaOf } from '@/core/geometry/polygon';
import type { MatchZone } from '@/core/match/request';
import type { Sandwich } from '@/core/sandwich/sandwich';
import type { Cone, Quilt, Zone } from '@/data/types';

/** A stored zone as the core sees it. */
export const zoneForCore = (
  zone: Zone,
  quilt: Pick<Quilt, 'use' | 'backingKind' | 'battingKind' | 'battingMaxGapIn'>,
): MatchZone => ({
  top: zone.fabrics.map((f) => ({
    fabric: f.kind,
    name: f.name,
    hex: f.hex ?? undefined,
    share: f.share,
    role: f.role,
    sewnOver: f.sewnOver,
    busyness: f.busyness ?? undefined,
  })),
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
