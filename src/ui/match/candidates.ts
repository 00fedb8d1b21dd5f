import { format } from 'date-fns';
import { guessOf, type StudioTension } from '@/actions/searches';
import { sandwichOf } from '@/actions/zone-brief';
import { standingSafety } from '@/core/match/safety';
import type { MatchResult, Setup } from '@/core/match/setup';
import { eyeRatio } from '@/core/needle/eye';
import { flexIndex } from '@/core/needle/flex';
import { firmness, layersMm, type Sandwich, thicknessMm } from '@/core/sandwich/sandwich';
import { curveFacts } from '@/core/stitch/curve';
import { placeOn, type Scales } from '@/core/machine/scales';
import { idleSpeedInPerS, stitchesAMinute } from '@/core/stitch/machine';
import { radiusOf } from '@/core/stitch/regulate';
import { battings } from '@/core/tables/battings';
import { usSize } from '@/core/tables/needles';
import { techniques } from '@/core/tables/techniques';
import { knotDepth } from '@/core/tension/knot';
import { windowWidth } from '@/core/tension/probit';
import * as known from '@/core/source/known';
import { Z80 } from '@/core/statistics/normal';
import { diameterMm } from '@/core/thread/thread';
import { spiToMm } from '@/core/units/length';
import type { ChosenSetup, Cone, Quilt, Zone } from '@/data/types';
import type { Candidate } from './candidate';
import { whyRows } from './why-rows';

/** The best and three runners-up. */
const SHOWN = 4;

interface Found {
  found: MatchResult;
  standing: ChosenSetup | undefined;
  /** The standing pair weighed today; none when it no longer suits. */
  fresh: Setup | undefined;
  zone: Zone;
  quilt: Quilt;
  shelf: readonly Cone[];
  /** What was measured on the quilt's machine. */
  scales: Scales;
  /** What the studio's finished searches say. */
  tension: StudioTension;
}

/** The best set-up and its runners-up for the page; a card that stands is always among them, as it was stored. */
export function candidatesOf({
  found,
  standing,
  fresh,
  zone,
  quilt,
  shelf,
  scales,
  tension,
}: Found): Candidate[] {
  const cones = new Map(shelf.map((c) => [c.id, c]));
  const sandwich = sandwichOf(zone, quilt);
  const setups = found.setups.slice(0, SHOWN);
  if (standing) {
    const stored = asStored(standing, fresh, zone, sandwich, cones);
    const at = setups.findIndex((s) => s.topId === standing.topId && s.bobbinId === standing.bobbinId);
    if (at >= 0) setups[at] = stored ?? setups[at]!;
    else if (stored) setups.splice(Math.min(SHOWN - 1, setups.length), 1, stored);
  }
  return setups.flatMap((setup) => {
    const top = cones.get(setup.topId);
    const bobbin = cones.get(setup.bobbinId);
    return top && bobbin ? [describe(setup, top, bobbin, standing, sandwich, quilt, scales, tension)] : [];
  });
}

/** A stored card as a set-up: its own numbers, with today's reasons while the pair still suits. */
function asStored(
  s: ChosenSetup,
  fresh: Setup | undefined,
  zone: Zone,
  sandwich: Sandwich,
  cones: ReadonlyMap<string, Cone>,
): Setup | null {
  const top = cones.get(s.topId);
  if (!top || !cones.has(s.bobbinId)) return null;
  const t = techniques.get(zone.technique);
  return {
    ...(fresh ?? {
      reasons: [],
      cautions: [],
      safety: standingSafety(t, s.mode),
      parts: {},
      total: 0,
      score: 0,
      topM: null,
      bobbinM: null,
    }),
    topId: s.topId,
    bobbinId: s.bobbinId,
    needle: { nm: s.needleNm, us: usSize(s.needleNm), eye: s.needleEye, point: s.needlePoint },
    foot: s.foot,
    spi: s.spi,
    stitchMm: spiToMm(s.spi),
    mode: s.mode,
    idleSpm: s.idleSpm,
    maxInPerS: s.maxInPerS,
    handInPerS: s.handInPerS ?? Math.min(t.handInPerS, s.maxInPerS),
    curve: curveFacts(radiusOf(t, zone.smallestRadiusIn ?? undefined, zone.spacingIn), s.spi).curve,
    topGf: s.topGf,
    bobbinGf: s.bobbinGf,
    ratio: s.ratio,
    ratioSd: s.ratioSd,
    ratioModel: s.ratioModel ?? s.ratio,
    eyeRatio: eyeRatio(top, s.needleNm, s.needleEye),
    flexIndex: flexIndex(s.needleNm, s.spi, firmness(sandwich)),
  };
}

/** When a card was proven, after how many tests, and over which layers. */
function provenWords({ provenAt, rounds, restedOn }: ChosenSetup) {
  const names = restedOn && [
    ...restedOn.cloths.map((c) => c.name),
    restedOn.batting.name,
    restedOn.backing.name,
  ];
  return {
    words: `balanced ${format(provenAt!, 'd MMM')}, ${rounds} ${rounds === 1 ? 'test' : 'tests'}`,
    over: names ? `over ${[...new Set(names)].join(', ')}` : 'balanced on the strip',
  };
}

/** What a test proved of a standing set-up; null while nothing did. */
const provenOf = (standing: ChosenSetup) =>
  standing.provenTopGf !== null && standing.provenBobbinGf !== null
    ? { topGf: standing.provenTopGf, bobbinGf: standing.provenBobbinGf, ...provenWords(standing) }
    : null;

function describe(
  setup: Setup,
  top: Cone,
  bobbin: Cone,
  standing: ChosenSetup | undefined,
  sandwich: Sandwich,
  quilt: Quilt,
  scales: Scales,
  tension: StudioTension,
): Candidate {
  const layers = layersMm(sandwich);
  const isStanding = standing?.topId === setup.topId && standing.bobbinId === setup.bobbinId;
  const proven = isStanding ? provenOf(standing) : null;
  const now = proven ?? setup;
  // A card chosen before anything was learned rests on the models alone.
  const taught = Math.abs(setup.ratio / setup.ratioModel - 1) > 1e-9;
  const guess = guessOf(tension, {
    machineId: quilt.machineId,
    battingId: quilt.battingId,
    topId: top.id,
    bobbinId: bobbin.id,
    needleNm: setup.needle.nm,
  });
  // A proven setting balances; before that the guess is compared with the ratio expected.
  const z = proven
    ? 0
    : Math.log(now.topGf / now.bobbinGf / setup.ratio) / windowWidth(thicknessMm(sandwich));
  return {
    setup,
    why: whyRows(setup),
    top,
    bobbin,
    section: {
      ...layers,
      loftMm: battings.get(quilt.battingKind).loftMm,
      topThreadMm: diameterMm(top),
      bobbinThreadMm: diameterMm(bobbin),
      needleNm: setup.needle.nm,
      stitchMm: setup.stitchMm,
      knotDepth: knotDepth(z),
    },
    topMm: diameterMm(top),
    idleInPerS: setup.mode === 'idling' ? idleSpeedInPerS(setup.idleSpm, setup.spi) : 0,
    topLowGf: setup.topGf * Math.exp(-Z80 * setup.ratioSd),
    topHighGf: setup.topGf * Math.exp(Z80 * setup.ratioSd),
    standing: isStanding,
    proven,
    turnedBack: isStanding && standing.turnedBack ? standing.turnedBack.why.join('; ') : null,
    known: proven ? known.proven(proven, 'test stitches') : known.predicted(setup),
    limitKnown: known.predicted(setup.maxInPerS),
    guess: proven || !taught ? null : guess,
    tensionKnown: proven
      ? known.proven(setup, 'test stitches')
      : known.learnedFrom(setup, taught ? guess.searches : 0, 'search'),
    places: {
      top: placeOn(scales, 'top-dial', now.topGf),
      bobbin: placeOn(scales, 'bobbin-turns', now.bobbinGf),
      idle: placeOn(scales, 'idle-dial', setup.idleSpm),
      rate: placeOn(scales, 'speed-dial', stitchesAMinute(setup)),
    },
  };
}
