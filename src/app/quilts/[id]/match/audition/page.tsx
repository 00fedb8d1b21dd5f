import { ask } from '@/actions/queries';
import { motifsRequest } from '@/actions/motifs';
import type { QuiltView } from '@/actions/quilt-view';
import { coneName } from '@/actions/zone-brief';
import { LOOKS } from '@/core/audition/draw';
import type { Way } from '@/core/audition/way';
import type { Zone } from '@/data/types';
import { diameterMm } from '@/core/thread/thread';
import { AuditionScreen } from '@/ui/audition/AuditionScreen';
import {
  type AuditionPattern,
  type AuditionThread,
  patternedSide,
  usualSide,
} from '@/ui/audition/audition-facts';
import { NoFabric } from '@/ui/match/NoFabric';
import { MatchNav } from '@/ui/match/MatchNav';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../../quilt-page';

export const metadata = { title: 'Audition' };

/** A thread nobody has chosen yet: it is seen on what lies under it. */
const USUAL = { name: 'a thread not chosen yet', light: '#f4f0e6', dark: '#2f2a26', mm: 0.25 };
/** What is laid beside what the zone has now. */
const BESIDE = ['swirls', 'meander-medium'] as const;

const mostHex = (zone: Zone) => [...zone.fabrics].sort((a, b) => b.share - a.share)[0]?.hex ?? null;

/** The top thread of a zone's card, or one that is seen on its fabric. */
function threadOf({ shelf, setups }: QuiltView, zone: Zone): AuditionThread {
  const top = shelf.find((c) => c.id === setups.get(zone.id)?.topId);
  if (top?.hex) return { name: coneName(top), hex: top.hex, mm: diameterMm(top) };
  const isLight = parseInt((mostHex(zone) ?? '#888888').slice(3, 5), 16) > 140;
  return { name: USUAL.name, hex: isLight ? USUAL.dark : USUAL.light, mm: USUAL.mm };
}

/** How a zone is quilted now, where that can be drawn. */
function wayNow(zone: Zone, patterns: readonly AuditionPattern[]): Way | null {
  const laid = patterns.find((p) => p.id === zone.pattern?.patternId);
  if (laid) return { ...patternedSide(laid), spacingIn: zone.pattern!.widthIn };
  return LOOKS[zone.technique] ? { ...usualSide(zone.technique), spacingIn: zone.spacingIn } : null;
}

/** Two ways to quilt a zone, drawn and weighed side by side. */
export default async function AuditionPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { quilt } = view;
  const [rulers, preferences, past, photographs, kept, rates, patterns, hand] = await Promise.all([
    ask.readRulers(),
    ask.readPreferences(),
    ask.readPastMotifs(),
    ask.readPlacedPhotographs(quilt.id),
    ask.readAuditions(quilt.id),
    ask.readRates(),
    ask.readPatterns(),
    ask.readHand(),
  ]);
  const bare = view.zones.filter((z) => z.fabrics.length === 0);
  if (!zone || bare.length > 0)
    return (
      <QuiltFrame view={view} machine={machine} step="match" zoneId={zone?.id} page="match/audition">
        <MatchNav quiltId={quilt.id} zoneId={zone?.id} here="/audition" />
        <NoFabric quiltId={quilt.id} zone={zone} bare={bare} />
      </QuiltFrame>
    );
  const now = wayNow(zone, patterns) ?? usualSide(BESIDE[1]);
  const other = usualSide(BESIDE.find((t) => t !== now.technique)!);
  const { id, letter, name, version, geometry } = zone;
  return (
    <QuiltFrame view={view} machine={machine} step="match" zoneId={zone.id} page="match/audition">
      <MatchNav quiltId={quilt.id} zoneId={zone.id} here="/audition" />
      <AuditionScreen
        key={`${zone.id} ${zone.version}`}
        quilt={{ id: quilt.id, name: quilt.name, widthIn: quilt.widthIn, lengthIn: quilt.lengthIn }}
        zone={{ id, letter, name, version, geometry, hex: mostHex(zone) }}
        base={motifsRequest(view, machine, rulers, preferences!, past, hand)}
        photographs={photographs}
        patterns={patterns.map(({ id, name, widthIn, unit }) => ({ id, name, widthIn, unit }))}
        thread={threadOf(view, zone)}
        beside={view.zones
          .filter((z) => z.id !== zone.id)
          .map((z) => ({
            id: z.id,
            geometry: z.geometry,
            hex: mostHex(z),
            way: wayNow(z, patterns),
            thread: threadOf(view, z),
          }))}
        charged={{ rates, currency: preferences!.currency }}
        sides={kept.get(zone.id) ?? [now, other]}
        kept={kept.has(zone.id)}
      />
    </QuiltFrame>
  );
}
