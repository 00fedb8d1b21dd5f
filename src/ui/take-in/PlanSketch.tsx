import { attempt } from '@/core/notes';
import { type PlanKind, planZones } from '@/core/plan/plan-kinds';
import { numberOf } from '@/ui/kit/number-of';
import type { Values } from '@/ui/kit/field-spec';
import { zonePath } from '@/ui/quilt-map/outline';

const TALL = 190;
const TINTS = ['var(--indigo-tint)', 'var(--weld-tint)', 'var(--verdigris-tint)', 'var(--walnut-tint)'];

/** The plan as it is described, to scale, as it is typed. */
export function PlanSketch({ values }: { values: Values }) {
  const plan = sketch(values);
  if (!plan) return null;
  if (typeof plan === 'string') return <p className="mt-3 font-medium text-weld-text">{plan}</p>;
  const { w, l, zones } = plan;
  const px = TALL / l;
  return (
    <figure className="mt-4 flex items-end gap-5">
      <svg
        width={Math.min(420, w * px)}
        height={TALL}
        viewBox={`-0.5 -0.5 ${w + 1} ${l + 1}`}
        role="img"
        aria-label={`${w} by ${l} in: ${zones.map((z) => z.name).join(', ')}`}
      >
        {zones.map((z, i) => (
          <path
            key={z.name}
            d={zonePath(z.geometry)}
            fillRule="evenodd"
            fill={TINTS[i]}
            stroke="var(--ink)"
            strokeWidth={1.2 / px}
          />
        ))}
      </svg>
      <figcaption className="text-ink2">
        {zones.map((z, i) => (
          <span key={z.name} className="flex items-center gap-2">
            <span aria-hidden className="size-4 border border-ink" style={{ background: TINTS[i] }} />
            {z.name}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}

function sketch(v: Values) {
  const n = (name: string) => {
    const x = numberOf(String(v[name] ?? ''));
    return typeof x === 'number' ? x : undefined;
  };
  const [w, l] = [n('widthIn'), n('lengthIn')];
  if (!w || !l || w < 4 || l < 4 || w > 200 || l > 200) return null;
  const zones = attempt(() =>
    planZones({
      kind: v.plan as PlanKind,
      widthIn: w,
      lengthIn: l,
      borderIn: n('borderIn'),
      columns: n('columns'),
      rows: n('rows'),
      sashIn: n('sashIn'),
    }),
  );
  return typeof zones === 'string' ? zones : { w, l, zones };
}
