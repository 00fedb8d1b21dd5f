import { coneName } from '@/actions/zone-brief';
import type { readPlan } from '@/actions/plan';
import type { QuiltView } from '@/actions/quilt-view';
import { placeOn, type Scales } from '@/core/machine/scales';
import { rollPassByPass } from '@/core/stand/roll';
import { type StandStep } from '@/core/stand/state';
import { rolledMm } from '@/core/plan/work-plan';
import { MODE_LABEL } from '@/core/stitch/machine';
import { usSize } from '@/core/tables/needles';
import { FOOT_LABEL, techniques } from '@/core/tables/techniques';
import { bobbinCapacityM } from '@/core/usage/usage';
import { cardFacts } from '@/ui/print/card-facts';

/** A step with everything its screen says. */
export interface ShownStep extends StandStep {
  letters: string[];
  zones: string[];
  threadName: string;
  hex: string | null;
  bobbinName: string;
  bobbinId: string;
  /** Metres the bobbin of this step holds when full. */
  capacityM: number;
  needle: string;
  needleNm: number;
  needleEye: string;
  needlePoint: string;
  foot: string;
  work: string;
  mode: string;
  spi: number;
  handInPerS: number;
  maxInPerS: number;
  topGf: string;
  bobbinGf: string;
  topPlace: string | null;
  proven: boolean;
  besideRuler: boolean;
  idling: boolean;
  stitchesPerMin: number;
}

/** The steps of a quilt as the Stand shows them. */
export function shownSteps(
  view: QuiltView,
  read: Awaited<ReturnType<typeof readPlan>>,
  scales: Scales,
): ShownStep[] {
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  const zones = new Map(view.zones.map((z) => [z.id, z]));
  return read.steps.flatMap((s): ShownStep[] => {
    const first = s.zones[0] && zones.get(s.zones[0].id);
    const setup = first && view.setups.get(first.id);
    const top = setup && cones.get(setup.topId);
    const bobbin = setup && cones.get(setup.bobbinId);
    if (!first || !setup || !top || !bobbin) return [];
    const of = (what: 'stitches' | 'bobbinM' | 'topM') =>
      s.zones.reduce(
        (sum, z) => sum + (read.plan.zones.find((p) => p.id === z.id)?.[what] ?? 0) * z.share,
        0,
      );
    const card = cardFacts(setup, first, view.quilt, read.machine, cones, scales);
    const t = techniques.get(first.technique);
    const hand = setup.handInPerS ?? Math.min(t.handInPerS, setup.maxInPerS);
    return [
      {
        pass: s.pass,
        thread: s.thread,
        stabilise: s.stabilise,
        minutes: s.minutes,
        stitches: of('stitches'),
        bobbinM: of('bobbinM'),
        topM: of('topM'),
        letters: s.zones.map((z) => z.letter),
        zones: s.zones.map((z) => zones.get(z.id)?.name ?? ''),
        threadName: coneName(top),
        hex: top.hex,
        bobbinName: coneName(bobbin),
        bobbinId: bobbin.id,
        capacityM: bobbinCapacityM(read.request.bobbinMm, bobbin),
        needle: `Nm ${setup.needleNm} / US ${usSize(setup.needleNm)}`,
        needleNm: setup.needleNm,
        needleEye: setup.needleEye,
        needlePoint: setup.needlePoint,
        foot: FOOT_LABEL[setup.foot],
        work: card.work,
        mode: MODE_LABEL[setup.mode],
        spi: setup.spi,
        handInPerS: hand,
        maxInPerS: setup.maxInPerS,
        topGf: card.topGf,
        bobbinGf: card.bobbinGf,
        topPlace: placeOn(scales, 'top-dial', Number(card.topGf)),
        proven: card.proven,
        besideRuler: t.besideRuler,
        idling: setup.mode === 'idling',
        stitchesPerMin: hand * setup.spi * 60,
      },
    ];
  });
}

/** Before which passes the rail is to be raised. */
export const raiseBefore = (view: QuiltView, read: Awaited<ReturnType<typeof readPlan>>): number[] =>
  read.plan.passes
    ? rollPassByPass(
        read.request.frame.rollStartIn,
        rolledMm(view.quilt.battingKind, view.quilt.backingKind),
        read.plan.passes.depthsIn,
      )
        .filter((r) => r.raise)
        .map((r) => r.pass)
    : [];
