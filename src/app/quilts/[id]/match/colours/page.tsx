import { coneName } from '@/actions/zone-brief';
import { techniques } from '@/core/tables/techniques';
import { diameterMm } from '@/core/thread/thread';
import { spiToMm } from '@/core/units/length';
import { readPhotographs } from '@/data/intakes';
import { db } from '@/data/sql';
import { ColourBench } from '@/ui/colours/ColourBench';
import type { ColourCone } from '@/ui/colours/RankTable';
import { pack } from '@/ui/kit/pack';
import { Empty } from '@/ui/kit/Empty';
import { MatchNav } from '@/ui/match/MatchNav';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../../quilt-page';

/** Stands in on this page until a colour is picked here; nothing is matched by it. */
const UNSEEN = '#d9d4c6';

export const metadata = { title: 'Colours' };

export default async function ColoursPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props, 'whole studio');
  const { quilt, setups, shelf } = view;
  const photographs = await readPhotographs(db(), { quiltId: quilt.id });
  return (
    <QuiltFrame view={view} machine={machine} step="match" zoneId={zone?.id} page="match/colours">
      <MatchNav quiltId={quilt.id} zoneId={zone?.id} here="/colours" />
      {!zone || zone.fabrics.length === 0 ? (
        <Empty title={zone ? 'No cloth in this zone' : 'No zones yet'}>
          {zone
            ? 'Say at Take in which cloth lies here; then its colours can be picked and threads laid across them.'
            : 'Draw the zones of this quilt on its map first.'}
        </Empty>
      ) : (
        <ColourBench
          key={`${zone.id} ${zone.version}`}
          quiltId={quilt.id}
          zone={{
            id: zone.id,
            letter: zone.letter,
            name: zone.name,
            version: zone.version,
            visibility: zone.visibility,
            cloths: zone.fabrics.map(({ name, hex, share }) => ({ name, hex: hex ?? UNSEEN, share })),
            stitchMm: spiToMm(setups.get(zone.id)?.spi ?? techniques.get(zone.technique).baseSpi),
          }}
          packed={pack(
            shelf
              .filter((c) => c.role !== 'bobbin' && c.hex !== null && !c.archivedAt)
              .map((c): ColourCone => ({ id: c.id, name: coneName(c), hex: c.hex!, mm: diameterMm(c) })),
          )}
          photographs={photographs.map((p) => p.id)}
          acrossIn={quilt.widthIn}
        />
      )}
    </QuiltFrame>
  );
}
