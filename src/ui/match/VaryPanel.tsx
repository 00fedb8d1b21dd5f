'use client';
import { useState } from 'react';
import { attempt } from '@/core/notes';
import { chooseNeedle } from '@/core/needle/needle';
import { eyeRatio } from '@/core/needle/eye';
import type { Sandwich } from '@/core/sandwich/sandwich';
import { thicknessMm } from '@/core/sandwich/sandwich';
import { idleSpeedInPerS, type StitchMachine } from '@/core/stitch/machine';
import { radiusOf, regulate } from '@/core/stitch/regulate';
import { NEEDLE_SIZES } from '@/core/tables/needles';
import { techniques } from '@/core/tables/techniques';
import { knotDepth } from '@/core/tension/knot';
import { verdictAt, windowWidth } from '@/core/tension/probit';
import { inToMm, spiToMm } from '@/core/units/length';
import { DrawingSvg } from '@/ui/draw/Marks';
import { CautionLine } from '@/ui/kit/CautionLine';
import { needleGauge } from '@/ui/needle-gauge/needle-gauge';
import { sectionDrawing } from '@/ui/section-drawing/section';
import { speedRuler } from '@/ui/speed-ruler/speed-ruler';
import { facesAt } from '@/ui/test-strip/stitch-side';
import { VERDICT_LOOK } from '@/ui/test-strip/words';
import type { Candidate } from './candidate';
import { SaveSvg } from './SaveSvg';
import { stitchedLine } from './stitched-line';

export interface VaryZone {
  technique: string;
  spacingIn: number;
  smallestRadiusIn: number | null;
  sandwich: Sandwich;
}

interface VaryProps {
  candidate: Candidate;
  zone: VaryZone;
  machine: StitchMachine;
  colours: { top: string; bobbin: string; cloth: string; backing: string };
}

/** What the sliders stand at; they begin at the card. */
function useVaried({ candidate: c }: VaryProps) {
  const s = c.setup;
  const proven = c.proven ?? s;
  const [spi, setSpi] = useState(s.spi);
  const [hand, setHand] = useState(s.handInPerS);
  const [nm, setNm] = useState(s.needle.nm);
  const [topGf, setTopGf] = useState(Math.round(proven.topGf));
  const changed =
    spi !== s.spi || nm !== s.needle.nm || hand !== s.handInPerS || topGf !== Math.round(proven.topGf);
  const reset = () => {
    setSpi(s.spi);
    setHand(s.handInPerS);
    setNm(s.needle.nm);
    setTopGf(Math.round(proven.topGf));
  };
  return {
    spi,
    setSpi,
    hand,
    setHand,
    nm,
    setNm,
    topGf,
    setTopGf,
    bobbinGf: proven.bobbinGf,
    changed,
    reset,
  };
}
type Varied = ReturnType<typeof useVaried>;

/** What a set-up varied so would sew, and what is said of it. */
function toldOf(
  { candidate: c, zone, machine, colours }: VaryProps,
  { spi, hand, nm, topGf, bobbinGf }: Varied,
) {
  const s = c.setup;
  const t = techniques.get(zone.technique);
  const radius = radiusOf(t, zone.smallestRadiusIn ?? undefined, zone.spacingIn);
  const told = regulate({
    technique: t.id,
    smallestRadiusIn: zone.smallestRadiusIn ?? undefined,
    spacingIn: zone.spacingIn,
    spi,
    machine,
    handInPerS: hand,
    needleNm: nm,
    top: zone.sandwich.top.map((x) => x.fabric),
    modeRule: s.mode,
  });
  const ratio = c.proven ? c.proven.topGf / c.proven.bobbinGf : s.ratio;
  const z = Math.log(topGf / bobbinGf / ratio) / windowWidth(thicknessMm(zone.sandwich));
  const faces = facesAt(verdictAt(z));
  const needle = oneNeedle(c, zone, spi, nm);
  const section = sectionDrawing(
    { ...c.section, needleNm: nm, stitchMm: spiToMm(spi), knotDepth: knotDepth(z) },
    colours,
  );
  const eye = eyeRatio(c.top, nm, s.needle.eye);
  const line = stitchedLine(
    {
      stitchMm: spiToMm(spi),
      radiusMm: radius === null ? null : inToMm(radius),
      topThreadMm: c.section.topThreadMm,
      bobbinThreadMm: c.section.bobbinThreadMm,
      faces,
    },
    colours,
  );
  const cautions = [...needle, ...told.cautions].filter(
    (x, i, all) => all.findIndex((y) => y.code === x.code) === i,
  );
  return { told, z, section, line, eye, cautions };
}
type VariedTold = ReturnType<typeof toldOf>;

/** The drawings of a set-up, and sliders that move them: stitch length, hand speed, needle, tension. */
export function VaryPanel(props: VaryProps) {
  const varied = useVaried(props);
  const told = toldOf(props, varied);
  return (
    <section aria-label="Drawings" className="border-b pt-2 pb-2">
      <div className="grid gap-x-5 min-[1180px]:grid-cols-[540px_minmax(0,1fr)]">
        <StitchDrawings {...varied} {...told} />
        <div>
          <Gauges {...props} {...varied} {...told} />
          <Sliders {...varied} machine={props.machine} />
          <ul className="space-y-1" aria-live="polite">
            {varied.changed &&
              told.cautions.map((x) => (
                <li key={x.code}>
                  <CautionLine caution={x} />
                </li>
              ))}
          </ul>
          {varied.changed && (
            <button type="button" className="min-h-11 text-indigo hover:underline" onClick={varied.reset}>
              Back to the card
            </button>
          )}
        </div>
      </div>
    </section>
  );
}

/** The seam cut along, and the line as it would look. */
function StitchDrawings({ spi, nm, told, z, section, line }: Varied & VariedTold) {
  return (
    <div>
      <div className="flex items-center gap-x-3">
        <h3 className="text-[17px]">Section, to scale</h3>
        <span className="flex-1">knot {Math.round(knotDepth(z) * 100)} % down</span>
        <SaveSvg of="section" name="section" />
      </div>
      <DrawingSvg
        drawing={section}
        data="section"
        className="max-w-full"
        title={`Section along the seam: five stitches of ${spiToMm(spi).toFixed(1)} mm, needle ${(nm / 100).toFixed(2)} mm, interlock ${Math.round(knotDepth(z) * 100)} % down`}
      />
      <div className="mt-1 flex items-center gap-x-3">
        <h3 className="text-[17px]">The line, to scale</h3>
        <span className="flex-1 text-ink2">
          {VERDICT_LOOK[verdictAt(z)]}, curves {told.curve}
        </span>
        <SaveSvg of="line" name="stitched line" />
      </div>
      <DrawingSvg
        drawing={line}
        data="line"
        className="max-w-full"
        title={`The line as it would look: ${VERDICT_LOOK[verdictAt(z)].toLowerCase()}, curves ${told.curve}`}
      />
    </div>
  );
}

/** How fast it is against its limit, and the thread in the needle's eye. */
function Gauges({ candidate: c, colours, spi, hand, nm, told, eye }: VaryProps & Varied & VariedTold) {
  return (
    <>
      <div className="flex items-center">
        <h3 className="flex-1 text-[17px]">
          Speed ruler <span className="font-sans text-13 font-normal text-ink2">in/s</span>
        </h3>
        <SaveSvg of="speed" name="speed ruler" />
      </div>
      <DrawingSvg
        drawing={speedRuler({
          idleInPerS: told.mode === 'idling' ? idleSpeedInPerS(told.idleSpm, spi) : 0,
          handInPerS: hand,
          limitInPerS: told.maxInPerS,
        })}
        data="speed"
        className="max-w-full"
        title={`Speed: hand ${hand.toFixed(1)} in/s, limit ${told.maxInPerS.toFixed(1)} in/s`}
      />
      <div className="flex items-center">
        <h3 className="flex-1 text-[17px]">Needle gauge</h3>
        <SaveSvg of="needle" name="needle gauge" />
      </div>
      <DrawingSvg
        drawing={needleGauge({ nm, eye: c.setup.needle.eye, threadMm: c.topMm, ratio: eye }, colours.top)}
        data="needle"
        className="max-w-full"
        title={`Needle Nm ${nm}: thread fills ${eye.toFixed(2)} of the eye`}
      />
    </>
  );
}

function Sliders({
  machine,
  spi,
  setSpi,
  hand,
  setHand,
  nm,
  setNm,
  topGf,
  setTopGf,
  bobbinGf,
}: Varied & { machine: StitchMachine }) {
  return (
    <fieldset className="mt-2 border-t pt-1">
      <legend className="text-[17px] font-semibold">Vary</legend>
      <Slider
        label="Stitch length"
        value={spi}
        min={Math.ceil(machine.minSpi)}
        max={Math.floor(machine.maxSpi)}
        step={1}
        shown={`${spi} spi, ${spiToMm(spi).toFixed(1)} mm`}
        onChange={setSpi}
      />
      <Slider
        label="Sewing speed"
        value={hand}
        min={0.2}
        max={8}
        step={0.1}
        shown={`${hand.toFixed(1)} in/s`}
        onChange={setHand}
      />
      <Slider
        label="Needle"
        value={NEEDLE_SIZES.findIndex((x) => x.nm === nm)}
        min={0}
        max={NEEDLE_SIZES.length - 1}
        step={1}
        shown={`Nm ${nm}`}
        onChange={(i) => setNm(NEEDLE_SIZES[i]!.nm)}
      />
      <Slider
        label="Top tension"
        value={topGf}
        min={20}
        max={300}
        step={1}
        shown={`${topGf} g over ${Math.round(bobbinGf)}`}
        onChange={setTopGf}
      />
    </fieldset>
  );
}

function oneNeedle(c: Candidate, zone: VaryZone, spi: number, nm: number) {
  const needle = { thread: c.top, spi, sandwich: zone.sandwich, owned: [nm], eye: c.setup.needle.eye };
  const told = attempt(() => chooseNeedle(needle).cautions);
  return typeof told === 'string' ? [] : told;
}

function Slider(p: {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  shown: string;
  onChange: (n: number) => void;
}) {
  return (
    <label className="grid min-h-9 grid-cols-[96px_minmax(0,1fr)_136px] items-center gap-2">
      <span className="text-ink2">{p.label}</span>
      <input
        type="range"
        min={p.min}
        max={p.max}
        step={p.step}
        value={p.value}
        aria-label={p.label}
        aria-valuetext={p.shown}
        onChange={(e) => p.onChange(Number(e.target.value))}
        className="h-9 min-w-0 accent-(--indigo)"
      />
      <output className="text-right font-semibold">{p.shown}</output>
    </label>
  );
}
