import { lineDensity, sewnLengthIn } from '../density/line-density';
import { type Caution, CoreError, type Reason } from '../notes';
import { type Sandwich, thicknessMm } from '../sandwich/sandwich';
import { regulate } from '../stitch/regulate';
import { fabrics } from '../tables/fabrics';
import { fibres } from '../tables/fibres';
import { type Technique, techniques } from '../tables/techniques';
import { startTension } from '../tension/start';
import { diameterMm } from '../thread/thread';
import { usage } from '../usage/usage';
import { type CriterionOf, TOP_CRITERIA } from './criteria';
import { chooseFoot } from './foot';
import { PAIR_CRITERIA } from './pairing';
import { pickNeedle } from './pick-needle';
import type { MatchRequest, MatchThread } from './request';
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
  const { zone, machine, needles, preferences = {}, limit = DEFAULT_LIMIT } = request;
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
  const bobbins = request.threads.filter((b) => serves(b, 'bobbin'));
  const tops = request.threads.filter((b) => serves(b, 'top'));
  const ask = {
    technique: t.id,
    smallestRadiusIn: zone.smallestRadiusIn,
    spacingIn,
    floorSpi: preferences.floorSpi,
    machine,
    modeRule: preferences.modeRule,
    top: zone.top.map((f) => f.fabric),
  };
  const firstSpi = regulate(ask).spi;

  const found: { setup: Setup; total: number }[] = [];
  let refusal: string | null = null;
  for (const thread of tops) {
    let spi = firstSpi;
    let { picked, refusal: why } = pickNeedle(
      thread,
      spi,
      sandwich,
      needles,
      preferences.labelRule ?? 'obey',
    );
    const regulation = regulate({ ...ask, needleNm: picked?.nm });
    if (picked && regulation.spi !== spi) {
      spi = regulation.spi;
      ({ picked, refusal: why } = pickNeedle(
        thread,
        spi,
        sandwich,
        needles,
        preferences.labelRule ?? 'obey',
      ));
    }
    if (!picked) {
      refusal ??= why;
      continue;
    }
    const fibre = fibres.get(thread.fibre, 'threads.fibre');
    const needle = picked;
    const topWeighed = weigh(TOP_CRITERIA, {
      zone,
      technique: t,
      thread,
      fibre,
      threadMm: diameterMm(thread),
      lambda,
      needle,
    });
    for (const bobbin of bobbins) {
      const tension = startTension({ top: thread, bobbin, needleNm: needle.nm, eye: needle.eye, sandwich });
      const used =
        sewn === null
          ? null
          : usage({
              sewnLengthIn: sewn,
              spi,
              thicknessMm: thickness,
              starts: Math.ceil(((area ?? 0) / 100) * STARTS_PER_100_IN2),
              top: thread,
              bobbin,
              bobbinMm: machine.bobbinMm,
            });
      const pair = weigh(PAIR_CRITERIA, {
        top: thread,
        bobbin,
        bobbinFibre: fibres.get(bobbin.fibre, 'threads.fibre'),
        tension,
        usage: used,
        preferences,
      });
      const total = topWeighed.total + pair.total;
      const cautions = [
        ...topWeighed.cautions,
        ...pair.cautions,
        ...needle.choice.cautions,
        ...regulation.cautions,
        ...footCautions,
        ...zoneCautions(zone, t, regulation.mode, spacingIn),
      ];
      found.push({
        total,
        setup: {
          topId: thread.id,
          bobbinId: bobbin.id,
          needle: { nm: needle.nm, us: needle.us, eye: needle.eye, point: needle.point },
          foot,
          spi,
          stitchMm: regulation.stitchMm,
          mode: regulation.mode,
          idleSpm: regulation.idleSpm,
          maxInPerS:
            t.id === 'couching' ? Math.min(COUCHING_IN_PER_S, regulation.maxInPerS) : regulation.maxInPerS,
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
          score: 100 / (1 + total / 4),
          parts: { ...topWeighed.parts, ...pair.parts },
          reasons: byCode([
            ...topWeighed.reasons,
            ...needle.choice.reasons,
            ...pair.reasons,
            ...regulation.reasons,
            ...tension.reasons,
          ]),
          cautions: byCode(cautions).sort((a, b) => order[a.severity] - order[b.severity]),
        },
      });
    }
  }
  found.sort(
    (a, b) =>
      a.total - b.total ||
      a.setup.topId.localeCompare(b.setup.topId) ||
      a.setup.bobbinId.localeCompare(b.setup.bobbinId),
  );
  if (found.length === 0)
    return { setups: [], weighed: 0, cautions: [nothingSuits(t, tops, bobbins, refusal)] };
  return {
    setups: bestPerTop(
      found.map((f) => f.setup),
      limit,
    ),
    weighed: found.length,
    cautions: [],
  };
}

/** The best pair of each top thread first; second pairs only when there are too few tops. */
function bestPerTop(sorted: readonly Setup[], limit: number): Setup[] {
  const seen = new Set<string>();
  const first = sorted.filter((s) => !seen.has(s.topId) && seen.add(s.topId));
  const rest = sorted.filter((s) => !first.includes(s));
  return [...first, ...rest].slice(0, limit);
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
