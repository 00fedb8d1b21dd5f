import { ask } from '@/actions/queries';
import { listedWhole } from '@/ui/shelf/listed';
import { techniques } from '@/core/tables/techniques';
import { spiToMm } from '@/core/units/length';
import { ColoursScreen } from '@/ui/colours/ColoursScreen';
import { Empty } from '@/ui/kit/Empty';
import { MatchNav } from '@/ui/match/MatchNav';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../../quilt-page';

/** Stands in on this page until a colour is picked here; nothing is matched by it. */
const UNSEEN = '#d9d4c6';

export const metadata = { title: 'Colours' };

export default async function ColoursPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { quilt, setups } = view;
  const [photographs, shelf] = await Promise.all([
    ask.readPhotographs({ quiltId: quilt.id }),
    ask.keptShelf(),
  ]);
  return (
    <QuiltFrame view={view} machine={machine} step="match" zoneId={zone?.id} page="match/colours">
      <MatchNav quiltId={quilt.id} zoneId={zone?.id} here="/colours" />
      {!zone || zone.fabrics.length === 0 ? (
        <Empty title={zone ? 'No fabric in this zone' : 'No zones yet'}>
          {zone
            ? 'Say at Take in which fabric lies here; then its colours can be picked and threads laid across them.'
            : 'Draw the zones of this quilt on its map first.'}
        </Empty>
      ) : (
        <ColoursScreen
          key={`${zone.id} ${zone.version}`}
          quiltId={quilt.id}
          zone={{
            id: zone.id,
            letter: zone.letter,
            name: zone.name,
            version: zone.version,
            visibility: zone.visibility,
            cloths: zone.fabrics.map(({ name, hex, share, busyness }) => ({
              name,
              hex: hex ?? UNSEEN,
              share,
              busyness,
            })),
            stitchMm: spiToMm(setups.get(zone.id)?.spi ?? techniques.get(zone.technique).baseSpi),
          }}
          list={listedWhole('colours', shelf)}
          photographs={photographs.map((p) => p.id)}
          acrossIn={quilt.widthIn}
        />
      )}
    </QuiltFrame>
  );
}
