import { ask } from '@/actions/queries';
import { listedWhole } from '@/ui/shelf/listed';
import { wholeRequest } from '@/actions/whole-quilt';
import { Empty } from '@/ui/kit/Empty';
import { pack } from '@/ui/kit/pack';
import { MatchNav } from '@/ui/match/MatchNav';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { WholeQuiltScreen } from '@/ui/whole-quilt/WholeQuiltScreen';
import { readQuiltPage, type QuiltPageProps } from '../../quilt-page';

export const metadata = { title: 'Whole quilt' };

export default async function WholePage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props, 'whole studio');
  const { quilt, zones, setups } = view;
  const [sources, shelf] = await Promise.all([ask.readOwnMatchSources(), ask.keptShelf()]);
  const clothless = zones.filter((z) => z.fabrics.length === 0);
  return (
    <QuiltFrame view={view} machine={machine} step="match" zoneId={zone?.id} page="match">
      <MatchNav quiltId={quilt.id} zoneId={zone?.id} here="/whole" />
      {zones.length === 0 || clothless.length > 0 ? (
        <Empty title={zones.length === 0 ? 'No zones yet' : 'A zone has no fabric'}>
          {zones.length === 0
            ? 'Draw the zones of this quilt on its map first; then all of them can be matched together.'
            : `Say at Take in which fabric lies in ${clothless.map((z) => z.letter).join(', ')}; then all zones can be matched together.`}
        </Empty>
      ) : (
        <WholeQuiltScreen
          quiltId={quilt.id}
          zones={zones.map((z) => {
            const s = setups.get(z.id);
            return {
              id: z.id,
              letter: z.letter,
              name: z.name,
              card: s ? { topId: s.topId, bobbinId: s.bobbinId, version: s.version } : null,
            };
          })}
          packed={pack({ ...wholeRequest(view, machine, sources), threads: undefined })}
          list={listedWhole('threads', shelf)}
        />
      )}
    </QuiltFrame>
  );
}
