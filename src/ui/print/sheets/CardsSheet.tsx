import { endsLine } from '@/core/stitch/ends';
import { DrawingSvg } from '@/ui/draw/Marks';
import { cardFacts } from '@/ui/print/card-facts';
import { settingCard } from '@/ui/print/setting-card';
import type { SheetFacts } from './sheet-facts';

const endsIn = (plan: SheetFacts['plan'], zoneId: string) => {
  const planned = plan.zones.find((p) => p.id === zoneId);
  return planned ? endsLine(planned.ends) : '';
};

export function CardsSheet({ view, machine, scales, settings, preferences, plan }: SheetFacts) {
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  const done = view.zones.filter((z) => view.setups.has(z.id));
  if (done.length === 0) return <p>No zone has a set-up yet.</p>;
  return (
    <div className="grid grid-cols-2 gap-3 print:gap-0">
      {done.map((z) => (
        <DrawingSvg
          key={z.id}
          drawing={settingCard(
            cardFacts(
              view.setups.get(z.id)!,
              z,
              view.quilt,
              machine,
              cones,
              scales,
              settings.get(z.id),
              preferences.tensionSchool,
              endsIn(plan, z.id),
            ),
          )}
          title={`Setting card of zone ${z.letter}, ${z.name}`}
          className="h-auto w-full break-inside-avoid print:h-[62mm]"
        />
      ))}
    </div>
  );
}
