import { type HoursBelief } from '@/core/hours/factors';
import { learnedFrom } from '@/core/source/known';
import { USE_SPREAD_80 } from '@/core/plan/thread-plan';
import type { WorkPlan } from '@/core/plan/planned';
import { inToM } from '@/core/units/length';
import type { Zone } from '@/data/types';
import { HeadRow } from '@/ui/kit/HeadRow';
import { Sourced } from '@/ui/kit/Sourced';
import { grouped } from '@/ui/kit/counts';

const range = (n: number) =>
  `${Math.round(n * (1 - USE_SPREAD_80))} to ${Math.round(n * (1 + USE_SPREAD_80))}`;

/** What each zone takes: length, stitches, minutes with their range, thread. */
export function ZoneWorkTable({
  plan,
  zones,
  belief,
}: {
  plan: WorkPlan;
  zones: readonly Zone[];
  belief: HoursBelief;
}) {
  return (
    <>
      <table className="w-full">
        <HeadRow
          names={['Zone', 'Area', 'Sewn', 'Stitches', 'Minutes', 'Four in five', 'Top', 'Bobbin']}
          act={false}
        />
        <tbody>
          {plan.zones.map((z, i) => (
            <tr key={z.id} className="border-t">
              <td className="py-1.5 pr-3 font-semibold">
                {zones[i]?.letter} {zones[i]?.name}
              </td>
              <td className="pr-3">{Math.round(z.areaIn2)} in²</td>
              <td className="pr-3">{inToM(z.sewnIn).toFixed(0)} m</td>
              <td className="pr-3">{z.stitches > 0 ? grouped(z.stitches) : ''}</td>
              <td className="pr-3">
                <Sourced of={learnedFrom(z.minutes, belief.steps, 'logged step')}>
                  {Math.round(z.minutes.mid)}
                </Sourced>
              </td>
              <td className="pr-3 text-ink2">
                {Math.round(z.minutes.low)} to {Math.round(z.minutes.high)}
              </td>
              <td className="pr-3">{z.topM > 0 && `${range(z.topM)} m`}</td>
              <td>{z.bobbinM > 0 && `${range(z.bobbinM)} m`}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
