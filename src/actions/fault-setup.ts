import type { Settings } from '@/core/log/entry';
import { likelySigns } from '@/core/faults/likely-signs';
import { setupFactsOf } from '@/core/faults/setup-facts';
import { flaws } from '@/core/tables/symptoms';
import { techniques } from '@/core/tables/techniques';
import { readAirLately } from '@/data/air';
import { readNotedLately } from '@/data/faults';
import { readFittedIn } from '@/data/needles';
import type { Sql } from '@/data/sql';
import type { Fault } from '@/data/types';
import { readCareOf } from './care';
import { keptCauses } from './kept-causes';
import { handSpeedOf } from './plan';
import type { QuiltView } from './quilt-view';
import { coneName } from './zone-brief';

/** What was really on the machine in a zone, where it is known to differ from the card. */
export interface SewnWith {
  zoneId: string;
  settings: Settings;
  needleNm: number | null;
}

/**
 * What stands on the machine in a zone, from its card, what was set otherwise at the machine, and the needle that is in,
 * as the fault knowledge names it. @param stitches of the step in hand that the needle has sewn besides what is booked.
 */
export async function faultSetup(
  sql: Sql,
  view: QuiltView,
  zoneId: string | null,
  sewnWith?: SewnWith,
  stitches = 0,
): Promise<Fault['known']> {
  const card = cardOf(view, zoneId);
  if (!card) return {};
  const { zone, setup } = card;
  const own = sewnWith?.settings ?? {};
  const top = (own.topId && view.shelf.find((c) => c.id === own.topId)) || card.top;
  const fitted = await readFittedIn(sql, view.quilt.machineId);
  const t = techniques.get(zone.technique);
  const [care, air] = await Promise.all([
    readCareOf(sql, view.quilt.machineId, new Date()),
    readAirLately(sql, view.quilt.machineId, new Date()),
  ]);
  return setupFactsOf({
    hoursSinceCleaning: care?.hoursSinceCleaning,
    hoursSinceOiling: care?.hoursSinceOiling,
    humidityPct: air?.humidityPct,
    needleStitches: fitted ? fitted.stitches + stitches : null,
    needleNm: sewnWith?.needleNm ?? setup.needleNm,
    eye: setup.needleEye,
    tex: top.tex,
    fibre: top.fibre,
    topFabric: [...zone.fabrics].sort((a, b) => b.share - a.share)[0]?.kind ?? null,
    features: zone.features,
    battingId: view.quilt.battingKind,
    backing: view.quilt.backingKind,
    handInPerS: own.handInPerS ?? handSpeedOf(setup, zone.technique),
    maxInPerS: setup.maxInPerS,
    mode: setup.mode,
    spi: own.spi ?? setup.spi,
    topGf: own.topGf ?? setup.provenTopGf ?? setup.topGf,
    startTopGf: setup.topGf,
    bobbinGf: own.bobbinGf ?? setup.provenBobbinGf ?? setup.bobbinGf,
    startBobbinGf: setup.bobbinGf,
    besideRuler: t.besideRuler,
    foot: own.foot ?? setup.foot,
  });
}

function cardOf(view: QuiltView, zoneId: string | null) {
  const zone = view.zones.find((z) => z.id === zoneId);
  const setup = zone && view.setups.get(zone.id);
  const top = setup && view.shelf.find((c) => c.id === setup.topId);
  return zone && setup && top ? { zone, setup, top } : null;
}

/** What is on the machine in a zone, in words; nothing where no card is chosen. */
export async function knownWords(sql: Sql, view: QuiltView, zoneId: string | null): Promise<string> {
  const card = cardOf(view, zoneId);
  if (!card) return '';
  const { setup, top } = card;
  const fitted = await readFittedIn(sql, view.quilt.machineId);
  return [
    `${coneName(top)} above`,
    `${Math.round(setup.provenTopGf ?? setup.topGf)} / ${Math.round(setup.provenBobbinGf ?? setup.bobbinGf)} g`,
    fitted
      ? `needle Nm ${fitted.nm} after ${Math.round(fitted.stitches / 100) / 10} thousand stitches`
      : `needle Nm ${setup.needleNm}`,
    ...(setup.handInPerS ? [`hands ${setup.handInPerS.toFixed(1)} in/s`] : []),
  ].join(', ');
}

/** The signs that are likeliest in a zone of this studio, the likeliest first. */
export async function likelyHere(sql: Sql, view: QuiltView, zoneId: string | null): Promise<string[]> {
  const [setup, { book }, noted] = await Promise.all([
    faultSetup(sql, view, zoneId),
    keptCauses(sql),
    readNotedLately(sql),
  ]);
  return [...likelySigns(setup, book, noted).map((s) => s.id), ...flaws.ids];
}
