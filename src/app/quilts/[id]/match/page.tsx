import { ask } from '@/actions/queries';
import { matchOnce, onlyPair, zoneRequest } from '@/actions/match-sources';
import { withLearned } from '@/actions/searches';
import { sandwichOf } from '@/actions/zone-brief';
import { scalesOf } from '@/core/machine/scales';
import { areaOf } from '@/core/geometry/polygon';
import { match } from '@/core/match/match';
import { NEEDLE_SIZES } from '@/core/tables/needles';
import { zoneEnds } from '@/core/plan/zone-ends';
import { techniques } from '@/core/tables/techniques';
import type { Cone } from '@/data/types';
import { Empty } from '@/ui/kit/Empty';
import { type Held, HoldBar } from '@/ui/match/HoldBar';
import { CouchingSums, RulerSums } from '@/ui/match/TechniqueSums';
import { MatchScreen } from '@/ui/match/MatchScreen';
import { MatchNav } from '@/ui/match/MatchNav';
import { NothingSuits } from '@/ui/match/NothingSuits';
import { listedNames } from '@/ui/shelf/listed';
import { WhatIfPanel } from '@/ui/match/WhatIfPanel';
import { candidatesOf } from '@/ui/match/candidates';
import { cardFacts } from '@/ui/print/card-facts';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Match' };

export default async function MatchPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props, 'whole studio');
  const { quilt, shelf } = view;
  if (!zone)
    return (
      <QuiltFrame view={view} machine={machine} step="match" page="match">
        <Empty title="No zones yet">
          Draw the zones of this quilt on its map first; each is then matched on its own.
        </Empty>
      </QuiltFrame>
    );
  if (techniques.get(zone.technique).leftOpen)
    return (
      <QuiltFrame view={view} machine={machine} step="match" zoneId={zone.id} page="match">
        <MatchNav quiltId={quilt.id} zoneId={zone.id} here="" />
        <Empty title={`${zone.name} is left open`}>
          Nothing is sewn here, so no thread is chosen. Its width is checked against the batting under
          Density; choose a technique on the quilt’s intake page to quilt it after all.
        </Empty>
      </QuiltFrame>
    );
  const [sources, measured, cones, settings] = await Promise.all([
    ask.readOwnMatchSources(),
    ask.readScales(machine.id),
    ask.keptShelf(),
    ask.readSettings(quilt.id),
  ]);
  const scales = scalesOf(measured);
  const standing = view.setups.get(zone.id);
  const request = withLearned(zoneRequest(view, zone, machine, sources), sources.tension, quilt);
  const held = heldIn(await props.searchParams, shelf);
  const found = matchOnce({ ...request, hold: held }, sources.tension.mark);
  const fresh = standing && match({ ...onlyPair(request, standing), limit: 1 }).setups[0];
  // With a part held the list is of what can be had with it; the card that stands is in the list without.
  const free = Object.keys(held).length === 0;
  const candidates = candidatesOf({
    found,
    standing: free ? standing : undefined,
    fresh,
    zone,
    quilt,
    shelf,
    scales,
    tension: sources.tension,
  });
  const t = techniques.get(zone.technique);
  const threads = listedNames(cones, [held.topId, held.bobbinId]);
  const sums = t.rulerMoves ? (
    <RulerSums offsetIn={machine.footOffsetIn} />
  ) : t.couches ? (
    <CouchingSums
      holeMm={machine.couchingHoleMm}
      pathIn={zone.lengthIn ?? areaOf(zone.geometry) / zone.spacingIn}
      gapIn={zone.spacingIn}
      radiusIn={zone.smallestRadiusIn ?? 0.75}
      yarn={zone.yarn}
      blocks={zone.geometry.map((piece) => areaOf([piece]) / Math.max(1e-9, areaOf(zone.geometry)))}
    />
  ) : null;
  return (
    <QuiltFrame view={view} machine={machine} step="match" zoneId={zone.id} page="match">
      <MatchNav quiltId={quilt.id} zoneId={zone.id} here="" />
      <HoldBar
        path={`/quilts/${quilt.id}/match`}
        zoneId={zone.id}
        held={held}
        threads={threads}
        spi={[machine.minSpi, machine.maxSpi]}
      />
      {candidates.length === 0 ? (
        <NothingSuits what="zone" cautions={found.cautions} />
      ) : (
        <MatchScreen
          key={zone.id + (standing?.id ?? '') + JSON.stringify(held)}
          held={held}
          machine={machine}
          vary={{
            technique: zone.technique,
            spacingIn: zone.spacingIn,
            smallestRadiusIn: zone.smallestRadiusIn,
            sandwich: sandwichOf(zone, quilt),
          }}
          ends={zoneEnds(
            {
              geometry: zone.geometry,
              technique: zone.technique,
              fabrics: zone.fabrics.map((f) => ({ fabric: f.kind, busyness: f.busyness })),
            },
            quilt,
            {
              school: sources.preferences.endsSchool,
              machine: { stops: machine.needleStops, ownTieOff: machine.ownTieOff },
            },
          )}
          quiltId={quilt.id}
          zone={{ id: zone.id, name: zone.name, letter: zone.letter, fabrics: zone.fabrics }}
          about={`${techniques.get(zone.technique).label}, ${zone.spacingIn} in spacing · best of ${found.weighed} set-ups`}
          candidates={candidates}
          seenVersion={standing?.version ?? 0}
          backingHex={quilt.backingHex ?? '#d8cfbb'}
          shank={machine.shank}
          school={sources.preferences.tensionSchool}
          card={
            standing
              ? cardFacts(
                  standing,
                  zone,
                  quilt,
                  machine,
                  new Map(shelf.map((c) => [c.id, c])),
                  scales,
                  settings.get(zone.id),
                  sources.preferences.tensionSchool,
                )
              : null
          }
        />
      )}
      {found.weighed > 0 && (
        <WhatIfPanel
          key={`if ${zone.id} ${JSON.stringify(held)}`}
          quiltId={quilt.id}
          zoneId={zone.id}
          threads={threads}
          held={held}
        />
      )}
      {sums}
    </QuiltFrame>
  );
}

/** The parts held in the page's address; what is not known is let go. */
function heldIn(query: Record<string, string | undefined>, shelf: readonly Cone[]): Held {
  const [nm, spi] = [Number(query.nm), Number(query.spi)];
  return {
    ...(shelf.some((c) => c.id === query.topId) ? { topId: query.topId } : {}),
    ...(shelf.some((c) => c.id === query.bobbinId) ? { bobbinId: query.bobbinId } : {}),
    ...(NEEDLE_SIZES.some((s) => s.nm === nm) ? { nm } : {}),
    ...(spi >= 1 && spi <= 40 ? { spi } : {}),
  };
}
