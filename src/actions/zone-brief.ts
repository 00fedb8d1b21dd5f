import { areaOf } from '@/core/geometry/polygon';
import { lengthOfLines, startsIn } from '@/core/plan/ways';
import { techniques } from '@/core/tables/techniques';
import { given } from '@/core/fields/stored';
import { ZONE } from '@/core/fields/zone';
import type { MatchZone } from '@/core/match/request';
import type { Sandwich } from '@/core/sandwich/sandwich';
import type { Cone, Quilt, Zone } from '@/data/types';

/** The length of a zone's lines where they follow what is drawn, and how often a line is begun in it. */
export function linesIn(
  zone: Pick<Zone, 'geometry' | 'technique' | 'lengthIn' | 'spacingIn' | 'pattern'>,
  quilt: Pick<Quilt, 'widthIn' | 'lengthIn'>,
) {
  const t = techniques.get(zone.technique);
  const z = {
    geometry: zone.geometry,
    lengthIn: zone.lengthIn ?? undefined,
    spacingIn: zone.spacingIn,
    patternStarts: zone.pattern?.starts,
  };
  return { lengthIn: lengthOfLines(z, t, quilt), starts: startsIn(z, t, quilt) };
}

/** A stored zone as the core sees it. */
export const zoneForCore = (
  zone: Zone,
  quilt: Pick<Quilt, 'use' | 'backingKind' | 'battingKind' | 'battingMaxGapIn' | 'widthIn' | 'lengthIn'>,
): MatchZone => ({
  ...given(ZONE, zone),
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
  ...linesIn(zone, quilt),
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
