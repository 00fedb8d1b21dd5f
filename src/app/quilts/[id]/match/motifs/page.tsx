import { ask } from '@/actions/queries';
import { motifsRequest } from '@/actions/motifs';
import { MatchNav } from '@/ui/match/MatchNav';
import { NoFabric } from '@/ui/match/NoFabric';
import { MotifsScreen } from '@/ui/motifs/MotifsScreen';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../../quilt-page';

export const metadata = { title: 'What to quilt' };

/** What to quilt where: whole proposals side by side, and for each zone what would suit it. */
export default async function MotifsPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { quilt, zones } = view;
  const [rulers, preferences, past, hand, patterns] = await Promise.all([
    ask.readRulers(),
    ask.readPreferences(),
    ask.readPastMotifs(),
    ask.readHand(),
    ask.readPatterns(),
  ]);
  const bare = zones.filter((z) => z.fabrics.length === 0);
  return (
    <QuiltFrame view={view} machine={machine} step="match" zoneId={zone?.id} page="match/motifs">
      <MatchNav quiltId={quilt.id} zoneId={zone?.id} here="/motifs" />
      {!zone || bare.length > 0 ? (
        <NoFabric quiltId={quilt.id} zone={zone} bare={bare} />
      ) : (
        <MotifsScreen
          key={quilt.version}
          quilt={{ id: quilt.id, widthIn: quilt.widthIn, lengthIn: quilt.lengthIn }}
          zones={zones}
          zoneId={zone.id}
          base={motifsRequest(view, machine, rulers, preferences!, past, hand)}
          patterns={patterns.map(({ id, name, words, widthIn, unit, measured }) => ({
            id,
            name,
            words,
            widthIn,
            unit,
            measured,
          }))}
        />
      )}
    </QuiltFrame>
  );
}
