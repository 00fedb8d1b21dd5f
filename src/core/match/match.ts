import { lineDensity, sewnLengthIn } from '../density/line-density';
import { type Caution, CoreError, type Reason } from '../notes';
import { type Sandwich, thicknessMm } from '../sandwich/sandwich';
import { regulate, type RegulateRequest, type Regulation } from '../stitch/regulate';
import { fabrics } from '../tables/fabrics';
import { fibres } from '../tables/fibres';
import { type FootId, type Technique, techniques } from '../tables/techniques';
import { startTension, type TensionStart } from '../tension/start';
import { diameterMm } from '../thread/thread';
import { usage, type Usage } from '../usage/usage';
import { type CriterionOf, TOP_CRITERIA } from './criteria';
import { chooseFoot } from './foot';
import { PAIR_CRITERIA } from './pairing';
import { type PickedNeedle, pickNeedle } from './pick-needle';
import type { MatchNeedle, MatchRequest, MatchThread } from './request';
import type { MatchResult, Setup } from './setup';
import { WEIGHTS } from './weights';
import { zoneCautions } from './zone-cautions';

/** In a zone of couching the hands need a second of warning. */
const COUCHING_IN_PER_S = 1;
const STARTS_PER_100_IN2 = 1;
const DEFAULT_LIMIT = 4;

interface Weighed {
  total: number;
  parts: Record<string, number>;
  reasons: Reason[];
  cautions: Caution[];
}

function weigh<C>(criteria: readonly CriterionOf<C>[], context: C): Weighed {
  const out: Weighed = { total: 0, parts: {}, reasons: [], cautions: [] };
  for (const criterion of criteria) {
    const { penalty, reason, caution } = criterion.judge(context);
    const part = WEIGHTS[criterion.id] * penalty;
    out.parts[criterion.id] = part;
    out.total += part;
    if (reason) out.reasons.push(reason);
    if (caution) out.cautions.push(caution);
  }
  return out;
}

const serves = (t: MatchThread, role: 'top' | 'bobbin') => (t.role ?? 'both') === 'both' || t.role === role;
const byCode = <T extends Reason>(notes: readonly T[]): T[] => [
  ...new Map(notes.map((n) => [n.code + n.text, n])).values(),
];
const order = { stop: 0, warn: 1, note: 2 } as const;

/**
 * The best set-ups of the shelf for a zone, best first: one per top thread with its best bobbin.
 * Every thread is weighed by every criterion (see WEIGHTS); the order does not depend on the order of
 * the shelf. An empty list comes with a `nothing-suits` caution that says what to buy.
 * @throws CoreError when the zone has no fabric or an id is not known.
 */
export function match(request: MatchRequest): MatchResult {
  const { zone, machine, preferences = {}, hold = {}, limit = DEFAULT_LIMIT } = request;
  if (zone.top.length === 0)
    throw new CoreError('zone-without-fabric', 'Say which cloth lies in this zone first.', 'zone.top');
  const t = techniques.get(zone.technique, 'zone.technique');
  fabrics.get(zone.backing, 'zone.backing');
  const sandwich: Sandwich = {
    top: zone.top,
    battingId: zone.battingId,
    backing: zone.backing,
    features: zone.features,
  };
  const spacingIn = zone.spacingIn ?? t.usualSpacingIn;
  const thickness = thicknessMm(sandwich);
  const { foot, cautions: footCautions } = chooseFoot(t, zone.features ?? [], machine.feet);
  const area = zone.areaIn2 ?? null;
  const sewn =
    area === null
      ? null
      : sewnLengthIn({ technique: t.id, spacingIn, areaIn2: area, lengthIn: zone.lengthIn });
  const lambda = lineDensity(t, spacingIn, area ?? 1, area === null ? undefined : zone.lengthIn);
  const bobbins = request.threads.filter(
    (b) => serves(b, 'bobbin') && (!hold.bobbinId || b.id === hold.bobbinId),
  );
  const topThreads = request.threads.filter((b) => serves(b, 'top') && (!hold.topId || b.id === hold.topId));
  const ask = {
    technique: t.id,
    smallestRadiusIn: zone.smallestRadiusIn,
    spacingIn,
    floorSpi: preferences.floorSpi,
    spi: hold.spi ?? preferences.oneSpi,
    machine,
    modeRule: preferences.modeRule,
    top: zone.top.map((f) => f.fabric),
  };
  const first = regulate(ask);

  const tops: TopChoice[] = [];
  let refusal: string | null = null;
  for (const thread of topThreads) {
    const { needle, regulation, refusal: why } = fitNeedle(thread, first.spi, ask, sandwich, request);
    if (!needle) {
      refusal ??= why;
      continue;
    }
    const context = {
      zone,
      technique: t,
      thread,
      fibre: fibres.get(thread.fibre, 'threads.fibre'),
      threadMm: diameterMm(thread),
      lambda,
      needle,
    };
    tops.push({ thread, needle, regulation, weighed: weigh(TOP_CRITERIA, context) });
  }
  if (tops.length === 0 || bobbins.length === 0)
    return { setups: [], weighed: 0, cautions: [nothingSuits(t, topThreads, bobbins, refusal)] };

  const pairOf = (top: TopChoice, bobbin: MatchThread): Pair => {
    const { nm, eye } = top.needle;
    const tension = startTension({ top: top.thread, bobbin, needleNm: nm, eye, sandwich });
    const used =
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
    const weighed = weigh(PAIR_CRITERIA, {
      top: top.thread,
      bobbin,
      bobbinFibre: fibres.get(bobbin.fibre, 'threads.fibre'),
      tension,
      usage: used,
      preferences,
    });
    return { top, bobbin, tension, used, weighed, total: top.weighed.total + weighed.total };
  };
  const shared = [...footCautions, ...zoneCautions(zone, t, first.mode, spacingIn)];
  const setups = bestPairs(tops, bobbins, pairOf, limit).map((p) => asSetup(p, t, foot, shared));
  return { setups, weighed: tops.length * bobbins.length, cautions: [] };
}

interface TopChoice {
  thread: MatchThread;
  needle: PickedNeedle;
  regulation: Regulation;
  weighed: Weighed;
}

interface Pair {
  top: TopChoice;
  bobbin: MatchThread;
  tension: TensionStart;
  used: Usage | null;
  weighed: Weighed;
  total: number;
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

const inOrder = (a: Pair, b: Pair) =>
  a.total - b.total ||
  a.top.thread.id.localeCompare(b.top.thread.id) ||
  a.bobbin.id.localeCompare(b.bobbin.id);

/**
 * The best pair of each top thread, best first; second pairs only when there are too few tops. Penalties
 * are never negative, so a top whose own total is beyond the last place taken needs no bobbins tried.
 */
function bestPairs(
  tops: readonly TopChoice[],
  bobbins: readonly MatchThread[],
  pairOf: (top: TopChoice, bobbin: MatchThread) => Pair,
  limit: number,
): Pair[] {
  const best: Pair[] = [];
  const others: Pair[] = [];
  for (const top of [...tops].sort((a, b) => a.weighed.total - b.weighed.total)) {
    const last = best[limit - 1];
    if (last && top.weighed.total > last.total) break;
    const pairs = bobbins.map((b) => pairOf(top, b));
    const first = pairs.reduce((a, b) => (inOrder(b, a) < 0 ? b : a));
    best.push(first);
    best.sort(inOrder);
    if (tops.length < limit) others.push(...pairs.filter((p) => p !== first));
  }
  return [...best, ...others.sort(inOrder)].slice(0, limit);
}

function asSetup(p: Pair, t: Technique, foot: FootId, shared: readonly Caution[]): Setup {
  const { top, tension, used } = p;
  const { needle, regulation } = top;
  const cautions = [
    ...top.weighed.cautions,
    ...p.weighed.cautions,
    ...needle.choice.cautions,
    ...regulation.cautions,
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
      ...needle.choice.reasons,
      ...p.weighed.reasons,
      ...regulation.reasons,
      ...tension.reasons,
    ]),
    cautions: byCode(cautions).sort((a, b) => order[a.severity] - order[b.severity]),
  };
}

function nothingSuits(
  t: Technique,
  tops: readonly MatchThread[],
  bobbins: readonly MatchThread[],
  refusal: string | null,
): Caution {
  const text =
    tops.length === 0
      ? `No top thread on the shelf. A polyester filament of about tex 25 suits ${t.label}.`
      : bobbins.length === 0
        ? 'No bobbin thread on the shelf. A smooth polyester filament of about tex 17 suits most tops.'
        : (refusal ?? 'No needle in the drawer suits any of these threads.');
  return { code: 'nothing-suits', severity: 'stop', text };
}
