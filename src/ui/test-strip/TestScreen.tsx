'use client';
import { type MeasuredScale, scalesOf } from '@/core/machine/scales';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';
import { useMemo, useState } from 'react';
import type { Search } from '@/core/tension/search';
import type { Preferences, TestRound, ChosenSetup, Quilt, Zone } from '@/data/types';
import type { Drawing } from '@/ui/draw/mark';
import { DrawingSvg } from '@/ui/draw/Marks';
import type { Cure } from '@/data/types';
import type { CureCount } from './CureList';
import { TestStrip } from './TestStrip';
import { NextTest } from './NextTest';
import { RoundForm } from './RoundForm';

const RoundDialog = dynamic(() => patiently(() => import('./RoundDialog')).then((m) => m.RoundDialog));

/** The test page of one zone: the strip so far, how the search narrows, and the one thing to do next. */
export function TestScreen({
  quilt,
  zone,
  setup,
  search,
  ladder,
  measured,
  school = 'both',
  colours,
  thicknessMm,
  twins = [],
  cures = [],
  cureCounts = [],
}: {
  quilt: Pick<Quilt, 'id' | 'name'>;
  zone: Pick<Zone, 'id' | 'name' | 'letter'>;
  setup: ChosenSetup;
  search: Search<TestRound>;
  /** The search drawn, by the server: its scales need not travel. */
  ladder: Drawing;
  /** What was measured on the quilt's machine. */
  measured: readonly MeasuredScale[];
  /** By gauge, by dial and eye, or both. */
  school?: Preferences['tensionSchool'];
  colours: { top: string; bobbin: string; cloth: string; backing: string };
  thicknessMm: number;
  /** Zones not tested yet that sew alike: one test serves them too. */
  twins?: readonly Pick<Zone, 'id' | 'letter' | 'name'>[];
  /** Quick cures tried with this set-up, and how each fared in this studio. */
  cures?: readonly Cure[];
  cureCounts?: readonly CureCount[];
}) {
  const { rounds, next, bands, chance } = search;
  const n = rounds.length + 1;
  const [again, setAgain] = useState(setup.turnedBack !== null);
  const [opened, setOpened] = useState<TestRound | null>(null);
  const scales = useMemo(() => scalesOf(measured), [measured]);
  const open = !next.done || again;

  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-3.5">
        <h2 className="text-24">Test strip, {zone.name}</h2>
        <p className="text-ink2">top above, back below; threads drawn thicker than they are</p>
      </div>
      <TestStrip
        rounds={rounds}
        next={{ ...next, done: next.done && setup.turnedBack === null, chance }}
        {...colours}
        onOpen={setOpened}
      />
      {opened && (
        <RoundDialog
          round={opened}
          rounds={rounds}
          colours={colours}
          quiltId={quilt.id}
          zoneId={zone.id}
          onClose={() => setOpened(null)}
        />
      )}
      <NextTest
        quiltId={quilt.id}
        zoneId={zone.id}
        setup={setup}
        search={search}
        scales={scales}
        school={school}
        cures={cures}
        cureCounts={cureCounts}
        again={again}
        onAgain={() => setAgain(true)}
      />
      <div className="mt-2 grid gap-x-6 gap-y-4 min-[1000px]:grid-cols-[minmax(0,1fr)_300px]">
        <div className="min-w-0">
          {open && (
            <RoundForm
              key={n}
              quilt={quilt}
              zone={zone}
              setup={setup}
              next={next}
              n={n}
              colours={colours}
              thicknessMm={thicknessMm}
              twins={twins}
            />
          )}
        </div>
        <div>
          <h3 className="text-[17px]">
            Tension ladder{' '}
            <span className="font-sans text-13 font-normal text-ink2">band 8 in 10, hatched 1 in 2</span>
          </h3>
          <DrawingSvg
            drawing={ladder}
            className="max-w-full"
            title={`Top tension: likely between ${Math.round(bands.at(-1)!.low80)} and ${Math.round(bands.at(-1)!.high80)} g; next ${Math.round(next.topGf)} g`}
          />
        </div>
      </div>
    </>
  );
}
