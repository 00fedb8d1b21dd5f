'use client';
import { predicted } from '@/core/source/known';
import { useState } from 'react';
import { safety } from '@/core/cautions/cautions';
import { planCouching } from '@/core/couching/couching';
import { attempt } from '@/core/notes';
import { planRuler } from '@/core/ruler/ruler';
import { CautionLine } from '@/ui/kit/CautionLine';
import { TextField } from '@/ui/kit/Field';
import { numberOf } from '@/ui/kit/number-of';
import { Sourced } from '@/ui/kit/Sourced';

const positive = (text: string) => {
  const n = numberOf(text);
  return typeof n === 'number' && n > 0 ? n : null;
};
const inches = (n: number) => `${Number(n.toFixed(2))} in`;

/** Sums along a ruler: the radius sewn, where to stop, the depth of an arc, repeats along a border. */
export function RulerSums({ offsetIn }: { offsetIn: number }) {
  const [kind, setKind] = useState<'convex' | 'concave'>('convex');
  const [radius, setRadius] = useState('6');
  const [chord, setChord] = useState('4');
  const [length, setLength] = useState('60');
  const [repeat, setRepeat] = useState('8');
  const [r, c, l, p] = [radius, chord, length, repeat].map(positive);
  const arc = attempt(() =>
    planRuler({ offsetIn, ...(r ? { edge: { kind, radiusIn: r } } : {}), ...(c ? { chordIn: c } : {}) }),
  );
  const border = l && p ? planRuler({ offsetIn, repeat: { lengthIn: l, repeatIn: p } }) : null;
  return (
    <section aria-label="Along the ruler" className="mt-5 border-t-2 border-ink pt-2">
      <h3 className="text-[17px]">Along the ruler</h3>
      <div className="mt-1 grid grid-cols-2 gap-3 md:grid-cols-5">
        <label className="block">
          <span className="mb-1 block text-13 font-medium text-ink2">Edge</span>
          <select
            className="min-h-11 w-full rounded border border-rule bg-cloth px-2"
            value={kind}
            onChange={(e) => setKind(e.target.value as typeof kind)}
          >
            <option value="convex">outside of a curve</option>
            <option value="concave">inside of a curve</option>
          </select>
        </label>
        <TextField
          id="ruler-radius"
          label="Its radius"
          hint="in"
          inputMode="decimal"
          value={radius}
          onChange={(e) => setRadius(e.target.value)}
        />
        <TextField
          id="ruler-chord"
          label="Arc from point to point"
          hint="in"
          inputMode="decimal"
          value={chord}
          onChange={(e) => setChord(e.target.value)}
        />
        <TextField
          id="ruler-length"
          label="Border"
          hint="in"
          inputMode="decimal"
          value={length}
          onChange={(e) => setLength(e.target.value)}
        />
        <TextField
          id="ruler-repeat"
          label="Repeat"
          hint="in"
          inputMode="decimal"
          value={repeat}
          onChange={(e) => setRepeat(e.target.value)}
        />
      </div>
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
  const [yarn, setYarn] = useState('2.5');
  const [skein, setSkein] = useState('60');
  const [starts, setStarts] = useState('4');
  const [path, setPath] = useState(String(Math.round(pathIn)));
  const [y, s, p] = [yarn, skein, path].map(positive);
  const n = numberOf(starts);
  const told =
    y && s && p && typeof n === 'number' && n >= 0
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
      <div className="mt-1 grid grid-cols-2 gap-3 md:grid-cols-4">
        <TextField
          id="yarn-mm"
          label="Yarn, thick"
          hint="mm"
          inputMode="decimal"
          value={yarn}
          onChange={(e) => setYarn(e.target.value)}
        />
        <TextField
          id="yarn-skein"
          label="A skein"
          hint="m"
          inputMode="decimal"
          value={skein}
          onChange={(e) => setSkein(e.target.value)}
        />
        <TextField
          id="yarn-path"
          label="Path"
          hint="in"
          inputMode="decimal"
          value={path}
          onChange={(e) => setPath(e.target.value)}
        />
        <TextField
          id="yarn-starts"
          label="Starts"
          inputMode="numeric"
          value={starts}
          onChange={(e) => setStarts(e.target.value)}
        />
      </div>
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
