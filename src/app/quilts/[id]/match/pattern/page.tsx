import { ask } from '@/actions/queries';
import { gapLimitIn } from '@/core/density/density';
import { Empty } from '@/ui/kit/Empty';
import { ButtonLink } from '@/ui/kit/Button';
import { MatchNav } from '@/ui/match/MatchNav';
import { ZonePatternScreen } from '@/ui/patterns/ZonePatternScreen';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../../quilt-page';

export const metadata = { title: 'Patterns' };

/** The studio's patterns laid in one zone of a quilt. */
export default async function ZonePatternPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { quilt } = view;
  const [patterns, read, yarns] = await Promise.all([
    ask.readPatterns(),
    ask.readPlan(view),
    ask.readYarns(),
  ]);
  const depths = read.plan.passes?.depthsIn;
  return (
    <QuiltFrame view={view} machine={machine} step="match" zoneId={zone?.id} page="match/pattern">
      <MatchNav quiltId={quilt.id} zoneId={zone?.id} here="/pattern" />
      {!zone || patterns.length === 0 ? (
        <Empty
          title={zone ? 'No patterns yet' : 'No zones yet'}
          act={
            <ButtonLink href={zone ? '/workroom/patterns' : `/quilts/${quilt.id}/map`}>
              {zone ? 'Add a drawing' : 'Draw the map'}
            </ButtonLink>
          }
        >
          {zone
            ? 'A drawing of one repeat, SVG or DXF, is kept in the workroom and laid here.'
            : 'Draw the zones of this quilt on its map first.'}
        </Empty>
      ) : (
        <ZonePatternScreen
          key={`${zone.id} ${zone.version}`}
          quilt={{ id: quilt.id, widthIn: quilt.widthIn, lengthIn: quilt.lengthIn }}
          zone={{
            id: zone.id,
            letter: zone.letter,
            name: zone.name,
            version: zone.version,
            geometry: zone.geometry,
            pattern: zone.pattern,
          }}
          patterns={patterns}
          yarns={yarns.map(({ id, name, diameterMm }) => ({ id, name, diameterMm }))}
          depthIn={depths ? Math.max(...depths) : null}
          gapLimitIn={gapLimitIn(
            quilt.battingKind,
            quilt.battingMaxGapIn ?? undefined,
            read.preferences.gapShare,
          )}
        />
      )}
    </QuiltFrame>
  );
}
