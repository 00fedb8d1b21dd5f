import { ask } from '@/actions/queries';
import { motifsRequest } from '@/actions/motifs';
import { coneName } from '@/actions/zone-brief';
import { LOOKS } from '@/core/audition/draw';
import { diameterMm } from '@/core/thread/thread';
import { AuditionScreen } from '@/ui/audition/AuditionScreen';
import { patternedSide, usualSide } from '@/ui/audition/audition-facts';
import { NoFabric } from '@/ui/match/NoFabric';
import { MatchNav } from '@/ui/match/MatchNav';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../../quilt-page';

export const metadata = { title: 'Audition' };

/** A thread nobody has chosen yet: it is seen on what lies under it. */
const USUAL = { name: 'a thread not chosen yet', light: '#f4f0e6', dark: '#2f2a26', mm: 0.25 };
/** What is laid beside what the zone has now. */
const BESIDE = ['swirls', 'meander-medium'] as const;

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
  const hex = [...zone.fabrics].sort((a, b) => b.share - a.share)[0]?.hex ?? null;
  const top = view.shelf.find((c) => c.id === view.setups.get(zone.id)?.topId);
  const isLight = parseInt((hex ?? '#888888').slice(3, 5), 16) > 140;
  const laid = patterns.find((p) => p.id === zone.pattern?.patternId);
  const now = laid
    ? { ...patternedSide(laid), spacingIn: zone.pattern!.widthIn }
    : LOOKS[zone.technique]
      ? { ...usualSide(zone.technique), spacingIn: zone.spacingIn }
      : usualSide(BESIDE[1]);
  const other = usualSide(BESIDE.find((t) => t !== now.technique)!);
  return (
    <QuiltFrame view={view} machine={machine} step="match" zoneId={zone.id} page="match/audition">
      <MatchNav quiltId={quilt.id} zoneId={zone.id} here="/audition" />
      <AuditionScreen
        key={`${zone.id} ${zone.version}`}
        quilt={{ id: quilt.id, name: quilt.name, widthIn: quilt.widthIn, lengthIn: quilt.lengthIn }}
        zone={{
          id: zone.id,
          letter: zone.letter,
          name: zone.name,
          version: zone.version,
          geometry: zone.geometry,
          hex,
        }}
        base={motifsRequest(view, machine, rulers, preferences!, past, hand)}
        photographs={photographs}
        patterns={patterns.map(({ id, name, widthIn, unit }) => ({ id, name, widthIn, unit }))}
        thread={
          top?.hex
            ? { name: coneName(top), hex: top.hex, mm: diameterMm(top) }
            : { name: USUAL.name, hex: isLight ? USUAL.dark : USUAL.light, mm: USUAL.mm }
        }
        hour={rates.hourMinor == null ? null : { minor: rates.hourMinor, currency: preferences!.currency }}
        sides={kept.get(zone.id) ?? [now, other]}
        kept={kept.has(zone.id)}
      />
    </QuiltFrame>
  );
}
