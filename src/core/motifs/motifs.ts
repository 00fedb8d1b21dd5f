import { softnessOf } from '../density/density';
import { type Caution, CoreError } from '../notes';
import { techniques } from '../tables/techniques';
import { refusalOf } from './gates';
import { MOTIFS, themeWord } from './motif-table';
import { evennessOf, nearCosts, propose, type Proposal, searchOf } from './proposals';
import { bestOfEach, cautionsOf, howOf, reasonsOf, type Weighed, weigh, weighZone, wouldFit } from './rank';
import type { MotifsRequest } from './request';
import { wishedDensity } from './spacings';
import { HAND, levelOf } from './work';
import { quiltFacts, type QuiltFacts, type ZoneFacts, zoneFacts } from './zone-facts';

export interface Pick {
  technique: string;
  spacingIn: number | null;
  score: number;
  parts: Record<string, number>;
  minutes: { low: number; mid: number; high: number };
  threadM: number;
  lineDensity: number;
  openIn: number;
  softness: 'soft' | 'usual' | 'firm';
  forgiving: number;
  texture: 'quiet' | 'even' | 'strong';
  how: string;
  reasons: { code: string; text: string }[];
  cautions: Caution[];
}

export interface ZoneAnswer {
  id: string;
  facts: Record<string, unknown>;
  picks: Pick[];
  refused: { technique: string; code: string; text: string }[];
  wouldFit?: { limit: string; technique: string; text: string }[];
  cautions: Caution[];
}

export interface ProposalAnswer {
  kind: string;
  zones: { id: string; technique: string; spacingIn: number | null; lineDensity: number; minutes: number }[];
  minutes: number;
  withinHours: boolean;
  motifs: string[];
  evenness: number;
  order: { zone: string; act: string; why: string }[];
  reasons: { code: string; text: string }[];
  cautions: Caution[];
}

export interface MotifsAnswer {
  zones: ZoneAnswer[];
  proposals: ProposalAnswer[];
  cautions: Caution[];
}

const SHOWN = 8;
const WITHIN = 1;
const round = (x: number, digits = 3) => Number(x.toFixed(digits));
const note = (code: string, text: string, severity: Caution['severity'] = 'note'): Caution => ({
  code,
  text,
  severity,
});

export function pickOf(request: MotifsRequest, q: QuiltFacts, z: ZoneFacts, w: Weighed): Pick {
  const spread = Math.exp(1.2816 * HAND[levelOf(request, w.motif.id)].sd);
  const { minutes, lambda, openIn, threadM } = w.work;
  return {
    technique: w.motif.id,
    spacingIn: w.spacingIn,
    score: round(w.score),
    parts: Object.fromEntries(Object.entries(w.parts).map(([k, v]) => [k, round(v)])),
    minutes: { low: round(minutes / spread, 1), mid: round(minutes, 1), high: round(minutes * spread, 1) },
    threadM: round(threadM, 1),
    lineDensity: round(lambda),
    openIn: round(openIn),
    softness: softnessOf(lambda * w.motif.feel),
    forgiving: techniques.get(w.motif.id).forgiving,
    texture: w.motif.presence <= 1 ? 'quiet' : w.motif.presence < 2 ? 'even' : 'strong',
    how: howOf(w),
    reasons: reasonsOf(w, z),
    cautions: cautionsOf(request, q, z, w),
  };
}

/** Zones whose technique is held, weighed as they are; what speaks against it is said, never changed. */
function heldOf(request: MotifsRequest, q: QuiltFacts, zones: readonly ZoneFacts[]): Map<number, Weighed> {
  const held = new Map<number, Weighed>();
  zones.forEach((z, i) => {
    const hold = z.zone.hold;
    if (!hold) return;
    const m = MOTIFS.get(hold.technique, `zones.${i}.hold.technique`);
    if (hold.spacingIn !== undefined && m.g === null)
      throw new CoreError(
        'no-spacing',
        `${techniques.get(m.id).label} has no spacing.`,
        `zones.${i}.hold.spacingIn`,
      );
    const all =
      m.g && hold.spacingIn === undefined
        ? weighZone(request, q, z).all.filter((w) => w.motif.id === m.id)
        : [];
    const g =
      m.g === null ? null : (hold.spacingIn ?? all[0]?.spacingIn ?? techniques.get(m.id).usualSpacingIn);
    held.set(i, weigh(request, q, z, m, g));
  });
  return held;
}

function zoneAnswer(
  request: MotifsRequest,
  q: QuiltFacts,
  z: ZoneFacts,
  all: readonly Weighed[],
  refused: ZoneAnswer['refused'],
  held: Weighed | undefined,
): ZoneAnswer {
  const ranked = bestOfEach(all);
  const first = ranked[0]?.score ?? 0;
  const shown = ranked.filter((w) => w.score <= first + WITHIN).slice(0, request.limit ?? SHOWN);
  const cautions: Caution[] = [];
  const nothing = ranked.length === 0 || first > 1;
  if (nothing)
    cautions.push(
      note(
        'nothing-fits',
        `Nothing fits zone ${z.zone.id} well: ${
          refused
            .slice(0, 3)
            .map((r) => r.text)
            .join(' ') || 'what fits it is a compromise.'
        }`,
        'warn',
      ),
    );
  if (held) {
    const why = refusalOf(request, q, z, held.motif);
    if (why)
      cautions.push(
        note(why.code, `${techniques.get(held.motif.id).label} is held here: ${why.text}`, 'warn'),
      );
  }
  const relaxed = nothing ? wouldFit(request, q, z) : [];
  return {
    id: z.zone.id,
    facts: {
      role: z.role,
      areaIn2: round(z.areaIn2),
      openIn: round(z.openIn),
      pieces: z.pieces,
      narrowIn: round(z.narrowIn),
      edgeIn: round(z.edgeIn),
      shape: z.shape,
      traits: [...z.traits],
      busy: round(z.busy),
      accent: z.accent,
      wishedDensity: round(wishedDensity(z)),
      gapLimitIn: round(q.gapLimitIn),
    },
    picks: shown.map((w) => pickOf(request, q, z, w)),
    refused: [...refused],
    ...(relaxed.length > 0 ? { wouldFit: relaxed } : {}),
    cautions,
  };
}

const ORDER = [
  ['seams', 'seams and ditches hold the layers'],
  ['lines', 'straight lines hold before anything is filled'],
  ['full', 'a full area is worked in from its middle'],
  ['outlines', 'outlines before what lies round them'],
  ['figures', 'figures before the ground'],
  ['ground', 'the ground closes round what is done'],
  ['border', 'the border comes last'],
] as const;

function rankInOrder(z: ZoneFacts, w: Weighed): number {
  if (w.motif.id === 'ditch' || z.role === 'sashing') return 0;
  if (z.role === 'border') return 6;
  if (techniques.get(w.motif.id).holds || (w.motif.straight && w.motif.kind === 'line')) return 1;
  if (z.features.includes('full-area')) return 2;
  if (w.motif.id === 'outline') return 3;
  return z.role === 'motif' || z.role === 'block' || z.role === 'space' ? 4 : 5;
}

function proposalAnswer(request: MotifsRequest, zones: readonly ZoneFacts[], p: Proposal): ProposalAnswer {
  const named = new Map<string, string[]>();
  p.picks.forEach((w, i) => {
    if (w.motif.kind !== 'none') named.set(w.motif.id, [...(named.get(w.motif.id) ?? []), zones[i]!.zone.id]);
  });
  const order = zones
    .map((z, i) => ({ z, w: p.picks[i]!, at: rankInOrder(z, p.picks[i]!), i }))
    .filter(({ w }) => w.motif.id !== 'open')
    .sort((a, b) => a.at - b.at || a.i - b.i)
    .map(({ z, w, at }) => ({ zone: z.zone.id, act: w.motif.id, why: ORDER[at]![1] }));
  const over = request.quilt.hours === undefined ? 0 : p.minutes - request.quilt.hours * 60;
  return {
    kind: p.kind,
    zones: p.picks.map((w, i) => ({
      id: zones[i]!.zone.id,
      technique: w.motif.id,
      spacingIn: w.spacingIn,
      lineDensity: round(w.work.lambda),
      minutes: round(w.work.minutes, 1),
    })),
    minutes: round(p.minutes, 1),
    withinHours: p.withinHours,
    motifs: [...named.keys()],
    evenness: round(p.kind === 'edge-to-edge' ? 1 : evennessOf(request, zones, p.picks)),
    order,
    reasons: [...named].map(([id, ids]) => ({
      code: id,
      text: `${techniques.get(id).label}: ${ids.length === 1 ? `zone ${ids[0]}` : `zones ${ids.join(', ')}`}.`,
    })),
    cautions:
      over > 1e-6
        ? [note('hours-over', `It takes ${Math.round(over)} min more than the hours agreed.`, 'warn')]
        : [],
  };
}

/** The quilt as one zone, for a pattern over everything. */
function asOne(request: MotifsRequest): MotifsRequest {
  const { quilt, zones } = request;
  return {
    ...request,
    neighbours: [],
    zones: [
      {
        id: 'whole',
        role: 'whole',
        areaIn2: quilt.widthIn * quilt.lengthIn,
        openIn: Math.min(quilt.widthIn, quilt.lengthIn),
        top: zones.flatMap((z) => z.top),
        features: [...new Set(zones.flatMap((z) => z.features ?? []))],
      },
    ],
  };
}

/** One motif over all, laid on every zone. */
function edgeToEdge(
  request: MotifsRequest,
  q: QuiltFacts,
  zones: readonly ZoneFacts[],
  frame: Proposal,
): Proposal | null {
  const whole = asOne(request);
  const [z] = zoneFacts(whole);
  const best = weighZone({ ...whole, quilt: { ...whole.quilt, hours: undefined } }, q, z!).all.find(
    (w) => w.motif.kind === 'fill' || w.motif.kind === 'line',
  );
  if (!best) return null;
  const picks = zones.map((zone) => weigh(request, q, zone, best.motif, best.spacingIn));
  const base = frame.minutes - frame.picks.reduce((sum, w) => sum + w.work.minutes, 0);
  const minutes = best.work.minutes + Math.min(base, frame.minutes);
  return {
    kind: 'edge-to-edge',
    picks,
    minutes,
    cost: best.score,
    withinHours: request.quilt.hours === undefined || minutes <= request.quilt.hours * 60 + 1e-6,
  };
}

function proposalsOf(
  request: MotifsRequest,
  q: QuiltFacts,
  zones: readonly ZoneFacts[],
  all: readonly (readonly Weighed[])[],
): { list: ProposalAnswer[]; cautions: Caution[] } {
  const wanted = request.proposals ?? 2;
  if (wanted === 0 || all.some((list) => list.length === 0)) return { list: [], cautions: [] };
  const search = searchOf(request, zones, all);
  const few = propose(request, q, zones, all, 'few-motifs', search);
  const found: Proposal[] = [few];
  if (wanted > 1) {
    const rich = propose(request, q, zones, all, 'rich', search);
    const same = rich.picks.every(
      (w, i) => w.motif.id === few.picks[i]!.motif.id && w.spacingIn === few.picks[i]!.spacingIn,
    );
    if (!same) found.push(rich);
  }
  const overrun = found.every((p) => !p.withinHours);
  const held = zones.some((z) => z.zone.hold);
  if ((overrun || wanted > 2) && !held) {
    const one = edgeToEdge(request, q, zones, few);
    if (one && overrun) found.unshift(one);
    else if (one) found.push(one);
  }
  const { hours } = request.quilt;
  const cautions: Caution[] = [];
  if (hours !== undefined && overrun) {
    const least = Math.min(...found.map((p) => p.minutes));
    cautions.push(
      note(
        'hours-over',
        `Even the least takes ${Math.round(least - hours * 60)} min more than the ${hours} h agreed.`.replace(
          / -\d+ min more than/u,
          ' less than',
        ),
        'warn',
      ),
    );
  } else if (hours !== undefined) {
    const free = propose(
      { ...request, quilt: { ...request.quilt, hours: undefined } },
      q,
      zones,
      all,
      'few-motifs',
      search,
    );
    if (free.minutes > hours * 60)
      cautions.push(note('hours-tight', 'The hours agreed decide: with more it would be quilted otherwise.'));
  }
  return { list: found.slice(0, wanted).map((p) => proposalAnswer(request, zones, p)), cautions };
}

/**
 * What to quilt where: for each zone techniques in their order with spacing, time, thread and reasons, and what is refused
 * and why; for the whole quilt proposals within the hours. Lengths in inches. Judgements, every one of them editable.
 * @throws CoreError in words at its field: `unknown-id`, `unknown-zone`, `no-shape`, `doubled`.
 */
export function motifs(request: MotifsRequest): MotifsAnswer {
  const ids = new Set<string>();
  request.zones.forEach((z, i) => {
    if (ids.has(z.id)) throw new CoreError('doubled', `Zone “${z.id}” stands twice.`, `zones.${i}.id`);
    ids.add(z.id);
    z.wish?.forEach((t, k) => MOTIFS.get(t, `zones.${i}.wish.${k}`));
  });
  const q = quiltFacts(request);
  const zones = zoneFacts(request);
  const held = heldOf(request, q, zones);
  const weighed = zones.map((z) => weighZone(request, q, z));
  const nearCost = nearCosts(request, zones, held);
  const near = weighed.map(({ all }, i) =>
    held.size === 0
      ? all
      : all
          .map((w): Weighed => {
            const beside = nearCost(i, w);
            return beside === 0 ? w : { ...w, parts: { ...w.parts, near: beside }, score: w.score + beside };
          })
          .sort((a, b) => a.score - b.score),
  );
  const options = weighed.map(({ all }, i) => (held.has(i) ? [held.get(i)!] : all));
  const { list, cautions } = proposalsOf(request, q, zones, options);
  const unknown = [
    ...new Set([...(request.quilt.themes ?? []), ...request.zones.flatMap((z) => z.themes ?? [])]),
  ].filter((w) => themeWord(w) === null);
  return {
    zones: zones.map((z, i) => zoneAnswer(request, q, z, near[i]!, weighed[i]!.refused, held.get(i))),
    proposals: list,
    cautions: [
      ...unknown.map((w) =>
        note(
          'theme-unknown',
          `“${w}” leads to no technique: say it in other words, such as water, leaves, calm or geometric.`,
        ),
      ),
      ...cautions,
    ],
  };
}
