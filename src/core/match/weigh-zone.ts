import { lineDensity, sewnLengthIn } from '../density/line-density';
import { faultRates } from '../faults/rates';
import { type Caution, CoreError, type Reason } from '../notes';
import { type Sandwich, thicknessMm } from '../sandwich/sandwich';
import { regulate, type RegulateRequest, type Regulation } from '../stitch/regulate';
import { fabrics } from '../tables/fabrics';
import { fibres } from '../tables/fibres';
import { type Technique, techniques } from '../tables/techniques';
import { startTension, type TensionStart } from '../tension/start';
import { diameterMm } from '../thread/thread';
import { usage, type Usage } from '../usage/usage';
import { TOP_CRITERIA } from './criteria';
import { chooseFoot } from './foot';
import { PAIR_CRITERIA } from './pairing';
import { type BobbinBook, bobbinBook, type RankedBobbin } from './rank-bobbins';
import { type PickedNeedle, pickNeedle } from './pick-needle';
import { type MatchNeedle, type MatchRequest, type MatchThread, serves } from './request';
import type { Setup } from './setup';
import { type Weighed, weigh } from './weigh';
import type { Criterion } from './weights';
import { zoneCautions } from './zone-cautions';

/** In a zone of couching the hands need a second of warning. */
const COUCHING_IN_PER_S = 1;
const STARTS_PER_100_IN2 = 1;

/** A top thread with its needle and stitch, weighed before any bobbin. */
export interface TopChoice {
  thread: MatchThread;
  needle: PickedNeedle;
  regulation: Regulation;
  weighed: Weighed;
}

/** A top thread with a bobbin thread, weighed as a whole; 0 is ideal. */
export interface Pair {
  top: TopChoice;
  bobbin: MatchThread;
  tension: TensionStart;
  used: Usage | null;
  weighed: Weighed;
  total: number;
}

/** A zone ready to be matched: its tops weighed, its bobbins sorted out, pairs weighed when they are asked for. */
export interface WeighedZone {
  technique: Technique;
  topThreads: MatchThread[];
  bobbins: number;
  tops: TopChoice[];
  /** Why the first thread no needle suits was refused. */
  refusal: string | null;
  /** The bobbins for a top, by what they cost under it at least. */
  bobbinsFor(top: TopChoice): Iterable<RankedBobbin>;
  /** What a bobbin costs under a top before tension and stock are reckoned. */
  costUnder(top: TopChoice, bobbin: RankedBobbin): number;
  pairOf(top: TopChoice, bobbin: RankedBobbin): Pair;
  setupOf(pair: Pair): Setup;
}

/**
 * Weighs every top thread of the shelf for a zone by every criterion that does not ask for the bobbin. Zones of one
 * quilt may share the book of their bobbins.
 * @throws CoreError when the zone has no fabric or an id is not known.
 */
export function weighZone(request: MatchRequest, book: BobbinBook = bobbinBook(request)): WeighedZone {
  const { zone, machine, preferences = {}, hold = {} } = request;
  if (zone.top.length === 0)
    throw new CoreError('zone-without-fabric', 'Say which cloth lies in this zone first.', 'zone.top');
  const technique = techniques.get(zone.technique, 'zone.technique');
  fabrics.get(zone.backing, 'zone.backing');
  const sandwich: Sandwich = {
    top: zone.top,
    battingId: zone.battingId,
    backing: zone.backing,
    features: zone.features,
  };
  const spacingIn = zone.spacingIn ?? technique.usualSpacingIn;
  const thickness = thicknessMm(sandwich);
  const foot = chooseFoot(technique, zone.features ?? [], machine.feet);
  const area = zone.areaIn2 ?? null;
  const lengthIn = area === null ? undefined : zone.lengthIn;
  const sewn =
    area === null ? null : sewnLengthIn({ technique: technique.id, spacingIn, areaIn2: area, lengthIn });
  const lambda = lineDensity(technique, spacingIn, area ?? 1, lengthIn);
  const record = request.record && faultRates(request.record);
  const ask = {
    technique: technique.id,
    smallestRadiusIn: zone.smallestRadiusIn,
    spacingIn,
    floorSpi: preferences.floorSpi,
    spi: hold.spi ?? preferences.oneSpi,
    machine,
    modeRule: preferences.modeRule,
    top: zone.top.map((f) => f.fabric),
  };
  const first = regulate(ask);
  // Cones of one line take the same needle: each kind of thread is fitted once.
  const fits = new Map<string, ReturnType<typeof fitNeedle>>();
  const fitted = (thread: MatchThread) => {
    const kind = `${thread.tex} ${thread.fibre} ${thread.labelNeedleNm?.join()}`;
    let fit = fits.get(kind);
    if (!fit) fits.set(kind, (fit = fitNeedle(thread, first.spi, ask, sandwich, request)));
    return fit;
  };
  const topThreads = request.threads.filter((t) => serves(t, 'top') && (!hold.topId || t.id === hold.topId));
  const tops: TopChoice[] = [];
  let refusal: string | null = null;
  for (const thread of topThreads) {
    const { needle, regulation, refusal: why } = fitted(thread);
    if (!needle) {
      refusal ??= why;
      continue;
    }
    const weighed = weigh(TOP_CRITERIA, {
      zone,
      technique,
      thread,
      fibre: fibres.get(thread.fibre, 'threads.fibre'),
      threadMm: diameterMm(thread),
      lambda,
      needle,
      others: request.others,
      record,
    });
    tops.push({ thread, needle, regulation, weighed });
  }

  const usageOf = (top: TopChoice, bobbin: MatchThread) =>
    sewn === null
      ? null
      : usage({
          sewnLengthIn: sewn,
          spi: top.regulation.spi,
          thicknessMm: thickness,
          starts: Math.ceil(((area ?? 0) / 100) * STARTS_PER_100_IN2),
          top: top.thread,
          bobbin,
          bobbinMm: machine.bobbinMm,
        });
  const pairOf = (top: TopChoice, ranked: RankedBobbin): Pair => {
    const { bobbin } = ranked;
    const looks = book.looks(top.thread, ranked);
    const { nm, eye } = top.needle;
    const tension = startTension({ top: top.thread, bobbin, needleNm: nm, eye, sandwich });
    const used = usageOf(top, bobbin);
    const runs = weigh(PAIR_CRITERIA, {
      top: top.thread,
      bobbin,
      tension,
      usage: used,
      claimedM: request.claimedM,
    });
    const weighed = {
      total: looks.total + runs.total,
      parts: { ...looks.parts, ...runs.parts },
      reasons: [...looks.reasons, ...runs.reasons],
      cautions: [...looks.cautions, ...runs.cautions],
    };
    return { top, bobbin, tension, used, weighed, total: top.weighed.total + weighed.total };
  };
  const shared = [...foot.cautions, ...zoneCautions(zone, technique, first.mode, spacingIn)];
  return {
    technique,
    topThreads,
    bobbins: book.count,
    tops,
    refusal,
    bobbinsFor: (top) => book.bobbinsFor(top.thread),
    costUnder: (top, bobbin) => book.costUnder(top.thread, bobbin),
    pairOf,
    setupOf: (pair) => asSetup(pair, technique, foot.foot, shared),
  };
}

/** The needle for a thread, and the stitch length again once the needle is known. */
function fitNeedle(
  thread: MatchThread,
  firstSpi: number,
  ask: RegulateRequest,
  sandwich: Sandwich,
  { needles, preferences = {}, hold }: MatchRequest,
) {
  const held = hold?.nm === undefined ? needles : heldNeedles(needles, hold.nm);
  const pick = (spi: number) => pickNeedle(thread, spi, sandwich, held, preferences.labelRule ?? 'obey');
  let { picked, refusal } = pick(firstSpi);
  const regulation = regulate({ ...ask, needleNm: picked?.nm });
  if (picked && regulation.spi !== firstSpi) ({ picked, refusal } = pick(regulation.spi));
  return { needle: picked, regulation, refusal };
}

/** The needles of the size held; where the drawer has none, a plain one of that size, so that it can be weighed at all. */
function heldNeedles(needles: MatchRequest['needles'], nm: number): MatchNeedle[] {
  const owned = needles?.filter((n) => n.nm === nm) ?? [];
  return owned.length > 0 ? owned : [{ nm, eye: 'standard', point: 'sharp' }];
}

/** Which criterion the needle's and the tension's own sentences belong to. */
const BELONGS: Record<string, Criterion> = {
  'eye-tight': 'eye',
  'eye-roomy': 'eye',
  'eye-clear': 'eye',
  'eye-large-better': 'eye',
  'flex-high': 'flex',
  'needle-break-eyes': 'flex',
  'hole-memory': 'holes',
  perforation: 'holes',
  'label-differs': 'needle',
  'abrasive-larger': 'needle',
  'bobbin-at-limit': 'strength',
  'top-near-break': 'strength',
};
const tagged = <T extends Reason>(notes: readonly T[]): T[] =>
  notes.map((n) => (BELONGS[n.code] ? { ...n, from: BELONGS[n.code] } : n));

const byCode = <T extends Reason>(notes: readonly T[]): T[] => [
  ...new Map(notes.map((n) => [n.code + n.text, n])).values(),
];
const order = { stop: 0, warn: 1, note: 2 } as const;

function asSetup(p: Pair, t: Technique, foot: Setup['foot'], shared: readonly Caution[]): Setup {
  const { top, tension, used } = p;
  const { needle, regulation } = top;
  const cautions = [
    ...top.weighed.cautions,
    ...p.weighed.cautions,
    ...tagged(needle.choice.cautions),
    ...tagged(regulation.cautions),
    ...shared,
  ];
  return {
    topId: top.thread.id,
    bobbinId: p.bobbin.id,
    needle: { nm: needle.nm, us: needle.us, eye: needle.eye, point: needle.point },
    foot,
    spi: regulation.spi,
    stitchMm: regulation.stitchMm,
    mode: regulation.mode,
    idleSpm: regulation.idleSpm,
    maxInPerS: t.id === 'couching' ? Math.min(COUCHING_IN_PER_S, regulation.maxInPerS) : regulation.maxInPerS,
    handInPerS: t.handInPerS,
    curve: regulation.curve,
    topGf: tension.topGf,
    bobbinGf: tension.bobbinGf,
    ratio: tension.ratio,
    ratioSd: tension.sd,
    eyeRatio: needle.size.eyeRatio,
    flexIndex: needle.size.flexIndex,
    topM: used?.topM ?? null,
    bobbinM: used?.bobbinM ?? null,
    score: 100 / (1 + p.total / 4),
    parts: { ...top.weighed.parts, ...p.weighed.parts },
    reasons: byCode([
      ...top.weighed.reasons,
      ...tagged(needle.choice.reasons),
      ...p.weighed.reasons,
      ...regulation.reasons,
      ...tagged(tension.reasons),
    ]),
    cautions: byCode(cautions).sort((a, b) => order[a.severity] - order[b.severity]),
  };
}
