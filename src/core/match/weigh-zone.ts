import { sewnLengthIn } from '../density/line-density';
import { faultRates } from '../faults/rates';
import { TABLE_NEEDLE_MM, TABLE_SPEED, WALKING } from '../machine/table';
import { type Caution, CoreError, type Reason } from '../notes';
import { type Sandwich, thicknessMm } from '../sandwich/sandwich';
import { regulate, type RegulateRequest, type Regulation } from '../stitch/regulate';
import { fabrics } from '../tables/fabrics';
import { features } from '../tables/features';
import { fibres } from '../tables/fibres';
import { type Technique, techniques } from '../tables/techniques';
import { startTension, type TensionStart } from '../tension/start';
import { diameterMm } from '../thread/thread';
import { usage, type Usage } from '../usage/usage';
import { type Criterion, PAIR_CRITERIA, TOP_CRITERIA } from './criteria';
import type { PairContext, TopContext } from './criteria/criterion';
import { chooseFoot } from './foot';
import { type BobbinBook, bobbinBook, type RankedBobbin } from './rank-bobbins';
import { type PickedNeedle, pickNeedle } from './pick-needle';
import { type MatchNeedle, type MatchRequest, type MatchThread, serves } from './request';
import { standingSafety } from './safety';
import type { Setup } from './setup';
import { sayOf, type Weighed, weigh } from './weigh';
import { zoneCautions } from './zone-cautions';
import { zoneFacts } from './zone-facts';

/** In a zone of couching the hands need a second of warning. */
const COUCHING_IN_PER_S = 1;
/** A backing that creeps is sewn so much slower. */
const CREEPING = 0.8;

/** A top thread with its needle and stitch, weighed before any bobbin. */
export interface TopChoice {
  thread: MatchThread;
  needle: PickedNeedle;
  regulation: Regulation;
  context: TopContext;
  weighed: Weighed;
}

/** A top thread with a bobbin thread, weighed as a whole; 0 is ideal. */
export interface Pair {
  top: TopChoice;
  bobbin: MatchThread;
  tension: TensionStart;
  /** The balance ratio the models alone expect. */
  ratioModel: number;
  used: Usage | null;
  context: PairContext;
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
  /** Shows the bobbins for a top; those that cannot cost `most` or less are left out. */
  bobbinsFor(top: TopChoice, visit: (bobbin: RankedBobbin) => void, most?: () => number): void;
  /** One bobbin alone, by its thread's id. */
  bobbinOf(id: string): RankedBobbin | undefined;
  /** What a bobbin costs under a top before tension and stock are reckoned. */
  costUnder(top: TopChoice, bobbin: RankedBobbin): number;
  pairOf(top: TopChoice, bobbin: RankedBobbin): Pair;
  setupOf(pair: Pair): Setup;
}

/** What is sewn in a zone, read from the request and its tables. */
function workIn(request: MatchRequest) {
  const { zone, preferences = {}, hold = {} } = request;
  if (zone.top.length === 0)
    throw new CoreError('zone-without-fabric', 'Say which fabric lies in this zone first.', 'zone.top');
  const technique = techniques.get(zone.technique, 'zone.technique');
  fabrics.get(zone.backing, 'zone.backing');
  if (zone.top.every((t) => t.sewnOver === false))
    throw new CoreError(
      'nothing-sewn-over',
      'Every fabric of this zone is left alone: say which of them the stitching goes over.',
      'zone.top',
    );
  // What counts only where it is sewn over is nothing to a line that runs round it.
  const met = (zone.features ?? []).filter(
    (f) => technique.area || !features.get(f, 'zone.features').onlyOver,
  );
  const sandwich: Sandwich = {
    top: zone.top,
    battingId: zone.battingId,
    backing: zone.backing,
    features: met,
  };
  const spacingIn = zone.spacingIn ?? technique.usualSpacingIn;
  const ask: RegulateRequest = {
    technique: technique.id,
    smallestRadiusIn: zone.smallestRadiusIn,
    spacingIn,
    floorSpi: preferences.floorSpi,
    spi: hold.spi ?? preferences.oneSpi,
    machine: request.machine,
    modeRule: preferences.modeRule,
    top: zone.top.map((f) => f.fabric),
  };
  return { technique, met, sandwich, spacingIn, ask, facts: zoneFacts(zone, technique, spacingIn, request) };
}
type Work = ReturnType<typeof workIn>;

/** The tops of the shelf with their needles, weighed by what does not ask for the bobbin. */
function topsOf(request: MatchRequest, work: Work) {
  const { technique, facts, ask, sandwich } = work;
  const { hold = {} } = request;
  const record = request.record && faultRates(request.record);
  const first = regulate(ask);
  // Cones of one line take the same needle: each kind of thread is fitted once.
  const fits = new Map<string, ReturnType<typeof fitNeedle>>();
  const fitted = (thread: MatchThread) => {
    const kind = `${thread.tex} ${thread.fibre} ${thread.labelNeedleNm?.join()}`;
    let fit = fits.get(kind);
    if (!fit) fits.set(kind, (fit = fitNeedle(thread, first.spi, ask, sandwich, request)));
    return fit;
  };
  const shelf = request.threads.filter((t) => serves(t, 'top'));
  const topThreads = shelf.filter((t) => !hold.topId || t.id === hold.topId);
  const tops: TopChoice[] = [];
  let refusal: string | null = null;
  for (const thread of topThreads) {
    const { needle, regulation, refusal: why } = fitted(thread);
    if (!needle) {
      refusal ??= why;
      continue;
    }
    const context: TopContext = {
      facts,
      technique,
      thread,
      fibre: fibres.get(thread.fibre, 'threads.fibre'),
      threadMm: diameterMm(thread),
      needle,
      others: request.others,
      shelf,
      record,
    };
    tops.push({ thread, needle, regulation, context, weighed: weigh(TOP_CRITERIA, context) });
  }
  return { topThreads, tops, refusal };
}

/** What a pair would take of both threads; null where the area is not known. */
function usageIn({ zone, machine }: MatchRequest, { technique, spacingIn, sandwich }: Work) {
  const area = zone.areaIn2 ?? null;
  if (area === null) return () => null;
  const sewn = sewnLengthIn({
    technique: technique.id,
    spacingIn,
    areaIn2: area,
    lengthIn: zone.lengthIn,
  });
  const thickness = thicknessMm(sandwich);
  return (top: TopChoice, bobbin: MatchThread) =>
    usage({
      sewnLengthIn: sewn,
      spi: top.regulation.spi,
      thicknessMm: thickness,
      starts: zone.starts ?? 1,
      top: top.thread,
      bobbin,
      bobbinMm: machine.bobbinMm,
    });
}

/** Weighs a top with a bobbin: the first of equal ones that suffices, else the first. */
function pairing(request: MatchRequest, work: Work, book: BobbinBook) {
  const usageOf = usageIn(request, work);
  const wound = request.wound && new Map(request.wound.map((w) => [w.id, w.bobbins]));
  const pairWith = (top: TopChoice, bobbin: MatchThread): Pair => {
    const { nm, eye } = top.needle;
    const learned = request.learned?.({ topId: top.thread.id, bobbinId: bobbin.id, needleNm: nm });
    const tension = startTension({
      top: top.thread,
      bobbin,
      needleNm: nm,
      eye,
      sandwich: work.sandwich,
      learned,
    });
    const used = usageOf(top, bobbin);
    const context = {
      facts: work.facts,
      top: top.thread,
      bobbin,
      tension,
      usage: used,
      claimedM: request.claimedM,
      wound,
    };
    const looks = book.weighed(top.thread, bobbin);
    const runs = weigh(PAIR_CRITERIA, context);
    const weighed = { total: looks.total + runs.total, parts: { ...looks.parts, ...runs.parts } };
    return {
      top,
      bobbin,
      tension,
      ratioModel: tension.ratio / Math.exp(learned?.mean ?? 0),
      used,
      context,
      weighed,
      total: top.weighed.total + weighed.total,
    };
  };
  return (top: TopChoice, { equals }: RankedBobbin): Pair => {
    // Equal bobbins differ only in what is left of them.
    let best = pairWith(top, equals[0]!);
    for (let i = 1; i < equals.length && best.weighed.parts.stock! > 0; i++) {
      const next = pairWith(top, equals[i]!);
      if (next.total < best.total) best = next;
    }
    return best;
  };
}

/** The hand's speed in a zone with one top thread: no faster than the needle, the work and what lies there allow. */
function handSpeeds({ zone, machine, ownInPerS }: MatchRequest, technique: Technique) {
  const caps = [
    ...(zone.features ?? []).flatMap((f) => features.get(f).handInPerS ?? []),
    ...(technique.couches ? [COUCHING_IN_PER_S] : []),
    ...(machine.table?.regulated === 'walking-foot' ? [WALKING.inPerS] : []),
  ];
  const moved = machine.table ? TABLE_SPEED : 1;
  const slower = fabrics.get(zone.backing).creeps >= 2 ? CREEPING : 1;
  return (top: TopChoice) =>
    Math.min(
      (ownInPerS?.[technique.id] ?? technique.handInPerS) * slower * moved * top.context.fibre.handFactor,
      top.regulation.maxInPerS,
      ...caps,
    );
}

/**
 * Weighs every top thread of the shelf for a zone by every criterion that does not ask for the bobbin. Zones of one
 * quilt may share the book of their bobbins.
 * @throws CoreError when the zone has no fabric or an id is not known.
 */
export function weighZone(request: MatchRequest, book: BobbinBook = bobbinBook(request)): WeighedZone {
  const work = workIn(request);
  const { zone } = request;
  const { technique, met, spacingIn } = work;
  const foot = chooseFoot(technique, zone.features ?? [], request.machine, request.yarn?.diameterMm);
  const shared = [
    ...foot.cautions,
    ...zoneCautions({ ...request, zone: { ...zone, features: met } }, technique, spacingIn),
  ];
  const handOf = handSpeeds(request, technique);
  return {
    technique,
    ...topsOf(request, work),
    bobbins: book.count,
    bobbinsFor: (top, visit, most = () => Infinity) => book.bobbinsFor(top.thread, visit, most),
    bobbinOf: (id) => book.bobbinOf(id),
    costUnder: (top, bobbin) => book.costUnder(top.thread, bobbin),
    pairOf: pairing(request, work, book),
    setupOf: (pair) => asSetup(pair, technique, foot.foot, shared, handOf(pair.top), book),
  };
}

/** The needle for a thread, and the stitch length again once the needle is known. */
function fitNeedle(
  thread: MatchThread,
  firstSpi: number,
  ask: RegulateRequest,
  sandwich: Sandwich,
  { needles, preferences = {}, hold, machine }: MatchRequest,
) {
  const held = hold?.nm === undefined ? needles : heldNeedles(needles, hold.nm);
  const t = techniques.get(ask.technique);
  const basteInPerS = t.singleStitches ? t.handInPerS : undefined;
  const pick = (spi: number) =>
    pickNeedle(thread, spi, sandwich, held, preferences.labelRule ?? 'obey', {
      basteInPerS,
      freeMm: machine.table && TABLE_NEEDLE_MM,
    });
  const { fewerSpi } = fibres.get(thread.fibre, 'threads.fibre');
  const { spi: withThread } = regulate({ ...ask, fewerSpi, threadMm: diameterMm(thread) });
  let { picked, refusal } = pick(Math.min(firstSpi, withThread));
  const regulation = regulate({ ...ask, fewerSpi, needleNm: picked?.nm, threadMm: diameterMm(thread) });
  if (picked && regulation.spi !== withThread) ({ picked, refusal } = pick(regulation.spi));
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

/** Nothing is said twice: one sentence a code, the first. */
const onceEach = <T extends Reason>(notes: readonly T[]): T[] =>
  [...new Map([...notes].reverse().map((n) => [n.code, n])).values()].reverse();
const order = { stop: 0, warn: 1, note: 2 } as const;
/** A card warns of so many things at most; what must not be sewn at all is always said. */
const MOST_CAUTIONS = 3;

/** The gravest first, then what costs most; what a card has no room for stands with the reasons. */
function foremost(cautions: readonly Caution[], parts: Record<string, number>): [Caution[], Reason[]] {
  // What the zone itself causes has no price of its own.
  const price = (c: Caution) => (c.from ? (parts[c.from] ?? 0) : 0.3);
  const sorted = [...cautions].sort((a, b) => order[a.severity] - order[b.severity] || price(b) - price(a));
  const stops = sorted.filter((c) => c.severity === 'stop').length;
  const cut = Math.max(stops, MOST_CAUTIONS);
  return [sorted.slice(0, cut), sorted.slice(cut).map(({ severity: _, ...rest }) => rest)];
}

/** Everything that is said of a pair: what a card warns of first, and the rest as reasons, nothing twice. */
function wordsOf(p: Pair, standing: readonly Caution[], shared: readonly Caution[], book: BobbinBook) {
  const { needle, regulation, context, weighed } = p.top;
  const said = sayOf(TOP_CRITERIA, context);
  const below = book.says(p.top.thread, p.bobbin);
  const runs = sayOf(PAIR_CRITERIA, p.context);
  const stands = new Set(standing.map((c) => c.code));
  const cautions = onceEach([
    ...said.cautions,
    ...below.cautions,
    ...runs.cautions,
    ...tagged(needle.choice.cautions),
    ...tagged(regulation.cautions),
    ...shared,
  ]);
  const parts = { ...weighed.parts, ...p.weighed.parts };
  const [first, rest] = foremost(
    cautions.filter((c) => !stands.has(c.code)),
    parts,
  );
  const reasons = onceEach([
    ...rest,
    ...said.reasons,
    ...tagged(needle.choice.reasons),
    ...below.reasons,
    ...runs.reasons,
    ...regulation.reasons,
    ...tagged(p.tension.reasons),
  ]);
  return { parts, reasons, cautions: first };
}

function asSetup(
  p: Pair,
  t: Technique,
  foot: Setup['foot'],
  shared: readonly Caution[],
  handInPerS: number,
  book: BobbinBook,
): Setup {
  const { top, tension, used } = p;
  const { needle, regulation } = top;
  const safety = standingSafety(t, regulation.mode);
  return {
    topId: top.thread.id,
    bobbinId: p.bobbin.id,
    needle: { nm: needle.nm, us: needle.us, eye: needle.eye, point: needle.point },
    foot,
    spi: regulation.spi,
    stitchMm: regulation.stitchMm,
    mode: regulation.mode,
    idleSpm: regulation.idleSpm,
    maxInPerS: regulation.maxInPerS,
    handInPerS,
    curve: regulation.curve,
    topGf: tension.topGf,
    bobbinGf: tension.bobbinGf,
    ratio: tension.ratio,
    ratioSd: tension.sd,
    ratioModel: p.ratioModel,
    eyeRatio: needle.size.eyeRatio,
    flexIndex: needle.size.flexIndex,
    topM: used?.topM ?? null,
    bobbinM: used?.bobbinM ?? null,
    total: p.total,
    score: 100 / (1 + p.total),
    ...wordsOf(p, safety, shared, book),
    safety,
  };
}
