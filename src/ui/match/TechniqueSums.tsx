'use client';
import { predicted } from '@/core/source/known';
import { safety } from '@/core/cautions/cautions';
import { planCouching, type SkeinEnds, skeinEnds } from '@/core/couching/couching';
import { attempt } from '@/core/notes';
import { planRuler } from '@/core/ruler/ruler';
import { CautionLine } from '@/ui/kit/CautionLine';
import type { Zone } from '@/data/types';
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
  { name: 'skeins', label: 'Skeins here', kind: 'number' },
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
  yarn = null,
  blocks = [1],
}: {
  holeMm: number | null;
  pathIn: number;
  gapIn: number;
  radiusIn: number;
  /** The yarn picked for the zone. */
  yarn?: Zone['yarn'];
  /** Share of the path in each block, in the order they are sewn. */
  blocks?: readonly number[];
}) {
  const { form, numberAt } = useSpecForm(YARN, {
    yarn: yarn?.diameterMm ?? 2.5,
    skein: yarn?.skeinM ?? 60,
    skeins: yarn?.skeins ?? 1,
    path: Math.round(pathIn),
    starts: Math.max(4, blocks.length),
  });
  const here = numberAt('skeins');
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
  const ends =
    told && s && p && n !== null && here !== null
      ? skeinEnds(
          blocks.map((share) => ({ pathIn: p * share, starts: n / blocks.length })),
          s,
          here,
        )
      : null;
  return (
    <section aria-label="Yarn" className="mt-5 border-t-2 border-ink pt-2">
      <h3 className="text-[17px]">{yarn ? `Yarn, ${yarn.name}` : 'Yarn'}</h3>
      <SpecFields specs={YARN} form={form} className="mt-1 grid grid-cols-2 gap-3 md:grid-cols-5" />
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
          {ends && <SkeinWords ends={ends} />}
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

const MOST_NAMED = 4;

/** Metres to the block, and the blocks in which a skein ends. */
function SkeinWords({ ends }: { ends: SkeinEnds }) {
  const { blocksM } = ends;
  const [least, most] = [Math.min(...blocksM), Math.max(...blocksM)];
  const named = ends.ends.slice(0, MOST_NAMED);
  return (
    <p className="mt-1">
      {blocksM.length > 1 && (
        <>
          A block takes{' '}
          {most - least < 0.1 ? `${most.toFixed(1)} m` : `${least.toFixed(1)} to ${most.toFixed(1)} m`}.{' '}
        </>
      )}
      {named.map((e) => (
        <span key={e.skein}>
          {blocksM.length > 1
            ? `Skein ${e.skein} ends in block ${e.block}, ${Math.round(e.share * 100)} % through. `
            : `Skein ${e.skein} ends ${Math.round(e.share * 100)} % through. `}
        </span>
      ))}
      {ends.ends.length > named.length && `${ends.ends.length - named.length} more end on the way. `}
      {ends.lackingM > 0 && (
        <b className="text-weld-text">
          {ends.lackingM.toFixed(1)} m are lacking: have it to hand before you begin.
        </b>
      )}
    </p>
  );
}
