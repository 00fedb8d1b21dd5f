import { ask } from '@/actions/queries';
import { Empty } from '@/ui/kit/Empty';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { StitchPhotoScreen } from '@/ui/stitch-photo/StitchPhotoScreen';
import { readQuiltPage, type QuiltPageProps } from '../../quilt-page';

export const metadata = { title: 'Stitches on a photograph' };

export default async function StitchPhotoPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const setup = zone && view.setups.get(zone.id);
  const rounds = setup ? await ask.readRounds(setup.id) : [];
  const wanted = (await props.searchParams).round;
  const round = rounds.find((r) => r.id === wanted);
  const hexOf = (id: string | undefined) => view.shelf.find((c) => c.id === id)?.hex ?? null;
  return (
    <QuiltFrame view={view} machine={machine} step="test" zoneId={zone?.id} page="test/photo">
      {zone ? (
        <StitchPhotoScreen
          key={round?.id ?? 'new'}
          quiltId={view.quilt.id}
          zoneId={zone.id}
          rounds={rounds.map(({ id, n }) => ({ id, n }))}
          roundId={round?.id ?? null}
          photographId={round?.photographId ?? null}
          threads={{ top: hexOf(setup?.topId), bobbin: hexOf(setup?.bobbinId) }}
        />
      ) : (
        <Empty title="No zones yet">Draw the zones of this quilt on its map first.</Empty>
      )}
    </QuiltFrame>
  );
}
