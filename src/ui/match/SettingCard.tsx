import type { ReactNode } from 'react';
import { MODE_LABEL, stitchesAMinute } from '@/core/stitch/machine';
import { needleName, POINT_LABEL } from '@/core/tables/needles';
import { FOOT_LABEL, FOOT_WHY } from '@/core/tables/techniques';
import { fibres } from '@/core/tables/fibres';
import type { TensionSchool } from '@/core/fields/lists';
import { tensionSaid, type TensionSaid } from '@/core/tension/said';
import type { Cone } from '@/data/types';
import { DropTest, dropOf } from '@/ui/kit/DropTest';
import { Term } from '@/ui/kit/Term';
import { Sourced } from '@/ui/kit/Sourced';
import type { Known } from '@/core/source/known';
import { ThreadSwatch } from '@/ui/kit/Swatch';
import type { Candidate } from './candidate';

const at = (place: string | null) => (place ? `, ${place}` : '');
const MODE_WHY = {
  idling: ({ setup, places }: Candidate) =>
    `idles at ${Math.round(setup.idleSpm)} a minute${at(places.idle)}`,
  resting: () => 'stops when you stop',
  manual: ({ setup, places }: Candidate) =>
    `needle at ${Math.round(stitchesAMinute(setup))} a minute${at(places.rate)}`,
};

/** The set-up of a zone, every number with the line that says where it comes from. */
export function SettingCard({
  candidate: c,
  shank,
  school,
}: {
  candidate: Candidate;
  shank: string;
  school: TensionSchool;
}) {
  const s = c.setup;
  const kind = c.known;
  const top = c.proven?.topGf ?? s.topGf;
  const bobbin = c.proven?.bobbinGf ?? s.bobbinGf;
  const topSaid = tensionSaid(school, 'top-dial', top, c.places.top);
  const bobbinSaid = tensionSaid(school, 'bobbin-turns', bobbin, c.places.bobbin);
  const beside = (said: TensionSaid) => at(said.beside || null);
  return (
    <section aria-label="Setting card" className="mt-2 border-t-2 border-ink">
      <div className="grid grid-cols-[1.3fr_1.3fr_1fr_0.9fr_0.9fr] divide-x border-b max-sm:grid-cols-2 max-sm:[&>*]:border-b max-sm:[&>*]:px-2">
        <Thread what="Top thread" cone={c.top} kind={kind} first />
        <Thread what="Bobbin thread" cone={c.bobbin} kind={kind} />
        <Part
          label="Needle"
          value={needleName(s.needle.nm)}
          kind={kind}
          under={`${POINT_LABEL[s.needle.point]}${s.needle.eye === 'large' ? ', large eye' : ''}`}
          title={shank}
        />
        <Part label="Foot" value={FOOT_LABEL[s.foot]} kind={kind} under={FOOT_WHY[s.foot]} />
        <Part label="Mode" value={MODE_LABEL[s.mode]} kind={kind} under={MODE_WHY[s.mode](c)} />
      </div>
      <div className="grid grid-cols-4 divide-x border-b max-sm:grid-cols-2 max-sm:[&>*]:px-2">
        <Big
          label="Stitch length"
          value={num(s.spi)}
          unit="spi"
          kind={kind}
          beside={`${s.stitchMm.toFixed(1)} mm`}
          first
        />
        <Big
          label="Sewing speed"
          value={s.handInPerS.toFixed(1)}
          unit="in/s"
          kind={c.limitKnown}
          beside={`machine can follow up to ${s.maxInPerS.toFixed(1)}`}
        />
        <Big
          label={c.proven ? 'Top tension' : 'Start top tension'}
          value={topSaid.big}
          unit={topSaid.unit}
          kind={c.tensionKnown}
          beside={
            (c.proven
              ? c.proven.words
              : c.turnedBack
                ? `test again: ${c.turnedBack}`
                : `${Math.round(c.topLowGf)} to ${Math.round(c.topHighGf)}${rounds(c)}`) + beside(topSaid)
          }
        />
        <Big
          label={c.proven ? 'Bobbin tension' : 'Start bobbin tension'}
          value={bobbinSaid.big}
          unit={bobbinSaid.unit}
          kind={c.tensionKnown}
          beside={(c.proven ? c.proven.over : 'set this first') + beside(bobbinSaid)}
        />
      </div>
      {dropOf(bobbinSaid.big) && <DropTest dropIn={dropOf(bobbinSaid.big)!} />}
    </section>
  );
}

const rounds = ({ guess: g }: Candidate) =>
  g
    ? `; from ${g.searches} ${g.searches === 1 ? 'search' : 'searches'}, likely ${g.roundsLow === g.roundsHigh ? g.roundsLow : `${g.roundsLow} to ${g.roundsHigh}`} ${g.roundsHigh === 1 ? 'round' : 'rounds'}`
    : '';
/** Labels that a beginner may not know, by their word in the glossary. */
const EXPLAINED: Readonly<Record<string, string>> = {
  'Stitch length': 'spi',
  'Start top tension': 'top tension',
  'Top tension': 'top tension',
  'Start bobbin tension': 'bobbin tension',
  'Bobbin tension': 'bobbin tension',
};
const num = (x: number) => String(Number(x < 20 ? x.toFixed(1) : x.toFixed(0)));
const cell = (first?: boolean) => `min-w-0 py-1.5 pr-2 ${first ? '' : 'pl-3.5'}`;

function Thread({
  what,
  cone,
  kind,
  first,
}: {
  what: string;
  cone: Cone;
  kind: Known<unknown>;
  first?: boolean;
}) {
  return (
    <div className={`${cell(first)} flex gap-2.5`}>
      <ThreadSwatch hex={cone.hex} width={38} height={54} />
      <div className="min-w-0">
        <p className="text-13 text-ink2">{what}</p>
        <p className="mt-0.5 text-[17px] font-semibold">
          <Sourced of={kind}>{cone.line}</Sourced>
        </p>
        <p className="mt-1 text-ink2">
          {cone.colour}, tex {num(cone.tex)}, {fibres.find(cone.fibre)?.label}
        </p>
      </div>
    </div>
  );
}

function Part({
  label,
  value,
  kind,
  under,
  title,
}: {
  label: string;
  value: ReactNode;
  kind: Known<unknown>;
  under: string;
  title?: string;
}) {
  return (
    <div className={cell()} title={title}>
      <p className="text-13 text-ink2">{label}</p>
      <p className="mt-0.5 text-[17px] font-semibold">
        <Sourced of={kind}>{value}</Sourced>
      </p>
      <p className="mt-1 text-ink2">{under}</p>
    </div>
  );
}

function Big({
  label,
  value,
  unit,
  kind,
  beside,
  first,
}: {
  label: string;
  value: ReactNode;
  unit: string;
  kind: Known<unknown>;
  beside: string;
  first?: boolean;
}) {
  return (
    <div className={cell(first)}>
      <p className="text-13 text-ink2">
        {EXPLAINED[label] ? <Term of={EXPLAINED[label]}>{label}</Term> : label}
      </p>
      <p className="mt-0.5 flex flex-wrap items-baseline gap-x-2">
        <span className="text-28 leading-none font-bold">
          <Sourced of={kind}>
            {value}
            <small className="ml-1 text-16 font-medium">{unit}</small>
          </Sourced>
        </span>
        <span className="text-ink2">{beside}</span>
      </p>
    </div>
  );
}
