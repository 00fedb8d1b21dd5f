import { ask } from '@/actions/queries';
import { weightOf } from '@/core/backing/in-hand';
import { battings } from '@/core/tables/battings';
import { usualOf } from '@/actions/prepared';
import { PrepareScreen } from '@/ui/prepare/PrepareScreen';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Backing and binding' };
/** Quilts up to this side may share a backing, inches. */
const SMALL_IN = 60;

export default async function PreparePage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { quilt } = view;
  const [preferences, rack, prepared, atHand] = await Promise.all([
    ask.readPreferences(),
    ask.readRack(),
    ask.readPrepared(quilt.id),
    ask.readBattings(),
  ]);
  return (
    <QuiltFrame view={view} machine={machine} step="take-in" zoneId={zone?.id} page="take-in">
      <PrepareScreen
        quilt={{ id: quilt.id, name: quilt.name, widthIn: quilt.widthIn, lengthIn: quilt.lengthIn }}
        units={preferences!.units}
        start={prepared ?? usualOf(quilt, preferences!)}
        version={prepared?.version ?? 0}
        backing={quilt.backing}
        battingShrinkPct={battings.get(quilt.battingKind).shrinkPct}
        weight={weightOf(quilt, {
          top: view.zones[0]?.fabrics[0]?.kind ?? 'quilting-cotton',
          batting: quilt.battingKind,
          backing: quilt.backingKind,
        })}
        batting={quilt.batting}
        frameIn={machine.frameIn}
        battings={atHand.map(({ id, name, kind, maxGapIn }) => ({ id, name, kind, maxGapIn }))}
        map={{
          widthIn: quilt.widthIn,
          lengthIn: quilt.lengthIn,
          zones: view.zones,
          width: 260,
          maxHeight: 300,
          idPrefix: 'joins',
        }}
        others={rack
          .filter(
            (q) => q.id !== quilt.id && q.step !== 'hand-back' && Math.max(q.widthIn, q.lengthIn) <= SMALL_IN,
          )
          .slice(0, 30)
          .map((q) => ({ id: q.id, name: q.name, widthIn: q.widthIn, lengthIn: q.lengthIn }))}
      />
    </QuiltFrame>
  );
}
