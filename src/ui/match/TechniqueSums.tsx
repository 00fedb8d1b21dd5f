'use client';
import { predicted } from '@/core/source/known';
import { safety } from '@/core/cautions/cautions';
import { planCouching } from '@/core/couching/couching';
import { attempt } from '@/core/notes';
import { planRuler } from '@/core/ruler/ruler';
import { CautionLine } from '@/ui/kit/CautionLine';
import type { FieldSpec } from '@/ui/kit/field-spec';
import { Sourced } from '@/ui/kit/Sourced';
import { SpecFields, useSpecForm } from '@/ui/kit/SpecFields';

const ABOVE_NOTHING = 1e-9;
const RULER: readonly FieldSpec[] = [
  {
    name: 'kind',
    label: 'Edge',
    kind: 'choice',
    options: [
      { value: 'convex', label: 'outside of a curve' },
      { value: 'concave', label: 'inside of a curve' },
    ],
  },
  { name: 'radius', label: 'Its radius', kind: 'number', hint: 'in' },
  { name: 'chord', label: 'Arc from point to point', kind: 'number', hint: 'in' },
  { name: 'length', label: 'Border', kind: 'number', hint: 'in' },
  { name: 'repeat', label: 'Repeat', kind: 'number', hint: 'in' },
];
const YARN: readonly FieldSpec[] = [
  { name: 'yarn', label: 'Yarn, thick', kind: 'number', hint: 'mm' },
  { name: 'skein', label: 'A skein', kind: 'number', hint: 'm' },
  { name: 'path', label: 'Path', kind: 'number', hint: 'in' },
  { name: 'starts', label: 'Starts', kind: 'number' },
];
const inches = (n: number) => `${Number(n.toFixed(2))} in`;

/** Sums along a ruler: the radius sewn, where to stop, the depth of an arc, repeats along a border. */
export function RulerSums({ offsetIn }: { offsetIn: number }) {
  const { form, values, numberAt } = useSpecForm(RULER, {
    kind: 'convex',
    radius: 6,
    chord: 4,
    length: 60,
    repeat: 8,
  });
  const kind = values.kind === 'concave' ? 'concave' : 'convex';
  const [r, c, l, p] = ['radius', 'chord', 'length', 'repeat'].map((f) => numberAt(f, ABOVE_NOTHING));
  const arc = attempt(() =>
    planRuler({ offsetIn, ...(r ? { edge: { kind, radiusIn: r } } : {}), ...(c ? { chordIn: c } : {}) }),
  );
  const border = l && p ? planRuler({ offsetIn, repeat: { lengthIn: l, repeatIn: p } }) : null;
  return (
    <section aria-label="Along the ruler" className="mt-5 border-t-2 border-ink pt-2">
      <h3 className="text-[17px]">Along the ruler</h3>
      <SpecFields specs={RULER} form={form} className="mt-1 grid grid-cols-2 gap-3 md:grid-cols-5" />
      <p aria-live="polite" className="mt-2">
        {typeof arc === 'string' ? (
          <span className="font-medium text-madder">{arc}</span>
        ) : (
          <>
            Sews a radius of{' '}
            <Sourced of={predicted(arc.sewnRadiusIn)}>
              {arc.sewnRadiusIn ? inches(arc.sewnRadiusIn) : 'none'}
            </Sourced>
            {arc.sagittaIn !== undefined && (
              <>
                , {inches(arc.sagittaIn)} deep. Stop the ruler {inches(arc.stopShortIn)} short of a corner.
              </>
            )}
          </>
        )}
        {border && (
          <>
            {' '}
            The border takes <b>{border.repeats}</b> repeats at {border.scalePct!.toFixed(0)} %.
          </>
        )}
      </p>
      {border?.cautions.map((x) => (
        <p key={x.code}>
          <CautionLine caution={x} />
        </p>
      ))}
      <p className="mt-1">
        <CautionLine caution={safety('stop-before-lift', 'warn')} />
      </p>
    </section>
  );
}

/** Sums for couching: yarn, skeins, foot, and whether the path suits the yarn. */
export function CouchingSums({
  holeMm,
  pathIn,
  gapIn,
  radiusIn,
}: {
  holeMm: number | null;
  pathIn: number;
  gapIn: number;
  radiusIn: number;
}) {
  const { form, numberAt } = useSpecForm(YARN, { yarn: 2.5, skein: 60, path: Math.round(pathIn), starts: 4 });
  const [y, s, p] = ['yarn', 'skein', 'path'].map((f) => numberAt(f, ABOVE_NOTHING));
  const n = numberAt('starts');
  const told =
    y && s && p && n !== null
      ? planCouching({
          pathIn: p,
          starts: Math.round(n),
          yarnMm: y,
          skeinM: s,
          footHoleMm: holeMm ?? 0.01,
          minRadiusIn: radiusIn,
          gapIn,
        })
      : null;
  return (
    <section aria-label="Yarn" className="mt-5 border-t-2 border-ink pt-2">
      <h3 className="text-[17px]">Yarn</h3>
      <SpecFields specs={YARN} form={form} className="mt-1 grid grid-cols-2 gap-3 md:grid-cols-4" />
      {told && (
        <>
          <p className="mt-2">
            <b>
              <Sourced of={predicted(told.yarnM)}>{told.yarnM.toFixed(1)} m</Sourced>
            </b>{' '}
            of yarn, {told.skeins} {told.skeins === 1 ? 'skein' : 'skeins'};{' '}
            {told.foot === 'couching' ? 'the couching foot takes it' : 'guided by hand before the ruler foot'}
            .
          </p>
          {told.cautions.map((x) => (
            <p key={x.code}>
              <CautionLine caution={x} />
            </p>
          ))}
        </>
      )}
      <p className="mt-1">
        <CautionLine caution={safety('hands-near-needle', 'warn')} />
      </p>
    </section>
  );
}
