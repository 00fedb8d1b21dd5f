'use client';
import { sizeKnown } from '@/core/shelf/known';
import { useMemo, useState } from 'react';
import { eyeRatio } from '@/core/needle/eye';
import { compareThreads, threadFacts } from '@/core/shelf/compare';
import { type Eye, EYES, NEEDLE_SIZES } from '@/core/tables/needles';
import { diameterMm } from '@/core/thread/thread';
import type { Cone } from '@/data/types';
import { CLEAR } from '@/ui/draw/colour';
import { DrawingSvg } from '@/ui/draw/Marks';
import { ButtonLink } from '@/ui/kit/Button';
import { SourceKey, Sourced } from '@/ui/kit/Sourced';
import { ThreadSwatch } from '@/ui/kit/Swatch';
import { eyeWord } from '@/ui/needle-gauge/needle-gauge';
import { magnifier } from './magnifier';

const WORD_TONE = {
  roomy: 'text-weld-text',
  clear: 'text-verdigris',
  snug: 'text-weld-text',
  rubs: 'text-madder',
} as const;
const times = (x: number) => (x < 1.05 ? 'about as' : `${x.toFixed(1)} times as`);

/** Two to six cones side by side, to scale, with the eye of the needle chosen. */
export function CompareScreen({ cones }: { cones: (Cone & { name: string })[] }) {
  const [size, setSize] = useState(NEEDLE_SIZES.findIndex((s) => s.nm === 100));
  const [eye, setEye] = useState<Eye>('standard');
  const { nm, us } = NEEDLE_SIZES[size]!;
  const facts = useMemo(() => cones.map((c) => ({ cone: c, ...threadFacts(c) })), [cones]);
  const said = useMemo(() => compareThreads(cones), [cones]);
  const drawing = magnifier(
    cones.map((c) => ({ name: c.name, hex: c.hex ?? CLEAR, mm: diameterMm(c), ratio: eyeRatio(c, nm, eye) })),
    { nm, eye },
  );
  const rows: readonly (readonly [string, (f: (typeof facts)[number]) => React.ReactNode])[] = [
    ['tex', (f) => <Sourced of={sizeKnown(f.cone)}>{Number(f.tex.toFixed(1))}</Sourced>],
    ['dtex', (f) => f.dtex.toFixed(0)],
    ['denier', (f) => f.den.toFixed(0)],
    ['Ne', (f) => f.ne.toFixed(1)],
    ['Nm', (f) => f.nm.toFixed(1)],
    ['wt', (f) => f.wt.toFixed(0)],
    ['ticket', (f) => f.ticket.toFixed(0)],
    ['Thickness', (f) => `${f.diameterMm.toFixed(3)} mm`],
    ['Breaks at', (f) => `${Math.round(f.breakGf)} g`],
    ['In a stitch’s loop', (f) => `${Math.round(f.loopGf)} g`],
    ['Lint', (f) => ['none', 'a little', 'some', 'much'][f.lint]],
    ['Sheen', (f) => f.cone.sheen ?? 'not said'],
    ['Heat and wash', (f) => f.heat || 'nothing special'],
    [
      'Best needle',
      (f) =>
        f.bestNeedle
          ? `Nm ${f.bestNeedle.nm} / US ${f.bestNeedle.us}${f.eye === 'large' ? ', large eye' : ''}`
          : 'none suits',
    ],
    [
      `In Nm ${nm}`,
      (f) => {
        const word = eyeWord(eyeRatio(f.cone, nm, eye));
        return <span className={`font-semibold ${WORD_TONE[word]}`}>{word}</span>;
      },
    ],
    [
      'For piecing',
      (f) => {
        const p = said.piecing.find((x) => x.id === f.cone.id)!;
        return (
          <>
            <b className={p.fits ? 'text-verdigris' : 'text-madder'}>{p.fits ? 'yes' : 'no'}</b>, {p.why}
          </>
        );
      },
    ],
  ];
  const name = (id: string) => cones.find((c) => c.id === id)!.name;
  return (
    <div className="px-6 pt-4 pb-8">
      <div className="flex flex-wrap items-center gap-4">
        <h1 className="flex-1 text-24">Compare threads</h1>
        <ButtonLink look="quiet" href="/shelf">
          Back to the shelf
        </ButtonLink>
      </div>
      <p className="mt-2 max-w-[900px] border-t-2 border-ink pt-2 text-[17px]">
        {said.timesAsThick < 1.05
          ? 'They are about equally thick. '
          : `${name(said.thickest.id)} is the thickest, ${times(said.timesAsThick)} thick as ${name(said.thinnest.id)}. `}
        {name(said.strongest.id)} is the strongest, {times(said.timesAsStrong)} strong as the weakest.{' '}
        {!said.thickerIsStronger && 'The thickest is not the strongest: fibre decides.'}
      </p>
      <div className="mt-3 flex flex-wrap items-center gap-x-6 gap-y-2 border-y py-2">
        <label className="flex items-center gap-3">
          Needle
          <input
            type="range"
            min={0}
            max={NEEDLE_SIZES.length - 1}
            value={size}
            onChange={(e) => setSize(Number(e.target.value))}
            aria-valuetext={`Nm ${nm}, US ${us}`}
            className="h-11 w-64 accent-(--indigo)"
          />
          <output className="w-32 text-20 font-bold">
            Nm {nm} <span className="text-15 font-normal text-ink2">/ {us}</span>
          </output>
        </label>
        <span role="radiogroup" aria-label="Eye" className="flex gap-4">
          {EYES.map((e) => (
            <label key={e} className="flex min-h-11 items-center gap-2">
              <input
                type="radio"
                name="eye"
                className="size-5 accent-(--indigo)"
                checked={eye === e}
                onChange={() => setEye(e)}
              />
              {e} eye
            </label>
          ))}
        </span>
      </div>
      <div className="mt-2 grid gap-x-8 gap-y-4 xl:grid-cols-[620px_minmax(0,1fr)]">
        <DrawingSvg
          drawing={drawing}
          className="h-auto max-w-full"
          title={`${cones.length} threads and the eye of a Nm ${nm} needle, at one scale`}
        />
        <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Side by side">
          <table className="w-full">
            <thead>
              <tr className="align-bottom">
                <td />
                {cones.map((c) => (
                  <th key={c.id} className="min-w-[104px] px-2 pb-2 text-left leading-tight font-semibold">
                    <ThreadSwatch hex={c.hex} width={40} height={22} />
                    {c.name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map(([label, cell]) => (
                <tr key={label} className="border-t align-top">
                  <th scope="row" className="py-1 pr-3 text-left font-normal whitespace-nowrap text-ink2">
                    {label}
                  </th>
                  {facts.map((f) => (
                    <td key={f.cone.id} className="px-2 py-1">
                      {cell(f)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </div>
      <SourceKey className="mt-4" />
    </div>
  );
}
