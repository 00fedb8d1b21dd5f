import { predicted } from '@/core/source/known';
import type { WorkPlan } from '@/core/plan/planned';
import type { Preferences, Zone } from '@/data/types';
import { lengthText } from '@/core/units/length-text';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Sourced } from '@/ui/kit/Sourced';

/** Every zone against the batting's limit and against the others. */
export function DensityTable({
  plan,
  zones,
  units,
}: {
  plan: WorkPlan;
  zones: readonly Zone[];
  units: Preferences['units'];
}) {
  const { density } = plan;
  const most = Math.max(...density.zones.map((z) => z.lineDensity), 0.001);
  return (
    <>
      <p>
        Densest to most open{' '}
        <b className={density.evenness > density.limit ? 'text-madder' : ''}>
          <Sourced of={predicted(density.evenness)}>{density.evenness.toFixed(1)} : 1</Sourced>
        </b>
        <span className="text-ink2">
          {' '}
          · even enough up to {density.limit} : 1, quick work up to 4 : 1 · widest gap allowed{' '}
          {lengthText(density.zones[0]?.gapLimitIn ?? 0, units)}
        </span>
      </p>
      <table className="mt-1 w-full">
        <tbody>
          {density.zones.map((d, i) => (
            <tr key={d.id} className="border-t">
              <td className="w-44 py-1.5 pr-2 font-semibold">
                {d.id} {zones[i]?.name}
              </td>
              <td className="py-1.5">
                <svg width="100%" height="14" preserveAspectRatio="none" viewBox="0 0 100 14" aria-hidden>
                  <rect
                    x="0"
                    y="2"
                    width={(d.lineDensity / most) * 100}
                    height="10"
                    fill="var(--walnut-tint)"
                    stroke="var(--walnut)"
                    strokeWidth="0.4"
                  />
                </svg>
              </td>
              <td className="w-36 py-1.5 pl-3 text-right whitespace-nowrap">
                {d.lineDensity.toFixed(2)} in an in²
              </td>
              <td
                className={`w-48 py-1.5 pl-3 text-right whitespace-nowrap ${d.ok ? '' : 'font-semibold text-madder'}`}
              >
                gaps {lengthText(d.gapIn, units)}
                {!d.ok && ', too wide'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <ul className="mt-1.5 space-y-1">
        {density.cautions.map((c) => (
          <li key={c.code + c.text}>
            <CautionLine caution={c} />
          </li>
        ))}
      </ul>
    </>
  );
}
