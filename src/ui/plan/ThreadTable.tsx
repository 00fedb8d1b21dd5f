import { coneName } from '@/actions/zone-brief';
import { USE_SPREAD_80 } from '@/core/plan/thread-plan';
import type { WorkPlan } from '@/core/plan/planned';
import { predicted } from '@/core/source/known';
import type { BobbinStock, Cone } from '@/data/types';
import { HeadRow } from '@/ui/kit/HeadRow';
import { Sourced } from '@/ui/kit/Sourced';
import { ThreadSwatch } from '@/ui/kit/Swatch';

/** What the quilt takes of each cone, the bobbins to wind, and where they run out. */
export function ThreadTable({
  plan,
  cones,
  tray,
  left,
  passesSewn,
}: {
  plan: WorkPlan;
  cones: ReadonlyMap<string, Cone>;
  tray: readonly BobbinStock[];
  /** Share of the quilt that is still to be sewn. */
  left: number;
  passesSewn: readonly number[];
}) {
  if (plan.threads.length === 0)
    return <p className="mt-3 text-ink2">Match its zones, and what they take of each cone stands here.</p>;
  const wound = (id: string) => tray.filter((b) => b.coneId === id).reduce((sum, b) => sum + b.count, 0);
  return (
    <table className="mt-1 w-full">
      <HeadRow names={['Cone', 'On top', 'In bobbins', 'On the cone', 'Bobbins', 'Run out at']} act={false} />
      <tbody>
        {plan.threads.map((t) => {
          const cone = cones.get(t.id)!;
          const wanted = (t.topM + t.bobbinM) * left;
          const short = cone.remainingM !== null && cone.remainingM < wanted;
          const runs = plan.runOuts.filter((o) => o.coneId === t.id && !passesSewn.includes(o.pass));
          return (
            <tr key={t.id} className="border-t align-top">
              <td className="flex items-center gap-2.5 py-1.5 pr-3">
                <ThreadSwatch hex={cone.hex} width={24} height={24} /> {coneName(cone)}
              </td>
              <td className="py-1.5 pr-3">
                {t.topM > 0 && <Sourced of={predicted(t.topM)}>{Math.round(t.topM)} m</Sourced>}
              </td>
              <td className="py-1.5 pr-3">
                {t.bobbinM > 0 && <Sourced of={predicted(t.bobbinM)}>{Math.round(t.bobbinM)} m</Sourced>}
              </td>
              <td className={`py-1.5 pr-3 ${short ? 'font-semibold text-madder' : ''}`}>
                {cone.remainingM === null ? 'not counted' : `${Math.round(cone.remainingM)} m`}
                {short && `, buy ${Math.ceil((wanted - cone.remainingM!) / 10) * 10} m`}
              </td>
              <td className="py-1.5 pr-3">
                {t.bobbins > 0 && bobbinsText(t.bobbins, wound(t.id), t.capacityM)}
              </td>
              <td className="py-1.5 text-ink2">
                {runs.slice(0, 3).map((o) => (
                  <span key={o.n} className="block">
                    pass {o.pass}, {Math.round(o.share * 100)} % ± {Math.round(Math.min(1, o.spread) * 100)}
                  </span>
                ))}
                {runs.length > 3 && `and ${runs.length - 3} more`}
              </td>
            </tr>
          );
        })}
      </tbody>
      <caption className="caption-bottom pt-1.5 text-left text-13 text-ink2">
        Metres hold within {Math.round(USE_SPREAD_80 * 100)} % 8 times in 10.
      </caption>
    </table>
  );
}

const bobbinsText = (needed: number, wound: number, capacityM: number) =>
  wound >= needed
    ? `${needed}, all on the tray`
    : `wind ${needed - wound} of ${Math.round(capacityM)} m${wound > 0 ? `, ${wound} on the tray` : ''}`;
