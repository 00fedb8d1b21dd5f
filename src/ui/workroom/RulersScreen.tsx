'use client';
import { doors } from '@/actions/doors';
import { safety } from '@/core/cautions/cautions';
import { RULER_SHAPE_LABEL } from '@/core/fields/lists';
import { RULER } from '@/core/fields/ruler';
import type { Machine, Ruler } from '@/data/types';
import { CautionLine } from '@/ui/kit/CautionLine';
import { KeptThings } from './KeptThings';

/** Rulers, each checked against the machine's ruler foot. */
export function RulersScreen({ rulers, machines }: { rulers: Ruler[]; machines: Machine[] }) {
  const withRulerFoot = machines.filter((m) => m.feet.includes('ruler'));
  return (
    <KeptThings
      things={rulers}
      caution={<CautionLine caution={safety('ruler-thickness')} />}
      of={{
        kind: 'ruler',
        title: 'Rulers',
        one: 'ruler',
        fields: RULER,
        about: 'Measure its thickness with a calliper; a thin ruler slips under the foot.',
        none: 'Give each ruler its thickness; it is checked against the foot of your machine.',
        columns: ['Ruler', 'Shape', 'Thick', 'Sews', 'On your machine'],
        cells: (r) => <RulerCells ruler={r} machines={withRulerFoot} />,
        keep: doors.keepRuler,
      }}
    />
  );
}

function RulerCells({ ruler: r, machines }: { ruler: Ruler; machines: Machine[] }) {
  return (
    <>
      <td className="py-2 pr-3 font-semibold">{r.name}</td>
      <td className="pr-3">
        {RULER_SHAPE_LABEL[r.shape]}
        {r.radiusIn !== null && `, radius ${r.radiusIn} in`}
      </td>
      <td className="pr-3 whitespace-nowrap">{r.thicknessMm} mm</td>
      <td className="pr-3">
        {r.radiusIn === null
          ? 'along its edge'
          : machines[0]
            ? `radius ${Number((r.radiusIn + machines[0].footOffsetIn).toFixed(2))} in outside it`
            : ''}
      </td>
      <td className="pr-3">
        {machines.length === 0 && <span className="text-ink2">no ruler foot on any machine</span>}
        {machines.map((m) => (
          <span key={m.id} className="block">
            {r.thicknessMm >= m.rulerFootMm ? (
              <span className="text-verdigris">fits {m.name}</span>
            ) : (
              <span className="font-semibold text-madder">
                too thin for {m.name}, which asks {m.rulerFootMm} mm
              </span>
            )}
          </span>
        ))}
      </td>
    </>
  );
}
