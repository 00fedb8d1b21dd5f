'use client';
import { predicted } from '@/core/source/known';
import { useEffect, useRef, useState } from 'react';
import { doors } from '@/actions/doors';
import { LAYOUT_LABEL, PREPARED } from '@/core/fields/quilt';
import type { Prepared } from '@/data/types';
import { type Backing, planBacking, planBinding } from '@/core/backing/backing';
import type { weightOf } from '@/core/backing/in-hand';
import { packSmall } from '@/core/backing/pack';
import { safety } from '@/core/cautions/cautions';
import { attempt } from '@/core/notes';
import { lengthText } from '@/core/units/length-text';
import type { Preferences } from '@/data/types';
import { DrawingSvg } from '@/ui/draw/Marks';
import { CautionLine } from '@/ui/kit/CautionLine';
import { fromForm, toForm } from '@/ui/kit/field-spec';
import { formFields } from '@/ui/kit/form-fields';
import { HeadRow } from '@/ui/kit/HeadRow';
import { Sourced } from '@/ui/kit/Sourced';
import { SpecFields, useSpecForm } from '@/ui/kit/SpecFields';
import { useAutosave } from '@/ui/kit/use-autosave';
import type { DrawnMap } from '@/ui/quilt-map/QuiltMap';
import { type BattingAtHand, BattingForWish } from './BattingForWish';
import { InHandLine } from './InHand';
import { PanelPart } from './PanelPart';
import { cuttingDiagram, packedDiagram } from './cutting';

const SELVAGE_IN = 0.5;
const BETWEEN_IN = 4;

const SPECS = formFields(PREPARED).filter((f) => f.name !== 'layout');
const STRIP = SPECS.filter((f) => f.name === 'stripIn');
const HERE = SPECS.filter((f) => f.name === 'battingHere' || f.name === 'backingHere');
const PANEL = SPECS.filter((f) => f.name === 'panel');
const FIELDS = SPECS.filter((f) => f.name !== 'stripIn' && f.name !== 'panel' && !HERE.includes(f));

interface Small {
  id: string;
  name: string;
  widthIn: number;
  lengthIn: number;
}

/** What is chosen for backing, binding and batting. */
type Choice = Omit<Prepared, 'version'>;

interface PrepareProps {
  quilt: Small;
  units: Preferences['units'];
  /** What was chosen before, or what the studio usually takes. */
  start: Choice;
  /** How often it was chosen anew; 0 while nothing is kept. */
  version: number;
  backing: string;
  batting: string;
  battingShrinkPct: number;
  /** What it will weigh dry and spun, and how long it dries. */
  weight: ReturnType<typeof weightOf>;
  frameIn: number;
  others: Small[];
  /** Battings at hand, for what pieces are called and for a wish. */
  battings: readonly BattingAtHand[];
  /** The quilt, to show joins on. */
  map: DrawnMap;
}
type Read = ReturnType<typeof fromForm>;

/** Keeps what is chosen as it is chosen; only what can be read is kept. */
function useKeptChoice(
  quiltId: string,
  version: number,
  read: Read,
  layout: Prepared['layout'],
  withQuilts: string[],
  show: (left: Choice) => void,
) {
  // What is kept, or is on its way; null once what was left here stands in the form.
  const kept = useRef<string | null>(JSON.stringify({ ...read, layout, withQuilts }));
  const { state, saver } = useAutosave<Choice>({
    draftKey: `prepared ${quiltId}`,
    version,
    send: ({ key, version: seen, body }) =>
      doors.keepPrepared({ key, quiltId: quiltId, version: seen, ...body }),
    beacon: ({ key, version: seen, body }) => [
      `/quilts/${quiltId}/prepare/keep`,
      JSON.stringify({ key, quiltId: quiltId, version: seen, ...body }),
    ],
    show: (left) => {
      kept.current = null;
      show(left);
    },
  });
  // Kept as it is chosen; only what can be read is.
  const chosenNow = JSON.stringify({ ...read, layout, withQuilts });
  const isReadable = SPECS.every(
    (f) => f.kind === 'yes' || f.kind === 'text' || typeof read[f.name] === 'number',
  );
  useEffect(() => {
    if (chosenNow === kept.current || !isReadable) return;
    // What was left here goes by itself.
    const isNew = kept.current !== null;
    kept.current = chosenNow;
    if (isNew) saver.put(JSON.parse(chosenNow) as Choice);
  }, [chosenNow, isReadable, saver]);
  return state;
}

/** What is chosen: the fields, the way the backing is cut, the small quilts that lie on it as well. */
function useChosen({ quilt, start, version }: PrepareProps) {
  const { form, values } = useSpecForm(SPECS, start);
  const read = fromForm(SPECS, values);
  const numberAt = (name: string): number | null =>
    typeof read[name] === 'number' && read[name] >= 0 ? read[name] : null;
  const [layout, setLayout] = useState(start.layout);
  const [withOthers, setWithOthers] = useState<string[]>(start.withQuilts);
  const state = useKeptChoice(quilt.id, version, read, layout, withOthers, (left) => {
    form.reset(toForm(SPECS, left));
    setLayout(left.layout);
    setWithOthers(left.withQuilts);
  });
  const [clothIn, marginIn, stripIn] = ['clothIn', 'marginIn', 'stripIn'].map((f) => numberAt(f));
  return {
    form,
    values,
    numberAt,
    layout,
    setLayout,
    withOthers,
    setWithOthers,
    state,
    clothIn: clothIn ?? null,
    marginIn: marginIn ?? 0,
    stripIn: stripIn ?? 0,
  };
}
type Chosen = ReturnType<typeof useChosen>;

/** The ways to cut the backing, or in words why there is none. */
const backingOf = (quilt: Small, { marginIn, clothIn, values, numberAt }: Chosen) =>
  attempt(() =>
    planBacking({
      quilt,
      marginIn,
      testMarginIn: numberAt('testMarginIn') ?? 0,
      cloth: {
        widthIn: clothIn ?? 0,
        selvageIn: SELVAGE_IN,
        shrinkagePct: values.prewash ? Math.min(30, numberAt('shrinkPct') ?? 0) : 0,
        stretch: values.stretch === true,
        nap: values.nap === true,
      },
    }),
  );

/** Backing, binding and batting: what to buy and how to cut it, worked out as it is typed. */
export function PrepareScreen(props: PrepareProps) {
  const { quilt, units, backing, others, battings } = props;
  const chosen = useChosen(props);
  const { form, values, layout, state, clothIn, stripIn } = chosen;
  const fields = FIELDS.map((f) => (f.name === 'clothIn' ? { ...f, label: `${backing}, width` } : f));
  const plan = backingOf(quilt, chosen);
  const smalls = [quilt, ...others.filter((o) => chosen.withOthers.includes(o.id))];
  const way =
    typeof plan === 'string' ? null : (plan.ways.find((w) => w.layout === layout) ?? plan.ways[0] ?? null);
  const length = (inches: number) => lengthText(inches, units);
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-4">
        <h2 className="flex-1 text-24">Backing, binding and batting</h2>
        <p role="status" className={'words' in state ? 'max-w-[480px] font-medium text-madder' : 'text-ink2'}>
          {'words' in state ? state.words : state.kind === 'keeping' ? 'saving …' : 'saved'}
        </p>
      </div>
      <SpecFields
        specs={fields}
        form={form}
        className="mt-2 grid grid-cols-2 gap-3 border-t-2 border-ink pt-3 md:grid-cols-4"
        problemAt={(f) => (f === 'clothIn' && !clothIn ? 'Give the width in inches.' : undefined)}
      />
      {typeof plan === 'string' ? (
        <p role="alert" className="mt-2 font-medium text-madder">
          {plan}
        </p>
      ) : (
        way && (
          <Ways
            plan={plan}
            chosen={way}
            pick={chosen.setLayout}
            length={length}
            quilt={quilt}
            clothIn={clothIn!}
          />
        )
      )}
      <div className="mt-6 grid gap-8 md:grid-cols-2">
        <BindingPart quilt={quilt} chosen={chosen} length={length} />
        <BattingPart {...props} marginIn={chosen.marginIn} length={length} />
      </div>
      <HerePart {...props} chosen={chosen} length={length} />
      {others.length > 0 && <SeveralPart {...props} smalls={smalls} chosen={chosen} length={length} />}
      <PanelPart
        field={<SpecFields specs={PANEL} form={form} className="mt-2 w-56" />}
        text={String(values.panel ?? '')}
        tops={smalls}
        stripIn={stripIn}
        length={length}
      />
      <BattingForWish battings={battings} length={length} />
      <p className="mt-4">
        <CautionLine caution={safety('fumes-fibres', 'note')} />
      </p>
    </>
  );
}

type Length = (inches: number) => string;

function BindingPart({
  quilt,
  chosen: { form, stripIn },
  length,
}: {
  quilt: Small;
  chosen: Chosen;
  length: Length;
}) {
  const binding = attempt(() => planBinding(quilt, { widthIn: 44 }, stripIn));
  return (
    <section aria-label="Binding">
      <h3 className="border-t-2 border-ink pt-2 text-20">Binding</h3>
      <SpecFields specs={STRIP} form={form} className="mt-2 w-40" />
      {typeof binding === 'string' ? (
        <p className="mt-2 font-medium text-madder">{binding}</p>
      ) : (
        <p className="mt-2">
          <b>
            <Sourced of={predicted(binding.strips)}>{binding.strips} strips</Sourced>
          </b>{' '}
          across 44 in fabric: {length(binding.buyIn)} of it.
        </p>
      )}
    </section>
  );
}

function BattingPart({
  quilt,
  batting,
  battingShrinkPct,
  weight,
  marginIn,
  length,
}: PrepareProps & { marginIn: number; length: Length }) {
  return (
    <section aria-label="Batting">
      <h3 className="border-t-2 border-ink pt-2 text-20">Batting</h3>
      <p className="mt-2">
        {batting}: cut{' '}
        <b>
          <Sourced of={predicted(null)}>
            {length(quilt.widthIn + 2 * marginIn)} by {length(quilt.lengthIn + 2 * marginIn)}
          </Sourced>
        </b>
        . It shrinks about {battingShrinkPct} % in the first wash.
      </p>
      <p className="mt-2 text-ink2">
        Quilted it weighs about {weight.dryKg.toFixed(1)} kg, {weight.wetKg.toFixed(1)} kg when spun after a
        wash; lying flat it dries in about {Math.round(weight.dryingH)} hours.
      </p>
    </section>
  );
}

function HerePart({
  quilt,
  batting,
  battings,
  map,
  chosen: { form, values, marginIn },
  length,
}: PrepareProps & { chosen: Chosen; length: Length }) {
  return (
    <section aria-label="What is here" className="mt-6">
      <h3 className="border-t-2 border-ink pt-2 text-20">What is here against what is needed</h3>
      <SpecFields specs={HERE} form={form} className="mt-2 grid gap-3 md:grid-cols-2" />
      <div className="mt-2 space-y-1" aria-live="polite">
        <InHandLine
          battings={battings}
          own={batting}
          map={map}
          what="batting"
          text={String(values.battingHere ?? '')}
          quilt={quilt}
          marginIn={marginIn}
          length={length}
        />
        <InHandLine
          what="backing"
          text={String(values.backingHere ?? '')}
          quilt={quilt}
          marginIn={marginIn}
          length={length}
        />
      </div>
    </section>
  );
}

/** Small quilts that lie on one backing, and how they are packed on it. */
function SeveralPart({
  others,
  frameIn,
  smalls,
  chosen: { clothIn, withOthers, setWithOthers },
  length,
}: PrepareProps & { smalls: readonly Small[]; chosen: Chosen; length: Length }) {
  const packed = attempt(() => packSmall(smalls, (clothIn ?? 0) - 2 * SELVAGE_IN, BETWEEN_IN));
  return (
    <section aria-label="Several on one backing" className="mt-6">
      <h3 className="border-t-2 border-ink pt-2 text-20">Several small quilts on this backing</h3>
      <div className="flex flex-wrap gap-x-6">
        {others.map((o) => (
          <label key={o.id} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-(--indigo)"
              checked={withOthers.includes(o.id)}
              onChange={(e) =>
                setWithOthers(e.target.checked ? [...withOthers, o.id] : withOthers.filter((x) => x !== o.id))
              }
            />
            {o.name}, {o.widthIn} × {o.lengthIn} in
          </label>
        ))}
      </div>
      {withOthers.length > 0 &&
        (typeof packed === 'string' ? (
          <p className="mt-2 font-medium text-madder">{packed.replace(/“.*?”/, 'One of them')}</p>
        ) : (
          <>
            <p className="mt-1">
              {length(packed.lengthIn)} of {clothIn} in fabric, {BETWEEN_IN} in between and round them,{' '}
              {Math.round(packed.wasteIn2)} in² left over.
              {clothIn! > frameIn && ' Wider than the frame: pin them in one row less.'}
            </p>
            <DrawingSvg
              drawing={packedDiagram({
                widthIn: clothIn! - 2 * SELVAGE_IN,
                lengthIn: packed.lengthIn,
                placed: packed.placed,
                nameOf: (id) => smalls.find((s) => s.id === id)!.name,
              })}
              className="mt-1 h-auto max-w-full"
              title={`${smalls.length} quilts on one backing: ${packed.placed.map((p) => smalls.find((s) => s.id === p.id)!.name).join(', then ')}`}
            />
          </>
        ))}
    </section>
  );
}

function Ways({
  plan,
  chosen,
  pick,
  length,
  quilt,
  clothIn,
}: {
  plan: Backing;
  chosen: Backing['ways'][number];
  pick: (layout: Backing['ways'][number]['layout']) => void;
  length: (inches: number) => string;
  quilt: Small;
  clothIn: number;
}) {
  return (
    <>
      <table className="mt-2 w-full border-t-2 border-ink">
        <HeadRow names={['Pick', 'Way', 'Pieces', 'Buy', 'Yards', 'Left over']} act={false} />
        <tbody>
          {plan.ways.map((w) => (
            <tr key={w.layout} className={`border-t ${w === chosen ? 'bg-indigo-tint' : ''}`}>
              <td className="w-11 py-1 pl-2">
                <input
                  type="radio"
                  name="way"
                  aria-label={LAYOUT_LABEL[w.layout]}
                  className="size-5 accent-(--indigo)"
                  checked={w === chosen}
                  onChange={() => pick(w.layout)}
                />
              </td>
              <td className="py-2 pr-3 font-semibold">{LAYOUT_LABEL[w.layout]}</td>
              <td className="pr-3">{w.panels}</td>
              <td className="pr-3">
                <Sourced of={predicted(w.buyIn)}>{length(w.buyIn)}</Sourced>
              </td>
              <td className="pr-3">{w.buyYd.toFixed(2)}</td>
              <td>{Math.round(w.wasteIn2)} in²</td>
            </tr>
          ))}
        </tbody>
      </table>
      <ul className="mt-1 space-y-1">
        {plan.cautions.map((c) => (
          <li key={c.code}>
            <CautionLine caution={c} />
          </li>
        ))}
      </ul>
      <DrawingSvg
        drawing={cuttingDiagram({
          way: chosen,
          clothIn,
          selvageIn: SELVAGE_IN,
          needed: plan.neededIn,
          quilt,
        })}
        className="mt-2 h-auto max-w-full"
        title={`Cutting: ${LAYOUT_LABEL[chosen.layout]}, ${chosen.panels} pieces of ${(chosen.buyIn / chosen.panels).toFixed(1)} in`}
      />
    </>
  );
}
